import { expect } from 'chai';
import { bakeState, type BakeEvent, type WarmthPlace } from '@tender-crumb/core/bake';
import { frictionFrom, waterTemperature } from '@tender-crumb/core/ferment';
import { resolve, type Formula } from '@tender-crumb/core/formula';
import { frictionOf, nothingLearned, type Belief } from '@tender-crumb/core/belief';
import { z80 } from '@tender-crumb/core/coefficients';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import {
  frictionSeen,
  learnFromBake,
  learnedFigures,
  taughtFigures,
} from '@tender-crumb/core/learn';
import { kneadings, machines, type DeviceId } from '@tender-crumb/core/machine';
import { breadOf } from '@tender-crumb/core/schedule';
import { build } from '../build.ts';
import { between } from '../checks/near.ts';
import { once } from '../once.ts';
import { seeded } from '../seeded.ts';

const loaf = build({ 'bread-flour': 500, water: 320, salt: 9, 'instant-yeast': 5 });
const household: Household = { ...defaultHousehold, room: { celsius: 21 } };
const start = Date.parse('2026-10-04T08:00:00Z');
let n = 0;
const event = (minute: number, kind: string, data: object) =>
  ({
    id: `e${(n += 1)}`,
    at: new Date(start + minute * 60_000).toISOString(),
    kind,
    data,
  }) as BakeEvent;
const reads = (minute: number, of: WarmthPlace, celsius: number) =>
  event(minute, 'warmth', { of, celsius });
const begins = (minute: number) => event(minute, 'rise', { rise: 'first', sense: 'begun' });
/** Water of 25 °C, a dough of 27.5 °C that begins to rise after half an hour. */
const noted = (dough = 27.5, after = 35) => [
  reads(0, 'water', 25),
  begins(30),
  reads(after, 'dough', dough),
];
const seen = (
  events: readonly BakeEvent[],
  {
    formula = loaf,
    device = 'mixer',
    of = household,
  }: { formula?: Formula; device?: DeviceId; of?: Household } = {},
) =>
  frictionSeen({
    formula,
    lines: resolve(formula),
    state: bakeState(events),
    household: of,
    device,
  });

describe('the warmth of kneading, seen in a bake', () => {
  it('is what the balance of heat leaves of the dough’s warmth, for the way it was worked', () => {
    const found = seen(noted())!;
    expect(found.value).to.be.closeTo(
      frictionFrom(resolve(loaf), { water: 25, reached: 27.5, room: 21 })!,
      1e-9,
    );
    expect(found.of).to.deep.equal({ by: 'mixer' });
    expect(seen(noted(), { device: 'hand' })!.of).to.deep.equal({ by: 'hand' });
  });

  it('the dough’s thermometer counts until forty minutes after mixing, and the last reading of those', () => {
    expect(seen(noted(27.5, 70))).to.not.equal(undefined);
    expect(seen(noted(27.5, 71))).to.equal(undefined);
    const twice = [...noted(27.5), reads(60, 'dough', 26.5), reads(240, 'dough', 22)];
    expect(seen(twice)!.value).to.be.closeTo(seen(noted(26.5))!.value, 1e-9);
    // Kneaded long before the rise was begun on paper, it had cooled.
    const kneaded = event(10, 'step', { step: 'mix', sense: 'done' });
    expect(seen([...noted(27.5, 50), kneaded])).to.not.equal(undefined);
    expect(seen([...noted(27.5, 51), kneaded])).to.equal(undefined);
  });

  it('is not seen where one of both was not noted, or the flour stood in the water first', () => {
    expect(seen([begins(30), reads(35, 'dough', 27)])).to.equal(undefined);
    expect(seen([reads(0, 'water', 25), begins(30)])).to.equal(undefined);
    // Whoever taps only its end has begun it too; what was left out did not happen.
    const rested = (sense: string) => [...noted(), event(2, 'step', { step: 'autolyse', sense })];
    expect(seen(rested('begun'))).to.equal(undefined);
    expect(seen(rested('done'))).to.equal(undefined);
    expect(seen(rested('skipped'))).to.not.equal(undefined);
  });

  it('a thermometer that was misread teaches nothing: no mixing does that', () => {
    const at = (friction: number) =>
      noted(27.5 + friction - frictionFrom(resolve(loaf), { water: 25, reached: 27.5, room: 21 })!);
    expect(seen(at(19.9))).to.not.equal(undefined);
    expect(seen(at(20.1))).to.equal(undefined);
    expect(seen(at(-2.9))).to.not.equal(undefined);
    expect(seen(at(-3.1))).to.equal(undefined);
  });

  it('is surer where the room was read, and less where milk may have come from the fridge', () => {
    const sure = seen(noted())!.doubt!;
    expect(seen(noted(), { of: defaultHousehold })!.doubt).to.be.closeTo(3 * sure, 1e-9);
    const milky = build({ 'bread-flour': 500, water: 160, milk: 160, salt: 9 });
    const between = seen(noted(), { formula: milky })!;
    const from = (fridge: boolean) =>
      frictionFrom(resolve(milky), { water: 25, reached: 27.5, room: 21, fridge })!;
    expect(between.value).to.be.closeTo((from(true) + from(false)) / 2, 1e-9);
    expect(between.doubt).to.be.above(2 * sure);
  });

  it('not in a machine that brings everything to one warmth first', () => {
    const withMachine = (rest: number): Household => ({
      ...household,
      appliances: [
        {
          id: 'm',
          kind: 'machine',
          name: 'Old one',
          holds: 1,
          machine: {
            ...machines.upright,
            programmes: machines.upright.programmes.map((p) => ({
              ...p,
              stages: [
                { kind: 'rest' as const, minutes: rest },
                ...p.stages.filter((s) => s.kind !== 'rest'),
              ],
            })),
          },
        },
      ],
    });
    const device = machines.upright.loading;
    expect(seen(noted(), { device, of: withMachine(20) })).to.equal(undefined);
    expect(seen(noted(), { device, of: withMachine(0) })!.of).to.deep.equal({ by: 'machine' });
  });
});

describe('the warmth of kneading, learned', () => {
  const learn = (events: readonly BakeEvent[], before: Belief = nothingLearned) =>
    learnFromBake(loaf, events, household, before, 'weir', 'mixer')!;

  /** After six bakes of households whose mixer is drawn from the table’s own spread. */
  const found = once(() => {
    const random = seeded(12);
    const { value, sd } = kneadings.mixer.rise;
    const households = 400;
    let within = 0;
    let near = 0;
    for (let h = 0; h < households; h += 1) {
      const truth = value + sd * random.normal();
      let belief: Belief = nothingLearned;
      for (let bake = 0; bake < 6; bake += 1) {
        const desired = 25 + 3 * random.uniform();
        // Rooms are read to a degree, thermometers to a half; bowls and batches differ.
        const { celsius } = waterTemperature(resolve(loaf), {
          desired,
          room: 21 + random.normal(),
          rise: truth + 1.2 * random.normal(),
        })!;
        const read = (x: number) => Math.round(2 * x) / 2;
        belief = learn(
          [reads(0, 'water', read(celsius)), begins(30), reads(33, 'dough', read(desired))],
          belief,
        ).belief;
      }
      const known = frictionOf('mixer', household, belief);
      if (Math.abs(known.mean - truth) <= z80 * known.sd) within += 1;
      if (Math.abs(known.mean - truth) <= 1) near += 1;
    }
    return { within: within / households, near: near / households };
  });
  const simulated = '400 drawn households, six bakes each; 80 % is what is stated';
  between(
    'Learning',
    'warmth of kneading: its 80 % interval holds',
    simulated,
    () => found().within,
    [0.75, 0.86],
  );
  between('Learning', 'warmth of kneading: within 1 °C', simulated, () => found().near, [0.9, 1]);

  it('water is poured colder where kneading warms more, and the table says what it rests on', () => {
    let belief: Belief = nothingLearned;
    for (let i = 0; i < 4; i += 1) belief = learn(noted(30), belief).belief;
    const known = frictionOf('mixer', household, belief);
    expect(known.mean).to.be.above(kneadings.mixer.rise.value + 1.5);
    expect(known.bakes).to.equal(4);
    const bread = (of: Belief) =>
      breadOf({ id: 'weir', formula: loaf, device: 'mixer' }, household, of);
    expect(bread(belief).friction).to.equal(known.mean);
    const [row] = learnedFigures(household, belief).filter((f) => f.kind === 'friction');
    expect(row!.key).to.equal('friction:mixer');
    expect(row!.now.value).to.equal(known.mean);
    expect(row!.bakes).to.equal(4);
    // By hand it is as customary: nothing was noted of that.
    expect(frictionOf('hand', household, belief).bakes).to.equal(0);
  });

  it('a bake tells what it moved, and one that is set aside moves nothing', () => {
    const { lesson } = learn(noted(30));
    const [moved] = taughtFigures(lesson, household, 5);
    expect(moved!.says).to.equal('kneading (mixer, then hand) warms a dough by');
    expect(moved!.before).to.equal(kneadings.mixer.rise.value);
    expect(moved!.after).to.be.above(moved!.before);
    // What reads the same afterwards is no news: .04 of a degree do, .06 do not.
    const told = (after: number) =>
      taughtFigures(
        {
          taught: [],
          measured: [
            {
              key: 'friction:mixer',
              before: { mean: 4, sd: 1, bakes: 1 },
              after: { mean: after, sd: 0.9, bakes: 2 },
            },
          ],
        },
        household,
        5,
      ).length;
    expect([3.94, 3.96, 4, 4.04, 4.06].map(told)).to.deep.equal([1, 0, 0, 0, 1]);
    const aside = learn([...noted(), event(300, 'counts', { counts: false })]);
    expect(aside.belief).to.deep.equal(nothingLearned);
    expect(taughtFigures(aside.lesson, household, 5)).to.deep.equal([]);
  });
});
