import { expect } from 'chai';
import { allLines } from '@tender-crumb/core/formula';
import { defaultHousehold } from '@tender-crumb/core/household';
import { readerOf, readRecipe } from '@tender-crumb/core/reader';

const reader = readerOf(defaultHousehold);
const dough = '500 g bread flour\n320 g water\n';
const asOf = (row: string) => readRecipe(dough + row, reader).rows.at(-1)!.as;
const lines = (text: string) =>
  allLines(readRecipe(text, reader).formula).map((l) => `${l.ingredient} ${l.grams}`);

describe('sentences among the lines', () => {
  /** A sentence of so many characters, with a stop at its end. */
  const sentence = (length: number) =>
    `Flour that grew beside ${'the lock or '.repeat(9)}`.slice(0, length - 1) + '.';

  it('are kept as work or notes from 61 characters on; shorter ones are asked about if they speak of a thing', () => {
    expect(asOf(sentence(61))).to.be.oneOf(['note', 'step']);
    expect(sentence(61)).to.have.length(61);
    const short = 'The flour of the lock 12 g extra.';
    expect(asOf(short)).to.not.equal('note');
  });

  it('are no notes where an amount stands at their end', () => {
    const long = 'Strong white bread flour from the mill beside the lock, stone ground: 400 g.';
    expect(long.length).to.be.greaterThan(60);
    expect(asOf(long)).to.not.equal('note');
  });

  it('stand on a row of their own behind the last of several things', () => {
    const read = readRecipe(
      'Flat: 500 g flour, 400 g water, 10 g salt, 30 g olive oil. Mix, rest for an hour and bake hot.',
      reader,
    );
    expect(allLines(read.formula).map((l) => l.grams)).to.deep.equal([500, 400, 10, 30]);
    expect(read.formula.steps!.map((s) => s.says)).to.deep.equal([
      'Mix, rest for an hour and bake hot.',
    ]);
  });

  it('an amount in words behind its name is read', () => {
    expect(lines(`${dough}Salt ........ a teaspoon and a half`).at(-1)).to.match(/^salt 9/);
    expect(lines(`${dough}Honey: two tablespoons`).at(-1)).to.match(/^honey 4/);
  });
});
