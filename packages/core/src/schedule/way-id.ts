/** Ways to let a bread rise, the cheapest first; what each is stands in ways.ts. */
export const wayIds = [
  'as-it-is',
  'amount',
  'warm',
  'cold-first',
  'cold-proof',
  'amount-cold-proof',
  'warm-cold-proof',
  'frozen',
] as const;
export type WayId = (typeof wayIds)[number];
