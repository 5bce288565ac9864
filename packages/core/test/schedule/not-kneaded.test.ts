import { expect } from 'chai';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { bakeOf } from '@tender-crumb/core/view';
import type { StyleId } from '@tender-crumb/core/style';
import { build } from '../build.ts';

const led = (style: StyleId, amounts: Record<string, number>) => {
  const view = bakeOf({
    id: 'b',
    formula: { ...build(amounts, style), style },
    method: 'hand',
    events: [],
    household: defaultHousehold,
    belief: nothingLearned,
  });
  const says = (kind: string) => {
    const step = view.steps.find((s) => s.kind === kind)!;
    return view
      .sentences(step)
      .map((s) => s.says)
      .join(' ');
  };
  return { view, kinds: view.steps.map((s) => s.kind as string), says };
};

// Facts of the trade: soda works as soon as it is wet; steam needs no oven.
describe('breads that are not kneaded, or in no oven', () => {
  it('soda bread is stirred, shaped and baked: no rise, no kneading', () => {
    const { kinds, says } = led('quick', {
      'plain-flour': 500,
      buttermilk: 400,
      salt: 8,
      'baking-soda': 7,
    });
    expect(kinds).to.not.include('first-rise');
    expect(kinds).to.not.include('final-proof');
    expect(says('mix'))
      .to.match(/stir/i)
      .and.not.match(/knead for/);
    expect(says('check')).to.match(/spoon/);
  });

  it('a stirred tin loaf is looked at by the spoon, and rises', () => {
    const { kinds, says, view } = led('stirred-tin', {
      'whole-wheat': 450,
      water: 400,
      salt: 8,
      'instant-yeast': 7,
    });
    expect(kinds).to.include('first-rise');
    expect(says('mix'))
      .to.match(/stir/i)
      .and.not.match(/heel of a hand/);
    expect(view.checkKind).to.equal('stirred');
  });

  it('steamed buns take no oven: water is boiled, and the lid stays on', () => {
    const { view, says } = led('steamed', {
      'plain-flour': 400,
      milk: 220,
      sugar: 35,
      'instant-yeast': 4,
    });
    for (const kind of ['heat', 'bake'] as const) {
      const task = view.tasks.find((t) => t.kind === kind)!;
      expect(task.uses, kind).to.deep.equal([]);
      expect(task.celsius, kind).to.equal(undefined);
    }
    expect(says('heat')).to.match(/boil/i).and.not.match(/oven/);
    expect(says('bake'))
      .to.match(/lid/)
      .and.not.match(/oven|probe/);
  });
});
