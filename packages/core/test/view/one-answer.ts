import { expect } from 'chai';
import {
  bakeState,
  fromPlan,
  householdOn,
  kitchenNow,
  type BakeEvent,
} from '@tender-crumb/core/bake';
import { firstLoaves } from '@tender-crumb/core/exchange';
import { isForecast } from '@tender-crumb/core/ferment';
import type { Formula } from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { bakeRises } from '@tender-crumb/core/learn';
import { usualShaping } from '@tender-crumb/core/process';
import {
  isTimed,
  usualInOven,
  wayPlaces,
  type TimedPlan,
  type WayId,
} from '@tender-crumb/core/schedule';
import {
  bakeOf,
  benchOf,
  planOf,
  rescueOf,
  riseOf,
  usualDough,
  usualPlace,
  type PlannedWithBake,
} from '@tender-crumb/core/view';
import { demoBreads } from '../../../../demo/formulas.ts';

/** One question, one answer: however somebody comes to ask how long, how hot, how much, in how many pieces, in what. */
export const now = '2026-11-26T09:00:00.000Z';
/** Its usual oven is slow, and its small one quick. */
export const belief = {
  ...nothingLearned,
  measured: {
    'oven:range': { mean: Math.log(1.2), sd: 0.05, bakes: 4 },
    oven: { mean: Math.log(0.9), sd: 0.05, bakes: 3 },
  },
};
const open = { asleep: [], away: [], power: [] };
export const houses: Readonly<Record<string, Household>> = {
  usual: { ...defaultHousehold, week: open },
  warm: {
    ...defaultHousehold,
    week: open,
    room: { celsius: 30 },
    appliances: [{ id: 'range', kind: 'oven', name: 'Range', holds: 1, offset: -10 }],
  },
  'cold, and high up': { ...defaultHousehold, week: open, room: { celsius: 17 }, altitude: 1500 },
};
export const breads: readonly Formula[] = [...firstLoaves, ...demoBreads.map((b) => b.formula)];

export interface Asked {
  readonly formula: Formula;
  readonly household: Household;
  readonly way?: WayId;
  readonly roomC?: number;
  readonly doughC?: number;
}

/** A bread planned, then begun of its plan. */
export function ask({ formula, household, way, roomC, doughC }: Asked) {
  const bench = benchOf({ formula, household, belief });
  const plan: PlannedWithBake = {
    id: 'p',
    formulaId: 'f',
    version: 1,
    beginAt: '2026-11-27T09:00:00.000Z',
    ...(way ? { ways: [way] } : {}),
    ...(roomC === undefined ? {} : { roomC }),
    ...(doughC === undefined ? {} : { doughC }),
  };
  const given = {
    plans: [plan],
    formulas: { p: formula },
    devices: { p: bench.device },
    household,
    belief,
    zone: 'UTC',
  };
  const { answer } = planOf(given, now);
  if (!isTimed(answer)) return undefined;
  const events = fromPlan(plan, answer.bakes[0], formula).map(
    (e, i) => ({ id: `e${i}`, at: now, ...e }) as BakeEvent,
  );
  const circumstances = { day: now.slice(0, 10), kitchen: kitchenNow(household, formula) };
  const begun = { startedAt: now, method: bench.device, events, circumstances };
  const after = planOf({ ...given, plans: [{ ...plan, bakeId: 'p', begun }] }, now).answer;
  const onDay = householdOn(household, circumstances);
  const bake = bakeOf({
    id: 'p',
    formula,
    method: bench.device,
    events,
    household: onDay,
    belief,
  });
  const rescue = rescueOf({
    household,
    belief,
    bake: { formula, method: bench.device, events, circumstances },
    went: usualDough,
    style: 'pan',
    sourdough: false,
    rested: true,
    rise: { hours: 1, water: 'lukewarm', leaven: 'fresh' },
    over: { where: 'bowl', leaven: 'yeast', looks: 'puffy', smells: 'mild' },
  });
  return { bench, answer, after: after as TimedPlan, events, bake, rescue, onDay };
}

const short = ({ steps }: TimedPlan) =>
  steps.map(({ id, kind, minutes, celsius, start, label }) => ({
    id,
    kind,
    minutes,
    celsius,
    start,
    label,
  }));

/** Says what differs; whether there was a plan at all. */
export function agrees(asked: Asked): boolean {
  const got = ask(asked);
  if (!got) return false;
  const { formula, way } = asked;
  const isAsItComes = asked.roomC === undefined && asked.doughC === undefined;
  const { bench, answer, after, bake, rescue, events, onDay } = got;
  const says = `${formula.name}, ${way ?? 'as it comes'}`;
  const [planned] = answer.bakes;
  // Begun, the plan is the plan that it was.
  expect(short(after), says).to.deep.equal(short(answer));
  // The bake goes the plan's way, in the plan's device, with the plan's amounts.
  const went = planned!.way && (wayPlaces[planned!.way].weighed ?? planned!.way);
  expect(bake.way, says).to.equal(went);
  expect(bake.bread.device, says).to.equal(bench.device);
  const { leaven } = planned!;
  if (leaven && 'changes' in leaven && leaven.changes.length > 0) {
    const made = bake.planned
      .filter((l) => l.ingredient === leaven.ingredient)
      .reduce((sum, l) => sum + l.grams, 0);
    const was = bench.resolved
      .filter((l) => l.ingredient === leaven.ingredient)
      .reduce((sum, l) => sum + l.grams, 0);
    const moved = leaven.changes
      .filter((c) => c.ingredient === leaven.ingredient)
      .reduce((sum, c) => sum + c.grams, 0);
    expect(made, says).to.be.closeTo(was + moved, 0.05);
  }
  // Its steps take what the plan has for them.
  for (const step of answer.steps.filter((s) => ['heat', 'bake'].includes(s.kind))) {
    const task = bake.tasks.find((t) => t.id === step.id)!;
    expect(task.celsius, says).to.equal(step.celsius);
    expect(step.minutes, says).to.be.within(task.least, task.most);
  }
  const oven = bake.tasks.find((t) => t.kind === 'bake');
  if (oven && bake.course === undefined) {
    const usual = usualInOven(bake.bread);
    expect(oven.usual, says).to.be.closeTo(usual * bake.bread.ovenPace, 1);
  }
  expect(bake.shaping, says).to.deep.equal(usualShaping(bake.formula));
  // What teaches, and what is asked in trouble, is the rise that is led.
  const made = {
    formula,
    lines: bake.lines,
    state: bakeState(events),
    household: onDay,
    device: bench.device,
  };
  expect(bakeRises(made, belief), says).to.deep.equal(bake.rises);
  const [first] = bake.rises;
  const expected = rescue.noRise.expected;
  if (first && isForecast(first.forecast) && expected)
    expect(expected.middle, says).to.be.closeTo(first.forecast.middle, 1e-9);
  // Where nothing was wished, the bench says the same.
  if (isAsItComes && bake.way === 'as-it-is')
    expect(
      riseOf(bench, usualPlace(bench)).rises.map((r) => r.forecast),
      says,
    ).to.deep.equal(bake.rises.map((r) => r.forecast));
  return true;
}
