import { expect } from 'chai';
import { firstLoaves } from '@tender-crumb/core/exchange';
import { judge } from '../build.ts';

describe('breads to begin with', () => {
  for (const formula of firstLoaves) {
    it(`${formula.name}: in its window, and nothing to correct in water, flour or salt`, () => {
      const { level, window, corrections } = judge(formula);
      expect(level.points).to.be.within(window[0], window[1]);
      const kinds = corrections.map((c) => c.kind).filter((k) => k !== 'gluten' && k !== 'yeast');
      expect(kinds).to.deep.equal([]);
    });
  }

  it('are ten, of names of their own', () => {
    expect(new Set(firstLoaves.map((f) => f.name)).size).to.equal(10);
  });
});
