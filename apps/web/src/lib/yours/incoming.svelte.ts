import { nanoid } from 'nanoid';
import { question } from '../question.ts';
import { deed, sendPiece } from '../sync/deeds.ts';
import { refresh } from '../ui/refresh.ts';

/** What a file would do to one kind of thing. */
interface Looked {
  readonly table: string;
  readonly says: string;
  readonly fresh: number;
  readonly same: number;
  readonly other: number;
  readonly others: readonly string[];
  readonly orphans: number;
}

/** How often it is asked how far it is, ms. */
const lookEveryMs = 600;

/** A piece that is sent at once, bytes: below what the server takes in one. */
const piece = 4 * 1024 * 1024;

/** A household's file on its way in: sent in pieces, looked at, then taken or not. */
export class Incoming {
  /** Share of it that is sent, 0 to 1. */
  sent = $state<number>();
  looking = $state(false);
  /** What is being done with it just now, and how far that is. */
  working = $state<{ readonly doing: string; readonly done: number; readonly total?: number }>();
  look = $state<{
    readonly madeAt: string;
    readonly things: readonly Looked[];
    readonly passedOver?: true;
  }>();
  taking = $state(false);
  came = $state<number>();
  fault = $state('');
  stays = $state<'ours' | 'theirs'>('ours');
  #id = '';

  readonly conflicts = $derived(this.look?.things.some((t) => t.other > 0) ?? false);
  readonly nothingNew = $derived(
    this.look !== undefined && this.look.things.every((t) => t.fresh === 0 && t.other === 0),
  );

  async send(file: File): Promise<void> {
    this.fault = '';
    this.came = undefined;
    this.look = undefined;
    this.#id = nanoid();
    try {
      this.sent = 0;
      for (let at = 0; at < file.size;) {
        const response = await sendPiece(this.#id, at, file.slice(at, at + piece));
        if (!response.ok) throw new Error(await wordsOf(response));
        at = ((await response.json()) as { here: number }).here;
        this.sent = at / file.size;
      }
      this.looking = true;
      this.look = await this.#followed(() => question(`/api/v1/kitchen/incoming/${this.#id}`));
    } catch (refusal) {
      // Where in the request it stood is nothing to whoever picked a file.
      this.fault = (refusal as Error).message.replace(/^body: /, '');
    } finally {
      this.sent = undefined;
      this.looking = false;
    }
  }

  async take(): Promise<void> {
    this.fault = '';
    this.taking = true;
    try {
      const { came } = await this.#followed(() =>
        deed<{ came: number }>('take-in', { of: this.#id, body: { stays: this.stays } }),
      );
      this.came = came;
      this.look = undefined;
      await refresh();
    } catch (refusal) {
      // Where in the request it stood is nothing to whoever picked a file.
      this.fault = (refusal as Error).message.replace(/^body: /, '');
    } finally {
      this.taking = false;
    }
  }

  /** Asks now and then how far it is, while something is done with it. */
  async #followed<T>(work: () => Promise<T>): Promise<T> {
    const look = setInterval(() => {
      void question<{ working: Incoming['working'] | null }>(
        `/api/v1/kitchen/incoming/${this.#id}?progress`,
      )
        .then(({ working }) => (this.working = working ?? undefined))
        .catch(() => undefined);
    }, lookEveryMs);
    try {
      return await work();
    } finally {
      clearInterval(look);
      this.working = undefined;
    }
  }

  /** Stops what is being done with it: nothing is taken. */
  stop = (): Promise<void> => this.leave();

  async leave(): Promise<void> {
    await deed('leave-incoming', { of: this.#id }).catch(() => undefined);
    this.look = undefined;
  }
}

/** What a refusal says. */
async function wordsOf(response: Response): Promise<string> {
  const { detail, title } = (await response.json().catch(() => ({}))) as {
    detail?: string;
    title?: string;
  };
  return detail ?? title ?? `The server answered ${response.status}.`;
}
