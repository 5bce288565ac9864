import { expect } from 'chai';
import {
  celsiusTyped,
  gramsTyped,
  massNumber,
  massText,
  massUnits,
  numberTyped,
  plainWriting,
  temperatureText,
  thinSpace,
  written,
  type Writing,
} from '@tender-crumb/core/quantity';

const american: Writing = { mass: 'oz', temperature: 'F', decimal: 'point' };
const comma: Writing = { ...plainWriting, decimal: 'comma' };

describe('how a household writes numbers', () => {
  it('grams, degrees and points stay as the core says them where nothing else is settled', () => {
    const text = `Needs 14${thinSpace}g more, at 26.5 °C, 1.5 %`;
    expect(written(text, plainWriting)).to.equal(text);
  });

  // One ounce is 28.349523125 g, one pound 16 of them: NIST Handbook 44, appendix C.
  for (const [grams, ounces] of [
    [28.349523125, '1'],
    [453.59237, '16'],
    [1, '0.035'],
    [28, '0.988'],
    [28.3, '1'],
    [28.2, '0.995'],
    [282, '9.95'],
    [283.5, '10'],
    [0, '0'],
    [-28.349523125, '−1'],
    [0.001, '0'],
  ] as const) {
    it(`${grams} g are ${ounces} oz`, () => {
      expect(massNumber(grams, american)).to.equal(ounces);
    });
  }

  it('a text of ours gets the household’s units, spans and signs with them', () => {
    expect(written(`+14${thinSpace}g water`, american)).to.equal(`+0.494${thinSpace}oz water`);
    expect(written('between 4 and 60 °C', american)).to.equal('between 39 and 140 °F');
    expect(written('35 to 43 °C', american)).to.equal('95 to 109 °F');
    expect(written(`−12.5${thinSpace}g`, american)).to.equal(`−0.441${thinSpace}oz`);
    expect(written('8 g of protein per 100 g', american)).to.equal('0.282 oz of protein per 100 g');
    expect(written('4 grams and 3 gallons', american)).to.equal('4 grams and 3 gallons');
    expect(written('about 1.25 %, 500 g', comma)).to.equal('about 1,25 %, 500 g');
    expect(written('at 28.35 g', { ...american, decimal: 'comma' })).to.equal('at 1 oz');
  });

  it('temperatures at their fixed points', () => {
    for (const [celsius, text] of [
      [0, '32'],
      [100, '212'],
      [-40, '−40'],
      [26, '79'],
    ] as const) {
      expect(temperatureText(celsius, american)).to.equal(`${text}${thinSpace}°F`);
      expect(temperatureText(celsius, plainWriting)).to.equal(
        `${String(celsius).replace('-', '−')}${thinSpace}°C`,
      );
      expect(celsiusTyped(Number(text.replace('−', '-')), american)).to.be.closeTo(celsius, 0.4);
    }
    expect(celsiusTyped(20, plainWriting)).to.equal(20);
  });

  it('what is typed is in the household’s unit and with its mark', () => {
    expect(gramsTyped(1, american)).to.equal(massUnits.oz);
    expect(gramsTyped(1, plainWriting)).to.equal(1);
    expect(numberTyped('1,234', comma)).to.equal(1.234);
    expect(numberTyped('1.234', comma)).to.equal(1234);
    expect(numberTyped('1.25', comma)).to.equal(1.25);
    expect(numberTyped('1,234', plainWriting)).to.equal(1234);
    expect(numberTyped('12,5', plainWriting)).to.equal(12.5);
    expect(numberTyped('x', comma)).to.equal(undefined);
  });

  it('what is shown can be typed again, in every writing', () => {
    for (const mass of ['g', 'oz'] as const) {
      for (const decimal of ['point', 'comma'] as const) {
        const writing: Writing = { mass, temperature: 'C', decimal };
        for (const grams of [0.5, 1.25, 7.8, 50, 412, 1234, 9999]) {
          const shown = massNumber(grams, writing);
          expect(massText(grams, writing)).to.equal(`${shown}${thinSpace}${mass}`);
          const back = gramsTyped(numberTyped(shown, writing)!, writing);
          expect(back, `${shown} ${mass}`).to.be.closeTo(grams, Math.max(0.051, grams * 0.006));
        }
      }
    }
  });
});
