import { expect } from 'chai';
import { kitchenNow, type BakeEvent } from '@tender-crumb/core/bake';
import { replayBook, type KeptBake } from '@tender-crumb/core/book';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { forecastOf, learnBook, type BookBake } from '@tender-crumb/core/learn';
import { build } from '../build.ts';

const formula = build({ 'bread-flour': 500, water: 310, salt: 9, 'instant-yeast': 5 });
const at = (day: number, minute: number) =>
  new Date(Date.UTC(2026, 4, day, 8, minute)).toISOString();

/** A bread that is felt, and whose first rise is there after so many minutes. */
function bake(day: number, points: number, rose: number): BookBake {
  const events = [
    { kind: 'felt', data: { points, rested: true }, at: at(day, 20) },
    { kind: 'rise', data: { rise: 'first', sense: 'begun' }, at: at(day, 25) },
    { kind: 'rise', data: { rise: 'first', sense: 'there' }, at: at(day, 25 + rose) },
    { kind: 'step', data: { step: 'lamination', sense: 'done' }, at: at(day, 30 + rose) },
    { kind: 'finished', data: {}, at: at(day, 300) },
  ].map((e, i) => ({ id: `e${i}`, ...e }) as BakeEvent);
  return {
    id: `b${day}`,
    bread: 'loaf',
    method: 'hand',
    formula,
    events,
    circumstances: { day: `2026-05-0${day}`, kitchen: kitchenNow(defaultHousehold, formula) },
  };
}

/** As a kitchen keeps them: each with what it taught when it was learned. */
function kept(bakes: readonly BookBake[]): KeptBake[] {
  const fold = learnBook(bakes, defaultHousehold);
  let step = fold.next();
  while (!step.done) step = fold.next();
  const { lessons } = step.value;
  return bakes.map((b) => {
    const lesson = lessons.get(b.id)!;
    return { ...b, lesson, forecast: lesson.forecast };
  });
}

describe('a book gone through once more', () => {
  const book = kept([bake(1, -6, 70), bake(2, -4, 80), bake(3, 1, 75)]);

  it('by the rules that it was learned by, is and was are the same', () => {
    const again = [...replayBook(book, defaultHousehold)];
    expect(again.map((b) => b.id)).to.deep.equal(['b1', 'b2', 'b3']);
    for (const { forecast, lesson } of again) {
      expect(forecast.is).to.deep.equal(forecast.was);
      expect(lesson.is).to.deep.equal(lesson.was);
    }
    expect(again[0]!.forecast.is).to.deep.equal(
      forecastOf(formula, { ...defaultHousehold, today: '2026-05-01' }, nothingLearned),
    );
    // What the first two taught moved what was forecast for the third.
    expect(again[2]!.forecast.is!.points).to.be.below(again[0]!.forecast.is!.points - 0.5);
  });

  it('a figure that is another one now shows in every forecast, and what was stays what was', () => {
    const thirsty = { ...defaultHousehold, figures: { 'thirst:bread-flour': 0.7 } };
    const [first, ...later] = replayBook(book, thirsty);
    expect(first!.forecast.is!.points).to.be.below(first!.forecast.was!.points - 3);
    // Later ones less: the bakes before them said otherwise.
    for (const { forecast } of later)
      expect(forecast.is!.points).to.be.below(forecast.was!.points - 0.5);
  });

  it('says how long a step took beside what it would be planned for, and what nobody is led to', () => {
    const [first] = replayBook(book, defaultHousehold);
    const rise = first!.steps.find((s) => s.id === 'first-rise')!;
    expect(rise.took).to.equal(70);
    expect(rise.planned).to.be.within(40, 200);
    expect(first!.strays).to.deep.equal(['lamination']);
    expect(first!.device).to.equal('hand');
  });

  it('of an empty book there is nothing to go through', () => {
    expect([...replayBook([], defaultHousehold)]).to.deep.equal([]);
  });
});
