import { stagesOf, type Formula } from '../formula/formula.ts';
import type { Bag } from '../ingredient/bag.ts';
import { jarOf } from './jar-of.ts';
import { starterStanding, starterStandings } from './standing.ts';

/** How long ago somebody says that a starter in the fridge was fed, in days: one in the middle of each standing. */
export const fedAgo = {
  fresh: { label: 'in the last two days', days: 1 },
  week: { label: 'about a week ago', days: 6 },
  weeks: { label: 'two or three weeks ago', days: 14 },
  long: { label: 'longer ago', days: 40 },
} as const;
export type FedAgo = keyof typeof fedAgo;
export const fedAgoIds = Object.keys(fedAgo) as FedAgo[];

const dayMs = 86_400_000;

/**
 * The moment at which a starter was fed that somebody says was fed so long ago.
 *
 * @param now ISO moment
 * @example fedAt('week', '2026-12-07T08:00:00Z') // '2026-12-01T08:00:00.000Z'
 */
export const fedAt = (ago: FedAgo, now: string): string =>
  new Date(Date.parse(now) - fedAgo[ago].days * dayMs).toISOString();

/**
 * What somebody would say of a moment at which a starter was fed: the longest that it is, within a day.
 *
 * @param now ISO moment
 * @example fedAgoAt('2026-12-01T08:00:00Z', '2026-12-07T08:00:00Z') // 'week'
 */
export const fedAgoAt = (at: string, now: string): FedAgo =>
  fedAgoIds.findLast((id) => Date.parse(fedAt(id, now)) >= Date.parse(at) - dayMs) ?? 'fresh';

/**
 * Feedings that a formula's starter wants before it is built up for the dough: the build itself is its last.
 *
 * @param said when it was last fed, where that is told beside the jar
 * @param now ISO moment
 * @returns 0 where nobody keeps it in a jar here, or it was fed not long ago
 * @example wakesOf(sourdough, bags, '2026-12-01T08:00:00Z') // 1, of a jar that was fed two weeks ago
 */
export function wakesOf(
  formula: Formula,
  bags: readonly Bag[],
  now: string,
  said?: { readonly at: string; readonly keptAt: 'room' | 'fridge' },
): number {
  const stages = stagesOf(formula).filter((s) => s.kind === 'starter');
  const feedings = stages.map(({ id }) => {
    const jar = jarOf(formula, id, bags);
    const at = said?.at ?? (jar?.fedOn ? `${jar.fedOn}T12:00:00Z` : undefined);
    if (at === undefined) return 0;
    const hours = Math.max(0, (Date.parse(now) - Date.parse(at)) / 3_600_000);
    return starterStandings[starterStanding(hours, said?.keptAt ?? jar?.keptAt ?? 'fridge')]
      .feedings;
  });
  return Math.max(0, ...feedings.map((n) => n - 1));
}
