import {
  householdUnderWay,
  type Circumstances,
  type Outcome,
  type Unsaid,
} from '@tender-crumb/core/bake';
import { type WeighingItem } from '@tender-crumb/core/hands';
import { isRise, riseOf, type RunStep } from '@tender-crumb/core/lead';
import type { Rise } from '@tender-crumb/core/ferment';
import type { Belief } from '@tender-crumb/core/belief';
import type { Household } from '@tender-crumb/core/household';
import type { DeviceId } from '@tender-crumb/core/machine';
import { isRefused } from '@tender-crumb/core/quantity';
import type { Stirred } from '@tender-crumb/core/starter';
import { bakeOf, touchAt, type BakeGiven } from '@tender-crumb/core/view';
import { rememberBaker } from '../wire/baker-here.ts';
import { currentIso } from '../clock.ts';
import { RunEvents } from './run-events.svelte.ts';

/** What a bake's page is given. */
export interface RunData extends BakeGiven {
  readonly circumstances: Circumstances;
  readonly lastNotes?: Readonly<Record<string, string>>;
  /** What is tried in this bake, where something is. */
  readonly trial?: string | undefined;
}

/** A step is put off, and takes longer, by so much at a tap, minutes. */
export const laterBy = 15;
export const longerBy = 10;

/** One bake being made: what is chosen on its page, and what was said of it. What it adds up to is its view. */
export class Run extends RunEvents {
  readonly #written: Pick<BakeGiven, 'formula' | 'method'>;
  household = $state.raw<Household>() as Household;
  belief = $state.raw<Belief>() as Belief;
  /** What was noted at each step the last time. */
  readonly lastNotes: Readonly<Record<string, string>>;
  readonly trial: string | undefined;
  /** The step that is looked at; the one that is to be done where nobody chose. */
  chosen = $state<string | undefined>();
  /** Where the dough is being felt, before it is said. */
  feeling = $state<number | undefined>();
  /** What the clock says; the page moves it. ISO moment. */
  clock = $state(currentIso());
  /** When the touch is, as the baker said; nothing is chosen for anybody. */
  restedSaid = $state<boolean | undefined>();
  /** All that is shown of it. */
  readonly view = $derived.by(() =>
    bakeOf({
      id: this.id,
      ...this.#written,
      events: this.events,
      household: this.household,
      belief: this.belief,
    }),
  );
  readonly step = $derived(this.view.steps.find((s) => s.id === this.chosen) ?? this.view.now);
  readonly touch = $derived(touchAt(this.view, this.clock, this.restedSaid));
  readonly lastTap = $derived.by(() => {
    const last = this.lastThatCounts;
    return last && { id: last.id, says: this.view.tapSays(last) };
  });

  constructor(given: RunData) {
    super(given.id, given.events);
    this.#written = { formula: given.formula, method: given.method };
    this.household = householdUnderWay(given.household, given.circumstances);
    this.belief = given.belief;
    this.lastNotes = given.lastNotes ?? {};
    this.trial = given.trial;
  }

  /** Takes in what the server has by now: events of other devices among ours. */
  receive({
    household,
    belief,
    events,
    circumstances,
  }: Pick<RunData, 'household' | 'belief' | 'events' | 'circumstances'>): void {
    this.household = householdUnderWay(household, circumstances);
    this.belief = belief;
    this.hear(events);
  }

  weigh(item: WeighingItem, grams = item.grams, byScale = false): void {
    this.say('weighed', { item: item.id, grams, byScale });
  }

  unweigh(item: WeighingItem): void {
    this.say('unweighed', { item: item.id });
  }

  /** Somebody stands at the bowl: in this bake, and in the next of this device. */
  bakedBy(baker: string): void {
    this.say('baker', { baker });
    rememberBaker(baker);
  }

  /** In what it is made, chosen as it begins. */
  makesIn(device: DeviceId): void {
    const was = this.view.bread.device;
    if (device !== was) this.say('made', { device, was });
  }

  /** More of a thing goes in. */
  moreOf(lineId: string, grams: number, says: string): void {
    this.#saysUnsaid(this.view.moreOf(lineId, grams, says));
  }

  /** Puts another thing in its place; gives why it cannot be, where it cannot. */
  takeInstead(lineId: string, choice: string, label: string): string | undefined {
    const swap = this.view.swap(lineId, choice, label);
    if (isRefused(swap)) return swap.refused.says;
    this.#saysUnsaid(swap);
    return undefined;
  }

  #saysUnsaid(unsaid: Unsaid | undefined): void {
    if (unsaid) this.say(unsaid.kind, unsaid.data);
  }

  feel(points: number): void {
    this.say('felt', {
      points,
      ...(this.view.momentMatters && this.touch.rested !== undefined
        ? { rested: this.touch.rested }
        : {}),
    });
    // Where the clock tells, it tells the next touch too; else the answer stands.
    if (this.touch.wetFor !== undefined) this.restedSaid = undefined;
    this.feeling = undefined;
  }

  add(ingredient: string, grams: number): void {
    this.say('added', { ingredient, grams });
    this.feeling = undefined;
  }

  noteRise(rise: Rise['id'], sense: 'begun' | 'not-yet' | 'there' | 'past'): void {
    this.say('rise', { rise, sense });
  }

  /** So much of it is made as stands on the list now, times this. */
  scaleBy(share: number): void {
    this.say('batch', { share: (this.view.state.batch ?? 1) * share });
  }

  /** The same, with what else goes with it, as one tap. */
  scaleTo(share: number, also: () => void): void {
    this.atOnce(() => {
      also();
      this.scaleBy(share);
    });
  }

  /** A step begins now. */
  begin(step: RunStep): void {
    if (isRise(step.kind)) this.noteRise(riseOf[step.kind], 'begun');
    else if (step.kind === 'bake') this.#goesIn(step);
    else this.say('step', { step: step.id, sense: 'begun' });
  }

  /** A bread goes into the oven, with what is known of that by now: it is what its minutes are learned by. */
  #goesIn(step: RunStep): void {
    const { goesIn } = this.view;
    this.atOnce(() => {
      if (goesIn) this.say('oven', goesIn);
      this.say('step', { step: step.id, sense: 'begun' });
    });
  }

  /** A step is over: what comes by itself after it has begun. */
  done(step: RunStep): void {
    this.#over(step, 'done');
  }
  skip(step: RunStep): void {
    this.#over(step, 'skipped');
  }

  /** A starter is fed: the bake goes on, and its jar was fed. */
  fed(step: RunStep, stirred: Stirred): void {
    const { stage } = step;
    this.atOnce(() => {
      if (stage !== undefined) this.say('fed', this.view.feeds(stage, stirred));
      this.#saysOver(step, 'done');
    });
    this.chosen = undefined;
  }

  /** A starter stands highest now. */
  peaked(stage: string): void {
    this.say('peaked', { stage });
  }

  #over(step: RunStep, sense: 'done' | 'skipped'): void {
    this.atOnce(() => this.#saysOver(step, sense));
    this.chosen = undefined;
  }
  #saysOver(step: RunStep, sense: 'done' | 'skipped'): void {
    if (isRise(step.kind) && sense === 'done') {
      if (step.begunAt === undefined) this.noteRise(riseOf[step.kind], 'begun');
      this.noteRise(riseOf[step.kind], 'there');
    } else this.say('step', { step: step.id, sense });
    const at = this.view.steps.findIndex((s) => s.id === step.id);
    const next = this.view.steps[at + 1];
    if (next && isRise(next.kind) && next.begunAt === undefined) this.begin(next);
  }

  /** Everything in: where a machine makes it, it runs from now. */
  allIn(step: RunStep): void {
    this.atOnce(() => {
      this.say('step', { step: step.id, sense: 'done' });
      const runs = this.view.steps.find((s) => s.runs && s.task === step.task);
      if (runs) this.say('step', { step: runs.id, sense: 'begun' });
    });
    this.chosen = undefined;
  }

  /** It is put off, or takes longer, by so many minutes from now. */
  later(step: RunStep, minutes: number): void {
    this.say('step', { step: step.id, sense: 'later', minutes: Math.max(1, Math.round(minutes)) });
  }
  longer(step: RunStep, minutes: number): void {
    this.say('step', { step: step.id, sense: 'longer', minutes: Math.max(1, Math.round(minutes)) });
  }

  /** All before a step was done elsewhere: the bake is begun in its middle. */
  beginHere(step: RunStep): void {
    const before = this.view.steps.slice(
      0,
      this.view.steps.findIndex((s) => s.id === step.id),
    );
    this.atOnce(() => {
      for (const { id, standing } of before)
        if (standing === 'ahead' || standing === 'under-way')
          this.say('step', { step: id, sense: 'skipped' });
      if (isRise(step.kind)) this.begin(step);
    });
    this.chosen = undefined;
  }

  /** Says how it came out and ends it; pressed twice it is once. */
  finish(outcome: Outcome): void {
    if (this.view.state.finishedAt) return;
    this.say('outcome', outcome);
    this.say('finished', {});
  }

  /** Takes the last tap back, and shows where the bake stands then. */
  override takeBackLast(): void {
    super.takeBackLast();
    this.chosen = undefined;
  }

  giveUp(): void {
    if (!this.view.state.abandonedAt) this.say('abandoned', {});
  }
}
