import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { outside } from '@tender-crumb/core/dough';
import { asLikely, evaluate, sureOfStyle } from '@tender-crumb/core/evaluate';
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

  const sureRight = (named: boolean): readonly [sure: number, right: number] => {
    const sure = breads
      .map((b) => [b.style, likely(b.lines, named ? b.name : undefined).likely] as const)
      .filter(([, l]) => l.probability >= sureOfStyle);
    return [sure.length, sure.filter(([style, l]) => l.style === style).length];
  };
  it('what it is sure of is right, 9 times in 10 at least, with a name and without', () => {
    for (const named of [true, false]) {
      const [sure, right] = sureRight(named);
      expect(sure, String(named)).to.be.at.least(named ? 25 : 8);
      expect(right / sure, String(named)).to.be.at.least(0.9);
    }
  });

  it('probabilities sum to 1, the rest told of in order', () => {
    for (const b of breads) {
      const { probability, others } = likely(b.lines).likely;
      const told = [probability, ...others.map((o) => o.probability)];
      expect(told).to.deep.equal([...told].sort((x, y) => y - x));
      expect(told.reduce((sum, p) => sum + p, 0)).to.be.within(0.6, 1 + 1e-9);
    }
  });

  it('name, tin, machine and pieces count before egg and fat', () => {
    const enriched = [
      '500 g bread flour',
      '280 g milk',
      '2 eggs',
      '50 g butter',
      '9 g salt',
      '7 g instant yeast',
    ];
    const taken = (name: string, ...more: string[]) => likely([...enriched, ...more], name).likely;
    expect(taken('Honey oat sandwich loaf').style).to.equal('pan');
    expect(taken('Loaf for a 2 lb tin').style).to.equal('pan');
    expect(taken('Loaf', '', 'Method', 'Shape it and put it into a 9x5 tin.').style).to.equal(
      'pan',
    );
    expect(taken('Sweet buns').style).to.equal('rolls');
    expect(taken('Milk plait').style).to.equal('plait');
    // A fruit bread without fruit is asked about.
    const { style, probability } = taken('Fruit bread');
    expect(style).to.equal('plait');
    expect(probability).to.be.lessThan(sureOfStyle);
    expect(taken('Friday pizza').probability).to.be.at.least(sureOfStyle);
  });

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

  it('what is still asked about is in it: neither “nothing raises it” nor “it is firm” is said without', () => {
    const rows = ['500 g strong bread flour', '10 g salt', '25 g butter'];
    const open = likely([...rows, '? water', '? tsp instant yeast']);
    const yeast = likely([...rows, '180 g water', '? tsp instant yeast']);
    expect(yeast.likely.style).to.not.equal('rolled-thin');
    const bare = likely([...rows, '180 g water']);
    expect(bare.likely.style).to.equal('rolled-thin');
    expect(open.likely.style).to.not.equal('rolled-thin');
    expect(open.likely.because).to.not.match(/nothing raises|firm/);
  });
});
