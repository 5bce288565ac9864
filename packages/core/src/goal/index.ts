export * from './find-bread.ts';
export * from './goal.ts';
export * from './offered.ts';
export * from './programme.ts';
export * from './solve.ts';
