import { expect } from 'chai';
import { resolve, tellingWater, totals } from '@tender-crumb/core/formula';
import { build } from '../build.ts';

describe('the hydration that tells something', () => {
  const of = (dough: Parameters<typeof build>[0]) => totals(resolve(build(dough)))!;

  it('of a dough of milk or egg counts all liquids; of any other as the house counts', () => {
    expect(tellingWater(of({ 'bread-flour': 500, milk: 330 }), 'poured')).to.equal('effective');
    expect(tellingWater(of({ 'bread-flour': 500, water: 330 }), 'poured')).to.equal('poured');
    expect(tellingWater(of({ 'bread-flour': 500, water: 330 }), 'effective')).to.equal('effective');
  });

  it('from half of the water on it is poured', () => {
    const poured = (hydrationTotalFlour: number) =>
      tellingWater(
        { hydrationTotalFlour, effectiveHydration: 60 } as ReturnType<typeof of>,
        'poured',
      );
    expect([29.9, 30].map(poured)).to.deep.equal(['effective', 'poured']);
  });
});
