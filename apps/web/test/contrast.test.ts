import { expect } from 'chai';
import { wcagContrast } from 'culori';
import { readFileSync } from 'node:fs';

/** Tokens of the look, by theme, as the style sheet has them. */
const css = readFileSync(new URL('../src/app.css', import.meta.url), 'utf8');
const tokens = new Map(
  [...css.matchAll(/--([\w-]+): light-dark\((#[0-9a-f]{6}), (#[0-9a-f]{6})\)/gi)].map(
    ([, name, light, dark]) => [name!, { light: light!, dark: dark! }] as const,
  ),
);
const contrast = (one: string, other: string, theme: 'light' | 'dark') =>
  wcagContrast(tokens.get(one)![theme], tokens.get(other)![theme]);

/** Text wants 4.5 : 1, edges and marks 3 : 1 (WCAG 2.2, success criteria 1.4.3 and 1.4.11). */
const text = [
  ...['ground', 'enamel', 'sunk', 'act-tint'].flatMap((ground) =>
    ['ink', 'soft', 'rim', 'act'].map((ink) => [ink, ground] as const),
  ),
  ['on-rim', 'rim'],
  ['on-act', 'act'],
] as const;
const marks = [
  ...['ground', 'enamel', 'sunk'].flatMap((ground) =>
    ['edge', 'rim', 'act', 'water'].map((mark) => [mark, ground] as const),
  ),
] as const;

describe('contrast, from the tokens', () => {
  for (const theme of ['light', 'dark'] as const) {
    it(`text on every ground, ${theme}`, () => {
      for (const [ink, ground] of text)
        expect(contrast(ink, ground, theme), `${ink} on ${ground}`).to.be.at.least(4.5);
    });

    it(`edges of fields, the bubble’s edge and marks, ${theme}`, () => {
      for (const [mark, ground] of marks)
        expect(contrast(mark, ground, theme), `${mark} on ${ground}`).to.be.at.least(3);
    });
  }

  it('is told by figures that are known: black on white is 21 : 1', () => {
    expect(wcagContrast('#000000', '#ffffff')).to.be.closeTo(21, 1e-9);
  });
});
