export * from './allergens.ts';
export * from './cautions.ts';
export * from './hazards.ts';
