import { expect } from 'chai';
import { killAmidWrites } from './kills.ts';

describe('two hundred kills amid writes', () => {
  it('lose nothing that was acknowledged, and leave the file sound', async () => {
    const { kills, acknowledged, lost, unsound } = await killAmidWrites(200);
    expect(kills).to.equal(200);
    expect(acknowledged).to.be.greaterThan(200);
    expect(lost).to.deep.equal([]);
    expect(unsound).to.deep.equal([]);
  });
});
