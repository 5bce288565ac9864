import { expect } from 'chai';
import { completeFormula } from '@tender-crumb/core/exchange';
import {
  addIngredient,
  addStage,
  editLine,
  moveLine,
  removeLine,
  setGrams,
  setPieces,
  takeCorrection,
  whatChanged,
  type Formula,
} from '@tender-crumb/core/formula';

const formula = completeFormula({
  name: 'Lockside',
  style: 'pan',
  stages: [
    {
      lines: [
        { ingredient: 'bread-flour', grams: 500 },
        { ingredient: 'water', grams: 300 },
        { ingredient: 'salt', grams: 9 },
      ],
    },
  ],
});

describe('what a version changed', () => {
  const cases: ReadonlyArray<readonly [string, (f: Formula) => Formula, string[]]> = [
    ['nothing', (f) => ({ ...f }), []],
    ['an amount', (f) => setGrams(f, 'l2', 312), ['water 300 g → 312 g']],
    ['a line more', (f) => addIngredient(f, 'honey', 20), ['honey 20 g added']],
    ['a line less', (f) => removeLine(f, 'l3'), ['fine salt 9 g taken out']],
    [
      'how it is measured',
      (f) => editLine(f, 'l1', { measured: 'spooned' }),
      ['strong bread flour: bag or measuring'],
    ],
    [
      'the name and style',
      (f) => ({ ...f, name: 'Quay', style: 'rolls' }),
      ['called “Quay”', 'style: rolls'],
    ],
    ['a part', (f) => addStage(f, 'soaker'), ['parts', 'order of the lines']],
    ['the order', (f) => moveLine(f, 'l3', -1), ['order of the lines']],
    ['pieces and notes', (f) => ({ ...setPieces(f, 9), notes: 'Warm.' }), ['notes', 'pieces']],
    [
      'a correction',
      (f) =>
        takeCorrection(f, {
          correction: 'water+',
          reason: '',
          basis: '',
          changes: [{ stage: 's1', ingredient: 'water', grams: 12 }],
        }),
      ['water 300 g → 312 g', 'corrections taken or left'],
    ],
  ];
  for (const [name, change, told] of cases) {
    it(name, () => {
      const said = whatChanged(formula, change(formula)).map((s) => s.replace(/\u202f/g, ' '));
      expect(said).to.deep.equal(told);
    });
  }
});
