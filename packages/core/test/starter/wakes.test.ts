import { expect } from 'chai';
import { nothingLearned } from '@tender-crumb/core/belief';
import { bakeState, fromPlan, type BakeEvent } from '@tender-crumb/core/bake';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { runOf } from '@tender-crumb/core/lead';
import { isTimed, oneKitchen, timedPlan, type BakeWished } from '@tender-crumb/core/schedule';
import { fedAgo, fedAgoAt, fedAgoIds, fedAt, ownBuild, wakesOf } from '@tender-crumb/core/starter';
import { read } from '../build.ts';

const dayZero = Date.UTC(2026, 11, 3);
const at = (hours: number) => new Date(dayZero + hours * 3_600_000).toISOString();
const hours = (iso: string) => (Date.parse(iso) - dayZero) / 3_600_000;
const jar = (fedOn: string): Household => ({
  ...defaultHousehold,
  zone: 'UTC',
  bags: [
    {
      id: 'j',
      kind: 'starter',
      name: 'The jar',
      ingredient: 'bread-flour',
      keptAt: 'fridge',
      fedOn,
    },
  ],
});
const written = `Starter\n50 g bread flour\n50 g water\n\nDough\n450 g bread flour\n300 g water\n10 g salt`;
const built = written.replace('Starter\n50', 'Starter\n20 g ripe starter\n50');

const sourdough = (text = written) => ({
  ...read(text, 'hearth-white').formula,
  style: 'hearth-white' as const,
});
const planned = (
  household: Household,
  more: Partial<BakeWished> = {},
  text = written,
  ready = 61,
) => {
  const answer = timedPlan({
    now: at(8),
    zone: 'UTC',
    bakes: [
      { id: 'b', formula: sourdough(text), room: 21, readyBy: at(ready), device: 'hand', ...more },
    ],
    week: household.week,
    resources: oneKitchen,
    household,
    belief: nothingLearned,
  });
  if (!isTimed(answer)) throw new Error(answer.why);
  return answer;
};

describe('a starter in the plan stands as it does in the jar', () => {
  const wakes = (fedOn: string) => wakesOf(sourdough(), jar(fedOn).bags, at(12));
  it('fed a week ago its build is enough; two weeks ago one feeding more; a month ago two (handbook section 17)', () => {
    // From 12 o'clock of a day to 12 of another: both sides of seven days and of three weeks.
    expect([wakes('2026-11-26'), wakes('2026-11-25')]).to.deep.equal([0, 1]);
    expect([wakes('2026-11-12'), wakes('2026-11-11')]).to.deep.equal([1, 2]);
    expect(wakesOf(sourdough(), [], at(12))).to.equal(0);
  });
  it('what is said of it goes before the jar', () => {
    const said = (days: number) =>
      wakesOf(sourdough(), jar('2026-12-02').bags, at(12), {
        at: at(12 - 24 * days),
        keptAt: 'fridge',
      });
    expect(Object.values(fedAgo).map(({ days }) => said(days))).to.deep.equal([0, 0, 1, 2]);
  });

  it('what was said is read as it was said, the day after and a day later', () => {
    for (const id of fedAgoIds) {
      const said = fedAt(id, at(12));
      expect([fedAgoAt(said, at(12)), fedAgoAt(said, at(36))], id).to.deep.equal([id, id]);
    }
    expect(fedAgoAt(at(12), at(12))).to.equal('fresh');
  });

  it('the feedings stand in the plan before the build, and nobody is called at night', () => {
    for (const [fedOn, count] of [
      ['2026-11-30', 0],
      ['2026-11-18', 1],
      ['2026-10-20', 2],
    ] as const) {
      const { steps, bakes } = planned(jar(fedOn));
      const fed = steps.filter((s) => s.kind === 'refresh' || s.kind === 'feed');
      expect(fed.map((s) => s.kind)).to.deep.equal([...Array(count).fill('refresh'), 'feed']);
      expect(bakes[0]!.wakes ?? 0).to.equal(count);
      for (const { start } of fed) expect(hours(start) % 24, fedOn).to.be.within(6.5, 22.5);
      for (const [i, { end }] of fed.slice(0, -1).entries())
        expect(hours(end)).to.be.at.most(hours(fed[i + 1]!.start) + 0.02);
    }
  });

  it('begun, the bake has the same steps', () => {
    const household = jar('2026-10-20');
    const { steps, bakes } = planned(household);
    const formula = sourdough();
    const events = fromPlan({}, bakes[0], formula).map(
      (e, i) => ({ ...e, id: `e${i}`, at: at(8) }) as BakeEvent,
    );
    expect(bakeState(events).wished?.wakes).to.equal(2);
    const run = runOf({
      id: 'b',
      formula,
      device: 'hand',
      events,
      household,
      belief: nothingLearned,
    });
    const own = (of: readonly { readonly id: string; readonly kind: string }[]) =>
      of.filter((s) => s.kind === 'refresh').map((s) => s.id.replace(/^b:/, ''));
    expect(own(run.steps)).to.deep.equal(own(steps));
    expect(own(steps)).to.have.length(2);
  });

  it('no build is sown with less than the scale weighs: 5 g by a gram, .5 by a tenth', () => {
    const seed = (scaleStep: number) =>
      Math.min(
        ...[40, 44, 48, 52, 56, 61].map((ready) => {
          const household = { ...jar('2026-12-02'), scaleStep, room: { celsius: 27 } };
          return planned(household, { room: 27 }, written, ready).bakes[0]!.feedings[0]!.feeding
            .seed;
        }),
      );
    expect(seed(1)).to.be.at.least(4.5);
    expect(seed(0.1)).to.be.at.least(0.5);
  });
});

describe('a starter’s own build', () => {
  it('is read: 20 g of ripe starter for 50 of flour', () => {
    const [stage] = sourdough(built).stages;
    expect(stage!.process?.seed).to.equal(0.4);
    expect(sourdough().stages[0]!.process).to.equal(undefined);
  });
  it('stays as it is where there is time, and is told to be changed where not', () => {
    const feeding = (text: string, ready: number) =>
      planned(jar('2026-12-02'), {}, text, ready).bakes[0]!.feedings[0]!;
    const own = feeding(built, 61);
    expect(own.by).to.equal('recipe');
    expect(own.feeding.seed / own.feeding.flour).to.be.closeTo(0.4, 1e-9);
    // What the dough takes and what is kept: 120 g and 20.
    const { seed, flour, water } = own.feeding;
    expect(seed + flour + water).to.be.closeTo(140, 1e-6);
    expect(feeding(written, 61).by).to.equal(undefined);
    const hurried = [22, 24, 26, 28].map((ready) => feeding(built, ready));
    const other = hurried.find((f) => f.by === 'time')!;
    // The sooner, the more of it.
    expect(other.feeding.seed / other.feeding.flour).to.be.above(0.4);
  });
  it('ripens the later the less it is sown with', () => {
    const built = (seed: number) =>
      ownBuild({ flour: 60, water: 60, keep: 0, celsius: 22, whole: 0, seed })!.hours.middle;
    expect(built(0.2)).to.be.above(built(0.4));
    // Equal parts of starter and flour and water: 4 to 6 h at 25 °C (common practice).
    const equal = ownBuild({ flour: 60, water: 60, keep: 0, celsius: 25, whole: 0, seed: 1 })!;
    expect(equal.hours.middle).to.be.within(4, 6.2);
  });
});
