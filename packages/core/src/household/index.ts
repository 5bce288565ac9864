export * from './baker.ts';
export * from './household.ts';
export * from './money.ts';
export * from './room.ts';
export * from './schools.ts';
export * from './week.ts';
export * from './salt-word.ts';
export * from './frictions.ts';
