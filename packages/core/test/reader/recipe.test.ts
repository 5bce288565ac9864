import { expect } from 'chai';
import fc from 'fast-check';
import {
  defaultMeasures,
  parseNumber,
  kitchenFraction,
  type Measures,
} from '@tender-crumb/core/quantity';
import { readRecipe } from '@tender-crumb/core/reader';
import { read } from '../build.ts';

/** What one line is read as: ingredient, grams, how measured. */
const one = (text: string, measures: Measures = defaultMeasures) => {
  const { formula, unread } = readRecipe(text, { measures });
  const [line] = formula.stages.flatMap((s) => s.lines);
  return line
    ? { ...line, unread }
    : { unread, ingredient: undefined, grams: NaN, measured: '', spread: 0 };
};

describe('reader: amounts (weights by volume: handbook tables, common practice and USDA from memory)', () => {
  const lines: ReadonlyArray<readonly [text: string, ingredient: string, grams: number]> = [
    ['500 g strong bread flour', 'bread-flour', 500],
    ['500g bread flour', 'bread-flour', 500],
    ['0,5 kg bread flour', 'bread-flour', 500],
    ['1,000 g bread flour', 'bread-flour', 1000],
    ['1.1 lb whole wheat flour', 'whole-wheat', 498.95],
    ['8 oz milk', 'milk', 226.8],
    ['3 cups bread flour', 'bread-flour', 375],
    ['3 1/2 cups bread flour', 'bread-flour', 437.5],
    ['3½ cups bread flour', 'bread-flour', 437.5],
    ['1-1/2 cups bread flour', 'bread-flour', 187.5],
    ['½ cup sugar', 'sugar', 100],
    ['⅓ c. honey', 'honey', 113],
    ['1 ¼ cups warm water', 'water', 295.75],
    ['1 1/4 cups of lukewarm water (about 35 °C)', 'water', 295.75],
    ['1-2 tbsp olive oil', 'oil', 20.25],
    ['1 to 2 tablespoons honey', 'honey', 31.78],
    ['1 T sugar', 'sugar', 12.5],
    ['1 t salt', 'salt', 6.08],
    ['2 tsp. fine sea salt', 'salt', 12.17],
    ['1 heaping tablespoon sugar', 'sugar', 18.75],
    ['a pinch of salt', 'salt', 0.38],
    ['half a cup of milk', 'milk', 122],
    ['2 large eggs, beaten', 'egg', 100],
    ['1 egg', 'egg', 50],
    ['3 egg yolks', 'egg-yolk', 51],
    ['1 packet active dry yeast', 'active-dry-yeast', 7],
    ['2 packets (7 g each) instant yeast', 'instant-yeast', 14],
    ['1 stick unsalted butter, softened', 'butter', 113.4],
    ['3 cups (360 g) whole wheat flour', 'whole-wheat', 360],
    ['500 g / 4 cups plain flour', 'plain-flour', 500],
    ['4 cups / 500 g plain flour', 'plain-flour', 500],
    ['3 cups plus 2 tablespoons bread flour', 'bread-flour', 390.6],
    ['Bread flour: 500 g', 'bread-flour', 500],
    ['Salt 9 g', 'salt', 9],
    ['Water – 350 g (70 %)', 'water', 350],
    ['• 250 ml whole milk', 'milk', 257.8],
    ['- 20 g salted butter', 'butter-salted', 20],
    ['1. 30 g ground flaxseed', 'flax-meal', 30],
    ['440 g freshly milled hard red wheat', 'fresh-hard-wheat', 440],
    ['about 20 g vital wheat gluten', 'vital-gluten', 20],
    ['2 dl milk', 'milk', 206.3],
    ['2 lb 3 oz bread flour', 'bread-flour', 992.23],
    ['1/4 oz package instant yeast', 'instant-yeast', 7.09],
    ['80 g golden flaxseed meal', 'flax-meal', 80],
    ['30 g powdered milk', 'milk-powder', 30],
  ];
  for (const [text, ingredient, grams] of lines) {
    it(text, () => {
      const line = one(text);
      expect(line.ingredient).to.equal(ingredient);
      expect(line.grams).to.be.closeTo(grams, grams * 0.005);
      expect(line.unread).to.deep.equal([]);
    });
  }

  it("the household's cup, spoon and filling change what a recipe means", () => {
    const cup = (over: Partial<Measures>) =>
      one('2 cups bread flour', { ...defaultMeasures, ...over }).grams;
    expect(cup({})).to.be.closeTo(250, 1e-6);
    expect(cup({ fill: 'dipped' })).to.be.closeTo(290, 1e-6);
    expect(cup({ fill: 'fresh' })).to.be.closeTo(224, 1e-6);
    expect(cup({ cup: 'metric' })).to.be.closeTo((250 * 250) / 236.588, 0.01);
    const spoon = (tablespoon: Measures['tablespoon']) =>
      one('1 tbsp water', { ...defaultMeasures, tablespoon }).grams;
    expect(spoon('australian')).to.be.closeTo(20, 0.01);
    expect(spoon('metric')).to.be.closeTo(15, 0.01);
  });

  it('words of doubt widen the line: about, heaping, a range', () => {
    expect(one('about 500 g bread flour').spread).to.be.closeTo(0.1, 1e-9);
    expect(one('1 heaping tsp salt').spread).to.be.closeTo(0.2, 1e-9);
    expect(one('1-2 tbsp honey').spread).to.be.closeTo(0.1925, 1e-3);
    expect(one('500 g bread flour').spread).to.equal(undefined);
  });
});

describe('reader: what cannot be read comes back, with its line number and why', () => {
  const cases: ReadonlyArray<readonly [text: string, code: string]> = [
    ['salt to taste', 'no-amount'],
    ['2 tbsp peanut flour', 'unknown'],
    ['1 cup rice pudding', 'unknown'],
    ['half white, half wholemeal', 'unknown'],
    ['2 tbsp butter or honey', 'several'],
    ['5 g salt and pepper', 'several'],
    ['3 blorps water', 'unknown'],
    ['2 tbsp honey powder', 'unknown'],
    ['flour 500', 'no-unit'],
    ['-5 g salt', 'negative'],
    ['1000000 kg flour', 'absurd'],
    ['1 packet honey', 'no-weight'],
    ['1 stick flour', 'no-weight'],
    ['1/0 cup flour', 'no-amount'],
    [`1 g ${'x'.repeat(600)}`, 'too-long'],
  ];
  for (const [text, code] of cases) {
    it(text.slice(0, 40), () => {
      const { unread, formula } = read(`300 g bread flour\n\n${text}\n200 g water`);
      expect(unread).to.have.length(1);
      expect(unread[0]).to.include({ line: 3, text, code });
      expect(unread[0]!.says).not.to.equal('');
      expect(formula.stages[0]!.lines).to.have.length(2);
      expect(formula.source).to.contain(text);
    });
  }

  it('says what it took for granted', () => {
    const { assumptions } = read('500 g flour\n300 g water\n100 g starter');
    expect(assumptions.map((a) => a.line)).to.deep.equal([1, 3]);
    expect(assumptions[1]!.text).to.match(/bread flour.*100 % hydration/);
  });
});

describe('reader: stages', () => {
  it('opens a starter up into its flour and water', () => {
    const { formula } = read(
      '500 g whole wheat flour\n400 g water\n180 g whole wheat starter (80% hydration)\n8 g salt',
    );
    const [starter, dough] = formula.stages;
    expect(starter).to.include({ kind: 'starter' });
    expect(starter!.lines.map((l) => [l.ingredient, Math.round(l.grams)])).to.deep.equal([
      ['whole-wheat', 100],
      ['water', 80],
    ]);
    expect(dough!.lines).to.have.length(3);
  });

  it('takes a title that begins with "a" for a title, and a pinch of salt for salt', () => {
    const { formula, unread } = read('A loaf for rainy days\n\n500 g bread flour\n300 g water');
    expect(formula.name).to.equal('A loaf for rainy days');
    expect(unread).to.deep.equal([]);
    expect(read('a pinch of salt\n\n500 g bread flour').formula.stages[0]!.lines).to.have.length(2);
  });

  it('does not take how wet a starter is for how much of it there is', () => {
    const { formula, unread } = read('500 g bread flour\n300 g water\n125% hydration starter 90 g');
    expect(unread).to.deep.equal([]);
    expect(formula.stages[0]!.lines.map((l) => Math.round(l.grams))).to.deep.equal([40, 50]);
  });

  it('reads headings as stages, the starter and pre-ferments first, and the title as the name', () => {
    const { formula, unread, assumptions } = read(
      'Flat bread with onions\n\nDough:\n400 g plain flour\n200 g water\nall of the poolish\n8 g salt\n\nFor the poolish:\n100 g plain flour\n100 g water\n0.2 g instant yeast',
    );
    expect(formula.name).to.equal('Flat bread with onions');
    expect(formula.stages.map((s) => s.kind)).to.deep.equal(['preferment', 'dough']);
    expect(formula.stages[0]!.lines).to.have.length(3);
    expect(unread).to.deep.equal([]);
    expect(assumptions.map((a) => a.line)).to.deep.equal([6]);
  });

  it('does not count a levain twice that is built above', () => {
    const { formula, assumptions, unread } = read(
      'Levain:\n20 g starter\n50 g bread flour\n50 g water\n\nDough:\n500 g bread flour\n350 g water\n120 g levain\n10 g salt',
    );
    const grams = formula.stages.flatMap((s) => s.lines).reduce((sum, l) => sum + l.grams, 0);
    expect(grams).to.be.closeTo(20 + 100 + 860, 1e-9);
    expect(unread).to.deep.equal([]);
    expect(assumptions.map((a) => a.text).join()).to.contain('120\u202fg of the levain');
  });
});

describe('reader: any text', () => {
  const words = fc.constantFrom(
    'flour',
    'cups',
    '1/2',
    '3',
    '½',
    '-',
    '(',
    ')',
    'salt',
    'g',
    'of',
    '%',
    ':',
    'starter',
    'poolish',
    '0',
    ',',
    '1e9',
    '١',
    '𝟙',
    '\u0000',
  );
  it('never throws, never loses a line, never gives a negative or endless mass', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.oneof(
            fc.string({ unit: 'binary', maxLength: 60 }),
            fc.array(words, { maxLength: 9 }).map((w) => w.join(' ')),
          ),
          { maxLength: 20 },
        ),
        (rows) => {
          const text = rows.join('\n');
          const { formula, unread } = readRecipe(text, { measures: defaultMeasures });
          for (const l of formula.stages.flatMap((s) => s.lines)) {
            expect(l.grams).to.be.within(0, 100_000);
          }
          expect(unread.every((u) => u.line >= 1)).to.equal(true);
          expect(formula.source).to.equal(text);
        },
      ),
      { numRuns: 1000 },
    );
  });
});

describe('fractions', () => {
  it('are read and set', () => {
    expect(parseNumber('2 3/4')).to.equal(2.75);
    expect(parseNumber('1½')).to.equal(1.5);
    expect(parseNumber('1/0')).to.equal(undefined);
    expect(parseNumber('ten')).to.equal(undefined);
    expect(kitchenFraction(1 / 3)).to.equal('⅓');
    expect(kitchenFraction(2.98)).to.equal('3');
    expect(kitchenFraction(0.02)).to.equal('0');
  });
});
