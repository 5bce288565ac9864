/** What stands in a form: text as typed, switches, sets of words. */
export type Fields = Readonly<Record<string, string | boolean | readonly string[]>>;

const alike = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

const sameShape = (value: unknown, start: unknown): boolean =>
  Array.isArray(start)
    ? Array.isArray(value) && value.every((v) => typeof v === 'string')
    : typeof value === typeof start;

/**
 * Fields that differ from how a form began. What is no field of it or of another shape is left out: it
 * was kept by another version, or is nonsense.
 *
 * @example changedSince({ name: '', spent: false }, { name: 'Blue sack', spent: false }) // { name: 'Blue sack' }
 */
export function changedSince<T extends Fields>(start: T, written: unknown): Partial<T> {
  if (typeof written !== 'object' || written === null) return {};
  return Object.fromEntries(
    Object.entries(written).filter(
      ([field, value]) =>
        Object.hasOwn(start, field) &&
        sameShape(value, start[field]) &&
        !alike(value, start[field]),
    ),
  ) as Partial<T>;
}
