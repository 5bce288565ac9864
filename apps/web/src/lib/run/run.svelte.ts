import {
  bakeState,
  checkDough,
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
  isDryBase,
  type BakeEvent,
  type Ingredient,
  type Belief,
  type Formula,
  type Household,
  type LoadingMethod,
  type Outcome,
  type WeighingItem,
} from '@tender-crumb/core';
import { EventQueue } from './queue.ts';

export const steps = ['weigh', 'check', 'outcome'] as const;
export type Step = (typeof steps)[number];

type EventOf<Kind extends BakeEvent['kind']> = Extract<BakeEvent, { kind: Kind }>;

/** One bake being made: its events, what they add up to, what to do next. */
export class Run {
  readonly id: string;
  readonly formula: Formula;
  readonly household: Household;
  readonly belief: Belief;
  readonly queue: EventQueue;
  step = $state<Step>('weigh');
  waiting = $state(0);
  fault = $state('');
  /** Where the dough is being felt, before it is said. */
  feeling = $state<number | undefined>();
  events = $state.raw<readonly BakeEvent[]>([]);

  readonly state = $derived(bakeState(this.events));
  readonly lines = $derived.by(() =>
    mixedLines(this.formula, this.state, pantryIn(this.household)),
  );
  readonly level = $derived.by(() => level(this.lines, kitchenOf(this.household, this.belief)));
  readonly window = $derived.by(() =>
    windowFor(
      this.formula.style,
      isDryBase(resolve(this.formula, pantryIn(this.household))),
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

  constructor(given: {
    id: string;
    formula: Formula;
    method: LoadingMethod;
    household: Household;
    belief: Belief;
    events: readonly BakeEvent[];
  }) {
    this.id = given.id;
    this.formula = given.formula;
    this.household = given.household;
    this.belief = given.belief;
    this.events = given.events;
    this.stages = weighingList(given.formula, given.method, pantryIn(given.household));
    this.queue = new EventQueue(given.id, (waiting, fault) => {
      this.waiting = waiting;
      this.fault = fault;
    });
    if (this.state.felt.length > 0) this.step = 'check';
  }

  readonly stages: ReturnType<typeof weighingList>;
  readonly items = $derived.by(() => this.stages.flatMap((s) => s.items));
  /** The first thing that is not ticked off yet. */
  readonly nextItem = $derived(this.items.find((i) => !this.state.weighed.has(i.id)));

  /** An ingredient of this household. */
  ingredient(id: string): Ingredient {
    return pantryIn(this.household).ingredient(id);
  }

  recover(): void {
    const kept = this.queue.recover();
    if (kept.length > 0) this.events = [...this.events, ...kept];
  }

  say<Kind extends BakeEvent['kind']>(kind: Kind, data: EventOf<Kind>['data']): void {
    const event = { id: crypto.randomUUID(), at: this.#now(), kind, data } as BakeEvent;
    this.events = [...this.events, event];
    this.waiting += 1;
    this.queue.add(event);
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

  retract(event: string): void {
    this.say('retracted', { event });
  }

  async finish(outcome: Outcome): Promise<void> {
    this.say('outcome', outcome);
    this.say('finished', {});
    await this.queue.settle();
  }

  /** Later than every event so far, whatever this tablet's clock says of the other's. */
  #now(): string {
    const last = this.events.reduce((latest, e) => (e.at > latest ? e.at : latest), '');
    const now = new Date().toISOString();
    return now > last ? now : new Date(Date.parse(last) + 1).toISOString();
  }
}
