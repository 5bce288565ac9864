import { expect } from 'chai';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { cooledAt, timeOfStep } from '@tender-crumb/core/lead';
import type { DeviceId } from '@tender-crumb/core/machine';
import type { TimedStep } from '@tender-crumb/core/schedule';
import type { Form } from '@tender-crumb/core/style';
import { bakeOf } from '@tender-crumb/core/view';
import { read } from '../build.ts';

const at = (hour: number, minute = 0) =>
  new Date(Date.UTC(2026, 11, 2, hour, minute)).toISOString();
const usual = { outOfPan: 10, cut: 60 };

const bake = (method: string, device: DeviceId) =>
  bakeOf({
    id: 'b',
    formula: read(
      `Weir loaf\n\n500 g bread flour\n330 g water\n10 g salt\n5 g instant yeast\n\nMethod\n${method}`,
    ).formula,
    method: device,
    events: [],
    household: defaultHousehold,
    belief: nothingLearned,
  });

describe('a bread that cools', () => {
  it('counts from when it came out, wherever the plan thought that it would', () => {
    expect(cooledAt({ begunAt: at(9) }, at(12), usual, at(9, 30))).to.deep.equal({
      outOfPan: at(9, 10),
      cut: at(10),
      ready: false,
    });
  });
  it('looked at ahead it counts from the plan; what is late comes out now', () => {
    expect(cooledAt({}, at(12), usual, at(9)).cut).to.equal(at(13));
    expect(cooledAt({}, at(9), usual, at(12)).cut).to.equal(at(13));
    expect(cooledAt({}, undefined, usual, at(12)).cut).to.equal(at(13));
  });
  it('is ready from the very minute on', () => {
    const ready = (now: string) => cooledAt({ begunAt: at(9) }, undefined, usual, now).ready;
    expect([ready(at(9, 59)), ready(at(10)), ready(at(10, 1))]).to.deep.equal([false, true, true]);
  });
  it('has no moment for what it has not: no tin, eaten hot', () => {
    expect(cooledAt({ begunAt: at(9) }, undefined, { outOfPan: 0, cut: 0 }, at(9))).to.deep.equal({
      ready: true,
    });
  });
  it('is measured into slices where it is one high bread; what is flat or small is not', () => {
    const sliced = (shape: string) =>
      bake(`${shape} Bake at 220 °C for 25 minutes.`, 'hand').sliced;
    expect(sliced('Shape it into a loaf.')).to.equal(true);
    expect(sliced('Shape into 8 rolls.')).to.equal(false);
    expect(sliced('Divide in two and shape two loaves.')).to.equal(false);
    const shaped = (form: Form, pieces: number) =>
      bakeOf({
        id: 'b',
        formula: read('Weir loaf\n\n500 g bread flour\n330 g water\n10 g salt\n5 g instant yeast')
          .formula,
        method: 'hand',
        events: [{ id: 'd', at: at(9), kind: 'divided', data: { form, pieces } }],
        household: defaultHousehold,
        belief: nothingLearned,
      }).sliced;
    expect(shaped('plait', 3)).to.equal(true);
    expect(shaped('flat', 1)).to.equal(false);
    expect(shaped('loaf', 1)).to.equal(true);
  });
  it('is cut when its plan is over: after as long as its recipe says', () => {
    const cut = (method: string) => {
      const view = bake(`Bake at 220 °C for 35 minutes. ${method}`, 'hand');
      const cool = view.steps.find((s) => s.kind === 'cool')!;
      return {
        cut: view.cooled(cool, at(12), at(9)).cut,
        plan: at(12, view.tasks.find((t) => t.kind === 'cool')!.usual),
      };
    };
    const [own, none] = [cut('Cool for 3 hours.'), cut('')];
    expect(own).to.deep.equal({ cut: at(15), plan: at(15) });
    expect(none.cut).to.equal(none.plan).and.not.equal(own.cut);
  });
  it('leaves a machine’s pan as the machine is done, and is taken out of no tin after that', () => {
    const told = (device: DeviceId) => {
      const view = bake('Mix it and let it rise.', device);
      const cool = view.steps.find((s) => s.kind === 'cool')!;
      const says = view.sentences(cool).map((s) => s.says);
      return [view.cooled(cool, undefined, at(9)).outOfPan, says.some((s) => /tin/.test(s))];
    };
    expect(told('hand')).to.deep.equal([at(9, 10), true]);
    expect(told('liquids-first')).to.deep.equal([undefined, false]);
  });
});

describe('the tasting', () => {
  const cool = { start: at(12), end: at(13), minutes: 60 } as TimedStep;
  it('comes when the bread has cooled, and any other step at the time of its task', () => {
    expect(timeOfStep({ kind: 'taste' }, cool)).to.include({ start: at(13), minutes: 0 });
    expect(timeOfStep({ kind: 'cool' }, cool)).to.equal(cool);
    expect(timeOfStep({ kind: 'taste' }, undefined)).to.equal(undefined);
  });
});
