import { expect } from 'chai';
import { asBaked, asMade, bakeState, mixedLines, type BakeEvent } from '@tender-crumb/core/bake';
import { formulaText } from '@tender-crumb/core/exchange';
import { resolve, type Formula } from '@tender-crumb/core/formula';
import { build } from '../build.ts';

let n = 0;
const event = (kind: string, data: object) =>
  ({
    id: `e${(n += 1)}`,
    at: `2026-05-01T08:00:${String(n).padStart(2, '0')}Z`,
    kind,
    data,
  }) as BakeEvent;
const loaf = build({ 'bread-flour': 500, water: 320, salt: 10, 'instant-yeast': 5 });
const sour = build({ 'bread-flour': 450, water: 300, salt: 10 }, 'hearth-white', {
  'bread-flour': 50,
  water: 50,
});

/** Grams by stage and ingredient. */
const sums = (lines: ReadonlyArray<{ stage: string; ingredient: string; grams: number }>) => {
  const by = new Map<string, number>();
  for (const { stage, ingredient, grams } of lines)
    by.set(`${stage} ${ingredient}`, (by.get(`${stage} ${ingredient}`) ?? 0) + grams);
  return Object.fromEntries([...by].map(([k, g]) => [k, Math.round(1000 * g) / 1000]));
};
const holds = (formula: Formula, ...events: BakeEvent[]) => {
  const state = bakeState(events);
  const made = asMade(formula, state);
  expect(sums(resolve(made))).to.deep.equal(sums(mixedLines(formula, state)));
  return made;
};

describe('the formula that a bake came to', () => {
  const line = (ingredient: string, of = loaf) =>
    of.stages.at(-1)!.lines.find((l) => l.ingredient === ingredient)!.id;
  const weighed = (ingredient: string, grams: number, of = loaf) =>
    event('weighed', { item: line(ingredient, of), grams, byScale: true });

  it('is as the scale showed it, with each spoon that went in', () => {
    const made = holds(
      loaf,
      weighed('bread-flour', 492),
      event('added', { ingredient: 'water', grams: 15 }),
      event('added', { ingredient: 'water', grams: 8 }),
      // Of this there was none before.
      event('added', { ingredient: 'whole-wheat', grams: 9 }),
    );
    const text = formulaText(made);
    expect(text).to.contain('492 g strong bread flour');
    expect(text).to.contain('343 g water');
    expect(text).to.contain('9 g whole wheat flour');
  });

  it('of half a batch, with a starter that was weighed whole and another thing in one’s place', () => {
    const stage = sour.stages.find((s) => s.kind === 'starter')!.id;
    holds(
      sour,
      event('batch', { share: 0.5 }),
      event('weighed', { item: `stage:${stage}`, grams: 56, byScale: true }),
      event('instead', {
        of: line('water', sour),
        says: 'milk for water',
        changes: [
          { stage: sour.stages.at(-1)!.id, ingredient: 'water', grams: -50 },
          { stage: sour.stages.at(-1)!.id, ingredient: 'milk', grams: 57 },
        ],
      }),
      event('added', { ingredient: 'milk', grams: 12 }),
    );
  });

  it('is what was meant where it was made just so; a scale’s last digit is no change', () => {
    expect(holds(loaf)).to.equal(loaf);
    const state = bakeState([weighed('water', 320.04)]);
    expect(asMade(loaf, state)).to.equal(asBaked(loaf, state));
    expect(asMade(loaf, bakeState([weighed('water', 320.06)])).taken).to.have.length(1);
  });
});
