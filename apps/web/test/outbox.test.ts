import 'fake-indexeddb/auto';
import type { BakeEvent } from '@tender-crumb/core/bake';
import { completeFormula } from '@tender-crumb/core/exchange';
import { expect } from 'chai';
import { openDB } from 'idb';
import { backoff } from '../src/lib/sync/backoff.ts';
import { isEntry } from '../src/lib/sync/entry.ts';
import { Keep, type Storage as Kept } from '../src/lib/sync/keep.ts';
import {
  beginEntry,
  changeEntry,
  draftEntry,
  eventEntry,
  formulaLane,
  rowEntry,
  settingsLane,
  theHouse,
} from '../src/lib/sync/kinds.ts';
import { changeOf, type Change } from '../src/lib/wire/merge.ts';
import {
  eventsOnTheirWay,
  withBegun,
  withPlans,
  withRows,
  withSettled,
} from '../src/lib/sync/overlay.ts';
import { withPantry } from '../src/lib/sync/pantry-overlay.ts';
import { oldKept } from '../src/lib/sync/old-kept.ts';
import { Outbox, type Outcome } from '../src/lib/sync/outbox.ts';
import { FakeServer } from './fake-server.ts';
import { withFullStorage, withoutStorage } from './no-storage.ts';
import { defaultHousehold } from '@tender-crumb/core/household';

const loaf = (name: string) =>
  completeFormula({ name, stages: [{ lines: [{ ingredient: 'bread-flour', grams: 500 }] }] });
const tick = (id: string): BakeEvent => ({
  id,
  at: '2026-05-01T08:00:00.000Z',
  kind: 'weighed',
  data: { item: id, grams: 5, byScale: false },
});

/** Something settled for the household, on its way. */
const settled = (was: object, now: object, tap: string) =>
  changeEntry('house', { id: theHouse, change: { was, now } as Change }, tap);

describe('what waits in the browser', () => {
  let server: FakeServer;
  const open: Outbox[] = [];
  let names = 0;
  let name: string;
  const outbox = (of = name, pause: (failures: number) => number = () => 1e6) => {
    const box = new Outbox({ keep: new Keep(of), pause });
    open.push(box);
    return box;
  };
  beforeEach(() => {
    server = new FakeServer();
    names += 1;
    name = `kitchen-${names}`;
  });
  afterEach(async () => {
    for (const box of open.splice(0)) await box.close();
    server.end();
  });

  it('2,000 events tapped while the server was away arrive once each, in order, in chunks', async () => {
    server.answers = () => undefined;
    const box = outbox();
    for (let i = 0; i < 2000; i += 1) await box.hold(eventEntry('b', tick(`e${i}`)));
    expect(box.standing.waiting.at(-1)!.key).to.equal('event/b/e1999');
    await box.flush();
    expect(box.standing.away).to.equal(true);
    await box.close();

    // Another page, later, with the server back; every seventh request is lost on its way back.
    let n = 0;
    server.answers = () => [200, {}];
    const later = outbox();
    const all = server.answers;
    server.answers = (sent) => {
      n += 1;
      if (n % 7 !== 0) return all(sent);
      server.sent.push(sent);
      return undefined;
    };
    while ((await later.keep.waiting()).length > 0) await later.flush();
    const ids = server.sent.flatMap((s) => s.body.events.map((e: BakeEvent) => e.id) as string[]);
    const first = [...new Set(ids)];
    expect(first).to.deep.equal(Array.from({ length: 2000 }, (_, i) => `e${i}`));
    expect(Math.max(...server.sent.map((s) => s.body.events.length))).to.equal(100);
  }).timeout(60_000);

  it('somebody who asks for a try begins the pauses anew, whether it gets through or not', async () => {
    const pauses: number[] = [];
    const box = outbox(name, (failures) => {
      pauses.push(failures);
      return 1e6;
    });
    server.answers = () => undefined;
    await box.hold(eventEntry('b', tick('waits')));
    for (let i = 0; i < 3; i += 1) await box.flush();
    await box.tryNow();
    await box.flush();
    expect(pauses).to.deep.equal([1, 2, 3, 1, 2]);
    server.answers = () => [200, {}];
    await box.tryNow();
    expect(await box.keep.waiting()).to.deep.equal([]);
  });

  it('what is tapped while a sending ends is sent too, and waits for no other tap', async () => {
    let ending: () => Promise<void> = async () => {};
    class Ending extends Keep {
      override async giveBack(): Promise<void> {
        await ending();
        return super.giveBack();
      }
    }
    const box = new Outbox({ keep: new Ending(name), pause: () => 1e6 });
    open.push(box);
    ending = async () => {
      ending = async () => {};
      await box.add(eventEntry('b', tick('late')));
      // Its own sending is asked for before this one has ended.
      await new Promise((r) => setTimeout(r, 10));
    };
    await box.add(eventEntry('b', tick('early')));
    for (let i = 0; i < 100 && server.sent.length < 2; i += 1)
      await new Promise((r) => setTimeout(r, 10));
    const ids = server.sent.flatMap((s) => s.body.events.map((e: BakeEvent) => e.id) as string[]);
    expect(ids).to.deep.equal(['early', 'late']);
  });

  it('the newest draft of a sitting is sent alone, with what it began from', async () => {
    const box = outbox();
    const draft = { id: 'f', version: 3, draft: 's1' };
    await box.hold(draftEntry({ ...draft, formula: loaf('one') }));
    await box.hold(draftEntry({ ...draft, formula: loaf('two') }));
    await box.hold(draftEntry({ ...draft, draft: 's2', formula: loaf('other tab') }));
    await box.flush();
    expect(server.sent.map((s) => [s.method, s.path])).to.deep.equal([
      ['PUT', '/api/v1/formulas/f'],
      ['PUT', '/api/v1/formulas/f'],
    ]);
    expect(server.sent.map((s) => s.body.formula.name)).to.deep.equal(['two', 'other tab']);
    expect(server.sent[0]!.body).to.include({ version: 3, draft: 's1' });
  });

  it('what is typed while a save is on its way is not crossed out by its answer', async () => {
    const box = outbox();
    const draft = { id: 'f', version: 1, draft: 's' };
    let typed: Promise<unknown> | undefined;
    server.answers = () => {
      typed ??= box.keep.put(draftEntry({ ...draft, formula: loaf('later') }));
      return [200, { version: 2 }];
    };
    await box.hold(draftEntry({ ...draft, formula: loaf('first') }));
    await box.flush();
    await typed;
    await box.flush();
    expect(server.sent.map((s) => s.body.formula.name)).to.deep.equal(['first', 'later']);
    expect(await box.keep.waiting()).to.deep.equal([]);
  });

  it('a refusal is set aside in words and holds up nothing behind it, nor beside it in a chunk', async () => {
    const box = outbox();
    server.answers = ({ body }) =>
      JSON.stringify(body).includes('"bad"') ? [400, { detail: 'not so' }] : [200, {}];
    for (const id of ['a', 'bad', 'c']) await box.keep.put(eventEntry('b', tick(id)));
    await box.keep.put(settled({}, { scaleStep: 1 }, 's'));
    await box.flush();
    expect(await box.keep.waiting()).to.deep.equal([]);
    expect(box.standing.aside.map((a) => [(a.entry.body as BakeEvent).id, a.why])).to.deep.equal([
      ['bad', 'not so'],
    ]);
    const delivered = server.sent
      .filter((s) => !JSON.stringify(s.body).includes('"bad"'))
      .map((s) => s.path);
    expect(delivered.at(-1)).to.equal('/api/v1/household');
    // Sent again after all, it goes, and stands aside no more.
    server.answers = () => [200, {}];
    await box.again(box.standing.aside[0]!);
    await box.flush();
    expect(box.standing.aside).to.deep.equal([]);
    expect(server.sent.at(-1)!.body.events[0].id).to.equal('bad');
  });

  it('a stale draft is told with what stands there, and neither waits nor is set aside', async () => {
    const box = outbox();
    const told: Outcome[] = [];
    box.subscribe(({ outcome }) => outcome && told.push(outcome));
    server.answers = () => [409, { detail: 'stale', current: { version: 9 } }];
    await box.hold(draftEntry({ id: 'f', version: 1, draft: 's', formula: loaf('mine') }));
    const { empty } = await box.settle(formulaLane('f'));
    expect(empty).to.equal(true);
    expect(told.map((o) => o.result.kind)).to.deep.equal(['stale']);
    expect(box.standing.aside).to.deep.equal([]);
  });

  for (const [what, answer] of [
    ['a server that cannot be reached', undefined],
    ['a disk that is full (507)', [507, { detail: 'The disk is full' }]],
    ['data that are locked (503)', [503, { detail: 'held elsewhere' }]],
    ['too many at once (429)', [429, {}]],
    ['a device that is not let in any more (401)', [401, {}]],
  ] as const) {
    it(`${what}: everything stays, in order, and goes out later`, async () => {
      const box = outbox();
      server.answers = () => answer;
      for (const id of ['a', 'b']) await box.keep.put(eventEntry('b', tick(id)));
      await box.flush();
      expect(box.standing).to.include({
        away: answer?.[0] !== 401,
        unpaired: answer?.[0] === 401 ? 'closed' : false,
      });
      expect(box.standing.waiting).to.have.length(2);
      expect(box.standing.aside).to.deep.equal([]);
      server.sent.length = 0;
      server.answers = () => [200, {}];
      await box.flush();
      expect(server.sent[0]!.body.events.map((e: BakeEvent) => e.id)).to.deep.equal(['a', 'b']);
      expect(box.standing).to.include({ away: false, unpaired: false });
    });
  }

  it('of five tabs one sends at a time, and what one adds another may send', async () => {
    let now = 0;
    let most = 0;
    server.answers = () => [200, {}];
    const slow = globalThis.fetch;
    globalThis.fetch = (async (...given: Parameters<typeof fetch>) => {
      now += 1;
      most = Math.max(most, now);
      await new Promise((done) => setTimeout(done, 5));
      now -= 1;
      return slow(...given);
    }) as typeof fetch;
    const tabs = Array.from({ length: 5 }, () => outbox());
    await Promise.all(
      tabs.map(async (tab, t) => {
        for (let i = 0; i < 20; i += 1) await tab.add(eventEntry(`b${t}`, tick(`e${t}-${i}`)));
      }),
    );
    while ((await tabs[0]!.keep.waiting()).length > 0) {
      await Promise.all(tabs.map((t) => t.flush()));
    }
    expect(most).to.equal(1);
    const ids = server.sent.flatMap((s) => s.body.events.map((e: BakeEvent) => e.id) as string[]);
    expect(new Set(ids).size).to.equal(100);
    expect(ids).to.have.length(100);
  });

  it('a sender that went away is followed by another, whatever the clock says', async () => {
    const keep = new Keep(name);
    const lease = 12_000;
    const noon = Date.parse('2026-11-25T12:00:00Z');
    expect(await keep.lease('one', lease, noon)).to.equal(true);
    expect(await keep.lease('two', lease, noon + lease - 1)).to.equal(false);
    expect(await keep.lease('two', lease, noon + lease)).to.equal(true);
    // The clock is set back a year: a lease that would end next year holds nobody up.
    expect(await keep.lease('three', lease, noon - 365 * 86_400_000)).to.equal(true);
    await keep.close();
  });

  it('a page that goes in the middle of a sending leaves its turn to the next at once', async () => {
    let answer = () => {};
    const fake = globalThis.fetch;
    globalThis.fetch = (async (...given: Parameters<typeof fetch>) => {
      await new Promise<void>((done) => (answer = done));
      return fake(...given);
    }) as typeof fetch;
    const going = outbox();
    const next = new Keep(name);
    await going.keep.put(eventEntry('b', tick('a')));
    const sending = going.flush();
    await new Promise((done) => setTimeout(done, 50));
    expect(await next.lease('next', 7000)).to.equal(false);
    going.leave();
    await new Promise((done) => setTimeout(done, 20));
    expect(await next.lease('next', 7000)).to.equal(true);
    answer();
    await sending;
    await next.close();
  });

  it('what was asked is answered to whoever asked: taken, refused, or not heard', async () => {
    const box = outbox();
    expect((await box.ask(settled({}, { scaleStep: 2 }, 'a')))?.kind).to.equal('delivered');
    server.answers = () => [422, { detail: 'must be from 0 to 20' }];
    const refused = await box.ask(settled({}, { scaleStep: 3 }, 'b'));
    expect(refused).to.include({ kind: 'refused', why: 'must be from 0 to 20' });
    expect(box.standing.aside).to.deep.equal([]);
    server.answers = () => undefined;
    expect(await box.ask(settled({}, { scaleStep: 4 }, 'c'))).to.equal(undefined);
    expect(box.standing.waiting).to.have.length(1);
  });

  it('changes of one thing that waited go as one', async () => {
    const box = outbox();
    await box.keep.put(settled({ cup: 'metric' }, { cup: 'us' }, 'a'));
    await box.keep.put(settled({ cup: 'us', yeast: 'fresh' }, { cup: 'jp' }, 'b'));
    await box.flush();
    expect(server.sent.map((s) => [s.method, s.body])).to.deep.equal([
      ['PATCH', { was: { cup: 'metric', yeast: 'fresh' }, now: { cup: 'jp' } }],
    ]);
  });

  it('what is so from today does not go with what was always so', async () => {
    const box = outbox();
    const says = (moisture: number, tap: string, always?: true) =>
      box.keep.put(
        changeEntry(
          'bag',
          { id: 'x', change: { was: {}, now: { moisture } }, ...(always && { always }) },
          tap,
        ),
      );
    await says(11, 'a');
    await says(10, 'b', true);
    await says(9, 'c', true);
    await box.flush();
    expect(server.sent.map((s) => [s.path, s.body.now.moisture])).to.deep.equal([
      ['/api/v1/bags/x', 11],
      ['/api/v1/bags/x?since=always', 9],
    ]);
  });

  it('changes that were sent and not heard of go again as they went, before what came later', async () => {
    const box = outbox();
    const says = (was: number, now: number, tap: string) =>
      box.keep.put(
        changeEntry('bag', { id: 'x', change: { was: { price: was }, now: { price: now } } }, tap),
      );
    server.forgets = true;
    await says(1, 2, 'a');
    await says(2, 3, 'b');
    await box.flush();
    server.forgets = false;
    await says(3, 4, 'c');
    // Another page: it knows no more than what is kept.
    const next = outbox();
    await next.flush();
    await next.flush();
    expect(server.sent.map((s) => s.body)).to.deep.equal([
      { was: { price: 1 }, now: { price: 3 } },
      { was: { price: 1 }, now: { price: 3 } },
      { was: { price: 3 }, now: { price: 4 } },
    ]);
    expect(await next.keep.waiting()).to.deep.equal([]);
  });

  it('nonsense in the storage is set aside, and what makes sense goes', async () => {
    const keep = new Keep(name);
    await keep.put(eventEntry('b', tick('good')));
    await keep.close();
    const db = await openDB(name, 1);
    for (const [key, value] of [
      ['x', { key: 'x', lane: 5 }],
      ['y', { key: 'y', seq: 'first', body: [] }],
    ] as const) {
      await db.put('waiting', { ...value, key });
    }
    db.close();
    const box = outbox();
    await box.flush();
    expect(server.sent.flatMap((s) => s.body.events as BakeEvent[]).map((e) => e.id)).to.deep.equal(
      ['good'],
    );
    expect(box.standing.aside).to.have.length(2);
    expect(box.standing.aside[0]!.why).to.contain('cannot be read');
    expect([undefined, null, 'text', {}, { key: 'a' }].map(isEntry)).to.not.include(true);
  });

  it('storage that is refused or full is said, and the page still sends', async () => {
    const said: Kept[] = [];
    await withoutStorage(async () => {
      const box = new Outbox({ keep: new Keep('none', (s) => said.push(s)) });
      open.push(box);
      await box.keep.put(eventEntry('b', tick('a')));
      await box.keep.put(eventEntry('b', tick('b')));
      await box.flush();
      expect(said).to.deep.equal(['memory']);
      expect(server.sent[0]!.body.events).to.have.length(2);
      await box.keep.keepText('note', 'written');
      expect(await box.keep.readText('note')).to.equal('written');
    });
    const full = new Keep(name, (s) => said.push(s));
    await withFullStorage(async () => {
      await full.put(eventEntry('b', tick('c')));
      expect(said).to.deep.equal(['memory', 'full']);
      expect((await full.waiting()).map((e) => e.key)).to.deep.equal(['event/b/c']);
    });
    await full.close();
  });

  it('texts that are being written are there for the next page', async () => {
    const one = new Keep(name);
    await one.keepText('pasted', { text: '500 g flour', style: 'pan' });
    await one.close();
    const two = new Keep(name);
    expect(await two.readText('pasted')).to.deep.equal({ text: '500 g flour', style: 'pan' });
    await two.dropText('pasted');
    expect(await two.readText('pasted')).to.equal(undefined);
    await two.close();
  });

  it('what the first version of the program left is taken over; what is broken stays', () => {
    const kept = new Map([
      ['tender-crumb:draft:f', JSON.stringify({ version: 4, formula: loaf('left') })],
      ['tender-crumb:bake:b', JSON.stringify([tick('e1'), tick('e2')])],
      ['tender-crumb:draft:g', '{broken'],
      ['somebody:else', '1'],
    ]);
    const storage = Object.assign(Object.fromEntries(kept), {
      getItem: (key: string) => kept.get(key) ?? null,
    }) as unknown as Storage;
    const found = oldKept(storage);
    expect(found.map((f) => f.name)).to.deep.equal(['tender-crumb:draft:f', 'tender-crumb:bake:b']);
    expect(found[0]!.entries[0]).to.deep.include({ lane: 'formula/f', kind: 'draft' });
    expect(found[0]!.entries[0]!.body).to.include({ id: 'f', version: 4 });
    expect(found[1]!.entries.map((e) => e.key)).to.deep.equal(['event/b/e1', 'event/b/e2']);
  });

  it('waits twice as long after each failure, up to half a minute', () => {
    expect([1, 2, 3, 5, 6, 60].map((n) => backoff(n, 0.5))).to.deep.equal([
      1000, 2000, 4000, 16_000, 30_000, 30_000,
    ]);
    expect([backoff(1, 0), backoff(1, 1)].map(Math.round)).to.deep.equal([800, 1200]);
  });

  it('a change names what differs, and what was emptied; one’s own word is shown at once', () => {
    const household = { ...defaultHousehold, yeastKept: 'instant-yeast', room: { celsius: 20 } };
    expect(changeOf(household, { ...household, yeastKept: undefined })).to.deep.equal({
      was: { yeastKept: 'instant-yeast' },
      now: {},
    });
    expect(changeOf(household, { ...household, room: { celsius: 20 } })).to.equal(undefined);
    const lane = settingsLane;
    const change = changeOf(household, { ...household, room: { humidity: 0.5 } })!;
    const waiting = [
      { kind: 'house', lane, body: { id: theHouse, change } },
      // As an earlier version kept it.
      { kind: 'settings', lane, body: { scaleStep: 5 } },
    ];
    expect(withSettled(household, waiting)).to.deep.include({
      room: { humidity: 0.5 },
      scaleStep: 5,
      yeastKept: 'instant-yeast',
    });
    const bag = {
      kind: 'bag',
      lane: 'bag/b',
      body: { id: 'b', change: { was: {}, now: { name: 'Sack', ingredient: 'bread-flour' } } },
    };
    expect(withPantry(household, [bag]).bags).to.deep.equal([
      { id: 'b', name: 'Sack', ingredient: 'bread-flour' },
    ]);
  });

  it('rows that wait are shown, those that are taken away are not; a plan as it was changed here', () => {
    const row = { name: 'Oven', dueAt: '2026-05-02T08:00:00Z' };
    const waiting = [rowEntry('timer', { id: 'b', row }), rowEntry('timer-off', { id: 'a' })];
    expect(withRows([{ id: 'a', name: 'Dough' }], waiting, 'timer')).to.deep.equal([
      { id: 'b', ...row },
    ]);
    const plan = { id: 'p', facts: { mix: { start: 'x' } } };
    const change = changeOf({ facts: plan.facts }, { facts: { mix: { start: 'x', end: 'y' } } })!;
    const added = { was: {}, now: { formulaId: 'f', ripe: true } };
    expect(
      withPlans(
        [plan, { id: 'q', facts: {} }],
        [
          changeEntry('plan', { id: 'p', change }, 't'),
          changeEntry('plan', { id: 'r', change: added }, 'u'),
          rowEntry('plan-off', { id: 'q' }),
        ],
      ),
    ).to.deep.equal([
      { id: 'p', facts: { mix: { start: 'x', end: 'y' } } },
      { id: 'r', formulaId: 'f', ripe: true },
    ]);
  });

  it('a bake that was begun here is a bake on the plan, with what was tapped in it; the plan that it is of is begun', () => {
    const at = '2026-05-01T08:00:00.000Z';
    const planned = { id: 'p', formulaId: 'f', version: 2, readyBy: at };
    const begun = (id: string, more: object = {}) =>
      beginEntry({ id, formulaId: 'f', formulaVersion: 3, startedAt: at, ...more });
    const waiting = [
      begun('one', { planned: 'p', method: 'machine', events: [tick('first')] }),
      eventEntry('one', tick('second')),
      begun('two'),
      beginEntry({ id: 'none', name: 'Bread of the neighbours', startedAt: at }),
    ];
    const [two, one] = withBegun([planned], waiting);
    expect(one).to.deep.equal({
      ...planned,
      bakeId: 'one',
      begun: {
        startedAt: at,
        method: 'machine',
        events: [tick('first'), tick('second')],
        formulaVersion: 3,
      },
    });
    expect(two).to.deep.include({ id: 'two', formulaId: 'f', version: 0, bakeId: 'two' });
    expect(withBegun([planned], waiting)).to.have.length(2);
    // The server has it by now: what was tapped since is put to it, and it stands there once.
    expect(withBegun([two!, one!], waiting).map((p) => p.id)).to.deep.equal(['two', 'p']);
    expect(withBegun([planned], [])).to.deep.equal([planned]);
  });

  it('what was said otherwise meanwhile is set aside with both, and said again where it is meant', async () => {
    const box = outbox();
    const clashes = [{ path: ['protein'], was: 12, mine: 11, theirs: 13 }];
    server.answers = () => [200, { id: 'b', clashes }];
    const change = { was: { protein: 12 }, now: { protein: 11 } };
    await box.ask(changeEntry('bag', { id: 'b', change }, 't'));
    expect(box.standing.waiting).to.deep.equal([]);
    const [aside] = box.standing.aside;
    expect(aside!.clashes).to.deep.equal(clashes);
    server.answers = () => [200, { id: 'b', clashes: [] }];
    await box.again(aside!);
    await box.flush();
    expect(server.sent.at(-1)).to.deep.include({
      method: 'PATCH',
      path: '/api/v1/bags/b',
      body: { was: { protein: 13 }, now: { protein: 11 } },
    });
    expect(box.standing.aside).to.deep.equal([]);
  });

  it('a bake’s beginning stands in its lane and is no event; an event on its way is at the time of the house', () => {
    const begun = { id: 'b', name: 'Flat bread', startedAt: '2026-05-01T08:00:00.000Z' };
    const waiting = [
      beginEntry(begun),
      eventEntry('b', { ...tick('e'), clock: -60_000 }),
      eventEntry('other', tick('o')),
    ];
    const [event, ...more] = eventsOnTheirWay(waiting, 'b');
    expect(more).to.deep.equal([]);
    expect(event).to.deep.equal({ ...tick('e'), at: '2026-05-01T07:59:00.000Z' });
  });

  it('pages that were kept go when there are many more than so many, the oldest first; texts stay', async () => {
    const keep = new Keep(name);
    await keep.keepText('bag/b1', { name: 'Blue' });
    for (let n = 0; n < 13; n += 1) {
      await keep.keepText(`shown/bake/${n}`, { n });
      await new Promise((done) => setTimeout(done, 2));
      await keep.thinTexts('shown/', 10);
    }
    expect(await keep.readText('shown/bake/0')).to.equal(undefined);
    expect(await keep.readText('shown/bake/2')).to.equal(undefined);
    expect(await keep.readText('shown/bake/3')).to.deep.equal({ n: 3 });
    expect(await keep.readText('shown/bake/12')).to.deep.equal({ n: 12 });
    expect(await keep.readText('bag/b1')).to.deep.equal({ name: 'Blue' });
    await keep.dropTexts('shown/');
    expect(await keep.readText('shown/bake/12')).to.equal(undefined);
    expect(await keep.readText('bag/b1')).to.deep.equal({ name: 'Blue' });
    await keep.close();
  });

  it('what is not there any more needs not be taken away', async () => {
    const box = outbox();
    server.answers = () => [404, { detail: 'no such feeding' }];
    const result = await box.ask(rowEntry('feeding-off', { id: 'f', bag: 'b' }));
    expect(result?.kind).to.equal('delivered');
    expect(box.standing.aside).to.deep.equal([]);
  });
});
