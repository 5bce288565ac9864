import { upgrade } from '@tender-crumb/core/exchange';
import type { Formula } from '@tender-crumb/core/formula';
import { outbox } from '../sync/here.ts';

/** So many steps are kept over a reload, so many formulas' at most. */
const mostSteps = 200;
const mostFormulas = 40;

/** What is typed on in one cell is written once, ms; a page that goes writes at once. */
const pauseMs = 400;

/** A history as a browser keeps it. */
interface Kept {
  readonly past: readonly Formula[];
  readonly present: Formula;
  readonly future: readonly Formula[];
}

const begin = 'undo/';
const same = (a: Formula, b: Formula): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * What stood on a bench before, and what was taken back: kept in this browser, so that it is there
 * when the page is opened again.
 */
export class History {
  #past = $state.raw<readonly Formula[]>([]);
  #future = $state.raw<readonly Formula[]>([]);
  /** Changes of one cell in one visit are one step. */
  #group: string | undefined;
  readonly #place: string;
  /** What stands there now, as far as is known here. */
  #present: Formula | undefined;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(formulaId: string) {
    this.#place = begin + formulaId;
  }

  get canUndo(): boolean {
    return this.#past.length > 0;
  }

  get canRedo(): boolean {
    return this.#future.length > 0;
  }

  /** Ends a group: the next edit is a step of its own. */
  endGroup(): void {
    this.#group = undefined;
  }

  /** From what stood there to what stands there now; of the same group in a row it is one step. */
  went(before: Formula, now: Formula, group?: string): void {
    const isNew = group === undefined || group !== this.#group;
    if (isNew) this.#past = [...this.#past.slice(1 - mostSteps), before];
    this.#group = group;
    this.#future = [];
    this.#keep(now, isNew ? 0 : pauseMs);
  }

  /** What stood there before this; undefined where nothing did. */
  back(now: Formula): Formula | undefined {
    const before = this.#past.at(-1);
    if (!before) return undefined;
    this.#past = this.#past.slice(0, -1);
    this.#future = [now, ...this.#future];
    return this.#stands(before);
  }

  /** What was taken back last; undefined where nothing was. */
  forth(now: Formula): Formula | undefined {
    const [after, ...rest] = this.#future;
    if (!after) return undefined;
    this.#past = [...this.#past, now];
    this.#future = rest;
    return this.#stands(after);
  }

  /** What this browser kept, from before anything was done on this page. */
  async kept(): Promise<Kept | undefined> {
    return (await outbox().keep.readText(this.#place)) as Kept | undefined;
  }

  /**
   * Takes up what this browser kept. Stands something else there by now, as from another tablet, then
   * what stood here is the step before it.
   */
  takeUp(kept: Kept | undefined, now: Formula): void {
    if (!kept) return;
    const past = kept.past.map(upgrade);
    const present = upgrade(kept.present);
    const stays = same(present, now);
    // What was typed meanwhile comes after it.
    const next = this.#past[0];
    const earlier = stays || (next && same(present, next)) ? past : [...past, present];
    if (!next && stays) this.#future = kept.future.map(upgrade);
    this.#past = [...earlier, ...this.#past];
    if (next) this.#keep(now, 0);
  }

  /** Writes what waits to be written. */
  flush(): void {
    if (!this.#timer) return;
    clearTimeout(this.#timer);
    this.#timer = undefined;
    const { keep } = outbox();
    // Formulas share their lines, and the browser copies what is shared once.
    const kept = { past: this.#past, present: this.#present!, future: this.#future };
    void keep.keepText(this.#place, kept satisfies Kept).then(() => {
      void keep.thinTexts(begin, mostFormulas);
    });
  }

  #stands(formula: Formula): Formula {
    this.#group = undefined;
    this.#keep(formula, 0);
    return formula;
  }

  /** Keeps it: a step at once, since a page may go at any moment; what is typed on in a cell a little later. */
  #keep(present: Formula, afterMs: number): void {
    this.#present = present;
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => this.flush(), afterMs);
    if (afterMs === 0) this.flush();
  }
}
