import type { BakeEvent } from '../bake/event.ts';
import type { Unsaid } from '../bake/from-plan.ts';
import type { Formula } from '../formula/formula.ts';
import { resolve } from '../formula/resolve.ts';
import { pantryIn } from '../household/household.ts';
import { usualShaping, type Shaping } from '../process/shaping.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import { styles } from '../style/style.ts';
import { wayIds, type WayId } from '../schedule/way-id.ts';
import { isTimed, type TimedPlan } from '../schedule/timed-plan.ts';
import { ways } from '../schedule/ways.ts';
import { writtenWay } from '../schedule/written-way.ts';
import { planOf, type PlanGiven, type PlannedWithBake } from './plan-of.ts';

/** What gives where a bread is wanted at another time: how it goes then, and what that does to the other bakes. */
export interface MovedOption {
  /** Once among the options. */
  readonly id: string;
  readonly way: WayId;
  /** Into what it is divided then, where that is what gives. */
  readonly shaping?: Shaping;
  readonly label: string;
  readonly says: string;
  /** It goes as it went. */
  readonly same: boolean;
  /** ISO moment. */
  readonly ready: string;
  /** Minutes after the wanted time; before it where below 0. */
  readonly off: number;
  /** It is ready then, as nearly as anybody minds. */
  readonly onTime: boolean;
  /** Other bakes that are ready at another time by it, minutes later; earlier where below 0. */
  readonly others: ReadonlyArray<{
    readonly bake: string;
    readonly name: string;
    readonly by: number;
  }>;
  /** What a bake that is under way is told where it is taken. */
  readonly tells: readonly Unsaid[];
}

/** Nobody minds less, minutes: of this bread, and of the others. Own choice, no source. */
const sameReady = 5;
const minute = 60_000;

/** Ways that a dough can still go that is rising already: what is over is over. */
const stillGo: Readonly<Record<'before' | 'first' | 'final', readonly WayId[]>> = {
  before: wayIds.filter((way) => way !== 'frozen'),
  first: ['as-it-is', 'warm', 'cold-first', 'cold-proof', 'warm-cold-proof'],
  final: ['as-it-is', 'warm', 'cold-proof'],
};

/** How far a bake is, as far as its ways are concerned. */
function standing({ begun }: PlannedWithBake): keyof typeof stillGo {
  const events = begun?.events ?? [];
  const rises = events.flatMap((e) => (e.kind === 'rise' ? [e.data] : []));
  if (rises.some((r) => r.rise === 'first' && r.sense === 'there')) return 'final';
  return events.some((e) => e.kind === 'weighed' || e.kind === 'step') ? 'first' : 'before';
}

/** What may give: a way, other pieces, or the rest of its proof. */
type Gives = Pick<MovedOption, 'id' | 'way' | 'shaping' | 'label' | 'says' | 'tells'>;

/** A loaf that becomes rolls weighs so much a piece, grams. Common practice, no source. */
const rollGrams = 90;

/** In small pieces and in the room, where it is to be soon: they bake and cool in half the time. */
function inRolls(formula: Formula, doughGrams: number): Gives[] {
  const { form } = usualShaping(formula);
  const { stands, touch } = styles[formula.style];
  const pieces = Math.round(doughGrams / rollGrams);
  if (form !== 'loaf' || stands === 'steam' || touch !== 'wheat' || pieces < 2) return [];
  const shaping = { form: 'rolls', pieces } as const;
  return [
    {
      id: 'rolls',
      way: 'as-it-is',
      shaping,
      label: 'rolls in place of a loaf',
      says: `${pieces} of about ${rollGrams} g: they bake and cool in half the time`,
      tells: [
        { kind: 'way', data: { way: 'as-it-is' } },
        { kind: 'divided', data: shaping },
      ],
    },
  ];
}

/** The rest of its proof is left out. */
const bakedNow = (way: WayId): Gives => ({
  id: 'now',
  way,
  label: 'into the oven as it stands',
  says: 'smaller and tighter, and it may burst: score it deeper',
  tells: [{ kind: 'step', data: { step: 'final-proof', sense: 'skipped' } }],
});

/** The plan with one bake wanted at another time, that goes so. */
function asked(
  given: PlanGiven,
  bake: string,
  readyBy: string | undefined,
  { way, shaping, tells }: Gives,
  now: string,
): PlanGiven {
  return {
    ...given,
    plans: given.plans.map((plan) => {
      if (plan.id !== bake) return plan;
      const { beginAt, readyBy: before, ...rest } = plan;
      void [beginAt, before];
      const told = tells.map((e, i) => ({ ...e, id: `moved-${i}`, at: now }) as BakeEvent);
      return {
        ...rest,
        ...(readyBy === undefined ? {} : { readyBy }),
        ways: [way],
        ...(shaping ? { shaping } : {}),
        ...(plan.begun
          ? { begun: { ...plan.begun, events: [...plan.begun.events, ...told] } }
          : {}),
      };
    }),
  };
}

const readyOf = (plan: TimedPlan, bake: string): string | undefined =>
  plan.steps.findLast((s) => s.bake === bake)?.end;

/**
 * What gives where a bread is wanted at another time, earlier or later: each way that it can still go, the nearest to that time
 * first, with what the other bakes of the day do. Nothing is taken by it.
 *
 * @param readyBy ISO moment at which it is wanted now
 * @param now ISO moment
 * @example movedOf(given, 'loaf', '2026-11-28T20:30:00Z', now)[0]?.label // 'shaped into the fridge'
 */
export function movedOf(
  given: PlanGiven,
  bake: string,
  readyBy: string,
  now: string,
): readonly MovedOption[] {
  const plan = given.plans.find((p) => p.id === bake);
  const formula = given.formulas[bake];
  if (!plan || !formula) return [];
  const before = planOf(given, now).answer;
  const was = isTimed(before) ? before : undefined;
  const pantry = pantryIn(given.household);
  const went = was?.bakes.find((b) => b.id === bake)?.way ?? writtenWay({ formula });
  const stands = standing(plan);
  const proofs = plan.begun?.events.some(
    (e) => e.kind === 'rise' && e.data.rise === 'final' && e.data.sense === 'begun',
  );
  const give: Gives[] = [
    ...stillGo[stands].map((way) => ({
      id: way,
      way,
      label: ways[way].label,
      says: ways[way].says,
      tells: [{ kind: 'way', data: { way } } as const],
    })),
    ...(stands === 'final' ? [] : inRolls(formula, sumGrams(resolve(formula, pantry)))),
    ...(stands === 'final' && proofs ? [bakedNow(went)] : []),
  ];
  const options = give.flatMap((gives): MovedOption[] => {
    const { way } = gives;
    const inTime = planOf(asked(given, bake, readyBy, gives, now), now).answer;
    // Not by then: as soon as it can be.
    const answer = isTimed(inTime)
      ? inTime
      : planOf(asked(given, bake, undefined, gives, now), now).answer;
    if (!isTimed(answer)) return [];
    const ready = readyOf(answer, bake);
    // A way that cannot be gone falls back to another: it is told once, by that.
    if (ready === undefined || answer.bakes.find((b) => b.id === bake)?.way !== way) return [];
    const others = (was?.bakes ?? []).flatMap(({ id, name }) => {
      const [from, to] = [readyOf(was!, id), readyOf(answer, id)];
      if (id === bake || from === undefined || to === undefined) return [];
      const by = Math.round((Date.parse(to) - Date.parse(from)) / minute);
      return Math.abs(by) >= sameReady ? [{ bake: id, name, by }] : [];
    });
    const off = Math.round((Date.parse(ready) - Date.parse(readyBy)) / minute);
    return [
      {
        ...gives,
        same: gives.id === went,
        ready,
        off,
        onTime: Math.abs(off) < sameReady,
        others,
      },
    ];
  });
  // Late is worse than early; as it went is preferred to what is no better.
  const badness = ({ off, same }: MovedOption): number =>
    (off > 0 ? 3 * off : -off) - (same ? sameReady : 0);
  return options.sort((a, b) => badness(a) - badness(b));
}
