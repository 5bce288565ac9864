import { currentMs } from '../clock.ts';
import { firstAsked, type Waiting } from './first-asked.ts';

const keyOf = ({ kind, of }: Waiting): string => `asked-later/${kind}/${of}`;
/** What is put off is not asked again for so long, ms. Own choice. */
const rest = 12 * 60 * 60_000;

/** The one queue of questions: whoever has one stands in it, and its first is asked. */
class Questions {
  #waiting = $state.raw<readonly Waiting[]>([]);
  /** Put off on this page, where the browser keeps nothing. */
  #off = $state.raw<ReadonlySet<string>>(new Set());

  readonly first = $derived(firstAsked(this.#waiting, (asked) => this.#isOff(asked)));

  #isOff(asked: Waiting): boolean {
    if (this.#off.has(keyOf(asked))) return true;
    try {
      return currentMs() - Number(localStorage.getItem(keyOf(asked)) ?? 0) < rest;
    } catch {
      return false;
    }
  }

  /**
   * Stands in the queue.
   *
   * @returns leaves it
   */
  stand(asked: Waiting): () => void {
    this.#waiting = [...this.#waiting, asked];
    return () => (this.#waiting = this.#waiting.filter((w) => w !== asked));
  }

  /** Somebody wants to answer this one now. */
  take(asked: Waiting): void {
    const same = (w: Waiting) => keyOf(w) === keyOf(asked);
    this.#waiting = [...this.#waiting.filter(same), ...this.#waiting.filter((w) => !same(w))];
    this.#off = new Set([...this.#off].filter((key) => key !== keyOf(asked)));
    try {
      localStorage.removeItem(keyOf(asked));
    } catch {
      // Nothing is kept of it.
    }
  }

  putOff(asked: Waiting): void {
    this.#off = new Set([...this.#off, keyOf(asked)]);
    try {
      localStorage.setItem(keyOf(asked), String(currentMs()));
    } catch {
      // It is asked again on the next page then.
    }
  }
}

export const questions = new Questions();
