export * from './bake-of.ts';
export * from './bench-of.ts';
export * from './lazily.ts';
export * from './leavens-of.ts';
export * from './paste-of.ts';
export * from './plan-of.ts';
export * from './rescue-of.ts';
export * from './rise-of.ts';
