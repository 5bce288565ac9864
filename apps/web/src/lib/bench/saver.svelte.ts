import type { Formula } from '@tender-crumb/core';
import { api, ApiError } from '../api.ts';
import { dropDraft, keepDraft } from './drafts.ts';

export type SaveState = 'saved' | 'unsaved' | 'saving' | 'waiting' | 'conflict' | 'refused';

/** What stands on the server where our copy was stale. */
export interface Conflict {
  readonly current: { readonly version: number; readonly formula: Formula };
  readonly mine: Formula;
}

const pauseMs = 500;
const retryMs = 4000;

/** Saves by itself, one save at a time, and says where it stands. Nothing typed waits only in memory. */
export class Saver {
  state = $state<SaveState>('saved');
  why = $state('');
  conflict = $state.raw<Conflict | undefined>();
  readonly #id: string;
  #version: number;
  #pending: Formula | undefined;
  #busy = false;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(id: string, version: number) {
    this.#id = id;
    this.#version = version;
  }

  /** Takes note of a change and saves it soon. */
  change(formula: Formula): void {
    this.#pending = formula;
    keepDraft(this.#id, { version: this.#version, formula });
    if (this.state !== 'conflict') {
      this.state = 'unsaved';
      this.#later(pauseMs);
    }
  }

  /** Saves now: before something that needs the saved version. */
  async settle(): Promise<number> {
    clearTimeout(this.#timer);
    await this.#save();
    if (this.state !== 'saved') throw new Error(this.why || 'It is not saved yet.');
    return this.#version;
  }

  /** Starts again from a version of the server's. */
  adopt(version: number): void {
    this.#version = version;
    this.conflict = undefined;
    this.#pending = undefined;
    this.state = 'saved';
    dropDraft(this.#id);
  }

  /** Puts what is here on top of what the server has. */
  insist(formula: Formula): void {
    if (!this.conflict) return;
    this.#version = this.conflict.current.version;
    this.conflict = undefined;
    this.state = 'unsaved';
    this.change(formula);
  }

  stop(): void {
    clearTimeout(this.#timer);
    void this.#save(true);
  }

  #later(ms: number): void {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.#save(), ms);
  }

  async #save(leaving = false): Promise<void> {
    while (this.#pending && !this.#busy && this.state !== 'conflict') {
      const formula = this.#pending;
      this.#busy = true;
      this.state = 'saving';
      try {
        const { version } = await api<{ version: number }>(
          'PUT',
          `/api/v1/formulas/${this.#id}`,
          { version: this.#version, formula },
          { keepalive: leaving },
        );
        this.#version = version;
        this.why = '';
        if (this.#pending === formula) {
          this.#pending = undefined;
          this.state = 'saved';
          dropDraft(this.#id);
        } else {
          this.state = 'unsaved';
          keepDraft(this.#id, { version, formula: this.#pending });
        }
      } catch (fault) {
        this.#failed(fault, formula);
        return;
      } finally {
        this.#busy = false;
      }
    }
  }

  #failed(fault: unknown, mine: Formula): void {
    if (fault instanceof ApiError && fault.status === 409) {
      this.conflict = { current: fault.body['current'] as Conflict['current'], mine };
      this.state = 'conflict';
    } else if (fault instanceof ApiError && fault.status < 500) {
      this.why = fault.message;
      this.state = 'refused';
    } else {
      this.why = 'The server cannot be reached; what you typed is kept in this browser.';
      this.state = 'waiting';
      this.#later(retryMs);
    }
  }
}
