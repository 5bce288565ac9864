import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { outside } from '@tender-crumb/core/dough';
import { asLikely, evaluate } from '@tender-crumb/core/evaluate';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { readerOf, readRecipe } from '@tender-crumb/core/reader';
import type { StyleId } from '@tender-crumb/core/style';
import { build } from '../build.ts';
import { between } from '../checks/near.ts';

const { breads } = JSON.parse(
  readFileSync(new URL('../../../../scripts/fit/breads.json', import.meta.url), 'utf8'),
) as { breads: Array<{ name: string; style: StyleId; lines: string[] }> };

const likely = (lines: readonly string[], name?: string) => {
  const { formula } = readRecipe(lines.join('\n'), readerOf(defaultHousehold));
  return asLikely(name ? { ...formula, name } : formula, defaultHousehold, nothingLearned)!;
};
const of = (amounts: Record<string, number>, name = 'Bread', pieces?: number) =>
  asLikely(
    { ...build(amounts), name, ...(pieces ? { pieces } : {}) },
    defaultHousehold,
    nothingLearned,
  )!.likely.style;
const source = 'common practice, no source';

describe('the likeliest style where nobody said one', () => {
  between(
    'Customary breads',
    `styles of ${breads.length} breads told by name and make-up`,
    source,
    () => breads.filter((b) => likely(b.lines, b.name).likely.style === b.style).length,
    [42, breads.length],
  );
  between(
    'Customary breads',
    'told by their make-up alone, without a name',
    source,
    () => breads.filter((b) => likely(b.lines).likely.style === b.style).length,
    [30, breads.length],
  );
  between(
    'Customary breads',
    'within 1.5 points of the window of the style that their make-up tells',
    source,
    () =>
      breads.filter((b) => {
        const { level, window } = evaluate(
          likely(b.lines).formula,
          defaultHousehold,
          nothingLearned,
        )!;
        return Math.abs(outside(level.points, window)) <= 1.5;
      }).length,
    [38, breads.length],
  );

  it('what it stands on overrules its name', () => {
    const dry = { 'vital-gluten': 130, 'oat-fibre': 50, 'flax-meal': 80, water: 230 };
    expect(of(dry, 'Low-carb pizza')).to.equal('low-carb');
    expect(of({ 'rice-flour': 300, water: 250 }, 'Pizza')).to.equal('gluten-free');
    expect(of({ 'rye-whole': 251, 'bread-flour': 249, water: 370 }, 'Rye rolls')).to.equal('rye');
    expect(of({ 'rye-whole': 249, 'bread-flour': 251, water: 350 }, 'Rye rolls')).to.equal('rolls');
  });

  it('by its name, whatever the case; else by its make-up', () => {
    const lean = { 'bread-flour': 500, water: 325, salt: 10, 'instant-yeast': 3 };
    expect(of(lean, 'FRIDAY PIZZA')).to.equal('pizza');
    expect(of(lean, 'Pan pizza')).to.equal('slack');
    expect(of(lean, 'Pizzazz')).to.equal('hearth-yeast');
    expect(of({ ...lean, oil: 20, sugar: 15 })).to.equal('pan');
    expect(of({ ...lean, oil: 20, sugar: 15 }, 'Bread', 8)).to.equal('rolls');
    expect(of({ ...lean, oil: 20, sugar: 15 }, 'Bread', 5)).to.equal('pan');
    expect(of({ 'whole-wheat': 500, water: 330, salt: 5 })).to.equal('rolled-thin');
  });

  it('nothing is told of what has no flour', () => {
    expect(asLikely(build({ water: 300 }), defaultHousehold, nothingLearned)).to.equal(undefined);
  });
});
