import type { Formula } from '../formula/formula.ts';
import type { Household } from '../household/household.ts';
import { deviceIds, devices, type DeviceId } from '../machine/device.ts';
import { loadingOrders } from '../machine/loading-order.ts';

/** In what breads were made here before. */
export interface MadeBefore {
  /** In what this bread was made the last time. */
  readonly last?: DeviceId;
  /** In what the last breads of the house were made, newest first. */
  readonly lately?: readonly DeviceId[];
}

type Way = 'hand' | 'mixer' | 'machine';

/** Words of a recipe that say in what its dough is made. Common practice, no source. */
const words: ReadonlyArray<readonly [pattern: RegExp, way: Way]> = [
  [/\bbread[- ]?(?:machine|maker)s?\b|\bdough (?:cycle|programme|program)\b/i, 'machine'],
  [/\b(?:stand|planetary|kitchen|spiral)?[- ]?mixer\b|\bdough hook\b/i, 'mixer'],
  [
    /\b(?:by|with your) hands?\b|\bno[- ]knead\b|\bwithout kneading\b|\b(?:floured|work|kitchen) (?:surface|board|counter|bench|worktop)\b[^.]*\bknead|\bknead\b[^.]*\b(?:surface|board|counter|bench|worktop|table)\b/i,
    'hand',
  ],
];

/** The one way that a recipe's words name; undefined where they name none, or leave the choice. */
function waySaid({ name, steps = [], notes = '' }: Formula): Way | undefined {
  const text = [name, ...steps.map((s) => s.says), notes].join('\n');
  const said = words.filter(([pattern]) => pattern.test(text)).map(([, way]) => way);
  return said.length === 1 ? said[0] : undefined;
}

const isMachine = (device: DeviceId): boolean => devices[device].loading !== loadingOrders.bowl;

/** The most frequent one; of two that are as frequent, the newer. */
function mostOf(lately: readonly DeviceId[]): DeviceId | undefined {
  const times = (device: DeviceId) => lately.filter((d) => d === device).length;
  return [...new Set(lately)].sort((a, b) => times(b) - times(a))[0];
}

/**
 * In what a bread is made until somebody says otherwise. In this order: what was chosen on the formula, what its
 * recipe says, in what it was made the last time, in what this house mostly makes bread, by hand. A bread machine
 * that the kitchen does not have is never taken for granted: only a choice or, where no device of the kitchen was
 * told, the recipe's own words bring one in.
 *
 * @param before in what breads were made here; nothing where that is not known
 * @example deviceFor({...formula, device: 'mixer'}) // 'mixer'
 * @example deviceFor(formula) // 'hand'
 */
export function deviceFor(
  formula: Formula,
  before: MadeBefore = {},
  { appliances }: Pick<Household, 'appliances'> = { appliances: [] },
): DeviceId {
  const chosen = deviceIds.find((d) => d === formula.device);
  if (chosen) return chosen;
  const own = appliances.find((a) => a.kind === 'machine');
  const usable = (device: DeviceId): boolean => !isMachine(device) || own !== undefined;
  const way = waySaid(formula);
  if (way && way !== 'machine') return way;
  if (way === 'machine' && (own !== undefined || appliances.length === 0))
    return own?.machine?.loading ?? 'liquids-first';
  if (before.last && usable(before.last)) return before.last;
  return mostOf((before.lately ?? []).filter(usable)) ?? 'hand';
}
