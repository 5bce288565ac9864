import { defaultMeasures, seededRandom } from '@tender-crumb/core/quantity';
import { readRecipe } from '@tender-crumb/core/reader';
import type { Means, Person, WrittenDown } from './persons.ts';

/** Things of written recipes beside how they were read. */
export interface Score {
  readonly right: number;
  /** Asked about though it could have been read. */
  readonly asked: number;
  /** In the dough as another thing or another amount than was meant. */
  readonly wrong: number;
  /** In neither dough, outside, step nor question. */
  readonly gone: number;
  readonly things: number;
}

/** A hundredth and a bit: what figures typed to the tenth are held to. */
export const near = (got: number, meant: number): boolean =>
  Math.abs(got - meant) <= 0.012 * meant + 0.06;

/** What became of one recipe. */
export function scoreOf({
  text,
  means,
}: WrittenDown): Score & { readonly told: readonly string[] } {
  const { formula, unread } = readRecipe(text, { measures: defaultMeasures });
  const lines = formula.stages.flatMap((s) =>
    s.lines.map((l) => ({ of: l.ingredient, grams: l.grams })),
  );
  let outside = formula.outside?.length ?? 0;
  let questions = unread.length;
  let [right, asked, gone] = [0, 0, 0];
  const told: string[] = [];
  const take = (at: number): boolean => (at < 0 ? false : (lines.splice(at, 1), true));
  const open: Means[] = [];
  for (const meant of means) {
    if ('outside' in meant) {
      if (outside > 0) [outside, right] = [outside - 1, right + 1];
      else open.push(meant);
    } else if ('asked' in meant) {
      // A handful has a weight of its own that is said, or is asked about.
      open.push(meant);
    } else if (take(lines.findIndex((l) => l.of === meant.of && near(l.grams, meant.grams))))
      right += 1;
    else open.push(meant);
  }
  for (const meant of open) {
    if (questions > 0) {
      questions -= 1;
      if ('asked' in meant || ('askedWillDo' in meant && meant.askedWillDo)) right += 1;
      else asked += 1;
    } else if ('asked' in meant && take(lines.length - 1)) right += 1;
    else {
      gone += 1;
      told.push(`gone: ${JSON.stringify(meant)}`);
    }
  }
  told.push(...lines.map((l) => `wrong: ${l.of} ${Math.round(l.grams * 10) / 10}`));
  told.push(...unread.map((u) => `asked: ${u.text} (${u.says})`));
  return { right, asked, wrong: lines.length, gone, things: means.length, told };
}

/** So many recipes of somebody's, one after another from a seed. */
export function scoresOf(who: Person, count: number, seed: number): Score & { told: string[] } {
  const random = seededRandom(seed);
  const sum = { right: 0, asked: 0, wrong: 0, gone: 0, things: 0, told: [] as string[] };
  for (let i = 0; i < count; i += 1) {
    const recipe = who.write(random, who.region);
    const { told, ...one } = scoreOf(recipe);
    for (const key of ['right', 'asked', 'wrong', 'gone', 'things'] as const) sum[key] += one[key];
    if (told.length > 0) sum.told.push(`${recipe.text}\n   → ${told.join('; ')}`);
  }
  return sum;
}
