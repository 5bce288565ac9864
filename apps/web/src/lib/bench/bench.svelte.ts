import {
  coefficientsWith,
  evaluate,
  pantryIn,
  settingsOf,
  resolve,
  giveBackSlip,
  leaveSlip,
  reconsiderSlip,
  takeSlip,
  verdict,
  type Bag,
  type Belief,
  type Formula,
  type Household,
  type Settings,
  type Slip,
  type Taken,
} from '@tender-crumb/core';
import { api } from '../api.ts';
import { Saver } from './saver.svelte.ts';
import { readDraft } from './drafts.ts';

const mostUndo = 200;

/** One formula under adjustment: its history, what it will do, what to correct. */
export class Bench {
  readonly id: string;
  readonly saver: Saver;
  readonly belief: Belief;
  formula = $state.raw<Formula>() as Formula;
  household = $state.raw<Household>() as Household;
  /** Key of the slip that is pointed at. */
  pointedSlip = $state<string | undefined>();
  /** Id of the line that is pointed at, in the sheet or the account. */
  lit = $state<string | undefined>();
  #past = $state.raw<readonly Formula[]>([]);
  #future = $state.raw<readonly Formula[]>([]);
  /** Changes of one cell in one visit are one step of undo. */
  #group: string | undefined;

  readonly evaluation = $derived.by(() => evaluate(this.formula, this.household, this.belief));
  readonly pantry = $derived(pantryIn(this.household));
  readonly resolved = $derived(resolve(this.formula, this.pantry));
  readonly verdict = $derived(
    this.evaluation &&
      verdict(
        this.evaluation,
        this.formula.style,
        coefficientsWith(this.household.figures).restMinutes.value,
      ),
  );
  /** The level, where it can be told. */
  readonly level = $derived(this.evaluation?.cannotTell ? undefined : this.evaluation?.level);
  /** Slips to decide on, and those that the baker left. */
  readonly open = $derived(this.#slips((key) => !this.formula.left.includes(key)));
  readonly left = $derived(this.#slips((key) => this.formula.left.includes(key)));
  /** What the slip that is pointed at would make of it. */
  readonly preview = $derived.by(() => {
    const slip = this.open.find((s) => s.key === this.pointedSlip);
    return slip && evaluate(this.#taking(slip), this.household, this.belief);
  });

  constructor(given: {
    id: string;
    version: number;
    formula: Formula;
    household: Household;
    belief: Belief;
  }) {
    this.id = given.id;
    this.belief = given.belief;
    this.formula = given.formula;
    this.household = given.household;
    this.saver = new Saver(given.id, given.version);
  }

  /** Brings back what was typed and not acknowledged before the page was closed. */
  recover(): void {
    const draft = readDraft(this.id);
    if (draft && JSON.stringify(draft.formula) !== JSON.stringify(this.formula)) {
      this.edit(draft.formula);
    }
  }

  /** Bags that a line can be bound to: of its kind, and not used up unless it is bound to it. */
  bagsOf(line: { readonly ingredient: string; readonly bag?: string }): readonly Bag[] {
    return this.household.bags.filter(
      (b) => b.ingredient === line.ingredient && (!b.finished || b.id === line.bag),
    );
  }

  get canUndo(): boolean {
    return this.#past.length > 0;
  }

  get canRedo(): boolean {
    return this.#future.length > 0;
  }

  /** Makes an edit; edits of the same group in a row are undone together. */
  edit(next: Formula, group?: string): void {
    if (next === this.formula) return;
    if (group === undefined || group !== this.#group) {
      this.#past = [...this.#past.slice(-mostUndo), this.formula];
    }
    this.#group = group;
    this.#future = [];
    this.#show(next);
  }

  /** Ends a group: the next edit is a step of its own. */
  endGroup(): void {
    this.#group = undefined;
  }

  undo(): void {
    const before = this.#past.at(-1);
    if (!before) return;
    this.#past = this.#past.slice(0, -1);
    this.#future = [this.formula, ...this.#future];
    this.#group = undefined;
    this.#show(before);
  }

  redo(): void {
    const [after, ...rest] = this.#future;
    if (!after) return;
    this.#past = [...this.#past, this.formula];
    this.#future = rest;
    this.#group = undefined;
    this.#show(after);
  }

  take(slip: Slip): void {
    this.pointedSlip = undefined;
    this.edit(this.#taking(slip));
  }

  /** Takes changes that were worked out elsewhere: a blend, a bread for a goal. */
  takeChanges(slip: Omit<Taken, 'id'>): void {
    this.edit(takeSlip(this.formula, slip));
  }

  giveBack(takenId: string): void {
    this.edit(giveBackSlip(this.formula, takenId));
  }

  leave(slip: Slip): void {
    this.pointedSlip = undefined;
    this.edit(leaveSlip(this.formula, slip.key));
  }

  reconsider(key: string): void {
    this.edit(reconsiderSlip(this.formula, key));
  }

  /** Takes what the server has, after both had changed. */
  adoptTheirs(): void {
    const theirs = this.saver.conflict?.current;
    if (!theirs) return;
    this.#past = [...this.#past, this.formula];
    this.formula = theirs.formula;
    this.saver.adopt(theirs.version);
  }

  /** Changes what the household settled: here at once, and for every formula. Says whether it was kept. */
  async settle(change: Partial<Settings>): Promise<boolean> {
    this.household = { ...this.household, ...change };
    return api('PUT', '/api/v1/household', settingsOf(this.household)).then(
      () => true,
      () => false,
    );
  }

  #taking(slip: Slip): Formula {
    return takeSlip(this.formula, { ...slip, slip: slip.key });
  }

  #slips(wanted: (key: string) => boolean): Slip[] {
    return (this.evaluation?.slips ?? []).filter((s) => wanted(s.key));
  }

  #show(formula: Formula): void {
    this.formula = formula;
    this.saver.change(formula);
  }
}
