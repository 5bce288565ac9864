import { expect } from 'chai';
import { firstLoaves } from '@tender-crumb/core/exchange';
import { defaultHousehold } from '@tender-crumb/core/household';
import { methodView } from '@tender-crumb/core/view';
import { ovenHeat } from '../../src/process/oven-heat.ts';
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

  for (const formula of firstLoaves)
    it(`${formula.name}: baked as its own words say`, () => {
      const { rows, steps } = methodView({ formula, device: 'hand', household: defaultHousehold });
      const changed = rows.flatMap((r) => r.sentences.filter((s) => s.led !== 'followed'));
      expect(changed).to.deep.equal([]);
      // A note is not a step, and says nothing else than what is led.
      const { minutes, celsius } = steps.find((step) => step.kind === 'bake')!;
      const noted = ovenHeat(formula.notes ?? '');
      if (noted !== undefined) expect(celsius!.value).to.be.closeTo(noted, 5);
      const forSoLong = / for (\d+) minutes\.$/.exec(formula.notes ?? '')?.[1];
      if (forSoLong) expect(minutes.value).to.be.closeTo(Number(forSoLong), 5);
    });

  it('are ten, of names of their own', () => {
    expect(new Set(firstLoaves.map((f) => f.name)).size).to.equal(10);
  });
});
