import { completeFormula } from '@tender-crumb/core/exchange';

/** A formula that is something, where it does not matter what. */
export const loaf = completeFormula({
  name: 'Loaf',
  stages: [{ lines: [{ ingredient: 'bread-flour', grams: 500 }] }],
});
