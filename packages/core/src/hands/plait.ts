/** One crossing of two neighbours: the strand at a place goes over, or under, the one to its right. Places from 0. */
interface Crossing {
  readonly at: number;
  /** Of the two, whether the left one lies on top. */
  readonly leftOver: boolean;
}

/** A move of a hand: one strand taken across others. */
interface PlaitMove {
  readonly says: string;
  readonly crossings: readonly Crossing[];
}

/** How a plait of so many strands goes: moves that are done in turn, again and again. */
export interface Plait {
  readonly strands: number;
  readonly says: string;
  readonly moves: readonly PlaitMove[];
}

/** The strand at the right end goes leftwards over and under those beside it. */
const fromRight = (strands: number, steps: ReadonlyArray<'over' | 'under'>): Crossing[] =>
  steps.map((step, i) => ({ at: strands - 2 - i, leftOver: step === 'under' }));

/** The strand at the left end goes rightwards. */
const fromLeft = (steps: ReadonlyArray<'over' | 'under'>): Crossing[] =>
  steps.map((step, i) => ({ at: i, leftOver: step === 'over' }));

/** One row a number of strands. Common practice, no source. */
export const plaits = {
  3: {
    strands: 3,
    says: 'The outer strands come over the middle one, right and left in turn.',
    moves: [
      { says: 'Right strand over the middle one', crossings: fromRight(3, ['over']) },
      { says: 'Left strand over the middle one', crossings: fromLeft(['over']) },
    ],
  },
  4: {
    strands: 4,
    says: 'Always the strand at the right: over, under, over.',
    moves: [
      {
        says: 'Right strand over one, under one, over one, to the left edge',
        crossings: fromRight(4, ['over', 'under', 'over']),
      },
    ],
  },
  6: {
    strands: 6,
    says: 'Always the strand at the right: over two, under one, over two.',
    moves: [
      {
        says: 'Right strand over two, under one, over two, to the left edge',
        crossings: fromRight(6, ['over', 'over', 'under', 'over', 'over']),
      },
    ],
  },
} as const satisfies Record<number, Plait>;

export type PlaitStrands = keyof typeof plaits;
export const plaitStrands = Object.keys(plaits).map(Number) as PlaitStrands[];

/** Where each strand lies after a move: the strand at each place. */
export function afterMove(order: readonly number[], { crossings }: PlaitMove): number[] {
  const next = [...order];
  for (const { at } of crossings) [next[at], next[at + 1]] = [next[at + 1]!, next[at]!];
  return next;
}

/**
 * The strands before a move and after it, from the start.
 *
 * @param moves so many of them, from 0
 * @example plaitAfter(plaits[3], 1) // [0, 2, 1]: the right strand lies in the middle
 */
export function plaitAfter(plait: Plait, moves: number): number[] {
  let order = Array.from({ length: plait.strands }, (_, i) => i);
  for (let i = 0; i < moves; i += 1) order = afterMove(order, plait.moves[i % plait.moves.length]!);
  return order;
}

/** A strand is rolled so long for its weight, centimetres: as thick as a thumb. Common practice, no source. */
const cmPerGram = 0.28;
const shortest = 20;
const longest = 55;

/**
 * How long a strand is rolled.
 *
 * @example strandCm(150) // 42
 */
export const strandCm = (grams: number): number =>
  Math.round(Math.min(longest, Math.max(shortest, grams * cmPerGram)));
