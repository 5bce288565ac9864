export * from './bake-of.ts';
export * from './lazily.ts';
export * from './plan-of.ts';
