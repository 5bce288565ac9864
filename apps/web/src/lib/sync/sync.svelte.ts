import { apply } from 'json-merge-patch';
import type { Settings } from '@tender-crumb/core';
import { invalidateAll } from '$app/navigation';
import { outbox } from './here.ts';
import { settingsLane } from './kinds.ts';
import type { Standing } from './outbox.ts';

const nothing: Standing = {
  waiting: [],
  aside: [],
  away: false,
  why: '',
  unpaired: false,
  storage: 'kept',
};

/** Where the outbox stands, for components to follow. Nothing waits until the browser has looked. */
class Sync {
  standing = $state.raw<Standing>(nothing);
  /** What was settled and is delivered, until the page has it from the server. */
  #arrived = $state.raw<readonly unknown[]>([]);

  readonly waiting = $derived(this.standing.waiting.length);
  readonly #patches = $derived([
    ...this.#arrived,
    ...this.standing.waiting.filter((e) => e.lane === settingsLane).map((e) => e.body),
  ]);

  /** Follows the outbox from now on; gives an end to it. */
  follow(): () => void {
    const box = outbox();
    this.standing = box.standing;
    return box.subscribe(({ outcome }) => {
      if (outcome?.result.kind === 'delivered' && outcome.entry.lane === settingsLane) {
        void this.#arrive(outcome.entry.body);
      }
      this.standing = box.standing;
    });
  }

  async #arrive(patch: unknown): Promise<void> {
    this.#arrived = [...this.#arrived, patch];
    await invalidateAll();
    this.#arrived = this.#arrived.filter((p) => p !== patch);
  }

  /** What was settled, with what was settled here and is not there yet. */
  settled<S extends Settings>(settings: S): S {
    if (this.#patches.length === 0) return settings;
    return this.#patches.reduce<S>((s, patch) => apply(s, patch), structuredClone(settings));
  }

  /** What waits in a lane, in words: empty where nothing does, or it is on its way. */
  saysOf(lane: string): string {
    if (!this.standing.waiting.some((e) => e.lane === lane)) return '';
    if (this.standing.unpaired) {
      return 'This device is not let in any more; what you typed is kept in this browser.';
    }
    if (!this.standing.away) return '';
    const kept = 'What you typed is kept in this browser and goes out by itself.';
    return this.standing.why
      ? `${this.standing.why} ${kept}`
      : `The server cannot be reached. ${kept}`;
  }
}

export const sync = new Sync();
