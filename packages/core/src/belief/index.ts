export * from './belief.ts';
export * from './drift.ts';
export * from './friction.ts';
export * from './kitchen.ts';
export * from './learned-table.ts';
export * from './measured.ts';
export * from './oven-dial.ts';
export * from './oven.ts';
