import type { Formula } from '@tender-crumb/core/formula';
import { nanoid } from 'nanoid';
import { outbox } from '../sync/here.ts';
import { draftEntry, formulaLane } from '../sync/kinds.ts';
import type { Outcome } from '../sync/outbox.ts';

export type SaveState = 'saved' | 'unsaved' | 'saving' | 'waiting' | 'conflict' | 'refused';

/** A version of a formula, with who saved it and when. */
export interface Version {
  readonly version: number;
  readonly formula: Formula;
  readonly updatedAt: string;
  readonly device?: string;
}

const pauseMs = 500;

/**
 * Saves by itself and says where it stands. Every change is kept in the browser at once, as the draft
 * of this sitting, and goes to the server after a pause.
 */
export class Saver {
  state = $state<SaveState>('saved');
  why = $state('');
  /** What stands on the server where ours began from an older version. */
  conflict = $state.raw<Version | undefined>();
  readonly #id: string;
  readonly #draft = nanoid();
  #version: number;
  /** The newest change; what is acknowledged before it is not all that was typed. */
  #pending: Formula | undefined;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #end: (() => void) | undefined;

  constructor(id: string, version: number) {
    this.#id = id;
    this.#version = version;
  }

  get version(): number {
    return this.#version;
  }

  /** Whether something was typed that is not acknowledged. */
  get isPending(): boolean {
    return this.#pending !== undefined;
  }

  /** Follows the outbox from now on; gives an end to it. */
  follow(): () => void {
    const box = outbox();
    this.#end = box.subscribe(({ outcome }) => {
      if (outcome?.entry.key === this.#key) this.#became(outcome);
      else if (this.#pending && (box.standing.away || box.standing.unpaired)) this.#wait();
    });
    return () => {
      this.#end?.();
      if (this.#pending) void box.flush();
    };
  }

  /** Takes note of a change and saves it soon. */
  change(formula: Formula): void {
    this.#pending = formula;
    if (this.state !== 'conflict') this.state = 'unsaved';
    void outbox().hold(draftEntry(this.#body(formula)));
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => this.flush(), pauseMs);
  }

  /** Sends what was typed, now. */
  flush(): void {
    clearTimeout(this.#timer);
    if (this.state === 'unsaved') this.state = 'saving';
    void outbox().flush();
  }

  /** Saves now: before something that needs the saved version. */
  async settle(): Promise<number> {
    clearTimeout(this.#timer);
    if (this.#pending) await outbox().settle(formulaLane(this.#id));
    if (this.state !== 'saved') throw new Error(this.why || 'It is not saved yet.');
    return this.#version;
  }

  /**
   * What is baked: the version that is saved, or, where the server is away, the sitting whose last save it will be.
   *
   * @throws Error where what stands here is not to be saved as it is
   */
  async versionToBake(): Promise<{ formulaVersion: number } | { draft: string }> {
    try {
      return { formulaVersion: await this.settle() };
    } catch (fault) {
      if (this.isPending && this.state !== 'conflict' && this.state !== 'refused')
        return { draft: this.#draft };
      throw fault;
    }
  }

  /** What is here began from a version that is not the newest. */
  clash(theirs: Version, basedOn: number): void {
    this.#version = basedOn;
    this.conflict = theirs;
    this.state = 'conflict';
  }

  /** Starts again from a version of the server's. */
  adopt(version: number): void {
    clearTimeout(this.#timer);
    this.#version = version;
    this.conflict = undefined;
    this.#pending = undefined;
    this.state = 'saved';
    this.why = '';
  }

  /** Puts what is here on top of what the server has. */
  insist(formula: Formula): void {
    if (!this.conflict) return;
    this.#version = this.conflict.version;
    this.conflict = undefined;
    this.state = 'unsaved';
    this.change(formula);
    this.flush();
  }

  get #key(): string {
    return `draft/${this.#id}/${this.#draft}`;
  }

  #body(formula: Formula) {
    return { id: this.#id, version: this.#version, draft: this.#draft, formula };
  }

  #became({ entry, result }: Outcome): void {
    const { formula } = entry.body as { formula: Formula };
    const newest =
      this.#pending === undefined || JSON.stringify(this.#pending) === JSON.stringify(formula);
    if (result.kind === 'stale') {
      this.conflict = result.body['current'] as Version;
      this.state = 'conflict';
      if (newest) this.#pending = undefined;
      return;
    }
    if (result.kind === 'refused') {
      this.why = result.why;
      this.state = 'refused';
      return;
    }
    this.#version = (result.answer as { version: number }).version;
    this.why = '';
    if (!newest) return;
    this.#pending = undefined;
    this.state = 'saved';
  }

  #wait(): void {
    if (this.state === 'conflict' || this.state === 'refused') return;
    const { why, unpaired } = outbox().standing;
    const reason = unpaired
      ? 'This device is locked out'
      : why.replace(/\.$/, '') || 'The server cannot be reached';
    this.why = `${reason}; what you typed is kept in this browser and goes out by itself.`;
    this.state = 'waiting';
  }
}
