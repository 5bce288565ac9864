export * from './coefficients.ts';
export * from './figure-rows.ts';
export * from './rise-figures.ts';
