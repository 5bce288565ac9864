import { eventsThatCount, onHouseClock, type BakeEvent } from '@tender-crumb/core/bake';
import { nanoid } from 'nanoid';
import { outbox } from '../sync/here.ts';
import { bakeLane, eventEntry } from '../sync/kinds.ts';
import { eventsOnTheirWay } from '../sync/overlay.ts';
import { sync } from '../sync/sync.svelte.ts';
import { currentIso, tapped } from '../clock.ts';

type EventOf<Kind extends BakeEvent['kind']> = Extract<BakeEvent, { kind: Kind }>;

/** Events of one tap have an id that begins alike: so they are taken back together. */
const tapId = 21;

/** What is said of a bake on this page: kept here first, sent, taken back, and heard from other devices. */
export class RunEvents {
  readonly id: string;
  events = $state.raw<readonly BakeEvent[]>([]);
  /** What this browser has said and the server has not acknowledged; what is being kept just now is among it. */
  readonly waiting = $derived.by(
    () =>
      sync.standing.keeping +
      sync.standing.waiting.filter((e) => e.lane === bakeLane(this.id)).length,
  );
  /** It cannot go out just now; what is so, stands above the page. */
  readonly stuck = $derived.by(() => this.waiting > 0 && sync.isStuck);

  constructor(id: string, events: readonly BakeEvent[]) {
    this.id = id;
    this.events = events;
  }

  /** The last that was tapped and counts. */
  readonly lastThatCounts = $derived.by(() =>
    eventsThatCount(this.events).findLast((e) => e.kind !== 'retracted' && e.kind !== 'read'),
  );

  /** Follows what becomes of what was said; brings back what an earlier page could not send. */
  follow(ondelivered: () => void): () => void {
    const box = outbox();
    void box.waitingIn(bakeLane(this.id)).then((kept) => {
      this.hear(eventsOnTheirWay(kept, this.id));
    });
    return box.subscribe(({ outcome }) => {
      if (outcome?.entry.lane === bakeLane(this.id) && outcome.result.kind === 'delivered') {
        ondelivered();
      }
    });
  }

  /** Events of other devices, among ours. */
  hear(events: readonly BakeEvent[]): void {
    const known = new Set(this.events.map((e) => e.id));
    const fresh = events.filter((e) => !known.has(e.id));
    if (fresh.length > 0) this.events = [...this.events, ...fresh];
  }

  say<Kind extends BakeEvent['kind']>(kind: Kind, data: EventOf<Kind>['data']): void {
    const id = this.#tap === undefined ? nanoid(tapId) : `${this.#tap}_${(this.#said += 1)}`;
    const event = { id, ...this.#now(), kind, data } as BakeEvent;
    this.events = [...this.events, onHouseClock(event)];
    void outbox().add(eventEntry(this.id, event));
  }

  #tap: string | undefined;
  #said = 0;
  /** Everything that one tap says. */
  protected atOnce(say: () => void): void {
    [this.#tap, this.#said] = [nanoid(tapId), 0];
    say();
    this.#tap = undefined;
  }

  /** Takes the last tap back, with all that it said at once. */
  takeBackLast(): void {
    const last = this.lastThatCounts;
    if (!last) return;
    const tap = last.id.slice(0, tapId);
    const together = eventsThatCount(this.events).filter(
      (e) => e.kind !== 'retracted' && e.id.slice(0, tapId) === tap,
    );
    for (const event of together) this.retract(event.id);
  }

  retract(event: string): void {
    this.say('retracted', { event });
  }

  /** Takes the last of a kind back: a finish, or that it was given up. */
  takeBack(kind: 'finished' | 'abandoned'): void {
    for (const event of this.events.filter((e) => e.kind === kind)) this.retract(event.id);
  }

  /** Later than every event so far, whatever this tablet's clock says of the other's. */
  #now(): Pick<BakeEvent, 'at' | 'clock'> {
    const last = this.events.reduce((latest, e) => (e.at > latest ? e.at : latest), '');
    return currentIso() > last ? tapped() : { at: new Date(Date.parse(last) + 1).toISOString() };
  }
}
