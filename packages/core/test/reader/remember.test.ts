import { expect } from 'chai';
import { allLines } from '@tender-crumb/core/formula';
import { defaultHousehold } from '@tender-crumb/core/household';
import { readerOf, readRecipe, rememberAnswer } from '@tender-crumb/core/reader';

const nothing = { words: {}, each: {} };

describe('what is remembered of an answer', () => {
  it('the word, in small letters', () => {
    expect(
      rememberAnswer(nothing, '500 g Granny’s Best', 'Granny’s Best', { is: 'bread-flour' }),
    ).to.deep.equal({ words: { 'granny’s best': 'bread-flour' } });
  });

  it('the weight, by the unit that it is counted in', () => {
    expect(rememberAnswer(nothing, '3 figs', undefined, { is: 'figs', each: 50 })).to.deep.equal({
      each: { figs: 50 },
    });
    expect(
      rememberAnswer(nothing, '2 tins pumpkin', undefined, { is: 'pumpkin', each: 425 }),
    ).to.deep.equal({ each: { 'tin:pumpkin': 425 } });
  });

  it('nothing of what is no ingredient, and what was known before stays', () => {
    expect(rememberAnswer(nothing, 'serve warm', 'serve', { not: 'ingredient' })).to.deep.equal({});
    expect(
      rememberAnswer({ words: { a: 'water' }, each: {} }, 'b', 'B', { is: 'salt' }).words,
    ).to.deep.equal({ a: 'water', b: 'salt' });
  });

  it('is read with next time', () => {
    const text = '500 g bread flour\n320 g water\n2 tins pumpkin';
    const learned = rememberAnswer(nothing, '2 tins pumpkin', undefined, {
      is: 'pumpkin',
      each: 425,
    });
    const read = readRecipe(text, readerOf({ ...defaultHousehold, ...learned }));
    expect(allLines(read.formula).at(-1)!.grams).to.equal(850);
  });
});
