import { isOil } from '../ingredient/is-oil.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import { stagesOf, type Formula, type StageKind } from '../formula/formula.ts';
import { resolve, type ResolvedLine } from '../formula/resolve.ts';
import { cataloguePantry, type Pantry } from '../ingredient/pantry.ts';
import type { Role } from '../ingredient/role.ts';
import { devices, type DeviceId } from '../machine/device.ts';
import type { BakeState } from '../bake/state.ts';
import type { LoadingOrder } from '../machine/loading-order.ts';

/** One thing to put on the scale. A starter is one thing, whatever it is made of. */
export interface WeighingItem {
  readonly id: string;
  readonly name: string;
  readonly ingredient: string;
  /** Absent for a starter, which is made of several things. */
  readonly role?: Role;
  readonly grams: number;
  readonly lines: readonly string[];
  readonly bag?: string;
  readonly hint?: string;
  /** It was mixed ahead, and goes in with all that there is of it. */
  readonly whole?: true;
}

interface WeighingStage {
  readonly id: string;
  readonly kind: StageKind;
  readonly name: string;
  readonly items: readonly WeighingItem[];
}

/**
 * What to weigh, stage by stage, and in the main dough in the order of loading. A starter, and what was
 * mixed ahead, stand with the liquids of the dough that they go into.
 *
 * @example weighingList(formula, 'liquids-first').at(-1)?.items[0].name // 'water'
 */
export function weighingList(
  formula: Formula,
  device: DeviceId,
  pantry: Pantry = cataloguePantry,
): WeighingStage[] {
  const lines = resolve(formula, pantry).filter((l) => l.grams > 0);
  const order = devices[device].loading;
  const stages = stagesOf(formula);
  const starters = stages.filter((s) => s.kind === 'starter');
  const mixedAhead = stages.filter((s) => s.kind === 'preferment' || s.kind === 'soaker');
  const main = formula.stages.findLast((s) => s.kind === 'dough')?.id;

  return stages
    .filter((s) => s.kind !== 'starter')
    .map((stage) => {
      const own = lines.filter((l) => l.stage === stage.id).map((l) => item(l, order.hints));
      const poured =
        stage.id === main
          ? [
              ...starters.map((s) =>
                starterItem(
                  s.id,
                  s.name,
                  lines.filter((l) => l.stage === s.id),
                ),
              ),
              ...mixedAhead.map((s) =>
                allOf(
                  s.id,
                  s.name,
                  lines.filter((l) => l.stage === s.id),
                ),
              ),
            ]
          : [];
      const items = [...own, ...poured.filter((i) => i.grams > 0)].sort(
        (a, b) => rank(a, order.ranks) - rank(b, order.ranks),
      );
      return { id: stage.id, kind: stage.kind, name: stage.name, items };
    })
    .filter((s) => s.items.length > 0);
}

/**
 * Grams that are in so far, of some things to weigh.
 *
 * @example weighedGrams(items, bakeState([])) // 0
 */
export const weighedGrams = (
  items: readonly Pick<WeighingItem, 'id'>[],
  { weighed }: Pick<BakeState, 'weighed'>,
): number => items.reduce((sum, { id }) => sum + (weighed.get(id)?.grams ?? 0), 0);

function item(line: ResolvedLine, hints: LoadingOrder['hints']): WeighingItem {
  const { of } = line;
  const hint = hintOf(line, hints);
  return {
    id: line.id,
    name: of.name,
    ingredient: of.id,
    role: of.role,
    grams: line.grams,
    lines: [line.id],
    ...(line.bag ? { bag: line.bag } : {}),
    ...(hint ? { hint } : {}),
  };
}

/** Fat that is liquid already goes in with the liquids, and wants no hint of butter. */

/** What is said beside a thing, by what it is. */
const hintOf = (line: ResolvedLine, hints: LoadingOrder['hints']): string | undefined =>
  line.of.role === 'fat' ? hints[isOil(line.of) ? 'oil' : 'fat'] : hints[line.of.role];

const starterItem = (id: string, name: string, lines: readonly ResolvedLine[]): WeighingItem => ({
  id: `stage:${id}`,
  name: name.toLowerCase(),
  ingredient: 'starter',
  grams: sumGrams(lines),
  lines: lines.map((l) => l.id),
  hint: 'ripe: domed or just falling; stirred down',
});

/** All of what was mixed ahead: it is weighed on its own day. */
const allOf = (id: string, name: string, lines: readonly ResolvedLine[]): WeighingItem => ({
  id: `all:${id}`,
  name: name.toLowerCase(),
  ingredient: 'starter',
  grams: sumGrams(lines),
  lines: [],
  hint: 'all of it, scraped out',
  whole: true,
});

const rank = (of: WeighingItem, ranks: LoadingOrder['ranks']): number =>
  of.role ? ranks[of.role] : ranks.liquid + 0.5;
