import { expect } from 'chai';
import { completeFormula, formatLimits, formulaProblems } from '@tender-crumb/core/exchange';
import { compareFormulas, scaleTo, takeCorrection } from '@tender-crumb/core/formula';
import { ingredient } from '@tender-crumb/core/ingredient';
import { isGrams, defaultMeasures } from '@tender-crumb/core/quantity';
import { readMeasure } from '@tender-crumb/core/reader';

const formula = (grams: Readonly<Record<string, number>>, name = 'Loaf') =>
  completeFormula({
    name,
    stages: [{ lines: Object.entries(grams).map(([of, g]) => ({ ingredient: of, grams: g })) }],
  });
const base = formula({ 'bread-flour': 500, water: 310, salt: 9 });

describe('two formulas side by side', () => {
  it('the same is the same', () => {
    const { lines, same, name, style } = compareFormulas(base, base);
    expect([same, lines.some((l) => l.differs), name, style]).to.deep.equal([
      3,
      false,
      undefined,
      false,
    ]);
  });

  it('what differs is said with both weights, what one has alone with one', () => {
    const other = {
      ...formula({ 'bread-flour': 500, water: 290, honey: 20 }, 'Mine'),
      style: 'rolls' as const,
    };
    const { lines, same, name, style } = compareFormulas(base, other);
    const differing = lines.filter((l) => l.differs);
    expect(differing.map((l) => [l.name, l.one, l.other])).to.deep.equal([
      ['water', 310, 290],
      ['fine salt', 9, undefined],
      ['honey', undefined, 20],
    ]);
    expect([same, name, style]).to.deep.equal([1, ['Loaf', 'Mine'], true]);
  });

  it('a correction that was taken counts, and so does another way of measuring', () => {
    const taken = takeCorrection(base, {
      correction: 'water:water:+',
      reason: '',
      basis: '',
      changes: [{ stage: 's1', ingredient: 'water', grams: 14 }],
    });
    expect(compareFormulas(base, taken).lines.filter((l) => l.differs)[0]).to.include({
      one: 310,
      other: 324,
    });
    const cups = completeFormula({
      ...base,
      stages: [
        { lines: base.stages[0]!.lines.map((l) => ({ ...l, measured: 'volume' as const })) },
      ],
    });
    expect(compareFormulas(base, cups).same).to.equal(0);
  });

  it('weights that a page shows alike are alike, the next hundredth is not', () => {
    const near = (water: number) =>
      compareFormulas(base, formula({ 'bread-flour': 500, water, salt: 9 })).same;
    expect([near(310.004), near(310.006)]).to.deep.equal([3, 2]);
  });

  it('the same ingredient twice is two lines, in its order', () => {
    const twice = (a: number, b: number) =>
      completeFormula({
        stages: [
          {
            lines: [
              { ingredient: 'water', grams: a },
              { ingredient: 'water', grams: b },
              { ingredient: 'bread-flour', grams: 500 },
            ],
          },
        ],
      });
    const { lines } = compareFormulas(twice(100, 200), twice(100, 210));
    expect(lines.filter((l) => l.differs).map((l) => [l.one, l.other])).to.deep.equal([[200, 210]]);
  });
});

describe('weights that can stand in a formula', () => {
  it('nothing, or from a hundredth of a gram to 100 kg', () => {
    expect([0, 0.01, 5, 100_000].map(isGrams)).to.deep.equal([true, true, true, true]);
    expect([0.0099, -1, 100_000.1, NaN, Infinity, 5e-324].map(isGrams)).to.not.include(true);
  });

  it('typed beside a thing they are looked at alike', () => {
    const typed = (text: string) => readMeasure(text, ingredient('salt'), defaultMeasures);
    expect(typed('0.01 g')).to.include({ grams: 0.01 });
    expect(typed('0.009 g')).to.include({ code: 'absurd' });
    expect(typed('0')).to.include({ grams: 0 });
  });

  it('a formula is not scaled until a line is too light to weigh', () => {
    const light = formula({ 'bread-flour': 500, salt: 1 });
    expect(scaleTo(light, 'flour', 5)!.stages[0]!.lines[1]!.grams).to.be.closeTo(0.01, 1e-12);
    expect(scaleTo(light, 'flour', 4.99)).to.equal(undefined);
  });

  it('and a formula has so many lines and changes in all', () => {
    const stage = (n: number) => ({
      lines: Array.from({ length: n }, () => ({ ingredient: 'water', grams: 1 })),
    });
    const half = formatLimits.allLines / 2;
    expect(formulaProblems({ stages: [stage(half), stage(half)] })).to.deep.equal([]);
    expect(
      formulaProblems({ stages: [stage(half), stage(half + 1)] }).map((p) => p.field),
    ).to.deep.equal(['stages']);
    const change = { stage: 's1', ingredient: 'water', grams: 1 };
    const taken = (n: number) => [{ id: 't', correction: 's', changes: Array(n).fill(change) }];
    expect(
      formulaProblems({ stages: [stage(1)], taken: taken(formatLimits.allChanges) }),
    ).to.deep.equal([]);
    expect(
      formulaProblems({ stages: [stage(1)], taken: taken(formatLimits.allChanges + 1) }).map(
        (p) => p.field,
      ),
    ).to.deep.equal(['taken']);
  });
});
