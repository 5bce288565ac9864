export * from './chance.ts';
export * from './course.ts';
export * from './round.ts';
export * from './signs.ts';
