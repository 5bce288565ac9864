import { expect } from 'chai';
import { inOrder } from '@tender-crumb/core/schedule';

describe('breads of a day', () => {
  const bakes = ['rye', 'plait', 'rolls', 'later'].map((id) => ({ id }));
  const step = (bake: string, start: string) => ({ bake, start });

  it('stand as the day comes to them, by the moment and not by how it is written', () => {
    const steps = [
      step('rye', '2026-11-26T09:30:00+01:00'),
      step('plait', '2026-11-26T08:00:00Z'),
      step('rolls', '2026-11-26T12:00:00Z'),
      step('rolls', '2026-11-26T06:00:00Z'),
    ];
    expect(inOrder(bakes, steps).map((b) => b.id)).to.deep.equal([
      'rolls',
      'plait',
      'rye',
      'later',
    ]);
  });

  it('stay as they were given where nothing tells them apart', () => {
    expect(inOrder(bakes, [])).to.deep.equal(bakes);
    expect(inOrder(bakes, [step('later', '2026-11-26T06:00:00Z')]).map((b) => b.id)).to.deep.equal([
      'later',
      'rye',
      'plait',
      'rolls',
    ]);
  });
});
