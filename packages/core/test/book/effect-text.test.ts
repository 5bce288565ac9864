import { expect } from 'chai';
import { effectText } from '../../src/book/index.ts';

describe('what a change did, in words', () => {
  it('grades in halves, nearly or over where it is not quite one', () => {
    const says = (effect: number) => effectText('stars', effect, 0.64).replace(' (± 0.6)', '');
    expect([-1.9, 0.5, 0.56, 1, 1.46, 2.7, 0.2, -0.1].map(says)).to.deep.equal([
      'nearly two grades worse',
      'half a grade better',
      'over half a grade better',
      'one grade better',
      'one and a half grades better',
      'over two and a half grades better',
      'hardly a grade better',
      'hardly a grade worse',
    ]);
  });

  it('a grade it is within a twentieth of one, and no further', () => {
    const says = (effect: number) => effectText('stars', effect, 0.5).replace(' (± 0.5)', '');
    expect([0.96, 1.04, 0.94, 1.06].map(says)).to.deep.equal([
      'one grade better',
      'one grade better',
      'nearly one grade better',
      'over one grade better',
    ]);
  });

  it('millimetres whole, points in tenths, each with its own words', () => {
    expect(effectText('height', -6.4, 3.6)).to.equal('6 mm lower (± 4)');
    expect(effectText('loss', 0.84, 0.31)).to.equal('0.8 points more (± 0.3)');
  });
});
