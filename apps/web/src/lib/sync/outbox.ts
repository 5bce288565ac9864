import { nanoid } from 'nanoid';
import { api, ApiError } from './api.ts';
import { backoff } from './backoff.ts';
import type { Entry, NewEntry, SetAside } from './entry.ts';
import { Keep, type Storage } from './keep.ts';
import { insistingEntry, kindOf } from './kinds.ts';
import type { Clash } from '../wire/merge.ts';

/** What became of an entry. */
export interface Outcome {
  readonly entry: Entry;
  readonly result:
    | { readonly kind: 'delivered'; readonly answer: unknown }
    /** The server had something newer; it has kept this one too. */
    | { readonly kind: 'stale'; readonly body: Record<string, unknown> }
    | { readonly kind: 'refused'; readonly why: string; readonly body: Record<string, unknown> };
}

/** Where things stand, for the page. */
export interface Standing {
  readonly waiting: readonly Entry[];
  /** Given to this page and not kept yet: for a moment it stands nowhere else. */
  readonly keeping: number;
  readonly aside: readonly SetAside[];
  /** The server does not answer, or says that it cannot just now. */
  readonly away: boolean;
  /** In its own words, where it answers. */
  readonly why: string;
  /** The server does not know this device: it was forgotten, or its cookie is of no use any more. */
  readonly unpaired: false | 'forgotten' | 'closed';
  readonly storage: Storage;
}

/** How the outbox does what a browser does for it; a test does it otherwise. */
export interface OutboxMeans {
  readonly keep?: Keep;
  readonly channel?: Pick<BroadcastChannel, 'postMessage' | 'close'> & {
    onmessage: ((event: MessageEvent) => void) | null;
  };
  readonly pause?: (failures: number) => number;
  /** What is to be kept before anything is looked at. */
  readonly first?: (keep: Keep) => Promise<void>;
  /** Whether the page is going out of sight: what it sends then must outlive it. */
  readonly leaving?: () => boolean;
}

/** Browsers let a page that goes send no more than this after it, characters. */
const mostAtLeaving = 50_000;

/** A tab is the sender for so long without a sign of life, ms. Longer than a request may take. */
const leaseMs = 7000;
const requestMs = 6000;
/** A photo takes longer on a kitchen's network. Another tab may send beside it meanwhile: twice is once. */
const largeMs = 60_000;
/** Whoever asks hears within this where the server is there, ms: a tab that died is outwaited. */
const heardWithinMs = leaseMs + 2000;
/** While another tab sends, ms. */
const standBackMs = 700;

/** Nothing waits and nothing is wrong: so it is until the browser's storage was looked at. */
export const nothingWaits: Standing = {
  waiting: [],
  keeping: 0,
  aside: [],
  away: false,
  why: '',
  unpaired: false,
  storage: 'kept',
};

/** Why something is shown that was taken but for a part. */
const saidOtherwise = 'Someone changed this first; theirs was kept.';

/** What one tab tells the others. */
interface Told {
  readonly outcomes: readonly Outcome[];
}

type Listener = (what: { readonly outcome?: Outcome }) => void;

/**
 * All that this browser has to send. What is added is kept before it is sent and crossed out when it
 * is acknowledged; one tab sends at a time, lane by lane in order. A refusal is set aside and does not
 * hold up what follows; a server that is away is asked again, less and less often.
 */
export class Outbox {
  readonly tab = nanoid();
  readonly keep: Keep;
  readonly #channel: OutboxMeans['channel'];
  readonly #pause: (failures: number) => number;
  readonly #leaving: () => boolean;
  readonly #ready: Promise<void>;
  readonly #listeners = new Set<Listener>();
  /** Somebody looks at these: their refusal is said there and not set aside. */
  readonly #attended = new Set<string>();
  #storage: Storage = 'kept';
  #standing = nothingWaits;
  #sending: Promise<void> | undefined;
  #looking: Promise<void> | undefined;
  #next: Promise<void> | undefined;
  /** What was kept since the last look began: it may not have seen it. */
  #meanwhile: Entry[] = [];
  /** This tab is the sender just now, or about to be. */
  #sends = false;
  #failures = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #timerAt = Infinity;

  constructor({
    keep,
    channel,
    pause = backoff,
    first = async () => {},
    leaving = () => false,
  }: OutboxMeans = {}) {
    this.keep =
      keep ??
      new Keep('tender-crumb', (storage) => {
        this.#storage = storage;
        void this.#look();
      });
    this.#channel = channel;
    this.#pause = pause;
    this.#leaving = leaving;
    this.#ready = first(this.keep);
    if (channel) {
      channel.onmessage = ({ data }: MessageEvent<Told>) => void this.#hear(data);
    }
  }

  get standing(): Standing {
    return this.#standing;
  }

  /** Tells of every change; gives an end to it. */
  subscribe(listener: Listener): () => void {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  }

  /** Looks what an earlier page left, and sends it. */
  async start(): Promise<void> {
    await this.#ready;
    await this.#look();
    if (this.#standing.waiting.length > 0) this.soon(0);
  }

  /** Keeps something, and leaves it to whoever gave it when it is to go. */
  async hold(entry: NewEntry): Promise<Entry> {
    return this.#kept(entry);
  }

  async #kept(entry: NewEntry): Promise<Entry> {
    this.#becomes({ keeping: this.#standing.keeping + 1 });
    try {
      const kept = await this.keep.put(entry);
      // Its place is known: with ten thousand that wait, looking anew at each tap would be felt.
      this.#meanwhile.push(kept);
      this.#becomes({ waiting: behind(this.#standing.waiting, [kept]), storage: this.#storage });
      return kept;
    } finally {
      this.#becomes({ keeping: this.#standing.keeping - 1 });
    }
  }

  /** Keeps something and sends it. */
  async add(entry: NewEntry): Promise<Entry> {
    const kept = await this.hold(entry);
    this.soon(0);
    return kept;
  }

  /**
   * Keeps something, sends it, and waits a while for what becomes of it: longer than a tab that died
   * may still be taken for the sender.
   *
   * @returns undefined where nothing has become of it in that time: it waits, and goes out later
   */
  async ask(entry: NewEntry, forMs = heardWithinMs): Promise<Outcome['result'] | undefined> {
    this.#attended.add(entry.key);
    let tell: (result: Outcome['result'] | undefined) => void = () => {};
    const told = new Promise<Outcome['result'] | undefined>((resolve) => (tell = resolve));
    const end = this.subscribe(({ outcome }) => {
      if (outcome?.entry.key === entry.key) tell(outcome.result);
      else if (this.#standing.away || this.#standing.unpaired) tell(undefined);
    });
    const timer = setTimeout(() => tell(undefined), forMs);
    try {
      await this.#kept(entry);
      void this.flush();
      return await told;
    } finally {
      clearTimeout(timer);
      end();
      this.#attended.delete(entry.key);
    }
  }

  /** What still waits in a lane. */
  async waitingIn(lane: string): Promise<Entry[]> {
    await this.#ready;
    return (await this.keep.waiting()).filter((e) => e.lane === lane);
  }

  /**
   * Waits until a lane is empty.
   *
   * @returns what became of its entries meanwhile, and whether it is empty
   */
  async settle(
    lane: string,
    forMs = heardWithinMs,
  ): Promise<{ empty: boolean; outcomes: Outcome[] }> {
    const outcomes: Outcome[] = [];
    const end = this.subscribe(({ outcome }) => {
      if (outcome?.entry.lane === lane) outcomes.push(outcome);
    });
    try {
      const until = performance.now() + forMs;
      for (;;) {
        if ((await this.waitingIn(lane)).length === 0) return { empty: true, outcomes };
        const left = until - performance.now();
        if (left <= 0) return { empty: false, outcomes };
        await Promise.race([this.flush(), new Promise((r) => setTimeout(r, left))]);
        if (this.#standing.away || this.#standing.unpaired) {
          return { empty: (await this.waitingIn(lane)).length === 0, outcomes };
        }
        await new Promise((r) => setTimeout(r, 20));
      }
    } finally {
      end();
    }
  }

  /** Sends after a while, unless something is to be sent earlier. */
  soon(ms: number): void {
    const at = performance.now() + ms;
    if (at >= this.#timerAt) return;
    clearTimeout(this.#timer);
    this.#timerAt = at;
    this.#timer = setTimeout(() => void this.flush(), ms);
  }

  /** Sends what can be sent now. Several calls at once are one. */
  flush(): Promise<void> {
    clearTimeout(this.#timer);
    this.#timerAt = Infinity;
    return (this.#sending ??= this.#sendAll().finally(() => (this.#sending = undefined)));
  }

  /** Somebody asks for it now: what failed before is no reason to wait long after this try. */
  tryNow(): Promise<void> {
    this.#failures = 0;
    return this.flush();
  }

  /** The page goes: another tab, or the next page, need not wait for this one. */
  leave(): void {
    if (this.#sends) void this.keep.giveBack();
  }

  /** Sends something again that was set aside; of what was said twice, what was said here. */
  async again({ id, entry, clashes }: SetAside): Promise<void> {
    if (!kindOf(entry)) return;
    await this.keep.put(clashes ? insistingEntry(entry, clashes) : entry);
    await this.keep.dropAside(id);
    await this.#look();
    void this.flush();
  }

  /** Everything that this browser keeps, as a text that a file can hold. */
  async asText(): Promise<string> {
    await this.#ready;
    const [waiting, aside] = await Promise.all([this.keep.waiting(), this.keep.listAside()]);
    return JSON.stringify({ program: 'tender-crumb', unsent: waiting, refused: aside }, null, 2);
  }

  /** Clears this browser of everything that it keeps: what was offered, and saved or declined. */
  async clear(): Promise<void> {
    clearTimeout(this.#timer);
    this.#timerAt = Infinity;
    await this.keep.clear();
    await this.#look();
  }

  async throwAway(id: string): Promise<void> {
    await this.keep.dropAside(id);
    await this.#look();
  }

  async close(): Promise<void> {
    clearTimeout(this.#timer);
    this.#channel?.close();
    await this.#sending;
    await this.keep.close();
  }

  async #sendAll(): Promise<void> {
    // Before it is asked for: a page may go between the asking and the answer.
    this.#sends = true;
    if (!(await this.keep.lease(this.tab, leaseMs))) {
      this.#sends = false;
      await this.#look();
      if (this.#standing.waiting.length > 0) this.soon(standBackMs);
      return;
    }
    try {
      let most = Infinity;
      let waiting: readonly Entry[] = [];
      for (;;) {
        if (waiting.length === 0) waiting = (await this.keep.waiting()).filter((e) => kindOf(e));
        const batch = nextBatch(waiting, most);
        if (batch.length === 0) {
          this.#becomes({ away: false, why: '', unpaired: false });
          break;
        }
        if (kindOf(batch[0]!)!.joins) await this.keep.tries(batch);
        const how = await this.#send(batch);
        if (how === 'stop') break;
        const gone = new Set(batch);
        if (how === 'on') waiting = waiting.filter((e) => !gone.has(e));
        most = how === 'smaller' ? Math.max(1, Math.floor(batch.length / 2)) : Infinity;
        if (!(await this.keep.lease(this.tab, leaseMs))) break;
      }
    } finally {
      this.#sends = false;
      await this.keep.giveBack();
      await this.#look();
      // What came after the last look was told that a sending is on its way: it was not on this one.
      if (this.#timerAt === Infinity && nextBatch(this.#standing.waiting, 1).length > 0) {
        this.soon(0);
      }
    }
  }

  async #send(batch: readonly Entry[]): Promise<'on' | 'smaller' | 'stop'> {
    const { method, path, body } = kindOf(batch[0]!)!.ask(batch);
    try {
      const large = body instanceof ArrayBuffer;
      const keepalive = this.#leaving() && !large && JSON.stringify(body).length < mostAtLeaving;
      const signal = AbortSignal.timeout(large ? largeMs : requestMs);
      const answer = await api(method, path, body, { signal, keepalive });
      this.#failures = 0;
      const { clashes = [] } = (answer ?? {}) as { clashes?: readonly Clash[] };
      if (clashes.length > 0) await this.keep.setAside(batch.at(-1)!, saidOtherwise, clashes);
      await this.keep.remove(batch);
      if (clashes.length > 0) await this.#look();
      this.#becomes({ away: false, why: '', unpaired: false });
      this.#tell(batch.map((entry) => ({ entry, result: { kind: 'delivered', answer } })));
      return 'on';
    } catch (fault) {
      return this.#failed(batch, fault);
    }
  }

  async #failed(batch: readonly Entry[], fault: unknown): Promise<'on' | 'smaller' | 'stop'> {
    const status = fault instanceof ApiError ? fault.status : 0;
    if (status === 401) {
      const forgotten = fault instanceof ApiError && fault.body['code'] === 'forgotten';
      this.#becomes({ unpaired: forgotten ? 'forgotten' : 'closed' });
      this.#tryLater();
      return 'stop';
    }
    if (!(fault instanceof ApiError) || status >= 500 || status === 429) {
      this.#becomes({ away: true, why: fault instanceof ApiError ? fault.message : '' });
      this.#tryLater();
      return 'stop';
    }
    if (status === 404 && kindOf(batch[0]!)!.goneIsDone) {
      await this.keep.remove(batch);
      this.#tell(batch.map((entry) => ({ entry, result: { kind: 'delivered', answer: {} } })));
      return 'on';
    }
    // One of many is refused: which one it is shows when they go in smaller parts.
    if (batch.length > 1) return 'smaller';
    const [entry] = batch as [Entry];
    if (status === 409 && 'current' in fault.body) {
      await this.keep.remove([entry]);
      this.#tell([{ entry, result: { kind: 'stale', body: fault.body } }]);
      return 'on';
    }
    if (this.#attended.has(entry.key)) await this.keep.remove([entry]);
    else await this.keep.setAside(entry, inWords(fault));
    await this.#look();
    this.#tell([{ entry, result: { kind: 'refused', why: inWords(fault), body: fault.body } }]);
    return 'on';
  }

  #tryLater(): void {
    this.#failures += 1;
    this.soon(this.#pause(this.#failures));
  }

  #becomes(change: Partial<Standing>): void {
    this.#standing = { ...this.#standing, ...change };
    for (const listener of this.#listeners) listener({});
  }

  /** Several calls at once are one more look: each is answered by one that began after it. */
  #look(): Promise<void> {
    return (this.#next ??= (this.#looking ?? Promise.resolve()).then(() => {
      this.#next = undefined;
      return (this.#looking = this.#lookOnce().finally(() => (this.#looking = undefined)));
    }));
  }

  async #lookOnce(): Promise<void> {
    this.#meanwhile = [];
    const [seen, aside] = await Promise.all([this.keep.waiting(), this.keep.listAside()]);
    const waiting = behind(seen, this.#meanwhile);
    this.#becomes({ waiting, aside, storage: this.#storage });
  }

  #tell(outcomes: readonly Outcome[]): void {
    for (const outcome of outcomes) for (const listener of this.#listeners) listener({ outcome });
    this.#channel?.postMessage({ outcomes: outcomes.map(forOthers) } satisfies Told);
  }

  /** Another tab has sent something. */
  async #hear({ outcomes = [] }: Partial<Told>): Promise<void> {
    await this.#look();
    for (const outcome of outcomes) for (const listener of this.#listeners) listener({ outcome });
  }
}

/** As other tabs hear of it: of what goes out by the hundred, only that it is there, and not the whole of what it is of. */
const forOthers = ({ entry, result }: Outcome): Outcome =>
  result.kind === 'delivered' && kindOf(entry)!.most > 1
    ? { entry, result: { kind: 'delivered', answer: {} } }
    : { entry, result };

/** Why it was refused, without the paths of the API. */
function inWords({ body, message }: ApiError): string {
  const errors = body['errors'] as ReadonlyArray<{ what: string }> | undefined;
  return errors?.length ? errors.map((e) => e.what).join('; ') : message;
}

/** Entries with others behind them; what comes later under a key takes its place. */
function behind(waiting: readonly Entry[], later: readonly Entry[]): readonly Entry[] {
  const newest = new Map(later.map((e) => [e.key, e]));
  return newest.size === 0
    ? waiting
    : [...waiting.filter((e) => !newest.has(e.key)), ...newest.values()];
}

/** The oldest entry, and those behind it in its lane that may go with it. */
function nextBatch(waiting: readonly Entry[], most: number): Entry[] {
  const first = waiting.find((e) => kindOf(e));
  if (!first) return [];
  const lane = waiting.filter((e) => e.lane === first.lane && kindOf(e));
  const kind = kindOf(first)!;
  const end = lane.findIndex(
    (e) =>
      e.kind !== first.kind || e.tried !== first.tried || (kind.joins && !kind.joins(first, e)),
  );
  const alike = end < 0 ? lane : lane.slice(0, end);
  return alike.slice(0, Math.min(most, kind.most));
}
