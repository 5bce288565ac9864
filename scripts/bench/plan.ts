/** What a timetable costs: three bakes with one oven over two days, and one that cannot be. */
import {
  isPlan,
  oneKitchen,
  plan,
  type Closed,
  type PlanAsked,
  breadOf,
  findTimetable,
} from '@tender-crumb/core/schedule';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { seededRandom } from '@tender-crumb/core/quantity';
import { build } from '../../packages/core/test/build.ts';
import { print, time } from './measure.ts';

const day = 24 * 60;
const nights: Closed[] = Array.from({ length: 4 }, (_, d) => ({
  from: d * day - 90,
  to: d * day + 390,
  what: 'hands',
  wish: 'asleep',
}));
const formulas = [
  build({ 'bread-flour': 500, water: 320, salt: 10, 'instant-yeast': 5 }, 'pan'),
  build({ 'bread-flour': 450, water: 300, salt: 10 }, 'hearth-white', {
    'bread-flour': 50,
    water: 50,
  }),
  build(
    { 'plain-flour': 500, milk: 250, egg: 50, butter: 60, sugar: 50, salt: 8, 'instant-yeast': 6 },
    'plait',
  ),
];
/** Anew each time: what is kept by bread is not measured. */
const asked = (readyBy: number): PlanAsked => ({
  breads: formulas.map((formula, i) => ({
    bread: breadOf({ id: `b${i}`, formula: { ...formula } }, defaultHousehold, nothingLearned),
    wish: { readyBy },
  })),
  closed: nights,
  resources: oneKitchen,
  now: 9 * 60,
});

const runs = { runs: 20, warm: 4 };
const found = plan(asked(day + 18 * 60));
if (!isPlan(found)) throw new Error(found.refused.says);
print({
  measure: 'a timetable of three bakes with one oven over two days, their rises and ways with it',
  ...(await time(() => plan(asked(day + 18 * 60)), runs)),
  unit: 'ms',
  aim: '< 300',
});
print({
  measure: 'the same where it cannot be, with what dropping a wish gains',
  ...(await time(() => plan(asked(12 * 60)), runs)),
  unit: 'ms',
});

/** The search alone, on a puzzle of the same size without any bread in it. */
const random = seededRandom(3);
const tasks = Array.from({ length: 24 }, (_, i) => ({
  id: `${i % 3}:${i}`,
  bake: String(i % 3),
  kind: 'mix' as const,
  label: '',
  least: 10,
  usual: 10 + Math.floor(random() * 40),
  most: 120,
  attended: i % 2 ? ('all' as const) : ('none' as const),
  hands: 0,
  uses: [],
  doubt: 0,
}));
print({
  measure: 'the search alone: 24 tasks of three bakes, one pair of hands',
  ...(await time(
    () =>
      findTimetable({
        tasks,
        links: [],
        wishes: {},
        closed: nights,
        resources: oneKitchen,
        facts: {},
        locks: {},
        now: 0,
        horizon: 3 * day,
      }),
    runs,
  )),
  unit: 'ms',
});
