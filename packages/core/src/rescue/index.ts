export * from './cause.ts';
export * from './rescue-dough.ts';
export * from './rescue-over.ts';
export * from './rescue-rise.ts';
