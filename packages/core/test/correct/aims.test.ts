import { expect } from 'chai';
import { calledFor } from '@tender-crumb/core/correct';
import { pastTouchDoubt, touchEnds, minded } from '@tender-crumb/core/dough';
import { edgeFor, windowFor } from '@tender-crumb/core/dough';
import type { StyleId } from '@tender-crumb/core/style';

const aims = (of: Partial<Record<StyleId, number>>) =>
  (Object.entries(of) as Array<[StyleId, number]>).map(([style, probability]) => ({
    window: windowFor(style, 0),
    edge: edgeFor(style, 0),
    probability,
  }));

// Worked by hand: the law of total probability over the windows of handbook section 4.
describe('what is called for where the bread is a guess', () => {
  const festive = (fruit: number, rich: number, rolls: number) =>
    calledFor(18.3, 7.2, aims({ 'fruit-rich': fruit, rich, rolls }));

  it('a dough of butter and fruit is held back no more surely than it is that it is one', () => {
    const known = calledFor(18.3, 7.2, aims({ 'fruit-rich': 1 }))!;
    expect(known.off).to.be.closeTo(18.3, 1e-9);
    expect(known.certainty).to.be.closeTo(0.97, 0.02);
    const guess = festive(0.55, 0.4, 0.05)!;
    expect(guess.off).to.be.closeTo(18.3, 1e-9);
    expect(guess.certainty).to.be.closeTo(0.6, 1e-9);
  });

  it('where most of what it may be wants next to nothing, nothing is offered', () => {
    expect(festive(0.35, 0.6, 0.05)).to.equal(undefined);
  });

  it('a firm dough that may be a ring is not surely too firm for a tin', () => {
    const at = (of: Partial<Record<StyleId, number>>) => calledFor(-6.4, 3.6, aims(of));
    expect(at({ pan: 1 })!.certainty).to.be.closeTo(0.81, 0.02);
    expect(at({ pan: 0.5, bagel: 0.3, 'hearth-yeast': 0.2 })!.certainty).to.be.closeTo(0.62, 0.02);
    expect(at({ pan: 0.35, bagel: 0.5, 'hearth-yeast': 0.15 })).to.equal(undefined);
  });

  it('asks for nothing inside, and half a point is worth it where the bread is known alone', () => {
    expect(calledFor(0, 3, aims({ pan: 1 }))).to.equal(undefined);
    expect(calledFor(5.4, 3, aims({ pan: 1 }))!.off).to.be.closeTo(0.4, 1e-9);
    expect(calledFor(5.4, 3, aims({ pan: 0.9, rolls: 0.1 }))).to.equal(undefined);
    expect(calledFor(5.6, 3, aims({ pan: 0.9, rolls: 0.1 }))!.off).to.be.closeTo(0.6, 1e-9);
  });
});

describe('past the touch', () => {
  it('doubt begins where a dough pools, and grows with the distance', () => {
    expect(pastTouchDoubt(touchEnds)).to.equal(0);
    expect(pastTouchDoubt(touchEnds + 1)).to.be.above(0);
    expect(pastTouchDoubt(24)).to.be.closeTo(3.5, 1e-9);
  });
  it('what cannot be felt is held against a dough by half; what is too tight, wholly', () => {
    expect(minded(24, 14)).to.be.closeTo(9, 1e-9);
    expect(minded(24, 4)).to.be.closeTo(2, 1e-9);
    expect(minded(13, 8)).to.equal(8);
    expect(minded(-9, -6)).to.equal(-6);
  });
});
