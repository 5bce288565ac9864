import { isFlour } from '../formula/base.ts';
import type { Change } from '../formula/formula.ts';
import { isPouredWater } from '../formula/poured-water.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { tenth } from '../quantity/tenth.ts';

/**
 * More or less starter in a dough that stays as it is: what goes into the starter comes out of the dough's own
 * flour and water, and the other way round.
 *
 * @param share of the starter that stands there now, above 0
 * @returns none where the dough has not so much flour or water to give
 * @example half of a starter of 100 and 100: 50 g of flour and 50 of water go back into the dough
 */
export function starterShare(lines: readonly ResolvedLine[], share: number): Change[] | undefined {
  const starter = lines.filter((l) => l.stageKind === 'starter' && l.grams > 0);
  const dough = lines.filter((l) => l.stageKind === 'dough' && l.grams > 0);
  const heaviest = (of: readonly ResolvedLine[]): ResolvedLine | undefined =>
    [...of].sort((a, b) => b.grams - a.grams)[0];
  const flours = dough.filter(isFlour);
  const waters = dough.filter(isPouredWater);
  const moved = starter.map((l) => ({ line: l, by: tenth(l.grams * (share - 1)) }));
  const flourMoved = moved.filter((m) => isFlour(m.line));
  const water = -tenth(moved.filter((m) => !isFlour(m.line)).reduce((sum, m) => sum + m.by, 0));
  const back: Array<{ to: ResolvedLine; by: number }> = [];
  for (const { line, by } of flourMoved) {
    // Rye goes back to rye where the dough has some; else to what it has most of.
    const to = flours.find((l) => l.ingredient === line.ingredient) ?? heaviest(flours);
    if (!to) return undefined;
    back.push({ to, by: -by });
  }
  const well = heaviest(waters);
  if (well) back.push({ to: well, by: water });
  else if (water !== 0) return undefined;
  const given = new Map<ResolvedLine, number>();
  for (const { to, by } of back) given.set(to, (given.get(to) ?? 0) + by);
  if ([...given].some(([line, by]) => line.grams + by < 0)) return undefined;
  const change = ({ stage, ingredient, bag }: ResolvedLine, grams: number): Change => ({
    stage,
    ingredient,
    grams: tenth(grams),
    ...(bag === undefined ? {} : { bag }),
  });
  return [
    ...moved.map(({ line, by }) => change(line, by)),
    ...[...given].map(([line, by]) => change(line, by)),
  ].filter((c) => c.grams !== 0);
}
