/**
 * Moments with the most minutes that may lie between any two of them: a simple temporal network, every pair
 * of it known. Moment 0 is the plan's beginning. Changed in place, and copied before it is tried: the search
 * makes thousands of them.
 *
 * Source: Dechter, Meiri & Pearl 1991, temporal constraint networks (all-pairs shortest paths; a limit more is
 * worked in by one pass over the pairs).
 */
export class Network {
  readonly size: number;
  readonly #most: Float64Array;

  constructor(size: number, most = new Float64Array(size * size).fill(Infinity)) {
    this.size = size;
    this.#most = most;
    for (let i = 0; i < size; i += 1) most[i * size + i] = 0;
  }

  copy(): Network {
    return new Network(this.size, this.#most.slice());
  }

  /** The most that `to` may come after `from`, minutes; Infinity where nothing says. */
  most(from: number, to: number): number {
    return this.#most[from * this.size + to]!;
  }

  /** The least that `to` comes after `from`. */
  least(from: number, to: number): number {
    return -this.most(to, from);
  }

  /**
   * Says that `to` comes at most so many minutes after `from`.
   *
   * @returns false where that cannot be; the network is then of no more use
   * @example network.limit(0, 3, 60) // moment 3 within the first hour
   */
  limit(from: number, to: number, minutes: number): boolean {
    const { size } = this;
    const most = this.#most;
    if (most[to * size + from]! + minutes < 0) return false;
    if (minutes >= most[from * size + to]!) return true;
    for (let a = 0; a < size; a += 1) {
      const via = most[a * size + from]! + minutes;
      if (via >= most[a * size + to]!) continue;
      for (let b = 0; b < size; b += 1) {
        const through = via + most[to * size + b]!;
        if (through < most[a * size + b]!) most[a * size + b] = through;
      }
    }
    return true;
  }

  /** Says that `to` comes exactly so many minutes after `from`. */
  fix(from: number, to: number, minutes: number): boolean {
    return this.limit(from, to, minutes) && this.limit(to, from, -minutes);
  }

  /** As near to so many minutes from one to the other as there is room for; fixes it so. */
  fixNear(from: number, to: number, minutes: number): void {
    const [low, high] = [this.least(from, to), this.most(from, to)];
    this.fix(from, to, Math.min(high, Math.max(low, minutes)));
  }
}
