export * from './cost.ts';
export * from './dough-for.ts';
export * from './energy.ts';
export * from './nutrition.ts';
export * from './slices.ts';
export * from './spread.ts';
export * from './us-rounding.ts';
