import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';

const css = readFileSync(resolve('apps/web/src/app.css'), 'utf8');

/** Each colour token in both themes, as the style sheet has it. */
const tokens = new Map(
  [...css.matchAll(/--([\w-]+):\s*light-dark\((#[0-9a-f]{6}),\s*(#[0-9a-f]{6})\)/g)].map(
    ([, name, light, dark]) => [name!, { light: light!, dark: dark! }],
  ),
);

/** Relative luminance of an sRGB colour. Source: WCAG 2.2, “relative luminance”. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const share = parseInt(hex.slice(at, at + 2), 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** Source: WCAG 2.2, “contrast ratio”. */
function contrast(one: string, other: string): number {
  const [dark, light] = [luminance(one), luminance(other)].sort((a, b) => a - b) as [
    number,
    number,
  ];
  return (light + 0.05) / (dark + 0.05);
}

/** Text and what it stands on, wherever the interface sets one on the other. */
const pairs = [
  ...['ground', 'enamel', 'sunk', 'act-tint'].flatMap((on) => [
    ['ink', on] as const,
    ['soft', on] as const,
    ['rim', on] as const,
    ['act', on] as const,
  ]),
  ['on-rim', 'rim'],
  ['on-act', 'act'],
] as const;

describe('colours of the interface', () => {
  it('the ratio is the published one', () => {
    // Black on white, and the grey that WCAG’s understanding documents name as just enough.
    expect(contrast('#000000', '#ffffff')).to.be.closeTo(21, 1e-9);
    expect(contrast('#767676', '#ffffff')).to.be.closeTo(4.54, 0.005);
  });

  for (const theme of ['light', 'dark'] as const) {
    it(`text is read on what it stands on in the ${theme} theme (WCAG 2.2 AA, 4.5)`, () => {
      for (const [text, on] of pairs) {
        const [one, other] = [tokens.get(text), tokens.get(on)];
        expect(one && other, `${text} on ${on}`).not.to.equal(undefined);
        expect(contrast(one![theme], other![theme]), `${text} on ${on}`).to.be.at.least(4.5);
      }
    });
  }
});
