import { expect } from 'chai';
import {
  level,
  ordinaryMoisture,
  simulate,
  simulateLevel,
  whatToWeigh,
} from '@tender-crumb/core/dough';
import { resolve, type Line, type MeasuringMethod } from '@tender-crumb/core/formula';
import { nothingLearned, kitchenOf } from '@tender-crumb/core/belief';
import { defaultHousehold, pantryIn } from '@tender-crumb/core/household';
import { updateBelief } from '@tender-crumb/core/learn';
import { seededRandom } from '@tender-crumb/core/quantity';
import { build } from '../build.ts';
import { between } from '../checks/near.ts';
import { seeded } from '../seeded.ts';

const kitchen = kitchenOf(defaultHousehold);
const window = [-3, 4] as const;
const run = (formula: ReturnType<typeof build>, draws = 10_000, belief = nothingLearned) =>
  simulate(resolve(formula), kitchenOf(defaultHousehold, belief), window, {
    draws,
    random: seededRandom(11),
  })!;

const loaf = (edit: Partial<Line> = {}) =>
  build(
    { 'whole-wheat': 400, 'bread-flour': 100, water: 340, oil: 25, honey: 20, salt: 9 },
    'pan',
    undefined,
    edit,
  );

/** A formula as bakers write them: flours, water to match, and some of the rest. */
function saneFormula(random: ReturnType<typeof seeded>) {
  const flours = ['bread-flour', 'plain-flour', 'whole-wheat', 'rye-whole', 'fresh-hard-wheat'];
  const others = ['oil', 'honey', 'sugar', 'egg', 'milk', 'butter', 'rolled-oats', 'flax-meal'];
  const methods: MeasuringMethod[] = ['scale', 'volume', 'spooned', 'dipped', 'about'];
  const dough: Record<string, number> = {};
  for (const flour of flours)
    if (random.uniform() < 0.4) dough[flour] = 50 + 400 * random.uniform();
  if (Object.keys(dough).length === 0) dough['bread-flour'] = 500;
  const flourGrams = Object.values(dough).reduce((a, b) => a + b, 0);
  for (const other of others) {
    if (random.uniform() < 0.35) dough[other] = flourGrams * 0.1 * random.uniform();
  }
  dough['water'] = flourGrams * (0.5 + 0.3 * random.uniform());
  return build(dough, 'pan', undefined, {
    measured: methods[Math.floor(random.uniform() * methods.length)]!,
  });
}

let drawn200: number[] | undefined;
/** Width of the drawn interval over that of the linear one, for 200 formulas. */
function ratios(): number[] {
  const random = seeded(2026);
  drawn200 ??= Array.from({ length: 200 }, (_, n) => {
    const lines = resolve(saneFormula(random));
    const linear = level(lines, kitchen)!;
    const drawn = simulate(lines, kitchen, window, { draws: 8000, random: seededRandom(n) })!;
    return (drawn.high - drawn.low) / (linear.high - linear.low);
  });
  return drawn200;
}

describe('drawing the level', () => {
  between(
    'Drawing the level',
    'widest drawn 80 % interval beside the linear one, of 200 random sane formulas',
    'linear propagation against draws',
    () => Math.max(...ratios()),
    [0.9, 1.1],
  );
  between(
    'Drawing the level',
    'narrowest of them',
    'linear propagation against draws',
    () => Math.min(...ratios()),
    [0.9, 1.1],
  );

  it('counts what the linear propagation counts: shares agree, and come to nearly all', () => {
    const formula = loaf({ measured: 'volume' });
    const { sd, doubts } = level(resolve(formula), kitchen)!;
    const { shares } = run(formula);
    for (const doubt of doubts) {
      const drawn = shares.find((s) => s.key === doubt.key)!;
      expect(drawn.share, doubt.key).to.be.closeTo((doubt.points / sd) ** 2, 0.03);
    }
    expect(shares.reduce((sum, s) => sum + s.share, 0)).to.be.within(0.94, 1.04);
  });

  it('has the same answer for the same seed, and the chance that its draws say', () => {
    expect(run(loaf())).to.deep.equal(run(loaf()));
    const { chance, mean, sd, histogram } = run(loaf());
    expect(mean).to.be.closeTo(level(resolve(loaf()), kitchen)!.points, 0.3);
    expect(chance).to.be.within(0, 1);
    expect(sd).to.be.greaterThan(0);
    expect(histogram.counts.reduce((a, b) => a + b, 0)).to.be.within(9_900, 10_000);
  });

  it('can be stopped on the way, and tells how far it is', () => {
    const drawing = simulateLevel(resolve(loaf()), kitchen, window, {
      draws: 5000,
      random: seededRandom(1),
    });
    expect(drawing.next()).to.deep.equal({ value: 0.2, done: false });
    expect(drawing.return(undefined).done).to.equal(true);
    expect(drawing.next().done).to.equal(true);
  });

  it('draws what bakes taught with its ties, and is narrower for it', () => {
    const { slopes, priors } = level(resolve(loaf()), kitchen)!;
    let belief = nothingLearned;
    for (let i = 0; i < 6; i += 1) {
      belief = updateBelief(belief, { residual: 0, slopes, priors, noise: 3 });
    }
    const linear = level(resolve(loaf()), kitchenOf(defaultHousehold, belief))!;
    const drawn = run(loaf(), 10_000, belief);
    expect((drawn.high - drawn.low) / (linear.high - linear.low)).to.be.closeTo(1, 0.05);
    expect(drawn.sd).to.be.lessThan(run(loaf()).sd * 0.9);
  });

  it('has nothing to draw where nothing is a base', () => {
    const water = resolve(build({ water: 300, salt: 5 }));
    const none = simulate(water, kitchen, window, { draws: 100, random: seededRandom(1) });
    expect(none).to.equal(undefined);
  });
});

describe('what to weigh', () => {
  it('by the cup the main flour comes first, and weighing it narrows as much as was said', () => {
    const formula = loaf({ measured: 'volume' });
    const lines = resolve(formula);
    const drawn = run(formula);
    const [first] = whatToWeigh(drawn, lines, kitchen);
    expect(first).to.include({ kind: 'weigh', says: 'Weigh the whole wheat flour' });
    const weighed = lines.map((l) =>
      l.id === first!.line ? { ...l, measured: 'scale' as const } : l,
    );
    const then = level(weighed, kitchen)!;
    const before = level(lines, kitchen)!;
    expect(1 - then.sd / before.sd).to.be.closeTo(first!.narrower, 0.05);
  });

  it('with everything weighed, what is left to find out is the flour itself', () => {
    const lines = resolve(loaf());
    const advice = whatToWeigh(run(loaf()), lines, kitchen);
    expect(advice.map((a) => a.kind)).not.to.include('weigh');
    expect(advice[0]!.kind).to.equal('bake');
  });

  it('a moisture reading is worth what it narrows, that of the bag as well as that of the day', () => {
    const white = build({ 'bread-flour': 500, water: 310, salt: 9 });
    const advice = whatToWeigh(run(white), resolve(white), kitchen).find(
      (a) => a.kind === 'moisture',
    )!;
    const household = {
      ...defaultHousehold,
      bags: [{ id: 'b', name: 'Read', ingredient: 'bread-flour', moisture: ordinaryMoisture }],
    };
    const bound = build({ 'bread-flour': 500, water: 310, salt: 9 }, 'pan', undefined, {
      bag: 'b',
    });
    const sd = level(resolve(white), kitchen)!.sd;
    const read = level(resolve(bound, pantryIn(household)), kitchenOf(household))!.sd;
    expect(advice.narrower).to.be.closeTo(1 - read / sd, 0.015);
    expect(advice.narrower).to.be.greaterThan(0.03);
  });
});
