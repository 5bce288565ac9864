import type { Random } from '@tender-crumb/core/quantity';
import { wares, type Part, type Region, type Ware } from './wares.ts';

/** Shall be read as so much of that; where `grams` is absent any amount will do. */
export interface Meant {
  readonly of: string;
  readonly grams: number;
}

/** One thing of a recipe before anybody has written it down. */
export interface Item extends Meant {
  readonly ware: Ware;
  /** As somebody from there calls it. */
  readonly word: string;
}

/** A bread out of the catalogue, at random. */
export interface Bread {
  readonly title: string;
  readonly items: readonly Item[];
  readonly flour: number;
}

export const pick = <T>(random: Random, from: readonly T[]): T =>
  from[Math.floor(random() * from.length)]!;

const round = (grams: number, to: number): number => Math.max(to, Math.round(grams / to) * to);

/** Shares of the flour, least and most, by what a thing is there for; common practice, no source. */
const shares: Readonly<Record<Part, readonly [number, number, number]>> = {
  main: [0.5, 0.9, 10],
  second: [0.1, 0.5, 10],
  water: [0.55, 0.8, 5],
  liquid: [0.2, 0.4, 10],
  salt: [0.016, 0.022, 1],
  yeast: [0.006, 0.02, 1],
  fat: [0.02, 0.12, 5],
  sweet: [0.02, 0.1, 5],
  seed: [0.05, 0.2, 5],
  egg: [0.1, 0.2, 50],
};

const titles = [
  'Lockside loaf',
  'Sunday bread',
  'Two-lock tin loaf',
  'Towpath bread',
  'Everyday bread',
  'Granary wharf loaf',
  'Our usual loaf',
  'Bread for the week',
];

/** A bread of these regions' words. */
export function breadOf(random: Random, region: Region, without: readonly Part[] = []): Bread {
  const flour = round(300 + 700 * random(), 50);
  const items: Item[] = [];
  const put = (part: Part, grams?: number): void => {
    const known = wares.filter((w) => w.part === part && !items.some((i) => i.of === w.of));
    const local = known.filter((w) => w.there?.[region]);
    const ware = pick(random, local.length > 0 && random() < 0.8 ? local : known);
    const [least, most, step] = shares[part];
    const word = pick(random, ware.there?.[region] ?? ware.words);
    const share = least + (most - least) * random();
    items.push({ of: ware.of, ware, word, grams: grams ?? round(share * flour, step) });
  };
  put('main', round(flour * (0.5 + 0.5 * random()), 10));
  const rest = flour - items[0]!.grams;
  if (rest >= 10) put('second', rest);
  put('water');
  if (random() < 0.25) put('liquid');
  put('salt');
  put('yeast');
  for (const [part, chance] of [
    ['fat', 0.5],
    ['sweet', 0.4],
    ['seed', 0.3],
    ['egg', 0.15],
  ] as const)
    if (random() < chance && !without.includes(part)) put(part);
  return { title: pick(random, titles), items, flour };
}
