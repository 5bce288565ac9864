import type { BakeEvent } from '@tender-crumb/core';
import { api, ApiError } from '../api.ts';

const key = (bake: string): string => `tender-crumb:bake:${bake}`;
const retryMs = 4000;

/**
 * Events of a bake on their way to the server. They are written down in the browser before they are
 * sent and crossed out when they are acknowledged, so that a closed page or a dead network loses none.
 */
export class EventQueue {
  readonly #bake: string;
  readonly #told: (waiting: number, fault: string) => void;
  #events: BakeEvent[] = [];
  #busy = false;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(bake: string, told: (waiting: number, fault: string) => void) {
    this.#bake = bake;
    this.#told = told;
  }

  /** What an earlier page could not send any more. */
  recover(): readonly BakeEvent[] {
    try {
      this.#events = JSON.parse(localStorage.getItem(key(this.#bake)) ?? '[]') as BakeEvent[];
    } catch {
      this.#events = [];
    }
    if (this.#events.length > 0) void this.#send();
    return this.#events;
  }

  add(event: BakeEvent): void {
    this.#events = [...this.#events, event];
    this.#write();
    void this.#send();
  }

  /** Resolves when everything is acknowledged; rejects where it cannot be now. */
  async settle(): Promise<void> {
    clearTimeout(this.#timer);
    while (this.#busy) await new Promise((resolve) => setTimeout(resolve, 30));
    await this.#send();
    if (this.#events.length > 0) throw new Error('The server cannot be reached.');
  }

  stop(): void {
    clearTimeout(this.#timer);
  }

  #write(): void {
    try {
      if (this.#events.length > 0) {
        localStorage.setItem(key(this.#bake), JSON.stringify(this.#events));
      } else localStorage.removeItem(key(this.#bake));
    } catch {
      // Storage is full or forbidden: the server is then the only keeper.
    }
  }

  async #send(): Promise<void> {
    while (this.#events.length > 0 && !this.#busy) {
      this.#busy = true;
      const batch = this.#events;
      let fault = '';
      try {
        await api(
          'POST',
          `/api/v1/bakes/${this.#bake}/events`,
          { events: batch },
          { keepalive: true },
        );
        this.#events = this.#events.filter((e) => !batch.includes(e));
        this.#write();
      } catch (refusal) {
        fault =
          refusal instanceof ApiError && refusal.status < 500
            ? refusal.message
            : 'The server cannot be reached; what you tapped is kept in this browser.';
      } finally {
        this.#busy = false;
      }
      this.#told(this.#events.length, fault);
      if (fault) {
        clearTimeout(this.#timer);
        this.#timer = setTimeout(() => void this.#send(), retryMs);
        return;
      }
    }
  }
}
