import { expect } from 'chai';
import fc from 'fast-check';
import { defaultMeasures, seededRandom } from '@tender-crumb/core/quantity';
import { ledgerOf, readRecipe, type Answer } from '@tender-crumb/core/reader';
import { persons } from './writer/persons.ts';

const read = (text: string, answers: Record<string, Answer> = {}) =>
  readRecipe(text, { measures: defaultMeasures, answers });
const ledger = (text: string, answers?: Record<string, Answer>) => ledgerOf(read(text, answers));

/** Amounts as the law counts them, by a pattern of its own: a figure, and a unit of weight or of volume. */
const weighed =
  /(?<![\p{L}\d.,/])\d+(?:[.,]\d+)?\s?(?:kg|g|ml|oz|lb|cups?|tbsp|tsp)(?![\p{L}\d])/gu;

/** Rows as they come, of things, talk, headings and nonsense. */
const row = fc.oneof(
  fc
    .tuple(
      fc.integer({ min: 1, max: 900 }),
      fc.constantFrom('g', ' g', ' ml', ' oz', ' cups', ' tbsp', ' tsp', ' kg', ''),
      fc.constantFrom(
        'bread flour',
        'water',
        'starter',
        'blorp',
        'eggs, beaten',
        'oats, soaked in 40 g milk',
        'butter (or 20 g oil)',
        'flour for dusting',
        'salt with 3 g pepper',
        'yeast / 7 g sachet',
      ),
      fc.constantFrom('', ', divided', ' plus 12 g later', ' (2 tbsp)', ' at 30 °C', ', sifted'),
    )
    .map(([n, unit, name, more]) => `${n}${unit} ${name}${more}`),
  fc.constantFrom(
    'Knead for 10 minutes.',
    'Add 30 g raisins and fold twice.',
    'Makes 2 loaves of 450 g',
    'Levain',
    'For the dough:',
    'Glaze',
    'My gran baked it for 40 people.',
    'Notes',
    'hydration 70 %',
    'Method',
  ),
  fc.string({ maxLength: 40 }).map((s) => s.replace(/[\r\n]/g, ' ')),
);

describe('a reading, accounted for by place', () => {
  it('no amount of any text is without a destination', () => {
    fc.assert(
      fc.property(fc.array(row, { minLength: 1, maxLength: 14 }), (rows) => {
        const text = rows.join('\n');
        const pieces = ledger(text).flatMap((r) => r.pieces);
        const marked = pieces.filter((p) => p.to).map((p) => p.text);
        const bare = pieces.filter((p) => !p.to).map((p) => p.text);
        // What is left unmarked weighs nothing, and what the text weighs is marked.
        for (const left of bare) expect(left.match(weighed), left).to.equal(null);
        const said = (text.match(weighed) ?? []).length;
        const got = marked.reduce((n, m) => n + (m.match(weighed) ?? []).length, 0);
        expect(got, text).to.be.at.least(said);
      }),
      { numRuns: 400, seed: 25 },
    );
  });

  it('no grams of a row of the dough are in none of its lines', () => {
    const random = seededRandom(4);
    for (const who of persons.filter((p) => p.region !== 'us').slice(0, 12)) {
      const { text } = who.write(random, who.region);
      const { rows, formula } = read(text);
      const grams = new Map(formula.stages.flatMap((s) => s.lines).map((l) => [l.id, l.grams]));
      for (const { text: said, lines = [] } of rows.filter((r) => r.as === 'line')) {
        const amounts = [...said.matchAll(/(?<![\d.,-])(\d+) ?(?:g|gr|grams)\b/g)].map(
          (m) => +m[1]!,
        );
        const sum = lines.reduce((all, id) => all + grams.get(id)!, 0);
        for (const amount of amounts) expect(sum, said).to.be.at.least(amount * 0.99);
      }
    }
  });

  it('a row that no mark makes a heading never sends the rows below it elsewhere', () => {
    const random = seededRandom(25);
    const base = ['500 g bread flour', '340 g water', '10 g salt', '5 g instant yeast'];
    const words = [
      'butter',
      'seeds',
      'milk',
      'flour',
      'glaze it',
      'honey',
      'soft',
      'for',
      'the',
      'tin',
      'warm',
      'crust',
    ];
    const lines = (text: string) =>
      read(text).formula.stages.flatMap((s) =>
        s.lines.map((l) => `${s.kind} ${l.ingredient} ${Math.round(l.grams)}`),
      );
    const whole = lines(base.join('\n'));
    for (let i = 0; i < 400; i += 1) {
      const say = Array.from(
        { length: 2 + Math.floor(3 * random()) },
        () => words[Math.floor(random() * words.length)]!,
      );
      const at = 1 + Math.floor(random() * 3);
      const odd = say.join(' ');
      const text = [...base.slice(0, at), odd, ...base.slice(at)].join('\n');
      expect(lines(text), odd).to.include.members(whole);
    }
  });

  const go: ReadonlyArray<readonly [row: string, to: string]> = [
    ['500 g bread flour', 'dough'],
    ['Flour for dusting', 'outside'],
    ['Makes 2 loaves', 'yield'],
    ['Knead for ten minutes and let it rise.', 'step'],
    ['14 slices', 'yield'],
    ['Dough programme in the machine.', 'step'],
    ['Everybody likes it.', 'note'],
    ['30 g blorp', 'question'],
  ];
  for (const [said, to] of go)
    it(`“${said}”: ${to}`, () => {
      const rows = ledger(`Weir loaf\n\n400 g bread flour\n260 g water\n${said}`);
      expect(rows.at(-1)!.to).to.equal(to);
    });

  it('of one row the part for something else is beside the dough', () => {
    const [, row] = ledger('500 g bread flour\n30 g butter, plus a knob for the tin');
    expect(row!.pieces.filter((p) => p.to)).to.deep.equal([
      { text: '30 g', to: 'dough' },
      { text: 'a knob', to: 'outside' },
    ]);
  });

  it('how warm, how long and how much of a hundred weighs nothing', () => {
    const [, row] = ledger('500 g bread flour\n340 g water at 30 °C (68 %)');
    expect(row!.pieces.filter((p) => p.to)).to.deep.equal([
      { text: '340 g', to: 'dough' },
      { text: '30', to: 'note' },
      { text: '68 %', to: 'note' },
    ]);
  });

  it('moves out of the dough and into it, and back', () => {
    const text = '500 g bread flour\n60 g raisins\n20 g seeds for sprinkling';
    const grams = (answers?: Record<string, Answer>) =>
      read(text, answers).formula.stages.flatMap((s) => s.lines.map((l) => l.grams));
    expect(grams()).to.deep.equal([500, 60]);
    expect(grams({ '60 g raisins': { not: 'dough' } })).to.deep.equal([500]);
    expect(grams({ '20 g seeds for sprinkling': { goes: 'dough' } })).to.deep.equal([500, 60, 20]);
    const moved = read(text, { '60 g raisins': { not: 'dough' } }).formula.outside!;
    expect(moved.map((o) => o.says)).to.deep.equal(['60 g raisins', '20 g seeds for sprinkling']);
  });
});

describe('rows of a page', () => {
  it('stand on the lines of its source where its own data has them', () => {
    const source = [
      '<html><head>',
      '<script type="application/ld+json">',
      '{"@type": "Recipe", "name": "Weir loaf",',
      '"recipeIngredient": ["500 g bread flour",',
      '"320 g water", "9 g salt"],',
      '"recipeInstructions": "Mix and bake."}',
      '</script></head><body><p>x</p><div>y</div><p>z</p><p>z</p></body></html>',
    ].join('\n');
    expect(
      read(source)
        .rows.filter((r) => r.as === 'line')
        .map((r) => r.line),
    ).to.deep.equal([4, 5, 5]);
  });
});
