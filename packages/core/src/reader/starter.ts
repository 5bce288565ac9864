import type { StageKind } from '../formula/formula.ts';
import { wordsOf } from './words.ts';

/** A starter or pre-ferment, spoken of as one ingredient. */
export interface StarterWord {
  readonly kind: StageKind;
  /** Id of its flour. */
  readonly flour: string;
  /** Whether the recipe said which flour. */
  readonly flourSaid: boolean;
  /** Water as a percentage of its flour. */
  readonly hydration: number;
  readonly hydrationSaid: boolean;
}

const names: ReadonlyArray<readonly [RegExp, StageKind, number]> = [
  [/\b(poolish)\b/i, 'preferment', 100],
  [/\b(biga)\b/i, 'preferment', 55],
  [
    /\b(sponge|pre-?ferment|old dough|pre-?fermented dough|pate fermentee|pâte fermentée)\b/i,
    'preferment',
    60,
  ],
  [/\b(stiff starter|stiff levain|levain dur|lievito madre|pasta madre)\b/i, 'starter', 50],
  [
    /\b(sour\s?dough starter|starter|levain|leaven|sourdough culture|mother culture|sourdough|rye sour|sauerteig|roggensauer|roggensauerteig|weizensauerteig|anstellgut)\b/i,
    'starter',
    100,
  ],
];

const starterFlours: ReadonlyArray<readonly [readonly string[], string]> = [
  [['whole', 'wheat'], 'whole-wheat'],
  [['wholemeal'], 'whole-wheat'],
  [['rye'], 'rye-whole'],
  [['roggensauer'], 'rye-whole'],
  [['roggensauerteig'], 'rye-whole'],
  [['spelt'], 'spelt-whole'],
];

/** Hydration in a text, as in "(at 100 % hydration)". */
const hydrationIn = (text: string): number | undefined => {
  const match = /(\d+(?:[.,]\d+)?)\s*%/.exec(text);
  const percent = match ? Number(match[1]!.replace(',', '.')) : NaN;
  return percent >= 30 && percent <= 300 ? percent : undefined;
};

/**
 * Whether a text speaks of a starter or pre-ferment, and of which.
 *
 * @example starterWord('100 g whole wheat starter (80% hydration)') // starter, whole-wheat, 80
 */
export function starterWord(text: string): StarterWord | undefined {
  if (
    !/start|leav|lev|sauer|anstell|poolish|biga|sponge|ferment|sour|dough|madre|mother/i.test(text)
  )
    return undefined;
  const found = names.find(([pattern]) => pattern.test(text));
  if (!found) return undefined;
  const words = new Set(wordsOf(text));
  const flour = starterFlours.find(([needed]) => needed.every((w) => words.has(w)))?.[1];
  const hydration = hydrationIn(text);
  return {
    kind: found[1],
    flour: flour ?? 'bread-flour',
    flourSaid: flour !== undefined,
    hydration: hydration ?? found[2],
    hydrationSaid: hydration !== undefined,
  };
}

/** The kind of starter or pre-ferment that a text speaks of, and where. */
export function starterKind(text: string): { kind: StageKind; pattern: RegExp } | undefined {
  const found = names.find(([pattern]) => pattern.test(text));
  return found && { kind: found[1], pattern: found[0] };
}
