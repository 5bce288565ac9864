import { expect } from 'chai';
import { chanceInWindow, saltLadder, verdict } from '@tender-crumb/core/correct';
import { simulate, stateAt, states } from '@tender-crumb/core/dough';
import { evaluate } from '@tender-crumb/core/evaluate';
import { resolve } from '@tender-crumb/core/formula';
import { nothingLearned, kitchenOf } from '@tender-crumb/core/belief';
import { coefficients, figureGroups } from '@tender-crumb/core/coefficients';
import { defaultHousehold } from '@tender-crumb/core/household';
import { catalogue } from '@tender-crumb/core/ingredient';
import { portionsOf } from '@tender-crumb/core/nutrition';
import { oddsText, normalBelow, normalDraws, seededRandom } from '@tender-crumb/core/quantity';
import { styleIds, styles } from '@tender-crumb/core/style';
import { build, judge } from '../build.ts';

describe('states', () => {
  it('each begins where the one before ends', () => {
    states.slice(0, -1).forEach((state, i) => {
      expect(stateAt(state.below - 1e-9).id).to.equal(state.id);
      expect(stateAt(state.below).id).to.equal(states[i + 1]!.id);
    });
    expect(stateAt(-1000).id).to.equal('dry');
    expect(stateAt(1000).id).to.equal('batter');
  });
});

describe('the verdict', () => {
  const says = (dough: Record<string, number>, style: (typeof styleIds)[number] = 'pan') =>
    verdict(judge(build(dough, style)), style);

  it('a window that few breads stand behind says so', () => {
    expect(says({ 'bread-flour': 500, water: 310 }).weak).to.equal(undefined);
    expect(says({ 'rye-whole': 500, water: 410 }, 'rye').weak).to.contain('few breads');
    expect(says({ 'rice-flour': 500, water: 410 }, 'gluten-free').weak).to.contain('few breads');
  });

  it('says where it stands, what brings it home, and how likely it lands', () => {
    const right = says({ 'bread-flour': 500, water: 310 });
    expect(right).to.include({ fits: true, says: 'Just right for a machine or tin loaf.' });
    // Against the share of draws that land there.
    const formula = build({ 'bread-flour': 500, water: 310 });
    const drawn = simulate(resolve(formula), kitchenOf(defaultHousehold), [-3, 5], {
      draws: 10_000,
      random: seededRandom(3),
    })!;
    // The window's ends are in doubt besides, which the draws of the dough leave out.
    const dough = judge(formula);
    expect(chanceInWindow(dough.level, dough.window)).to.be.closeTo(drawn.chance, 0.02);
    expect(right.chance).to.equal(chanceInWindow(dough.level, dough.window, dough.edge));
    expect(right.chance).to.be.below(drawn.chance);
    const tight = says({ 'bread-flour': 500, water: 250 });
    expect(tight.says).to.match(
      /^Too tight for a machine or tin loaf\. Needs about 45\sg more water/,
    );
    expect(tight.fits).to.equal(false);
    const loose = says({ 'bread-flour': 500, water: 370 });
    expect(loose.says).to.contain('Hold back about');
  });

  it('odds are never quite sure, nor quite none', () => {
    expect([0, 0.004, 0.5, 0.914, 0.994, 1].map(oddsText)).to.deep.equal([
      '1\u202f%',
      '1\u202f%',
      '50\u202f%',
      '91\u202f%',
      '99\u202f%',
      '99\u202f%',
    ]);
  });

  it('speaks of the first touch only where that is another feel', () => {
    expect(says({ 'bread-flour': 500, water: 310 }).early).to.equal(undefined);
    const slow = says({ 'fresh-hard-wheat': 500, water: 380 }, 'wholegrain-pan');
    expect(slow.early).to.match(/At first the dough feels wetter\. Wait 25 minutes/);
  });

  it('every style has its words', () => {
    for (const style of styleIds) {
      expect(styles[style].name).not.to.equal('');
      expect(says({ 'bread-flour': 500, water: 310 }, style).says).to.contain(
        styles[style].inSentence,
      );
    }
  });
});

describe('the figures that everything rests on', () => {
  const groups = figureGroups(catalogue, { softening: 0.25, 'thirst:bread-flour': 0.6 });
  const rows = groups.flatMap((g) => g.rows);

  it('each has a name of its own, a unit, a source, and lies in its own range', () => {
    expect(new Set(rows.map((r) => r.key)).size).to.equal(rows.length);
    for (const row of rows) {
      expect(row.unit, row.key).not.to.equal('');
      expect(row.source, row.key).not.to.equal('');
      expect(row.sd, row.key).to.be.at.least(0);
      expect(row.value, row.key).to.be.within(row.least, row.most);
    }
    expect(rows.find((r) => r.key === 'softening')?.own).to.equal(0.25);
    expect(rows.find((r) => r.key === 'thirst:bread-flour')?.own).to.equal(0.6);
  });

  it('every coefficient of the model stands among them', () => {
    for (const name of Object.keys(coefficients)) {
      expect(
        rows.some((r) => r.key === name),
        name,
      ).to.equal(true);
    }
  });

  it('one that is set moves what it is about', () => {
    const formula = build({ 'whole-wheat': 500, water: 350, oil: 40, honey: 30, salt: 3 });
    const with_ = (figures: Record<string, number>) =>
      evaluate(formula, { ...defaultHousehold, figures }, nothingLearned)!;
    const plain = with_({});
    expect(with_({ softening: 0.5 }).level.points).to.be.greaterThan(plain.level.points + 2);
    expect(with_({ slowFlour: 0.7 }).level.early).to.be.greaterThan(plain.level.early + 5);
    expect(with_({ moistureSpread: 2 }).level.sd).to.be.greaterThan(plain.level.sd);
    expect(plain.corrections.some((s) => s.kind === 'salt')).to.equal(true);
    expect(with_({ saltLeast: 0.3 }).corrections.some((s) => s.kind === 'salt')).to.equal(false);
  });
});

describe('moving the salt', () => {
  it('less is faster, sodium follows, and as it stands nothing changes', () => {
    const formula = build({ 'bread-flour': 500, water: 310, salt: 9, butter: 20 });
    const { lines, totals } = judge(formula);
    const { count } = portionsOf(formula);
    const ladder = saltLadder(lines, totals, kitchenOf(defaultHousehold), count);
    const now = ladder.find((r) => r.now)!;
    expect(now).to.include({ change: 0, riseFaster: 0 });
    // 9 g of salt is 3488 mg of sodium, and flour and butter bring about 12 more.
    expect(now.sodium * count).to.be.within(3488, 3510);
    const low = ladder[0]!;
    expect(low.label).to.equal('low-sodium');
    expect(low.riseFaster).to.be.greaterThan(0);
    expect((now.sodium - low.sodium) * count).to.be.closeTo(-low.change * 387.58, 1e-6);
    expect(ladder.map((r) => r.sodium)).to.deep.equal(
      [...ladder.map((r) => r.sodium)].sort((a, b) => a - b),
    );
  });
});

describe('chance', () => {
  it('seeded draws are even, and normal ones fall as the normal distribution has it', () => {
    const random = seededRandom(5);
    const uniform = Array.from({ length: 20_000 }, random);
    expect(Math.min(...uniform)).to.be.at.least(0);
    expect(Math.max(...uniform)).to.be.lessThan(1);
    expect(uniform.reduce((a, b) => a + b, 0) / uniform.length).to.be.closeTo(0.5, 0.01);
    const normal = normalDraws(seededRandom(6));
    const drawn = Array.from({ length: 20_000 }, normal);
    for (const z of [-1.5, -0.5, 0, 1, 2]) {
      const below = drawn.filter((d) => d < z).length / drawn.length;
      expect(below).to.be.closeTo(normalBelow(z), 0.012);
    }
  });
});
