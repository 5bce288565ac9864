import { expect } from 'chai';
import { bakeState, kitchenNow, type BakeEvent } from '@tender-crumb/core/bake';
import { completeFormula } from '@tender-crumb/core/exchange';
import { departure, doubtOf, nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { learnBook, learnFromBake, restBreads, type BookBake } from '@tender-crumb/core/learn';

const formula = completeFormula({
  stages: [
    {
      lines: [
        { ingredient: 'bread-flour', grams: 500 },
        { ingredient: 'water', grams: 310 },
      ],
    },
  ],
});
const felt = (points: number): BakeEvent => ({
  id: `f${points}`,
  at: '2026-05-01T08:00:00Z',
  kind: 'felt',
  data: { points, rested: true },
});
const bake = (id: string, ...events: BakeEvent[]): BookBake => ({
  id,
  circumstances: { day: '2026-05-01', kitchen: kitchenNow(defaultHousehold, formula) },
  formula,
  events,
});

/** The fold to its end, with what it reported on the way. */
function fold(bakes: readonly BookBake[]) {
  const steps = learnBook(bakes, defaultHousehold);
  const reported: number[] = [];
  for (;;) {
    const step = steps.next();
    if (step.done) return { ...step.value, reported };
    reported.push(step.value.done);
  }
}

describe('a book learned from the beginning', () => {
  it('is what its bakes teach one after the other, and says how far it is', () => {
    const bakes = [bake('a', felt(-6)), bake('b', felt(-4)), bake('c')];
    const { belief, lessons, reported } = fold(bakes);
    let by = nothingLearned;
    for (const { events } of bakes) {
      by = learnFromBake(formula, events, { ...defaultHousehold, today: '2026-05-01' }, by)!.belief;
    }
    expect(belief).to.deep.equal(by);
    expect([...lessons.keys()]).to.deep.equal(['a', 'b', 'c']);
    expect(reported).to.deep.equal([1, 2, 3]);
    expect(fold([]).belief).to.equal(nothingLearned);
  });

  it('a bake without a level teaches nothing and stands in nobody’s way', () => {
    const none = completeFormula({ stages: [{ lines: [{ ingredient: 'water', grams: 5 }] }] });
    const bakes = [{ ...bake('x', felt(3)), formula: none }, bake('a', felt(-6))];
    expect([...fold(bakes).lessons.keys()]).to.deep.equal(['a']);
    expect(fold(bakes).belief).to.deep.equal(fold([bakes[1]!]).belief);
  });

  it('flour that came only by the scale makes no lesson of a formula that has none', () => {
    const odd = completeFormula({
      stages: [
        {
          lines: [
            { id: 'l1', ingredient: 'bread-flour', grams: 0 },
            { ingredient: 'water', grams: 5 },
          ],
        },
      ],
    });
    const weighed: BakeEvent = {
      id: 'w',
      at: '2026-05-01T08:00:00Z',
      kind: 'weighed',
      data: { item: 'l1', grams: 500, byScale: true },
    };
    expect(learnFromBake(odd, [weighed, felt(3)], defaultHousehold, nothingLearned)).to.equal(
      undefined,
    );
  });
});

describe('a bake that is given up', () => {
  const event = (id: string, kind: 'abandoned' | 'retracted', of = ''): BakeEvent =>
    ({
      id,
      at: `2026-05-01T08:0${id}:00Z`,
      kind,
      data: kind === 'retracted' ? { event: of } : {},
    }) as BakeEvent;

  it('since the first time that it was said, until that is taken back', () => {
    expect(bakeState([felt(1)]).abandonedAt).to.equal(undefined);
    const twice = [event('1', 'abandoned'), event('2', 'abandoned')];
    expect(bakeState(twice).abandonedAt).to.equal('2026-05-01T08:01:00Z');
    expect(bakeState([...twice, event('3', 'retracted', '1')]).abandonedAt).to.equal(
      '2026-05-01T08:02:00Z',
    );
    expect(bakeState([event('1', 'abandoned'), event('3', 'retracted', '1')]).abandonedAt).to.equal(
      undefined,
    );
    expect(bakeState([felt(1), ...twice]).felt).to.have.length(1);
  });

  it('a bag that is used up rests after its last bake, and the rest is learned as if it had not', () => {
    const of = (bag: string) =>
      completeFormula({
        stages: [
          {
            lines: [
              { ingredient: 'bread-flour', grams: 500, bag },
              { ingredient: 'water', grams: 310 },
            ],
          },
        ],
      });
    const [old, now] = [of('old'), of('now')];
    const bakes = [-6, -4, -5, 2, 3, 1].map((points, i) => ({
      ...bake(`b${i}`, felt(points)),
      formula: i < 3 ? old : now,
    }));
    const bags = (finished: boolean) => [
      { id: 'old', name: 'Old sack', ingredient: 'bread-flour', ...(finished ? { finished } : {}) },
      { id: 'now', name: 'New sack', ingredient: 'bread-flour' },
    ];
    const learn = (finished: boolean) => {
      const steps = learnBook(bakes, { ...defaultHousehold, bags: bags(finished) });
      for (;;) {
        const step = steps.next();
        if (step.done) return step.value;
      }
    };
    const [kept, rested] = [learn(false).belief, learn(true).belief];
    expect(kept.keys).to.include('thirst:bag:old');
    expect(rested.keys).to.not.include('thirst:bag:old');
    for (const key of rested.keys)
      expect(departure(rested, key), key).to.be.closeTo(departure(kept, key), 1e-9);
    // What was known of it stays known, as it was when it was last baked with.
    const [before] = [learnUntil(3)];
    expect(departure(rested, 'thirst:bag:old')).to.be.closeTo(
      departure(before, 'thirst:bag:old'),
      1e-9,
    );
    expect(doubtOf(rested, 'thirst:bag:old', 1)).to.be.closeTo(
      doubtOf(before, 'thirst:bag:old', 1),
      1e-9,
    );
    function learnUntil(count: number) {
      const steps = learnBook(bakes.slice(0, count), { ...defaultHousehold, bags: bags(false) });
      for (;;) {
        const step = steps.next();
        if (step.done) return step.value.belief;
      }
    }
  });

  it('with more breads than are learned together it is what they teach one after the other', () => {
    const day = '2026-05-01';
    const breads = 260;
    // Each is baked twice and judged, so that there are some that rest, some that rest and come again.
    const bakes = Array.from({ length: 2 * breads }, (_, i): BookBake => ({
      ...bake(`k${i}`, felt((i % 7) - 3), {
        id: `o${i}`,
        at: '2026-05-01T12:00:00Z',
        kind: 'outcome',
        data: { stars: 1 + (i % 5), words: [], note: '' },
      } as BakeEvent),
      bread: `b${i % breads}`,
    }));
    let by = nothingLearned;
    for (const { events, bread } of bakes)
      by = restBreads(
        learnFromBake(formula, events, { ...defaultHousehold, today: day }, by, bread)!.belief,
      );
    expect(Object.keys(by.rested ?? {})).to.have.length.above(100);
    expect(fold(bakes).belief).to.deep.equal(by);
  }).timeout(20_000);
});
