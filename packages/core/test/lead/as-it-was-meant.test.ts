import { expect } from 'chai';
import { bakeState, type BakeEvent } from '@tender-crumb/core/bake';
import { nothingLearned } from '@tender-crumb/core/belief';
import { keptWarm, timerFor, timerText, courseTimes } from '@tender-crumb/core/course';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { panMarks, pieceOnTop } from '@tender-crumb/core/hands';
import { recipeWords, stepNow } from '@tender-crumb/core/lead';
import { machines, mixingsIn } from '@tender-crumb/core/machine';
import { methodIn, methodOf, risesOnce, usualShaping, waysMade } from '@tender-crumb/core/process';
import { isRefused } from '@tender-crumb/core/quantity';
import { minutesUntil } from '@tender-crumb/core/schedule';
import { bakeOf } from '@tender-crumb/core/view';
import { build, read } from '../build.ts';

/** What is led is what was meant: how it is made, when it is looked at, how often it rises. */
const at = (minute: number) => new Date(Date.UTC(2026, 10, 28, 20, minute)).toISOString();
let n = 0;
const event = (minute: number, kind: string, data: object): BakeEvent =>
  ({ id: `m${(n += 1)}`, at: at(minute), kind, data }) as BakeEvent;
const step = (id: string, sense: string, minute: number) =>
  event(minute, 'step', { step: id, sense });

const household = (more: Partial<Household> = {}): Household => ({
  ...defaultHousehold,
  zone: 'UTC',
  ...more,
});
const machine = (of: keyof typeof machines = 'two-paddle') =>
  household({
    appliances: [{ id: 'm', kind: 'machine', name: 'Ours', holds: 1, machine: machines[of] }],
  });
const loaf = (...method: string[]) =>
  read(
    `Weir loaf\n\n430 g bread flour\n280 g water\n9 g salt\n5 g instant yeast\n\nMethod\n${method.join('\n')}`,
  ).formula;
const bake = (
  formula: ReturnType<typeof loaf>,
  events: readonly BakeEvent[] = [],
  house = household(),
  method: 'hand' | 'mixer' | 'liquids-first' | 'dry-first' = 'hand',
) => bakeOf({ id: 'b', formula, method, events, household: house, belief: nothingLearned });

const plain = loaf(
  'Knead for 7 minutes.',
  'Let it rise for 1 hour.',
  'Shape it and proof for 45 minutes.',
  'Bake at 220 °C for 35 minutes.',
);
const nowOf = (...events: BakeEvent[]) => stepNow(bake(plain, events).steps)?.id;

describe('the look at a dough', () => {
  it('is while it is kneaded, and the kneading is ended after it', () => {
    const weighed = step('weigh', 'done', 0);
    const kneads = step('mix', 'begun', 1);
    expect(nowOf(weighed)).to.equal('mix');
    expect(nowOf(weighed, kneads)).to.equal('check');
    expect(nowOf(weighed, kneads, event(6, 'felt', { points: 0 }))).to.equal('check');
    expect(nowOf(weighed, kneads, step('check', 'done', 7))).to.equal('mix');
    expect(nowOf(weighed, kneads, step('check', 'done', 7), step('mix', 'done', 9))).to.equal(
      'first-rise',
    );
    // Kneaded without a look, it is looked at after all.
    expect(nowOf(weighed, kneads, step('mix', 'done', 9))).to.equal('check');
  });
  it('has its time from the tap that began it, five to ten minutes in', () => {
    const { lookAt } = bake(plain, [step('weigh', 'done', 0), step('mix', 'begun', 2)]);
    expect(lookAt).to.deep.equal({ from: at(7), to: at(12) });
    expect(bake(plain).lookAt).to.equal(undefined);
  });
  it('a dough that is only stirred is looked at once it is stirred', () => {
    const stirred = loaf('Stir it together without kneading.', 'Let it rise for 12 hours.');
    const events = [step('weigh', 'done', 0), step('mix', 'begun', 1)];
    expect(stepNow(bake(stirred, events).steps)?.id).to.equal('mix');
  });
  it('of a machine that waits it is left out while nobody is up, and stays while somebody is', () => {
    const { steps } = bake(plain, [], machine(), 'liquids-first');
    expect(steps.map((s) => s.id)).to.include('check');
    const course = (delay: number) => ({
      machine: 'm',
      programme: 'plain',
      kind: 'whole',
      size: '1.5lb',
      crust: 'medium',
      delay,
    });
    const looks = (delay: number) =>
      bake(
        loaf('Into the bread machine.'),
        [
          event(0, 'course', course(delay)),
          step('weigh', 'done', 1),
          step('programme', 'begun', 1),
        ],
        machine(),
        'liquids-first',
      ).steps.some((s) => s.kind === 'check');
    // 20:01 and 30 minutes of rest and looking: 21:31 and 22:31; at 22:30 the house goes to bed.
    expect([looks(60), looks(110), looks(125)]).to.deep.equal([true, true, false]);
  });
  it('in a machine that lets it rise no spoon is advised any more', () => {
    const events = [step('weigh', 'done', 0), step('programme', 'begun', 0)];
    const view = bake(loaf('Into the bread machine.'), events, machine(), 'liquids-first');
    // 25 of rest, 22 of kneading.
    expect([view.isRising(at(47)), view.isRising(at(48))]).to.deep.equal([false, true]);
    expect(bake(plain, events).isRising(at(300))).to.equal(false);
  });
});

describe('how it is made', () => {
  it('can be chosen as it begins: what was chosen of a machine goes with it, and taken back it is as it was', () => {
    const chosen = event(1, 'made', { device: 'liquids-first', was: 'hand' });
    const view = bake(plain, [chosen], machine());
    expect(view.bread.device).to.equal('liquids-first');
    expect(view.items[0]!.ingredient).to.equal('water');
    expect(view.course?.machine).to.equal(machines['two-paddle']);
    const back = [chosen, event(2, 'made', { device: 'hand', was: 'liquids-first' })];
    expect(bake(plain, back, machine()).course).to.equal(undefined);
    expect(bakeState([chosen]).device).to.equal('liquids-first');
    expect(bakeState([chosen, event(3, 'retracted', { event: chosen.id })]).device).to.equal(
      undefined,
    );
  });
  it('is offered by the names of the house, and a machine that nobody told of as such', () => {
    expect(waysMade(machine()).map((w) => w.label)).to.deep.equal(['By hand', 'Mixer', 'Ours']);
    const untold = waysMade(household()).at(-1)!;
    expect([untold.label, untold.means]).to.deep.equal([
      'Bread machine',
      ['liquids-first', 'dry-first'],
    ]);
  });
  it('a mixer that takes 800 g kneads 2,000 g in three, 824 g in one, 825 g in two', () => {
    expect(mixingsIn({ takes: 800 }, 2000)).to.include({ count: 3 });
    expect(mixingsIn({ takes: 800 }, 824)).to.equal(undefined);
    expect(mixingsIn({ takes: 800 }, 825)).to.deep.equal({ count: 2, share: 0.5, flour: 412.5 });
    expect(mixingsIn({}, 5000)).to.equal(undefined);
    expect(mixingsIn(undefined, 5000)).to.equal(undefined);
    const house = household({
      appliances: [{ id: 'x', kind: 'mixer', name: 'Ours', holds: 1, takes: 200 }],
    });
    const once = bake(plain, [], household(), 'mixer').tasks.find((t) => t.kind === 'mix')!.usual;
    const thrice = bake(plain, [], house, 'mixer').tasks.find((t) => t.kind === 'mix')!.usual;
    expect(thrice).to.equal(3 * once);
    expect(bake(plain, [], house, 'hand').bread.mixings).to.equal(undefined);
  });
  it('oil is no butter, and where nothing raises it nobody makes a dent', () => {
    const hints = (fat: string, leaven: object) =>
      bake(
        build({ 'bread-flour': 400, water: 260, salt: 8, [fat]: 20, ...leaven }),
        [],
        household(),
        'hand',
      );
    const of = (fat: string) =>
      hints(fat, { 'instant-yeast': 4 }).items.find((i) => i.ingredient === fat)!.hint;
    expect([of('oil'), of('butter')]).to.deep.equal([
      'with the liquids',
      'soft, once the dough has come together',
    ]);
    const says = (leaven: object) =>
      bake(build({ 'bread-flour': 400, water: 260, ...leaven }), [], machine(), 'liquids-first')
        .sentences({ kind: 'weigh' } as never)
        .map((s) => s.why)
        .join();
    expect(says({ 'instant-yeast': 4 })).to.match(/dent/);
    expect(says({ 'baking-powder': 4 })).not.to.match(/dent/);
  });
});

describe('a bread that rises once', () => {
  const once = (...method: string[]) => risesOnce(loaf(...method), methodOf(loaf(...method)));
  it('is one whose whole method has one rise: shaped before it, or poured into its tin', () => {
    expect(once('Knead it, shape it and let it rise for 1 hour.', 'Bake for 35 minutes.')).to.equal(
      true,
    );
    expect(
      once('Stir it.', 'Let it rise in its tin for 2 hours.', 'Bake for 35 minutes.'),
    ).to.equal(true);
  });
  it('is none that is shaped or divided after it, folded in it, chilled, or not followed to the oven', () => {
    expect(once('Let it rise for 1 hour.', 'Shape it.', 'Bake for 35 minutes.')).to.equal(false);
    expect(once('Let it rise for 1 hour.', 'Divide into 4 balls.', 'Bake for 9 minutes.')).to.equal(
      false,
    );
    expect(
      once('Let it rise for 2 hours, fold it twice, every 30 minutes.', 'Bake for 35 minutes.'),
    ).to.equal(false);
    expect(once('Let it rise in the fridge overnight.', 'Bake for 35 minutes.')).to.equal(false);
    expect(once('Let it rise until doubled.')).to.equal(false);
    expect(
      once('First rise for 1 hour.', 'Final proof for 40 minutes.', 'Bake for 35 minutes.'),
    ).to.equal(false);
  });
  it('is none in a machine that lets it rise besides: what is written is its last', () => {
    const plait = {
      ...read('500 g bread flour\n310 g water\n9 g salt\n6 g instant yeast', 'plait').formula,
      style: 'plait' as const,
      steps: [
        { says: 'Run the dough programme of the bread machine.' },
        { says: 'Plait it, proof it for 40 minutes and bake it at 180 °C for 28 minutes.' },
      ],
    };
    const view = bake(plait, [], machine(), 'liquids-first');
    expect(view.course?.kind).to.equal('dough');
    expect(view.rises.map((r) => r.id)).to.deep.equal(['first', 'final']);
    expect(view.steps.map((s) => s.kind))
      .to.include('final-proof')
      .and.not.include('first-rise');
    expect(bake(plait).rises.map((r) => r.id)).to.deep.equal(['first']);
  });
  it('has one rise in plan and bake, as far as into the oven', () => {
    const view = bake(loaf('Shape it and let it rise for 2 hours.', 'Bake for 35 minutes.'));
    const kinds = view.steps.map((s) => s.kind);
    expect(kinds).to.include('first-rise').and.not.include('final-proof');
    expect(kinds.indexOf('shape')).to.be.below(kinds.indexOf('first-rise'));
    expect(view.rises.map((r) => r.id)).to.deep.equal(['first']);
    const two = bake(plain).rises.map((r) => r.end);
    expect(view.rises[0]!.end).to.deep.equal(two[1]);
  });
});

describe('a machine’s timer', () => {
  const view = bake(loaf('Into the bread machine.'), [], machine(), 'liquids-first');
  const course = view.course!;
  const { first } = courseTimes(course);
  it('is set by when the bread is to be ready, to its own step', () => {
    expect(timerFor(course, 605)).to.deep.equal({ delay: 600 - first, shows: 600 });
    expect(
      [609, 610, 615].map((m) => (timerFor(course, m) as { shows: number }).shows),
    ).to.deep.equal([600, 610, 610]);
    expect(timerText(605)).to.equal('10:05');
    expect(minutesUntil('07:00', new Date('2026-11-28T21:30:00Z'), 'UTC')).to.equal(570);
    expect(minutesUntil('21:31', new Date('2026-11-28T21:30:00Z'), 'UTC')).to.equal(1);
    expect(minutesUntil('21:30', new Date('2026-11-28T21:30:00Z'), 'UTC')).to.equal(1440);
    expect(minutesUntil('7 am', new Date('2026-11-28T21:30:00Z'), 'UTC')).to.equal(undefined);
  });
  it('is refused sooner than its programme, later than it can wait, and without a timer', () => {
    const code = (minutes: number, of = course) => {
      const set = timerFor(of, minutes);
      return isRefused(set) ? set.refused.code : 'set';
    };
    expect([code(first - 1), code(first)]).to.deep.equal(['too-soon', 'set']);
    const longest = first + course.machine.mostDelay * 60;
    expect([code(Math.floor(longest / 10) * 10), code(longest + 10)]).to.deep.equal([
      'set',
      'long-delay',
    ]);
    expect(code(600, { ...course, programme: { ...course.programme, delays: false } })).to.equal(
      'no-delay',
    );
  });
  it('has its moments: when it begins, is ready, and until when it keeps warm', () => {
    const late = { ...course, delay: 100 };
    const set = bake(
      loaf('Into the bread machine.'),
      [
        event(0, 'course', {
          machine: 'm',
          programme: 'plain',
          kind: 'whole',
          size: '1.5lb',
          crust: 'medium',
          delay: 100,
        }),
      ],
      machine(),
      'liquids-first',
    ).timerAt(at(0))!;
    const { first: whole } = courseTimes(late);
    expect(set).to.deep.equal({
      shows: timerText(100 + whole),
      begins: at(100),
      ready: at(100 + whole),
      warmUntil: at(160 + whole),
    });
    expect(view.timerAt(at(0))).to.equal(undefined);
  });
  it('a dough that is taken out is kept warm by nobody', () => {
    expect([keptWarm(course), keptWarm({ ...course, kind: 'dough' })]).to.deep.equal([60, 0]);
  });
});

describe('pieces', () => {
  it('into one pan, the scale shows the sum; what lies there counts', () => {
    expect(panMarks(900, 9, [])).to.deep.equal([100, 200, 300, 400, 500, 600, 700, 800, 900]);
    expect(panMarks(900, 3, [310])).to.deep.equal([605, 900]);
    expect(panMarks(900, 1, [900])).to.deep.equal([]);
  });
  it('what was set aside does not go into the oven', () => {
    const view = bake(plain, [event(3, 'aside', { grams: 30 })]);
    expect(view.doughGrams - view.bakedGrams).to.equal(30);
    expect(bake(plain).bakedGrams).to.equal(bake(plain).doughGrams);
  });
  it('by a scale that shows all of them, a piece is what is on top', () => {
    expect(pieceOnTop(310, [100, 105])).to.equal(105);
    expect(pieceOnTop(98, [])).to.equal(98);
  });
  it('of what is always made small are as many as are usually made of so much; a loaf is one', () => {
    const of = (style: 'rolls' | 'bagel' | 'laminated' | 'pan') =>
      usualShaping(build({ 'bread-flour': 500, water: 325 }, style)).pieces;
    expect([of('rolls'), of('bagel'), of('laminated'), of('pan')]).to.deep.equal([10, 8, 10, 1]);
    expect(usualShaping({ ...build({ 'bread-flour': 500 }, 'rolls'), pieces: 3 }).pieces).to.equal(
      3,
    );
  });
});

describe('the recipe’s words at their step', () => {
  it('each sentence stands where it is wanted; what no step is about stands with the one after it', () => {
    const method = methodIn(
      [
        'Warm the milk.',
        'Knead for 10 minutes.',
        'Brush with egg.',
        'Bake for 30 minutes.',
        'My aunt sang.',
      ].map((says) => ({ says })),
    );
    const words = recipeWords(method, [
      'weigh',
      'mix',
      'check',
      'first-rise',
      'shape',
      'final-proof',
      'bake',
      'cool',
    ]);
    expect(words.get('weigh')).to.deep.equal(['Warm the milk.']);
    expect(words.get('mix')).to.deep.equal(['Warm the milk.', 'Knead for 10 minutes.']);
    expect(words.get('bake')).to.deep.equal([
      'Brush with egg.',
      'Bake for 30 minutes.',
      'My aunt sang.',
    ]);
  });
  it('what stands between two steps goes with the one after it', () => {
    const method = methodIn(['Knead it.', 'Sing to it.', 'Bake it.'].map((says) => ({ says })));
    const words = recipeWords(method, ['weigh', 'mix', 'bake']);
    expect(words.get('mix')).to.deep.equal(['Knead it.']);
    expect(words.get('bake')).to.deep.equal(['Sing to it.', 'Bake it.']);
  });
  it('in a machine all of it stands with its programme', () => {
    const words = recipeWords(methodIn([{ says: 'Bake for 30 minutes.' }]), [
      'weigh',
      'check',
      'programme',
    ]);
    expect(words.get('programme')).to.deep.equal(['Bake for 30 minutes.']);
  });
});
