import { bakeLoss } from '../bake/outcome.ts';
import type { BakeState } from '../bake/state.ts';
import type { Formula } from '../formula/formula.ts';
import type { Belief, KnownMeasure } from '../household/belief.ts';
import {
  measuredKey,
  measuredKinds,
  measuredOf,
  type MeasuredKindId,
} from '../household/measured.ts';
import { normalAfter } from '../quantity/normal.ts';
import { writtenSteps } from '../process/written-steps.ts';
import { saidBy } from '../schedule/usual-minutes.ts';
import { ovenMinutes } from '../style/baking.ts';
import { styles } from '../style/style.ts';

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

/** Logarithm of the minutes in the oven beside the table's. */
function ovenRatio({ steps, divided }: BakeState, formula: Formula, dough: number) {
  const { begunAt, doneAt } = steps.bake ?? {};
  if (begunAt === undefined || doneAt === undefined) return undefined;
  const minutes = (Date.parse(doneAt) - Date.parse(begunAt)) / 60_000;
  const piece = dough / 1000 / (divided?.pieces ?? 1);
  const usual =
    saidBy(writtenSteps(formula).bake?.process)?.usual ??
    ovenMinutes(styles[formula.style].baking, piece);
  const ratio = minutes / usual;
  const told = minutes >= inOven[0] && minutes <= inOven[1] && piece > 0;
  return told && ratio <= believable && ratio >= 1 / believable ? Math.log(ratio) : undefined;
}

/**
 * What a bake measured apart from its dough: how long it was in the oven, what it lost there.
 *
 * @param dough grams of it
 * @example measuredBy(nothingLearned, loaf, bakeState(events), 900)[0].key // 'loss:style:pan'
 */
export function measuredBy(
  belief: Belief,
  formula: Formula,
  state: BakeState,
  dough: number,
): Measured[] {
  const seen: Readonly<Record<MeasuredKindId, number | undefined>> = {
    oven: ovenRatio(state, formula, dough),
    loss: state.outcome && bakeLoss(state.outcome),
  };
  return (Object.keys(seen) as MeasuredKindId[]).flatMap((kind) => {
    const value = seen[kind];
    if (value === undefined) return [];
    const pan = kind === 'loss' ? state.divided?.pan : undefined;
    const before = measuredOf(belief, kind, formula.style, pan);
    const after = {
      ...normalAfter(before, value, measuredKinds[kind].passing.value),
      bakes: before.bakes + 1,
    };
    return [{ key: measuredKey(kind, formula.style, pan), before, after }];
  });
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
