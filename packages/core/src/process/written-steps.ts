import type { Formula } from '../formula/formula.ts';
import type { Process } from '../formula/process.ts';
import { placeIn, processIn } from './process-in.ts';
import type { StepKindId } from './step-kind.ts';

/** What a recipe says of a step: in its words, and what was read of them. */
interface WrittenStep {
  readonly says: string;
  readonly process: Process;
}
export type WrittenSteps = Readonly<Partial<Record<StepKindId, WrittenStep>>>;

/** What a sentence of a method is about, by its words. The first that fits says it; a rise after shaping is the last one. */
const about: ReadonlyArray<readonly [words: RegExp, kind: StepKindId]> = [
  [/\bpre-?heat|\bheat (?:the|your|an) oven/i, 'heat'],
  [/\bbake\b|\binto the oven\b|\broast\b/i, 'bake'],
  [/\bcool\b|\bbefore (?:cutting|slicing)/i, 'cool'],
  [/\bfeed\b|\brefresh(?:ed)? the (?:starter|levain)/i, 'feed'],
  [/\bautolyse\b|\bflour and (?:the )?water\b.*\brest\b/i, 'autolyse'],
  [/\bsoak/i, 'soak'],
  [/\bsecond (?:rise|proof)|\bfinal (?:rise|proof)|\bproof\b|\bprove\b|\bpuff/i, 'final-proof'],
  [/\brise\b|\bferment|\bbulk\b|\bdoubl/i, 'first-rise'],
  [/\bshape|\bdivide|\bplait|\bform (?:in)?to\b|\bbraid|\broll(?:ed)? into\b/i, 'shape'],
  [/\bknead|\bmix\b/i, 'mix'],
];

/** Sentences, without those that would end in an abbreviation's dot. */
const sentences = (text: string): string[] => text.split(/(?<=[.!;])\s+(?=\p{Lu}|\d)/u);

/**
 * What the recipe itself says of the steps of its dough, sentence by sentence. Steps of what is mixed ahead
 * are not among them: those are a stage's own.
 *
 * @example “Bake at 190 °C for 35 to 40 minutes.”: bake, {minutes: 35, mostMinutes: 40, celsius: 190, place: 'oven'}
 */
export function writtenSteps({ steps = [] }: Pick<Formula, 'steps'>): WrittenSteps {
  const found = new Map<StepKindId, WrittenStep>();
  for (const says of steps.flatMap((s) => sentences(s.says))) {
    const named = about.find(([words]) => words.test(says))?.[1];
    if (!named) continue;
    const risesAgain = named === 'first-rise' && (found.has('shape') || found.has('first-rise'));
    const kind = risesAgain ? 'final-proof' : named;
    const place = placeIn(says);
    const process = processIn(says) ?? (place ? { place } : {});
    const before = found.get(kind);
    // The first that says how long says it; what is said twice keeps its first words.
    if (before && (before.process.minutes !== undefined || process.minutes === undefined)) continue;
    found.set(kind, { says: before?.says ?? says, process: { ...process, ...before?.process } });
  }
  return Object.fromEntries(found);
}
