import { expect } from 'chai';
import {
  courseFor,
  courseTimes,
  doughWants,
  machineFit,
  isMostlyFresh,
  type Course,
} from '@tender-crumb/core/course';
import { mixingAdvice } from '@tender-crumb/core/dough';
import { resolve, scaleBy, type Formula } from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { machineSizes, machines, type Machine } from '@tender-crumb/core/machine';
import { isRefused } from '@tender-crumb/core/quantity';
import { breadOf, breadTasks, usualCourse, ways } from '@tender-crumb/core/schedule';
import type { StyleId } from '@tender-crumb/core/style';
import { substitute } from '@tender-crumb/core/substitute';
import { build } from '../build.ts';

const machine: Machine = machines['two-paddle'];
const household: Household = {
  ...defaultHousehold,
  appliances: [{ id: 'm', kind: 'machine', name: 'Machine', holds: 1, machine }],
};
const white = build({ 'bread-flour': 420, water: 245, oil: 20, salt: 8, 'instant-yeast': 5 });
const whole = build(
  { 'whole-wheat': 420, water: 290, salt: 8, 'instant-yeast': 5 },
  'wholegrain-pan',
);
const fresh = build(
  { 'fresh-hard-wheat': 430, water: 330, salt: 8, 'instant-yeast': 5 },
  'wholegrain-pan',
);
const lowCarb = build(
  {
    'vital-gluten': 165,
    'oat-fibre': 50,
    'flax-meal': 80,
    water: 237,
    egg: 100,
    'instant-yeast': 7,
  },
  'low-carb',
);
const sour = build({ 'bread-flour': 400, water: 270, salt: 9 }, 'pan', {
  'bread-flour': 50,
  water: 50,
});
const milky = build({ 'bread-flour': 420, milk: 260, egg: 50, salt: 8, 'instant-yeast': 5 });
const plait = build(
  { 'plain-flour': 500, milk: 210, egg: 50, butter: 70, sugar: 60, 'instant-yeast': 7 },
  'plait',
);

const courseOf = (formula: Formula, edit: Partial<Course> = {}): Course => ({
  ...usualCourse(formula, resolve(formula), 'liquids-first', household)!,
  ...edit,
});
const programme = (use: string) => machine.programmes.find((p) => p.use === use)!;
const found = (formula: Formula, edit: Partial<Course> = {}) =>
  machineFit(formula, courseOf(formula, edit), household);
const ids = (formula: Formula, edit: Partial<Course> = {}) => found(formula, edit).map((f) => f.id);

describe('what a dough wants of a machine (handbook section 10)', () => {
  it('white on the plain one, whole grain on the long one, low-carb on one short knead, all in the machine', () => {
    const wants = (of: Formula) => doughWants(of, resolve(of));
    expect(wants(white)).to.include({ use: 'plain', course: 'whole' });
    expect(wants(whole)).to.include({ use: 'whole', course: 'whole' });
    expect(wants(lowCarb)).to.include({ use: 'short', course: 'whole' });
    expect(wants(build({ 'buckwheat-flour': 400, water: 380, 'instant-yeast': 6 })).use).to.equal(
      'short',
    );
  });

  it('warm fresh flour on the plain one; bought whole grain is not that', () => {
    expect(doughWants(fresh, resolve(fresh)).use).to.equal('plain');
    expect(doughWants(fresh, resolve(fresh)).why).to.match(/Fresh-milled flour is warm/);
  });

  it('a sourdough by eye, what is shaped by hand dough only; doped, a sourdough keeps to the clock', () => {
    expect(doughWants(sour, resolve(sour)).course).to.equal('by-eye');
    expect(doughWants(plait, resolve(plait)).course).to.equal('dough');
    const doped = build({ 'bread-flour': 400, water: 270, salt: 9, 'instant-yeast': 3 }, 'pan', {
      'bread-flour': 50,
      water: 50,
    });
    expect(doughWants(doped, resolve(doped)).course).to.equal('whole');
  });
});

describe('just below and just above each share', () => {
  const use = (amounts: Record<string, number>, style: StyleId = 'pan') => {
    const of = build({ water: 300, 'instant-yeast': 5, ...amounts }, style);
    return doughWants(of, resolve(of)).use;
  };
  it('more than half whole grain is a whole-grain dough', () => {
    expect(use({ 'bread-flour': 250, 'whole-wheat': 250 })).to.equal('plain');
    expect(use({ 'bread-flour': 249, 'whole-wheat': 251 })).to.equal('whole');
  });
  it('more than half fresh from the mill is warm', () => {
    const fresh = (grams: number) =>
      isMostlyFresh(resolve(build({ 'bread-flour': 500 - grams, 'fresh-hard-wheat': grams })));
    expect([fresh(250), fresh(251)]).to.deep.equal([false, true]);
  });
  it('more than half without gluten wants one short knead', () => {
    expect(use({ 'bread-flour': 250, 'buckwheat-flour': 250 })).not.to.equal('short');
    expect(use({ 'bread-flour': 249, 'buckwheat-flour': 251 })).to.equal('short');
  });
  it('more sugar than a tenth of the flour is a sweet dough', () => {
    expect(use({ 'bread-flour': 500, sugar: 50 })).to.equal('plain');
    expect(use({ 'bread-flour': 500, sugar: 50.1 })).to.equal('sweet');
  });
  it('a warming of a quarter of an hour is none that harms warm flour', () => {
    const warmed = (minutes: number): Machine => ({
      ...machines.stages,
      programmes: machines.stages.programmes.map((p) => ({
        ...p,
        stages: p.stages.map((s) => (s.kind === 'rest' ? { ...s, minutes } : s)),
      })),
    });
    const says = (minutes: number) =>
      machineFit(
        fresh,
        courseFor(warmed(minutes), doughWants(fresh, resolve(fresh)), 430)!,
        household,
      ).some((f) => f.id === 'warm-flour');
    expect([says(15), says(16)]).to.deep.equal([false, true]);
  });
  it('what it offers to scale to is what fits, whatever it stands at', () => {
    for (const grams of [200, 520, 900]) {
      const of = build({ 'bread-flour': grams, water: 0.6 * grams, 'instant-yeast': 5 });
      const fixes = found(of, { size: '1.5lb' })[0]!.fixes.filter((f) => f.kind === 'flour');
      expect(fixes).not.to.deep.equal([]);
      for (const { share, grams: to, size } of fixes) {
        expect(grams * share).to.be.closeTo(to, 1e-9);
        expect(ids(scaleBy(of, share), { size })).to.deep.equal([]);
      }
    }
  });
});

describe('what does not fit a machine, with what puts it right', () => {
  it('nothing where it fits', () => {
    for (const of of [white, whole]) expect(ids(of)).to.deep.equal([]);
  });

  it('between two sizes there are ways down, up, and out of it; its dough alone goes round', () => {
    const upright = (flour: number, kind?: 'dough') => {
      const of = build({ 'bread-flour': flour, water: 0.6 * flour, 'instant-yeast': 5 });
      const course = courseFor(machines.upright, doughWants(of, resolve(of)), flour)!;
      return machineFit(of, { ...course, ...(kind ? { kind } : {}) }, household).flatMap((f) =>
        f.fixes.map((x) => x.label),
      );
    };
    expect(upright(500)).to.deep.equal([
      'Scale the bread to 450 g of flour',
      'Scale the bread to 600 g of flour',
      'dough only, then the oven',
    ]);
    expect(upright(500, 'dough')).to.deep.equal([]);
    expect(upright(651, 'dough')).to.deep.equal(['Scale the bread to 650 g of flour']);
    expect(upright(450)).to.deep.equal([]);
    expect(upright(540)).to.deep.equal([]);
    expect(upright(539)).to.have.length(3);
  });

  it('more flour than the size takes: another size, or scaled to it; just at its end it fits', () => {
    const [, most] = machineSizes['1.5lb'].flour;
    const at = (flour: number) =>
      ids(build({ 'bread-flour': flour, water: 0.6 * flour, 'instant-yeast': 5 }), {
        size: '1.5lb',
      });
    expect(at(most)).to.deep.equal([]);
    expect(at(most + 1)).to.deep.equal(['too-large']);
    const [finding] = found(build({ 'bread-flour': 520, water: 300, 'instant-yeast': 6 }), {
      size: '1.5lb',
    });
    expect(finding!.fixes.map((f) => f.label)).to.deep.equal([
      'The 2 lb size',
      `Scale the bread to ${most} g of flour`,
    ]);
  });

  it('less than nine tenths of what it wants: the paddle would miss it', () => {
    const least = 0.9 * machineSizes['2lb'].flour[0];
    const at = (flour: number) =>
      ids(build({ 'bread-flour': flour, water: 0.6 * flour, 'instant-yeast': 5 }), { size: '2lb' });
    expect(at(least)).to.deep.equal([]);
    expect(at(least - 1)).to.deep.equal(['too-small']);
  });

  it('a low-carb dough on a long programme comes out a wrinkled lump: the short one', () => {
    const [finding] = found(lowCarb, { programme: programme('whole') });
    expect(finding!.id).to.equal('wrong-programme');
    expect(finding!.says).to.match(/wrinkled/);
    expect(finding!.fixes[0]).to.include({ kind: 'programme', programme: 'short' });
  });

  it('whole grain on the plain one: the long one', () => {
    const [finding] = found(whole, { programme: programme('plain') });
    expect(finding!.fixes[0]).to.include({ kind: 'programme', programme: 'whole' });
  });

  it('a sourdough on a yeast programme: the dough stage, by eye, bake only and a quarter of an hour more', () => {
    const [finding] = found(sour, { kind: 'whole', programme: programme('plain') });
    expect(finding!.fixes[0]).to.include({ kind: 'course', course: 'by-eye' });
    const times = courseTimes(courseOf(sour));
    expect(times.bakingShort).to.equal(15);
    expect(times.baking).to.equal(60 + 15 + courseShift(sour));
    // Switched off when it has kneaded: it does not stand warm until the dough programme ends.
    expect(times.first).to.equal(22);
  });

  it('a delay with milk and egg: what keeps in their place, or now; what it offers can be taken', () => {
    const [finding] = found(milky, { delay: 480 });
    expect(finding!.id).to.equal('delay-perishables');
    expect(finding!.says).to.match(/whole milk, egg/);
    const instead = finding!.fixes.filter((f) => f.kind === 'instead');
    expect(instead.map((f) => f.label)).to.include('water and milk powder in place of whole milk');
    for (const fix of instead) {
      const swap = substitute(milky, fix.line, fix.choice, household, nothingLearned);
      expect(isRefused(swap), fix.label).to.equal(false);
      if (isRefused(swap)) continue;
      const spoils = resolve(swap.formula).filter((l) => l.of.perishable && l.grams > 0);
      expect(
        spoils.map((l) => l.id),
        fix.label,
      ).not.to.include(fix.line);
    }
    expect(ids(white, { delay: 480 })).to.deep.equal([]);
  });

  it('a delay longer than it can be set to', () => {
    expect(ids(white, { delay: machine.mostDelay * 60 })).to.deep.equal([]);
    expect(ids(white, { delay: machine.mostDelay * 60 + 1 })).to.deep.equal(['long-delay']);
  });

  it('weak wheat stands half of a machine’s kneading, strong wheat all of it', () => {
    const spelt = build({ 'spelt-white': 420, water: 235, salt: 8, 'instant-yeast': 5 });
    expect(ids(spelt)).to.deep.equal(['weak-wheat']);
    // What the mixing advice gives a machine: half of its usual 25.
    expect(found(spelt)[0]!.fixes[0]!.label).to.match(/after 13 min/);
    expect(mixingAdvice(resolve(spelt)).find((m) => m.by === 'machine')!.minutes).to.equal(13);
  });

  it('warm flour and a long warming: said, and cold water', () => {
    expect(ids(fresh)).to.include('warm-flour');
    expect(
      machineFit(
        fresh,
        courseFor(machines.stages, doughWants(fresh, resolve(fresh)), 430)!,
        household,
      ).map((f) => f.id),
    ).not.to.include('warm-flour');
  });

  it('every programme, size and course of every machine is told in words, none without a way out', () => {
    for (const of of [white, whole, fresh, lowCarb, sour, milky, plait])
      for (const m of Object.values(machines) as Machine[])
        for (const p of m.programmes)
          for (const size of m.sizes)
            for (const kind of ['whole', 'dough', 'by-eye'] as const) {
              const course: Course = {
                machine: m,
                kind,
                programme: p,
                size,
                crust: 'medium',
                delay: 60,
              };
              for (const f of machineFit(of, course, household)) {
                expect(f.says, f.id).to.match(/^[A-Z0-9].*[.]$/);
                if (f.id !== 'warm-flour') expect(f.fixes, `${f.id} ${p.id}`).not.to.deep.equal([]);
              }
            }
  });
});

describe('a machine’s part in a timetable', () => {
  const tasks = (formula: Formula, course?: Course) => {
    const bread = breadOf(
      { id: 'b', formula, device: 'liquids-first', ...(course ? { course } : {}) },
      household,
      nothingLearned,
    );
    return breadTasks(bread, ways['as-it-is'].of(bread)).tasks;
  };

  it('a whole programme is as long as its stages, with ten minutes of weighing', () => {
    const [loaf] = tasks(white);
    expect(loaf).to.include({ kind: 'programme', usual: 209 + 10 });
  });

  it('larger, darker and later it is longer by that', () => {
    const later = courseOf(white, { size: '1kg', crust: 'dark', delay: 120 });
    expect(tasks(white, later)[0]!.usual).to.equal(214 + 5 + 8 + 120 + 10);
  });

  it('dough only: kneaded and risen there, then shaped, proofed and baked by hand', () => {
    expect(tasks(plait).map((t) => t.kind)).to.deep.equal([
      'mix',
      'shape',
      'final-proof',
      'heat',
      'bake',
      'cool',
    ]);
    expect(tasks(plait)[0]!.usual).to.equal(90 + 10);
  });

  it('by eye it stands in the machine’s pan until it is baked, and no oven is heated', () => {
    const own = tasks(sour);
    expect(own.map((t) => t.kind)).to.deep.equal([
      'feed',
      'ripen',
      'mix',
      'first-rise',
      'shape',
      'final-proof',
      'bake',
      'cool',
    ]);
    for (const kind of ['mix', 'first-rise', 'final-proof', 'bake'])
      expect(
        own.find((t) => t.kind === kind)!.uses.map((u) => u.resource),
        kind,
      ).to.deep.equal(['machine']);
    expect(own.find((t) => t.kind === 'bake')!.usual).to.equal(75 + courseShift(sour));
  });

  it('without a machine that was described it takes about 200 minutes, as before', () => {
    const bread = breadOf(
      { id: 'b', formula: white, device: 'liquids-first' },
      defaultHousehold,
      nothingLearned,
    );
    expect(breadTasks(bread, undefined).tasks[0]!.usual).to.equal(200);
  });
});

/** Minutes that a larger or smaller loaf than the machine’s middle one bakes longer. */
const courseShift = (of: Formula): number => 5 * (machine.sizes.indexOf(courseOf(of).size) - 1);
