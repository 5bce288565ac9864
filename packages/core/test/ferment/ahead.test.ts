import { expect } from 'chai';
import {
  aheadKindIds,
  aheadOf,
  dopingFor,
  foldIn,
  isForecast,
  riseForecast,
  risesOf,
  warmAndCold,
  type AheadKind,
} from '@tender-crumb/core/ferment';
import { starterGrams, starterHydration, starterIn } from '@tender-crumb/core/starter';
import {
  giveBackCorrection,
  resolve,
  takeCorrection,
  totals,
  type Formula,
  type Taken,
} from '@tender-crumb/core/formula';
import { defaultHousehold } from '@tender-crumb/core/household';
import { cataloguePantry, yeastKinds, yeastUses } from '@tender-crumb/core/ingredient';
import { isRefused } from '@tender-crumb/core/quantity';
import { choicesFor } from '@tender-crumb/core/substitute';
import { build } from '../build.ts';

const white = build(
  { 'bread-flour': 500, water: 330, salt: 10, 'instant-yeast': 5 },
  'hearth-yeast',
);
const oats = build(
  {
    'bread-flour': 400,
    'whole-wheat': 100,
    'rolled-oats': 60,
    water: 360,
    salt: 9,
    'instant-yeast': 5,
  },
  'rolls',
);
const sour = build({ 'bread-flour': 450, water: 300, salt: 10 }, 'hearth-white', {
  'bread-flour': 50,
  water: 50,
});
const take = (formula: Formula, kind: AheadKind, celsius = 20): Formula => {
  const found = aheadOf(resolve(formula), kind, celsius);
  if (isRefused(found)) throw new Error(found.refused.says);
  return takeCorrection(formula, found);
};
/** Grams of each thing in all stages together. */
const sums = (formula: Formula): Record<string, number> => {
  const of: Record<string, number> = {};
  for (const { ingredient, grams } of resolve(formula))
    of[ingredient] = Math.round(((of[ingredient] ?? 0) + grams) * 1e6) / 1e6;
  return of;
};
const stage = (formula: Formula, name: string) =>
  Object.fromEntries(
    resolve(formula)
      .filter((l) => l.stage === name)
      .map((l) => [l.ingredient, l.grams]),
  );

describe('a part of a dough mixed ahead', () => {
  it('nothing is added and nothing lost, and giving it back gives the formula back', () => {
    for (const kind of aheadKindIds) {
      const before = kind === 'soaker' || kind === 'whole-soaker' ? oats : white;
      const after = take(before, kind);
      expect(sums(after), kind).to.deep.equal(sums(before));
      expect(totals(resolve(after))!.hydrationTotalFlour, kind).to.be.closeTo(
        totals(resolve(before))!.hydrationTotalFlour,
        1e-9,
      );
      expect(giveBackCorrection(after, after.taken[0]!.id), kind).to.deep.equal(before);
    }
  });

  it('a poolish is as much water as flour, its yeast as much as makes it ripe overnight', () => {
    const poolish = stage(take(white, 'poolish'), 'poolish');
    expect(poolish).to.include({ 'bread-flour': 150, water: 150 });
    // Common practice, no source: .05 to .2 % instant for 8 to 16 hours at 20 °C.
    const percent = (100 * poolish['instant-yeast']!) / 150;
    expect(percent).to.be.within(0.05, 0.2);
    const warm = stage(take(white, 'poolish', 25), 'poolish');
    expect(warm['instant-yeast']!).to.be.below(poolish['instant-yeast']!);
    const biga = stage(take(white, 'biga'), 'biga');
    expect(biga).to.include({ 'bread-flour': 175, water: 96 });
  });

  it('soaked and scalded things are so: they drink otherwise', () => {
    const soaked = resolve(take(oats, 'soaker')).find(
      (l) => l.ingredient === 'rolled-oats' && l.grams > 0,
    )!;
    expect(soaked.of.state).to.equal('soaked');
    const scald = resolve(take(white, 'scald')).find((l) => l.stage === 'scald')!;
    expect(scald.of.state).to.equal('cooked');
    expect(scald.grams).to.equal(30);
  });

  it('takes no more flour than its line has, however much flour there is', () => {
    const mixed = build({
      'bread-flour': 110,
      'rye-whole': 105,
      'plain-flour': 100,
      'barley-whole': 95,
      water: 300,
      salt: 8,
      'instant-yeast': 4,
    });
    const after = take(mixed, 'poolish');
    expect(stage(after, 'poolish')['bread-flour']).to.equal(110);
    expect(sums(after)).to.deep.equal(sums(mixed));
  });

  it('says why it cannot be', () => {
    const no = (formula: Formula, kind: AheadKind) => {
      const found = aheadOf(resolve(formula), kind, 20);
      return isRefused(found) ? found.refused.code : 'done';
    };
    expect(no(white, 'soaker')).to.equal('nothing-for-it');
    expect(no(white, 'whole-soaker')).to.equal('nothing-for-it');
    expect(no(sour, 'poolish')).to.equal('no-yeast');
    const water = (grams: number) =>
      build({ 'bread-flour': 500, milk: 300, water: grams, salt: 10, 'instant-yeast': 5 });
    expect(no(water(150), 'poolish')).to.equal('done');
    expect(no(water(149), 'poolish')).to.equal('too-little-water');
  });

  it('a typed poolish goes back into the dough as it was in all', () => {
    const typed: Formula = {
      ...white,
      stages: [
        {
          id: 'p',
          kind: 'preferment',
          name: 'Poolish',
          lines: [
            { id: 'p1', ingredient: 'bread-flour', grams: 100, measured: 'scale' },
            { id: 'p2', ingredient: 'water', grams: 100, measured: 'scale' },
          ],
        },
        ...white.stages,
      ],
    };
    const folded = takeCorrection(typed, foldIn(resolve(typed), 'p', 's1')!);
    expect(sums(folded)).to.deep.equal(sums(typed));
    expect(Object.values(stage(folded, 'p')).every((g) => g === 0)).to.equal(true);
    expect(foldIn(resolve(folded), 'p', 's1')).to.equal(undefined);
  });

  it('yeasted to sourdough and back, to poolish and back: the formula is what it was', () => {
    const lines = resolve(white);
    const yeast = lines.find((l) => l.of.yeast)!;
    expect(
      choicesFor(white, yeast.id, defaultHousehold)
        .map((c) => c.id)
        .includes('starter'),
    ).to.equal(true);
    let formula = white;
    for (const kind of ['poolish', 'biga'] as const) {
      formula = take(formula, kind);
      formula = giveBackCorrection(formula, formula.taken.at(-1)!.id);
    }
    expect(formula).to.deep.equal(white);
  });
});

describe('yeast beside a starter', () => {
  const standing = { celsius: 25, air: [{ hours: 1, celsius: 24 }], vessel: 'bowl' as const };
  const [first] = risesOf(resolve(sour), standing, 'basket');
  const yeast = { ingredient: 'instant-yeast', kind: 'instant' as const, stage: 's1' };

  it('has the dough ready in the time that was asked for', () => {
    const found = dopingFor(resolve(sour), first!, 3, yeast);
    if (!('grams' in found)) throw new Error(found.why);
    expect(found.grams).to.be.within(0.3, 4);
    const doped = takeCorrection(sour, found.correction as Omit<Taken, 'id'>);
    const [rise] = risesOf(resolve(doped), standing, 'basket');
    const forecast = riseForecast(rise!.dough, rise!.end);
    if (!isForecast(forecast)) throw new Error('never');
    expect(forecast.middle).to.be.closeTo(3, 0.1);
    // Doubled, as a dough that yeast raises.
    expect(rise!.until).to.equal('doubled');
  });

  it('is none where the starter alone is sooner, or nothing is so soon', () => {
    expect(dopingFor(resolve(sour), first!, 24, yeast)).to.include({ why: 'too-late' });
    expect(dopingFor(resolve(sour), first!, 0.3, yeast)).to.include({ why: 'too-soon' });
  });
});

describe('the starter in a dough', () => {
  it('its flour of all flour, its water of its flour, and what another share weighs', () => {
    const of = starterIn(resolve(sour))!;
    expect(of).to.include({ stage: 's0', hydration: 100, grams: 100 });
    expect(of.percent).to.be.closeTo(10, 1e-9);
    expect(starterGrams(of, 15)).to.be.closeTo(150, 1e-9);
    expect(starterIn(resolve(white))).to.equal(undefined);
  });
});

describe('a starter’s hydration', () => {
  it('is changed with the dough as it was', () => {
    const stiff = takeCorrection(sour, {
      correction: 'starter-hydration',
      reason: '',
      basis: '',
      changes: starterHydration(resolve(sour), 's0', 60)!,
    });
    expect(sums(stiff)).to.deep.equal(sums(sour));
    expect(stage(stiff, 's0')).to.deep.equal({ 'bread-flour': 50, water: 30 });
  });

  it('is not where the dough has not so much water, and nothing changes where it is so already', () => {
    expect(starterHydration(resolve(sour), 's0', 100)).to.deep.equal([]);
    expect(starterHydration(resolve(sour), 's0', 700)).to.have.length(2);
    expect(starterHydration(resolve(sour), 's0', 701)).to.equal(undefined);
    expect(starterHydration(resolve(white), 's1', 60)).not.to.equal(undefined);
    expect(starterHydration(resolve(sour), 'nothing', 60)).to.equal(undefined);
  });
});

describe('the two schools of a dough’s warmth', () => {
  it('warm is sooner than cold, with warmer water; a dough that no model tells has neither', () => {
    const [warm, cold] = warmAndCold(resolve(white), 21, 1);
    expect(warm!.hours).to.be.below(2.5);
    expect(cold!.hours).to.be.above(warm!.hours! * 1.3);
    expect(warm!.water!.celsius).to.be.above(cold!.water!.celsius);
    expect(warmAndCold(resolve(build({ water: 100 })), 21, 1)).to.deep.equal([]);
  });
});

describe('how yeast is used', () => {
  it('every kind has its way, its liquid below what harms it', () => {
    for (const kind of yeastKinds) {
      expect(yeastUses[kind].length, kind).to.be.above(0);
      // Common practice, no source: harm begins above about 50 °C; the hottest school goes to 54, through flour.
      for (const { liquid, says } of yeastUses[kind])
        if (liquid) expect(liquid[1], says).to.be.at.most(54);
    }
    expect(cataloguePantry.has('instant-yeast')).to.equal(true);
  });
});
