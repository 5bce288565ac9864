import { expect } from 'chai';
import { firstRiseOf, timesOf } from '@tender-crumb/core/book';
import {
  bakeCsvRow,
  bakeMarkdown,
  bakesCsvHead,
  linesCsvHead,
  linesCsvRows,
} from '@tender-crumb/core/exchange';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { practiceRound, watchedCourse } from '@tender-crumb/core/practice';
import { aBake, at } from './a-bake.ts';

const bake = aBake(3, {
  felt: 1,
  first: 75,
  final: 50,
  outcome: { stars: 4, note: '=a sum, "quoted"', words: ['dense'] },
  more: [
    { id: 'x', at: at(3, 400), kind: 'step', data: { step: 'bake', sense: 'begun' } },
    { id: 'z', at: at(3, 436), kind: 'step', data: { step: 'bake', sense: 'done' } },
    { id: 'a', at: at(3, 12), kind: 'added', data: { ingredient: 'water', grams: 15 } },
    { id: 'n', at: at(3, 450), kind: 'note', data: { step: 'bake', text: 'hot *spot*' } },
  ],
});

describe('times of a bake', () => {
  it('thought and real, each rise and the oven', () => {
    const times = timesOf(bake, defaultHousehold, nothingLearned);
    expect(times.map((t) => [t.says, t.took])).to.deep.equal([
      ['first rise', 75],
      ['final proof', 50],
      ['in the oven', 36],
    ]);
    for (const { thought } of times) {
      expect(thought!.low).to.be.lessThan(thought!.middle);
      expect(thought!.high).to.be.greaterThan(thought!.middle);
    }
    // 27 min for .5 kg, with mass to the power .6: as the oven's own table has it.
    expect(times[2]!.thought!.middle).to.be.closeTo(27 * (0.859 / 0.5) ** 0.6, 0.1);
  });

  it('the first rise is drawn past its end, with the place where it was said to be there', () => {
    const rise = firstRiseOf(bake, defaultHousehold, nothingLearned)!;
    expect(rise.took!.hours).to.equal(1.25);
    expect(rise.curve.at(-1)!.volume).to.be.greaterThan(1.8);
    // On the curve itself, at that hour.
    const after = rise.curve.findIndex((p) => p.hours > 1.25);
    expect(rise.took!.volume).to.be.within(
      rise.curve[after - 1]!.volume - 1e-9,
      rise.curve[after]!.volume + 1e-9,
    );
    expect(firstRiseOf(aBake(4), defaultHousehold, nothingLearned)!.took).to.equal(undefined);
  });
});

describe('a bake written down', () => {
  it('as a row with as many cells as its head, and no sum for a spreadsheet', () => {
    const cells = (row: string) => row.match(/("(?:[^"]|"")*"|[^,]*)(?:,|$)/g)!.slice(0, -1).length;
    expect(cells(bakeCsvRow(bake))).to.equal(cells(bakesCsvHead()));
    expect(bakeCsvRow(bake)).to.contain(`"'=a sum, ""quoted"""`);
    expect(linesCsvHead().split(',')).to.have.length(7);
    expect(linesCsvRows(bake).find((r) => r.includes(',water,,,15'))).to.not.equal(undefined);
  });

  it('as a sheet that Markdown reads as it was meant', () => {
    const sheet = bakeMarkdown(bake, defaultHousehold);
    expect(sheet).to.contain('**good** dense');
    expect(sheet).to.contain('| water | added | 15\u202fg |');
    expect(sheet).to.contain('hot \\*spot\\*');
    expect(sheet).to.contain('- first rise: 1 h 15 min');
  });
});

describe('what a practice dough does over time', () => {
  it('slow flour tightens it until it has drunk; white flour stays where it is', () => {
    const seeds = Array.from({ length: 60 }, (_, seed) => practiceRound('knead', seed));
    const whole = watchedCourse(seeds.find((r) => r.dough === 'whole')!).map((w) => w.at);
    expect(whole[0]! - whole.at(-1)!).to.be.greaterThan(4);
    const white = watchedCourse(seeds.find((r) => r.dough === 'white')!).map((w) => w.at);
    expect(new Set(white).size).to.equal(1);
  });

  it('a loaf goes on rising, and stands where it was called', () => {
    const round = practiceRound('proof', 3);
    const course = watchedCourse(round);
    for (let i = 1; i < course.length; i += 1)
      expect(course[i]!.at).to.be.at.least(course[i - 1]!.at);
    const near = course.reduce((n, w) =>
      Math.abs(w.minute - round.minute) < Math.abs(n.minute - round.minute) ? w : n,
    );
    expect(near.at).to.be.closeTo(round.truth, 0.12);
  });
});
