import {
  cautionsAt,
  checkDough,
  checkKindOf,
  hasDrunk,
  householdOn,
  isRise,
  kindOfEvent,
  lookInto,
  loavesOf,
  leadOf,
  mixedLines,
  ovenPlace,
  overPour,
  restedFeel,
  riseOf,
  runOf,
  runStepKinds,
  signOf,
  stepNow,
  stillToDrink,
  usualShaping,
  wetFor,
  weighingList,
  type BakeEvent,
  type Circumstances,
  type Outcome,
  type RunStep,
  type WeighingItem,
} from '@tender-crumb/core/bake';
import { tellingDifference } from '@tender-crumb/core/correct';
import { courseTimes, machineFit } from '@tender-crumb/core/course';
import { filledByHabit, level, mixingAdvice, windowIn } from '@tender-crumb/core/dough';
import type { Rise } from '@tender-crumb/core/ferment';
import { baseOf, resolve, type Formula } from '@tender-crumb/core/formula';
import {
  kitchenOf,
  pantryIn,
  withBaker,
  type Belief,
  type Household,
} from '@tender-crumb/core/household';
import { measureText, type Ingredient } from '@tender-crumb/core/ingredient';
import { bakeRises } from '@tender-crumb/core/learn';
import { kneadingOf, type DeviceId } from '@tender-crumb/core/machine';
import { isUnkneaded } from '@tender-crumb/core/process';
import { isRefused, sumGrams } from '@tender-crumb/core/quantity';
import { choicesFor, substitute } from '@tender-crumb/core/substitute';
import { rememberBaker } from '../bake/baker-here.ts';
import { currentIso } from '../clock.ts';
import { RunEvents } from './run-events.svelte.ts';

/** What a bake's page is given. */
export interface RunData {
  readonly id: string;
  readonly formula: Formula;
  readonly method: DeviceId;
  readonly household: Household;
  readonly belief: Belief;
  readonly events: readonly BakeEvent[];
  readonly circumstances: Circumstances;
  readonly lastNotes?: Readonly<Record<string, string>>;
}

/** A step is put off, and takes longer, by so much at a tap, minutes. */
export const laterBy = 15;
export const longerBy = 10;
const senseSays = {
  begun: 'begun',
  done: 'done',
  skipped: 'left out',
  later: 'put off',
  longer: 'takes longer',
  'not-yet': 'not yet',
  there: 'ready',
  past: 'gone over',
} as const;

/** One bake being made: its events, what they add up to, what to do next. */
export class Run extends RunEvents {
  /** As it stood when the bake began. */
  readonly asWritten: Formula;
  readonly method: DeviceId;
  household = $state.raw<Household>() as Household;
  belief = $state.raw<Belief>() as Belief;
  /** What was noted at each step the last time. */
  readonly lastNotes: Readonly<Record<string, string>>;
  /** The step that is looked at; the one that is to be done where nobody chose. */
  chosen = $state<string | undefined>();
  /** Where the dough is being felt, before it is said. */
  feeling = $state<number | undefined>();
  readonly view = $derived.by(() =>
    runOf({
      id: this.id,
      formula: this.asWritten,
      device: this.method,
      events: this.events,
      household: this.household,
      belief: this.belief,
    }),
  );
  readonly state = $derived(this.view.state);
  /** As it is made: a share of it, with what went in instead. */
  readonly formula = $derived(this.view.formula);
  readonly steps = $derived(this.view.steps);
  readonly now = $derived(stepNow(this.steps) ?? this.steps.at(-1)!);
  readonly step = $derived(this.steps.find((s) => s.id === this.chosen) ?? this.now);
  readonly pantry = $derived(pantryIn(this.household));
  readonly kitchen = $derived(kitchenOf(withBaker(this.household, this.state.baker), this.belief));
  readonly planned = $derived(resolve(this.formula, this.pantry));
  readonly lines = $derived.by(() => mixedLines(this.asWritten, this.state, this.pantry));
  readonly level = $derived.by(() => level(this.lines, this.kitchen));
  readonly base = $derived(baseOf(this.planned));
  /** Cups that somebody's habit fills: it matters who does. */
  readonly byCup = $derived(this.planned.some((l) => filledByHabit(l, this.kitchen)));
  /** Where this bread is right here, and where its style has it. */
  readonly wanted = $derived(windowIn(this.formula.style, this.base.dryness, this.kitchen));
  readonly window = $derived(this.wanted.window);
  readonly checkKind = $derived.by(() =>
    checkKindOf(this.formula.style, this.method, this.base.dryness > 0.5),
  );
  /** Whether slow drinkers make the moment of the touch matter, and what the baker says of it. */
  readonly momentMatters = $derived(
    this.level !== undefined && stillToDrink(this.level) >= tellingDifference,
  );
  /** What the clock says; the page moves it. ISO moment. */
  clock = $state(currentIso());
  /** When the touch is, as the baker said; nothing is chosen for anybody. */
  restedSaid = $state<boolean | undefined>();
  /** Minutes for which the flour has been wet, by what was tapped. */
  readonly wetFor = $derived.by(() =>
    wetFor(this.steps, this.clock, this.courseTimes?.kneadsFrom ?? 0),
  );
  /** Whether the flour has drunk by now: as the baker says, else by the time since mixing. */
  readonly rested = $derived(this.restedSaid ?? hasDrunk(this.wetFor));
  /** The forecast for the moment of the touch. */
  readonly forecast = $derived.by(() => {
    if (!this.level || !this.momentMatters || this.rested !== false) return this.level;
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
          this.pantry,
        )
      : undefined,
  );

  /** The rises of this dough as they are forecast, by the dough as mixed and what was noted before. */
  readonly rises = $derived.by(() =>
    bakeRises(this.formula, this.lines, this.state, this.household, this.belief),
  );
  readonly course = $derived(this.view.bread.course);
  readonly courseTimes = $derived(this.course && courseTimes(this.course));
  readonly findings = $derived.by(() =>
    this.course ? machineFit(this.formula, this.course, this.household, this.planned) : [],
  );
  /** When a machine's dough is looked at: five to ten minutes into its kneading. */
  readonly lookAt = $derived.by(() => {
    const runs = this.steps.find((s) => s.runs && s.standing === 'under-way');
    return runs?.begunAt && this.course ? lookInto(runs.begunAt, this.course) : undefined;
  });
  /** The household's machine that it goes through. */
  readonly machine = $derived(
    this.household.appliances.find((a) => a.machine && a.machine === this.course?.machine),
  );
  readonly oven = $derived(this.household.appliances.find((a) => a.kind === 'oven'));
  /** Where it stands in this oven, and with how much steam. */
  readonly ovenPlace = $derived.by(() =>
    ovenPlace(this.formula.style, this.shaping.form, this.oven),
  );
  readonly doughGrams = $derived(sumGrams(this.lines));
  /** What it is shaped to, and in how many pieces. */
  readonly shaping = $derived(this.state.divided ?? usualShaping(this.formula));
  readonly pieces = $derived(this.shaping.pieces);
  readonly loaves = $derived(loavesOf(this.shaping));

  readonly stages = $derived.by(() => weighingList(this.formula, this.method, this.pantry));
  readonly items = $derived(this.stages.flatMap((s) => s.items));

  constructor(given: RunData) {
    super(given.id, given.events);
    this.asWritten = given.formula;
    this.method = given.method;
    this.household = householdOn(given.household, given.circumstances);
    this.belief = given.belief;
    this.lastNotes = given.lastNotes ?? {};
  }

  /** What is weighed at a step: what its stage is made of. Of a rest of flour and water, those two. */
  itemsOf(step: RunStep): readonly WeighingItem[] {
    if (step.kind === 'autolyse')
      return (this.stages.at(-1)?.items ?? []).filter(
        (i) => i.role === 'flour' || i.role === 'liquid',
      );
    const stage = this.stages.find((s) => s.id === step.stage);
    return stage?.items.filter((i) => i.role !== 'addIn' || step.kind !== 'weigh') ?? [];
  }
  /** What goes in at the signal or at the end of the kneading. */
  readonly atSignal = $derived((this.stages.at(-1)?.items ?? []).filter((i) => i.role === 'addIn'));

  /** What is weighed in the household's spoons and cups; a starter is only ever weighed. */
  inMeasure({ ingredient, grams }: WeighingItem): string | undefined {
    return ingredient === 'starter'
      ? undefined
      : measureText(grams, this.ingredient(ingredient), this.household.measures);
  }

  /** An ingredient of this household. */
  ingredient(id: string): Ingredient {
    return this.pantry.ingredient(id);
  }

  /** What is to be done at a step, sentence by sentence. */
  sentences(step: RunStep) {
    const kneading = kneadingOf(this.method);
    return leadOf({
      step,
      style: this.formula.style,
      device: this.method,
      check: this.checkKind,
      unkneaded: isUnkneaded(this.formula),
      state: this.state,
      shaping: this.shaping,
      pieceGrams: this.doughGrams / this.loaves,
      mixing: mixingAdvice(this.planned).find((m) => m.by === kneading)!,
      atSignal: this.atSignal.map((i) => i.name),
      outside: (this.formula.outside ?? []).map((o) => o.says),
      ...(this.course ? { course: this.course } : {}),
      ...(this.oven ? { oven: this.oven } : {}),
    });
  }
  sign(step: RunStep): string {
    return signOf({ step, style: this.formula.style, unkneaded: isUnkneaded(this.formula) });
  }
  cautions(step: RunStep, hours?: number) {
    const place = this.ovenPlace;
    return cautionsAt({
      coated: this.course?.machine.coatedPan ?? true,
      kind: step.kind,
      device: this.method,
      lines: this.planned,
      pot: place.lid !== undefined,
      steam: place.steam !== undefined,
      glutenFree: this.household.glutenFree,
      ...(this.course ? { course: this.course } : {}),
      ...(hours === undefined ? {} : { hours }),
      ...(step.celsius === undefined ? {} : { celsius: step.celsius }),
    });
  }

  /** Takes in what the server has by now: events of other devices among ours. */
  receive({
    household,
    belief,
    events,
    circumstances,
  }: Pick<RunData, 'household' | 'belief' | 'events' | 'circumstances'>): void {
    this.household = householdOn(household, circumstances);
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

  /** What a pour that missed its mark does to the dough, and what puts it right. */
  overPour(item: WeighingItem, grams: number, lines = this.lines) {
    return overPour(lines, item.lines[0] ?? item.id, grams, this.kitchen);
  }

  /** More of a thing goes in: its mark on the list moves, or what lies there already is so much more. */
  moreOf(lineId: string, grams: number, says: string): void {
    const line = this.planned.find((l) => l.id === lineId);
    if (!line) return;
    const there = this.state.weighed.get(lineId);
    if (there) {
      this.say('weighed', { item: lineId, grams: there.grams + grams, byScale: there.byScale });
      return;
    }
    const { stage, ingredient } = line;
    this.say('instead', { of: lineId, says, changes: [{ stage, ingredient, grams }] });
  }

  /** What may take the place of something that is missing. */
  choices(item: WeighingItem) {
    const line = item.lines[0];
    return line === undefined
      ? []
      : choicesFor(this.formula, line, this.household).filter((c) => !c.refused);
  }

  /** Puts another thing in its place, with all that this asks of the rest. */
  takeInstead(lineId: string, choice: string, label: string): string | undefined {
    const swap = substitute(
      this.formula,
      lineId,
      choice,
      withBaker(this.household, this.state.baker),
      this.belief,
    );
    if (isRefused(swap)) return swap.refused.says;
    const taken = swap.formula.taken.slice(this.formula.taken.length);
    const changes = [
      ...taken.flatMap((t) => t.changes),
      ...swap.consequences.flatMap((c) => c.changes),
    ];
    this.say('instead', {
      of: lineId,
      says: label,
      changes: changes.map(({ stage, ingredient, grams }) => ({ stage, ingredient, grams })),
    });
    return undefined;
  }

  feel(points: number): void {
    this.say('felt', {
      points,
      ...(this.momentMatters && this.rested !== undefined ? { rested: this.rested } : {}),
    });
    // Where the clock tells, it tells the next touch too; else the answer stands.
    if (this.wetFor !== undefined) this.restedSaid = undefined;
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
    this.say('batch', { share: (this.state.batch ?? 1) * share });
  }

  /** A step begins now. */
  begin(step: RunStep): void {
    if (isRise(step.kind)) this.noteRise(riseOf[step.kind], 'begun');
    else this.say('step', { step: step.id, sense: 'begun' });
  }

  /** A step is over: what comes by itself after it has begun. */
  done(step: RunStep): void {
    this.#over(step, 'done');
  }
  skip(step: RunStep): void {
    this.#over(step, 'skipped');
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
    const at = this.steps.findIndex((s) => s.id === step.id);
    const next = this.steps[at + 1];
    if (next && isRise(next.kind) && next.begunAt === undefined) this.begin(next);
  }

  /** Everything in: where a machine makes it, it runs from now. */
  allIn(step: RunStep): void {
    this.atOnce(() => {
      this.say('step', { step: step.id, sense: 'done' });
      const runs = this.steps.find((s) => s.runs && s.task === step.task);
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
    const before = this.steps.slice(
      0,
      this.steps.findIndex((s) => s.id === step.id),
    );
    this.atOnce(() => {
      for (const { id, standing } of before)
        if (standing === 'ahead' || standing === 'under-way')
          this.say('step', { step: id, sense: 'skipped' });
      if (isRise(step.kind)) this.begin(step);
    });
    this.chosen = undefined;
  }

  /** The last that was tapped and counts. */
  readonly lastTap = $derived.by(() => {
    const last = this.lastThatCounts;
    return last && { id: last.id, says: this.#tapSays(last) };
  });

  #tapSays(event: BakeEvent): string {
    if (event.kind === 'step' || event.kind === 'rise') {
      const id =
        event.kind === 'step'
          ? event.data.step
          : event.data.rise === 'first'
            ? 'first-rise'
            : 'final-proof';
      const label = this.steps.find((s) => s.id === id)?.label ?? '';
      return `${label} ${senseSays[event.data.sense]}`;
    }
    if (event.kind === 'weighed') {
      const name = this.items.find((i) => i.id === event.data.item)?.name;
      if (name) return `${name} weighed`;
    }
    return kindOfEvent(event)?.says ?? '';
  }

  /** Says how it came out and ends it; pressed twice it is once. */
  finish(outcome: Outcome): void {
    if (this.state.finishedAt) return;
    this.say('outcome', outcome);
    this.say('finished', {});
  }

  /** Takes the last tap back, and shows where the bake stands then. */
  override takeBackLast(): void {
    super.takeBackLast();
    this.chosen = undefined;
  }

  giveUp(): void {
    if (!this.state.abandonedAt) this.say('abandoned', {});
  }

  /** The kind of a step's row: what its taps say. */
  taps(step: RunStep) {
    return runStepKinds[step.kind];
  }
}
