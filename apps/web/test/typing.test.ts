import { expect } from 'chai';
import { completeFormula } from '@tender-crumb/core/exchange';
import { resolve, type Formula, type MeasuringMethod } from '@tender-crumb/core/formula';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { drawn, place, pointsAt, stretch } from '../src/lib/level/scale.ts';
import { faultsOf, numberIn } from '../src/lib/pantry/faults.ts';
import { columns } from '../src/lib/sheet/typed.ts';

const loaf = completeFormula({
  stages: [
    {
      lines: [
        { ingredient: 'bread-flour', grams: 400 },
        { ingredient: 'whole-wheat', grams: 100 },
        { ingredient: 'water', grams: 310 },
        { ingredient: 'egg', grams: 50 },
      ],
    },
  ],
});

/** What typing into a cell makes of its line, or the fault that stands there. */
const type = (
  column: keyof typeof columns,
  ingredient: string,
  text: string,
  formula: Formula = loaf,
  household: Household = defaultHousehold,
) => {
  const line = resolve(formula).find((l) => l.ingredient === ingredient)!;
  const typed = columns[column](text, formula, line, household);
  return 'fault' in typed
    ? typed.fault
    : resolve(typed.formula).find((l) => l.ingredient === ingredient)!;
};

describe('typing into the sheet', () => {
  const grams: ReadonlyArray<readonly [string, string, string, number, MeasuringMethod]> = [
    ['grams', 'water', '325', 325, 'scale'],
    ['grams', 'water', '325,5', 325.5, 'scale'],
    ['grams', 'water', '½ kg', 500, 'scale'],
    ['grams', 'water', '1 1/4 cups', 295.75, 'volume'],
    ['percent', 'water', '65', 325, 'scale'],
    ['percent', 'water', '65 %', 325, 'scale'],
    ['percent', 'whole-wheat', '30', 150, 'scale'],
    ['measure', 'egg', '2', 100, 'count'],
    ['measure', 'water', '300', 300, 'scale'],
    ['measure', 'bread-flour', '3 cups', 375, 'volume'],
    ['measure', 'bread-flour', 'about 3 cups', 375, 'volume'],
  ];
  for (const [column, ingredient, text, wanted, measured] of grams) {
    it(`“${text}” under ${column} of ${ingredient}`, () => {
      const line = type(column as keyof typeof columns, ingredient, text);
      if (typeof line === 'string') throw new Error(line);
      expect(line.grams).to.be.closeTo(wanted, 0.05);
      expect(line.measured).to.equal(measured);
    });
  }

  const faults: ReadonlyArray<readonly [string, string, string, RegExp]> = [
    ['grams', 'water', 'plenty', /Not clear/],
    ['grams', 'water', '1000000000', /More than 100 kg/],
    ['grams', 'water', '-5 g', /below zero/],
    ['percent', 'water', 'half', /A percentage such as/],
    ['percent', 'water', '20000', /More than a formula holds/],
    ['percent', 'bread-flour', '140', /more flour than there is/],
    ['measure', 'water', '3 blorps', /Not clear/],
    ['measure', 'water', '2 packets', /Not clear/],
  ];
  for (const [column, ingredient, text, fault] of faults) {
    it(`“${text}” under ${column} is said to be wrong, and changes nothing`, () => {
      expect(type(column as keyof typeof columns, ingredient, text)).to.match(fault);
    });
  }

  it('a line that is dipped stays dipped, and its cups are dipped cups', () => {
    const dipped: Formula = {
      ...loaf,
      stages: loaf.stages.map((s) => ({
        ...s,
        lines: s.lines.map((l) =>
          l.ingredient === 'bread-flour' ? { ...l, measured: 'dipped' as const } : l,
        ),
      })),
    };
    const line = type('measure', 'bread-flour', '2 cups', dipped);
    if (typeof line === 'string') throw new Error(line);
    expect(line).to.include({ measured: 'dipped' });
    expect(line.grams).to.be.closeTo(290, 1e-6);
  });

  it('percentages are of the household’s school', () => {
    const sour = completeFormula({
      stages: [
        {
          kind: 'starter',
          lines: [
            { ingredient: 'rye-whole', grams: 100 },
            { ingredient: 'water', grams: 100 },
          ],
        },
        {
          lines: [
            { ingredient: 'bread-flour', grams: 400 },
            { ingredient: 'salt', grams: 8 },
          ],
        },
      ],
    });
    const salt = (percentages: 'total' | 'added') => {
      const line = type('percent', 'salt', '2', sour, { ...defaultHousehold, percentages });
      return typeof line === 'string' ? NaN : line.grams;
    };
    expect(salt('total')).to.be.closeTo(10, 1e-9);
    expect(salt('added')).to.be.closeTo(8, 1e-9);
  });
});

describe('numbers typed into the pantry', () => {
  it('are read with comma or point, below zero too, and told from nothing', () => {
    expect(['12,5', '12.5', ' 7 ', '-2', '−2'].map(numberIn)).to.deep.equal([
      12.5, 12.5, 7, -2, -2,
    ]);
    expect(numberIn('')).to.equal(undefined);
    expect(numberIn('many')).to.be.NaN;
  });

  it('a refusal is said at the field that it is about', () => {
    const refusal = {
      refused: true,
      says: 'not taken',
      body: {
        errors: [
          { where: 'body.protein', what: 'too much' },
          { where: 'body', what: 'not well' },
        ],
      },
    };
    expect(faultsOf(refusal)).to.deep.equal({ protein: 'too much', '': 'not well' });
    expect(faultsOf({ refused: true, says: 'not taken' })).to.deep.equal({ '': 'not taken' });
    expect(faultsOf({ refused: false, says: 'Saved.' })).to.deep.equal({});
  });
});

describe('the vial', () => {
  it('has a place for every level, and a level for every place', () => {
    expect(place(drawn[0])).to.equal(0);
    expect(place(drawn[1])).to.equal(100);
    expect(place(99)).to.equal(100);
    expect(pointsAt(place(3) / 100)).to.equal(3);
    expect(pointsAt(-1)).to.equal(drawn[0]);
    const { left, width } = stretch(-3, 4);
    expect(left + width).to.be.closeTo(place(4), 1e-9);
  });
});
