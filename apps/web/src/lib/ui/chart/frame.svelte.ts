/** What a chart is drawn in, pixels. Getters where it goes by what is drawn. */
interface FrameOptions {
  /** Before its place is known. */
  readonly usual: number;
  readonly height: number;
  /** What is written beside it. */
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** Drawn for no less; in a narrower place it shrinks. */
const narrowest = 260;

/** Where a chart is drawn: as wide as its place, so that what is written in it is as large on a phone as on a desk. */
export class Frame {
  /** Of its place, once that is known. */
  place = $state(0);
  readonly width = $derived.by(() => Math.max(narrowest, this.place || this.#options.usual));
  readonly #options: FrameOptions;

  constructor(options: FrameOptions) {
    this.#options = options;
  }

  get height(): number {
    return this.#options.height;
  }
  get left(): number {
    return this.#options.left;
  }
  get top(): number {
    return this.#options.top;
  }
  get right(): number {
    return this.width - this.#options.right;
  }
  get bottom(): number {
    return this.height - this.#options.bottom;
  }

  /** Range of a scale across, and of one from the bottom up. */
  get across(): [number, number] {
    return [this.left, this.right];
  }
  get upward(): [number, number] {
    return [this.bottom, this.top];
  }

  /** So many marks stand across without touching, each so wide. */
  marks(wide: number): number {
    return Math.max(2, Math.floor((this.right - this.left) / wide));
  }
}
