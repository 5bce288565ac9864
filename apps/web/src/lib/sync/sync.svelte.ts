import { refresh } from '$lib/ui/refresh.ts';
import type { Feeding } from '@tender-crumb/core/starter';
import type { PlannedWithBake } from '@tender-crumb/core/view';
import type { Entry } from './entry.ts';
import { outbox } from './here.ts';
import { deliveredNow, isLate } from './late.ts';
import { nothingWaits, type Standing } from './outbox.ts';
import { withBegun, withFeedings, withPlans, withRows, withSettled } from './overlay.ts';

/** What pages show of what other pages show too: fetched anew when it has arrived. */
const shown: ReadonlySet<string> = new Set([
  'settings',
  'house',
  'bag',
  'own',
  'plan',
  'plan-off',
  'timer',
  'timer-off',
  'feeding',
  'peak',
  'feeding-off',
  'device',
  'practice',
]);

/** Where the outbox stands, for components to follow. Nothing waits until the browser has looked. */
class Sync {
  standing = $state.raw<Standing>(nothingWaits);
  /** What was said and is delivered, until the page has it from the server. */
  #arrived = $state.raw<readonly Entry[]>([]);

  readonly waiting = $derived(this.standing.waiting.length);
  /** What waits cannot go out: the server is away, or does not know this device any more. */
  readonly isStuck = $derived(this.waiting > 0 && (this.standing.away || this.standing.unpaired));
  readonly said = $derived(
    [...this.#arrived, ...this.standing.waiting].filter((e) => shown.has(e.kind)),
  );

  /** Follows the outbox from now on; gives an end to it. */
  follow(): () => void {
    const box = outbox();
    this.standing = box.standing;
    if (isLate()) void this.fetchAnew();
    return box.subscribe(({ outcome }) => {
      if (outcome?.result.kind === 'delivered' && shown.has(outcome.entry.kind)) {
        deliveredNow();
        void this.#arrive(outcome.entry);
      }
      this.standing = box.standing;
    });
  }

  async #arrive(entry: Entry): Promise<void> {
    this.#arrived = [...this.#arrived, entry];
    await this.fetchAnew();
  }

  /** Fetches the page anew. What has arrived is shown from here until it has it: the server may be gone again. */
  async fetchAnew(): Promise<void> {
    const arrived = this.#arrived;
    if (await refresh()) this.#arrived = this.#arrived.filter((e) => !arrived.includes(e));
  }

  /** What was settled, with what was settled here and is not there yet; the pantry stands in settled-house.ts. */
  settled<S extends object>(settings: S): S {
    return this.said.length === 0 ? settings : withSettled(settings, this.said);
  }

  /** Planned bakes, with what was said of them here. */
  planned(plans: readonly PlannedWithBake[]): readonly PlannedWithBake[] {
    return withBegun(withPlans(plans, this.said), this.standing.waiting);
  }

  /** What was said of a kind, as it was said, until the page has it from the server. */
  bodies<T>(kind: string): readonly T[] {
    return this.said.filter((e) => e.kind === kind).map((e) => e.body as T);
  }

  /** Timers, with what was written of them here. */
  timers<T extends { readonly id: string }>(rows: readonly T[]): readonly T[] {
    return withRows(rows, this.said, 'timer');
  }

  /** What a starter was fed, with what was written of it here. */
  feedings(rows: readonly Feeding[], jar: string): readonly Feeding[] {
    return withFeedings(rows, this.said, jar);
  }
}

export const sync = new Sync();
