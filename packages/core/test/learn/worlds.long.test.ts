import { expect } from 'chai';
import { feelOf, kitchenOf } from '@tender-crumb/core/belief';
import { feltBand } from '@tender-crumb/core/learn';
import { between } from '../checks/near.ts';
import { once } from '../once.ts';
import { bakesIn, heldIn, worlds, type Aims, type FeltBand } from './households.ts';

const feltOf: FeltBand = (at, household, belief) =>
  feltBand(at, feelOf(kitchenOf(household, belief)));

/** Of 100, where 80 is stated: what is asked of each world, but for those that are asked less or more. */
const usual: [number, number] = [72, 88];
const aims: Aims = {
  'unsteady hands (noise 3)': { felt: [65, 88] },
  'ten hands': { level: [72, 90], felt: [72, 92] },
};
/** No bake falls under this; and two bakes after a slip hold so many. */
const worst = 64;
const afterSlip = 70;

describe('households of worlds that bakers live in, many of them', () => {
  // The report has many, the long tier so many as hold the aims.
  const households = process.env['TENDER_CRUMB_CHECKS'] ? 2000 : 200;
  for (const [i, world] of worlds.entries()) {
    const seen = once(() => heldIn(bakesIn(world, households, 140 + i, feltOf)));
    const simulated = `${households} drawn households, 17 bakes each`;
    const { level = usual, felt = usual } = aims[world.says] ?? {};
    const group = 'Worlds';
    between(
      group,
      `${world.says}: level, from the fourth bake on`,
      simulated,
      () => seen().level,
      level,
    );
    between(group, `${world.says}: level, at its worst bake`, simulated, () => seen().worst, [
      worst,
      100,
    ]);
    between(group, `${world.says}: felt`, simulated, () => seen().felt, felt);
    if (world.slips)
      between(
        group,
        `${world.says}: level, two bakes after a slip`,
        simulated,
        () => seen().afterSlip,
        [afterSlip, 100],
      );
    it(`${world.says}: the forecast beats “as last time” and the formula alone`, () => {
      expect(seen().beats).to.equal(true);
    });
  }
});
