import { expect } from 'chai';
import { nothingLearned } from '@tender-crumb/core/belief';
import { verdict } from '@tender-crumb/core/correct';
import { asLikely, evaluate } from '@tender-crumb/core/evaluate';
import { completeFormula } from '@tender-crumb/core/exchange';
import { copyOf, ofStyle } from '@tender-crumb/core/formula';
import { defaultHousehold } from '@tender-crumb/core/household';
import { benchOf, pasteOf } from '@tender-crumb/core/view';
import { defaultMeasures } from '@tender-crumb/core/quantity';
import { build, judge } from '../build.ts';

const guess = (amounts: Record<string, number>, name = 'Bread') =>
  asLikely({ ...build(amounts), name }, defaultHousehold, nothingLearned)!.formula;
const of = (formula: ReturnType<typeof guess>) =>
  evaluate(formula, defaultHousehold, nothingLearned)!;
const water = (formula: ReturnType<typeof guess>) =>
  of(formula).corrections.find((c) => c.kind === 'water')?.certainty ?? 0;

const firm = { 'bread-flour': 500, water: 270, butter: 25, salt: 10, 'instant-yeast': 5 };

describe('a style that is guessed', () => {
  it('makes no correction surer than it is the style; said, it is as sure as the dough', () => {
    const formula = guess(firm);
    const { guess: how } = of(formula);
    expect(formula.styleGuessed).to.equal(true);
    const all = [how!.probability, ...how!.others.map((o) => o.probability)];
    expect(all.reduce((a, b) => a + b, 0)).to.be.closeTo(1, 1e-9);
    const said = ofStyle(formula, formula.style);
    expect(said.styleGuessed).to.equal(undefined);
    expect(of(said).guess).to.equal(undefined);
    expect(of(said).aims).to.have.length(1);
    expect(water(formula)).to.be.above(0.5);
    expect(water(formula)).to.be.below(water(said));
  });

  it('counts in the chance to land in the window, whichever that is', () => {
    const formula = guess(firm);
    const chance = verdict(of(formula), formula.style).chance!;
    expect(chance).to.be.above(verdict(of(ofStyle(formula, 'pan')), 'pan').chance!);
  });

  it('a festive bread of yolk and butter is not told to hold its water back', () => {
    const formula = guess(
      {
        'bread-flour': 400,
        butter: 140,
        'egg-yolk': 120,
        water: 150,
        sugar: 110,
        salt: 5,
        'osmotolerant-yeast': 6,
        raisins: 120,
      },
      'Panettone',
    );
    expect(water(formula)).to.be.below(0.7);
  });

  it('gluten is asked for no more surely than it is that the bread wants it', () => {
    const weak = { 'plain-flour': 500, milk: 300, butter: 60, sugar: 50, salt: 9 };
    const gluten = (formula: ReturnType<typeof guess>) =>
      of(formula).corrections.find((c) => c.kind === 'gluten')!.certainty;
    const formula = guess({ ...weak, 'instant-yeast': 5 });
    // A loaf that may be meant for the hearth wants no more of it than it has.
    const { probability, others } = of(formula).guess!;
    const most = [{ style: formula.style, probability }, ...others]
      .filter(
        ({ style, probability }) =>
          // Those that are next to impossible speak against nothing.
          probability < 0.02 ||
          of(ofStyle(formula, style)).corrections.some((c) => c.kind === 'gluten'),
      )
      .reduce((sum, o) => sum + o.probability, 0);
    expect(gluten(formula)).to.be.closeTo(most, 1e-9);
    expect(gluten(formula)).to.be.below(gluten(ofStyle(formula, 'pan')) - 0.05);
  });

  it('is kept with the formula, and asked on the bench until it is said', () => {
    const formula = guess(firm);
    expect(completeFormula(JSON.parse(JSON.stringify(formula))).styleGuessed).to.equal(true);
    const bench = (f: typeof formula) =>
      benchOf({ formula: f, household: defaultHousehold, belief: nothingLearned });
    expect(bench(formula).asksStyle![0]).to.equal(formula.style);
    expect(bench(formula).asksStyle).to.have.length(2);
    expect(bench(ofStyle(formula, 'rolls')).asksStyle).to.equal(undefined);
  });

  it('is asked while three in a hundred may be another bread, and not where it is all but certain', () => {
    const names = ['Bread', 'Bagels', 'Soft rolls', 'Rolls', 'Tin loaf', 'Pizza', 'Baguette'];
    const asked = names.map((name) => {
      const formula = guess(firm, name);
      const view = benchOf({ formula, household: defaultHousehold, belief: nothingLearned });
      const asks = view.asksStyle !== undefined;
      expect(asks, name).to.equal(of(formula).guess!.probability < 0.97);
      return asks;
    });
    expect(new Set(asked).size).to.equal(2);
  });

  it('a copy is as much of a guess; what was being tried stays with the first', () => {
    const asked = {
      key: 'water',
      says: 'water',
      from: 'a',
      to: 'b',
      by: 'stars',
      askedOn: '2026-01-01',
    };
    const copy = copyOf({ ...guess(firm), asked }, 'Copy');
    expect(copy).to.include({ name: 'Copy', styleGuessed: true });
    expect(copy.asked).to.equal(undefined);
  });

  it('a paste that says what it is, or is told, is no guess', () => {
    const paste = (said?: 'bagel') =>
      pasteOf({
        text: '500 g bread flour\n270 g water\n10 g salt\n5 g instant yeast',
        household: defaultHousehold,
        measures: defaultMeasures,
        answers: {},
        which: 0,
        size: undefined,
        said,
        pages: [],
        belief: nothingLearned,
      }).formula!;
    expect(paste().styleGuessed).to.equal(true);
    expect(paste('bagel').styleGuessed).to.equal(undefined);
  });
});

describe('how surely gluten and salt are asked for', () => {
  const of = (amounts: Record<string, number>, kind: string) =>
    judge(build(amounts, 'pan')).corrections.find((c) => c.kind === kind);

  it('gluten: neither the flour nor what bakers want is known to the gram', () => {
    const plain = of({ 'plain-flour': 500, water: 300, salt: 9, 'instant-yeast': 5 }, 'gluten')!;
    expect(plain.certainty).to.be.within(0.7, 0.9);
  });

  it('no salt is a choice; little salt is less likely one', () => {
    const salt = (grams: number) =>
      of({ 'bread-flour': 500, water: 310, salt: grams, 'instant-yeast': 5 }, 'salt')!;
    expect(salt(0).certainty).to.be.below(0.7);
    expect(salt(2).certainty).to.be.within(0.7, 0.8);
    expect(salt(0).reason).to.match(/^There is no salt in it;/);
  });
});
