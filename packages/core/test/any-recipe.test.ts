import { expect } from 'chai';
import { evaluate } from '@tender-crumb/core/evaluate';
import { resolve } from '@tender-crumb/core/formula';
import { findBread } from '@tender-crumb/core/goal';
import { nothingLearned, kitchenOf } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { catalogue } from '@tender-crumb/core/ingredient';
import { nutrition } from '@tender-crumb/core/nutrition';
import { defaultMeasures } from '@tender-crumb/core/quantity';
import { readRecipe } from '@tender-crumb/core/reader';
import { styleIds } from '@tender-crumb/core/style';
import { choicesFor, substitute } from '@tender-crumb/core/substitute';
import { seeded } from './seeded.ts';

const names = catalogue.flatMap((i) => [i.name, ...i.aliases]);
const amounts = [
  '1',
  '2 1/2',
  '½',
  '500',
  '0',
  '1-2',
  'about 3',
  '1,5',
  '99999',
  '-4',
  'a',
  '',
  '1/0',
];
const units = ['g', 'kg', 'cups', 'tbsp', 'tsp', 'ml', 'oz', 'lb', 'packet', 'pinch', '', 'blorps'];

/** A recipe of any shape: real lines, wild amounts, headings, noise. */
function recipe(random: ReturnType<typeof seeded>): string {
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random.uniform() * from.length)]!;
  const rows = Array.from({ length: Math.floor(random.uniform() * 14) }, () => {
    const kind = random.uniform();
    if (kind < 0.05)
      return pick(['Poolish:', 'Starter', 'For the soaker', 'Dough:', '# A loaf', '']);
    if (kind < 0.1)
      return String.fromCodePoint(
        ...Array.from({ length: 9 }, () => 32 + Math.floor(random.uniform() * 9000)),
      );
    if (kind < 0.15) return `${pick(amounts)} ${pick(units)} starter`;
    return `${pick(amounts)} ${pick(units)} ${pick(names)}`;
  });
  return rows.join('\n');
}

describe('recipes of any shape', () => {
  it('go through reader, evaluation, substitution and solver: no exception, no NaN, no negative mass', () => {
    const random = seeded(31415);
    const kitchen = kitchenOf(defaultHousehold);
    const finite = (value: number, what: string) => {
      if (!Number.isFinite(value)) throw new Error(`${what} is ${value}`);
    };
    let judged = 0;
    for (let n = 0; n < 500; n += 1) {
      const text = recipe(random);
      const style = styleIds[n % styleIds.length]!;
      const { formula } = readRecipe(text, { measures: defaultMeasures, style });
      const evaluation = evaluate(formula, defaultHousehold, nothingLearned);
      const lines = resolve(formula);
      for (const line of lines) if (!(line.grams >= 0)) throw new Error(`${line.grams} in ${text}`);
      if (evaluation) {
        judged += 1;
        const { level: at, totals } = evaluation;
        for (const value of [at.points, at.low, at.high, at.early]) finite(value, 'level');
        for (const value of Object.values(totals))
          if (typeof value === 'number') finite(value, 'total');
        for (const s of evaluation.corrections) for (const c of s.changes) finite(c.grams, 'slip');
        finite(nutrition(lines, 'eu', kitchen, 0.12).netCarbs.value, 'net carbs');
        const line = lines[n % lines.length]!;
        const choices = choicesFor(formula, line.id, defaultHousehold);
        const choice = choices[n % (choices.length || 1)];
        const made =
          choice && substitute(formula, line.id, choice.id, defaultHousehold, nothingLearned);
        if (made && !('refused' in made)) {
          for (const l of resolve(made.formula)) if (!(l.grams >= 0)) throw new Error(`${l.grams}`);
          for (const s of made.consequences)
            for (const c of s.changes) finite(c.grams, 'consequence');
        }
      }
      // The solver is slower: every twentieth recipe goes through it.
      if (evaluation && n % 20 === 0) {
        const byId = new Map<string, { of: (typeof lines)[number]['of']; now: number }>();
        for (const l of lines) {
          byId.set(l.ingredient, { of: l.of, now: (byId.get(l.ingredient)?.now ?? 0) + l.grams });
        }
        const answer = findBread(
          [...byId.values()],
          {
            netCarbs: 3,
            protein: 12,
            portions: 16,
            school: 'us',
            window: evaluation.window,
            loss: 0.12,
            prefer: n % 40 === 0 ? 'fewest' : 'cheapest',
          },
          kitchen,
          's1',
        );
        if (answer.kind === 'found') {
          for (const l of answer.lines) if (!(l.grams >= 0)) throw new Error(`${l.grams}`);
        } else for (const r of answer.relax) finite(r.to, 'relaxed');
      }
    }
    expect(judged).to.be.greaterThan(200);
  }).timeout(240_000);
});
