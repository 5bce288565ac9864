import { expect } from 'chai';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { completeFormula, formulaSchema, type FormulaJson } from '../../src/index.ts';
import { build, read } from '../build.ts';

const valid = new Ajv2020({ allErrors: true }).compile(formulaSchema);

describe('formula format, version 1', () => {
  it('everything that the reader makes is valid by the published schema', () => {
    const { formula } = read(
      'Loaf\n\n3 cups bread flour\n1 cup water\n100 g starter\n1 heaping tsp salt (fine)',
    );
    expect(valid(formula), JSON.stringify(valid.errors)).to.equal(true);
  });

  it('reads back what it wrote', () => {
    const formula = build({ 'bread-flour': 500, water: 300 }, 'rolls', {
      'rye-whole': 50,
      water: 50,
    });
    const again = completeFormula(JSON.parse(JSON.stringify(formula)) as FormulaJson);
    expect(again).to.deep.equal(formula);
  });

  it('needs only ingredients and grams', () => {
    const json = {
      stages: [
        {
          lines: [
            { ingredient: 'bread-flour', grams: 500 },
            { ingredient: 'water', grams: 300 },
          ],
        },
      ],
    };
    expect(valid(json)).to.equal(true);
    expect(completeFormula(json as FormulaJson, 'rolls')).to.deep.include({
      style: 'rolls',
      taken: [],
      left: [],
    });
  });

  it('makes ids that stand twice distinct', () => {
    const line = { id: 'l1', ingredient: 'bread-flour', grams: 1 };
    const { stages } = completeFormula({
      stages: [
        { id: 's1', lines: [line, line] },
        { id: 's1', lines: [line] },
      ],
    });
    expect(new Set(stages.flatMap((s) => s.lines.map((l) => l.id))).size).to.equal(3);
    expect(new Set(stages.map((s) => s.id)).size).to.equal(2);
  });

  it('refuses negative and absurd amounts, unknown ingredients, words for numbers, strange fields', () => {
    const lines = (line: object) => ({ stages: [{ lines: [line] }] });
    const bad = [
      lines({ ingredient: 'bread-flour', grams: -1 }),
      lines({ ingredient: 'bread-flour', grams: 1e9 }),
      lines({ ingredient: 'sawdust', grams: 1 }),
      lines({ ingredient: 'bread-flour', grams: '500' }),
      lines({ ingredient: 'bread-flour', grams: 1, colour: 'blue' }),
      lines({ id: 'slip:s1:water', ingredient: 'bread-flour', grams: 1 }),
      { stages: [] },
      {},
    ];
    for (const json of bad) expect(valid(json), JSON.stringify(json)).to.equal(false);
  });
});
