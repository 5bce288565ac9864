import { createHash } from 'node:crypto';
import type { Schema } from '../database/schema.ts';

/** A row as it is written down: its columns by their names. */
export type Row = Readonly<Record<string, string | number | null>>;

/** What is done where a row is here already, and another one comes. */
type Meeting =
  /** Both are kept: what comes is added to what is here. */
  | 'joined'
  /** Somebody says which of them stays. */
  | 'asked';

/** A table of the household that is taken along. */
interface ArchiveTable {
  /** What a row is, one and many of them, for the baker. */
  readonly says: readonly [one: string, many: string];
  /** Columns that tell rows apart. */
  readonly key: readonly string[];
  readonly columns: readonly string[];
  /** In which tables, and by which columns, a row must have somebody to belong to. */
  readonly of?: ReadonlyArray<readonly [table: keyof Schema, column: string]>;
  readonly meeting: Meeting;
  /** Columns that are worked out anew, and tell nothing of a difference. */
  readonly derived?: readonly string[];
  /** It is a part of another thing, and not counted by itself. */
  readonly part?: true;
}

/**
 * One row a table, in the order in which they are put back. What the book has learned is not among them: it is learned
 * again from the bakes. Who may come in is in no table at all.
 */
export const archiveTables = {
  setting: {
    says: ['setting', 'settings'],
    key: ['key'],
    columns: ['key', 'value'],
    meeting: 'asked',
  },
  own_ingredient: {
    says: ['own ingredient', 'own ingredients'],
    key: ['id'],
    columns: ['id', 'label'],
    meeting: 'asked',
  },
  bag: {
    says: ['bag or leaven', 'bags and leavens'],
    key: ['id'],
    columns: ['id', 'name', 'ingredient', 'opened_on', 'facts'],
    meeting: 'asked',
  },
  feeding: {
    says: ['feeding', 'feedings'],
    key: ['id'],
    columns: ['id', 'bag_id', 'at', 'body'],
    of: [['bag', 'bag_id']],
    meeting: 'asked',
  },
  formula: {
    says: ['formula', 'formulas'],
    key: ['id'],
    columns: [
      'id',
      'name',
      'style',
      'version',
      'created_at',
      'updated_at',
      'off_shelf_at',
      'words',
    ],
    meeting: 'joined',
    derived: ['name', 'style', 'version', 'updated_at', 'words', 'off_shelf_at'],
  },
  formula_version: {
    says: ['version', 'versions'],
    key: ['formula_id', 'version'],
    columns: ['formula_id', 'version', 'body', 'saved_at', 'device', 'draft'],
    of: [['formula', 'formula_id']],
    meeting: 'asked',
    derived: ['device', 'draft', 'saved_at'],
  },
  kitchen: {
    says: ['kitchen as it was', 'kitchens as they were'],
    key: ['id'],
    columns: ['id', 'body'],
    meeting: 'joined',
    part: true,
  },
  bake: {
    says: ['bake', 'bakes'],
    key: ['id'],
    columns: [
      'id',
      'formula_id',
      'formula_version',
      'name',
      'method',
      'started_at',
      'finished_at',
      'felt',
      'outcome',
      'given_up_at',
      'day',
      'kitchen_id',
      'forecast',
      'assumed',
      'otherwise',
    ],
    of: [
      ['kitchen', 'kitchen_id'],
      ['formula', 'formula_id'],
    ],
    meeting: 'joined',
    derived: [
      'finished_at',
      'felt',
      'outcome',
      'given_up_at',
      'forecast',
      'assumed',
      'otherwise',
      'kitchen_id',
    ],
  },
  bake_event: {
    says: ['event', 'events'],
    key: ['bake_id', 'id'],
    columns: ['bake_id', 'id', 'at', 'kind', 'data', 'clock'],
    of: [['bake', 'bake_id']],
    meeting: 'joined',
  },
  bag_use: {
    says: ['use of a bag', 'uses of bags'],
    key: ['bake_id', 'bag_id'],
    columns: ['bake_id', 'bag_id', 'grams', 'at'],
    of: [['bake', 'bake_id']],
    meeting: 'joined',
    part: true,
  },
  planned_bake: {
    says: ['plan', 'plans'],
    key: ['id'],
    columns: ['id', 'formula_id', 'bake_id', 'version', 'body', 'made_at'],
    of: [['formula', 'formula_id']],
    meeting: 'asked',
  },
  timer: {
    says: ['timer', 'timers'],
    key: ['id'],
    columns: ['id', 'name', 'due_at', 'made_at'],
    meeting: 'asked',
  },
  practice: {
    says: ['round of practice', 'rounds of practice'],
    key: ['id'],
    columns: ['id', 'at', 'lesson', 'seed', 'call'],
    meeting: 'joined',
  },
  photo: {
    says: ['photo', 'photos'],
    key: ['id'],
    columns: ['id', 'bake_id', 'step', 'at', 'width', 'height', 'bytes', 'digest'],
    of: [['bake', 'bake_id']],
    meeting: 'joined',
  },
  page: {
    says: ['photo of a recipe', 'photos of recipes'],
    key: ['id'],
    columns: ['id', 'at', 'width', 'height', 'bytes', 'digest', 'rows'],
    meeting: 'joined',
  },
} as const satisfies Partial<Record<keyof Schema, ArchiveTable>>;

export type ArchiveTableName = keyof typeof archiveTables;
export const archiveTableNames = Object.keys(archiveTables) as ArchiveTableName[];
export const archiveTable = (name: ArchiveTableName): ArchiveTable => archiveTables[name];

/** The key of a row as one text. */
export const keyOf = (name: ArchiveTableName, row: Row): string =>
  JSON.stringify(archiveTable(name).key.map((column) => row[column] ?? null));

/** Whether two rows of a key say the same, but for what is worked out. */
export function sameRow(name: ArchiveTableName, one: Row, other: Row): boolean {
  const { columns, derived = [] } = archiveTable(name);
  return columns.every(
    (column) => derived.includes(column) || (one[column] ?? null) === (other[column] ?? null),
  );
}

/** Tables whose rows have a picture each. */
export const pictured = ['photo', 'page'] as const satisfies readonly ArchiveTableName[];
export const isPictured = (name: ArchiveTableName): boolean =>
  pictured.some((table) => table === name);

/** Where a table's rows stand in the file, and where a photo does. */
export const tableEntry = (name: ArchiveTableName): string => `tables/${name}.jsonl`;
export const photoEntryName = (id: string, small: boolean): string =>
  `photos/${id}${small ? '.small' : ''}.jpg`;
/** The first thing in the file: what it is. */
export const manifestEntry = 'tender-crumb.json';
/** The last thing in the file: how many rows each table has, and a digest of each. */
export const digestEntry = 'digest.json';
export interface ArchiveDigest {
  readonly tables: Readonly<
    Partial<Record<ArchiveTableName, { readonly rows: number; readonly sha256: string }>>
  >;
  /** Of all pictures with their names; see {@link photosDigest}. */
  readonly photos: string;
}
/**
 * One digest of all pictures: of their names with a digest of each, in the order of the names.
 *
 * @param lines `name sha256`, in any order
 */
export const photosDigest = (lines: readonly string[]): string =>
  createHash('sha256')
    .update([...lines].sort().join('\n'))
    .digest('hex');
/** Raised where an older version could not read the file any more. The second has a digest at its end. */
export const archiveFormat = 2;

/** What devices once came in with stood among the settings: wherever it still stands, it is passed over. */
export const passedOver = (name: ArchiveTableName, row: Row): boolean =>
  name === 'setting' && row['key'] === 'kitchen-key';
