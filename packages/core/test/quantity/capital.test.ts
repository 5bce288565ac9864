import { expect } from 'chai';
import { capital } from '@tender-crumb/core/quantity';

describe('a first letter that is large', () => {
  it('is that of the text alone; what is no letter stays, and nothing is nothing', () => {
    expect(['whole milk', 'élan vital', '½ cup', 'Milk', ''].map(capital)).to.deep.equal([
      'Whole milk',
      'Élan vital',
      '½ cup',
      'Milk',
      '',
    ]);
  });
});
