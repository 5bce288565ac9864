import { expect } from 'chai';
import { allKinds, killAmidWrites, nothingWrong } from './kills.ts';

describe('two hundred kills amid writes', () => {
  it('lose nothing that was acknowledged, and leave the file sound', async () => {
    // Kitchens anew: what one bake was told in a hundred kills would be all that is measured.
    for (let kitchen = 0; kitchen < 8; kitchen += 1) {
      const { acknowledged, kinds, ...wrong } = await killAmidWrites(25);
      expect(acknowledged).to.be.greaterThan(25);
      expect([...kinds]).to.include.members(allKinds);
      expect(wrong).to.deep.equal(nothingWrong);
    }
  }).timeout(1_800_000);
});
