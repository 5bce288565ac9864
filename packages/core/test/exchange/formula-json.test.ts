import { expect } from 'chai';
import { Ajv2020 } from 'ajv/dist/2020.js';
import {
  completeFormula,
  formulaProblems,
  formulaSchemas,
  type FormulaJson,
} from '@tender-crumb/core/exchange';
import { build, read } from '../build.ts';

const valid = new Ajv2020({ allErrors: true }).compile(formulaSchemas[2]);

describe('formula format', () => {
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

  it('carries what stands round a dough through unchanged', () => {
    const json: FormulaJson = {
      name: 'Towpath poolish loaf',
      pieces: 2,
      piece: { kind: 'loaf', grams: 480 },
      size: '750 g',
      device: 'paddles',
      notes: 'The cold pantry, next time.',
      stages: [
        {
          id: 'poolish',
          kind: 'preferment',
          name: 'Poolish',
          lines: [{ id: 'a', ingredient: 'bread-flour', grams: 150 }],
          process: { minutes: 720, mostMinutes: 960, celsius: 20, place: 'room', end: 'peak' },
        },
        { id: 'dough', lines: [{ id: 'b', ingredient: 'bread-flour', grams: 350 }] },
      ],
      steps: [
        { says: 'Fold twice.', stage: 'dough' },
        { says: 'Bake.', process: { celsius: 230 } },
      ],
      outside: [{ id: 'o1', use: 'glaze', says: 'beaten egg', ingredient: 'egg', grams: 20 }],
      unread: [{ text: '3 blorps of malt', stage: 'dough', after: 'b' }],
    };
    expect(valid(json), JSON.stringify(valid.errors)).to.equal(true);
    expect(formulaProblems(json)).to.deep.equal([]);
    const { piece, size, device, notes, steps, outside, unread, stages } = completeFormula(json);
    expect({ piece, size, device, notes, steps, outside, unread }).to.deep.equal({
      piece: json.piece,
      size: json.size,
      device: json.device,
      notes: json.notes,
      steps: json.steps,
      outside: json.outside,
      unread: json.unread,
    });
    expect(stages[0]!.process).to.deep.equal(json.stages[0]!.process);
  });

  it('what it names has to be in it, and is said at its field', () => {
    const stages = [{ id: 's1', lines: [{ id: 'l1', ingredient: 'bread-flour', grams: 500 }] }];
    const problems = (more: Partial<FormulaJson>) =>
      formulaProblems({ stages, ...more }).map((p) => `${p.code} ${p.field}`);
    const change = { stage: 'oven', ingredient: 'water', grams: 5 };
    const taken = (more: object) => [{ id: 't1', correction: 'w', changes: [change], ...more }];
    expect(problems({ taken: taken({}) })).to.deep.equal([
      'unknown-stage taken[0].changes[0].stage',
    ]);
    expect(
      problems({ taken: taken({ stages: [{ id: 'oven', kind: 'starter', name: 'Starter' }] }) }),
    ).to.deep.equal([]);
    expect(problems({ steps: [{ says: 'Fold.', stage: 's2' }] })).to.deep.equal([
      'unknown-stage steps[0].stage',
    ]);
    expect(problems({ unread: [{ text: 'x', stage: 's1', after: 'l2' }] })).to.deep.equal([
      'unknown-line unread[0].after',
    ]);
    expect(problems({ unread: [{ text: 'x', stage: 's1', after: 'l1' }] })).to.deep.equal([]);
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
