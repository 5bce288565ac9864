export * from './figure.ts';
export * from './settable.ts';
