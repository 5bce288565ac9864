import { maybe, meaning, number, object, word, type DataOf } from '../quantity/shape.ts';

/** Where a dough, a starter or a soaker stands meanwhile. */
const places = ['room', 'fridge', 'warm', 'machine', 'oven'] as const;
export type Place = (typeof places)[number];

/** What ends a wait: the clock, what it looks like, or what a thermometer says. */
const processEnds = [
  'time',
  'half-again',
  'doubled',
  'tripled',
  'peak',
  'puffy',
  'fallen',
  'core',
] as const;
export type ProcessEnd = (typeof processEnds)[number];

/** What becomes of a stage once it is mixed: how long, how warm, where, until when. */
const processShape = {
  minutes: maybe(meaning(number(0, 20_160), 'how long; the least where a span was given')),
  mostMinutes: maybe(meaning(number(0, 20_160), 'the most, where a span was given')),
  celsius: maybe(meaning(number(-25, 320), 'of the place that it stands in')),
  place: maybe(word(places)),
  hydration: maybe(meaning(number(0.2, 5), 'water per flour that a starter is kept at, g per g')),
  seed: maybe(meaning(number(0.001, 20), 'ripe starter per flour that it is fed, g per g')),
  end: maybe(word(processEnds)),
} as const;
export type Process = DataOf<typeof processShape>;

export const processField = object(processShape);
