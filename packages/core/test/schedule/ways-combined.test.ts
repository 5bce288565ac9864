import { expect } from 'chai';
import { nothingLearned } from '@tender-crumb/core/belief';
import { comingRises, isTimed, oneKitchen, timedPlan } from '@tender-crumb/core/schedule';
import type { BakeWished, TimedPlan, WayId } from '@tender-crumb/core/schedule';
import { breadOf, intoNight, wayCost } from '@tender-crumb/core/schedule';
import { benchOf, riseOf, usualPlace, type RiseAskedHere } from '@tender-crumb/core/view';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { isShapedCold, waterTemperature } from '@tender-crumb/core/ferment';
import { resolve, type Formula } from '@tender-crumb/core/formula';
import { machines } from '@tender-crumb/core/machine';
import type { StyleId } from '@tender-crumb/core/style';
import { read } from '../build.ts';

const dayZero = Date.UTC(2026, 11, 3);
const at = (hours: number) => new Date(dayZero + hours * 3_600_000).toISOString();
const hours = (iso: string) => (Date.parse(iso) - dayZero) / 3_600_000;
const home: Household = { ...defaultHousehold, zone: 'UTC' };

const sour = `Starter\n50 g bread flour\n50 g water\n\nDough\n450 g bread flour\n300 g water\n10 g salt`;
const brioche = (butter: number) =>
  `500 g bread flour\n100 g milk\n250 g egg\n60 g sugar\n${butter} g butter\n9 g salt\n8 g instant yeast`;

interface Wanted {
  readonly recipe: string;
  readonly style?: StyleId;
  readonly now: number;
  readonly ready: number;
  readonly room?: number;
  readonly household?: Household;
  readonly more?: Partial<BakeWished>;
}

function asked({
  recipe,
  style = 'pan',
  now,
  ready,
  room = 21,
  household = home,
  more = {},
}: Wanted) {
  const formula: Formula = { ...read(recipe, style).formula, style };
  return timedPlan({
    now: at(now),
    zone: 'UTC',
    bakes: [{ id: 'b', formula, room, readyBy: at(ready), device: 'hand', ...more }],
    week: household.week,
    resources: oneKitchen,
    household: { ...household, room: { celsius: room } },
    belief: nothingLearned,
  });
}
function planned(of: Wanted): TimedPlan {
  const answer = asked(of);
  if (!isTimed(answer)) throw new Error(answer.why);
  return answer;
}

const kinds = ({ steps }: TimedPlan) => steps.map((s) => s.kind);

describe('ways that combine', () => {
  it('less starter through the day, shaped into the fridge for the night', () => {
    const only: readonly WayId[] = ['amount-cold-proof'];
    const plan = planned({
      recipe: sour,
      style: 'hearth-white',
      now: 6,
      ready: 24 + 13,
      room: 27,
      more: { ways: only, ripe: true },
    });
    const [bake] = plan.bakes;
    expect(bake!.way).to.equal('amount-cold-proof');
    const proof = plan.steps.find((s) => s.kind === 'final-proof')!;
    expect(proof.uses.map((u) => u.resource)).to.deep.equal(['fridge']);
    expect(hours(proof.end) - hours(proof.start)).to.be.at.least(8);
    expect(hours(plan.steps.at(-1)!.end)).to.be.within(24 + 12, 24 + 13);
  });

  it('a warm place for the first rise of a cold kitchen, and the fridge for the last', () => {
    const plan = planned({
      recipe: sour,
      style: 'hearth-white',
      now: 10,
      ready: 24 + 13,
      room: 16,
      more: { ways: ['warm-cold-proof'], ripe: true },
    });
    const celsius = (kind: string) => plan.steps.find((s) => s.kind === kind)!.celsius;
    expect(plan.bakes[0]!.way).to.equal('warm-cold-proof');
    expect([celsius('first-rise'), celsius('final-proof')]).to.deep.equal([26, 4]);
  });

  it('asks no more of a leaven than a baker would, however it is pressed', () => {
    let counted = 0;
    const factors = [
      { recipe: sour, least: 0.25, most: 1.75 },
      {
        recipe: '500 g bread flour\n320 g water\n10 g salt\n4 g instant yeast',
        least: 0.1,
        most: 2,
      },
    ].flatMap(({ recipe, least, most }) =>
      [14, 21, 30].flatMap((room) =>
        [18, 22, 26, 30, 36, 48].map((ready) => {
          const plan = asked({
            recipe,
            now: 8,
            ready,
            room,
            more: { ways: ['amount', 'amount-cold-proof', 'as-it-is'], ripe: true },
          });
          if (!isTimed(plan)) return '';
          counted += 1;
          const leaven = plan.bakes[0]!.leaven;
          const by = leaven && 'changes' in leaven ? leaven.grams / leaven.now : 1;
          // A gram of a scale, and what a pre-ferment has grown, apart.
          return by >= least - 0.03 && by <= most + 0.03 ? '' : `${by} at ${room} °C by ${ready}`;
        }),
      ),
    );
    expect(factors.filter(Boolean)).to.deep.equal([]);
    expect(counted).to.be.at.least(25);
  });

  it('a sourdough stands in the room until it swells before the fridge, shorter where it is warm; yeast for an hour', () => {
    const before = (recipe: string, room: number) => {
      const { formula } = read(recipe, 'hearth-white');
      const bread = breadOf({ id: 'b', formula, room }, home, nothingLearned);
      return comingRises(bread, 'cold-first')!.first.dough.air[0]!.hours;
    };
    expect(before(sour, 30)).to.be.lessThan(before(sour, 21));
    expect(before(sour, 21)).to.be.within(1.5, 6);
    const yeast = '500 g bread flour\n320 g water\n10 g salt\n4 g instant yeast';
    expect([before(yeast, 30), before(yeast, 21)]).to.deep.equal([1, 1]);
  });
});

describe('a dough full of butter', () => {
  it('is mixed cool, chilled, shaped cold, and never stands in the warm', () => {
    const plan = planned({ recipe: brioche(200), style: 'rich', now: 8, ready: 17 });
    const order = kinds(plan);
    expect(order.indexOf('chill')).to.equal(order.indexOf('first-rise') + 1);
    expect(order.indexOf('shape')).to.equal(order.indexOf('chill') + 1);
    expect(plan.bakes[0]!.way).to.not.match(/warm/);
    expect(plan.bakes[0]!.water!.celsius).to.be.within(5, 32);
  });
  it('and shaped straight out of the fridge it is chilled there already', () => {
    const plan = planned({
      recipe: brioche(200),
      style: 'rich',
      now: 18,
      ready: 24 + 16,
      more: { ways: ['cold-first'] },
    });
    expect(kinds(plan)).to.not.include('chill');
  });
  it('starts at 15 g of fat for 100 g of flour: 95 g of butter for 500 g, not 90 (common practice)', () => {
    const of = (butter: number) => isShapedCold(resolve(read(brioche(butter), 'rich').formula));
    expect([of(90), of(95)]).to.deep.equal([false, true]);
    const oil = '500 g bread flour\n300 g water\n120 g olive oil\n9 g salt\n6 g instant yeast';
    expect(isShapedCold(resolve(read(oil).formula))).to.equal(false);
  });
  it('its milk is not poured hot (mixed to 23 °C, not 25)', () => {
    const { formula } = read(brioche(200), 'rich');
    const bread = breadOf({ id: 'b', formula, room: 21 }, home, nothingLearned);
    expect(bread.dough).to.equal(23);
    const { lines, dough: desired, room, friction: rise } = bread;
    expect(waterTemperature(lines, { desired, room, rise })!.celsius).to.be.below(35);
  });
});

describe('a machine that waits', () => {
  const kitchen: Household = {
    ...home,
    appliances: [{ id: 'm', kind: 'machine', name: 'Ours', holds: 1, machine: machines.upright }],
  };
  const loaf = `400 g bread flour\n260 g water\n8 g salt\n5 g instant yeast`;
  const breakfast = (recipe: string) =>
    planned({
      recipe,
      now: 18,
      ready: 24 + 8,
      household: kitchen,
      more: { device: kitchen.appliances[0]!.machine!.loading as never },
    });
  it('is filled in the evening and ready for breakfast, its timer told', () => {
    const plan = breakfast(loaf);
    const programme = plan.steps.find((s) => s.kind === 'programme')!;
    expect(hours(programme.start)).to.be.within(18, 22.5);
    expect(24 + 8 - hours(plan.steps.at(-1)!.end)).to.be.within(0, 1);
    expect(programme.timer).to.match(/^\d{1,2}:\d0$/);
    // Set when everything is in: no later than the programme is planned to end, and ten minutes before at most.
    const [h, m] = programme.timer!.split(':').map(Number);
    const shows = h! * 60 + m!;
    expect(programme.minutes - 10 - shows).to.be.within(0, 9);
  });
  it('does not wait with milk or egg in it', () => {
    const plan = breakfast(loaf.replace('260 g water', '260 g milk'));
    const programme = plan.steps.find((s) => s.kind === 'programme')!;
    expect(programme.timer).to.equal(undefined);
    expect(programme.minutes).to.be.below(300);
  });
});

describe('a rise whose end is in doubt', () => {
  const night = [{ from: 1350, to: 1830, what: 'hands', wish: 'asleep' }] as const;
  const step = (end: number, soonest: number, latest: number, doubt = 0.2) =>
    intoNight({ doubt, end, soonest, latest }, night);
  it('is told where it may run into the night, or be over before somebody is up', () => {
    expect([step(1340, 1280, 1350), step(1340, 1280, 1351)]).to.deep.equal([undefined, 'late']);
    expect([step(1840, 1830, 1900), step(1840, 1829, 1900)]).to.deep.equal([undefined, 'early']);
    // Planned to be over just as the night begins, it may run into it; just as it ends, it may be over before.
    expect([step(1350, 1280, 1400), step(1351, 1280, 1400)]).to.deep.equal(['late', undefined]);
    expect([step(1830, 1800, 1900), step(1829, 1800, 1900)]).to.deep.equal(['early', undefined]);
    // What ends by the clock, or in the middle of it, is another matter.
    expect([step(1340, 1280, 1400, 0), step(1500, 1400, 1600)]).to.deep.equal([
      undefined,
      undefined,
    ]);
    const power = night.map((n) => ({ ...n, what: 'power' as const }));
    expect(intoNight({ doubt: 0.2, end: 1340, soonest: 1280, latest: 1400 }, power)).to.equal(
      undefined,
    );
  });
  it('stands beside its step in the plan', () => {
    const evening = planned({
      recipe: sour,
      style: 'hearth-white',
      now: 12,
      ready: 24 + 13,
      more: { ways: ['cold-proof'], ripe: true },
    });
    const first = evening.steps.find((s) => s.kind === 'first-rise')!;
    const late = hours(first.latest) > 22.5 && hours(first.end) <= 22.5;
    expect(first.night).to.equal(late ? 'late' : undefined);
    expect(evening.steps.filter((s) => s.doubt === 0 && s.night)).to.deep.equal([]);
  });
});

describe('a curve goes on to where it is asked', () => {
  const { formula } = read('500 g bread flour\n320 g water\n10 g salt\n0.2 g instant yeast');
  const bench = benchOf({ formula, household: home, belief: nothingLearned });
  const last = (asked: Partial<RiseAskedHere>) =>
    riseOf(bench, { ...usualPlace(bench), ...asked }).curve.at(-1)!.hours;
  it('72 hours in the fridge, where it never comes to its end; as far as was asked where it does', () => {
    expect(last({ fridgeAfter: 1 })).to.be.closeTo(72, 1e-6);
    expect(last({ hours: 60 })).to.be.at.least(60 - 1e-6);
  });
});

describe('a recipe that proofs in the fridge', () => {
  const cold = `${sour}\n\nLet it rise until half as high again. Shape it. Proof it overnight in the fridge. Bake for 40 minutes.`;
  const why = (ready: number, recipe = cold) => {
    const plan = planned({ recipe, style: 'hearth-white', now: 8, ready, more: { ripe: true } });
    return [plan.bakes[0]!.way, plan.bakes[0]!.notWritten] as const;
  };
  it('goes there where there is a night; else it is told why not, and never in silence', () => {
    expect(why(24 + 13)).to.deep.equal(['cold-proof', undefined]);
    const [way, says] = why(21);
    expect(way).to.not.match(/cold-proof/);
    expect(says).to.equal('Its recipe proofs it in the fridge. No time for that.');
    const much =
      '500 g bread flour\n320 g water\n10 g salt\n20 g instant yeast\n\nLet it rise until doubled. Shape it. Proof it overnight in the fridge.';
    expect(why(24 + 13, much)[1]).to.match(/with this leaven it over-proofs/);
    expect(why(21, sour)[1]).to.equal(undefined);
  });
  it('with less leaven, or after a warm first rise, it is still its way', () => {
    const bread = breadOf({ id: 'b', formula: read(cold).formula }, home, nothingLearned);
    expect(wayCost(bread, 'cold-proof')).to.equal(0);
    expect(wayCost(bread, 'amount-cold-proof')).to.be.below(5);
    expect(wayCost(bread, 'warm-cold-proof')).to.be.below(5);
    expect(wayCost(bread, 'as-it-is')).to.be.above(10);
  });
});
