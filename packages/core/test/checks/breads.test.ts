import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import type { Correction } from '@tender-crumb/core/correct';
import { outside } from '@tender-crumb/core/dough';
import { asLikely, evaluate } from '@tender-crumb/core/evaluate';
import { takeCorrection, type Formula } from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { fitted } from '@tender-crumb/core/ingredient';
import { readerOf, readRecipe } from '@tender-crumb/core/reader';
import {
  levelWith,
  looksOf,
  outsideOf,
  posterior,
  type Bread,
} from '../../../../scripts/fit/regression.ts';
import { build, judge } from '../build.ts';
import { between } from './near.ts';

/**
 * Customary breads, made as written by people who bake them: they calibrate the absorptions, and each must
 * stand within a point and a half of its style's window. Source: common practice, no source.
 */
const of = (file: string): Bread[] =>
  (
    JSON.parse(
      readFileSync(new URL(`../../../../scripts/fit/${file}`, import.meta.url), 'utf8'),
    ) as { breads: Bread[] }
  ).breads;
const [breads, checks] = [of('breads.json'), of('handbook.json')];
const source = 'common practice, no source';
const near = 1.5;

const judged = breads.map(({ lines, style }) => {
  const { formula } = readRecipe(lines.join('\n'), { ...readerOf(defaultHousehold), style });
  return evaluate(formula, defaultHousehold, nothingLearned)!;
});
const looks = [looksOf(breads), looksOf(checks)] as const;

const take = (formula: Formula, correction: Correction): Formula =>
  takeCorrection(formula, { ...correction, correction: correction.key });

describe('customary breads', () => {
  between(
    'Customary breads',
    `breads of ${breads.length} within ${near} points of their window`,
    source,
    () => judged.filter((e) => Math.abs(outside(e.level.points, e.window)) <= near).length,
    [63, breads.length],
  );
  between(
    'Customary breads',
    'the same, each left out of the fit',
    source,
    () =>
      looks[0].filter((look) => {
        const without = posterior([...looks[0].filter((l) => l !== look), ...looks[1]]);
        return Math.abs(outsideOf(look, levelWith(look, without))) <= near;
      }).length,
    [60, breads.length],
  );
  between(
    'Customary breads',
    'the same, all breads of its style left out of the fit',
    source,
    () =>
      looks[0].filter((look) => {
        const { style } = look.bread;
        const without = posterior([
          ...looks[0].filter((l) => l.bread.style !== style),
          ...looks[1],
        ]);
        return Math.abs(outsideOf(look, levelWith(look, without))) <= near;
      }).length,
    [Math.ceil(0.85 * breads.length), breads.length],
  );
  between(
    'Customary breads',
    'water or flour corrections of them that are surer than .8',
    source,
    () => {
      const sure = (c: Correction) => ['water', 'flour'].includes(c.kind) && c.certainty > 0.8;
      return judged.reduce((sum, e) => sum + e.corrections.filter(sure).length, 0);
    },
    [0, 1],
  );
  between(
    'Customary breads',
    'the same where the style is guessed from name and lines',
    source,
    () =>
      breads.filter(({ name, lines }) => {
        const { formula } = readRecipe(lines.join('\n'), readerOf(defaultHousehold));
        const guess = asLikely({ ...formula, name }, defaultHousehold, nothingLearned)!.formula;
        return evaluate(guess, defaultHousehold, nothingLearned)!.corrections.some(
          (c) => ['water', 'flour'].includes(c.kind) && c.certainty > 0.8,
        );
      }).length,
    [0, 2],
  );
  between(
    'Customary breads',
    'corrections left where all that were offered are taken, of these breads and the handbook’s',
    source,
    () =>
      [...breads, ...checks].reduce((left, { lines, style }) => {
        const { formula } = readRecipe(lines.join('\n'), { ...readerOf(defaultHousehold), style });
        const of = (f: Formula) => evaluate(f, defaultHousehold, nothingLearned)!.corrections;
        return left + of(of(formula).reduce(take, formula)).length;
      }, 0),
    [0, 0],
  );
  between(
    'Customary breads',
    'spread of a low-carb loaf’s level before any bake, points',
    source,
    () =>
      judge(
        build(
          { 'vital-gluten': 165, 'oat-fibre': 50, 'flax-meal': 80, water: 237, egg: 100 },
          'low-carb',
        ),
      ).level.sd,
    [3, 8],
  );

  it('the fit that is shipped is what they give today', () => {
    const today = posterior([...looks[0], ...looks[1]]);
    expect(fitted.keys).to.deep.equal(today.keys);
    today.shift.forEach((by, i) => expect(fitted.shift[i]).to.be.closeTo(by, 2e-6));
    fitted.covariance.forEach((row, i) =>
      row.forEach((cell, j) =>
        expect(cell).to.be.closeTo(today.covariance.get(i, j), 1e-5 * Math.abs(cell) + 1e-9),
      ),
    );
  });
});
