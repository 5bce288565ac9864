import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { nanoid } from 'nanoid';
import { isEntry, type Entry, type NewEntry, type SetAside } from './entry.ts';
import type { Clash } from '../wire/merge.ts';
import { currentIso, currentMs } from '../clock.ts';

interface Shape extends DBSchema {
  waiting: { key: string; value: Entry; indexes: { seq: number } };
  aside: { key: string; value: SetAside };
  texts: { key: string; value: { key: string; value: unknown; at: string } };
  lease: { key: string; value: { key: string; owner: string; until: number } };
}

/** Whether the browser keeps what it is given: `memory` where it keeps nothing, `full` where no more. */
export type Storage = 'kept' | 'memory' | 'full';

/** Some browsers refuse by throwing at once, some by an answer: both come out as the latter. */
const open = async (name: string): Promise<IDBPDatabase<Shape>> =>
  openDB<Shape>(name, 1, {
    upgrade(db) {
      db.createObjectStore('waiting', { keyPath: 'key' }).createIndex('seq', 'seq');
      db.createObjectStore('aside', { keyPath: 'id' });
      db.createObjectStore('texts', { keyPath: 'key' });
      db.createObjectStore('lease', { keyPath: 'key' });
    },
  });

const byArrival = (a: Entry, b: Entry): number => a.seq - b.seq;

/**
 * What waits in this browser, for all its tabs: in IndexedDB, or, where that is refused or full, in
 * the memory of this page, which then says so. Nothing here throws for a storage that fails.
 */
export class Keep {
  readonly #open: Promise<IDBPDatabase<Shape> | undefined>;
  /** The same once it is open, for a page that goes and can wait for nothing. */
  #opened: IDBPDatabase<Shape> | undefined;
  readonly #memory = new Map<string, Entry>();
  readonly #asideInMemory = new Map<string, SetAside>();
  readonly #textsInMemory = new Map<string, unknown>();
  readonly #troubled: (storage: Storage) => void;
  #seq = 0;

  constructor(name = 'tender-crumb', troubled: (storage: Storage) => void = () => {}) {
    this.#troubled = troubled;
    this.#open = open(name).then(
      (db) => (this.#opened = db),
      () => {
        troubled('memory');
        return undefined;
      },
    );
  }

  /** Keeps something; what stood under its key gives way. */
  async put(given: NewEntry): Promise<Entry> {
    const made = { ...given, rev: nanoid(), at: currentIso() };
    try {
      const db = await this.#open;
      if (db) {
        const tx = db.transaction('waiting', 'readwrite');
        const last = await tx.store.index('seq').openKeyCursor(null, 'prev');
        const entry = { ...made, seq: Math.max(Number(last?.key ?? 0), this.#seq) + 1 };
        await tx.store.put(entry);
        // At once, and not when the page gets round to it: it may be closed by then.
        tx.commit();
        await tx.done;
        this.#seq = entry.seq;
        this.#memory.delete(entry.key);
        return entry;
      }
    } catch {
      this.#troubled('full');
    }
    this.#seq += 1;
    const entry = { ...made, seq: this.#seq };
    this.#memory.set(entry.key, entry);
    return entry;
  }

  /** All that waits, in order of arrival. What is no entry of ours is set aside. */
  async waiting(): Promise<Entry[]> {
    const memory = [...this.#memory.values()];
    const db = await this.#open;
    const stored: unknown[] = (await db?.getAll('waiting').catch(() => [])) ?? [];
    const strange = stored.filter((value) => !isEntry(value));
    for (const value of strange) await this.#setStrangeAside(value);
    return [...stored.filter(isEntry).filter((e) => !this.#memory.has(e.key)), ...memory].sort(
      byArrival,
    );
  }

  async #setStrangeAside(value: unknown): Promise<void> {
    const key = String((value as { key?: unknown }).key ?? '');
    const at = currentIso();
    const entry = { key, lane: '', kind: '', body: value, seq: 0, rev: '', at };
    await this.setAside(entry, 'What this browser kept cannot be read any more.');
    const db = await this.#open;
    await db?.delete('waiting', key).catch(() => undefined);
  }

  /** Writes down that these go in one request. */
  async tries(entries: readonly Entry[]): Promise<void> {
    if (entries.every((e) => e.tried)) return;
    const tried = nanoid();
    const marked = (there: Entry | undefined, { rev }: Entry) =>
      there?.rev === rev ? { ...there, tried } : undefined;
    for (const entry of entries) {
      const inMemory = marked(this.#memory.get(entry.key), entry);
      if (inMemory) this.#memory.set(entry.key, inMemory);
    }
    const db = await this.#open;
    try {
      const tx = db?.transaction('waiting', 'readwrite');
      for (const entry of entries) {
        const stored = marked(await tx?.store.get(entry.key), entry);
        if (stored) void tx?.store.put(stored);
      }
      await tx?.done;
    } catch {
      // What then is told of itself is shown, and nothing of it is lost.
    }
  }

  /** Crosses out what was delivered, unless something newer stands in its place by now. */
  async remove(entries: readonly Entry[]): Promise<void> {
    for (const { key, rev } of entries) {
      if (this.#memory.get(key)?.rev === rev) this.#memory.delete(key);
    }
    const db = await this.#open;
    if (!db) return;
    try {
      const tx = db.transaction('waiting', 'readwrite');
      for (const { key, rev } of entries) {
        if ((await tx.store.get(key))?.rev === rev) await tx.store.delete(key);
      }
      await tx.done;
    } catch {
      // It is sent once more later on, and sent twice is once.
    }
  }

  /** Puts out of the way what the server would not take, or what was said otherwise meanwhile. */
  async setAside(entry: Entry, why: string, clashes?: readonly Clash[]): Promise<void> {
    const aside: SetAside = {
      id: nanoid(),
      entry,
      why,
      ...(clashes ? { clashes } : {}),
      at: currentIso(),
    };
    try {
      const db = await this.#open;
      if (!db) throw new Error('no storage');
      await db.put('aside', aside);
    } catch {
      this.#asideInMemory.set(aside.id, aside);
    }
    await this.remove([entry]);
  }

  async listAside(): Promise<SetAside[]> {
    const db = await this.#open;
    const stored = (await db?.getAll('aside').catch(() => [])) ?? [];
    return [...stored, ...this.#asideInMemory.values()].sort((a, b) => (a.at < b.at ? -1 : 1));
  }

  async dropAside(id: string): Promise<void> {
    this.#asideInMemory.delete(id);
    const db = await this.#open;
    await db?.delete('aside', id).catch(() => undefined);
  }

  /** Lets go of everything. */
  async clear(): Promise<void> {
    this.#memory.clear();
    this.#asideInMemory.clear();
    this.#textsInMemory.clear();
    const db = await this.#open;
    for (const store of ['waiting', 'aside', 'texts'] as const)
      await db?.clear(store).catch(() => undefined);
  }

  /** Keeps a text that is being written, under a name of its own. */
  async keepText(key: string, value: unknown): Promise<void> {
    this.#textsInMemory.set(key, value);
    try {
      const db = await this.#open;
      if (!db) return;
      const tx = db.transaction('texts', 'readwrite');
      void tx.store.put({ key, value, at: currentIso() });
      tx.commit();
      await tx.done;
    } catch {
      this.#troubled('full');
    }
  }

  /** Lets go of texts whose names begin so. */
  async dropTexts(begin: string): Promise<void> {
    for (const key of [...this.#textsInMemory.keys()])
      if (key.startsWith(begin)) this.#textsInMemory.delete(key);
    const db = await this.#open;
    const keys = (await db?.getAllKeys('texts').catch(() => [])) ?? [];
    for (const key of keys) if (key.startsWith(begin)) await this.dropText(key);
  }

  /** Lets go of the oldest texts whose names begin so, once there are many more than so many. */
  async thinTexts(begin: string, most: number): Promise<void> {
    const db = await this.#open;
    const keys = (await db?.getAllKeys('texts').catch(() => [])) ?? [];
    const those = keys.filter((key) => key.startsWith(begin));
    // They are large: their days are looked at now and then, not at each one that comes.
    if (!db || those.length <= most * 1.2) return;
    const dated = await Promise.all(
      those.map(async (key) => [(await db.get('texts', key))?.at ?? '', key] as const),
    );
    const old = dated.sort(([a], [b]) => (a < b ? 1 : -1)).slice(most);
    for (const [, key] of old) await this.dropText(key);
  }

  async readText(key: string): Promise<unknown> {
    if (this.#textsInMemory.has(key)) return this.#textsInMemory.get(key);
    const db = await this.#open;
    return (await db?.get('texts', key).catch(() => undefined))?.value;
  }

  async dropText(key: string): Promise<void> {
    this.#textsInMemory.delete(key);
    const db = await this.#open;
    await db?.delete('texts', key).catch(() => undefined);
  }

  /**
   * Makes one tab the sender for a while. `navigator.locks` is not there on plain http; a record that
   * is read and written in one transaction is.
   *
   * @param forMs how long; a longer one that stands there was written under another clock
   */
  async lease(owner: string, forMs: number, now = currentMs()): Promise<boolean> {
    const db = await this.#open;
    if (!db) return true;
    try {
      const tx = db.transaction('lease', 'readwrite');
      const held = await tx.store.get('sender');
      const taken = held && held.owner !== owner && held.until > now && held.until <= now + forMs;
      if (!taken) await tx.store.put({ key: 'sender', owner, until: now + forMs });
      await tx.done;
      return !taken;
    } catch {
      // Two senders at once cost a request more and lose nothing.
      return true;
    }
  }

  /**
   * Lets another tab send. Begun and committed before this returns: a page that goes runs nothing
   * after it. Taken from another tab by mistake, it costs a request more and loses nothing.
   */
  async giveBack(): Promise<void> {
    try {
      const tx = this.#opened?.transaction('lease', 'readwrite');
      void tx?.store.delete('sender');
      tx?.commit();
      await tx?.done;
    } catch {
      // It runs out by itself.
    }
  }

  async close(): Promise<void> {
    (await this.#open)?.close();
  }
}
