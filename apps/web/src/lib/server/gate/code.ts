import { randomInt, timingSafeEqual } from 'node:crypto';
import { once } from '../once.ts';

/** Letters and digits that nobody takes for each other. */
const letters = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
const length = 8;

const newCode = (): string =>
  Array.from({ length }, () => letters[randomInt(letters.length)]).join('');

/** Wrong codes from one address, and from all together, within a while. */
export const attempts = { each: 10, all: 60, withinMs: 10 * 60_000 } as const;

/** What became of a code that somebody entered. */
export type Entered = 'right' | 'wrong' | 'too-often';

/**
 * The code that lets a device in, and who tried it. A code holds until the program ends or a device
 * is forgotten; whoever guesses is stopped after a few.
 */
export class PairingCode {
  #code = newCode();
  /** When wrong codes were entered, by monotonic time: a clock that is set frees nobody. */
  readonly #wrong = new Map<string, number[]>();
  readonly #now: () => number;

  constructor(now = () => performance.now()) {
    this.#now = now;
  }

  /** As it is shown: two groups of four. */
  get shown(): string {
    return `${this.#code.slice(0, 4)}-${this.#code.slice(4)}`;
  }

  /** Makes another: whoever knew this one no longer comes in with it. */
  renew(): void {
    this.#code = newCode();
  }

  /** Looks at a code from an address; case, spaces and hyphens do not count. */
  enter(text: string, address: string): Entered {
    const since = this.#now() - attempts.withinMs;
    for (const [from, times] of this.#wrong) {
      const recent = times.filter((t) => t > since);
      if (recent.length > 0) this.#wrong.set(from, recent);
      else this.#wrong.delete(from);
    }
    const own = this.#wrong.get(address) ?? [];
    const all = [...this.#wrong.values()].reduce((sum, times) => sum + times.length, 0);
    if (own.length >= attempts.each || all >= attempts.all) return 'too-often';
    const bare = text.toUpperCase().replace(/[\s-]/g, '');
    const right =
      Buffer.byteLength(bare) === length &&
      timingSafeEqual(Buffer.from(bare), Buffer.from(this.#code));
    if (right) {
      this.#wrong.delete(address);
      return 'right';
    }
    this.#wrong.set(address, [...own, this.#now()]);
    return 'wrong';
  }
}

/** The code of this run of the program. */
export const pairingCode = once('pairing-code', () => new PairingCode());
