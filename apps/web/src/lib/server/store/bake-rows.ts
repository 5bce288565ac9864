import type { BakeEvent, Circumstances, KitchenThen, Outcome } from '@tender-crumb/core/bake';
import { lessonOf, type Lesson, type LevelMark } from '@tender-crumb/core/learn';
import type { DeviceId } from '@tender-crumb/core/machine';
import type { Database } from '../database/open.ts';

export interface StoredBake {
  readonly id: string;
  /** Absent for a bread that has no formula here. */
  readonly formulaId?: string;
  readonly formulaVersion?: number;
  /** Of its formula, or what was baked without one. */
  readonly formulaName: string;
  readonly style?: string;
  readonly method: DeviceId;
  readonly startedAt: string;
  readonly finishedAt?: string;
  readonly givenUpAt?: string;
  readonly outcome?: Outcome;
  readonly lesson?: Lesson;
  /** As it was shown when it began. */
  readonly forecast?: LevelMark;
  readonly circumstances: Circumstances;
  /** What of them the server had otherwise when it heard of the bake. */
  readonly otherwise?: ReadonlyArray<'kitchen' | 'forecast'>;
}

export interface BakeWithEvents extends StoredBake {
  readonly events: BakeEvent[];
}

/** Every bake with its formula's name and its kitchen. */
export const selectBakes = (db: Database) =>
  db
    .selectFrom('bake as b')
    .leftJoin('formula as f', 'f.id', 'b.formula_id')
    .innerJoin('kitchen as k', 'k.id', 'b.kitchen_id')
    .select([
      'b.id',
      'b.formula_id',
      'b.formula_version',
      'b.method',
      'b.started_at',
      'b.finished_at',
      'b.outcome',
      'b.lesson',
      'b.given_up_at',
      'b.day',
      'b.forecast',
      'b.assumed',
      'b.otherwise',
      'b.kitchen_id',
      'k.body as kitchen',
      'b.name as own_name',
      'f.name',
      'f.style',
    ]);

type Row = Awaited<ReturnType<ReturnType<typeof selectBakes>['execute']>>[number];

/** A row as it is read. */
export const stored = (row: Row, kitchen?: KitchenThen): StoredBake => ({
  id: row.id,
  ...(row.formula_id === null
    ? {}
    : { formulaId: row.formula_id, formulaVersion: row.formula_version! }),
  formulaName: row.name ?? row.own_name ?? '',
  ...(row.style ? { style: row.style } : {}),
  method: row.method as DeviceId,
  startedAt: row.started_at,
  ...(row.finished_at ? { finishedAt: row.finished_at } : {}),
  ...(row.given_up_at ? { givenUpAt: row.given_up_at } : {}),
  ...(row.outcome ? { outcome: JSON.parse(row.outcome) as Outcome } : {}),
  ...(row.lesson ? { lesson: lessonOf(JSON.parse(row.lesson)) } : {}),
  ...(row.forecast ? { forecast: JSON.parse(row.forecast) as LevelMark } : {}),
  ...(row.otherwise
    ? { otherwise: JSON.parse(row.otherwise) as Array<'kitchen' | 'forecast'> }
    : {}),
  circumstances: {
    day: row.day,
    kitchen: kitchen ?? (JSON.parse(row.kitchen) as KitchenThen),
    ...(row.assumed ? { assumed: true } : {}),
  },
});
