import { expect } from 'chai';
import { killAmidWrites } from './kills.ts';

describe('a server killed amid the writes of two clients', () => {
  it('has all that it acknowledged when it comes back, in a sound file, five times over', async () => {
    const { acknowledged, lost, unsound } = await killAmidWrites(5);
    expect(acknowledged).to.be.at.least(10);
    expect({ lost, unsound }).to.deep.equal({ lost: [], unsound: [] });
  }).timeout(60_000);
});
