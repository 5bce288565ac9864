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
  it('hold what they say: within a hundredth from half a cup up, within two from a third, in every household’s cups', () => {
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
          const off = ml < 125 ? 0.0185 : 0.01;
          expect(read.grams / grams, `${grams} g of ${of.id}: “${text}”`).to.be.within(
            1 - off,
            1 + off,
          );
        }
      }
    }
  });

  it('small ones are as near as a quarter of a teaspoon is, from a tablespoon on half a one', () => {
    const teaspoon = 4.92892159375;
    for (let ml = teaspoon / 4; ml < 50; ml += 0.37) {
      const read = readMeasure(
        spoonsInWords(ml, defaultMeasures, 'short'),
        ingredient('water'),
        defaultMeasures,
      );
      if ('code' in read) throw new Error(read.says);
      expect(Math.abs(read.grams - ml)).to.be.below(teaspoon / (ml < 3 * teaspoon ? 8 : 4) + 0.15);
    }
  });

  it('are two parts at most, the second in whole or half spoons', () => {
    for (const measures of households)
      for (let ml = 1; ml < 2000; ml += 1.3) {
        const text = spoonsInWords(ml, measures, 'short').replace(/^about /, '');
        const parts = text.split(/ \+ | less (?!than)/);
        expect(parts.length, text).to.be.at.most(2);
        if (parts[1]) expect(parts[1], text).to.match(/^\d*½? (?:tbsp|tsp)$/);
      }
  });

  it('leave no more than a third of a cup out', () => {
    for (const measures of households)
      for (let ml = 1; ml < 2000; ml += 0.9) {
        const [cup, out] = spoonsInWords(ml, measures, 'short').split(/ less (?!than)/);
        if (out === undefined) continue;
        const read = (text: string) => {
          const found = readMeasure(text.replace(/^about /, ''), ingredient('water'), measures);
          if ('code' in found) throw new Error(found.says);
          return found.grams;
        };
        // Half a spoon is rounded to.
        expect(read(out), `${cup} less ${out}`).to.be.at.most(read(cup!) / 3 + 7.6);
      }
    const metric = households[1]!;
    expect(spoonsInWords(24, metric)).to.equal('about 1 tablespoon and 2 teaspoons');
  });

  it('the simplest way that holds is taken', () => {
    const said = (ml: number) => spoonsInWords(ml, defaultMeasures);
    expect(said(236.6)).to.equal('1 cup');
    expect(said(222)).to.equal('1 cup less 1 tablespoon');
    expect(said(251.4)).to.equal('1 cup and 1 tablespoon');
    expect(said(118.3)).to.equal('½ cup');
    expect(said(44.4)).to.equal('3 tablespoons');
    expect(said(19)).to.equal('about 1 tablespoon and 1 teaspoon');
    // A fiftieth off it is said as it is; further off it is about so much.
    expect(said(18.84)).to.equal('about 1 tablespoon and 1 teaspoon');
    expect(said(18.87)).to.equal('about 1 tablespoon and 1 teaspoon');
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
