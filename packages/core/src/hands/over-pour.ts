import { baseOf, isFlour } from '../formula/base.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { roles } from '../ingredient/role.ts';
import { level } from '../dough/level.ts';
import { thickenerOf, thickeningGrams } from '../dough/thickener.ts';
import type { Kitchen } from '../belief/kitchen.ts';
import { gramsText, percentText } from '../quantity/number.ts';

/** What a pour that missed its mark does, and what puts it right. */
interface OverPour {
  /** More or less than was wanted, grams. */
  readonly off: number;
  /** Points by which the level moves. */
  readonly points: number;
  /** What more of another thing puts it right. */
  readonly fix?: { readonly line: string; readonly name: string; readonly grams: number };
  readonly says: string;
}

/** Nobody minds a dough that stands so little off, points. Own choice, no source. */
const minded = 0.75;
/** Of salt and leaven, a share of it is minded. Own choice, no source. */
const mindedShare = 0.1;

/**
 * What it does to a dough that one thing weighs other than it should, and what else would bring the level back:
 * flour for too much of what is wet, water for too much of what drinks.
 *
 * @param lines as they were meant, with what is in already as it was weighed
 * @param lineId of what was poured, and grams of it that lie there
 * @returns undefined where it is near enough
 * @example 12 g too much water in a loaf of 420 g of strong flour: about 20 g more flour, or leave it
 */
export function overPour(
  lines: readonly ResolvedLine[],
  lineId: string,
  grams: number,
  kitchen: Kitchen,
): OverPour | undefined {
  const line = lines.find((l) => l.id === lineId);
  if (!line) return undefined;
  const off = grams - line.grams;
  const poured = lines.map((l) => (l.id === lineId ? { ...l, grams } : l));
  const [before, after] = [level(lines, kitchen), level(poured, kitchen)];
  if (!before || !after) return undefined;
  const points = after.points - before.points;
  const byAmount = `${gramsText(Math.abs(off))} ${off > 0 ? 'over' : 'short'}`;
  const leaven = line.of.role === 'leaven' || line.of.role === 'salt';
  if (leaven && line.grams > 0 && Math.abs(off) / line.grams > mindedShare) {
    const share = percentText((100 * off) / line.grams);
    const what =
      line.of.role === 'salt'
        ? off > 0
          ? 'saltier, and slower to rise'
          : 'flatter in taste, and quicker to rise'
        : off > 0
          ? 'it rises sooner: look earlier'
          : 'it rises later: give it time';
    return {
      off,
      points,
      says: `${byAmount}, ${share} of it: ${what}. Spoon it out while it is dry on top, or leave it.`,
    };
  }
  if (Math.abs(points) < minded) return undefined;
  const base = baseOf(poured);
  const wetter = points > 0;
  const thickener = thickenerOf(poured, base);
  const wet = poured.find((l) => l.of.id === 'water' && l.stageKind === 'dough' && l.id !== lineId);
  const drinks = isFlour(line) || roles[line.of.role].dryBase;
  const fix =
    wetter && thickener && thickener.line.id !== lineId
      ? {
          line: thickener.line.id,
          name: thickener.of.name,
          grams: Math.round(
            thickeningGrams(after.points, before.points, after.baseGrams, thickener),
          ),
        }
      : !wetter && wet && (drinks || off < 0)
        ? {
            line: wet.id,
            name: wet.of.name,
            grams: Math.round((-points * after.baseGrams) / 100),
          }
        : undefined;
  const then = wetter ? 'softer' : 'tighter';
  const rest = fix
    ? `${gramsText(fix.grams)} more ${fix.name}, or leave it`
    : off > 0
      ? 'take some out, or leave it'
      : 'pour the rest in, or leave it';
  return {
    off,
    points,
    ...(fix ? { fix } : {}),
    says: `${byAmount}, which makes the dough ${then} by ${Math.abs(points).toFixed(1)} points: ${rest}.`,
  };
}
