import { breadMade } from '../bake/bread-made.ts';
import { bakeLoss } from '../bake/outcome.ts';
import { courseOf } from '../lead/run-of.ts';
import { bakesOnly } from '../course/course.ts';
import type { Belief, KnownMeasure } from '../belief/belief.ts';
import { measuredKinds, measuredOf, type MeasuredKindId, type Seen } from '../belief/measured.ts';
import { normalAfter } from '../quantity/normal.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import { byItsDial } from '../belief/oven-dial.ts';
import { usualInOven } from '../schedule/in-oven.ts';
import { frictionSeen } from './friction-seen.ts';
import type { MadeBake } from './made-bake.ts';

/** What one bake measured of one figure. */
export interface Measured {
  readonly key: string;
  readonly before: KnownMeasure;
  readonly after: KnownMeasure;
}

/** A bread is not in the oven for less, or more: a tap was forgotten. Own choice, no source. */
const inOven = [3, 240] as const;
/** Beyond so many times the usual minutes a tap was forgotten. Own choice, no source. */
const believable = 2.5;

/** Logarithm of the minutes in the oven beside the usual, by its own dial: of what a machine baked, none. */
function ovenSeen(belief: Belief, bake: MadeBake): Seen<'oven'> | undefined {
  const { lines, state, household } = bake;
  const { begunAt, doneAt } = state.steps.bake ?? {};
  if (begunAt === undefined || doneAt === undefined) return undefined;
  const minutes = (Date.parse(doneAt) - Date.parse(begunAt)) / 60_000;
  const dough = sumGrams(lines);
  const course = state.course && courseOf(state.course, household);
  const bread = breadMade({ ...bake, ...(course ? { course } : {}) }, belief);
  if (bread.course && bakesOnly(bread.course) !== undefined) return undefined;
  const ratio = minutes / usualInOven(bread);
  const { oven } = bread;
  const told = minutes >= inOven[0] && minutes <= inOven[1] && dough > 0;
  return told && ratio <= believable && ratio >= 1 / believable
    ? { kind: 'oven', of: { oven }, value: byItsDial(Math.log(ratio), oven) }
    : undefined;
}

function lossSeen({ formula, state, household: { figures } }: MadeBake): Seen<'loss'> | undefined {
  const value = state.outcome && bakeLoss(state.outcome);
  return value === undefined
    ? undefined
    : { kind: 'loss', of: { style: formula.style, pan: state.divided?.pan, figures }, value };
}

function learned<K extends MeasuredKindId>(
  belief: Belief,
  { kind, of, value, doubt = 0 }: Seen<K>,
): Measured {
  const row = measuredKinds[kind];
  const before = measuredOf(belief, kind, of);
  const noise = Math.hypot(row.passing.value, doubt);
  return {
    key: row.key(of),
    before,
    after: { ...normalAfter(before, value, noise), bakes: before.bakes + 1 },
  };
}

/**
 * What a bake measured apart from its dough: how far kneading warmed it, how long it was in the oven, what it lost there.
 *
 * @example measuredBy(nothingLearned, {formula, lines, state, household, device: 'hand'})[0].key // 'loss:style:pan'
 */
export function measuredBy(belief: Belief, bake: MadeBake): Measured[] {
  const seen: ReadonlyArray<Seen | undefined> = [
    ovenSeen(belief, bake),
    lossSeen(bake),
    frictionSeen(bake),
  ];
  return seen.flatMap((s) => (s ? [learned(belief, s)] : []));
}

/** A belief with what was measured. */
export const withMeasured = (belief: Belief, measured: readonly Measured[]): Belief =>
  measured.length === 0
    ? belief
    : {
        ...belief,
        measured: {
          ...belief.measured,
          ...Object.fromEntries(measured.map(({ key, after }) => [key, after])),
        },
      };
