import { expect } from 'chai';
import { defaultMeasures, isRefused } from '@tender-crumb/core/quantity';
import { answerUnread, readRecipe } from '@tender-crumb/core/reader';

const reader = { measures: defaultMeasures };
const linesOf = (text: string, answers = {}) =>
  readRecipe(text, { ...reader, answers }).formula.stages.flatMap((s) =>
    s.lines.map((l) => `${l.ingredient} ${l.grams}`),
  );

describe('answers to what could not be read', () => {
  const text = '500 g bread flour, 30 g snorkel flour, 10 g salt';

  it('speak of their own part of a row, and not of the others on it', () => {
    const [asked] = readRecipe(text, reader).unread;
    expect(asked).to.include({ text: '30 g snorkel flour', what: 'snorkel flour' });
    expect(linesOf(text, { [asked!.text]: { is: 'rye-whole' } })).to.deep.equal([
      'bread-flour 500',
      'rye-whole 30',
      'salt 10',
    ]);
    expect(linesOf(text, { [asked!.text]: { not: 'ingredient' } })).to.deep.equal([
      'bread-flour 500',
      'salt 10',
    ]);
  });

  it('make a line of a stored row where it stood, or say why not', () => {
    const { formula } = readRecipe('500 g bread flour\n3 blorps gizmo\n10 g salt', reader);
    expect(formula.unread).to.have.length(1);
    const still = answerUnread(formula, 0, { is: 'water' }, reader);
    expect(isRefused(still)).to.equal(true);
    const made = answerUnread(formula, 0, { is: 'water', each: 50 }, reader);
    if (isRefused(made)) throw new Error(made.refused.says);
    expect(made).not.to.have.property('unread');
    expect(made.stages[0]!.lines.map((l) => `${l.ingredient} ${l.grams}`)).to.deep.equal([
      'bread-flour 500',
      'water 150',
      'salt 10',
    ]);
    const out = answerUnread(formula, 0, { not: 'dough' }, reader);
    if (isRefused(out)) throw new Error(out.refused.says);
    expect(out.outside).to.have.length(1);
  });

  it('amounts that no bread has are asked about: just above, not just below', () => {
    const asks = (line: string) =>
      readRecipe(`1000 g bread flour\n${line}`, reader).assumptions.some((a) =>
        a.text.includes('is that right'),
      );
    const edges = { salt: 50, 'instant yeast': 120, egg: 1000, sugar: 500, water: 1600 };
    for (const [of, most] of Object.entries(edges)) {
      expect(asks(`${most} g ${of}`), of).to.equal(false);
      expect(asks(`${most + 1} g ${of}`), of).to.equal(true);
    }
  });
});
