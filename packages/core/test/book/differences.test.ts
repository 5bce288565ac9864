import { expect } from 'chai';
import {
  compareBakes,
  differences,
  measureIds,
  measureOf,
  measures,
  valueText,
  questionOf,
  questions,
} from '@tender-crumb/core/book';
import { setGrams } from '@tender-crumb/core/formula';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { build } from '../build.ts';
import { aBake, at, loaf } from './a-bake.ts';

const wetter = setGrams(loaf, loaf.stages[0]!.lines[1]!.id, 330);

describe('what differs from the bake before', () => {
  const says = (a: ReturnType<typeof aBake>, b: ReturnType<typeof aBake>) =>
    differences(a, b, defaultHousehold).map((d) => `${d.says}: ${d.from} → ${d.to}`);

  it('is nothing where nothing was changed', () => {
    expect(says(aBake(1, { felt: 1 }), aBake(2, { felt: 2.9 }))).to.deep.equal([]);
  });

  it('says water, rises and results that can be told apart, what was done first', () => {
    const before = aBake(1, { first: 60, outcome: { stars: 3, height: 90 } });
    const after = aBake(2, { formula: wetter, first: 100, outcome: { stars: 5, height: 94 } });
    expect(says(before, after)).to.deep.equal([
      'water: 64\u202f% → 66\u202f%',
      'first rise: 1 h → 1 h 40 min',
      'result: OK → excellent',
    ]);
  });

  it('just below a step is no difference, just above it is', () => {
    const step = measures.firstRise.step * 60;
    const long = (minutes: number) => aBake(2, { first: 60 + minutes });
    expect(says(aBake(1, { first: 60 }), long(step - 1))).to.deep.equal([]);
    expect(says(aBake(1, { first: 60 }), long(step + 1))).to.have.length(1);
  });

  it('another bag is told by its name', () => {
    const bagged = (bag: string) => ({
      ...loaf,
      stages: loaf.stages.map((s) => ({
        ...s,
        lines: s.lines.map((l) => (l.ingredient === 'bread-flour' ? { ...l, bag } : l)),
      })),
    });
    const household: Household = {
      ...defaultHousehold,
      bags: ['red', 'blue'].map((id) => ({ id, name: `${id} sack`, ingredient: 'bread-flour' })),
    };
    const [a, b] = [
      aBake(1, { formula: bagged('red'), household }),
      aBake(2, { formula: bagged('blue'), household }),
    ];
    expect(differences(a, b, household)).to.deep.include({
      key: 'bag:bread-flour',
      says: 'bag of strong bread flour',
      from: 'red sack',
      to: 'blue sack',
      size: 3,
      result: false,
    });
  });
});

describe('bakes side by side', () => {
  it('show what was said of each, once and in its word, where it is the same too', () => {
    const outcome = { stars: 3, note: 'Dense at the bottom.', words: [], crumb: ['even'] } as never;
    const rows = compareBakes([aBake(1, { outcome }), aBake(2, { outcome })], defaultHousehold);
    const of = (key: string) => rows.find((r) => r.key === key)?.values;
    expect(of('verdict')).to.deep.equal(['OK', 'OK']);
    expect(of('said')).to.deep.equal(['Dense at the bottom.', 'Dense at the bottom.']);
    expect(of('words')).to.deep.equal(['even', 'even']);
    expect(of('notes')).to.equal(undefined);
    const better = compareBakes(
      [aBake(1, { outcome }), aBake(2, { outcome: { stars: 5 } })],
      defaultHousehold,
    );
    expect(better.filter((r) => r.key === 'stars')).to.deep.equal([]);
    expect(better.find((r) => r.key === 'verdict')!.values).to.deep.equal(['OK', 'excellent']);
    expect(better.find((r) => r.key === 'said')!.values).to.deep.equal([
      'Dense at the bottom.',
      undefined,
    ]);
  });

  it('show only what differs, lines aligned, and nothing of bakes that are alike', () => {
    const [a, b, c] = [aBake(1), aBake(2, { formula: wetter }), aBake(3)];
    expect(compareBakes([a, c], defaultHousehold)).to.deep.equal([]);
    const rows = compareBakes([a, b, c], defaultHousehold);
    const water = rows.find((r) => r.key === 'line:water')!;
    expect(water.values).to.deep.equal(
      ['320', '330', '320'].map((g, i) => `${g}\u202fg · ${[64, 66, 64][i]}.0\u202f%`),
    );
    expect(rows.some((r) => r.key === 'line:salt')).to.equal(false);
  });

  it('what only one of them has stands beside nothing', () => {
    const seeded = build({
      'bread-flour': 500,
      water: 320,
      oil: 10,
      salt: 9,
      'instant-yeast': 5,
      'flax-meal': 20,
    });
    const rows = compareBakes(
      [aBake(1), aBake(2, { formula: seeded, first: 60 })],
      defaultHousehold,
    );
    expect(rows.find((r) => r.key === 'line:flax-meal')!.values[0]).to.equal(undefined);
    expect(rows.find((r) => r.key === 'firstRise')!.values).to.deep.equal([undefined, '1 h']);
  });
});

describe('measures', () => {
  it('each has a name of its own, a unit and a step', () => {
    const names = measureIds.map((id) => measureOf(id).says);
    expect(new Set(names).size).to.equal(names.length);
    for (const id of measureIds) expect(measureOf(id).step, id).to.be.greaterThan(0);
  });
  it('are written with their sign, unit and no needless noughts', () => {
    expect(valueText('felt', -2)).to.equal('−2\u202fpoints');
    expect(valueText('salt', 1.8)).to.equal('1.8\u202f%');
    expect(valueText('water', 66.04)).to.equal('66\u202f%');
    expect(valueText('stars', 4)).to.equal('good');
    expect(valueText('inOven', 41.6)).to.equal('42\u202fmin');
  });
  it('read the clock, the scale and the probe of a bake', () => {
    const bake = aBake(4, {
      final: 45,
      outcome: { before: 840, after: 739.2, height: 95 },
      more: [
        { id: 'x', at: at(4, 400), kind: 'step', data: { step: 'bake', sense: 'begun' } },
        { id: 'y', at: at(4, 437), kind: 'core', data: { celsius: 96 } },
        { id: 'z', at: at(4, 440), kind: 'step', data: { step: 'bake', sense: 'done' } },
      ],
    });
    expect(measures.finalProof.of(bake)).to.equal(0.75);
    expect(measures.inOven.of(bake)).to.equal(40);
    expect(measures.core.of(bake)).to.equal(96);
    expect(measures.loss.of(bake)).to.be.closeTo(12, 1e-9);
    expect(measures.whole.of(bake)).to.equal(0);
    expect(measures.firstRise.of(bake)).to.equal(undefined);
    expect(measures.yeast.of(bake)).to.equal(1);
    expect(measures.starter.of(bake)).to.equal(undefined);
  });
  it('every chart is a question', () => {
    for (const { of, along, asks } of questions) expect(questionOf(of, along).asks).to.equal(asks);
    for (const of of measureIds) {
      expect(questionOf(of, 'day').asks).to.match(/\?$/);
      expect(questionOf(of, 'size').asks).to.match(/\?$/);
    }
  });
});
