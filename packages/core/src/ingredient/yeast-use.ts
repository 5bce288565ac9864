import { commonPractice, fromMemory } from '../figure/figure.ts';
import type { YeastKind } from './ingredient.ts';

/** How yeast of a kind goes into a dough: the ways that are taught. */
interface YeastUse {
  readonly says: string;
  /** Of the liquid that it is put in; absent where it goes into the flour. °C. */
  readonly liquid?: readonly [least: number, most: number];
  readonly source: string;
}

/** By kind, the most usual first. The makers' own words on the packet go before these. */
export const yeastUses: Readonly<Record<YeastKind, readonly YeastUse[]>> = {
  fresh: [
    {
      says: 'crumbled into the liquid and stirred smooth',
      liquid: [20, 35],
      source: commonPractice,
    },
    { says: 'rubbed through the flour', source: commonPractice },
  ],
  'active-dry': [
    {
      says: 'dissolved in some of the water with a pinch of sugar, until it foams in ten minutes',
      liquid: [35, 43],
      source: commonPractice,
    },
  ],
  instant: [
    { says: 'dry, straight into the flour', source: commonPractice },
    {
      says: 'through the flour first, then hotter liquids, as some packets have it',
      liquid: [49, 54],
      source: fromMemory('some packets of instant yeast'),
    },
    {
      says: 'in a machine: on the flour, away from salt and water',
      liquid: [21, 32],
      source: commonPractice,
    },
  ],
  osmotolerant: [{ says: 'dry, straight into the flour', source: commonPractice }],
};

/** From the freezer it goes in as it is, a little slower. Common practice, no source. */
export const yeastFromFreezer =
  'Dry yeast keeps in the freezer and is used straight from it; fresh yeast suffers there.';
