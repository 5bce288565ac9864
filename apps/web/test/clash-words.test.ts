import { expect } from 'chai';
import { offText } from '../src/lib/away/off-text.ts';
import { clashText } from '../src/lib/sync/clash-words.ts';

describe('what two devices say, and clocks that are off, in words', () => {
  it('a clash is called by its field, and nothing is said where nothing was', () => {
    expect(clashText({ path: ['protein'], was: 12, mine: 11, theirs: undefined })).to.deep.equal({
      place: 'protein, %',
      mine: '11',
      theirs: 'nothing',
    });
    const path = ['pans', { row: 'loaf' }];
    const was = { id: 'loaf', name: 'Loaf tin', millilitres: 1800 };
    expect(
      clashText({ path, was, mine: undefined, theirs: { ...was, millilitres: 2000 } }),
    ).to.deep.equal({
      place: 'tins and pots',
      mine: 'nothing',
      theirs: 'the name Loaf tin, millilitres 2000',
    });
    expect(clashText({ path: ['finished'], was: false, mine: true, theirs: false })).to.include({
      mine: 'yes',
      theirs: 'no',
    });
    expect(clashText({ path: ['cardBack'], was: 1, mine: 2, theirs: 3 }).place).to.equal(
      'card back',
    );
  });

  it('minutes up to two hours, hours up to two days, then days; ahead and behind', () => {
    const minute = 60_000;
    for (const [ms, says] of [
      [2 * minute, '2 minutes behind'],
      [1 * minute, '1 minute behind'],
      [119 * minute, '119 minutes behind'],
      [120 * minute, '2 hours behind'],
      [-24 * 60 * minute, '24 hours ahead of'],
      [47 * 60 * minute, '47 hours behind'],
      [48 * 60 * minute, '2 days behind'],
      [-1500 * 24 * 60 * minute, '1500 days ahead of'],
    ] as const)
      expect(offText(ms)).to.equal(says);
  });
});
