import { seededRandom, type Random } from '@tender-crumb/core/quantity';
import { readRecipe } from '@tender-crumb/core/reader';
import { defaultMeasures } from '@tender-crumb/core/quantity';
import { persons, type WrittenDown } from '../../../../packages/core/test/reader/writer/persons.ts';
import { scoreOf } from '../../../../packages/core/test/reader/writer/score.ts';
import { lookOf, photoOf, type Look } from './card.ts';

/** Whose recipes stand on cards: what is typed alone is printed on none. */
const onCards = [
  'a British list',
  'an American list of grams',
  'an American with cups',
  'cups with grams behind',
  'pounds and ounces',
  'name first',
  'baker’s percentages beside',
  'a levain that is built',
  'things for outside',
  'a table of a spreadsheet',
] as const;

/** A card: who wrote it, what it means, and how it looks. */
export interface Card {
  readonly kind: string;
  readonly written: WrittenDown;
  readonly look: Look;
  photo(): Promise<Buffer>;
}

/** A recipe that is read rightly as it stands: what a camera makes of it is what is measured. */
function plainRecipe(random: Random, kind: string): WrittenDown {
  const person = persons.find((p) => p.kind === kind)!;
  for (;;) {
    const written = person.write(random, person.region);
    const text = written.text.replace(/ \| |;/g, '\t').replace(/^## /gm, '');
    const plain = { ...written, text };
    const { right, things, wrong } = scoreOf(plain);
    const { unread } = readRecipe(text, { measures: defaultMeasures });
    if (right === things && wrong === 0 && unread.length === 0) return plain;
  }
}

/** Cards from a seed, of each kind in turn. */
export function cardsOf(count: number, seed: number): Card[] {
  const random = seededRandom(seed);
  return Array.from({ length: count }, (_, i) => {
    const kind = onCards[i % onCards.length]!;
    const written = plainRecipe(random, kind);
    const look = lookOf(random);
    const own = seededRandom(seed * 1000 + i);
    return { kind, written, look, photo: () => photoOf(written.text, look, own) };
  });
}
