import {
  isTimed,
  type NoTimedPlan,
  type PlannedBake,
  type TimedPlan,
  type TimedStep,
} from '@tender-crumb/core/schedule';
import type { MovedOption, PlanView, PlannedWithBake } from '@tender-crumb/core/view';
import { nanoid } from 'nanoid';
import { outbox } from '../sync/here.ts';
import { saidOf, saidRow, type Settled } from '../sync/said.ts';
import { sync } from '../sync/sync.svelte.ts';
import type { PlanData } from '../server/plan-data.ts';
import { breadsHere, ofNoBread } from './breads-here.ts';
import { keepPlan, lastPlan } from './last-plan.ts';
import { movedBeside, planBeside, wakePlanner } from './planner.ts';
import { currentIso, currentMs, currentTime } from '../clock.ts';

/** The clock is looked at so often, ms; a plan follows it in larger steps. */
const tick = 15_000;
const planStep = 5 * 60_000;

/** A step's name within its bake. */
export const stepName = ({ id, bake }: Pick<TimedStep, 'id' | 'bake'>): string =>
  id.slice(bake.length + 1);

/** The plan of a household as it stands on this page: what is wished, when everything is done, what is next. */
export class Planning {
  #given = $state.raw<PlanData>() as PlanData;
  /** Of breads that were planned here just now, until the server says it. */
  #here = $state.raw(ofNoBread);
  answer = $state.raw<TimedPlan | NoTimedPlan | undefined>();
  /** The last plan that could be made. */
  timed = $state.raw<TimedPlan | undefined>();
  now = $state.raw(currentTime());
  fault = $state('');
  busy = $state(false);
  #asked = 0;
  /** What is tried before it is said: a step that is being dragged. */
  #trial = $state.raw<{ readonly bake: string; readonly step: string; readonly at: string }>();
  readonly #onchange: () => Promise<unknown>;

  constructor(data: PlanData, onchange: () => Promise<unknown>) {
    this.#given = data;
    this.#onchange = onchange;
    wakePlanner();
  }

  /** All that is planned by. */
  readonly data = $derived.by<PlanData>(() => {
    const { formulas, versions, devices } = this.#here;
    return {
      ...this.#given,
      formulas: { ...formulas, ...this.#given.formulas },
      versions: { ...versions, ...this.#given.versions },
      devices: { ...devices, ...this.#given.devices },
    };
  });
  readonly #planned = $derived(sync.planned(this.#given.plans));
  /** What is planned, with what was said of it here and is still on its way. */
  readonly plans = $derived(
    // Of a bread that was planned here, and whose bench was never opened here, only the server knows what it is.
    this.#planned.filter((p) => this.data.formulas[p.id] !== undefined),
  );
  readonly steps = $derived(this.timed?.steps ?? []);
  readonly refused = $derived(this.answer && !isTimed(this.answer) ? this.answer : undefined);
  /** What is to be done by somebody, or looked at, from now on. */
  readonly ahead = $derived(this.steps.filter((s) => !this.isDone(s)));
  readonly next = $derived(this.ahead.find((s) => !this.isBegun(s)));

  receive(data: PlanData): void {
    this.#given = data;
    this.now = currentTime();
    void this.#recall();
    void this.work();
  }

  /** Looks what this browser knows of breads that the server has not heard to be planned. */
  async #recall(): Promise<void> {
    const unknown = this.#planned.filter((p) => this.data.formulas[p.id] === undefined);
    if (unknown.length === 0) return;
    const here = await breadsHere(unknown);
    if (Object.keys(here.formulas).length === 0) return;
    this.#here = {
      formulas: { ...this.#here.formulas, ...here.formulas },
      versions: { ...this.#here.versions, ...here.versions },
      devices: { ...this.#here.devices, ...here.devices },
    };
    await this.work();
  }

  /** Follows the clock; ends when the page goes. */
  follow(): () => void {
    let planned = currentMs();
    const last = lastPlan(this.plans);
    if (last) this.#show(last, false);
    void this.work();
    const timer = setInterval(() => {
      this.now = currentTime();
      if (currentMs() - planned < planStep) return;
      planned = currentMs();
      void this.work();
    }, tick);
    // Of a bake that was begun away the server has more to say than this page.
    const end = outbox().subscribe(({ outcome }) => {
      if (outcome?.entry.kind === 'begin' && outcome.result.kind === 'delivered')
        void this.#onchange();
    });
    return () => {
      clearInterval(timer);
      end();
    };
  }

  async work(): Promise<void> {
    const mine = (this.#asked += 1);
    if (this.plans.length === 0) {
      [this.answer, this.timed] = [undefined, undefined];
      return;
    }
    const trial = this.#trial;
    const plans = this.plans.map((p) =>
      trial?.bake === p.id ? { ...p, locks: { ...p.locks, [trial.step]: trial.at } } : p,
    );
    this.busy = true;
    try {
      const { household, belief, formulas, devices, zone } = this.data;
      const given = { plans, household, belief, formulas, devices, zone };
      const view = await planBeside(given, this.now);
      if (mine !== this.#asked) return;
      this.#show(view, trial !== undefined);
      if (!trial) keepPlan(plans, view);
      performance.mark('planned');
    } catch {
      if (mine === this.#asked) this.fault = 'The plan could not be worked out. Nothing is lost.';
    } finally {
      if (mine === this.#asked) this.busy = false;
    }
  }

  #show({ answer, facts, recipes }: PlanView, isTrial: boolean): void {
    this.answer = answer;
    this.#facts = facts;
    this.recipes = recipes;
    if (isTimed(answer)) this.timed = answer;
    // What is dragged where it cannot go leaves the plan as it was.
    else if (!isTrial) this.timed = undefined;
  }

  planOf(bake: string): PlannedWithBake | undefined {
    return this.plans.find((p) => p.id === bake);
  }

  nameOf(bake: string): string {
    return this.data.formulas[bake]?.name ?? '';
  }

  isDone(step: TimedStep): boolean {
    return this.#fact(step)?.end !== undefined;
  }

  isBegun(step: TimedStep): boolean {
    return this.#fact(step)?.start !== undefined;
  }

  isHeld(step: TimedStep): boolean {
    return this.planOf(step.bake)?.locks?.[stepName(step)] !== undefined;
  }

  /** What was done of each bake, on the plan and in the bake itself. */
  /** The sentences of each recipe beside its plan. */
  recipes = $state.raw<PlanView['recipes']>({});
  #facts = $state.raw<PlanView['facts']>({});
  #fact(step: TimedStep) {
    return this.#facts[step.bake]?.[stepName(step)];
  }

  /** Plans a bread. */
  add(
    formulaId: string,
    wish: Omit<PlannedBake, 'id' | 'formulaId' | 'version'>,
  ): Promise<boolean> {
    return this.#put(nanoid(), undefined, { formulaId, ...wish });
  }

  /** Changes what is wished of a planned bake. */
  change(bake: string, change: (of: PlannedBake) => PlannedBake): Promise<boolean> {
    const known = this.planOf(bake);
    if (!known) return Promise.resolve(false);
    const { begun, ...plan } = known;
    void begun;
    return this.#put(bake, plan, change(plan));
  }

  async drop(bake: string): Promise<void> {
    await this.#ask(() => saidRow('plan-off', { id: bake }));
  }

  /** A step is done, now; what came before it in its bake was, too, and its way is settled. */
  done(step: TimedStep): Promise<boolean> {
    const now = currentIso();
    const way = this.timed?.bakes.find((b) => b.id === step.bake)?.way;
    return this.change(step.bake, (plan) => ({
      ...plan,
      ...(way ? { ways: [way] } : {}),
      facts: {
        ...plan.facts,
        [stepName(step)]: {
          start: plan.facts?.[stepName(step)]?.start ?? earlier(step.start, now),
          end: now,
        },
      },
    }));
  }

  /** A step begins now. */
  begin(step: TimedStep): Promise<boolean> {
    const way = this.timed?.bakes.find((b) => b.id === step.bake)?.way;
    return this.change(step.bake, (plan) => ({
      ...plan,
      ...(way ? { ways: [way] } : {}),
      facts: { ...plan.facts, [stepName(step)]: { start: currentIso() } },
    }));
  }

  /** Takes back that a step was begun or done. */
  undo(step: TimedStep): Promise<boolean> {
    return this.change(step.bake, (plan) => {
      const { [stepName(step)]: gone, ...facts } = plan.facts ?? {};
      void gone;
      return { ...plan, facts };
    });
  }

  /** Holds a step fast at a time, or lets it go. */
  hold(step: TimedStep, at: string | undefined): Promise<boolean> {
    return this.change(step.bake, (plan) => {
      const { [stepName(step)]: before, ...rest } = plan.locks ?? {};
      void before;
      return { ...plan, locks: at === undefined ? rest : { ...rest, [stepName(step)]: at } };
    });
  }

  /** What gives where a bread is wanted at another time; nothing is taken by asking. */
  movedTo(bake: string, readyBy: string): Promise<readonly MovedOption[]> {
    const { household, belief, formulas, devices, zone } = this.data;
    const given = { plans: this.plans, household, belief, formulas, devices, zone };
    return movedBeside(given, bake, readyBy, this.now);
  }

  /** A bread is wanted at another time, and goes that way. */
  takeMoved(bake: string, readyBy: string, { way, shaping }: MovedOption): Promise<boolean> {
    return this.change(bake, ({ beginAt, ...plan }) => {
      void beginAt;
      return { ...plan, readyBy, ways: [way], ...(shaping ? { shaping } : {}) };
    });
  }

  /** Shows what follows if a step is moved there, before that is said. */
  try(step: TimedStep | undefined, at = ''): void {
    this.#trial = step ? { bake: step.bake, step: stepName(step), at } : undefined;
    void this.work();
  }

  #put(
    id: string,
    was: PlannedBake | undefined,
    now: Omit<PlannedBake, 'id' | 'version'>,
  ): Promise<boolean> {
    return this.#ask(() =>
      // A bake that nobody planned stands among the plans without being one.
      saidOf('plan', id, was && was.version > 0 ? wishes(was) : undefined, wishes(now)),
    );
  }

  async #ask(ask: () => Promise<Settled>): Promise<boolean> {
    this.fault = '';
    const { refused, waits, says } = await ask();
    if (refused) this.fault = `That was not written down: ${says}`;
    if (!waits) await this.#onchange();
    else this.receive(this.#given);
    return !refused;
  }
}

/** What of a planned bake is said: neither its name nor how often it was changed. */
const wishes = (plan: object): object => {
  const { id, version, ...said } = plan as PlannedBake;
  void [id, version];
  return said;
};

/** The earlier of two moments. */
const earlier = (a: string, b: string): string => (Date.parse(a) < Date.parse(b) ? a : b);
