import { commonPractice, figure, fromMemory, type Figure } from '../figure/figure.ts';

/** What a dough is mixed, risen or baked in, kind by kind. */
interface PanKind {
  readonly label: string;
  /** Millilitres for a gram of dough, least and most; none where volume does not bind it. */
  readonly holds?: readonly [least: Figure, most: Figure];
  /** What it is for: a bowl is tared, a tin is filled. */
  readonly use: 'bake' | 'proof' | 'mix';
}

const perGram = (value: number, source = commonPractice): Figure =>
  figure(value, 'ml/g', value / 10, source);

/** One row a kind. An open home tin: handbook section 12. */
export const panKinds = {
  tin: { label: 'open tin', use: 'bake', holds: [perGram(2), perGram(2.7)] },
  'lidded-tin': {
    label: 'tin with a lid',
    use: 'bake',
    holds: [
      perGram(3.2),
      // 6 cubic inches an ounce.
      figure(3.47, 'ml/g', 0.2, fromMemory('a usual white loaf in a lidded pan')),
    ],
  },
  pot: { label: 'lidded pot', use: 'bake', holds: [perGram(3.5), perGram(7)] },
  basket: { label: 'proofing basket', use: 'proof', holds: [perGram(1.6), perGram(2.4)] },
  tray: { label: 'tray', use: 'bake' },
  bowl: { label: 'bowl', use: 'mix', holds: [perGram(2.5), perGram(8)] },
} as const satisfies Record<string, PanKind>;

type PanKindId = keyof typeof panKinds;
export const panKindIds = Object.keys(panKinds) as PanKindId[];

/** One that a household has. */
export interface Pan {
  readonly id: string;
  readonly kind: PanKindId;
  readonly name: string;
  /** To the brim. */
  readonly millilitres?: number;
  /** Empty: what a scale shows of it. */
  readonly grams?: number;
}

/** A household's pans are no smaller, and no larger. Own choice, no source. */
export const panMillilitres = [50, 30_000] as const;
export const panGrams = [1, 15_000] as const;

/** How a dough fits a pan. */
interface PanFit {
  readonly fits: 'right' | 'too-small' | 'too-large' | 'any';
  /** Grams of dough that it is for. */
  readonly least?: number;
  readonly most?: number;
}

/**
 * Whether so much dough fits a pan by its volume. Whole grain rises less: its pan wants more dough.
 *
 * @param grams of the dough in that pan
 * @param wholeShare of the flour, 0 to 1
 * @example panFit({id: 'a', kind: 'tin', name: 'tin', millilitres: 1800}, 750).fits // 'right'
 */
export function panFit({ kind, millilitres }: Pan, grams: number, wholeShare = 0): PanFit {
  const row: PanKind = panKinds[kind];
  if (millilitres === undefined || !row.holds) return { fits: 'any' };
  const [tight, roomy] = row.holds;
  // At whole grain alone the roomiest third of the span is too roomy.
  const loosest = roomy.value - ((roomy.value - tight.value) / 3) * wholeShare;
  const [least, most] = [millilitres / loosest, millilitres / tight.value];
  const fits = grams < least ? 'too-large' : grams > most ? 'too-small' : 'right';
  return { fits, least: Math.round(least), most: Math.round(most) };
}

/**
 * Dough for a pan that is filled as it should be, grams.
 *
 * @returns undefined where its volume says nothing of that
 * @example panDough({id: 'a', kind: 'lidded-tin', name: 'tin', millilitres: 3470}) // 1042
 */
export function panDough(pan: Pan, wholeShare = 0): number | undefined {
  const { least, most } = panFit(pan, 0, wholeShare);
  return least === undefined || most === undefined ? undefined : Math.round((least + most) / 2);
}
