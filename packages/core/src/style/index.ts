export * from './baking.ts';
export * from './structure.ts';
export * from './style-figures.ts';
export * from './style.ts';
export * from './cooling.ts';
export * from './form.ts';
export * from './nature.ts';
export * from './on-sheet.ts';
