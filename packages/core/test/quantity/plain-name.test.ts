import { expect } from 'chai';
import { completeFormula, csvCell } from '@tender-crumb/core/exchange';
import { plainName } from '@tender-crumb/core/quantity';

describe('names', () => {
  it('show all that is in them', () => {
    for (const sign of ['\u0000', '\u0007', '\n', '\u200e', '\u202e', '\u2066', '\ufeff', '\u0085'])
      expect(plainName(`Lock${sign}side`), JSON.stringify(sign)).to.equal('Lockside');
    expect(plainName('  Brød & Æbler, 2 × 500 g  ')).to.equal('Brød & Æbler, 2 × 500 g');
    // A joiner belongs to the letters of some languages and to pictures.
    expect(plainName('👩\u200d🍳')).to.equal('👩\u200d🍳');
  });

  it('of a formula are taken without what is not seen', () => {
    const stages = [{ lines: [{ ingredient: 'bread-flour', grams: 500 }] }];
    expect(completeFormula({ name: 'Lock\u202eside', stages }).name).to.equal('Lockside');
    expect(completeFormula({ name: '\u202e', stages }).name).to.equal('Formula');
  });
});

describe('a cell that a spreadsheet opens', () => {
  for (const text of [
    '=1+1',
    '+1+1',
    '-1+1',
    '@SUM(A1)',
    '-A1',
    '|cmd',
    '%x',
    ' =1+1',
    '\t=1+1',
    '\u200b=1+1',
    '＝1+1',
    '-1e3+1',
  ])
    it(`${JSON.stringify(text)} is kept a text`, () => expect(csvCell(text)).to.match(/^"?'/));
  for (const text of [
    '-1',
    '-1.5',
    '+2',
    '-.5',
    '1e-3',
    '-1,5',
    '0',
    '12',
    'rye - whole',
    'a=b',
    '',
  ])
    it(`${JSON.stringify(text)} stays as it is`, () =>
      expect(csvCell(text).replaceAll('"', '')).to.equal(text));
});
