import { expect } from 'chai';
import { bakeLoss, bakeState } from '@tender-crumb/core/bake';
import { pokeSays, hasDrunk, leadOf, signOf, wetFor } from '@tender-crumb/core/lead';
import { firstLoaves } from '@tender-crumb/core/exchange';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { deviceFor } from '@tender-crumb/core/process';
import { pieceKilograms } from '@tender-crumb/core/ferment';
import { breadOf, breadTasks, ways } from '@tender-crumb/core/schedule';

const loaf = (name: string) => firstLoaves.find((f) => f.name === name)!;
const breadOfLoaf = (name: string) =>
  breadOf({ id: 'b', formula: loaf(name) }, defaultHousehold, nothingLearned);
const tasksOf = (name: string) => {
  const bread = breadOfLoaf(name);
  return breadTasks(bread, ways['as-it-is'].of(bread)).tasks;
};

describe('a poke says what comes next, by the rise', () => {
  it('after the first rise a dough is shaped, and never baked', () => {
    for (const poke of ['slowly', 'stays'] as const) {
      expect(pokeSays('first', poke)).to.match(/shape/i);
      expect(pokeSays('first', poke)).not.to.match(/oven|bake/i);
      expect(pokeSays('final', poke)).to.match(/oven|bake/i);
    }
    for (const rise of ['first', 'final'] as const)
      expect(pokeSays(rise, 'at-once')).to.match(/^Not yet/);
  });
});

describe('when a dough is touched', () => {
  const begun = '2026-05-02T08:00:00.000Z';
  const after = (minutes: number) => new Date(Date.parse(begun) + minutes * 60_000).toISOString();
  it('goes by the time since flour met water', () => {
    expect(wetFor([{ kind: 'mix', begunAt: begun }], after(7))).to.equal(7);
    expect(
      wetFor(
        [
          { kind: 'autolyse', begunAt: begun },
          { kind: 'mix', begunAt: after(30) },
        ],
        after(35),
      ),
    ).to.equal(35);
    expect(wetFor([{ kind: 'weigh', begunAt: begun }, { kind: 'mix' }], after(7))).to.equal(
      undefined,
    );
    expect(wetFor([{ kind: 'mix', begunAt: begun }], after(-5))).to.equal(0);
    expect(wetFor([{ kind: 'mix', begunAt: begun }], after(-5.1))).to.equal(undefined);
  });
  it('in a machine it goes by the kneading, not by the button', () => {
    const steps = [{ kind: 'programme', begunAt: begun }] as const;
    expect(wetFor(steps, after(37), 30)).to.equal(7);
    expect(wetFor(steps, after(10), 30)).to.equal(undefined);
    expect(wetFor([{ kind: 'autolyse', begunAt: begun }], after(37), 30)).to.equal(37);
  });
  it('is settled on both sides of the threshold, and open where nothing was said', () => {
    expect(hasDrunk(24.9, 25)).to.equal(false);
    expect(hasDrunk(25, 25)).to.equal(true);
    expect(hasDrunk(undefined, 25)).to.equal(undefined);
  });
});

describe('what a loaf lost', () => {
  it('is not said where a weight is missing or no number', () => {
    expect(bakeLoss({ before: 900, after: NaN })).to.equal(undefined);
    expect(bakeLoss({ before: NaN, after: 800 })).to.equal(undefined);
    expect(bakeLoss({ before: 800 })).to.equal(undefined);
    expect(bakeLoss({ before: 900, after: 900 })).to.equal(0);
    expect(bakeLoss({ before: 900, after: 901 })).to.equal(undefined);
  });
});

describe('first loaves go by their own recipe', () => {
  it('the rolls are eight, of about 100 g, and a quarter of an hour in the oven', () => {
    expect(loaf('Plain rolls').pieces).to.equal(8);
    const { formula, lines } = breadOfLoaf('Plain rolls');
    expect(pieceKilograms(formula, lines)).to.be.closeTo(0.1, 0.01);
    expect(tasksOf('Plain rolls').find((t) => t.kind === 'bake')).to.deep.include({ celsius: 220 });
    expect(tasksOf('Plain rolls').find((t) => t.kind === 'bake')!.usual).to.equal(15);
    expect(loaf('Soft flatbreads').pieces).to.equal(8);
  });

  it('the loaf without kneading is stirred: in the plan, in the lead, at its sign', () => {
    const name = 'Hearth loaf without kneading';
    const formula = loaf(name);
    expect(deviceFor(formula, { lately: ['mixer'] })).to.equal('hand');
    const mix = tasksOf(name).find((t) => t.kind === 'mix')!;
    expect(mix.label).to.equal('Weigh and stir');
    const kneaded = tasksOf('White tin loaf').find((t) => t.kind === 'mix')!;
    expect(mix.usual).to.be.lessThan(kneaded.usual - 5);
    const facts = {
      step: { id: 'mix', kind: 'mix', label: '', task: 'mix', standing: 'ahead' },
      style: formula.style,
      device: 'hand',
      check: 'slack',
      state: bakeState([]),
      shaping: { pieces: 1, form: 'loaf' },
      cooling: { outOfPan: 10, cut: 60, says: '' },
      mixing: { minutes: 10, says: 'knead', tooLong: false },
      atSignal: [],
      yeast: true,
    } as const;
    const led = (unkneaded: boolean) =>
      leadOf({ ...facts, unkneaded })
        .map((s) => s.says)
        .join(' ');
    expect(led(true)).not.to.match(/then knead|heel of a hand/);
    expect(led(false)).to.match(/then knead/);
    expect(signOf({ ...facts, unkneaded: true })).not.to.match(/stretches thin/);
  });
});
