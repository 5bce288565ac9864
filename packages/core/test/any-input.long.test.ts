import { expect } from 'chai';
import { tryAnyInput } from './any-input.ts';

describe('inputs of any shape', () => {
  it('go through reader, evaluation and learning: no exception, and every number is one', () => {
    const { judged, learned, exceptions, notFinite } = tryAnyInput(3000, 27182);
    expect(exceptions).to.deep.equal([]);
    expect(notFinite).to.deep.equal([]);
    expect(judged).to.be.greaterThan(1000);
    expect(learned).to.be.greaterThan(1000);
  }).timeout(120_000);
});
