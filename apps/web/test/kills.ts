import Libsql from 'libsql';
import { TestServer } from './server.ts';

const loaf = { stages: [{ lines: [{ ingredient: 'bread-flour', grams: 500 }] }] };
const event = (id: string, n: number) => ({
  id,
  at: new Date(Date.UTC(2026, 4, 1, 8, 0, n)).toISOString(),
  kind: 'weighed',
  data: { item: `l${n}`, grams: n + 1, byScale: true },
});

/** What became of a server that was killed again and again. */
export interface Killed {
  readonly kills: number;
  readonly acknowledged: number;
  readonly lost: readonly string[];
  /** What SQLite says of the file after each kill, where it is not well. */
  readonly unsound: readonly string[];
}

/**
 * Kills a server amid the writes of two clients, one saving versions and one appending events, and
 * looks after each kill whether everything that was acknowledged is there.
 */
export async function killAmidWrites(kills: number): Promise<Killed> {
  const server = await new TestServer().start();
  const lost: string[] = [];
  const unsound: string[] = [];
  let acknowledged = 0;
  try {
    const made = (await server.ask('POST', '/api/v1/formulas', loaf)).json;
    const path = `/api/v1/formulas/${made['id']}`;
    const bake = (
      await server.ask('POST', '/api/v1/bakes', { formulaId: made['id'], formulaVersion: 1 })
    ).json['id'] as string;
    let version = 1;
    const events: string[] = [];
    for (let round = 0; round < kills; round += 1) {
      let stop = false;
      const from = acknowledged;
      const saving = (async () => {
        for (let i = 0; !stop; i += 1) {
          const formula = { ...made['formula'], name: `Round ${round}, save ${i}` };
          const answer = await server.ask('PUT', path, { version, formula, draft: 'one' });
          if (answer.status !== 200) break;
          version = answer.json['version'] as number;
          acknowledged += 1;
        }
      })().catch(() => undefined);
      const appending = (async () => {
        for (let i = 0; !stop; i += 1) {
          const id = `r${round}-${i}`;
          const sent = { events: [event(id, i)] };
          const answer = await server.ask('POST', `/api/v1/bakes/${bake}/events`, sent);
          if (answer.status !== 200) break;
          events.push(id);
          acknowledged += 1;
        }
      })().catch(() => undefined);
      // In the thick of it: not before something was acknowledged, and at another moment each time.
      while (acknowledged < from + 2) await new Promise((done) => setTimeout(done, 1));
      await new Promise((done) => setTimeout(done, (round * 37) % 211));
      await server.kill('SIGKILL');
      stop = true;
      await Promise.all([saving, appending]);

      const database = new Libsql(server.file);
      for (const check of ['integrity_check', 'foreign_key_check']) {
        const rows = database.prepare(`PRAGMA ${check}`).all() as object[];
        const well = rows.every((r) => Object.values(r)[0] === 'ok');
        if (!well) unsound.push(`${round}: ${JSON.stringify(rows)}`);
      }
      database.close();
      await server.start();
      const stored = (await server.ask('GET', path)).json;
      if ((stored['version'] as number) < version) lost.push(`version ${version}`);
      version = Math.max(version, stored['version'] as number);
      const there = new Set(
        ((await server.ask('GET', `/api/v1/bakes/${bake}`)).json['events'] as { id: string }[]).map(
          (e) => e.id,
        ),
      );
      lost.push(...events.filter((id) => !there.has(id)));
    }
    return { kills, acknowledged, lost, unsound };
  } finally {
    await server.end();
  }
}
