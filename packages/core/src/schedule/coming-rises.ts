import { riseForecast } from '../ferment/rise-doubt.ts';
import { finalRise, firstRise, type ComingRise, type Rise } from '../ferment/rises.ts';
import { shapedIn } from '../ferment/shaped-in.ts';
import type { Standing } from '../ferment/rising-dough.ts';
import { inSight, isOneRise, type Bread } from './bread.ts';
import type { WayId } from './way-id.ts';
import { inRoom, wayPlaces } from './way-places.ts';

/** What of a bread decides how it rises. */
export type RisingBread = Pick<
  Bread,
  | 'formula'
  | 'course'
  | 'lines'
  | 'room'
  | 'dough'
  | 'shaping'
  | 'paces'
  | 'work'
  | 'model'
  | 'seen'
>;

/** The rises of a bread, before their times are told; none at last where it has only one. */
export interface ComingRises {
  readonly first: ComingRise;
  readonly final?: ComingRise;
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
  const once = isOneRise(bread);
  const shaped = shapedIn(formula, lines, shaping);
  const standing: Standing = {
    celsius: bread.dough,
    air: inRoom(room),
    vessel: once ? shaped : 'bowl',
  };
  const rising = firstRise(lines, standing, work, model, once);
  if (!rising) return undefined;
  const first = place.first
    ? { ...rising, dough: place.first(rising.dough, { room, paces, model }) }
    : rising;
  if (once) return { first };
  const final = finalRise(rising, shaped, paces, model);
  return {
    first,
    final: place.final
      ? { ...final, dough: place.final(final.dough, { room, paces, model }) }
      : final,
  };
}

/** The same with their times. */
export function risesBy(bread: RisingBread, way: WayId): Rise[] {
  const coming = comingRises(bread, way);
  if (!coming) return [];
  return [coming.first, ...(coming.final ? [coming.final] : [])].map((rise) =>
    inSight(
      { ...rise, forecast: riseForecast(rise.dough, rise.end, bread.paces, bread.model) },
      bread,
    ),
  );
}
