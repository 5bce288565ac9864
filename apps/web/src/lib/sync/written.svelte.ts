import { onMount } from 'svelte';
import { changedSince, type Fields } from './fields.ts';
import { outbox } from './here.ts';

/**
 * What is being written in a form: kept in this browser as it is written, and there again when the form
 * is. Only what differs from how the form began is kept, so that what came to the rest meanwhile shows.
 * To be made while a component is.
 */
export class Written<T extends Fields> {
  fields = $state() as T;
  readonly #place: string;
  readonly #start: T;
  #restored = $state(false);

  /**
   * @param place the form's own name in this browser: `bag/b1`
   * @param start how it begins
   */
  constructor(place: string, start: T) {
    this.#place = place;
    this.#start = start;
    this.fields = structuredClone(start);
    onMount(async () => {
      const kept = await outbox().keep.readText(place);
      // What was typed before the browser had answered is newer.
      const typed = changedSince(start, $state.snapshot(this.fields) as T);
      this.fields = { ...start, ...changedSince(start, kept), ...typed };
      this.#restored = true;
    });
    $effect(() => {
      const written = changedSince(start, $state.snapshot(this.fields) as T);
      if (!this.#restored) return;
      if (Object.keys(written).length > 0) void outbox().keep.keepText(place, written);
      else void outbox().keep.dropText(place);
    });
  }

  /** It is said, or not wanted: the form begins anew. */
  done(): void {
    this.fields = structuredClone(this.#start);
    void outbox().keep.dropText(this.#place);
  }
}
