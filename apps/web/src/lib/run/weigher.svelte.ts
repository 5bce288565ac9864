import { notWeighed, weighInNext, type WeighIn, type WeighingItem } from '@tender-crumb/core/hands';
import type { ScaleDevice } from '../devices/device.ts';

/** What is being poured, from a scale that says its weight again and again. */
export class Weigher {
  readonly #scale: ScaleDevice;
  now = $state.raw<WeighIn>(notWeighed);
  #item: string | undefined;

  constructor(scale: ScaleDevice) {
    this.#scale = scale;
  }

  get listens(): boolean {
    return this.#scale.reading !== undefined;
  }

  /**
   * Takes in what the scale says.
   *
   * @returns grams of it, once it has come to rest at its mark
   */
  hear(item: WeighingItem | undefined): number | undefined {
    const { reading, step } = this.#scale;
    if (!reading || !item) return undefined;
    if (item.id !== this.#item) {
      this.#item = item.id;
      // Of what was weighed before it, the scale knows: from there the next one is counted.
      this.now = notWeighed;
    }
    const before = this.now;
    const next = weighInNext(before, reading, item.grams, step);
    if (
      next.standing !== before.standing ||
      next.grams !== before.grams ||
      next.near !== before.near ||
      next.from !== before.from
    )
      this.now = next;
    return next.standing === 'in' && before.standing !== 'in' ? next.grams : undefined;
  }

  /** Counts from what lies there now. */
  again(): void {
    this.now = notWeighed;
  }
}
