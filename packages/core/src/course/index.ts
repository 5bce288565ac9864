export * from './courses.ts';
export * from './course.ts';
export * from './machine-fit.ts';
export * from './timer.ts';
export * from './wants.ts';
