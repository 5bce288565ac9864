import { formulaOf } from '../store/formula-body.ts';
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
  /** @throws where a row cannot be one, whatever its columns are */
  sound?(row: Row): void;
}

const isJson = (column: string) => (row: Row) => void JSON.parse(String(row[column]));

/**
 * One row a table, in the order in which they are put back. What the book has learned is not among them: it is learned
 * again from the bakes. Which devices were let in is nobody else's.
 */
export const archiveTables = {
  setting: {
    says: ['setting', 'settings'],
    key: ['key'],
    columns: ['key', 'value'],
    meeting: 'asked',
    sound: isJson('value'),
  },
  own_ingredient: {
    says: ['own ingredient', 'own ingredients'],
    key: ['id'],
    columns: ['id', 'label'],
    meeting: 'asked',
    sound: isJson('label'),
  },
  bag: {
    says: ['bag or leaven', 'bags and leavens'],
    key: ['id'],
    columns: ['id', 'name', 'ingredient', 'opened_on', 'facts'],
    meeting: 'asked',
    sound: isJson('facts'),
  },
  feeding: {
    says: ['feeding', 'feedings'],
    key: ['id'],
    columns: ['id', 'bag_id', 'at', 'body'],
    of: [['bag', 'bag_id']],
    meeting: 'asked',
    sound: isJson('body'),
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
    sound: (row) => void formulaOf(String(row['body'])),
  },
  kitchen: {
    says: ['kitchen as it was', 'kitchens as they were'],
    key: ['id'],
    columns: ['id', 'body'],
    meeting: 'joined',
    part: true,
    sound: isJson('body'),
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
    ],
    of: [
      ['kitchen', 'kitchen_id'],
      ['formula', 'formula_id'],
    ],
    meeting: 'joined',
    derived: ['finished_at', 'felt', 'outcome', 'given_up_at', 'forecast', 'assumed', 'kitchen_id'],
  },
  bake_event: {
    says: ['event', 'events'],
    key: ['bake_id', 'id'],
    columns: ['bake_id', 'id', 'at', 'kind', 'data'],
    of: [['bake', 'bake_id']],
    meeting: 'joined',
    sound: isJson('data'),
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
    sound: isJson('body'),
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

/** Where a table's rows stand in the file, and where a photo does. */
export const tableEntry = (name: ArchiveTableName): string => `tables/${name}.jsonl`;
export const photoEntryName = (id: string, small: boolean): string =>
  `photos/${id}${small ? '.small' : ''}.jpg`;
/** The first thing in the file: what it is. */
export const manifestEntry = 'tender-crumb.json';
/** Raised where an older version could not read the file any more. */
export const archiveFormat = 1;
