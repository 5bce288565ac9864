import { expect } from 'chai';
import type { BakeEvent } from '@tender-crumb/core/bake';
import { atWork, faultIds, timesOf, wentWrong, type FaultId } from '@tender-crumb/core/book';
import { level } from '@tender-crumb/core/dough';
import { resolve, setGrams, takeCorrection } from '@tender-crumb/core/formula';
import { nothingLearned, type Belief, kitchenOf } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { forBread, learnFromBake } from '@tender-crumb/core/learn';
import { pointsText } from '@tender-crumb/core/quantity';
import { coolingOf, styles } from '@tender-crumb/core/style';
import { aBake, at, loaf } from './a-bake.ts';

const why = (record: ReturnType<typeof aBake>, ...seen: FaultId[]) =>
  wentWrong(record, seen, defaultHousehold, nothingLearned);
const share = (record: ReturnType<typeof aBake>, fault: FaultId, cause: string) =>
  why(record, fault).find((c) => c.id === cause)?.share ?? 0;
const poke = (answer: 'at-once' | 'slowly' | 'stays') =>
  ({ id: 'p', at: at(1, 420), kind: 'poked', data: { rise: 'final', answer } }) as const;
const core = (celsius: number) =>
  ({ id: 'c', at: at(1, 500), kind: 'core', data: { celsius } }) as const;

describe('what went wrong with a loaf', () => {
  it('nothing is asked of a loaf of which nothing was seen; every fault has causes that sum to one', () => {
    expect(why(aBake(1))).to.deep.equal([]);
    for (const fault of faultIds) {
      const causes = why(aBake(1), fault);
      expect(causes.length, fault).to.be.greaterThan(1);
      expect(causes.reduce((s, c) => s + c.share, 0)).to.be.closeTo(1, 1e-9);
      for (const c of causes) expect(c.fix.says, c.id).to.match(/\.$/);
    }
  });

  it('goes by this bake’s own record: the same dense loaf, three records, three causes', () => {
    expect(why(aBake(1, { felt: -9, more: [poke('slowly')] }), 'dense')[0]!.id).to.equal('tight');
    expect(why(aBake(1, { felt: 1, more: [poke('at-once')] }), 'dense')[0]!.id).to.equal(
      'under-proofed',
    );
    const tired = aBake(1, { felt: 1, first: 400, more: [poke('slowly')] });
    expect(why(tired, 'dense')[0]!.id).to.equal('tired-leaven');
    expect(why(tired, 'dense')[0]!.evidence).to.contain('as long as forecast');
  });

  it('the further outside the window it felt, the likelier that is the cause', () => {
    const shares = [0, -3, -6, -10].map((felt) => share(aBake(1, { felt }), 'dense', 'tight'));
    expect(shares).to.deep.equal([...shares].sort((a, b) => a - b));
    expect(shares[0]).to.be.lessThan(0.15);
    expect(shares[3]).to.be.greaterThan(0.4);
  });

  it('a probe below done speaks for too short a bake, one above against it', () => {
    const [least] = styles.pan.baking.core;
    expect(why(aBake(1, { felt: 1, more: [core(least - 5)] }), 'gummy')[0]!.id).to.equal(
      'under-baked',
    );
    expect(
      share(aBake(1, { felt: 1, more: [core(least + 3)] }), 'gummy', 'under-baked'),
    ).to.be.lessThan(0.15);
  });

  it('a poke that stays: it stood too long; the fix is a note at its step', () => {
    const [cause] = why(aBake(1, { felt: 1, more: [poke('stays')] }), 'collapsed');
    expect(cause!.id).to.equal('over-proofed');
    expect(cause!.fix.note!.step).to.equal('final-proof');
  });

  it('a loaf that had two causes is told both; one that had one, that one', () => {
    const named = (record: ReturnType<typeof aBake>, ...seen: FaultId[]) =>
      atWork(why(record, ...seen)).map((c) => c.id);
    expect(named(aBake(1, { felt: -9, more: [poke('at-once')] }), 'dense')).to.have.members([
      'tight',
      'under-proofed',
    ]);
    expect(named(aBake(1, { felt: -9, more: [poke('slowly')] }), 'dense')).to.deep.equal(['tight']);
    expect(named(aBake(1, { felt: 1, more: [poke('at-once')] }), 'dense')).to.deep.equal([
      'under-proofed',
    ]);
    expect(named(aBake(1, { felt: 14, more: [poke('stays')] }), 'spread')).to.have.members([
      'loose',
      'over-proofed',
    ]);
    // Nothing noted: the likeliest, and no second one out of thin air.
    expect(named(aBake(1), 'gummy')).to.have.length(1);
    expect(atWork([])).to.deep.equal([]);
  });

  it('what its own record speaks for is named from a chance of .6 and a share of .12 on', () => {
    const [first, second] = why(aBake(1, { felt: -9, more: [poke('at-once')] }), 'dense');
    const named = (chance: number, share: number) =>
      atWork([
        { ...first!, chance: 0.9, share: 0.8 },
        { ...second!, chance, share },
      ]).length;
    expect(named(0.6, 0.12)).to.equal(2);
    expect(named(0.59, 0.12)).to.equal(1);
    expect(named(0.6, 0.11)).to.equal(1);
    // One that nothing speaks for is not named because it comes first.
    const unlikely = { ...first!, chance: 0.3, share: 0.8 };
    expect(atWork([unlikely, { ...second!, chance: 0.7, share: 0.2 }])).to.have.length(1);
    expect(atWork([unlikely])).to.deep.equal([unlikely]);
  });

  const touched = (points: number): BakeEvent[] => [
    { id: 'f', at: at(1, 10), kind: 'felt', data: { points } },
    { id: 'e', at: at(1, 610), kind: 'finished', data: {} },
  ];
  /** What a household believes after so many bakes that came out so. */
  const after = (bakes: number, felt: number): Belief =>
    Array.from({ length: bakes }).reduce<Belief>(
      (known) => learnFromBake(loaf, touched(felt), defaultHousehold, known, 'loaf')!.belief,
      nothingLearned,
    );

  it('a fix of the water brings the formula to the middle of its window, where the book takes it to be out', () => {
    for (const [felt, fault, id] of [
      [11, 'spread', 'loose'],
      [-12, 'dense', 'tight'],
    ] as const) {
      const belief = forBread(after(6, felt), 'loaf');
      const kitchen = kitchenOf(defaultHousehold, belief);
      const points = (of: typeof loaf) => level(resolve(of), kitchen)!.points;
      const [low, high] = styles.pan.window;
      expect(points(loaf) < low || points(loaf) > high, id).to.equal(true);
      const fixOf = (now: typeof loaf) =>
        wentWrong(aBake(1, { felt }), [fault], defaultHousehold, belief, now).find(
          (c) => c.id === id,
        )!.fix;
      const next = takeCorrection(loaf, {
        correction: 'x',
        reason: '',
        basis: '',
        changes: fixOf(loaf).changes!,
      });
      expect(fixOf(loaf).says).to.contain(id === 'loose' ? ' less water' : ' more water');
      // A gram is a fifth of a point of 500 g of flour.
      expect(points(next), id).to.be.closeTo((low + high) / 2, 0.5);
      // Once it is taken, the same loaf asks for care alone.
      expect(fixOf(next).changes, id).to.equal(undefined);
    }
  });

  it('a dough that was poured amiss changes nothing of its formula', () => {
    const [low, high] = styles.pan.window;
    for (const [felt, fault, id] of [
      [15, 'spread', 'loose'],
      [-12, 'dense', 'tight'],
    ] as const) {
      const belief = forBread(after(6, 1), 'loaf');
      const cause = wentWrong(aBake(1, { felt }), [fault], defaultHousehold, belief).find(
        (c) => c.id === id,
      )!;
      expect(cause.fix.changes).to.equal(undefined);
      expect(cause.fix.note!.step).to.equal('weigh');
      expect(cause.fix.says).to.contain(`${pointsText(low)} to ${pointsText(high)} is right`);
    }
  });

  it('too little salt and too much yeast are read off the dough', () => {
    const salt = loaf.stages[0]!.lines.find((l) => l.ingredient === 'salt')!.id;
    const none = aBake(1, { felt: 1, formula: setGrams(loaf, salt, 0) });
    expect(share(none, 'collapsed', 'little-salt')).to.be.greaterThan(
      3 * share(aBake(1, { felt: 1 }), 'collapsed', 'little-salt'),
    );
    const fix = why(none, 'collapsed').find((c) => c.id === 'little-salt')!.fix;
    expect(fix.changes).to.deep.equal([
      { stage: loaf.stages[0]!.id, ingredient: 'salt', grams: 9 },
    ]);
  });

  it('of two faults at once, what explains both comes first', () => {
    const both = why(aBake(1), 'gummy', 'wrinkled');
    expect(both[0]!.id).to.equal('under-baked');
    expect(both.find((c) => c.id === 'shaping')).to.equal(undefined);
  });

  it('without a poke the rise beside its forecast says it: short ones went in early, long ones late', () => {
    const usual = timesOf(aBake(1), defaultHousehold, nothingLearned)[1]!.thought!.middle;
    const final = (times: number) => aBake(1, { felt: 1, final: Math.round(usual * times) });
    const early = [0.4, 0.8, 1.2].map((t) => share(final(t), 'dense', 'under-proofed'));
    expect(early).to.deep.equal([...early].sort((a, b) => b - a));
    expect(early[0]! - early[2]!).to.be.greaterThan(0.2);
    const late = [0.8, 1.3, 2.2].map((t) => share(final(t), 'collapsed', 'over-proofed'));
    expect(late).to.deep.equal([...late].sort((a, b) => a - b));
    expect(late[2]! - late[0]!).to.be.greaterThan(0.2);
  });

  it('a cool oven and a hot one are told apart, once two bakes measured it', () => {
    const oven = (mean: number, bakes: number) => ({
      ...nothingLearned,
      measured: { oven: { mean, sd: 0.03, bakes } },
    });
    const of = (belief: Belief, fault: FaultId, id: string) =>
      wentWrong(aBake(1), [fault], defaultHousehold, belief).find((c) => c.id === id);
    const usual = of(nothingLearned, 'pale', 'cool-oven')!.share;
    expect(of(oven(0.3, 3), 'pale', 'cool-oven')!.share).to.be.greaterThan(2 * usual);
    expect(of(oven(-0.3, 3), 'pale', 'cool-oven')?.share ?? 0).to.be.lessThan(usual);
    expect(of(oven(-0.3, 3), 'dark', 'hot-oven')!.evidence).to.contain('74 % of the usual minutes');
    expect(of(oven(0.3, 3), 'dark', 'hot-oven')?.share ?? 0).to.be.lessThan(
      of(oven(-0.3, 3), 'dark', 'hot-oven')!.share,
    );
    // One bake is no evidence.
    expect(of(oven(0.3, 1), 'pale', 'cool-oven')!.share).to.equal(usual);
  });

  it('cut before it had cooled: just under and just over what is usual', () => {
    const cut = (minutes: number) =>
      share(
        aBake(1, {
          felt: 1,
          more: [
            { id: 'd', at: at(1, 400), kind: 'step', data: { step: 'bake', sense: 'done' } },
            {
              id: 'u',
              at: at(1, 400 + minutes),
              kind: 'step',
              data: { step: 'cool', sense: 'done' },
            },
          ],
        }),
        'gummy',
        'cut-early',
      );
    const usual = coolingOf('pan', 844).cut;
    const [early, nearly, cooled] = [0.59, 0.61, 1.01].map((t) =>
      cut(Math.round(usual * t * 10) / 10),
    );
    expect(early).to.be.greaterThan(nearly!);
    expect(nearly).to.be.greaterThan(cooled!);
    expect(cooled).to.be.lessThan(nearly! / 2);
  });
});
