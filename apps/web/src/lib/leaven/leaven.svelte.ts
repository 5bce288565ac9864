import type { TangId } from '@tender-crumb/core/ferment';
import { numberTyped } from '@tender-crumb/core/quantity';
import { leavensOf } from '@tender-crumb/core/view';
import type { Bench } from '../bench/bench.svelte.ts';
import { writing } from '../ui/writing.ts';

/** What is asked of the leavens of the dough on a bench, as it is typed. */
export class Leavens {
  /** Hours in which a doped dough is wanted. */
  evening = $state('4');
  /** The share of starter that is looked at, % of all flour; the formula's own where absent. */
  looked = $state<number | undefined>();
  /** Water of the starter as it is typed, % of its flour. */
  wet = $state('');
  readonly #bench: () => Bench;

  constructor(bench: () => Bench) {
    this.#bench = bench;
  }

  readonly hours = $derived.by(() => {
    const typed = numberTyped(this.evening, writing());
    return typed !== undefined && typed > 0 && typed <= 24 ? typed : undefined;
  });
  /** What they are, and what else they could be. */
  readonly view = $derived.by(() =>
    leavensOf(this.#bench().view, {
      looked: this.looked,
      wet: numberTyped(this.wet, writing()),
      hours: this.hours,
    }),
  );

  /** Looks at the share that tastes so. */
  wantTaste(id: TangId): void {
    this.looked = this.view.shareFor(id) ?? this.looked;
  }
}
