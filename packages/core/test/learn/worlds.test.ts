import { expect } from 'chai';
import { feelOf, kitchenOf } from '@tender-crumb/core/belief';
import { feltBand } from '@tender-crumb/core/learn';
import { between } from '../checks/near.ts';
import { once } from '../once.ts';
import { bakesIn, heldIn, worlds, type Aims, type FeltBand } from './households.ts';

const feltOf: FeltBand = (at, household, belief) =>
  feltBand(at, feelOf(kitchenOf(household, belief)));

/** Ends of what the bands may hold, of 100, where they are stated for 80: of the level, of the felt, at the worst bake. */
const aims: Aims = {
  'unsteady hands (noise 3)': { felt: [63, 88] },
  'ten hands': { level: [72, 91], felt: [72, 93] },
};

describe('households of worlds that bakers live in', () => {
  const households = 60;
  for (const [i, world] of worlds.entries()) {
    const seen = once(() => heldIn(bakesIn(world, households, 40 + i, feltOf)));
    const simulated = `${households} drawn households, 17 bakes each`;
    const { level = [71, 89], felt = [71, 89] } = aims[world.says] ?? {};
    between(
      'Learning',
      `${world.says}: the level’s 80 % band holds`,
      simulated,
      () => seen().level,
      level,
    );
    between(
      'Learning',
      `${world.says}: the felt’s 80 % band holds`,
      simulated,
      () => seen().felt,
      felt,
    );
    it(`${world.says}: no bake falls far behind, and the forecast beats “as last time” and the formula alone`, () => {
      expect(seen().worst).to.be.at.least(58);
      expect(seen().beats).to.equal(true);
      if (world.slips) expect(seen().afterSlip).to.be.at.least(66);
    });
  }
});
