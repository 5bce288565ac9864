import { householdOn } from '../bake/circumstances.ts';
import { isForecast } from '../ferment/rise-doubt.ts';
import { paceKey } from '../ferment/leaven-key.ts';
import type { Belief, KnownMeasure } from '../belief/belief.ts';
import { z80 } from '../coefficients/coefficients.ts';
import { frictionOf } from '../belief/friction.ts';
import { type Household } from '../household/household.ts';
import { feelOf } from '../belief/hands.ts';
import { kitchenOf } from '../belief/kitchen.ts';
import { withBaker } from '../household/baker.ts';
import { measuredKinds, measuredOf, type MeasuredKindId } from '../belief/measured.ts';
import { feltBand } from '../learn/level-mark.ts';
import { unkneaded } from '../learn/friction-seen.ts';
import { ovenPace } from '../belief/oven.ts';
import type { Measured } from '../learn/measure.ts';
import { usualInOven } from '../schedule/in-oven.ts';
import { breadMade } from '../bake/bread-made.ts';
import { bakeRises } from '../learn/rises.ts';
import { kneadingOf } from '../machine/device.ts';
import type { MeasureId } from './measures.ts';
import { asMade, type BakeRecord } from './record.ts';

/** Where a measure of a bake was to be expected, 8 times in 10, in its own unit. */
export interface Expected {
  readonly middle: number;
  readonly low: number;
  readonly high: number;
}

/** A bake with what was believed when it was made. */
interface Before {
  readonly record: BakeRecord;
  readonly then: Household;
  readonly belief: Belief;
}

/** Round a middle, with what is not known of a figure and what passes from bake to bake. */
function around(
  { mean, sd }: KnownMeasure,
  kind: MeasuredKindId,
  at: (value: number) => number,
  doubt = 0,
): Expected {
  const half = z80 * Math.hypot(sd, measuredKinds[kind].passing.value, doubt);
  return { middle: at(mean), low: at(mean - half), high: at(mean + half) };
}

const ofRise =
  (id: 'first' | 'final') =>
  ({ record, then, belief }: Before): Expected | undefined => {
    const rise = bakeRises(asMade(record, then), belief).find((r) => r.id === id);
    if (!rise || !isForecast(rise.forecast)) return undefined;
    const { middle, low, high } = rise.forecast;
    return { middle, low, high };
  };

/** What of a bake the program forecasts: one row a measure. */
const expectations: Readonly<Partial<Record<MeasureId, (of: Before) => Expected | undefined>>> = {
  felt({ record: { lesson, state }, then, belief }) {
    if (!lesson) return undefined;
    const { points, low, high } = feltBand(
      lesson.mixed,
      feelOf(kitchenOf(withBaker(then, state.baker), belief)),
    );
    return { middle: points, low, high };
  },
  doughWarmth({ record: { formula, made, state, method }, then, belief }) {
    const bake = { formula, lines: made, state, household: then, device: method };
    const from = unkneaded(bake);
    const known = frictionOf(kneadingOf(method), then, belief);
    return from && around(known, 'friction', (x) => x + from.celsius, from.doubt);
  },
  firstRise: ofRise('first'),
  finalProof: ofRise('final'),
  inOven({ record, then, belief }) {
    const bread = breadMade(asMade(record, then), belief);
    const usual = usualInOven(bread);
    return around(ovenPace(bread.oven, belief), 'oven', (x) => usual * Math.exp(x));
  },
  loss({ record: { formula, state }, then: { figures }, belief }) {
    const of = { style: formula.style, pan: state.divided?.pan, figures };
    return around(measuredOf(belief, 'loss', of), 'loss', (x) => 100 * x);
  },
};

const isPace = ({ key }: Measured): boolean => key.startsWith(paceKey);

/** What was believed before a bake of what it measured itself; of all else, what is believed now. */
function beliefBefore({ lesson }: BakeRecord, belief: Belief): Belief {
  const measured = lesson?.measured ?? [];
  if (measured.length === 0) return belief;
  const [paces, rest] = [measured.filter(isPace), measured.filter((m) => !isPace(m))];
  return {
    ...belief,
    measured: {
      ...belief.measured,
      ...Object.fromEntries(rest.map(({ key, before }) => [key, before])),
    },
    paces: {
      ...belief.paces,
      ...Object.fromEntries(
        paces.map(({ key, before: { mean, sd, bakes } }) => [key, { mean, sd, rises: bakes }]),
      ),
    },
  };
}

/**
 * Where a measure of a bake was to be expected before it was made.
 *
 * @param belief what is believed now, of its bread
 * @returns undefined where the program forecasts no such measure, or not of this bake
 * @example expectedOf('inOven', record, household, belief)?.middle // 36.9
 * @example expectedOf('stars', record, household, belief) // undefined
 */
export function expectedOf(
  id: MeasureId,
  record: BakeRecord,
  household: Household,
  belief: Belief,
): Expected | undefined {
  return expectations[id]?.({
    record,
    then: householdOn(household, record.circumstances),
    belief: beliefBefore(record, belief),
  });
}
