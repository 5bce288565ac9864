import type { Formula } from '@tender-crumb/core/formula';
import type { Belief } from '@tender-crumb/core/belief';
import type { Household } from '@tender-crumb/core/household';
import { proxy, wrap, type Remote } from 'comlink';
import type { Drawn, Simulator } from '../workers/simulate.worker.ts';

const draws = 20_000;

/** How sure a level is, worked out beside the page: with progress, and a way to stop it. */
export class Sure {
  drawn = $state.raw<Drawn | undefined>();
  progress = $state(0);
  running = $state(false);
  #worker: Worker | undefined;
  #simulator: Remote<Simulator> | undefined;
  #asked = 0;

  async draw(formula: Formula, household: Household, belief: Belief): Promise<void> {
    const mine = (this.#asked += 1);
    this.running = true;
    this.progress = 0;
    const simulator = this.#start();
    const tell = proxy((share: number) => {
      if (mine === this.#asked) this.progress = share;
    });
    const drawn = await simulator.draw(formula, household, belief, draws, tell);
    if (mine !== this.#asked) return;
    this.running = false;
    if (drawn) this.drawn = drawn;
  }

  cancel(): void {
    this.#asked += 1;
    this.running = false;
    void this.#simulator?.cancel();
  }

  stop(): void {
    this.#worker?.terminate();
    this.#worker = undefined;
  }

  #start(): Remote<Simulator> {
    if (!this.#simulator || !this.#worker) {
      this.#worker = new Worker(new URL('../workers/simulate.worker.ts', import.meta.url), {
        type: 'module',
      });
      this.#simulator = wrap<Simulator>(this.#worker);
    }
    return this.#simulator;
  }
}
