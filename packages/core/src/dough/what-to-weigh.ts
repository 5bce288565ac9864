import { feelOf } from '../belief/hands.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import { methods } from '../formula/measuring-method.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import type { Kitchen } from '../belief/kitchen.ts';
import { isFlour } from '../formula/base.ts';
import { absorptionKeyOf } from './linear-form.ts';
import { measuringSd, scaleSd } from './measuring.ts';
import { bagDamp } from './parameter.ts';
import type { DoubtShare, Simulation } from './simulation.ts';

/** One thing to do to be surer, and what it is worth. */
export interface Surer {
  readonly key: string;
  readonly kind: 'weigh' | 'moisture' | 'bake';
  readonly says: string;
  /** Share by which the bubble narrows, 0 to 1. */
  readonly narrower: number;
  /** The line to weigh. */
  readonly line?: string;
}

/** Narrowing below this is not worth an errand. */
const worthwhile = 0.02;

/**
 * What to weigh or find out, best first, by what each takes off the width of the bubble: the shares of
 * the variance that the draws gave, not a list of good advice.
 *
 * - weighing a line leaves the scale's own step of its doubt, and takes the person's habit of filling
 *   out of it in proportion to what of the habit goes through that line;
 * - a moisture reading leaves the spread of a reading;
 * - one more logged bake leaves of an absorption's variance v only v r / (v + r), r being what else blurs a
 *   feel.
 *
 * @example whatToWeigh(simulation, lines, kitchen)[0].says // 'Weigh the whole wheat flour'
 */
export function whatToWeigh(
  { shares, sd }: Simulation,
  lines: readonly ResolvedLine[],
  kitchen: Kitchen,
): Surer[] {
  const { moistureSpread, measuredMoisture, bagMoisture } = kitchen.coefficients;
  const width = (taken: number) => 1 - Math.sqrt(Math.max(0, 1 - taken));
  const byKey = new Map(shares.map((s) => [s.key, s]));
  const habits = shares.filter((s) => s.kind === 'habit' || s.kind === 'habitOf');
  const habit = habits.reduce((sum, s) => sum + s.share, 0);
  const filled = lines.filter((l) => methods[l.measured].by === 'volume' && l.of.role === 'flour');
  const filledGrams = sumGrams(filled);

  const weighing = lines.flatMap((line): Surer[] => {
    const own = byKey.get(`line:${line.id}`)?.share ?? 0;
    const before = measuringSd(line, kitchen);
    const after = scaleSd(kitchen.scaleStep);
    if (after >= before) return [];
    const part = filled.includes(line) ? line.grams / filledGrams : 0;
    const taken = own * (1 - (after / before) ** 2) + habit * (1 - (1 - part) ** 2);
    return [
      {
        key: `weigh:${line.id}`,
        kind: 'weigh',
        says: `Weigh the ${line.of.name}`,
        narrower: width(taken),
        line: line.id,
      },
    ];
  });
  const finding = shares.flatMap((s): Surer[] => {
    if (s.kind === 'moisture') {
      const leaves = (of: number) => (measuredMoisture.value / of) ** 2;
      // What of the moisture stays with a bag is in the doubt of its absorption.
      const stays = lines.reduce(
        (sum, line) =>
          sum + (byKey.get(absorptionKeyOf(line))?.share ?? 0) * dampPart(line, kitchen),
        0,
      );
      const taken =
        s.share * (1 - leaves(moistureSpread.value)) + stays * (1 - leaves(bagMoisture.value));
      return s.ingredient === undefined
        ? [
            {
              key: s.key,
              kind: 'moisture',
              says: 'Find out how moist the flour is',
              narrower: width(taken),
            },
          ]
        : [];
    }
    if (s.kind !== 'absorption') return [];
    return [bakeOnce(s, sd, feelOf(kitchen), width, lines)];
  });
  return [...weighing, ...finding]
    .filter((s) => s.narrower >= worthwhile)
    .sort((a, b) => b.narrower - a.narrower);
}

/** Part of an absorption's variance that is how moist its bag is; none once bakes have shown it. */
function dampPart(line: ResolvedLine, { coefficients, belief }: Kitchen): number {
  if (belief.bakes[absorptionKeyOf(line)] || !isFlour(line) || line.of.bag?.moisture !== undefined)
    return 0;
  const damp = bagDamp(line.of.absorption.value, coefficients) ** 2;
  return damp / (damp + line.of.absorption.sd ** 2);
}

function bakeOnce(
  of: DoubtShare,
  sd: number,
  feel: number,
  width: (taken: number) => number,
  lines: readonly ResolvedLine[],
): Surer {
  const variance = of.share * sd ** 2;
  const blur = feel ** 2 + (1 - of.share) * sd ** 2;
  const name = lines.find((l) => l.ingredient === of.ingredient)?.of.name ?? 'it';
  return {
    key: of.key,
    kind: 'bake',
    says: `Bake once with this ${name} and say how it felt`,
    narrower: width((of.share * variance) / (variance + blur)),
  };
}
