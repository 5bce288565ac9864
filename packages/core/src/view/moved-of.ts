import type { WayId } from '../schedule/way-id.ts';
import { isTimed, type TimedPlan } from '../schedule/timed-plan.ts';
import { writtenWay, ways } from '../schedule/ways.ts';
import { planOf, type PlanGiven, type PlannedWithBake } from './plan-of.ts';

/** What gives where a bread is wanted at another time: how it goes then, and what that does to the other bakes. */
export interface MovedOption {
  readonly way: WayId;
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
}

/** Nobody minds less, minutes: of this bread, and of the others. Own choice, no source. */
const sameReady = 5;
const minute = 60_000;

/** Ways that a dough can still go that is rising already: what is over is over. */
const stillGo: Readonly<Record<'before' | 'first' | 'final', readonly WayId[]>> = {
  before: [
    'as-it-is',
    'amount',
    'warm',
    'cold-first',
    'cold-proof',
    'amount-cold-proof',
    'warm-cold-proof',
  ],
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

/** The plan with one bake wanted at another time, that goes a way. */
function asked(
  given: PlanGiven,
  bake: string,
  readyBy: string,
  way: WayId,
  now: string,
): PlanGiven {
  return {
    ...given,
    plans: given.plans.map((plan) => {
      if (plan.id !== bake) return plan;
      const { beginAt, ...rest } = plan;
      void beginAt;
      return {
        ...rest,
        readyBy,
        ways: [way],
        ...(plan.begun
          ? {
              begun: {
                ...plan.begun,
                events: [
                  ...plan.begun.events,
                  { id: 'moved', at: now, kind: 'way' as const, data: { way } },
                ],
              },
            }
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
  const went = was?.bakes.find((b) => b.id === bake)?.way ?? writtenWay({ formula });
  const options = stillGo[standing(plan)].flatMap((way): MovedOption[] => {
    const { answer } = planOf(asked(given, bake, readyBy, way, now), now);
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
    const { label, says } = ways[way];
    const off = Math.round((Date.parse(ready) - Date.parse(readyBy)) / minute);
    return [
      {
        way,
        label,
        says,
        same: way === went,
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
