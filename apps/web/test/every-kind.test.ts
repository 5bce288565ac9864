import 'fake-indexeddb/auto';
import { expect } from 'chai';
import { Keep, type Storage } from '../src/lib/sync/keep.ts';
import { kindNames } from '../src/lib/sync/kinds.ts';
import { Outbox } from '../src/lib/sync/outbox.ts';
import { FakeServer, type Sent } from './fake-server.ts';
import { withFullStorage, withoutStorage } from './no-storage.ts';
import { Tablet } from './tablet.ts';

const photo = new Uint8Array([0xff, 0xd8, 0xff]).buffer;
/** Twice through all that can be said, so that everything is also changed or taken away. */
const turns = 24;
const says = async (tablet: Tablet, from = 0, to = turns) => {
  for (let n = from; n < to; n += 1) await tablet.says();
};

/** What must have come before what: a bake before what is tapped in it, a starter before its feeding. */
const beginnings: ReadonlyArray<(sent: Sent) => readonly [it: string, its: string] | undefined> = [
  ({ path, body }) => (path === '/api/v1/bakes' ? [`bake ${body.id}`, ''] : undefined),
  ({ path }) => {
    const [, bake] = /^\/api\/v1\/bakes\/([^/]+)\//.exec(path) ?? [];
    return bake === undefined ? undefined : ['', `bake ${bake}`];
  },
  ({ path, method }) => {
    const [, bag] = /^\/api\/v1\/bags\/([^/?]+)/.exec(path) ?? [];
    if (bag === undefined) return undefined;
    return method === 'PATCH' ? [`bag ${bag}`, ''] : ['', `bag ${bag}`];
  },
];

function expectInOrder(sent: readonly Sent[]): void {
  const there = new Set<string>(['']);
  for (const one of sent)
    for (const of of beginnings) {
      const [it, its] = of(one) ?? ['', ''];
      expect(there.has(its), `${one.method} ${one.path}`).to.equal(true);
      there.add(it);
    }
}

describe('whatever a tablet says', () => {
  let server: FakeServer;
  const open: Array<{ close(): Promise<void> }> = [];
  let names = 0;
  const name = () => `every kind ${names}`;
  beforeEach(() => {
    server = new FakeServer();
    server.answers = () => [200, { version: 1 }];
    names += 1;
  });
  afterEach(async () => {
    for (const one of open.splice(0)) await one.close();
    server.end();
  });
  const tablet = (keep = new Keep(name())) => {
    const one = new Tablet('kitchen', 'device', photo, keep);
    open.push(one.box);
    return one;
  };
  const expectAll = (one: Tablet) => {
    expect(one.otherwise).to.deep.equal([]);
    expect([...one.acknowledged]).to.have.deep.members([...one.said]);
    const kinds = new Set(server.sent.map((s) => `${s.method} ${s.path.split('/')[3]}`));
    expect(kinds.size, [...kinds].join()).to.be.greaterThan(10);
    expectInOrder(server.sent);
  };

  it('is of every kind that there is', async () => {
    const one = tablet();
    await says(one);
    const said = new Set((await one.box.keep.waiting()).map((e) => e.kind));
    expect([...said]).to.have.members(kindNames.filter((k) => k !== 'settings'));
  });

  it('goes out where the browser refuses to keep anything', () =>
    withoutStorage(async () => {
      const troubles: Storage[] = [];
      const one = tablet(new Keep('none', (s) => troubles.push(s)));
      await says(one);
      await one.box.flush();
      expect(troubles[0]).to.equal('memory');
      expectAll(one);
    }));

  for (const from of [0, 7, 13])
    it(`goes out where the browser is full from the ${from + 1}th thing on`, async () => {
      const one = tablet(new Keep(name(), () => {}));
      await says(one, 0, from);
      await withFullStorage(async () => {
        await says(one, from);
        await one.box.flush();
      });
      expectAll(one);
    });

  it('goes out once from two tabs, in order, whichever of them sends', async () => {
    const one = tablet();
    const other = new Outbox({ keep: new Keep(name()), pause: () => 1e6 });
    open.push(other);
    const fake = globalThis.fetch;
    globalThis.fetch = (async (...given: Parameters<typeof fetch>) => {
      await new Promise((done) => setTimeout(done, 1));
      return fake(...given);
    }) as typeof fetch;
    for (let n = 0; n < turns; n += 4) {
      await says(one, n, n + 4);
      // At the same moment, each after the other’s begun.
      await Promise.all(
        n % 8 === 0 ? [one.box.flush(), other.flush()] : [other.flush(), one.box.flush()],
      );
    }
    while ((await other.keep.waiting()).length > 0)
      await Promise.all([other.flush(), one.box.flush()]);
    const asked = server.sent.map((s) => `${s.method} ${s.path} ${JSON.stringify(s.body)}`);
    expect(new Set(asked).size).to.equal(asked.length);
    expectInOrder(server.sent);
    expect(one.otherwise).to.deep.equal([]);
  });

  it('is sent by the next page, where one slept in the middle of a sending and its turn ran out', async () => {
    const sleeping = tablet();
    await says(sleeping);
    const fake = globalThis.fetch;
    let asleep: (() => void) | undefined;
    globalThis.fetch = ((...given: Parameters<typeof fetch>) =>
      server.sent.length < 5
        ? fake(...given)
        : new Promise<Response>(
            (_, failed) => (asleep = () => failed(new TypeError('woken'))),
          )) as typeof fetch;
    const sending = sleeping.box.flush();
    while (!asleep) await new Promise((done) => setTimeout(done, 1));
    globalThis.fetch = fake;
    // While its turn lasts nobody else sends; after that somebody does.
    const awake = new Outbox({ keep: new Keep(name()), pause: () => 1e6 });
    open.push(awake);
    await awake.flush();
    expect(server.sent).to.have.length(5);
    await awake.keep.lease(sleeping.box.tab, 0);
    await awake.flush();
    expect(await awake.keep.waiting()).to.deep.equal([]);
    expectInOrder(server.sent);
    asleep();
    await sending;
    // Woken it finds nothing to send.
    await sleeping.box.flush();
    const asked = server.sent.map((s) => `${s.method} ${s.path} ${JSON.stringify(s.body)}`);
    expect(new Set(asked).size).to.equal(asked.length);
  });
});
