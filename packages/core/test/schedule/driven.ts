import { nothingLearned } from '@tender-crumb/core/belief';
import { takeCorrection, type Formula } from '@tender-crumb/core/formula';
import { defaultHousehold } from '@tender-crumb/core/household';
import { normalDraws, seededRandom } from '@tender-crumb/core/quantity';
import {
  isTimed,
  oneKitchen,
  timedPlan,
  type FactsNoted,
  type TimedPlan,
  type WayId,
} from '@tender-crumb/core/schedule';
import { read } from '../build.ts';
import type { PlanWanted } from './forty-plans.ts';

const dayZero = Date.UTC(2026, 11, 3);
const isoAt = (hours: number) => new Date(dayZero + hours * 3_600_000).toISOString();
const hoursOf = (iso: string) => (Date.parse(iso) - dayZero) / 3_600_000;
const household = { ...defaultHousehold, zone: 'UTC' };

/** The plan for what somebody wants, at an hour, with what was done by then; why there is none, where there is none. */
export function planFor(
  { recipe, style, ready, room }: PlanWanted,
  now: number,
  more: { formula?: Formula; facts?: FactsNoted; ways?: readonly WayId[] } = {},
): TimedPlan | string {
  const { formula } = read(recipe, style);
  const answer = timedPlan({
    now: isoAt(now),
    zone: 'UTC',
    bakes: [
      {
        id: 'b',
        formula: more.formula ?? { ...formula, style },
        room,
        readyBy: isoAt(ready),
        device: 'hand',
        ...(more.facts ? { facts: more.facts } : {}),
        ...(more.ways ? { ways: more.ways } : {}),
      },
    ],
    week: household.week,
    resources: oneKitchen,
    household: { ...household, room: { celsius: room } },
    belief: nothingLearned,
  });
  return isTimed(answer) ? answer : answer.why;
}

/** A step is over by so much of its own time sooner or later: what a dough decides more, what hands do less. */
const noise = { dough: 0.15, hands: 0.08 } as const;

/**
 * What goes wrong with a plan that is begun: it is asked again at each step, with what really happened.
 *
 * @returns what contradicts what was said before; nothing where nothing does
 */
export function driven(wanted: PlanWanted, seed: number): string[] {
  const normal = normalDraws(seededRandom(seed));
  const first = planFor(wanted, wanted.now);
  if (typeof first === 'string') return [`none: ${first}`];
  const bake = first.bakes[0]!;
  const { way, leaven } = bake;
  const { formula: written } = read(wanted.recipe, wanted.style);
  const asPlanned: Formula = { ...written, style: wanted.style };
  // What the plan asks of the leaven is weighed so.
  const formula =
    leaven && 'changes' in leaven && leaven.changes.length > 0
      ? takeCorrection(asPlanned, {
          correction: 'plan',
          reason: '',
          basis: '',
          changes: leaven.changes,
        })
      : asPlanned;
  const ways: readonly WayId[] | undefined = way && [way === 'amount' ? 'as-it-is' : way];
  const wrong: string[] = [];
  const facts: Record<string, { start?: string; end?: string }> = {};
  let plan: TimedPlan = first;
  const name = (id: string) => id.slice('b:'.length);
  const order = first.steps.map((s) => name(s.id));
  for (const id of order) {
    if (facts[id] !== undefined) continue;
    const step = plan.steps.find((s) => name(s.id) === id);
    if (!step) {
      wrong.push(`${id} is gone`);
      break;
    }
    const from = hoursOf(step.start);
    const sd = step.doubt > 0 ? noise.dough : step.attended === 'none' ? 0 : noise.hands;
    const to = from + (hoursOf(step.end) - from) * Math.exp(sd * normal());
    facts[id] = { start: isoAt(from), end: isoAt(Math.max(to, from + 1 / 60)) };
    // The oven is heated when it is called, while the dough rises.
    const heat = plan.steps.find((s) => s.kind === 'heat');
    if (heat && facts['heat'] === undefined && hoursOf(heat.start) < to && id !== 'heat')
      facts['heat'] = { start: heat.start, end: heat.end };
    const now = Math.max(...Object.values(facts).map((f) => hoursOf(f.end!)));
    const next = planFor(wanted, now, { formula, facts: { ...facts }, ...(ways ? { ways } : {}) });
    if (typeof next === 'string') {
      wrong.push(`after ${id}: ${next}`);
      break;
    }
    const ahead = next.steps.filter((s) => facts[name(s.id)] === undefined);
    for (const s of ahead)
      if (hoursOf(s.start) < now - 0.05 && s.kind !== 'heat')
        wrong.push(`after ${id}: ${s.label} in the past`);
    if (next.bakes[0]!.way !== undefined && ways && !ways.includes(next.bakes[0]!.way!))
      wrong.push(`after ${id}: by ${next.bakes[0]!.way}`);
    const same = next.steps
      .map((s) => name(s.id))
      .sort()
      .join();
    if (same !== [...order].sort().join()) wrong.push(`after ${id}: other steps`);
    plan = next;
  }
  return wrong;
}
