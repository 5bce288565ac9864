import { expect } from 'chai';
import { defaultMeasures } from '@tender-crumb/core/quantity';
import { readRecipe } from '@tender-crumb/core/reader';
import { tally } from '../checks/near.ts';
import { breads } from './set/breads.ts';
import { count, type Counted } from './set/count.ts';
import { shapes } from './set/shapes.ts';
import { written } from './set/written.ts';

/** Recipes of every shape, with what each of their rows means. */
const recipes = [
  ...Object.entries(shapes).flatMap(([shape, write]) =>
    breads.map((bread) => ({
      shape,
      text: write(bread),
      means: bread.lines.map(([grams, , id]) => `${id} ${grams}`),
    })),
  ),
  ...written,
];

describe('the reader’s own set: invented recipes of every shape', () => {
  const all = recipes.map((r) => ({ ...r, counted: count(r) }));
  const sum = (of: (c: Counted) => number) => all.reduce((n, { counted }) => n + of(counted), 0);
  const lines = recipes.reduce((n, r) => n + r.means.length, 0);

  it('is of at least 120 recipes', () => {
    expect(recipes.length).to.be.at.least(120);
    tally('Reader', 'recipes of the own set (invented)', recipes.length);
    tally('Reader', 'their lines', lines);
  });

  it('98 lines in 100 are read right', () => {
    const right = sum((c) => c.right);
    tally('Reader', 'lines read right, or asked about where they should be', right);
    tally(
      'Reader',
      'lines asked about that could have been read',
      sum((c) => c.asked),
    );
    expect(right / lines).to.be.at.least(0.98);
  });

  it('none is wrong, none is gone', () => {
    const told = (of: (c: Counted) => readonly string[]) =>
      all.flatMap(({ shape, counted }) => of(counted).map((line) => `${shape}: ${line}`));
    tally('Reader', 'lines wrong', told((c) => c.wrong).length);
    tally('Reader', 'lines dropped', told((c) => c.dropped).length);
    expect(told((c) => c.wrong)).to.deep.equal([]);
    expect(told((c) => c.dropped)).to.deep.equal([]);
  });

  it('every row of a text is somewhere: a line, a heading, the method, a note, asked about', () => {
    for (const { text } of recipes.filter((r) => !r.text.includes('<'))) {
      const { rows } = readRecipe(text, { measures: defaultMeasures });
      // What parts the pieces of a row is nobody's text.
      const bare = (of: string) => of.replace(/[\s,;:]+/g, ' ');
      const seen = bare(rows.map((r) => r.text).join(' '));
      for (const row of text
        .split('\n')
        .filter(
          (r) =>
            /\p{L}/u.test(r) && !/^\W*(?:Ingredient|Item)\b.*(?:%|Weight)|^\tUS\tMetric$/.test(r),
        )) {
        expect(seen, row).to.contain(
          bare(row.trim().replace(/^[^\p{L}\d☐•|]+/u, ''))
            .slice(0, 20)
            .trim(),
        );
      }
    }
  });
});
