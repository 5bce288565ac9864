import { expect } from 'chai';
import type { BakeEvent } from '@tender-crumb/core/bake';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { bakeOf } from '@tender-crumb/core/view';
import { read } from '../build.ts';

const { formula } = read(
  'Weir loaf\n\n500 g bread flour\n340 g water\n10 g salt\n5 g instant yeast\n80 g raisins\n\nMethod\nLet it rise for 2 hours. Fold it twice, every 30 minutes.\nBake covered for 20 minutes at 230 °C, then 20 minutes uncovered at 210 °C.',
);
const at = (minute: number) => new Date(Date.UTC(2026, 10, 30, 10, minute)).toISOString();
let n = 0;
const event = (minute: number, kind: string, data: object): BakeEvent =>
  ({ id: `e${(n += 1)}`, at: at(minute), kind, data }) as BakeEvent;
const begin = (step: string, minute: number) => event(minute, 'step', { step, sense: 'begun' });
const done = (step: string, minute: number) => event(minute, 'step', { step, sense: 'done' });
const bake = (...events: BakeEvent[]) =>
  bakeOf({
    id: 'b',
    formula,
    method: 'hand',
    events,
    household: defaultHousehold,
    belief: nothingLearned,
  });
const gates = (kind: string, minute: number, ...events: BakeEvent[]) => {
  const view = bake(...events);
  return view
    .gates(
      view.steps.find((s) => s.kind === kind)!,
      at(minute),
    )
    .map((g) => g.id);
};
const weigh = (of: string, minute: number): BakeEvent => {
  const item = bake().items.find((i) => i.ingredient === of)!;
  return event(minute, 'weighed', { item: item.id, grams: item.grams, byScale: false });
};

describe('gates: what stands in the way of a step', () => {
  it('a cold oven, then one that is not hot yet, then nothing', () => {
    const ready = event(0, 'rise', { rise: 'final', sense: 'there' });
    expect(gates('bake', 0)).to.deep.equal([]);
    expect(gates('bake', 0, ready)).to.deep.equal(['cold-oven']);
    const heats = begin('heat', 0);
    // The table's oven wants at least a quarter of an hour, and no two hours.
    expect(gates('bake', 5, ready, heats)).to.deep.equal(['oven-heats']);
    expect(gates('bake', 120, ready, heats)).to.deep.equal([]);
    expect(gates('bake', 5, ready, heats, done('heat', 4))).to.deep.equal([]);
    expect(gates('bake', 5, begin('bake', 4))).to.deep.equal([]);
  });

  it('raisins that are not in once it rises; silent where they are, or nothing was weighed here', () => {
    const some = [weigh('bread-flour', 0), weigh('water', 1), weigh('instant-yeast', 2)];
    const rises = [event(20, 'rise', { rise: 'first', sense: 'begun' })];
    expect(gates('first-rise', 21, ...some, ...rises)).to.include('add-ins');
    expect(gates('first-rise', 21, ...some, weigh('raisins', 3), ...rises)).to.not.include(
      'add-ins',
    );
    expect(gates('first-rise', 21, ...rises)).to.not.include('add-ins');
    expect(gates('mix', 5, ...some)).to.not.include('add-ins');
  });

  it('yeast that was not weighed in, unless all of it is said to be in', () => {
    const some = [weigh('bread-flour', 0), weigh('water', 1)];
    expect(gates('mix', 5, ...some)).to.include('leaven');
    expect(gates('mix', 5, ...some, done('weigh', 4))).to.not.include('leaven');
    expect(gates('mix', 5, ...some, weigh('instant-yeast', 2))).to.not.include('leaven');
    expect(gates('mix', 5)).to.not.include('leaven');
  });

  it('a fold from its minute on, for a quarter of an hour', () => {
    const rises = event(0, 'rise', { rise: 'first', sense: 'begun' });
    const due = (minute: number) => gates('first-rise', minute, rises).includes('fold');
    expect([29, 30, 44, 45, 60, 75].map(due)).to.deep.equal([
      false,
      true,
      true,
      false,
      true,
      false,
    ]);
  });

  it('the oven is turned down and the lid is off once the second part has begun', () => {
    const view = bake(begin('bake', 0));
    const step = view.steps.find((s) => s.kind === 'bake')!;
    expect(view.partNow(step, at(19))).to.include({ celsius: 230, lid: true });
    expect(view.partNow(step, at(20))).to.include({ celsius: 210, lid: false });
    expect(
      view
        .sentences(step)
        .map((s) => s.says)
        .join(' '),
    ).to.contain('First 20 min at 230 °C, lid on, then 20 min at 210 °C, lid off.');
    expect(
      view
        .sentences(step)
        .map((s) => s.says)
        .join(' '),
    ).to.not.match(/boiled water/);
  });

  it('without a probe other signs are told, and no core', () => {
    const view = bakeOf({
      id: 'b',
      formula,
      method: 'hand',
      events: [],
      household: { ...defaultHousehold, noProbe: true },
      belief: nothingLearned,
    });
    const step = view.steps.find((s) => s.kind === 'bake')!;
    expect(view.sign(step)).to.contain('hollow');
    expect(
      view
        .sentences(step)
        .map((s) => s.says)
        .join(' '),
    )
      .to.match(/Knock/)
      .and.not.match(/probe/);
    expect(bake().sign(bake().steps.find((s) => s.kind === 'bake')!)).to.match(/°C in the middle/);
  });

  it('a bread that nobody kneads is looked at once it is stirred', () => {
    const { formula: stirred } = read(
      'Loaf\n\n500 g bread flour\n380 g water\n10 g salt\n1 g instant yeast\n\nMethod\nStir it together without kneading.',
    );
    const whenOf = (of: typeof formula) => {
      const view = bakeOf({
        id: 'b',
        formula: of,
        method: 'hand',
        events: [],
        household: defaultHousehold,
        belief: nothingLearned,
      });
      return view.sentences(view.steps.find((s) => s.kind === 'check')!)[0]!.says;
    };
    expect(whenOf(stirred)).to.match(/after stirring/);
    expect(whenOf(formula)).to.match(/kneading/);
  });
});
