import { expect } from 'chai';
import { kitchenNow, type BakeEvent } from '@tender-crumb/core/bake';
import {
  departure,
  doubtOf,
  kitchenOf,
  nothingLearned,
  type Belief,
} from '@tender-crumb/core/belief';
import { level } from '@tender-crumb/core/dough';
import { resolve } from '@tender-crumb/core/formula';
import { defaultHousehold } from '@tender-crumb/core/household';
import {
  forBread,
  learnBook,
  mainFlour,
  nothingWatched,
  watchSack,
  type BookBake,
  type Lesson,
} from '@tender-crumb/core/learn';
import { build } from '../build.ts';
import { between } from '../checks/near.ts';
import { once } from '../once.ts';
import { seeded } from '../seeded.ts';

const key = 'thirst:bread-flour';
const loaf = build({ 'bread-flour': 500, water: 325, salt: 10, 'instant-yeast': 6 });
const lines = resolve(loaf);
const start = Date.UTC(2026, 0, 5);
const at = (n: number) => new Date(start + n * 7 * 86_400_000).toISOString();
const kitchen = kitchenNow(defaultHousehold, loaf);

type Answer = 'new' | 'odd' | 'neither';
const bake = (n: number, points: number, answer?: Answer): BookBake => ({
  id: `b${n}`,
  bread: 'loaf',
  formula: loaf,
  circumstances: { kitchen, day: at(n).slice(0, 10) } as BookBake['circumstances'],
  events: [
    { id: `f${n}`, at: at(n), kind: 'felt', data: { points } },
    ...(answer ? [{ id: `s${n}`, at: at(n), kind: 'sack', data: { sense: answer } }] : []),
  ] as BakeEvent[],
});
/** Learns a book: what is believed after it, before each bake, and each lesson. */
function book(bakes: readonly BookBake[]) {
  const before: Belief[] = [];
  const lessons: Array<Lesson | undefined> = [];
  const fold = learnBook(bakes, defaultHousehold);
  for (;;) {
    const step = fold.next();
    if (step.done) return { belief: step.value.belief, before, lessons };
    before.push(step.value.before);
    lessons.push(step.value.lesson);
  }
}
const forecast = (belief: Belief, n: number) =>
  level(
    lines,
    kitchenOf({ ...defaultHousehold, today: at(n).slice(0, 10) }, forBread(belief, 'loaf')),
  )!;

describe('another sack is noticed', () => {
  const after = (...deviations: number[]) =>
    deviations.reduce(
      (all, z) => {
        const { watch, asks } = watchSack(all.watch, z);
        return { watch, asks: [...all.asks, asks] };
      },
      { watch: nothingWatched, asks: [] as Array<number | undefined> },
    ).asks;
  it('by one dough beyond 3.7 deviations, two running beyond 1.6, or a sum beyond 2.5', () => {
    expect(after(3.69)).to.deep.equal([undefined]);
    expect(after(3.71)).to.deep.equal([1]);
    expect(after(1.59, 1.7)).to.deep.equal([undefined, undefined]);
    expect(after(1.61, 1.61)).to.deep.equal([undefined, 2]);
    expect(after(1.7, -1.7)).to.deep.equal([undefined, undefined]);
    // .8 above the slack each time: over 2.5 with the fourth; .64 too, .61 not.
    expect(after(1.4, 1.4, 1.4, 1.4)).to.deep.equal([undefined, undefined, undefined, 4]);
    expect(after(1.24, 1.24, 1.24, 1.24).at(-1)).to.equal(4);
    expect(after(1.21, 1.21, 1.21, 1.21).at(-1)).to.equal(undefined);
    expect(after(1.2, 0.4, 1.2, 0.4, 1.2)).to.deep.equal(Array(5).fill(undefined));
  });
  it('a dough far off counts 2.5 in the sum and no more', () => {
    // 1.9 and .5 above the slack make 2.4; with .8 it is 2.7.
    expect(after(3.6, 1.1)).to.deep.equal([undefined, undefined]);
    expect(after(3.6, 1.4)).to.deep.equal([undefined, 2]);
  });
  it('once asked, four doughs are let be', () => {
    expect(after(4.5, ...Array(5).fill(4.5))).to.deep.equal([1, ...Array(4).fill(undefined), 1]);
  });
  it('it is of the flour that moves the dough most', () => {
    const { slopes, priors } = level(lines, kitchenOf(defaultHousehold))!;
    expect(mainFlour({ slopes, priors })).to.equal(key);
    expect(
      mainFlour({ slopes: new Map([['touch', 1]]), priors: new Map([['touch', 1]]) }),
    ).to.equal(undefined);
  });
});

describe('what is answered', () => {
  const usual = forecast(nothingLearned, 0).points;
  const steady = [0.4, -0.6, 0.2, 0.5, -0.3, 0.1].map((off, n) => bake(n, usual + off));
  const jumped = (answer?: Answer) => {
    // From the seventh on five points drier.
    const off = [-5.2, -4.7].map((by, i) => bake(6 + i, usual + by));
    const asked = book([...steady, ...off]).lessons.findIndex((l) => l?.asks);
    expect(asked).to.be.within(6, 7);
    const bakes = [...steady, ...off].slice(0, asked + 1);
    const { bread, ...last } = bakes.at(-1)!;
    const felt = last.events[0]!.data as { points: number };
    bakes[asked] = { ...bake(asked, felt.points, answer), bread: bread! };
    return { ...book(bakes), asked };
  };
  it('a new sack: what the old one taught is gone, and its doughs so far are of the new one', () => {
    const [none, fresh] = [jumped(), jumped('new')];
    const off = (of: typeof none) => forecast(of.belief, of.asked + 1).points - usual;
    expect(off(fresh)).to.be.below(off(none) - 0.3);
    expect(departure(fresh.belief, key)).to.not.equal(departure(none.belief, key));
    expect(fresh.belief.watch![key]).to.deep.equal(nothingWatched);
  });
  it('unanswered its flour is in doubt by three points, “neither” by half of that; “differently” teaches little', () => {
    const slope = Math.abs(forecast(nothingLearned, 0).slopes.get(key)!);
    const sd = (of: { belief: Belief }) => doubtOf(of.belief, key, 0) * slope;
    const [none, neither, odd] = [jumped(), jumped('neither'), jumped('odd')];
    expect(sd(none)).to.be.above(sd(neither) + 0.5);
    expect(sd(neither)).to.be.above(sd(odd));
    const moved = (of: typeof none) =>
      Math.abs(departure(of.belief, key) - departure(of.before.at(-1)!, key));
    expect(moved(odd)).to.be.below(moved(neither));
  });
});

/** Books of forty bakes of one loaf; from a bake on its sack drinks otherwise, or never. */
function asked(
  noise: number,
  jump: number | undefined,
  households: number,
  seed: number,
  slips?: { readonly oneIn: number; readonly by: number },
) {
  const random = seeded(seed);
  const { slopes, priors, passing, points } = forecast(nothingLearned, 0);
  let [soon, later, falsely] = [0, 0, 0];
  const jumpsAt = 8;
  const bakesOf = jump === undefined ? 40 : jumpsAt + 6;
  for (let h = 0; h < households; h += 1) {
    const own = [...slopes].reduce(
      (sum, [k, slope]) => sum + slope * priors.get(k)! * random.normal(),
      0,
    );
    const bakes = Array.from({ length: bakesOf }, (_, n) =>
      bake(
        n,
        points +
          own +
          (jump !== undefined && n >= jumpsAt ? jump : 0) +
          Math.hypot(...passing.values()) * random.normal() +
          noise * random.normal() +
          (slips && random.uniform() < 1 / slips.oneIn ? slips.by : 0),
      ),
    );
    const { lessons } = book(bakes);
    const asks = lessons.flatMap((l, n) => (l?.asks ? [n] : []));
    falsely += asks.filter((n) => jump === undefined || n < jumpsAt).length;
    const first = asks.find((n) => n >= jumpsAt);
    if (first !== undefined && first < jumpsAt + 3) soon += 1;
    if (first !== undefined && first < jumpsAt + 6) later += 1;
  }
  return {
    soon: (100 * soon) / households,
    later: (100 * later) / households,
    falsely: falsely / households,
  };
}

// The report draws so many that a figure lies within one of a hundred; a sample of what somebody waits for, within nine.
const report = process.env['TENDER_CRUMB_CHECKS'] !== undefined;
const households = report ? 2000 : 150;
const sampled = report ? 0 : 9;

describe('a question that is asked in time, and seldom in vain', () => {
  const all = once(() => ({
    steady: asked(1.5, -5, households, 3),
    unsteady: asked(3, -5, households, 4),
    null: asked(1.5, undefined, households * 0.4, 5),
    nullUnsteady: asked(3, undefined, households * 0.4, 6),
    nullSlips: asked(1.5, undefined, households * 0.4, 7, { oneIn: 8, by: 10 }),
  }));
  const drawn = 'drawn households, one loaf a week; aims of the learning prototype';
  between(
    'Learning',
    'a sack 5 points drier is asked about by its third bake, of 100',
    drawn,
    () => all().steady.soon,
    [75 - sampled, 100],
  );
  between('Learning', 'the same of unsteady hands (noise 3)', drawn, () => all().unsteady.soon, [
    50 - sampled,
    100,
  ]);
  between('Learning', 'by its sixth bake', drawn, () => all().steady.later, [90, 100]);
  between(
    'Learning',
    'asked in vain in a year of 40 bakes',
    drawn,
    () => all().null.falsely,
    [0, 1],
  );
  between(
    'Learning',
    'the same of unsteady hands',
    drawn,
    () => all().nullUnsteady.falsely,
    [0, 1.5],
  );
  between(
    'Learning',
    'the same where one bake in eight is 10 points off',
    drawn,
    () => all().nullSlips.falsely,
    [0, report ? 3 : 3.5],
  );
});

/** Share of books whose dough lies in the 80 % band of its level, so many bakes after its sack was changed. */
function heldAfter(answer: Answer | undefined, households: number, seed: number) {
  const random = seeded(seed);
  const { slopes, priors, passing, points } = forecast(nothingLearned, 0);
  const jumpsAt = 8;
  const held = [0, 0, 0, 0, 0];
  const answered = { held: 0, of: 0 };
  for (let h = 0; h < households; h += 1) {
    const own = [...slopes].reduce(
      (sum, [k, slope]) => sum + slope * priors.get(k)! * random.normal(),
      0,
    );
    const doughs = Array.from(
      { length: jumpsAt + 6 },
      (_, n) =>
        points + own + (n >= jumpsAt ? -5 : 0) + Math.hypot(...passing.values()) * random.normal(),
    );
    const felt = doughs.map((d) => d + 1.5 * random.normal());
    let bakes = felt.map((f, n) => bake(n, f));
    let { before, lessons } = book(bakes);
    const askedAt = lessons.findIndex((l, n) => n >= jumpsAt && l?.asks);
    if (answer && askedAt >= 0) {
      bakes = bakes.map((b, n) => (n === askedAt ? bake(n, felt[n]!, answer) : b));
      ({ before, lessons } = book(bakes));
    }
    const holds = (n: number) => {
      const { low, high } = forecast(before[n]!, n);
      return doughs[n]! >= low && doughs[n]! <= high;
    };
    held.forEach((_, i) => (held[i]! += Number(holds(jumpsAt + i))));
    for (let n = askedAt + 1; askedAt >= 0 && n < doughs.length; n += 1) {
      answered.of += 1;
      answered.held += Number(holds(n));
    }
  }
  return {
    at: held.map((h) => (100 * h) / households),
    answered: (100 * answered.held) / answered.of,
  };
}

describe('bands after another sack', () => {
  const drawn = '150 drawn households, the sack 5 points drier; aims of the learning prototype';
  const unanswered = once(() => heldAfter(undefined, 150, 11));
  const answered = once(() => heldAfter('new', 150, 11));
  between(
    'Learning',
    'unanswered: level’s 80 % band at the third bake',
    drawn,
    () => unanswered().at[2]!,
    [50, 100],
  );
  between('Learning', 'unanswered: at the fifth', drawn, () => unanswered().at[4]!, [65, 100]);
  between('Learning', 'answered: from the answer on', drawn, () => answered().answered, [70, 90]);
});
