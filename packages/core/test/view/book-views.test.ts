import { expect } from 'chai';
import { kitchenNow, type BakeEvent } from '@tender-crumb/core/bake';
import { nothingLearned } from '@tender-crumb/core/belief';
import { expectedOf, type BookEntry } from '@tender-crumb/core/book';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { comparedOf, keptBakeOf, lessonViewOf } from '@tender-crumb/core/view';
import { learnFromBake } from '@tender-crumb/core/learn';
import { build } from '../build.ts';

const loaf = build({ 'bread-flour': 500, water: 325, salt: 9, 'instant-yeast': 5 }, 'pan');
const [flour, water] = loaf.stages[0]!.lines;
const household: Household = {
  ...defaultHousehold,
  bakers: [{ id: 'joris', name: 'Joris' }],
  prices: { 'bread-flour': { paid: 2, kilograms: 1 } },
};
const at = (minute: number) => new Date(Date.UTC(2026, 4, 1, 8, minute)).toISOString();
const entry = (id: string, grams: number, points: number): BookEntry => {
  const events: BakeEvent[] = [
    { id: 'w', at: at(1), kind: 'weighed', data: { item: water!.id, grams, byScale: true } },
    { id: 'who', at: at(0), kind: 'baker', data: { baker: 'joris' } },
    { id: 'f', at: at(9), kind: 'felt', data: { points } },
    { id: 'x', at: at(10), kind: 'added', data: { ingredient: 'bread-flour', grams: 8 } },
    { id: 'b', at: at(60), kind: 'step', data: { step: 'bake', sense: 'begun' } },
    { id: 'd', at: at(99), kind: 'step', data: { step: 'bake', sense: 'done' } },
  ];
  const lesson = learnFromBake(loaf, events, household, nothingLearned)?.lesson;
  return {
    id,
    bread: 'l',
    name: 'Loaf',
    method: 'hand',
    startedAt: at(0),
    formula: loaf,
    events,
    circumstances: { day: '2026-05-01', kitchen: kitchenNow(household, loaf) },
    ...(lesson ? { lesson } : {}),
  };
};
const one = entry('one', 340, 3);
const two = entry('two', 325, 0);

describe('a bake in the book, as it is shown', () => {
  const view = keptBakeOf({ entry: one, before: two, household, belief: nothingLearned });

  it('stands beside its plan line by line, in grams and of the flour that went in', () => {
    const row = (id: string) => view.beside.find((r) => r.id === id)!;
    expect(row(water!.id)).to.include({ planned: 325, made: 340 });
    expect(row(water!.id).percent).to.be.closeTo((100 * 340) / 508, 0.01);
    expect(row(flour!.id)).to.include({ planned: 500, made: 500 });
    const added = view.beside.find((r) => r.planned === undefined)!;
    expect(added).to.include({ name: row(flour!.id).name, made: 8 });
  });

  it('says who baked it, how long that was thought to take, and what differed from the one before', () => {
    expect(view.by).to.equal('Joris');
    const oven = view.times.find((t) => /oven/.test(t.says))!;
    expect(oven.took).to.equal(39);
    const expected = expectedOf('inOven', view.record, household, nothingLearned)!;
    expect(oven.thought!.middle).to.be.closeTo(expected.middle, 1e-9);
    expect(JSON.stringify(view.changed)).to.contain('water');
    expect(view.cost.ingredients.known).to.be.closeTo(2 * 0.508, 0.01);
    expect(view.asText()).to.contain('340 g');
    expect(keptBakeOf({ entry: one, household, belief: nothingLearned }).changed).to.equal(
      undefined,
    );
  });

  it('names what was added in what it taught, and keeps to the window of its bread', () => {
    const lesson = lessonViewOf(one.lesson!, 'pan', household, nothingLearned);
    expect(lesson.added).to.deep.equal([{ name: view.beside[0]!.name, grams: 8 }]);
    const { added } = one.lesson!;
    const twice = { ...one.lesson!, added: [...added, ...added] };
    expect(lessonViewOf(twice, 'pan', household, nothingLearned).added).to.deep.equal([
      { name: view.beside[0]!.name, grams: 16 },
    ]);
    expect(lesson.window).to.deep.equal(view.wanted.window);
    expect(lesson.main?.key).to.equal('thirst:bread-flour');
  });
});

describe('bakes side by side, as they are shown', () => {
  it('each has its level; what went in alike is in no row', () => {
    const { rows, levels, window, records } = comparedOf([one, two], household, nothingLearned);
    expect(records.map((r) => r.id)).to.deep.equal(['one', 'two']);
    expect(levels.map((l) => [l.id, l.felt])).to.deep.equal([
      ['one', one.lesson!.felt],
      ['two', two.lesson!.felt],
    ]);
    expect(window).to.deep.equal([-3, 5]);
    const lines = rows.filter((r) => r.of === 'line').map((r) => JSON.stringify(r));
    expect(lines.some((l) => l.includes('water'))).to.equal(true);
    expect(comparedOf([], household, nothingLearned).window).to.equal(undefined);
  });
});
