import { expect } from 'chai';
import type { BakeEvent } from '@tender-crumb/core/bake';
import { level } from '@tender-crumb/core/dough';
import { evaluate } from '@tender-crumb/core/evaluate';
import { resolve } from '@tender-crumb/core/formula';
import {
  departure,
  fillKey,
  fillKeyBy,
  nothingLearned,
  type Belief,
  kitchenOf,
} from '@tender-crumb/core/belief';
import {
  bakerName,
  defaultHousehold,
  settingsOf,
  withBaker,
  type Household,
} from '@tender-crumb/core/household';
import { forBread, learnFromBake, learnedFigures, taughtFigures } from '@tender-crumb/core/learn';
import { build } from '../build.ts';
import { between } from '../checks/near.ts';
import { once } from '../once.ts';
import { seeded } from '../seeded.ts';

const amounts = { 'bread-flour': 500, water: 320, salt: 9 };
const cups = build(amounts, 'pan', undefined, { measured: 'volume' });
const weighed = build(amounts);
const household: Household = {
  ...defaultHousehold,
  bakers: [
    { id: 'usual', name: 'Maud' },
    { id: 'ilse', name: 'Ilse' },
  ],
};
const who = ['usual', 'ilse'] as const;
type Who = (typeof who)[number];

const at = (day: number) => new Date(Date.UTC(2026, 0, 1 + day)).toISOString();
const bake = (day: number, points: number, baker?: Who): BakeEvent[] => [
  ...(baker
    ? [{ id: `who-${day}`, at: at(day), kind: 'baker' as const, data: { baker } } as BakeEvent]
    : []),
  { id: `felt-${day}`, at: at(day), kind: 'felt', data: { points } } as BakeEvent,
];
const standing = (belief: Belief, baker?: Who, formula = cups) =>
  level(resolve(formula), kitchenOf(withBaker(household, baker), belief))!;
const certain = (departures: Record<string, number>): Belief => ({
  keys: Object.keys(departures),
  mean: Object.values(departures),
  covariance: Object.keys(departures).map((_, __, all) => all.map(() => 0)),
  bakes: {},
});

describe('who fills the cups', () => {
  /** Five bakes of each of two whose habits are drawn apart, told by name and untold. */
  const two = once(() => {
    const random = seeded(31);
    const households = 120;
    const bakes = 5;
    const error = { told: 0, untold: 0 };
    let held = 0;
    for (let h = 0; h < households; h += 1) {
      const { priors, passing } = standing(nothingLearned);
      const drawn = [...priors].map(([key, sd]) => [key, sd * random.normal()] as const);
      const truth = certain({
        ...Object.fromEntries(drawn),
        [fillKeyBy('ilse')]: priors.get(fillKey)! * random.normal(),
      });
      const noise = Math.hypot(...passing.values());
      let told: Belief = nothingLearned;
      let untold: Belief = nothingLearned;
      for (let day = 0; day < 2 * bakes; day += 1) {
        const baker = who[day % 2]!;
        const felt =
          standing(truth, baker).points + noise * random.normal() + 1.5 * random.normal();
        told = learnFromBake(cups, bake(day, felt, baker), household, told, 'weir')!.belief;
        untold = learnFromBake(cups, bake(day, felt), household, untold, 'weir')!.belief;
      }
      for (const baker of who) {
        const truly = standing(truth, baker).points;
        const seen = (of: Belief, by?: Who) =>
          level(resolve(cups), kitchenOf(withBaker(household, by), forBread(of, 'weir')))!;
        error.told += Math.abs(seen(told, baker).points - truly);
        error.untold += Math.abs(seen(untold).points - truly);
        const next = seen(told, baker);
        const dough = truly + noise * random.normal();
        if (dough >= next.low && dough <= next.high) held += 1;
      }
    }
    return { error: error.told / error.untold, held: held / (2 * households) };
  });
  const simulated = '120 drawn households by the cup, two who bake five times each';
  between(
    'Learning',
    'cups by who fills them: error of the forecast beside that of one habit for both',
    simulated,
    () => two().error,
    [0, 0.8],
  );
  between(
    'Learning',
    'cups by who fills them: the level’s 80 % interval holds',
    simulated,
    () => two().held,
    [0.74, 0.88],
  );

  it('the first bakes of a book are the usual one’s: naming her loses nothing', () => {
    let unnamed: Belief = nothingLearned;
    let named: Belief = nothingLearned;
    for (let day = 0; day < 3; day += 1) {
      unnamed = learnFromBake(cups, bake(day, -9), household, unnamed)!.belief;
      named = learnFromBake(cups, bake(day, -9, 'usual'), household, named)!.belief;
    }
    expect(named).to.deep.equal(unnamed);
    expect(standing(named, 'usual').points).to.equal(standing(unnamed).points);
  });

  it('what one of them teaches of her own hand says nothing of the other’s, and all of the flour', () => {
    const { belief, lesson } = learnFromBake(
      cups,
      bake(1, -12, 'ilse'),
      household,
      nothingLearned,
    )!;
    // Tighter than forecast: she fills them heavier.
    expect(departure(belief, 'fillBy:ilse')).to.be.above(0.02);
    expect(departure(belief, fillKey)).to.equal(0);
    const [hers, usual] = [standing(belief, 'ilse').points, standing(belief).points];
    expect(hers).to.be.below(usual);
    expect(usual).to.be.below(standing(nothingLearned).points);
    expect(taughtFigures(lesson, household, 9).map((f) => f.says)).to.include(
      'a cup of flour as Ilse fills it is heavier by',
    );
  });

  it('a correction by the cup is surer once the hand that fills it is known, and not another’s', () => {
    const dry = build({ ...amounts, water: 150 }, 'pan', undefined, { measured: 'volume' });
    const sure = (belief: Belief, baker?: Who) =>
      evaluate(dry, withBaker(household, baker), belief)!.corrections.find(
        (c) => c.kind === 'water',
      )!.certainty;
    expect(sure(nothingLearned, 'ilse')).to.equal(0.8);
    const { belief } = learnFromBake(cups, bake(1, 0, 'ilse'), household, nothingLearned)!;
    expect(sure(belief, 'ilse')).to.be.above(0.8);
    expect(sure(belief, 'usual')).to.equal(0.8);
    expect(sure(belief)).to.equal(0.8);
  });

  it('a dough that was weighed is the same whoever weighs it', () => {
    const belief = certain({ [fillKey]: 0.1, 'fillBy:ilse': -0.1 });
    expect(standing(belief, 'ilse', weighed).points).to.equal(
      standing(belief, 'usual', weighed).points,
    );
    expect(standing(belief, 'ilse').points).to.be.above(standing(belief, 'usual').points + 3);
  });

  it('is said by name in the table, and one who is gone is said to be', () => {
    const belief: Belief = {
      ...certain({ fill: 0.04, 'fillBy:ilse': -0.02, 'fillBy:lost': 0.01 }),
      bakes: { fill: 3, 'fillBy:ilse': 2, 'fillBy:lost': 1 },
    };
    const rows = (of: Household) => learnedFigures(of, belief).map((f) => f.says);
    expect(rows(household)).to.deep.equal([
      'a cup of flour as Maud fills it is heavier by',
      'a cup of flour as Ilse fills it is heavier by',
      'a cup of flour of someone who left is heavier by',
    ]);
    expect(rows(defaultHousehold)[0]).to.equal('a cup of flour is filled heavier by');
    expect(bakerName('lost', household)).to.equal(undefined);
  });

  it('who stands at the bowl is of the day, and not settled', () => {
    expect(settingsOf(withBaker(household, 'ilse'))).to.not.have.property('baker');
    expect(settingsOf(household).bakers).to.have.length(2);
  });
});
