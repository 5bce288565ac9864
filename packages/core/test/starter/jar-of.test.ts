import { expect } from 'chai';
import type { Bag } from '@tender-crumb/core/ingredient';
import { awaitsPeak, hoursToPeak, jarOf } from '@tender-crumb/core/starter';
import { build } from '../build.ts';

const at = (hour: number) => new Date(Date.UTC(2026, 10, 26, hour)).toISOString();
const rye: Bag = { id: 'rye', kind: 'starter', name: 'Rye', ingredient: 'rye-whole' };
const white: Bag = { ...rye, id: 'white', name: 'White', ingredient: 'bread-flour' };

describe('hours to the peak', () => {
  it('are none before the feeding, nor days after it', () => {
    const after = (peakAt: string) => hoursToPeak({ at: at(8), peakAt });
    expect(after(at(8))).to.equal(undefined);
    expect(after(at(8 + 72))).to.equal(72);
    expect(after(at(8 + 73))).to.equal(undefined);
  });

  it('are awaited for as long, where nobody saw it yet', () => {
    expect(awaitsPeak({ at: at(8) }, at(8 + 72))).to.equal(true);
    expect(awaitsPeak({ at: at(8) }, at(8 + 73))).to.equal(false);
    expect(awaitsPeak({ at: at(8), peakAt: at(12) }, at(13))).to.equal(false);
  });
});

describe('the jar of a starter', () => {
  const sourdough = build({ 'bread-flour': 450, water: 300 }, 'hearth-white', { water: 50 });
  const stage = sourdough.stages.find((s) => s.kind === 'starter')!.id;
  const naming = (bag: string) => ({
    ...sourdough,
    stages: sourdough.stages.map((s) => (s.id === stage ? { ...s, bag } : s)),
  });

  it('is the one that it names, else the only one in use', () => {
    expect(jarOf(sourdough, stage, [rye])?.id).to.equal('rye');
    expect(jarOf(sourdough, stage, [rye, white])).to.equal(undefined);
    expect(jarOf(sourdough, stage, [rye, { ...white, finished: true }])?.id).to.equal('rye');
    expect(jarOf(naming('white'), stage, [rye, white])?.id).to.equal('white');
    expect(jarOf(naming('gone'), stage, [rye])).to.equal(undefined);
    expect(jarOf(sourdough, stage, [{ ...rye, kind: 'flour' }])).to.equal(undefined);
  });
});
