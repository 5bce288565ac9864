import { expect } from 'chai';
import { kitchenNow, type BakeEvent } from '@tender-crumb/core/bake';
import { wentWrong } from '@tender-crumb/core/book';
import { mixingAdvice } from '@tender-crumb/core/dough';
import { nothingLearned, kitchenOf } from '@tender-crumb/core/belief';
import { defaultHousehold, saltWord, type Household } from '@tender-crumb/core/household';
import { usualMinutes } from '@tender-crumb/core/schedule';
import { coolingOf } from '@tender-crumb/core/style';
import { bakeOf, benchOf, rescueOf, touchAt, usualDough } from '@tender-crumb/core/view';
import { build } from '../build.ts';
import { aBake } from '../book/a-bake.ts';

const house = (more: Partial<Household>): Household => ({ ...defaultHousehold, ...more });
const whole = build(
  { 'whole-wheat': 500, water: 400, salt: 9, 'instant-yeast': 5 },
  'wholegrain-pan',
);
const bakeIn = (household: Household, events: readonly BakeEvent[] = [], formula = whole) =>
  bakeOf({ id: 'b', formula, method: 'hand', events, household, belief: nothingLearned });
const benchIn = (household: Household, formula = whole) =>
  benchOf({ formula, household, belief: nothingLearned });

/** What a household says once is obeyed wherever it matters. */
describe('a household’s word', () => {
  it('salt: who keeps to little of it is asked for more nowhere', () => {
    const little = house({ lowSodium: true });
    expect(saltWord('pan', kitchenOf(little), little)).to.deep.include({ usual: 0.9 });
    const bare = build({ 'bread-flour': 500, water: 320, salt: 4.5, 'instant-yeast': 5 });
    const asks = (of: Household) =>
      benchIn(of, bare)
        .open.filter((c) => c.kind === 'salt')
        .map((c) => c.changes[0]!.grams);
    expect(asks(little)).to.deep.equal([]);
    const none = build({ 'bread-flour': 500, water: 320, 'instant-yeast': 5 });
    expect(
      benchIn(house({}), none).open.find((c) => c.kind === 'salt')!.changes[0]!.grams,
    ).to.equal(9);
    expect(benchIn(little, none).salt.usual).to.equal(0.9);
    // Of a loaf that spread, little salt is hardly a cause where little is meant, and nobody is told to take more.
    const cause = (household: Household) =>
      wentWrong(aBake(1, { formula: bare, household }), ['spread'], household, nothingLearned).find(
        (c) => c.id === 'little-salt',
      );
    expect(cause(house({}))!.share).to.be.above(3 * (cause(little)?.share ?? 0));
    expect(cause(house({}))!.fix.says).to.contain('Salt to 1.8 %');
    expect(cause(little)?.fix.says ?? '').not.to.contain('more');
  });

  it('the rest before a late touch: verdict, rescue, dough check and its clock', () => {
    const patient = house({ figures: { restMinutes: 40 } });
    const says = benchIn(patient).verdict!.early ?? '';
    expect(says).to.contain('Wait 40 minutes');
    expect(benchIn(house({})).verdict!.early).to.contain('Wait 25 minutes');
    const rescue = rescueOf({
      household: patient,
      belief: nothingLearned,
      bake: {
        formula: whole,
        method: 'hand',
        events: [],
        circumstances: { day: '2026-11-26', kitchen: kitchenNow(patient, whole) },
      },
      went: usualDough,
      style: 'wholegrain-pan',
      sourdough: false,
      felt: 12,
      rested: false,
      rise: { hours: 1, water: 'lukewarm', leaven: 'fresh' },
      over: { where: 'bowl', leaven: 'yeast', looks: 'puffy', smells: 'mild' },
    });
    expect(rescue.dough!.wait).to.contain('Wait 40 minutes');
    const mixed = [
      {
        id: 'm',
        at: '2026-11-26T09:00:00.000Z',
        kind: 'step',
        data: { step: 'mix', sense: 'done' },
      },
    ] as readonly BakeEvent[];
    const rested = (household: Household, minute: number) =>
      touchAt(
        bakeIn(household, mixed),
        new Date(Date.UTC(2026, 10, 26, 9, minute)).toISOString(),
        undefined,
      ).rested;
    expect(rested(patient, 39)).to.equal(false);
    expect(rested(patient, 40)).to.equal(true);
    expect(rested(house({}), 24)).to.equal(false);
    expect(rested(house({}), 25)).to.equal(true);
    expect(bakeIn(patient).restMinutes).to.equal(40);
  });

  it('windows: a bread that is right slack here is looked at as a slack dough', () => {
    const slack = house({
      figures: { 'window:wholegrain-pan:low': 7, 'window:wholegrain-pan:high': 16 },
    });
    expect(bakeIn(house({})).checkKind).to.equal('hand');
    expect(bakeIn(slack).checkKind).to.equal('slack');
    expect(bakeIn(slack).window).to.deep.equal(benchIn(slack).evaluation!.window);
  });

  it('loss: slices and goals lose what is weighed here, else what the household set', () => {
    const dry = house({ figures: { 'loss:wholegrain-pan': 0.2 } });
    expect(benchIn(dry).loss).to.equal(0.2);
    const weighed = benchOf({
      formula: whole,
      household: dry,
      belief: {
        ...nothingLearned,
        measured: { 'loss:style:wholegrain-pan': { mean: 0.15, sd: 0.01, bakes: 4 } },
      },
    });
    expect(weighed.loss).to.equal(0.15);
  });

  it('mixing and cooling: a plan has the minutes that the baker is led by', () => {
    const spelt = build({ 'spelt-whole': 500, water: 330, salt: 9, 'instant-yeast': 5 }, 'pan');
    const bake = bakeIn(house({}), [], spelt);
    const usual = (kind: string) => bake.tasks.find((t) => t.kind === kind)!.usual;
    const kneads = mixingAdvice(bake.planned).find((m) => m.by === 'hand')!.minutes;
    expect(kneads).to.be.below(mixingAdvice(bakeIn(house({})).planned)[0]!.minutes);
    expect(usual('mix')).to.equal(usualMinutes.weigh.value + kneads);
    expect(usual('cool')).to.equal(coolingOf('pan', bake.doughGrams).cut);
    const half = [{ id: 'h', at: '', kind: 'batch', data: { share: 0.5 } }] as readonly BakeEvent[];
    const small = bakeIn(house({}), half, spelt);
    expect(small.tasks.find((t) => t.kind === 'cool')!.usual).to.be.below(usual('cool'));
  });
});
