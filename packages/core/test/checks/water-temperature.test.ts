import { expect } from 'chai';
import {
  frictionByRule,
  frictionFrom,
  tapCelsius,
  iceFor,
  waterByRule,
  waterTemperature,
} from '@tender-crumb/core/ferment';
import { resolve } from '@tender-crumb/core/formula';
import { frictionOf, nothingLearned, withFriction } from '@tender-crumb/core/belief';
import { defaultHousehold, pantryIn, type Household } from '@tender-crumb/core/household';
import { kneadings } from '@tender-crumb/core/machine';
import { build } from '../build.ts';
import { near } from './near.ts';

const handbook = 'professional handbooks’ method, from memory';
const group = 'Water temperature';

describe('water temperature', () => {
  near(
    group,
    'water for 76 °F with 72, 68, 70 and friction 26',
    handbook,
    () => waterByRule(76, [72, 68, 70], 26),
    68,
    1e-9,
  );
  near(
    group,
    'water for 26 °C with 21, 22 and friction 10',
    handbook,
    () => waterByRule(26, [21, 22], 10),
    25,
    1e-9,
  );
  near(
    group,
    'friction of a dough of 80 °F from 70, 68, 75',
    handbook,
    () => frictionByRule(80, [70, 68, 75]),
    27,
    1e-9,
  );
  near(
    group,
    'ice in 10 kg of water from 20 to 5 °C',
    'heat of fusion of ice as 80 K of water, plain arithmetic',
    () => iceFor(10_000, 20, 5),
    1500,
    1e-9,
  );

  const dough = { 'fresh-hard-wheat': 450, water: 340, oil: 25, salt: 8 };
  const warm: Household = {
    ...defaultHousehold,
    bags: [{ id: 'crock', name: 'Crock', ingredient: 'fresh-hard-wheat', grind: 'fresh-warm' }],
  };
  const water = (household: Household, bag?: string) =>
    waterTemperature(
      resolve(build(dough, 'pan', undefined, bag ? { bag } : {}), pantryIn(household)),
      { desired: 26, room: 21, rise: 4 },
    )!;

  it('by heat balance agrees with the rule within 2 °C where everything stands in the room', () => {
    // The rule's friction for the same warmth of mixing: three times the rise, as three things count.
    const byRule = waterByRule(26, [21, 21], 3 * 4);
    expect(water(defaultHousehold).celsius).to.be.closeTo(byRule, 2);
  });

  it('flour from the mill hands its warmth on: colder water, and it says how warm', () => {
    const { celsius, warmFlour } = water(warm, 'crock');
    expect(warmFlour).to.equal(40);
    expect(water(defaultHousehold).celsius - celsius).to.be.within(6, 14);
  });

  it('leaves the heat where the balance of masses and temperatures has it (closed form)', () => {
    const { celsius } = water(defaultHousehold);
    const lines = resolve(build(dough));
    const capacity = (l: (typeof lines)[number]) => {
      const { water: w, protein, fat, carbohydrate } = l.of.composition;
      return l.grams * (w * 4.18 + protein * 2.04 + fat * 2.02 + carbohydrate * 1.59);
    };
    const total = lines.reduce((sum, l) => sum + capacity(l), 0);
    const heat = lines.reduce(
      (sum, l) => sum + capacity(l) * (l.ingredient === 'water' ? celsius : 21),
      0,
    );
    expect(heat / total + 4).to.be.closeTo(26, 1e-9);
  });

  it('says where water alone cannot do it, and nothing where none is poured', () => {
    const hot = waterTemperature(resolve(build(dough)), { desired: 26, room: 45, rise: 8 })!;
    expect(hot).to.include({ celsius: 2, beyond: true });
    const eggy = resolve(build({ 'bread-flour': 500, egg: 320 }));
    expect(waterTemperature(eggy, { desired: 26, room: 21, rise: 4 })).to.equal(undefined);
  });

  it('what mixing put in is found again from the water and the dough', () => {
    const lines = resolve(build({ 'bread-flour': 500, water: 320, milk: 60, salt: 10 }));
    for (const rise of [0, 3, 8]) {
      const before = { room: 21, fridge: true };
      const { celsius, beyond } = waterTemperature(lines, { desired: 27, rise, ...before })!;
      expect(beyond).to.equal(false);
      expect(frictionFrom(lines, { water: celsius, reached: 27, ...before })).to.be.closeTo(
        rise,
        1e-9,
      );
    }
    expect(
      frictionFrom(resolve(build({ 'bread-flour': 500, honey: 300 })), {
        water: 20,
        reached: 25,
        room: 21,
      }),
    ).to.equal(undefined);
    const milky = waterTemperature(resolve(build({ 'bread-flour': 500, milk: 320 })), {
      desired: 26,
      rise: 1,
      room: 20,
    })!;
    expect(milky.name).to.match(/milk/);
    expect(milky.celsius).to.be.within(27, 36);
    // Ice goes in place of water, never of milk.
    const hot = { desired: 20, rise: 6, room: 32 };
    expect(waterTemperature(resolve(build({ 'bread-flour': 500, milk: 320 })), hot)!.ice).to.equal(
      undefined,
    );
    expect(
      waterTemperature(resolve(build({ 'bread-flour': 500, water: 320 })), hot)!.ice,
    ).to.be.above(0);
  });

  it('milk and egg from the fridge want warmer water; what stands in the room does not', () => {
    const at = (amounts: Record<string, number>, fridge: boolean) =>
      waterTemperature(resolve(build(amounts)), { desired: 26, room: 21, rise: 1, fridge })!
        .celsius;
    const rich = { 'plain-flour': 500, water: 150, milk: 120, egg: 50, salt: 8 };
    expect(at(rich, true)).to.be.above(at(rich, false) + 5);
    const lean = { 'plain-flour': 500, water: 320, oil: 20, salt: 8 };
    expect(at(lean, true)).to.equal(at(lean, false));
  });

  it('ice where the water must be colder than the tap, as the trade reckons it', () => {
    const lines = resolve(build({ 'bread-flour': 1000, water: 650, salt: 20 }));
    const cold = waterTemperature(lines, { desired: 22, room: 30, rise: 5 })!;
    expect(cold.celsius).to.be.below(tapCelsius.value);
    expect(cold.ice).to.equal(Math.round(iceFor(650, tapCelsius.value, cold.celsius)));
    expect(waterTemperature(lines, { desired: 27, room: 20, rise: 1 })!.ice).to.equal(undefined);
  });

  it('a household’s own friction goes before the customary, and is not moved whole by one measurement', () => {
    const of = (friction: Household['friction'], by: 'mixer' | 'hand' = 'mixer') =>
      frictionOf(by, { friction }, nothingLearned);
    const { value, sd } = kneadings.mixer.rise;
    expect(of({})).to.deep.equal({ mean: value, sd, bakes: 0 });
    const once = withFriction({}, 'mixer', 7);
    // The customary 4 ± 2 and 7 ± 1 measured here: four parts of five are the measurement's.
    expect(of(once).mean).to.be.closeTo(6.4, 1e-9);
    expect(of(once).sd).to.be.closeTo(Math.sqrt(0.8), 1e-9);
    expect(withFriction(once, 'mixer', 9).mixer).to.equal(8);
    expect(of(once, 'hand').mean).to.equal(kneadings.hand.rise.value);
  });
});
