import 'fake-indexeddb/auto';
import { kindNames, type KindName } from '../src/lib/sync/kinds.ts';
import { KitchenFiles } from './kitchen-files.ts';
import { TestServer } from './server.ts';
import { nameOf, Tablet } from './tablet.ts';
import { atHome, tabletsOf } from './tablets-of.ts';

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

/**
 * Kills a server amid all that two tablets say, and looks after each kill whether everything that was acknowledged is
 * there; in the end, whether all of it came, once.
 */
export async function killAmidWrites(kills: number): Promise<Killed> {
  const server = new TestServer();
  const unsound: string[] = [];
  const lost = new Set<string>();
  let tablets: readonly Tablet[] = [];
  let end = () => {};
  try {
    ({ tablets, end } = await tabletsOf(server));
    const acknowledged = () => tablets.reduce((sum, t) => sum + t.acknowledged.size, 0);
    for (let round = 0; round < kills; round += 1) {
      let stop = false;
      const from = acknowledged();
      const acting = tablets.map(async (tablet) => {
        while (!stop) {
          if (!tablet.box.standing.away) for (let n = 0; n < 6; n += 1) await tablet.says();
          await tablet.box.flush();
          // Killed, or only too busy to answer.
          if (tablet.box.standing.away) await new Promise((done) => setTimeout(done, 20));
        }
      });
      // In the thick of it: not before something was acknowledged, and at another moment each time.
      while (acknowledged() < from + 2) await new Promise((done) => setTimeout(done, 1));
      await new Promise((done) => setTimeout(done, (round * 37) % 211));
      await server.kill('SIGKILL');
      stop = true;
      await Promise.all(acting);

      const files = new KitchenFiles(server.file);
      unsound.push(...files.unsound().map((what) => `${round}: ${what}`));
      for (const tablet of tablets) {
        const unknown = await tablet.onItsWay();
        for (const said of tablet.acknowledged.values())
          if (!unknown.has(nameOf(said)) && !files.has(said)) lost.add(`${round}: ${nameOf(said)}`);
      }
      files.close();
      await server.start(atHome);
    }
    for (const tablet of tablets) {
      // However slow the machine was, everything was said twice: so all of it was changed or taken away as well.
      while (tablet.rounds < 2) await tablet.says();
      await tablet.box.flush();
    }
    await server.kill('SIGTERM');
    const files = new KitchenFiles(server.file);
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
    end();
    for (const tablet of tablets) await tablet.box.close();
    await server.end();
  }
}
