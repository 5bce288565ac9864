import type { Correction } from '@tender-crumb/core/correct';
import {
  giveBackCorrection,
  leaveCorrection,
  ofStyle,
  reconsiderCorrection,
  takeCorrection,
  withoutStrangeBags,
  type Formula,
  type Taken,
} from '@tender-crumb/core/formula';
import { type Belief } from '@tender-crumb/core/belief';
import { settingsOf, withBaker, type Household, type Settings } from '@tender-crumb/core/household';
import type { MadeBefore } from '@tender-crumb/core/process';
import { takenOut } from '@tender-crumb/core/substitute';
import type { StyleId } from '@tender-crumb/core/style';
import { benchOf } from '@tender-crumb/core/view';
import { nanoid } from 'nanoid';
import { outbox } from '../sync/here.ts';
import { changeEntry, draftIn, formulaLane, theHouse, type Draft } from '../sync/kinds.ts';
import { changeOf } from '../wire/merge.ts';
import { settledHouse } from '../sync/settled-house.ts';
import { rememberBaker } from '../wire/baker-here.ts';
import { rememberOpened, type Opened } from '../wire/opened.ts';
import { History } from './history.svelte.ts';
import { Saver, type Version } from './saver.svelte.ts';

/** What the server gives a bench. */
export interface Given extends Version {
  readonly id: string;
  readonly household: Household;
  readonly belief: Belief;
  /** How much of the bench stands open on this device. */
  readonly opened: Opened;
  /** In what breads were made here before. */
  readonly made: MadeBefore;
  /** Who stands at this device, as it was said last. */
  readonly baker?: string | undefined;
}

/** One formula under adjustment: its history, what it will do, what to correct. */
export class Bench {
  readonly id: string;
  readonly saver: Saver;
  belief = $state.raw<Belief>() as Belief;
  formula = $state.raw<Formula>() as Formula;
  #household = $state.raw<Household>() as Household;
  /** Who stands at this device. */
  #baker = $state<string | undefined>();
  /** As the server has it, with what was settled here and is not there yet. */
  readonly household = $derived.by(() => {
    const settled = settledHouse(this.#household);
    return withBaker(settled, settled.bakers.find((b) => b.id === this.#baker)?.id);
  });
  #made = $state.raw<MadeBefore>({});
  opened = $state<Opened>('plain');
  /** Key of the correction that is pointed at. */
  pointedCorrection = $state<string | undefined>();
  /** Id of the line that is pointed at, in the sheet or the account. */
  lit = $state<string | undefined>();
  readonly history: History;
  /** The last edit: what stood there before, and what stands there since. */
  #edited = $state.raw<{ before: Formula; after: Formula; group: string | undefined }>();
  /** What it does that the last edit took something out. */
  readonly takenOut = $derived.by(() =>
    this.#edited && this.#edited.after === this.formula
      ? takenOut(this.#edited.before, this.formula, this.household, this.belief)
      : undefined,
  );
  /** What the server had last. */
  #given: Version;
  /** What was left here and what the server has are brought together. */
  #isBack = false;

  /** All that is shown of it. */
  readonly view = $derived.by(() =>
    benchOf({
      formula: this.formula,
      household: this.household,
      belief: this.belief,
      made: this.#made,
    }),
  );
  /** What the correction that is pointed at would make of it. */
  readonly preview = $derived.by(() => {
    const correction = this.view.open.find((s) => s.key === this.pointedCorrection);
    return correction && this.view.preview(correction);
  });

  constructor(given: Given) {
    this.#given = given;
    this.id = given.id;
    this.belief = given.belief;
    this.#made = given.made;
    this.opened = given.opened;
    this.#baker = given.baker;
    this.#household = given.household;
    this.formula = withoutStrangeBags(given.formula, given.household.bags);
    this.saver = new Saver(given.id, given.version);
    this.history = new History(given.id);
  }

  /** Who stands at the bowl, here and in the next bake of this device. */
  standBy(baker: string): void {
    this.#baker = baker;
    rememberBaker(baker);
  }

  /** Opens the bench up, or makes it plain again; this device remembers. */
  unfold(opened: Opened): void {
    this.opened = opened;
    rememberOpened(opened);
  }

  /** Takes in what the server has by now. What was typed here stays, and so does its undo. */
  receive(given: Given): void {
    const { version, formula, household, belief } = given;
    this.#given = given;
    this.#household = household;
    this.#made = given.made;
    this.belief = belief;
    this.#adoptIfNewer({ version, formula });
  }

  /**
   * Brings back what was typed and not acknowledged before the page was closed: it goes to the server
   * first, and then what stands there is shown; began it from an older version, both are. What another
   * page delivered while this one was on its way is shown too, and what could be undone can be.
   */
  async recover(fetchNow: () => Promise<Version>): Promise<void> {
    const kept = await this.history.kept();
    await this.#bringBack(fetchNow);
    this.history.takeUp(kept, this.formula);
    this.#isBack = true;
  }

  async #bringBack(fetchNow: () => Promise<Version>): Promise<void> {
    const left = await outbox().waitingIn(formulaLane(this.id));
    if (left.length === 0) return this.#catchUp(fetchNow);
    const { empty, outcomes } = await outbox().settle(formulaLane(this.id));
    const stale = outcomes.findLast((o) => o.result.kind === 'stale');
    if (stale?.result.kind === 'stale') {
      this.#clash(stale.result.body['current'] as Version, draftIn(stale.entry.body));
    } else if (empty) {
      await this.#catchUp(fetchNow);
    } else {
      const newest = left.at(-1)!;
      const mine = draftIn(newest.body);
      if (mine.version !== this.saver.version) return this.#clash(this.#given, mine);
      // It goes on as the draft of this sitting, and not beside it.
      if (this.history.canUndo) this.edit(mine.formula);
      else this.#show(mine.formula);
      await outbox().keep.remove([newest]);
    }
  }

  async #catchUp(fetchNow: () => Promise<Version>): Promise<void> {
    const now = await fetchNow().catch(() => undefined);
    if (now) this.#adoptIfNewer(now);
  }

  #clash(theirs: Version, mine: Draft): void {
    this.history.went(this.formula, mine.formula);
    this.formula = mine.formula;
    this.saver.clash(theirs, mine.version);
  }

  /** Somebody says what bread it is: it is no guess any more. */
  isA(style: StyleId): void {
    this.edit(ofStyle(this.formula, style));
  }

  /** Makes an edit; edits of the same group in a row are undone together. */
  edit(next: Formula, group?: string): void {
    if (next === this.formula) return;
    this.history.went(this.formula, next, group);
    // What is typed letter by letter is one edit.
    const before =
      group !== undefined && this.#edited?.group === group ? this.#edited.before : this.formula;
    this.#edited = { before, after: next, group };
    this.#show(next);
  }

  undo(): void {
    const before = this.history.back(this.formula);
    if (before) this.#show(before);
  }

  redo(): void {
    const after = this.history.forth(this.formula);
    if (after) this.#show(after);
  }

  take(correction: Correction): void {
    this.pointedCorrection = undefined;
    this.edit(this.view.taking(correction));
  }

  /** Takes changes that were worked out elsewhere: a blend, a bread for a goal. */
  takeChanges(correction: Omit<Taken, 'id'>): void {
    this.edit(takeCorrection(this.formula, correction));
  }

  giveBack(takenId: string): void {
    this.edit(giveBackCorrection(this.formula, takenId));
  }

  leave(correction: Correction): void {
    this.pointedCorrection = undefined;
    this.edit(leaveCorrection(this.formula, correction.key));
  }

  reconsider(key: string): void {
    this.edit(reconsiderCorrection(this.formula, key));
  }

  /** Takes what the server has, after both had changed; undo brings back what stood here. */
  adoptTheirs(): void {
    const theirs = this.saver.conflict;
    if (theirs) this.#adopt(theirs);
  }

  /** Changes what the household settled: here at once, and for every formula. */
  settle(change: Partial<Settings>): void {
    const before = settingsOf(this.household);
    const differs = changeOf(before, { ...before, ...change });
    if (differs)
      void outbox().add(changeEntry('house', { id: theHouse, change: differs }, nanoid()));
  }

  /** Shows what the server has, unless something that was typed here stands against it. */
  #adoptIfNewer(theirs: Pick<Version, 'version' | 'formula'>): void {
    const { isPending, state, version } = this.saver;
    if (!isPending && state !== 'conflict' && theirs.version > version) this.#adopt(theirs);
  }

  #adopt({ version, formula }: Pick<Version, 'version' | 'formula'>): void {
    const theirs = withoutStrangeBags(formula, this.household.bags);
    if (JSON.stringify(theirs) !== JSON.stringify(this.formula)) {
      // What a page came with, before it had caught up, is no step: nobody here has seen it.
      if (this.#isBack) this.history.went(this.formula, theirs);
      this.formula = theirs;
    }
    this.saver.adopt(version);
  }

  #show(formula: Formula): void {
    this.formula = formula;
    this.saver.change(formula);
  }
}
