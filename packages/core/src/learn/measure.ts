import { bakeLoss } from '../bake/outcome.ts';
import type { BakeState } from '../bake/state.ts';
import type { Formula } from '../formula/formula.ts';
import type { Belief, KnownMeasure } from '../household/belief.ts';
import {
  measuredKinds,
  measuredOf,
  type MeasuredKindId,
  type Seen,
} from '../household/measured.ts';
import { normalAfter } from '../quantity/normal.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import { pieceKilograms } from '../ferment/shaped-in.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { writtenSteps } from '../process/written-steps.ts';
import { saidBy } from '../schedule/usual-minutes.ts';
import { ovenMinutes } from '../style/baking.ts';
import { styles } from '../style/style.ts';
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

/**
 * Minutes that a bread is usually in the oven: as its recipe says, else as the table has it.
 *
 * @param lines of the dough
 * @example usualInOven(loaf, bakeState([]), lines) // 27
 */
export const usualInOven = (
  formula: Formula,
  { divided }: Pick<BakeState, 'divided'>,
  lines: readonly Pick<ResolvedLine, 'grams'>[],
): number =>
  saidBy(writtenSteps(formula).bake?.process)?.usual ??
  ovenMinutes(styles[formula.style].baking, pieceKilograms(formula, lines, divided));

/** Logarithm of the minutes in the oven beside the usual. */
function ovenSeen({ formula, lines, state }: MadeBake): Seen<'oven'> | undefined {
  const { begunAt, doneAt } = state.steps.bake ?? {};
  if (begunAt === undefined || doneAt === undefined) return undefined;
  const minutes = (Date.parse(doneAt) - Date.parse(begunAt)) / 60_000;
  const dough = sumGrams(lines);
  const ratio = minutes / usualInOven(formula, state, lines);
  const told = minutes >= inOven[0] && minutes <= inOven[1] && dough > 0;
  return told && ratio <= believable && ratio >= 1 / believable
    ? { kind: 'oven', of: {}, value: Math.log(ratio) }
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
    ovenSeen(bake),
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
