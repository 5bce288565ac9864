import { expect } from 'chai';
import { kitchenNow, type BakeEvent } from '@tender-crumb/core/bake';
import {
  bakeRecord,
  expectedOf,
  measureOf,
  timesOf,
  type BakeRecord,
} from '@tender-crumb/core/book';
import { completeFormula } from '@tender-crumb/core/exchange';
import { frictionFrom } from '@tender-crumb/core/ferment';
import { resolve } from '@tender-crumb/core/formula';
import { feelOf, kitchenOf, nothingLearned, type Belief } from '@tender-crumb/core/belief';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { feltBand, learnFromBake } from '@tender-crumb/core/learn';
import { kneadings } from '@tender-crumb/core/machine';
import { sumGrams } from '@tender-crumb/core/quantity';
import { ovenMinutes, styles } from '@tender-crumb/core/style';
import { between } from '../checks/near.ts';
import { once } from '../once.ts';
import { seeded } from '../seeded.ts';
import { aBake, at, loaf } from './a-bake.ts';

const household: Household = { ...defaultHousehold, room: { celsius: 21 } };
const dough = sumGrams(resolve(loaf));

/** A bake of a household whose oven, pan and hands are as they are: what was read of it. */
function made(day: number, read: { minutes: number; loss: number; warmth: number }): BakeEvent[] {
  const event = (minute: number, kind: string, data: object) =>
    ({ id: `${kind}-${minute}`, at: at(day, minute), kind, data }) as BakeEvent;
  return [
    event(1, 'warmth', { of: 'water', celsius: 25 }),
    event(20, 'warmth', { of: 'dough', celsius: read.warmth }),
    event(200, 'step', { step: 'bake', sense: 'begun' }),
    event(200 + read.minutes, 'step', { step: 'bake', sense: 'done' }),
    event(300, 'outcome', { words: [], note: '', before: 1000, after: 1000 * (1 - read.loss) }),
  ];
}
function inBook(day: number, events: BakeEvent[], before: Belief) {
  const { belief, lesson } = learnFromBake(loaf, events, household, before, 'loaf', 'mixer')!;
  const record = bakeRecord(
    {
      id: `b${day}`,
      bread: 'loaf',
      name: 'Loaf',
      method: 'mixer',
      startedAt: at(day, 0),
      formula: loaf,
      events,
      circumstances: { day: at(day, 0).slice(0, 10), kitchen: kitchenNow(household, loaf) },
      lesson,
    },
    household,
  );
  return { belief, record };
}

describe('where a measure of a bake was to be expected', () => {
  const ids = ['inOven', 'loss', 'doughWarmth'] as const;
  const bakes = 4;
  /** Shares of 500 drawn households whose first and last bake came out within what was forecast of it. */
  const held = once(() => {
    const random = seeded(4);
    const unkneaded = frictionFrom(resolve(loaf), { water: 25, reached: 0, room: 21 })!;
    const usual = ovenMinutes(styles.pan.baking, dough / 1000);
    const within = new Map<string, number>();
    const households = 500;
    for (let h = 0; h < households; h += 1) {
      const oven = 0.15 * random.normal();
      const loss = styles.pan.loss.value + styles.pan.loss.sd * random.normal();
      const { value, sd } = kneadings.mixer.rise;
      const friction = value + sd * random.normal();
      let belief = nothingLearned;
      const records: BakeRecord[] = [];
      for (let day = 1; day <= bakes; day += 1) {
        const lost = loss + 0.012 * random.normal();
        const events = made(day, {
          minutes: usual * Math.exp(oven + 0.12 * random.normal()),
          loss: lost,
          warmth: friction + 1.2 * random.normal() - unkneaded,
        });
        const learned = inBook(day, events, belief);
        ({ belief } = learned);
        records.push(learned.record);
      }
      // Read once the whole book is learned, as a chart is.
      for (const [i, record] of [records[0]!, records.at(-1)!].entries())
        for (const id of ids) {
          const { low, high } = expectedOf(id, record, household, belief)!;
          const value = measureOf(id).of(record)!;
          if (value >= low && value <= high)
            within.set(`${id} ${i}`, (within.get(`${id} ${i}`) ?? 0) + 1);
        }
    }
    return (id: string, i: number) => (within.get(`${id} ${i}`) ?? 0) / households;
  });
  for (const id of ids)
    for (const [i, when] of ['the first bake', `bake ${bakes}`].entries())
      between(
        'Forecasts of one measure',
        `${measureOf(id).says}, ${when}: share within its 80 % forecast`,
        '500 households drawn from the priors; 80 % is what is stated',
        () => held()(id, i),
        [0.75, 0.85],
      );

  it('is as it was believed before that bake, whatever was learned of it and after it', () => {
    const first = made(1, { minutes: 60, loss: 0.2, warmth: 29 });
    const { belief, record } = inBook(1, first, nothingLearned);
    for (const id of ['inOven', 'loss', 'doughWarmth'] as const) {
      expect(expectedOf(id, record, household, belief), id).to.deep.equal(
        expectedOf(id, record, household, nothingLearned),
      );
      const next = expectedOf(id, inBook(2, first, belief).record, household, belief)!;
      expect(next.middle, id).to.be.above(expectedOf(id, record, household, belief)!.middle);
      expect(next.high - next.low, id).to.be.below(
        1.3 *
          (expectedOf(id, record, household, belief)!.high -
            expectedOf(id, record, household, belief)!.low),
      );
    }
    // A rise that took long is not said to have been expected so.
    const slow = aBake(1, { first: 400 });
    const { belief: after } = learnFromBake(
      loaf,
      [
        { id: 'a', at: at(1, 20), kind: 'rise', data: { rise: 'first', sense: 'begun' } },
        { id: 'b', at: at(1, 420), kind: 'rise', data: { rise: 'first', sense: 'there' } },
      ] as BakeEvent[],
      defaultHousehold,
      nothingLearned,
    )!;
    const of = (belief: Belief, bake = slow) =>
      expectedOf('firstRise', bake, defaultHousehold, belief)!.middle;
    expect(of(after)).to.be.closeTo(of(nothingLearned), 1e-9);
    expect(of(after, aBake(2))).to.be.above(of(nothingLearned, aBake(2)) + 0.1);
  });

  it('of the touch it is the level’s own band with the finger’s error; of a judgement there is none', () => {
    const bake = aBake(1, { felt: 3 });
    const { low, high } = feltBand(bake.lesson!.mixed, feelOf(kitchenOf(household)));
    expect(expectedOf('felt', bake, household, nothingLearned)).to.deep.include({ low, high });
    for (const id of ['stars', 'height', 'water', 'spoonWater'] as const)
      expect(expectedOf(id, bake, household, nothingLearned), id).to.equal(undefined);
    expect(expectedOf('doughWarmth', bake, household, nothingLearned)).to.equal(undefined);
    // Of the dough's warmth only where the water still says something of it; less surely where no room was read.
    const water = { id: 'w', at: at(1, 1), kind: 'warmth', data: { of: 'water', celsius: 25 } };
    const rested = {
      id: 'r',
      at: at(1, 5),
      kind: 'step',
      data: { step: 'autolyse', sense: 'done' },
    };
    const warmth = (more: object[], of = household) =>
      expectedOf(
        'doughWarmth',
        aBake(1, { more: more as BakeEvent[], household: of }),
        of,
        nothingLearned,
      );
    expect(warmth([water, rested])).to.equal(undefined);
    const [read, unread] = [warmth([water])!, warmth([water], defaultHousehold)!];
    expect(unread.high - unread.low).to.be.above(read.high - read.low + 0.1);
  });

  it('minutes in the oven go by the recipe’s own, and by its pieces', () => {
    const inOven = (bake: BakeRecord) => timesOf(bake, household, nothingLearned).at(-1)!.thought!;
    const usual = ovenMinutes(styles.pan.baking, dough / 1000);
    expect(inOven(aBake(1)).middle).to.be.closeTo(usual, 1e-9);
    const written = completeFormula({
      ...loaf,
      steps: [{ says: 'Bake for 50 minutes at 200 °C.' }],
    });
    expect(inOven(aBake(1, { formula: written })).middle).to.be.closeTo(50, 1e-9);
    const twice = completeFormula({ ...loaf, pieces: 2 });
    expect(inOven(aBake(1, { formula: twice })).middle).to.be.closeTo(
      ovenMinutes(styles.pan.baking, dough / 2000),
      1e-9,
    );
  });
});
