import type { Formula } from '@tender-crumb/core/formula';
import type { Found, Goal } from '@tender-crumb/core/goal';
import type { Belief } from '@tender-crumb/core/belief';
import type { Household } from '@tender-crumb/core/household';
import { wrap, type Remote } from 'comlink';
import type { Finder } from '../workers/goal.worker.ts';

/** A search for a bread that meets a goal, beside the page; a new one, or a stop, ends the old one. */
export class Finding {
  found = $state.raw<Found | undefined>();
  running = $state(false);
  fault = $state('');
  #worker: Worker | undefined;
  #finder: Remote<Finder> | undefined;
  #asked = 0;

  async find(
    formula: Formula,
    household: Household,
    belief: Belief,
    offered: readonly string[],
    goal: Omit<Goal, 'window'>,
  ): Promise<void> {
    const mine = (this.#asked += 1);
    if (this.running) this.stop();
    this.#asked = mine;
    this.running = true;
    this.fault = '';
    try {
      const found = await this.#start().find(formula, household, belief, offered, goal);
      if (mine === this.#asked) this.found = found;
    } catch {
      if (mine === this.#asked)
        this.fault = 'The search stopped. Change the goal a little and try again.';
    } finally {
      if (mine === this.#asked) this.running = false;
    }
  }

  /** Ends the search; what was found before stays. */
  stop(): void {
    this.#asked += 1;
    this.running = false;
    this.#worker?.terminate();
    this.#worker = undefined;
    this.#finder = undefined;
  }

  #start(): Remote<Finder> {
    if (!this.#finder || !this.#worker) {
      this.#worker = new Worker(new URL('../workers/goal.worker.ts', import.meta.url), {
        type: 'module',
      });
      this.#finder = wrap<Finder>(this.#worker);
    }
    return this.#finder;
  }
}
