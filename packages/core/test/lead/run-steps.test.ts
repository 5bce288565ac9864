import { expect } from 'chai';
import {
  asBaked,
  bakeState,
  eventsThatCount,
  mixedLines,
  type BakeEvent,
} from '@tender-crumb/core/bake';
import { bakesOnly } from '@tender-crumb/core/course';
import { checkKindOf, ovenPlace, weighingList } from '@tender-crumb/core/hands';
import {
  cautionsAt,
  dayOf,
  leadOf,
  runOf,
  runStepKinds,
  signOf,
  stepCautions,
  stepNow,
  toBuy,
  toHave,
  type StepFacts,
} from '@tender-crumb/core/lead';
import { firstLoaves } from '@tender-crumb/core/exchange';
import { resolve, type Formula } from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { deviceIds, machines, type DeviceId } from '@tender-crumb/core/machine';
import { loavesOf, usualShaping } from '@tender-crumb/core/process';
import { coolingOf, styleIds, styles } from '@tender-crumb/core/style';
import { build } from '../build.ts';
import { demoBreads } from '../../../../demo/formulas.ts';

const household: Household = {
  ...defaultHousehold,
  appliances: [
    { id: 'm', kind: 'machine', name: 'Machine', holds: 1, machine: machines['two-paddle'] },
  ],
};
const demo = (id: string): Formula => demoBreads.find((b) => b.id === id)!.formula;
const run = (formula: Formula, device: DeviceId = 'hand', events: readonly BakeEvent[] = []) =>
  runOf({ id: 'b', formula, device, events, household, belief: nothingLearned });
const events = (...said: ReadonlyArray<readonly [BakeEvent['kind'], unknown]>): BakeEvent[] =>
  said.map(
    ([kind, data], i) =>
      ({
        id: `e${i}`,
        at: `2026-11-26T09:${String(i).padStart(2, '0')}:00.000Z`,
        kind,
        data,
      }) as BakeEvent,
  );
const step = (step: string, sense: string) => ['step', { step, sense }] as const;
const now = (
  formula: Formula,
  device: DeviceId,
  ...said: ReadonlyArray<readonly [BakeEvent['kind'], unknown]>
) => stepNow(run(formula, device, events(...said)).steps)?.id;

describe('the steps of a run', () => {
  const white = demo('lockside-white');
  const plait = demo('sluice-gate-plait');

  it('by hand it is kneaded, then looked at; in a machine it is looked at while that runs', () => {
    expect(
      run(plait)
        .steps.map((s) => s.id)
        .slice(0, 4),
    ).to.deep.equal(['weigh', 'mix', 'check', 'first-rise']);
    expect(run(white, 'liquids-first').steps.map((s) => s.id)).to.deep.equal([
      'weigh',
      'check',
      'programme',
      'cool',
      'taste',
    ]);
  });

  it('leads from one to the next, whatever is tapped; the look into a running machine comes before its end', () => {
    expect(now(plait, 'hand')).to.equal('weigh');
    expect(now(plait, 'hand', step('weigh', 'done'))).to.equal('mix');
    expect(now(plait, 'hand', step('weigh', 'done'), step('mix', 'skipped'))).to.equal('check');
    const runs = [step('weigh', 'done'), step('programme', 'begun')] as const;
    expect(now(white, 'liquids-first', ...runs)).to.equal('check');
    expect(now(white, 'liquids-first', ...runs, step('check', 'done'))).to.equal('programme');
    expect(now(white, 'liquids-first', ...runs, step('programme', 'done'))).to.equal('cool');
  });

  it('begun in its middle, everything before it is over', () => {
    const { steps } = run(plait, 'hand', events(step('final-proof', 'begun')));
    expect(steps.filter((s) => s.standing === 'done').map((s) => s.id)).to.deep.equal([
      'weigh',
      'mix',
      'check',
      'first-rise',
      'shape',
    ]);
    expect(now(plait, 'hand', ['rise', { rise: 'final', sense: 'begun' }])).to.equal('final-proof');
  });

  it('an oven that is heated beside the dough is never what is waited for', () => {
    const { steps } = run(
      plait,
      'hand',
      events(['rise', { rise: 'final', sense: 'begun' }], step('heat', 'begun')),
    );
    expect(stepNow(steps)?.id).to.equal('final-proof');
    expect(steps.find((s) => s.id === 'heat')?.standing).to.equal('under-way');
  });

  it('what is taken back did not happen, and the step is as it was', () => {
    const said = events(step('weigh', 'done'), ['retracted', { event: 'e0' }]);
    expect(stepNow(run(plait, 'hand', said).steps)?.id).to.equal('weigh');
    expect(eventsThatCount(said).map((e) => e.kind)).to.deep.equal(['retracted']);
  });

  it('two tablets, in any order and twice, come to the same', () => {
    const said = events(
      step('weigh', 'done'),
      step('mix', 'done'),
      ['felt', { points: 1 }],
      step('check', 'done'),
      ['rise', { rise: 'first', sense: 'begun' }],
      step('bake', 'longer'),
    );
    const one = run(plait, 'hand', said);
    const other = run(plait, 'hand', [...said.slice(3), ...said].reverse());
    expect(other.steps).to.deep.equal(one.steps);
  });

  it('two things mixed ahead know nothing of each other', () => {
    const oats = demo('porridge-rolls');
    const both: Formula = {
      ...oats,
      stages: [
        ...demo('towpath-sourdough')
          .stages.slice(0, 1)
          .map((s) => ({ ...s, id: 'st' })),
        ...oats.stages,
      ],
    };
    const { steps } = run(both, 'hand', events(step('s1:soak', 'done')));
    expect(steps.find((s) => s.id === 'st:feed')?.standing).to.equal('ahead');
    expect(steps.find((s) => s.id === 's1:soak')?.standing).to.equal('done');
  });

  it('every bread in every device ends with how it came out, each step once, each with something to do', () => {
    for (const { id, formula } of demoBreads)
      for (const device of deviceIds) {
        const { steps, bread, state } = run(formula, device);
        const names = steps.map((s) => s.id);
        expect(new Set(names).size, `${id} ${device}`).to.equal(names.length);
        expect(names.at(-1)).to.equal('taste');
        for (const s of steps) {
          const lead = leadOf({
            step: s,
            style: formula.style,
            device,
            check: checkKindOf(formula.style, device, false),
            ...(bread.course ? { course: bread.course } : {}),
            state,
            shaping: usualShaping(formula),
            cooling: coolingOf(formula.style, 800),
            mixing: { minutes: 10, says: 'knead', tooLong: false },
            atSignal: ['raisins'],
            yeast: true,
          });
          expect(lead.length, `${id} ${s.id}`).to.be.at.least(1);
          for (const { says } of lead) expect(says, `${id} ${s.id}`).to.match(/[.!?]$/);
          // The rack is put in before the oven is hot where the bread then stands.
          const { rack } = ovenPlace(formula.style, usualShaping(formula).form);
          const inIt = bread.course && bakesOnly(bread.course) !== undefined;
          if (s.kind === 'heat' || (s.kind === 'bake' && !inIt))
            expect(JSON.stringify(lead), `${id} ${s.id}`).to.contain(rack);
          expect(runStepKinds[s.kind].doneSays).not.to.equal('');
          const check = checkKindOf(formula.style, device, false);
          expect(signOf({ step: s, style: formula.style, check })).to.be.a('string');
        }
      }
  });
});

describe('what was mixed ahead', () => {
  const flatbread = demo('overnight-flatbread');
  it('is weighed on its own day, and comes into the dough with all that there is of it', () => {
    const [poolish, dough] = weighingList(flatbread, 'hand');
    expect(poolish!.items.map((i) => i.grams)).to.deep.equal([150, 0.3, 150]);
    const whole = dough!.items.find((i) => i.whole)!;
    expect(whole).to.include({ id: 'all:s1', name: 'poolish', hint: 'all of it, scraped out' });
    expect(whole.grams).to.be.closeTo(300.3, 1e-9);
  });

  it('ticked off, it changes nothing of what the dough is made of', () => {
    const state = bakeState(events(['weighed', { item: 'all:s1', grams: 300.3, byScale: true }]));
    expect(mixedLines(flatbread, state)).to.deep.equal(resolve(flatbread));
  });
});

describe('a formula as a bake makes it', () => {
  const loaf = build({ 'bread-flour': 500, water: 310, milk: 100, salt: 10, 'instant-yeast': 5 });
  const grams = (of: Formula) =>
    Object.fromEntries(resolve(of).map((l) => [l.ingredient, l.grams]));

  it('half of it is half of everything, held lines too; the whole is the formula itself', () => {
    const held: Formula = {
      ...loaf,
      stages: loaf.stages.map((s) => ({ ...s, lines: s.lines.map((l) => ({ ...l, held: true })) })),
    };
    expect(grams(asBaked(held, { batch: 0.5, instead: [] }))).to.deep.equal({
      'bread-flour': 250,
      water: 155,
      milk: 50,
      salt: 5,
      'instant-yeast': 2.5,
    });
    expect(asBaked(loaf, { instead: [] })).to.equal(loaf);
  });

  it('what goes in instead is weighed, felt and learned from, and what was taken back is not', () => {
    const stage = loaf.stages[0]!.id;
    const instead = [
      'instead',
      {
        of: 'l3',
        says: 'water and milk powder in place of milk',
        changes: [
          { stage, ingredient: 'milk', grams: -100 },
          { stage, ingredient: 'milk-powder', grams: 10 },
          { stage, ingredient: 'water', grams: 90 },
        ],
      },
    ] as const;
    const state = bakeState(events(instead));
    const made = Object.fromEntries(mixedLines(loaf, state).map((l) => [l.ingredient, l.grams]));
    expect(made).to.include({ milk: 0, 'milk-powder': 10, water: 400 });
    const back = bakeState(events(instead, ['retracted', { event: 'e0' }]));
    expect(mixedLines(loaf, back)).to.deep.equal(resolve(loaf));
  });

  it('a change to a stage that this version of the formula does not have is passed over', () => {
    const strange = {
      event: 'e',
      of: 'x',
      says: '',
      changes: [{ stage: 'none', ingredient: 'water', grams: 5 }],
    };
    expect(asBaked(loaf, { instead: [strange] })).to.equal(loaf);
  });
});

describe('cautions at the step where they matter (handbook section 17)', () => {
  const facts = (edit: Partial<StepFacts>): StepFacts => ({
    kind: 'bake',
    device: 'hand',
    lines: resolve(build({ 'bread-flour': 500, water: 310 })),
    coated: true,
    pot: false,
    steam: false,
    glutenFree: false,
    ...edit,
  });
  const ids = (edit: Partial<StepFacts>) => cautionsAt(facts(edit)).map((c) => c.id);
  const milky = resolve(build({ 'bread-flour': 500, milk: 310, egg: 50 }));

  it('each hangs on what is so, and is silent where it is not', () => {
    expect(ids({ kind: 'heat' })).to.deep.equal(['look-into-oven']);
    expect(ids({ kind: 'heat', pot: true })).to.include('hot-pot');
    expect(ids({ steam: true })).to.include('steam-glass');
    expect(ids({ steam: false })).not.to.include('steam-glass');
    expect(ids({ lines: milky })).to.include('egg-core');
    expect(ids({})).not.to.include('egg-core');
    expect(ids({ kind: 'mix', device: 'mixer' })).to.include('moving-hook');
    expect(ids({ kind: 'mix', device: 'hand' })).to.deep.equal([]);
    expect(ids({ kind: 'programme', device: 'liquids-first' })).to.include.members([
      'plug-gloves',
      'coated-pan',
      'power',
    ]);
    expect(ids({ kind: 'programme', device: 'liquids-first', coated: false })).not.to.include(
      'coated-pan',
    );
    expect(ids({ kind: 'weigh', device: 'liquids-first', glutenFree: true })).to.include(
      'shared-machine',
    );
    expect(ids({ kind: 'weigh', device: 'liquids-first' })).not.to.include('shared-machine');
    expect(ids({ kind: 'check' })).to.include('raw-dough');
  });

  it('perishables: with a delay, and in a long warm rest; just short of it, and in the cold, not', () => {
    const course = { kind: 'whole', delay: 60 } as const;
    expect(ids({ kind: 'weigh', device: 'liquids-first', lines: milky, course })).to.include(
      'delay-perishable',
    );
    expect(
      ids({
        kind: 'weigh',
        device: 'liquids-first',
        lines: milky,
        course: { kind: 'whole', delay: 0 },
      }),
    ).not.to.include('delay-perishable');
    const rest = (hours: number, celsius: number) =>
      ids({ kind: 'first-rise', lines: milky, hours, celsius });
    expect(rest(3.1, 22)).to.include('long-warm');
    expect(rest(3, 22)).not.to.include('long-warm');
    expect(rest(12, 4)).not.to.include('long-warm');
    expect(rest(12, 5)).to.include('long-warm');
  });

  it('gloves and plug only where the machine bakes', () => {
    expect(ids({ device: 'liquids-first', course: { kind: 'dough' } })).not.to.include(
      'plug-gloves',
    );
    expect(ids({ device: 'liquids-first', course: { kind: 'by-eye' } })).to.include('plug-gloves');
    expect(ids({ device: 'hand' })).to.include('oven-door');
  });

  it('each names where it comes from', () => {
    for (const { source, text } of stepCautions) {
      expect(source).not.to.equal('');
      expect(text).to.match(/[.]$/);
    }
  });
});

describe('how a dough is looked at', () => {
  it('each kind of dough in its own words (handbook section 11)', () => {
    expect(checkKindOf('pan', 'liquids-first', false)).to.equal('machine');
    expect(checkKindOf('pan', 'hand', false)).to.equal('hand');
    expect(checkKindOf('slack', 'hand', false)).to.equal('slack');
    expect(checkKindOf('rye', 'liquids-first', false)).to.equal('rye');
    expect(checkKindOf('pan', 'hand', true)).to.equal('low-carb');
    // The middle of a white hearth loaf’s window is 9.5, of a flatbread’s 3.5.
    expect(checkKindOf('hearth-white', 'hand', false)).to.equal('slack');
    expect(checkKindOf('flatbread', 'hand', false)).to.equal('hand');
    for (const style of styleIds) expect(styles[style].name).not.to.equal('');
  });
});

describe('a first loaf, for somebody who never baked', () => {
  const loaf = firstLoaves[0]!;
  it('says what to buy: each thing once, water not', () => {
    const buy = toBuy(loaf);
    expect(buy.map((b) => b.name)).to.include.members(['strong bread flour', 'instant yeast']);
    expect(buy.map((b) => b.name)).not.to.include('water');
    expect(buy[0]!.grams).to.equal(500);
    expect(new Set(buy.map((b) => b.name)).size).to.equal(buy.length);
  });
  it('and what to have, and how long it takes, of which hands work less than a fifth', () => {
    expect(toHave(loaf).join()).to.match(/tin/);
    expect(toHave({ style: 'hearth-white' }).join()).to.match(/pot with a lid/);
    expect(toHave({ style: 'rolls' }).join()).to.match(/tray/);
    const day = dayOf(run(loaf).tasks);
    expect(day.minutes).to.be.within(180, 360);
    expect(day.hands).to.be.within(15, day.minutes / 5);
  });
  it('is shaped as its style is: a plait is one bread of three strands', () => {
    expect(usualShaping({ style: 'plait' })).to.deep.equal({ form: 'plait', pieces: 3 });
    expect(loavesOf({ form: 'plait', pieces: 3 })).to.equal(1);
    expect(usualShaping({ style: 'plait', pieces: 4 }).pieces).to.equal(4);
    expect(usualShaping({ style: 'pan', pieces: 8 })).to.deep.equal({ form: 'rolls', pieces: 8 });
    expect(usualShaping({ style: 'pizza', pieces: 3 })).to.deep.equal({ form: 'balls', pieces: 3 });
    expect(usualShaping({ style: 'pan', piece: { kind: 'stick' } }).form).to.equal('sticks');
    expect(loavesOf({ form: 'rolls', pieces: 8 })).to.equal(8);
  });
});
