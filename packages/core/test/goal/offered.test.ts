import { expect } from 'chai';
import { resolve } from '@tender-crumb/core/formula';
import { candidatesOf, offeredFor } from '@tender-crumb/core/goal';
import { defaultHousehold, pantryIn } from '@tender-crumb/core/household';
import { cataloguePantry, ingredientFromLabel } from '@tender-crumb/core/ingredient';
import { build } from '../build.ts';

const lean = resolve(
  build({ 'vital-gluten': 160, 'flax-meal': 80, egg: 100, water: 230 }, 'low-carb'),
);

describe('what a pantry offers a bread', () => {
  it('a dry base is offered no cereal flour, a wheat bread is; nothing that is in it already', () => {
    const offered = offeredFor(lean, true, cataloguePantry);
    expect(offered.some((i) => i.role === 'flour')).to.equal(false);
    expect(offered.map((i) => i.id))
      .to.include('psyllium')
      .and.not.to.include('flax-meal');
    const wheat = resolve(build({ 'bread-flour': 500, water: 310 }));
    expect(offeredFor(wheat, false, cataloguePantry).map((i) => i.id)).to.include('whole-wheat');
  });

  it('the household’s own comes first', () => {
    const own = ingredientFromLabel('own-nettle', {
      name: 'Nettle meal',
      like: 'flax-meal',
      school: 'eu',
      protein: 25,
      fat: 5,
      carbohydrate: 12,
      fibre: 30,
      sugars: 2,
      salt: 0,
    });
    const pantry = pantryIn({ ...defaultHousehold, own: [own] });
    expect(offeredFor(lean, true, pantry)[0]!.id).to.equal('own-nettle');
  });

  it('lines of one thing are one candidate, what is offered begins at nothing', () => {
    const twice = resolve(
      build({ 'bread-flour': 400, water: 250 }, 'pan', { 'bread-flour': 50, water: 50 }),
    );
    const candidates = candidatesOf(twice, [cataloguePantry.ingredient('oil')], 's1');
    expect(candidates.map((c) => c.least ?? 0)).to.deep.equal([50, 50, 0]);
    expect(candidates.map((c) => [c.of.id, c.now])).to.deep.equal([
      ['bread-flour', 450],
      ['water', 300],
      ['oil', 0],
    ]);
  });
});
