import Libsql from 'libsql';
import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import type { KindName } from '../src/lib/sync/kinds.ts';
import type { Said } from './tablet.ts';

/** The files of a kitchen whose server is not running. */
export class KitchenFiles {
  readonly #db: Libsql.Database;
  readonly #folder: string;

  constructor(file: string) {
    this.#db = new Libsql(file);
    this.#folder = dirname(file);
  }

  close(): void {
    this.#db.close();
  }

  unsound(): string[] {
    return ['integrity_check', 'foreign_key_check'].flatMap((check) => {
      const rows = this.#db.prepare(`PRAGMA ${check}`).all() as object[];
      return rows.every((r) => Object.values(r)[0] === 'ok') ? [] : [JSON.stringify(rows)];
    });
  }

  has(said: Said): boolean {
    return this.#looks[said.kind](said);
  }

  /** Things that are kept under another name than the one that they were given. */
  strange(given: ReadonlySet<string>): string[] {
    const tables = [
      ['begin', 'bake'],
      ['feeding', 'feeding'],
      ['plan', 'planned_bake'],
      ['timer', 'timer'],
      ['photo', 'photo'],
      ['own', 'own_ingredient'],
      ['bag', 'bag'],
      ['draft', 'formula'],
      ['practice', 'practice'],
    ] as const;
    return tables.flatMap(([kind, table]) =>
      (this.#db.prepare(`SELECT id FROM ${table}`).all() as { id: string }[])
        .map(({ id }) => `${kind} ${id}`)
        .filter((name) => !given.has(name)),
    );
  }

  readonly #one = (text: string, ...values: readonly unknown[]) =>
    this.#db.prepare(text).get(...values) as Record<string, unknown> | undefined;
  readonly #row = (table: string) => (said: Said) =>
    this.#one(`SELECT id FROM ${table} WHERE id = ?`, said.id) !== undefined;
  readonly #no = (table: string) => (said: Said) => !this.#row(table)(said);
  readonly #json = (text: string, ...values: readonly unknown[]) =>
    JSON.parse(String(this.#one(text, ...values)?.['body'] ?? '{}'));

  readonly #looks: Readonly<Record<KindName, (said: Said) => boolean>> = {
    draft: ({ id, step }) =>
      this.#json(
        'SELECT body FROM formula_version WHERE formula_id = ? ORDER BY version DESC LIMIT 1',
        id,
      ).stages?.[0].lines[0].grams >= step!,
    begin: this.#row('bake'),
    event: ({ id }) => {
      const [bake, event] = id.split(' ');
      const found = 'SELECT count(*) AS n FROM bake_event WHERE bake_id = ? AND id = ?';
      return this.#one(found, bake, event)!['n'] === 1;
    },
    photo: (said) =>
      this.#row('photo')(said) &&
      readFileSync(join(this.#folder, 'photos', `${said.id}.jpg`)).byteLength > 0,
    settings: () => true,
    house: ({ id, step }) => {
      const settings = this.#json("SELECT value AS body FROM setting WHERE key = 'household'");
      return (
        (id === 'kitchen' ? settings.scaleStep - 0.01 : settings.room?.humidity) >= step! - 1e-9
      );
    },
    bag: ({ id, step }) =>
      this.#json('SELECT facts AS body FROM bag WHERE id = ?', id).hydration >= step!,
    own: this.#row('own_ingredient'),
    plan: this.#row('planned_bake'),
    'plan-off': this.#no('planned_bake'),
    timer: this.#row('timer'),
    'timer-off': this.#no('timer'),
    feeding: this.#row('feeding'),
    // Of a feeding that was taken back since then there is none.
    peak: ({ id }) =>
      this.#one('SELECT id FROM feeding WHERE id = ?', id) === undefined ||
      this.#json('SELECT body FROM feeding WHERE id = ?', id).peakAt !== undefined,
    'feeding-off': this.#no('feeding'),
    device: ({ id, step }) => {
      const { devices } = JSON.parse(readFileSync(join(this.#folder, 'doors.json'), 'utf8')) as {
        devices: Array<{ id: string; name: string }>;
      };
      return (
        Number(
          devices
            .find((d) => d.id === id)
            ?.name.split(' ')
            .at(-1),
        ) >= step!
      );
    },
    practice: this.#row('practice'),
  };
}
