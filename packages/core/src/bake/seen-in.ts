import type { Seen } from '../ferment/in-sight.ts';
import type { SeenRises } from '../schedule/bread.ts';
import type { Poke } from './event-kinds.ts';
import type { BakeState } from './state.ts';

const hour = 3_600_000;

/** What a poke says of the end of a rise. */
const pokeSense: Readonly<Record<Poke, 'not-yet' | 'ready' | 'past'>> = {
  'at-once': 'not-yet',
  slowly: 'ready',
  stays: 'past',
};

/**
 * What was seen of a bake's rises while they went on: marks on the vessel, pokes, “not yet”; each in hours after its rise
 * began, in the order of the clock. A rise that is over is seen no more: it is known.
 *
 * @returns undefined where nothing was seen
 * @example seenIn(bakeState(events))?.first // [{hours: .33, volume: 1.75}]
 */
export function seenIn({
  rises = {},
  marks = [],
  pokes = [],
}: Partial<Pick<BakeState, 'rises' | 'marks' | 'pokes'>>): SeenRises | undefined {
  const seen = (['first', 'final'] as const).flatMap((id) => {
    const { begunAt, notes = [] } = rises[id] ?? {};
    if (begunAt === undefined || notes.some((n) => n.sense === 'there')) return [];
    const after = (at: string): number => (Date.parse(at) - Date.parse(begunAt)) / hour;
    const looks: Seen[] = [
      ...marks.filter((m) => m.rise === id).map((m) => ({ hours: after(m.at), volume: m.volume })),
      ...pokes
        .filter((p) => p.rise === id)
        .map((p) => ({ hours: after(p.at), sense: pokeSense[p.answer] })),
      ...notes.flatMap((n) =>
        n.sense === 'there' ? [] : [{ hours: after(n.at), sense: n.sense }],
      ),
    ];
    const own = looks.filter((l) => l.hours > 0).sort((a, b) => a.hours - b.hours);
    return own.length > 0 ? [[id, own] as const] : [];
  });
  return seen.length > 0 ? Object.fromEntries(seen) : undefined;
}
