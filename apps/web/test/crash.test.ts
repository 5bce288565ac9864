import { expect } from 'chai';
import { allKinds, killAmidWrites, nothingWrong } from './kills.ts';

describe('a server killed amid the writes of two clients', () => {
  it('has all that it acknowledged when it comes back, in a sound file, twice over', async () => {
    const { acknowledged, kinds, ...wrong } = await killAmidWrites(2);
    expect(acknowledged).to.be.at.least(4);
    expect([...kinds]).to.include.members(allKinds);
    expect(wrong).to.deep.equal(nothingWrong);
  }).timeout(60_000);
});
