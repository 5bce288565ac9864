import {
  freshPace,
  isForecast,
  learnPace,
  riseDoubts,
  riseForecast,
  riseUntil,
  usualRise,
  type Pace,
  type RiseDoubt,
  type RiseEnd,
  type RisingDough,
} from '@tender-crumb/core/ferment';
import { between, tally } from './near.ts';
import { seeded } from '../seeded.ts';

const group = 'Rises of simulated households';
const source = 'simulation by the stated doubts';
const households = 300;
const bakes = 6;
const rows = Object.entries(riseDoubts) as Array<[RiseDoubt, (typeof riseDoubts)[RiseDoubt]]>;

const sour: RisingDough = {
  yeast: 0,
  starter: 12,
  salt: 2,
  sugar: 0,
  fat: 0,
  water: 70,
  whole: 0.2,
  celsius: 25,
  air: [{ hours: 1, celsius: 22 }],
  vessel: 'bowl',
  kilograms: 0.9,
};
const yeasted: RisingDough = { ...sour, yeast: 1, starter: 0, whole: 0 };

interface Found {
  /** Share of noted times within the stated 80 % interval, before any and after five noted rises. */
  readonly first: number;
  readonly later: number;
  /** Share of households whose middle is within 12 % of what this leaven takes on an ordinary day. */
  readonly near: number;
  readonly widths: readonly [first: number, later: number];
}

/** Households whose leaven and days are drawn from the doubts that the program states. */
function simulate(
  dough: RisingDough,
  end: RiseEnd,
  leaven: 'yeast' | 'starter',
  seed: number,
): Found {
  const draws = seeded(seed);
  const within: [number, number] = [0, 0];
  const widths: [number, number] = [0, 0];
  let near = 0;
  for (let h = 0; h < households; h += 1) {
    const truth = draws.normal() * riseDoubts[leaven].sd.value;
    const asItIs = riseDoubts[leaven].moved({ dough, end, model: usualRise }, truth);
    const ordinary = riseUntil(asItIs.dough, end).hours!;
    let pace: Pace = freshPace(leaven);
    for (let bake = 0; bake < bakes; bake += 1) {
      const forecast = riseForecast(dough, end, { [leaven]: pace });
      if (!isForecast(forecast)) throw new Error('it never comes there');
      const day = rows
        .filter(([, row]) => !row.stays)
        .reduce((of, [, row]) => row.moved(of, draws.normal() * row.sd.value), asItIs);
      const hours = riseUntil(day.dough, day.end, day.model).hours!;
      const at = bake === 0 ? 0 : bake === bakes - 1 ? 1 : undefined;
      if (at !== undefined) {
        within[at] += Number(hours >= forecast.low && hours <= forecast.high) / households;
        widths[at] += (forecast.high - forecast.low) / forecast.middle / households;
      }
      if (bake === bakes - 1) near += Number(Math.abs(forecast.middle / ordinary - 1) <= 0.12);
      pace = learnPace(pace, forecast, leaven, { hours, sense: 'there' });
    }
  }
  return {
    first: within[0]!,
    later: within[1]!,
    near: near / households,
    widths: [widths[0]!, widths[1]!],
  };
}

describe('bands of rises, and what noting them is worth', () => {
  for (const [name, dough, end, leaven] of [
    ['a sourdough', sour, { volume: 1.55 }, 'starter'],
    ['a dough of 1 % instant', yeasted, { volume: 2 }, 'yeast'],
  ] as const) {
    let found: Found | undefined;
    const of = (): Found => (found ??= simulate(dough, end, leaven, 20261126));
    between(
      group,
      `${name}: noted times within the 80 % interval before any was noted, of ${households} households`,
      source,
      () => of().first,
      [0.73, 0.87],
    );
    between(
      group,
      `${name}: the same after five noted rises`,
      source,
      () => of().later,
      [0.73, 0.87],
    );
    between(
      group,
      `${name}: households whose middle is then within 12 % of what that leaven takes`,
      source,
      () => of().near,
      [0.9, 1],
    );
    after(() => {
      const [wide, narrow] = of().widths;
      tally(
        group,
        `${name}: width of the interval, of its middle`,
        `${wide.toFixed(2)} → ${narrow.toFixed(2)}`,
      );
    });
  }
});
