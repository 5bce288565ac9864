import type { ResolvedLine } from '../formula/resolve.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import type { Pantry } from '../ingredient/pantry.ts';
import { roles, type Role } from '../ingredient/role.ts';
import type { CandidateStuff } from './programme.ts';

/** What a low-carb bread is made of besides what is in it already. */
const lowCarbRoles: ReadonlySet<Role> = new Set(['gluten', 'fibre', 'meal', 'bran', 'egg', 'fat']);
/** What a wheat bread may take in. */
const wheatRoles: ReadonlySet<Role> = new Set(['flour', 'gluten', 'bran', 'meal', 'egg', 'fat']);

/**
 * What a pantry could offer a bread: things of the kinds that it is made of, the household's own first.
 *
 * @example offeredFor(lines, true, pantry).map((i) => i.name)
 */
export function offeredFor(
  lines: readonly ResolvedLine[],
  dryBase: boolean,
  pantry: Pantry,
): Ingredient[] {
  const present = new Set(lines.filter((l) => l.grams > 0).map((l) => l.ingredient));
  const wanted = dryBase ? lowCarbRoles : wheatRoles;
  return pantry.all
    .filter((i) => wanted.has(i.role) && !present.has(i.id))
    .filter((i) => !dryBase || !roles[i.role].flour)
    .sort((a, b) => Number(b.id.startsWith('own-')) - Number(a.id.startsWith('own-')));
}

/**
 * The lines of a formula and what is offered beside them, as candidates; lines of one thing are one. What
 * stands in a starter or soaker stays there: only the stage that changes go to can give of it.
 *
 * @param stage that changes go to
 */
export function candidatesOf(
  lines: readonly ResolvedLine[],
  offered: readonly Ingredient[],
  stage: string,
): CandidateStuff[] {
  const now = new Map<string, CandidateStuff>();
  for (const line of lines) {
    if (!(line.grams > 0)) continue;
    const before = now.get(line.ingredient);
    now.set(line.ingredient, {
      of: line.of,
      now: (before?.now ?? 0) + line.grams,
      least: (before?.least ?? 0) + (line.stage === stage ? 0 : line.grams),
    });
  }
  return [...now.values(), ...offered.map((of) => ({ of, now: 0 }))];
}
