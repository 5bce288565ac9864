import { apply } from 'json-merge-patch';
import type { Settings } from '@tender-crumb/core';
import { refresh } from '$lib/ui/refresh.ts';
import { outbox } from './here.ts';
import { settingsLane } from './kinds.ts';
import { nothingWaits, type Standing } from './outbox.ts';

/** Where the outbox stands, for components to follow. Nothing waits until the browser has looked. */
class Sync {
  standing = $state.raw<Standing>(nothingWaits);
  /** What was settled and is delivered, until the page has it from the server. */
  #arrived = $state.raw<readonly unknown[]>([]);

  readonly waiting = $derived(this.standing.waiting.length);
  /** What waits cannot go out: the server is away, or does not know this device any more. */
  readonly isStuck = $derived(this.waiting > 0 && (this.standing.away || this.standing.unpaired));
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
    await refresh();
    this.#arrived = this.#arrived.filter((p) => p !== patch);
  }

  /** What was settled, with what was settled here and is not there yet. */
  settled<S extends Partial<Settings>>(settings: S): S {
    if (this.#patches.length === 0) return settings;
    return this.#patches.reduce<S>((s, patch) => apply(s, patch), structuredClone(settings));
  }
}

export const sync = new Sync();
