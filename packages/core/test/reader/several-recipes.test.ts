import { expect } from 'chai';
import { allLines } from '@tender-crumb/core/formula';
import { defaultHousehold } from '@tender-crumb/core/household';
import { readerOf, readRecipe } from '@tender-crumb/core/reader';

const reader = readerOf(defaultHousehold);
const weights = (text: string, which?: number) =>
  allLines(readRecipe(text, { ...reader, ...(which === undefined ? {} : { which }) }).formula).map(
    (l) => `${l.grams} ${l.ingredient}`,
  );

const white = ['500 bread-flour', '320 water', '9 salt', '5 instant-yeast'];
const rye = ['400 rye-whole', '340 water', '8 salt'];

const list = `White tin loaf
500 g bread flour
320 g water
9 g salt
5 g instant yeast
Knead for ten minutes and bake.

Rye loaf
400 g whole rye flour
340 g water
8 g salt`;

describe('two recipes in one text', () => {
  it('are told apart, one below the other: one is read, the other stays to be chosen', () => {
    const read = readRecipe(list, reader);
    expect(read.recipes).to.deep.equal(['White tin loaf', 'Rye loaf']);
    expect(read.formula.name).to.equal('White tin loaf');
    expect(weights(list)).to.deep.equal(white);
    expect(weights(list, 1)).to.deep.equal(rye);
    // What is asked for and is not there: the first.
    expect(weights(list, 7)).to.deep.equal(white);
    expect(readRecipe(list, { ...reader, which: 1 }).formula.name).to.equal('Rye loaf');
    // No line disappears.
    const rows = read.rows.filter((r) => r.as === 'other').map((r) => r.text);
    expect(rows).to.deep.equal(list.split('\n').slice(7));
    expect(read.formula.source).to.equal(list);
  });

  it('in a spreadsheet, by the column that names the bread', () => {
    const sheet = [
      'Recipe,Ingredient,Grams',
      'White tin loaf,Bread flour,500',
      'White tin loaf,Water,320',
      'White tin loaf,Salt,9',
      'White tin loaf,Instant yeast,5',
      'Rye loaf,Whole rye flour,400',
      'Rye loaf,Water,340',
      'Rye loaf,Salt,8',
    ].join('\n');
    expect(readRecipe(sheet, reader).recipes).to.deep.equal(['White tin loaf', 'Rye loaf']);
    expect(weights(sheet)).to.deep.equal(white);
    expect(weights(sheet, 1)).to.deep.equal(rye);
  });

  it('in cells without headings, with the unit in one of its own', () => {
    const cells = [
      'White tin loaf',
      'Bread flour\t500\tg',
      'Water\t320\tg',
      'Salt\t9\tg',
      'Instant yeast\t5\tg',
      '',
      'Rye loaf',
      'Whole rye flour\t400\tg',
      'Water\t340\tg',
      'Salt\t8\tg',
    ].join('\n');
    expect(weights(cells)).to.deep.equal(white);
    expect(weights(cells, 1)).to.deep.equal(rye);
  });

  for (const [what, text] of [
    [
      'a poolish and its dough',
      'Baton\n\nPoolish\n150 g flour\n150 g water\n1 g yeast\n\nFinal dough\n350 g flour\n180 g water\n10 g salt',
    ],
    [
      'two doughs of one bread',
      'Plait\n\nFirst dough\n300 g flour\n180 g milk\n4 g yeast\n\nSecond dough\n200 g flour\n60 g egg\n8 g salt',
    ],
    [
      'a bread and its filling',
      'Rolls\n500 g flour\n300 g milk\n8 g salt\n5 g yeast\n\nCinnamon butter\n80 g butter\n60 g sugar',
    ],
    ['a title twice', 'Rye loaf\n\nRye loaf\n400 g rye flour\n340 g water\n8 g salt'],
    ['no recipe at all', 'Good morning\n\nHow are you'],
  ] as const) {
    it(`${what} are one`, () => {
      expect(readRecipe(text, reader).recipes).to.deep.equal([]);
    });
  }

  it('a title over both goes with the first', () => {
    expect(readRecipe(`Breads of the week\n\n${list}`, reader).recipes).to.deep.equal([
      'White tin loaf',
      'Rye loaf',
    ]);
  });
});
