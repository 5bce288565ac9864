import { deviceIds } from '@tender-crumb/core/machine';
import { isDay } from '@tender-crumb/core/quantity';
import type { BookAsked } from '../store/book-list.ts';

/** Seasons by their months, of the northern half; the southern half knows them otherwise. */
export const seasons = {
  winter: [12, 1, 2],
  spring: [3, 4, 5],
  summer: [6, 7, 8],
  autumn: [9, 10, 11],
} as const;
export type Season = keyof typeof seasons;

const idIn = (text: string | null): string | undefined =>
  text !== null && /^[A-Za-z0-9_-]{1,80}$/.test(text) ? text : undefined;

/** A month, as ISO 8601 has it. */
const isMonth = (text: string): boolean => /^\d{4}-(?:0[1-9]|1[0-2])$/.test(text);

/** Longest text that is looked for. */
const longest = 200;

/**
 * What the address of the book asks for. What cannot be is passed over: an address that somebody typed shows the
 * book, and no fault.
 */
export function bookAsked(query: URLSearchParams): BookAsked & { readonly season?: Season } {
  const season = query.get('season') ?? '';
  const stars = Number(query.get('stars'));
  const method = query.get('method') ?? '';
  const day = query.get('day') ?? '';
  const words = (query.get('words') ?? '').trim().slice(0, longest);
  const formula = idIn(query.get('formula'));
  const bag = idIn(query.get('bag'));
  return {
    ...(formula === undefined ? {} : { formula }),
    ...(bag === undefined ? {} : { bag }),
    ...((deviceIds as readonly string[]).includes(method) ? { method } : {}),
    ...(Object.hasOwn(seasons, season)
      ? { season: season as Season, months: seasons[season as Season] }
      : {}),
    ...(Number.isInteger(stars) && stars >= 1 && stars <= 5 ? { stars } : {}),
    ...(isDay(day) || isMonth(day) ? { day } : {}),
    ...(words === '' ? {} : { words }),
  };
}
