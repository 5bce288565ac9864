import type { Formula } from '@tender-crumb/core/formula';
import { nanoid } from 'nanoid';
import { goto } from '$app/navigation';
import { away } from '../away/away.svelte.ts';
import { question } from '../question.ts';
import { deed } from '../sync/deeds.ts';
import { draftEntry } from '../sync/kinds.ts';
import { mustSay } from '../sync/said.ts';
import { later } from '../ui/later.ts';
import { refresh } from '../ui/refresh.ts';

interface Named {
  readonly id: string;
  readonly name: string;
}

/** What is done with recipes on the shelf, and what went wrong of it. */
export class Shelf {
  /** What was taken off last, to be put back. */
  off = $state<Named | undefined>();
  /** The recipe whose bake is being begun. */
  beginning = $state<string | undefined>();
  fault = $state('');

  /** What a formula is made of is fetched for the first who begins one, or while nothing else is. */
  readonly #made = later(() => import('./new-formula.ts'));
  /** Nor what a bake is begun with. */
  readonly #beginning = later(() => import('../sync/begin.ts'));

  async #tried(what: () => Promise<unknown>): Promise<void> {
    this.fault = '';
    try {
      await what();
      await refresh();
    } catch (refusal) {
      this.fault = (refusal as Error).message;
    }
  }

  takeOff = ({ id, name }: Named) =>
    this.#tried(async () => {
      await deed('formula-off-shelf', { of: id });
      this.off = { id, name };
    });

  putBack = (id: string) =>
    this.#tried(async () => {
      await deed('formula-on-shelf', { of: id });
      this.off = undefined;
    });

  #add = (formula: Formula) =>
    this.#tried(async () => {
      const id = nanoid();
      await mustSay(draftEntry({ id, version: 0, draft: id, formula }));
      await goto(`/bench/${id}`);
    });

  copy = ({ id, name }: Named) =>
    this.#tried(async () => {
      const { formula } = await question<{ formula: Formula }>(`/api/v1/formulas/${id}`);
      await this.#add((await this.#made()).copied(formula, name));
    });

  begin = () => this.#tried(async () => this.#add((await this.#made()).newFormula()));
  beginWith = (loaf: string) =>
    this.#tried(async () => this.#add((await this.#made()).firstLoaf(loaf)));

  /** Bakes it as it stands. Away from the server a bake begins on the bench, which knows all that its page shows. */
  bake = ({ id, version }: Named & { readonly version: number }) =>
    this.#tried(async () => {
      if (away.now) return goto(`/bench/${id}`);
      this.beginning = id;
      try {
        const bake = { id: nanoid(), formulaId: id, formulaVersion: version };
        const { beginBake } = await this.#beginning();
        const { waits } = await beginBake(bake);
        await goto(waits ? '/bake' : `/bake/${bake.id}`);
      } finally {
        this.beginning = undefined;
      }
    });
}
