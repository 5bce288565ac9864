import { expect } from 'chai';
import { fridgeCelsius, riseUntil, usualRise } from '@tender-crumb/core/ferment';
import { resolve, type Formula } from '@tender-crumb/core/formula';
import { cataloguePantry, massPerWork } from '@tender-crumb/core/ingredient';
import {
  amountsFor,
  breadTasks,
  isPlan,
  margins,
  mostBreads,
  oneKitchen,
  plan,
  resourcesOf,
  ways,
  type Bread,
  type Closed,
  type Plan,
  type PlanAsked,
  type PlannedStep,
  type Wish,
} from '@tender-crumb/core/schedule';
import { usualShaping } from '@tender-crumb/core/process';
import { styleIds, styles } from '@tender-crumb/core/style';
import { build, read } from '../build.ts';

const day = 24 * 60;
const white = build({ 'bread-flour': 500, water: 320, salt: 10, 'instant-yeast': 5 }, 'pan');
const sour = build({ 'bread-flour': 450, water: 300, salt: 10 }, 'hearth-white', {
  'bread-flour': 50,
  water: 50,
});
const bread = (formula: Formula, more: Partial<Bread> = {}): Bread => ({
  id: 'loaf',
  name: 'Loaf',
  formula,
  lines: resolve(formula),
  device: 'hand',
  shaping: usualShaping(formula),
  room: 21,
  dough: 25,
  paces: {},
  work: massPerWork,
  model: usualRise,
  friction: 1,
  ovenPace: 1,
  ...more,
});
/** Nights of 22:30 to 6:30. */
const nights: Closed[] = Array.from({ length: 6 }, (_, d) => ({
  from: d * day - 90,
  to: d * day + 390,
  what: 'hands',
  wish: 'asleep',
}));
const asked = (of: Bread, wish: Wish, more: Partial<PlanAsked> = {}): PlanAsked => ({
  breads: [{ bread: of, wish }],
  closed: nights,
  resources: oneKitchen,
  now: 18 * 60,
  ...more,
});
const planned = (of: PlanAsked): Plan => {
  const found = plan(of);
  if (!isPlan(found)) throw new Error(found.refused.says);
  return found;
};
const step = (of: Plan, kind: PlannedStep['kind'], bake = 'loaf'): PlannedStep =>
  of.steps.find((s) => s.kind === kind && s.bake === bake)!;

describe('a plan of breads', () => {
  it('a loaf begun in the morning goes step by step, its oven hot when it is proofed', () => {
    const found = planned(asked(bread(white), {}, { now: 9 * 60 }));
    expect(found.breads[0]?.way).to.equal('as-it-is');
    expect([...found.steps].sort((a, b) => a.start - b.start).map((s) => s.kind)).to.deep.equal([
      'mix',
      'first-rise',
      'shape',
      'final-proof',
      'heat',
      'bake',
      'cool',
    ]);
    expect(step(found, 'mix').start).to.equal(9 * 60);
    expect(step(found, 'first-rise').start).to.equal(step(found, 'mix').end);
    expect(step(found, 'heat').end).to.equal(step(found, 'bake').start);
    expect(step(found, 'final-proof').end).to.equal(step(found, 'bake').start);
  });

  it('every step may be early or late, the later in the day the more; what the clock decides is sure', () => {
    const { steps } = planned(asked(bread(white), {}, { now: 9 * 60 }));
    for (const s of steps) {
      expect(s.earliest, s.id).to.be.at.most(s.start);
      expect(s.latest, s.id).to.be.at.least(s.end);
      expect(Number.isInteger(s.start) && Number.isInteger(s.end), s.id).to.equal(true);
    }
    const early = (kind: PlannedStep['kind']) => {
      const s = steps.find((x) => x.kind === kind)!;
      return s.start - s.earliest;
    };
    expect(early('mix')).to.equal(0);
    expect(early('shape')).to.be.above(10);
    expect(early('bake')).to.be.above(early('shape'));
    // It is heated for the dough that comes.
    expect(early('heat')).to.equal(early('bake'));
    const heat = steps.find((x) => x.kind === 'heat')!;
    const proof = steps.find((x) => x.kind === 'final-proof')!;
    expect(heat.latest - heat.end).to.equal(proof.latest - proof.end);
    expect(heat.end - heat.soonest).to.equal(early('bake'));
    // As unsure as its own forecast says, at the ends of the 80 % interval.
    const rise = steps.find((x) => x.kind === 'first-rise')!;
    // In the logarithm of the time: later by more than sooner, and never over before it began.
    const factor = Math.exp(1.2816 * rise.doubt);
    const long = rise.end - rise.start;
    expect(rise.latest - rise.end).to.be.closeTo(long * (factor - 1), 1);
    expect(rise.end - rise.soonest).to.be.closeTo(long * (1 - 1 / factor), 1);
  });

  it('however doubtful, no step is over before it began', () => {
    const { steps } = planned(asked(bread(white), {}, { now: 9 * 60 }));
    const first = steps.filter((s) => s.kind === 'mix' || s.kind === 'first-rise');
    const tasks = first.map((s) => ({ ...s, doubt: s.kind === 'first-rise' ? 2.5 : 0 }));
    const times = new Map(first.map((s) => [s.id, { start: s.start, end: s.end }] as const));
    const of = margins(tasks, [], times).get(first[1]!.id)!;
    expect(of.soonest).to.be.at.least(first[1]!.start);
    expect(of.latest).to.be.above(first[1]!.end + 10 * (first[1]!.end - first[1]!.start));
  });

  it('an overnight sourdough: nobody is called in the night, and it is ready in time', () => {
    const found = planned(asked(bread(sour), { readyBy: 2 * day + 13 * 60 }, { now: 8 * 60 }));
    const last = step(found, 'cool');
    expect(last.end).to.be.within(2 * day + 10 * 60, 2 * day + 13 * 60);
    for (const s of found.steps) {
      if (s.attended !== 'all') continue;
      const inNight = nights.some((n) => s.start < n.to && s.end > n.from);
      expect(inNight, s.label).to.equal(false);
    }
  });

  it('one oven bakes one bread at a time, and two plans of it are two', () => {
    const { steps } = planned({
      ...asked(bread(white), { readyBy: day + 13 * 60 }),
      breads: [
        { bread: bread(white), wish: { readyBy: day + 13 * 60 } },
        { bread: bread(white, { id: 'other' }), wish: { readyBy: day + 13 * 60 } },
      ],
    });
    const [a, b] = steps.filter((s) => s.kind === 'bake') as [PlannedStep, PlannedStep];
    expect(a.end).to.be.at.most(b.start);
  });

  it('a night that is too long takes less leaven, or the fridge', () => {
    const late = planned(asked(bread(sour), { readyBy: day + 18 * 60 }, { now: 18 * 60 }));
    expect(late.steps.length).to.be.above(5);
    const night = planned(
      asked(bread(white), { readyBy: day + 11 * 60, beginAt: 20 * 60 }, { now: 19 * 60 }),
    );
    const [one] = night.breads;
    expect(one?.way).not.to.equal('as-it-is');
    expect(step(night, 'shape').start).to.be.at.least(day + 390);
  });

  it('what its leaven comes to is ripe when the plan says so', () => {
    const of = bread(white);
    const found = planned({
      ...asked(of, { readyBy: day + 11 * 60, beginAt: 20 * 60 }, { now: 19 * 60 }),
      breads: [{ bread: of, wish: { readyBy: day + 11 * 60, beginAt: 20 * 60 }, ways: ['amount'] }],
    });
    const { leaven } = amountsFor(of, found.breads[0]!, found.steps);
    if (!leaven || !('changes' in leaven)) throw new Error('no leaven');
    expect(leaven.grams).to.be.below(leaven.now);
    const rise = step(found, 'first-rise');
    const { dough, end } = found.breads[0]!.rises!.first.rise;
    const { hours } = riseUntil({ ...dough, yeast: (100 * leaven.grams) / 500 }, end);
    // Leaven is weighed to a hundredth of a gram.
    expect(hours! * 60).to.be.closeTo(rise.end - rise.start, 12);
  });

  it('a starter is fed so that it is ripe when the dough is mixed', () => {
    const of = bread(sour);
    const found = planned(asked(of, { readyBy: 2 * day + 13 * 60 }, { now: 8 * 60 }));
    const ripe = found.steps.find((s) => s.kind === 'ripen')!;
    expect(ripe.end).to.equal(step(found, 'mix').start);
    const { feedings } = amountsFor(of, found.breads[0]!, found.steps, 20);
    const { seed, flour, water, hours, nearest } = feedings[0]!.feeding;
    expect(nearest).to.equal(false);
    expect(seed + flour + water).to.be.closeTo(120, 0.01);
    expect(hours.middle * 60).to.be.closeTo(ripe.end - ripe.start, 3);
  });

  it('where wishes cannot all be met it says which to drop, and what that gains', () => {
    const found = plan(asked(bread(white), { readyBy: 19 * 60 }));
    if (isPlan(found)) throw new Error('it was met');
    expect(found.refused.code).to.equal('no-plan');
    expect(found.unsure).to.equal(false);
    const [drop] = found.drop;
    expect(drop?.wish).to.equal('loaf:ready');
    expect(drop?.ready['loaf']).to.be.above(19 * 60);
    // What it says can be had, can be had.
    const again = planned(asked(bread(white), { readyBy: drop!.ready['loaf']! }));
    expect(step(again, 'cool').end).to.equal(drop!.ready['loaf']);
  });

  it('refuses yesterday, the far future, nothing, and more than one plan holds', () => {
    const no = (of: PlanAsked) => {
      const found = plan(of);
      return isPlan(found) ? 'planned' : found.refused.code;
    };
    expect(no(asked(bread(white), { readyBy: 18 * 60 - 1 }))).to.equal('past');
    expect(no(asked(bread(white), { readyBy: 18 * 60 }))).to.equal('no-plan');
    expect(no(asked(bread(white), { readyBy: 18 * 60 + 14 * day }))).to.equal('planned');
    expect(no(asked(bread(white), { readyBy: 18 * 60 + 14 * day + 1 }))).to.equal('too-far');
    const many = (n: number): PlanAsked => ({
      ...asked(bread(white), {}),
      breads: Array.from({ length: n }, (_, i) => ({
        bread: bread(white, { id: `b${i}` }),
        wish: {},
      })),
    });
    expect(no(many(0))).to.equal('nothing');
    expect(no(many(mostBreads))).to.equal('planned');
    expect(no(many(mostBreads + 1))).to.equal('too-many');
    expect(no(many(40))).to.equal('too-many');
  });

  it('a rise that went slower moves what follows it', () => {
    const of = asked(bread(white), {}, { now: 9 * 60 });
    const before = planned(of);
    const rise = step(before, 'first-rise');
    const late = rise.end + 40;
    const after = planned({
      ...of,
      now: late,
      facts: {
        'loaf:mix': { start: 9 * 60, end: rise.start },
        'loaf:first-rise': { start: rise.start },
      },
    });
    expect(step(after, 'first-rise').end).to.equal(late);
    expect(step(after, 'shape').start).to.equal(late);
    expect(step(after, 'bake').start).to.be.above(step(before, 'bake').start + 30);
    // What is over is sure.
    expect(step(after, 'mix').latest).to.equal(rise.start);
  });

  it('a poolish bread without yeast of its own is not offered another amount of it', () => {
    const typed: Formula = {
      ...white,
      stages: [
        {
          id: 'p',
          kind: 'preferment',
          name: 'Poolish',
          lines: [
            { id: 'p1', ingredient: 'bread-flour', grams: 150, measured: 'scale' },
            { id: 'p2', ingredient: 'water', grams: 150, measured: 'scale' },
            { id: 'p3', ingredient: 'instant-yeast', grams: 0.2, measured: 'scale' },
          ],
        },
        {
          ...white.stages[0]!,
          lines: white.stages[0]!.lines.filter((l) => l.ingredient !== 'instant-yeast'),
        },
      ],
    };
    expect(ways.amount.of(bread(typed))).to.equal(undefined);
    expect(ways['as-it-is'].of(bread(typed))).not.to.equal(undefined);
    expect(ways.amount.of(bread(white))).not.to.equal(undefined);
  });

  it('made days ahead it goes into the freezer, thaws in the fridge and rises more slowly', () => {
    const found = planned({
      ...asked(bread(white), {}, { now: 9 * 60 }),
      breads: [
        {
          bread: bread(white),
          wish: { beginAt: 9 * 60, readyBy: 4 * day + 13 * 60 },
          ways: ['frozen'],
        },
      ],
    });
    const of = (kind: PlannedStep['kind']) => step(found, kind);
    expect(of('freeze').start).to.equal(of('mix').end);
    const thaws = of('thaw').end - of('thaw').start;
    expect(thaws).to.be.within(8 * 60, 20 * 60);
    expect(of('first-rise').start).to.be.at.least(of('thaw').end);
    const usual = ways['as-it-is'].of(bread(white))!.first.span.usual;
    expect(of('first-rise').end - of('first-rise').start).to.be.above(usual * 1.3);
    // Its yeast has lost a quarter.
    const { dough } = ways.frozen.of(bread(white))!.first.rise;
    const fresh = ways['as-it-is'].of(bread(white))!.first.rise.dough;
    expect(dough.yeast).to.be.closeTo(fresh.yeast * 0.75, 1e-9);
    // A sourdough does not bear it.
    expect(ways.frozen.of(bread(sour))).to.equal(undefined);
  });

  it('goes the recipe’s own way where that is the fridge', () => {
    const method = (says: string) => ({ ...sour, steps: [{ says }] });
    const way = (says: string, now = 8 * 60) =>
      planned(asked(bread(method(says)), { readyBy: 2 * day + 18 * 60 }, { now })).breads[0]?.way;
    expect(way('Shape it. Proof it overnight in the fridge.')).to.equal('cold-proof');
    expect(way('Let it rise in the fridge overnight.')).to.equal('cold-first');
    expect(way('Let it rise.')).to.equal('as-it-is');
  });

  it('what is ripe already is neither fed nor stirred', () => {
    const found = planned(asked(bread(sour, { ripe: true }), {}, { now: 9 * 60 }));
    expect(found.steps[0]?.kind).to.equal('mix');
  });

  it('a warm place is offered to a cold kitchen alone', () => {
    expect(ways.warm.of(bread(white, { room: 23.9 }))).not.to.equal(undefined);
    expect(ways.warm.of(bread(white, { room: 24 }))).to.equal(undefined);
  });

  it('dough in the fridge stands at its warmth, and is not left there to go over', () => {
    const way = ways['cold-proof'].of(bread(sour))!;
    expect(way.final!.celsius).to.equal(fridgeCelsius.value);
    expect(way.final!.span.least).to.equal(8 * 60);
    expect(way.final!.span.most).to.be.at.most(36 * 60);
    // With so much yeast it goes over in a few hours, even there.
    const quick = build({ 'bread-flour': 500, water: 320, salt: 5, 'instant-yeast': 15 }, 'pan');
    expect(ways['cold-proof'].of(bread(quick, { room: 26 }))).to.equal(undefined);
  });
});

describe('what a household has to bake with', () => {
  const one = (kind: 'oven' | 'fridge' | 'mixer', holds: number, id: string) => ({
    id,
    kind,
    name: id,
    holds,
  });

  it('what it told of is counted, of what it did not there is one', () => {
    expect(resourcesOf({ appliances: [], people: 1 })).to.deep.equal(oneKitchen);
    const found = resourcesOf({
      appliances: [one('oven', 2, 'a'), one('oven', 1, 'b'), one('fridge', 4, 'c')],
      people: 2,
    });
    const told = { ...oneKitchen, oven: 3, ovens: 2, fridge: 4, people: 2 };
    expect(found).to.deep.equal({ ...told, eachOven: { a: 2, b: 1 } });
  });
});

describe('the steps of a bread', () => {
  const kinds = (formula: Formula, more: Partial<Bread> = {}) => {
    const of = bread(formula, more);
    return breadTasks(of, ways['as-it-is'].of(of)).tasks.map((t) => t.kind);
  };
  const tasks = (formula: Formula, more: Partial<Bread> = {}) => {
    const of = bread(formula, more);
    return new Map(breadTasks(of, ways['as-it-is'].of(of)).tasks.map((t) => [t.kind, t]));
  };

  it('what has risen waits ten minutes for hands and no longer: it would go over', () => {
    const of = bread(white);
    const { links } = breadTasks(of, ways['as-it-is'].of(of));
    const waits = (to: string) => links.find((l) => l.to[0].endsWith(`:${to}`))!;
    expect(waits('shape').from[0]).to.match(/:first-rise$/);
    expect(waits('shape').most).to.equal(10);
    expect(links.filter((l) => l.to[0].endsWith(':bake')).map((l) => l.most)).to.include(10);
  });

  it('a starter is fed first; a poolish is stirred and ripens; a machine does it all', () => {
    expect(kinds(sour).slice(0, 3)).to.deep.equal(['feed', 'ripen', 'mix']);
    const machine = kinds(white, { device: 'liquids-first' });
    expect(machine).to.deep.equal(['programme', 'cool']);
    expect(kinds({ ...white, pieces: 8 }, { device: 'liquids-first' })).to.include('shape');
  });

  it('a dough without cereal flour proofs by the eye, one that powder raises not at all', () => {
    const lowCarb = build(
      {
        'vital-gluten': 165,
        'oat-fibre': 50,
        'flax-meal': 80,
        water: 237,
        egg: 100,
        'instant-yeast': 8,
      },
      'low-carb',
    );
    const low = tasks(lowCarb);
    expect([...low.keys()]).not.to.include('first-rise');
    expect(low.get('final-proof')?.doubt).to.equal(0.25);
    const soda = build({ 'plain-flour': 400, milk: 300, salt: 6, 'baking-powder': 16 }, 'pan');
    expect(kinds(soda)).to.deep.equal(['mix', 'shape', 'heat', 'bake', 'cool']);
    const chapati = build({ 'whole-wheat': 300, water: 190, salt: 4 }, 'rolled-thin');
    expect(tasks(chapati).get('first-rise')?.label).to.equal('The dough rests');
  });

  it('goes by the recipe where that says how long and how hot', () => {
    const { formula } = read(
      [
        '500 g bread flour',
        '320 g water',
        '10 g salt',
        '5 g instant yeast',
        '',
        'Method',
        'Mix and knead for 12 minutes.',
        'Let it rise for 1 hour until doubled.',
        'Shape it into a loaf. Let it rise again until puffy.',
        'Bake at 215 °C for 32 to 38 minutes.',
        'Let it cool for 90 minutes before slicing.',
      ].join('\n'),
    );
    const of = tasks(formula);
    expect(of.get('mix')?.usual).to.equal(22);
    expect(of.get('bake')).to.deep.include({ least: 32, usual: 35, most: 38, celsius: 215 });
    expect(of.get('bake')?.says).to.match(/215/);
    expect(of.get('heat')?.celsius).to.equal(215);
    expect(of.get('cool')?.usual).to.equal(90);
    // The rise goes by the dough's own warmth and leaven, whatever the clock of the recipe says.
    expect(of.get('first-rise')?.usual).to.be.above(60);
    expect(of.get('final-proof')?.says).to.match(/again/);
  });

  it('minutes in the oven are those of the trade: one pound 25 to 30, two pounds 35 to 45', () => {
    // Common practice, no source: the handbook's pan loaf at 190 °C, and rolls at 15 minutes.
    const minutes = (grams: number, pieces = 1, style: Formula['style'] = 'pan') => {
      const flour = grams / 1.67;
      const loaf = build(
        {
          'bread-flour': flour,
          water: flour * 0.64,
          salt: flour * 0.02,
          'instant-yeast': flour * 0.01,
        },
        style,
      );
      return tasks({ ...loaf, pieces }).get('bake')!;
    };
    expect(minutes(500).usual).to.be.within(25, 30);
    expect(minutes(900).usual).to.be.within(35, 45);
    expect(minutes(640, 8, 'rolls').usual).to.be.within(13, 17);
    expect(minutes(500).celsius).to.equal(190);
  });

  it('high up nothing is hotter inside than its water boils', () => {
    const until = (altitude?: number) =>
      tasks(white, altitude === undefined ? {} : { altitude }).get('bake')!.until;
    expect(until()).to.equal('93 to 99 °C in the middle');
    expect(until(0)).to.equal('93 to 98 °C in the middle');
    expect(until(1500)).to.equal('93 to 94 °C in the middle');
    expect(until(2500)).to.equal('90 °C in the middle');
  });

  it('every style bakes as its row says, done at a core that is a bread’s', () => {
    for (const id of styleIds) {
      const { baking, stands } = styles[id];
      // Over boiling water it is as hot as that.
      if (stands === 'steamer') expect(baking.celsius.value, id).to.equal(100);
      else expect(baking.celsius.value, id).to.be.within(150, 260);
      expect(baking.core[0], id).to.be.within(88, 97);
      expect(baking.core[1], id).to.be.within(baking.core[0], 99);
    }
    expect(cataloguePantry.has('bread-flour')).to.equal(true);
  });
});
