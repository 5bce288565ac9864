import { expect } from 'chai';
import { gramsPerMillilitre, ingredient, measureText } from '@tender-crumb/core/ingredient';
import { defaultMeasures, spoonsInWords, type Measures } from '@tender-crumb/core/quantity';
import { readMeasure } from '@tender-crumb/core/reader';

const households: readonly Measures[] = [
  defaultMeasures,
  { ...defaultMeasures, cup: 'metric', tablespoon: 'metric' },
  { ...defaultMeasures, cup: 'imperial', tablespoon: 'australian' },
];

describe('measures in words', () => {
  it('hold what they say: within a hundredth from a third of a cup up, in every household’s cups', () => {
    for (const measures of households) {
      for (const of of [
        ingredient('water'),
        ingredient('bread-flour'),
        ingredient('whole-wheat'),
      ]) {
        const perMl = gramsPerMillilitre(of, measures)!.value;
        for (let ml = 80; ml < 1500; ml += 3.7) {
          const grams = ml * perMl;
          const text = measureText(grams, of, measures)!;
          const read = readMeasure(text, of, measures);
          if ('code' in read) throw new Error(`“${text}”: ${read.says}`);
          expect(read.grams / grams, `${grams} g of ${of.id}: “${text}”`).to.be.within(0.99, 1.01);
        }
      }
    }
  });

  it('small ones are as near as a quarter of a teaspoon is', () => {
    const teaspoon = 4.92892159375;
    for (let ml = teaspoon / 4; ml < 50; ml += 0.37) {
      const read = readMeasure(
        spoonsInWords(ml, defaultMeasures, 'short'),
        ingredient('water'),
        defaultMeasures,
      );
      if ('code' in read) throw new Error(read.says);
      expect(Math.abs(read.grams - ml)).to.be.below(teaspoon / 8 + 0.15);
    }
  });

  it('the simplest way that holds is taken', () => {
    const said = (ml: number) => spoonsInWords(ml, defaultMeasures);
    expect(said(236.6)).to.equal('1 cup');
    expect(said(222)).to.equal('1 cup less 1 tablespoon');
    expect(said(251.4)).to.equal('1 cup and 1 tablespoon');
    expect(said(118.3)).to.equal('½ cup');
    expect(said(44.4)).to.equal('3 tablespoons');
    expect(said(19)).to.equal('about 1 tablespoon and ¾ teaspoon');
    // A fiftieth off it is said as it is; further off it is about so much.
    expect(said(18.84)).to.equal('1 tablespoon and ¾ teaspoon');
    expect(said(18.87)).to.equal('about 1 tablespoon and ¾ teaspoon');
    expect(said(0.5)).to.equal('a pinch');
    expect(said(0.2)).to.equal('less than a pinch');
  });

  it('a sum or a difference that is typed is read', () => {
    const water = (text: string) => {
      const read = readMeasure(text, ingredient('water'), defaultMeasures);
      return 'code' in read ? read.code : read.grams;
    };
    expect(water('1 cup less 1 tbsp')).to.be.closeTo(236.588 - 14.787, 0.1);
    expect(water('1 cup + 2 tbsp and 1 tsp')).to.be.closeTo(236.588 + 29.574 + 4.929, 0.2);
    expect(water('1 tbsp less 1 cup')).to.equal('negative');
    expect(water('1 cup less plenty')).to.equal('no-amount');
  });
});
