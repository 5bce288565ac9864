/** Fields by their names, rows of a list by their ids. */
export type Path = ReadonlyArray<string | { readonly row: string }>;

/** What both hands changed, and not alike: shown to whoever comes second. */
export interface Clash {
  /** From the outside in. */
  readonly path: Path;
  readonly was: unknown;
  readonly mine: unknown;
  readonly theirs: unknown;
}

/** What two hands made of one thing. */
export interface Merged<T> {
  readonly value: T;
  readonly clashes: readonly Clash[];
}

/** Whose word stands where both changed the same. */
export type Winner = 'mine' | 'theirs';

type Row = { readonly id: string };
type Fields = Readonly<Record<string, unknown>>;

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A list whose rows are told apart by their ids. */
const isRows = (value: unknown): value is readonly Row[] =>
  Array.isArray(value) &&
  value.every((row) => isFields(row) && typeof row['id'] === 'string') &&
  new Set(value.map((row: Row) => row.id)).size === value.length;

/** A list of words: what matters is which stand in it. */
const isWords = (value: unknown): value is readonly string[] =>
  Array.isArray(value) && value.every((word) => typeof word === 'string');

/** Fields in any order, and a field without a value is none. */
const canonical = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(canonical)
    : isFields(value)
      ? Object.fromEntries(
          Object.keys(value)
            .sort()
            .filter((key) => value[key] !== undefined)
            .map((key) => [key, canonical(value[key])]),
        )
      : value;

/** Whether two values say the same, as JSON has them. */
export const saysTheSame = (a: unknown, b: unknown): boolean =>
  a === b || JSON.stringify(canonical(a)) === JSON.stringify(canonical(b));

/**
 * Puts together what two hands made of the same beginning: each field and each row of a list for itself. What only one
 * touched is as that one has it. What both changed, and not alike, is a clash: the winner's word stands, and both are told.
 *
 * @param was what both began from; a field that is not there is undefined
 * @param winner whose word stands in a clash
 * @returns the clashes empty where nothing is in doubt
 * @example merge({ name: 'Sack' }, { name: 'Sack', protein: 12 }, { name: 'Blue sack' }).value // { name: 'Blue sack', protein: 12 }
 */
export function merge<T>(
  was: unknown,
  mine: unknown,
  theirs: T,
  winner: Winner = 'theirs',
): Merged<T> {
  const clashes: Clash[] = [];
  const value = both([], was, mine, theirs, winner, clashes) as T;
  return { value, clashes };
}

function both(
  path: Path,
  was: unknown,
  mine: unknown,
  theirs: unknown,
  winner: Winner,
  clashes: Clash[],
): unknown {
  if (saysTheSame(mine, was) || saysTheSame(mine, theirs)) return theirs;
  if (saysTheSame(theirs, was)) return mine;
  if (isFields(mine) && isFields(theirs)) {
    const before = isFields(was) ? was : {};
    const keys = new Set([...Object.keys(theirs), ...Object.keys(mine)]);
    return Object.fromEntries(
      [...keys]
        .map((key) => {
          const at = [...path, key];
          const own = (of: Fields) => (Object.hasOwn(of, key) ? of[key] : undefined);
          return [key, both(at, own(before), own(mine), own(theirs), winner, clashes)] as const;
        })
        .filter(([, value]) => value !== undefined),
    );
  }
  if (isRows(mine) && isRows(theirs)) {
    const before = isRows(was) ? was : [];
    const ids = new Set([...theirs, ...mine].map((row) => row.id));
    const of = (rows: readonly Row[], id: string) => rows.find((row) => row.id === id);
    return [...ids]
      .map((id) =>
        both([...path, { row: id }], of(before, id), of(mine, id), of(theirs, id), winner, clashes),
      )
      .filter((row) => row !== undefined);
  }
  if (isWords(mine) && isWords(theirs)) {
    const before = new Set(isWords(was) ? was : []);
    const gone = new Set([...before].filter((word) => !mine.includes(word)));
    return [...new Set([...theirs, ...mine])].filter(
      (word) => !gone.has(word) && (theirs.includes(word) || !before.has(word)),
    );
  }
  clashes.push({ path, was, mine, theirs });
  return winner === 'mine' ? mine : theirs;
}

/**
 * What somebody changed, as it is sent: the fields that differ, before and after.
 *
 * @returns undefined where nothing differs
 * @example changeOf({ name: 'Sack', protein: 12 }, { name: 'Sack' }) // { was: { protein: 12 }, now: {} }
 */
export function changeOf(was: object, now: object): Change | undefined {
  const [before, after] = [plain(was), plain(now)];
  const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])].filter(
    (key) => !saysTheSame(before[key], after[key]),
  );
  if (keys.length === 0) return undefined;
  const only = (of: Fields) =>
    Object.fromEntries(keys.filter((key) => Object.hasOwn(of, key)).map((key) => [key, of[key]]));
  return { was: only(before), now: only(after) };
}

/** As it goes over the wire: a field without a value is not there. */
const plain = (value: object): Fields => JSON.parse(JSON.stringify(value)) as Fields;

/** Fields that somebody changed, as they were and as they are to be. A field that is not there is taken away, or new. */
export interface Change {
  readonly was: Fields;
  readonly now: Fields;
}

/**
 * Makes a change on what stands there now.
 *
 * @example applyChange({ name: 'Blue sack' }, { was: {}, now: { protein: 12 } }).value // { name: 'Blue sack', protein: 12 }
 */
export function applyChange<T extends object>(
  theirs: T,
  { was, now }: Change,
  winner: Winner = 'theirs',
): Merged<T> {
  const keys = new Set([...Object.keys(was), ...Object.keys(now)]);
  const rest = Object.fromEntries(Object.entries(theirs).filter(([key]) => !keys.has(key)));
  return merge({ ...rest, ...was }, { ...rest, ...now }, theirs, winner);
}

/**
 * What a change makes of a thing, or of none where it is new. What was made once under an id is not made again: its
 * beginning may be sent twice.
 *
 * @param naming the field that each thing of this kind has: in a change that begins one it is new
 * @returns undefined where there is none to change
 * @example changedOrMade(undefined, { was: {}, now: { name: 'Sack' } }, 'name') // { value: { name: 'Sack' }, clashes: [], made: true }
 */
export function changedOrMade(
  before: object | undefined,
  change: Change,
  naming: string,
): (Merged<object> & { readonly made: boolean }) | undefined {
  const begins = Object.hasOwn(change.now, naming) && !Object.hasOwn(change.was, naming);
  if (!before) return begins ? { value: change.now, clashes: [], made: true } : undefined;
  return {
    ...(begins ? { value: before, clashes: [] } : applyChange(before, change)),
    made: false,
  };
}

/**
 * Two changes by one hand, one after the other, as one.
 *
 * @example followedBy({ was: { a: 1 }, now: { a: 2 } }, { was: { a: 2 }, now: { a: 3 } }) // { was: { a: 1 }, now: { a: 3 } }
 */
export function followedBy(first: Change, then: Change): Change {
  const untouched = (was: Fields) =>
    Object.fromEntries(
      Object.entries(was).filter(
        ([key]) => !Object.hasOwn(first.was, key) && !Object.hasOwn(first.now, key),
      ),
    );
  const gone = Object.keys(then.was).filter((key) => !Object.hasOwn(then.now, key));
  const now = Object.fromEntries(
    Object.entries({ ...first.now, ...then.now }).filter(
      ([key]) => !gone.includes(key) || Object.hasOwn(then.now, key),
    ),
  );
  return { was: { ...first.was, ...untouched(then.was) }, now };
}

/**
 * What whoever came second says again, and means: of what stands there by now.
 *
 * @example insisting([{ path: ['protein'], was: 12, mine: 11, theirs: 13 }]) // { was: { protein: 13 }, now: { protein: 11 } }
 */
export const insisting = (clashes: readonly Clash[]): Change =>
  clashes
    .map(({ path, mine, theirs }) => ({
      was: placed(path, theirs) as Fields,
      now: placed(path, mine) as Fields,
    }))
    .reduce(together, { was: {}, now: {} });

/** A value at its place, and nothing beside it; where there is none, no place for it. */
function placed([at, ...rest]: Path, value: unknown): unknown {
  if (at === undefined) return value;
  const inner = placed(rest, value);
  if (typeof at === 'string') return inner === undefined ? {} : { [at]: inner };
  return inner === undefined
    ? []
    : [rest.length > 0 ? { id: at.row, ...(inner as object) } : inner];
}

/** Changes at different places as one. */
const together = (a: Change, b: Change): Change => ({
  was: merge({}, a.was, b.was).value,
  now: merge({}, a.now, b.now).value,
});
