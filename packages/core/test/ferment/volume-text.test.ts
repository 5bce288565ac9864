import { expect } from 'chai';
import { volumeText } from '../../src/ferment/index.ts';

describe('how high a dough stands, in words', () => {
  it('by its name where it stands there, about it elsewhere', () => {
    expect([1.25, 1.5, 1.75, 2, 2.5, 3].map(volumeText)).to.deep.equal([
      'a quarter more',
      'half again',
      'nearly double',
      'double',
      '2½ times',
      'triple',
    ]);
    expect([1.55, 2.1, 2.29, 9].map(volumeText)).to.deep.equal([
      'about half again',
      'about double',
      'about 2½ times',
      'about four times',
    ]);
  });

  it('two of a hundred off is at it, three are not', () => {
    expect(volumeText(2.035)).to.equal('double');
    expect(volumeText(2.06)).to.equal('about double');
  });
});
