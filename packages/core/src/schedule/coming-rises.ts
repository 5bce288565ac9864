import { riseForecast } from '../ferment/rise-doubt.ts';
import { finalRise, firstRise, type ComingRise, type Rise } from '../ferment/rises.ts';
import { shapedIn } from '../ferment/shaped-in.ts';
import type { Bread } from './bread.ts';
import type { WayId } from './way-id.ts';
import { inRoom, wayPlaces } from './way-places.ts';

/** What of a bread decides how it rises. */
export type RisingBread = Pick<
  Bread,
  'formula' | 'lines' | 'room' | 'dough' | 'shaping' | 'paces' | 'work' | 'model'
>;

/** Both rises of a bread, before their times are told. */
export interface ComingRises {
  readonly first: ComingRise;
  readonly final: ComingRise;
}

/**
 * Both rises of a bread that goes some way, each where it stands then: what plan, bake, lesson and rescue ask.
 *
 * @returns undefined for a dough with nothing that raises it
 * @example comingRises(bread, 'cold-first')?.first.dough.air.at(-1).celsius // 4
 */
export function comingRises(bread: RisingBread, way: WayId): ComingRises | undefined {
  const { formula, lines, shaping, paces, work, model } = bread;
  const place = wayPlaces[way];
  const room = place.room ?? bread.room;
  const first = firstRise(
    lines,
    { celsius: bread.dough, air: inRoom(room), vessel: 'bowl' },
    work,
    model,
  );
  if (!first) return undefined;
  const final = finalRise(first, shapedIn(formula, lines, shaping), paces, model);
  return {
    first: place.first ? { ...first, dough: place.first(first.dough, room) } : first,
    final: place.final ? { ...final, dough: place.final(final.dough, room) } : final,
  };
}

/** The same with their times. */
export function risesBy(bread: RisingBread, way: WayId): Rise[] {
  const coming = comingRises(bread, way);
  if (!coming) return [];
  return [coming.first, coming.final].map((rise) => ({
    ...rise,
    forecast: riseForecast(rise.dough, rise.end, bread.paces, bread.model),
  }));
}
