import type { StageKind } from '../formula/formula.ts';
import { wordsOf } from './match.ts';

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
  [/\b(sponge|pre-?ferment|old dough)\b/i, 'preferment', 60],
  [/\b(stiff starter|stiff levain)\b/i, 'starter', 50],
  [/\b(sour\s?dough starter|starter|levain|leaven|sourdough culture|sourdough)\b/i, 'starter', 100],
];

const starterFlours: ReadonlyArray<readonly [readonly string[], string]> = [
  [['whole', 'wheat'], 'whole-wheat'],
  [['wholemeal'], 'whole-wheat'],
  [['rye'], 'rye-whole'],
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

/** Heading of a stage: "For the poolish:", "Levain", "Dough". */
export function stageHeading(text: string): { kind: StageKind; name: string } | undefined {
  const bare = text
    .replace(/^#+\s*/, '')
    .replace(/\([^)]*\)/g, '')
    .replace(/[:*_]+\s*$/, '')
    .replace(/^[*_]+/, '')
    .replace(/^for (?:the|a) /i, '')
    .trim();
  if (/\d/.test(bare) || bare.split(/\s+/).length > 4) return undefined;
  const name = bare.charAt(0).toUpperCase() + bare.slice(1).toLowerCase();
  if (/\b(soaker|scald|tangzhong|roux|mash)\b/i.test(bare)) return { kind: 'soaker', name };
  if (/^(?:(?:final|main|bread|the) )?dough$|^ingredients$|^bread$/i.test(bare)) {
    return { kind: 'dough', name: /ingredients|bread/i.test(name) ? 'Dough' : name };
  }
  const starter = names.find(([pattern]) => bare.replace(pattern, '').trim() === '');
  return starter ? { kind: starter[1], name } : undefined;
}
