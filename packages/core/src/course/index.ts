export * from './course.ts';
export * from './machine-fit.ts';
export * from './wants.ts';
