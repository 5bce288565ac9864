/** A value with the words for it. */
export type Choice = readonly [value: string, name: string];

export const cups: readonly Choice[] = [
  ['us', 'US, 237 ml'],
  ['metric', 'metric, 250 ml'],
  ['imperial', 'imperial, 284 ml'],
];
export const spoons: readonly Choice[] = [
  ['us', 'US, 14.8 ml'],
  ['metric', 'metric, 15 ml'],
  ['australian', '20 ml'],
];
export const fills: readonly Choice[] = [
  ['spooned', 'spooned in and levelled'],
  ['dipped', 'dipped into the bag'],
  ['fresh', 'fresh-milled, unsettled'],
];
export const eggs: readonly Choice[] = [
  ['us-large', 'US large, 50 g'],
  ['us-medium', 'US medium, 44 g'],
  ['eu-medium', 'EU medium, 50 g'],
  ['eu-large', 'EU large, 58 g'],
];
export const scaleSteps: readonly Choice[] = [
  ['0.1', '0.1 g'],
  ['1', '1 g'],
  ['2', '2 g'],
  ['5', '5 g'],
];
export const weights: readonly Choice[] = [
  ['g', 'grams'],
  ['oz', 'ounces'],
];
export const degrees: readonly Choice[] = [
  ['C', 'degrees Celsius'],
  ['F', 'degrees Fahrenheit'],
];
export const decimals: readonly Choice[] = [
  ['point', 'point, 1.5'],
  ['comma', 'comma, 1,5'],
];
export const percentages: readonly Choice[] = [
  ['total', 'of all flour, starters included'],
  ['added', 'of added flour alone'],
];
export const waters: readonly Choice[] = [
  ['poured', 'poured water alone'],
  ['effective', 'with that in milk, egg, butter, honey'],
];
export const carbs: readonly Choice[] = [
  ['eu', 'EU label'],
  ['us', 'US label'],
];
