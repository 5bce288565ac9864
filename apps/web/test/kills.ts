import 'fake-indexeddb/auto';
import Libsql from 'libsql';
import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import sharp from 'sharp';
import { deviceIds, pairWith } from './pair-with.ts';
import { kindNames, type KindName } from '../src/lib/sync/kinds.ts';
import { TestServer } from './server.ts';
import { nameOf, Tablet, type Said } from './tablet.ts';

/** What became of a server that was killed again and again. */
export interface Killed {
  readonly acknowledged: number;
  /** Kinds of what was acknowledged. */
  readonly kinds: ReadonlySet<KindName>;
  /** What was acknowledged and is not there, or was said and never came. */
  readonly lost: readonly string[];
  /** What is there twice. */
  readonly twice: readonly string[];
  /** What was refused, or told that it stands against something. */
  readonly otherwise: readonly string[];
  /** What SQLite says of the file after each kill, where it is not well. */
  readonly unsound: readonly string[];
}

export const nothingWrong = { lost: [], twice: [], otherwise: [], unsound: [] };

/** All that a tablet can say, but what only an earlier version of the program said. */
export const allKinds: readonly KindName[] = kindNames.filter((kind) => kind !== 'settings');

/** The files of a kitchen whose server is not running. */
class Files {
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

/**
 * Kills a server amid all that two tablets say, and looks after each kill whether everything that was acknowledged is
 * there; in the end, whether all of it came, once.
 */
export async function killAmidWrites(kills: number): Promise<Killed> {
  const server = await new TestServer().start({ TENDER_CRUMB_PROXY: '1' });
  const { fetch: real } = globalThis;
  globalThis.fetch = ((path: string, init: RequestInit) =>
    real(path.startsWith('/') ? `${server.url}${path}` : path, init)) as typeof fetch;
  const photo = await sharp({
    create: { width: 40, height: 30, channels: 3, background: '#b58a3a' },
  })
    .jpeg()
    .toBuffer();
  const bytes = new Uint8Array(photo).buffer;
  const unsound: string[] = [];
  const lost = new Set<string>();
  const tablets: Tablet[] = [];
  try {
    for (const name of ['kitchen', 'hall']) {
      await pairWith(server, name);
      tablets.push(new Tablet(name, deviceIds(server)[name]!, bytes));
    }
    // From here on they are at home.
    await server.kill('SIGTERM');
    await server.start({ TENDER_CRUMB_PROXY: '0' });
    const acknowledged = () => tablets.reduce((sum, t) => sum + t.acknowledged.size, 0);
    for (let round = 0; round < kills; round += 1) {
      let stop = false;
      const from = acknowledged();
      const acting = tablets.map(async (tablet) => {
        while (!stop) {
          for (let n = 0; n < 6; n += 1) await tablet.says();
          await tablet.box.flush();
          if (tablet.box.standing.away) break;
        }
      });
      // In the thick of it: not before something was acknowledged, and at another moment each time.
      while (acknowledged() < from + 2) await new Promise((done) => setTimeout(done, 1));
      await new Promise((done) => setTimeout(done, (round * 37) % 211));
      await server.kill('SIGKILL');
      stop = true;
      await Promise.all(acting);

      const files = new Files(server.file);
      unsound.push(...files.unsound().map((what) => `${round}: ${what}`));
      for (const tablet of tablets) {
        const unknown = await tablet.onItsWay();
        for (const said of tablet.acknowledged.values())
          if (!unknown.has(nameOf(said)) && !files.has(said)) lost.add(`${round}: ${nameOf(said)}`);
      }
      files.close();
      await server.start({ TENDER_CRUMB_PROXY: '0' });
    }
    for (const tablet of tablets) await tablet.box.flush();
    await server.kill('SIGTERM');
    const files = new Files(server.file);
    const all = tablets.flatMap((t) => [...t.said.values()]);
    for (const said of all) if (!files.has(said)) lost.add(`in the end: ${nameOf(said)}`);
    const twice = files.strange(new Set(all.map(nameOf)));
    files.close();
    return {
      acknowledged: acknowledged(),
      kinds: new Set(tablets.flatMap((t) => [...t.acknowledged.values()].map((s) => s.kind))),
      lost: [...lost],
      twice,
      otherwise: [
        ...tablets.flatMap((t) => t.otherwise),
        ...tablets.flatMap((t) =>
          t.box.standing.aside.map((a) => `aside: ${a.entry.key}: ${a.why}`),
        ),
      ],
      unsound,
    };
  } finally {
    globalThis.fetch = real;
    for (const tablet of tablets) await tablet.box.close();
    await server.end();
  }
}
