import {
  bakeRises,
  bakeState,
  checkDough,
  householdOn,
  kitchenOf,
  level,
  mixedLines,
  pantryIn,
  restedFeel,
  stillToDrink,
  tellingDifference,
  resolve,
  weighingList,
  windowFor,
  baseOf,
  type BakeEvent,
  type Circumstances,
  type Ingredient,
  type Belief,
  type Formula,
  type Household,
  type DeviceId,
  type Outcome,
  type Rise,
  type WeighingItem,
} from '@tender-crumb/core';
import { nanoid } from 'nanoid';
import { outbox } from '../sync/here.ts';
import { bakeLane, eventEntry } from '../sync/kinds.ts';
import { sync } from '../sync/sync.svelte.ts';

export const steps = ['weigh', 'check', 'rise', 'outcome'] as const;
export type Step = (typeof steps)[number];

type EventOf<Kind extends BakeEvent['kind']> = Extract<BakeEvent, { kind: Kind }>;

/** One bake being made: its events, what they add up to, what to do next. */
export class Run {
  readonly id: string;
  readonly formula: Formula;
  /** As it was when the bake began. */
  household = $state.raw<Household>() as Household;
  belief = $state.raw<Belief>() as Belief;
  step = $state<Step>('weigh');
  /** Where the dough is being felt, before it is said. */
  feeling = $state<number | undefined>();
  events = $state.raw<readonly BakeEvent[]>([]);
  /** What this browser has said and the server has not acknowledged. */
  readonly waiting = $derived.by(
    () => sync.standing.waiting.filter((e) => e.lane === bakeLane(this.id)).length,
  );
  /** It cannot go out just now; what is so, stands above the page. */
  readonly stuck = $derived.by(() => this.waiting > 0 && sync.isStuck);

  readonly state = $derived(bakeState(this.events));
  readonly lines = $derived.by(() =>
    mixedLines(this.formula, this.state, pantryIn(this.household)),
  );
  readonly level = $derived.by(() => level(this.lines, kitchenOf(this.household, this.belief)));
  readonly window = $derived.by(() =>
    windowFor(
      this.formula.style,
      baseOf(resolve(this.formula, pantryIn(this.household))).dryness,
      this.household.figures,
    ),
  );
  /** Whether slow drinkers make the moment of the touch matter, and what the baker says of it. */
  readonly momentMatters = $derived(
    this.level !== undefined && stillToDrink(this.level) >= tellingDifference,
  );
  rested = $state(true);
  /** The forecast for the moment of the touch. */
  readonly forecast = $derived.by(() => {
    if (!this.level || !this.momentMatters || this.rested) return this.level;
    const { early, points, low, high } = this.level;
    return { points: early, low: low + early - points, high: high + early - points };
  });
  readonly touch = $derived(this.state.felt.at(-1));
  readonly felt = $derived(this.touch?.points);
  /** The last thing said was how it felt: an addition after that asks to feel again. */
  readonly feltSince = $derived(
    this.felt !== undefined &&
      (this.state.added.at(-1)?.at ?? '') <= (this.state.felt.at(-1)?.at ?? ''),
  );
  readonly advice = $derived.by(() =>
    this.felt !== undefined && this.feltSince && this.level
      ? checkDough(
          restedFeel(this.touch!, this.level),
          this.window,
          this.lines,
          this.level.baseGrams,
          this.household.measures,
          pantryIn(this.household),
        )
      : undefined,
  );

  /** The rises of this dough as they are forecast, by the dough as mixed and what was noted before. */
  readonly rises = $derived.by(() =>
    bakeRises(this.formula, this.lines, this.state, this.household, this.belief),
  );

  constructor(given: {
    id: string;
    formula: Formula;
    method: DeviceId;
    household: Household;
    belief: Belief;
    events: readonly BakeEvent[];
    circumstances: Circumstances;
  }) {
    this.id = given.id;
    this.formula = given.formula;
    this.household = householdOn(given.household, given.circumstances);
    this.belief = given.belief;
    this.events = given.events;
    this.stages = weighingList(given.formula, given.method, pantryIn(this.household));
    if (this.state.felt.length > 0) this.step = 'check';
    if (Object.keys(this.state.rises).length > 0) this.step = 'rise';
  }

  readonly stages: ReturnType<typeof weighingList>;
  readonly items = $derived.by(() => this.stages.flatMap((s) => s.items));
  /** The first thing that is not ticked off yet. */
  readonly nextItem = $derived(this.items.find((i) => !this.state.weighed.has(i.id)));

  /** An ingredient of this household. */
  ingredient(id: string): Ingredient {
    return pantryIn(this.household).ingredient(id);
  }

  /** Follows what becomes of what was said; brings back what an earlier page could not send. */
  follow(ondelivered: () => void): () => void {
    const box = outbox();
    void box.waitingIn(bakeLane(this.id)).then((kept) => {
      this.#merge(kept.map((e) => e.body as BakeEvent));
    });
    return box.subscribe(({ outcome }) => {
      if (outcome?.entry.lane === bakeLane(this.id) && outcome.result.kind === 'delivered') {
        ondelivered();
      }
    });
  }

  /** Takes in what the server has by now: events of other devices among ours. */
  receive({
    household,
    belief,
    events,
    circumstances,
  }: Pick<Run, 'household' | 'belief' | 'events'> & { circumstances: Circumstances }): void {
    this.household = householdOn(household, circumstances);
    this.belief = belief;
    this.#merge(events);
  }

  #merge(more: readonly BakeEvent[]): void {
    const known = new Set(this.events.map((e) => e.id));
    const fresh = more.filter((e) => !known.has(e.id));
    if (fresh.length > 0) this.events = [...this.events, ...fresh];
  }

  say<Kind extends BakeEvent['kind']>(kind: Kind, data: EventOf<Kind>['data']): void {
    const event = { id: nanoid(), at: this.#now(), kind, data } as BakeEvent;
    this.events = [...this.events, event];
    void outbox().add(eventEntry(this.id, event));
  }

  weigh(item: WeighingItem, grams = item.grams, byScale = false): void {
    this.say('weighed', { item: item.id, grams, byScale });
  }

  unweigh(item: WeighingItem): void {
    this.say('unweighed', { item: item.id });
  }

  feel(points: number): void {
    this.say('felt', { points, ...(this.momentMatters ? { rested: this.rested } : {}) });
    this.feeling = undefined;
  }

  add(ingredient: string, grams: number): void {
    this.say('added', { ingredient, grams });
    this.feeling = undefined;
  }

  noteRise(rise: Rise['id'], sense: 'begun' | 'not-yet' | 'there' | 'past'): void {
    this.say('rise', { rise, sense });
  }

  /** Takes the last that was noted of a rise back. */
  unnoteRise(rise: Rise['id']): void {
    const gone = new Set(this.events.map((e) => (e.kind === 'retracted' ? e.data.event : '')));
    const last = this.events
      .filter((e) => e.kind === 'rise' && e.data.rise === rise && !gone.has(e.id))
      .sort((a, b) => (a.at < b.at ? -1 : 1))
      .at(-1);
    if (last) this.retract(last.id);
  }

  retract(event: string): void {
    this.say('retracted', { event });
  }

  /** Says how it came out and ends it; pressed twice it is once. */
  finish(outcome: Outcome): void {
    if (this.state.finishedAt) return;
    this.say('outcome', outcome);
    this.say('finished', {});
  }

  giveUp(): void {
    if (!this.state.abandonedAt) this.say('abandoned', {});
  }

  /** Takes the last of a kind back: a finish, or that it was given up. */
  takeBack(kind: 'finished' | 'abandoned'): void {
    for (const event of this.events.filter((e) => e.kind === kind)) this.retract(event.id);
  }

  /** Later than every event so far, whatever this tablet's clock says of the other's. */
  #now(): string {
    const last = this.events.reduce((latest, e) => (e.at > latest ? e.at : latest), '');
    const now = new Date().toISOString();
    return now > last ? now : new Date(Date.parse(last) + 1).toISOString();
  }
}
