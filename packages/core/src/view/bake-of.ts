import { checkDough, type DoughAdvice } from '../hands/dough-check.ts';
import { kindOfEvent, type BakeEvent } from '../bake/event.ts';
import { senseSays } from '../bake/event-kinds.ts';
import type { Unsaid } from '../bake/from-plan.ts';
import { cooledAt, type CooledAt } from '../lead/cooled-at.ts';
import { leadOf, signOf, type Sentence } from '../lead/lead.ts';
import { lookInto, machineClock, timerAt, type TimerAt } from '../lead/machine-clock.ts';
import { mixedLines } from '../bake/mixed.ts';
import { overPour } from '../hands/over-pour.ts';
import { ovenPlace } from '../hands/oven-plan.ts';
import { restedFeel, stillToDrink } from '../hands/rested-feel.ts';
import { runOf, type RunView } from '../lead/run-of.ts';
import { recipeWords } from '../lead/recipe-words.ts';
import { runStepKinds } from '../lead/run-step-kind.ts';
import { gatesAt, type Gate } from '../lead/gates.ts';
import { partsAt, type PartAt } from '../process/parts-at.ts';
import { isRise, riseOf, stepNow, type RunStep } from '../lead/run-steps.ts';
import { cautionsAt } from '../lead/step-cautions.ts';
import { hasDrunk, wetFor } from '../lead/touch-moment.ts';
import { fedIn, type FedInBake } from '../bake/jar-feedings.ts';
import { weighingList, type WeighingItem } from '../hands/weighing-list.ts';
import { fussedOver, roomFor, type Room } from '../dough/room-for.ts';
import { tellingDifference } from '../dough/telling-difference.ts';
import { bakesOnly, courseTimes, type Course } from '../course/course.ts';
import { machineFit } from '../course/machine-fit.ts';
import { doughWants } from '../course/wants.ts';
import { level, type Level } from '../dough/level.ts';
import { mixingAdvice } from '../dough/mixing.ts';
import { windowIn } from '../dough/own-window.ts';
import { filledByHabit } from '../dough/parameter.ts';
import type { Rise } from '../ferment/rises.ts';
import { baseOf } from '../formula/base.ts';
import type { Outside } from '../formula/beside.ts';
import type { Change, Formula } from '../formula/formula.ts';
import { resolve, type ResolvedLine } from '../formula/resolve.ts';
import { withBaker } from '../household/baker.ts';
import type { Belief } from '../belief/belief.ts';
import { pantryIn, type Household } from '../household/household.ts';
import { kitchenOf, type Kitchen } from '../belief/kitchen.ts';
import { ovensIn } from '../belief/oven.ts';
import { measureText } from '../ingredient/measure-text.ts';
import type { Bag } from '../ingredient/bag.ts';
import type { Pantry } from '../ingredient/pantry.ts';
import type { Appliance } from '../machine/appliance.ts';
import { kneadingOf, type DeviceId } from '../machine/device.ts';
import { loavesOf, type Shaping } from '../process/shaping.ts';
import { isUnkneaded } from '../process/unkneaded.ts';
import { methodOf } from '../process/written-steps.ts';
import { isRefused, type Refused } from '../quantity/refusal.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import { stepsWritten } from '../schedule/bread.ts';
import { bakedByMachine } from '../schedule/bread-tasks.ts';
import { risesBy } from '../schedule/coming-rises.ts';
import type { Stirred } from '../starter/feeding.ts';
import { jarOf } from '../starter/jar-of.ts';
import type { Window } from '../style/style.ts';
import { choicesFor, substitute } from '../substitute/substitute.ts';
import { lazily } from './lazily.ts';
import { coolingOf, type Cooling } from '../style/cooling.ts';
import { isSliced } from '../style/form.ts';
import { styles } from '../style/style.ts';
import { tenth } from '../quantity/tenth.ts';

/** A bake as its page is given it. */
export interface BakeGiven {
  readonly id: string;
  /** As it was written. */
  readonly formula: Formula;
  readonly method: DeviceId;
  readonly events: readonly BakeEvent[];
  /** On its day. */
  readonly household: Household;
  /** With what is known of its bread. */
  readonly belief: Belief;
}

/** Where the level is thought to be, and its 80 % interval, points. */
type LevelBand = Pick<Level, 'points' | 'low' | 'high'>;

/** All that the page of a bake shows. */
export interface BakeView extends Omit<RunView, 'bread'> {
  readonly bread: RunView['bread'];
  /** The step that is to be done. */
  readonly now: RunStep;
  readonly pantry: Pantry;
  readonly kitchen: Kitchen;
  /** Lines as they are meant. */
  readonly planned: readonly ResolvedLine[];
  /** Lines as they were weighed so far. */
  readonly lines: readonly ResolvedLine[];
  readonly level: Level | undefined;
  /** Cups that somebody's habit fills: it matters who does. */
  readonly byCup: boolean;
  /** Where this bread is right here. */
  readonly window: Window;
  /** Whether slow drinkers make the moment of the touch matter. */
  readonly momentMatters: boolean;
  /** Minutes after which slow drinkers have had enough here. */
  readonly restMinutes: number;
  /** Where it was felt last, points. */
  readonly felt: number | undefined;
  /** The last thing said was how it felt: an addition after that asks to feel again. */
  readonly feltSince: boolean;
  readonly advice: DoughAdvice | undefined;
  /** As they are forecast for the dough as mixed, the way it goes. */
  readonly rises: readonly Rise[];
  readonly course: Course | undefined;
  readonly courseTimes: ReturnType<typeof courseTimes> | undefined;
  readonly findings: ReturnType<typeof machineFit>;
  /** The house told of a mixer or a machine: it may be made in that after all. */
  readonly toldHow: boolean;
  /** What it wants of a machine, and why; where it goes through one. */
  readonly wants: ReturnType<typeof doughWants> | undefined;
  /** When a dough is looked at while it is kneaded. */
  readonly lookAt: ReturnType<typeof lookInto> | undefined;
  /** The household's machine that it goes through. */
  readonly machine: Appliance | undefined;
  /** The household's ovens, and the one that it is baked in. */
  readonly ovens: readonly Appliance[];
  readonly oven: Appliance | undefined;
  readonly ovenPlace: ReturnType<typeof ovenPlace>;
  readonly doughGrams: number;
  readonly shaping: Shaping;
  readonly loaves: number;
  /** It is one bread that is cut into slices. */
  readonly sliced: boolean;
  readonly stages: ReturnType<typeof weighingList>;
  readonly items: readonly WeighingItem[];
  /** What goes in at the signal or at the end of the kneading. */
  readonly atSignal: readonly WeighingItem[];
  /** The last that was tapped and counts, in words. */
  readonly tapSays: (event: BakeEvent) => string;
  /** What is said as a bread goes in; nothing where the household told of no oven, or a machine bakes it. */
  readonly goesIn: Extract<BakeEvent, { kind: 'oven' }>['data'] | undefined;
  /** The jar that a starter of it is fed in; undefined where nobody can tell. */
  readonly jarOf: (stage: string) => Bag | undefined;
  /** What is said where it is fed: to a tenth of a gram, as it is weighed. */
  readonly feeds: (stage: string, stirred: Stirred) => Extract<BakeEvent, { kind: 'fed' }>['data'];
  /** What a starter of it was fed last, and when it stood highest after that. */
  readonly fedLast: (stage: string) => FedInBake | undefined;
  /** What is weighed at a step: what its stage is made of; of a rest of flour and water, those two. */
  readonly itemsOf: (step: RunStep) => readonly WeighingItem[];
  /** What is weighed in the household's spoons and cups; a starter is only ever weighed. */
  readonly inMeasure: (item: WeighingItem) => string | undefined;
  /** What is to be done at a step. */
  readonly sentences: (step: RunStep) => readonly Sentence[];
  /** The recipe's own sentences, by the kind of the step at which they are wanted. */
  readonly words: ReturnType<typeof recipeWords>;
  readonly sign: (step: RunStep) => string;
  /** What lies outside the dough and is wanted at a step, in the recipe's words. */
  readonly outsideAt: (step: RunStep) => readonly Outside[];
  /** Grams of a thing in one of several mixings; undefined where there is one. */
  readonly inOneMixing: (item: WeighingItem) => number | undefined;
  /** What a machine's timer is set to, begun at a moment; undefined where it begins at once. */
  readonly timerAt: (now: string) => TimerAt | undefined;
  /** A machine kneads no more at a moment: its dough rises. */
  readonly isRising: (now: string) => boolean;
  /** How long it cools: as long as the plan has it. */
  readonly cooling: Cooling;
  /** When it leaves its tin and is cut, out of the oven by the plan or already. */
  readonly cooled: (step: RunStep, planned: string | undefined, now: string) => CooledAt;
  /** Dough that goes into the oven: all of it but what was set aside, grams. */
  readonly bakedGrams: number;
  /** What stands in the way of a step at a moment, or is due in it. */
  readonly gates: (step: RunStep, now: string) => readonly Gate[];
  /** A step with its oven as its part of the moment has it. */
  readonly partNow: (step: RunStep, now: string) => PartAt | undefined;
  readonly cautions: (step: RunStep, hours?: number) => ReturnType<typeof cautionsAt>;
  /** From how much to how much of it leaves the dough right, with what is in already; of the flour and the water alone. */
  readonly roomFor: (item: WeighingItem) => Room | undefined;
  /** What a pour that missed its mark does to the dough, and what puts it right. */
  readonly overPour: (
    item: WeighingItem,
    grams: number,
    lines?: readonly ResolvedLine[],
  ) => ReturnType<typeof overPour>;
  /** What may take the place of something that is missing. */
  readonly choices: (item: WeighingItem) => ReturnType<typeof choicesFor>;
  /** Another thing in its place, with all that this asks of the rest, or why it cannot be. */
  readonly swap: (lineId: string, choice: string, label: string) => Unsaid | Refused;
  /** More of a thing: its mark on the list moves, or what lies there already is so much more. */
  readonly moreOf: (lineId: string, grams: number, says: string) => Unsaid | undefined;
}

/** What is added or exchanged, without what else a correction knows of it. */
const plainChange = ({ stage, ingredient, grams }: Change) => ({ stage, ingredient, grams });

/**
 * All that the page of a bake shows, from its events alone.
 *
 * @example bakeOf({id: 'b', formula, method: 'hand', events: [], household, belief}).now.kind // 'feed'
 */
export function bakeOf({
  id,
  formula: written,
  method,
  events,
  household,
  belief,
}: BakeGiven): BakeView {
  const run = runOf({ id, formula: written, device: method, events, household, belief });
  const { state, formula, steps, bread } = run;
  const { device } = bread;
  const baker = withBaker(household, state.baker);
  const unkneaded = isUnkneaded(formula);
  return lazily<BakeView>({
    state: () => state,
    formula: () => formula,
    steps: () => steps,
    bread: () => bread,
    way: () => run.way,
    tasks: () => run.tasks,
    now: () => stepNow(steps) ?? steps.at(-1)!,
    pantry: () => pantryIn(household),
    kitchen: () => kitchenOf(baker, belief),
    planned: ({ pantry }) => resolve(formula, pantry),
    lines: ({ pantry }) => mixedLines(written, state, pantry),
    level: ({ lines, kitchen }) => level(lines, kitchen),
    byCup: ({ planned, kitchen }) => planned.some((l) => filledByHabit(l, kitchen)),
    window: ({ planned, kitchen }) =>
      windowIn(formula.style, baseOf(planned).dryness, kitchen).window,
    checkKind: () => run.checkKind,
    momentMatters: ({ level: at }) => at !== undefined && stillToDrink(at) >= tellingDifference,
    restMinutes: ({ kitchen }) => kitchen.coefficients.restMinutes.value,
    felt: () => state.felt.at(-1)?.points,
    feltSince: ({ felt }) =>
      felt !== undefined && (state.added.at(-1)?.at ?? '') <= (state.felt.at(-1)?.at ?? ''),
    advice: ({ feltSince, level: at, lines, window, pantry }) =>
      feltSince && at
        ? checkDough(
            restedFeel(state.felt.at(-1)!, at),
            window,
            lines,
            at.baseGrams,
            household.measures,
            pantry,
          )
        : undefined,
    rises: () => risesBy(bread, run.way ?? 'as-it-is'),
    course: () => bread.course,
    courseTimes: ({ course }) => course && courseTimes(course),
    findings: ({ course, planned }) =>
      course ? machineFit(formula, course, household, planned) : [],
    toldHow: () => household.appliances.some((a) => a.kind === 'mixer' || a.machine),
    wants: ({ course, planned }) => course && doughWants(formula, planned),
    lookAt: ({ course }) => {
      const runs = steps.find((s) => (s.runs || s.kind === 'mix') && s.standing === 'under-way');
      const within = steps.some((s) => s.within);
      return runs?.begunAt && (course || (within && !runs.runs))
        ? lookInto(runs.begunAt, course)
        : undefined;
    },
    machine: ({ course }) =>
      household.appliances.find((a) => a.machine && a.machine === course?.machine),
    ovens: () => ovensIn(household),
    oven: () => bread.oven,
    ovenPlace: ({ shaping, oven }) => ovenPlace(formula.style, shaping.form, oven),
    doughGrams: ({ lines }) => sumGrams(lines),
    shaping: () => bread.shaping,
    loaves: ({ shaping }) => loavesOf(shaping),
    sliced: ({ loaves, shaping }) => loaves === 1 && isSliced(shaping.form),
    stages: ({ pantry }) => weighingList(formula, device, pantry),
    items: ({ stages }) => stages.flatMap((s) => s.items),
    atSignal: ({ stages }) => (stages.at(-1)?.items ?? []).filter((i) => i.role === 'addIn'),
    goesIn: ({ oven, course }) =>
      oven && !(course && bakesOnly(course) !== undefined)
        ? { oven: oven.id, offset: oven.offset ?? 0 }
        : undefined,
    jarOf: () => (stage) => jarOf(formula, stage, household.bags),
    feeds:
      ({ jarOf: jarOfStage }) =>
      (stage, { seed, flour, water }) => {
        const jar = jarOfStage(stage)?.id;
        const grams = { seed: tenth(seed), flour: tenth(flour), water: tenth(water) };
        return { stage, ...(jar === undefined ? {} : { jar }), ...grams };
      },
    fedLast: () => (stage) => fedIn(state).findLast((f) => f.stage === stage),
    tapSays: (all) => (event) => tapSays(event, all),
    itemsOf:
      ({ stages }) =>
      (step) => {
        if (step.kind === 'autolyse')
          return (stages.at(-1)?.items ?? []).filter(
            (i) => i.role === 'flour' || i.role === 'liquid',
          );
        const stage = stages.find((s) => s.id === step.stage);
        return stage?.items.filter((i) => i.role !== 'addIn' || step.kind !== 'weigh') ?? [];
      },
    inMeasure:
      ({ pantry }) =>
      ({ ingredient, grams }) =>
        ingredient === 'starter'
          ? undefined
          : measureText(grams, pantry.ingredient(ingredient), household.measures),
    sentences: (all) => (step) => {
      const kneading = kneadingOf(device);
      return leadOf({
        step,
        style: formula.style,
        device,
        check: all.checkKind,
        unkneaded,
        state,
        shaping: all.shaping,
        cooling: all.cooling,
        mixing: {
          ...mixingAdvice(all.planned).find((m) => m.by === kneading)!,
          ...kneadsFor(bread),
        },
        yeast: all.planned.some((l) => l.of.yeast && l.grams > 0),
        ...(bread.mixings ? { mixings: bread.mixings } : {}),
        atSignal: all.atSignal.map((i) => i.name),
        ...(all.course ? { course: all.course } : {}),
        ...(all.oven ? { oven: all.oven } : {}),
        ...(household.noProbe ? { noProbe: true } : {}),
        ...(all.rises[0] ? { beforeCold: all.rises[0].dough.air[0]!.hours } : {}),
      });
    },
    words: () =>
      recipeWords(
        methodOf(formula),
        steps.map((s) => s.kind),
      ),
    sign:
      ({ checkKind: check }) =>
      (step) =>
        signOf({ step, style: formula.style, unkneaded, check, noProbe: household.noProbe }),
    outsideAt: () => (step) => {
      const at = wantedAt(steps);
      return (formula.outside ?? []).filter((o) => at(o.use) === step.id);
    },
    inOneMixing: () => (item) => bread.mixings && item.grams * bread.mixings.share,
    timerAt:
      ({ course, courseTimes: times }) =>
      (now) =>
        course && times && times.delay > 0 ? timerAt(course, now) : undefined,
    isRising:
      ({ courseTimes: times }) =>
      (now) => {
        const runs = steps.find((s) => s.runs && s.standing === 'under-way');
        if (!runs?.begunAt || !bread.course || !times) return false;
        const { minute } = machineClock(runs.begunAt, bread.course, state.power, now);
        return bread.course.kind !== 'by-eye' && minute > times.kneadsTo;
      },
    cooling: ({ doughGrams, loaves, shaping }) => {
      const { outOfPan, cut, says } = coolingOf(formula.style, doughGrams / loaves, shaping.form);
      return {
        // Out of a machine's pan it comes as the machine is done.
        outOfPan: bakedByMachine(bread) ? 0 : outOfPan,
        cut: run.tasks.find((t) => t.kind === 'cool')?.usual ?? cut,
        says,
      };
    },
    cooled:
      ({ cooling }) =>
      (step, planned, now) =>
        cooledAt(step, planned, cooling, now),
    bakedGrams: ({ doughGrams }) => doughGrams - (state.aside ?? 0),
    gates:
      ({ stages }) =>
      (step, now) =>
        gatesAt({
          step,
          steps,
          state,
          items: stages.at(-1)?.items ?? [],
          heating: styles[formula.style].baking.heating.value,
          now,
        }),
    partNow: () => (step, now) =>
      step.parts &&
      partsAt(step.parts, step.begunAt, now, step.kind === 'bake' ? bread.ovenPace : 1).find(
        (p) => p.standing !== 'over',
      ),
    cautions:
      ({ ovenPlace: place, course, planned }) =>
      (step, hours) =>
        cautionsAt({
          coated: course?.machine.coatedPan ?? true,
          kind: step.kind,
          device,
          lines: planned,
          pot: place.lid !== undefined || (step.parts?.some((p) => p.lid === true) ?? false),
          steam: place.steam !== undefined,
          glutenFree: household.glutenFree,
          ...(course ? { course } : {}),
          ...(hours === undefined ? {} : { hours }),
          ...(step.celsius === undefined ? {} : { celsius: step.celsius }),
        }),
    roomFor: ({ lines, planned, window, kitchen }) => {
      const fussed = new Set(fussedOver(planned).map((l) => l.id));
      return (item) => {
        const [line] = item.lines;
        if (line === undefined || item.lines.length > 1 || !fussed.has(line)) return undefined;
        const room = roomFor(lines, line, window, kitchen);
        return room && item.grams >= room.from && item.grams <= room.to ? room : undefined;
      };
    },
    overPour:
      (all) =>
      (item, grams, lines = all.lines) =>
        overPour(lines, item.lines[0] ?? item.id, grams, all.kitchen),
    choices: () => (item) => {
      const [line] = item.lines;
      return line === undefined
        ? []
        : choicesFor(formula, line, household).filter((c) => !c.refused);
    },
    swap: () => (lineId, choice, label) => {
      const swap = substitute(formula, lineId, choice, baker, belief);
      if (isRefused(swap)) return swap;
      const taken = swap.formula.taken.slice(formula.taken.length);
      const changes = [...taken, ...swap.consequences].flatMap((t) => t.changes.map(plainChange));
      return { kind: 'instead', data: { of: lineId, says: label, changes } };
    },
    moreOf:
      ({ planned }) =>
      (lineId, grams, says) => {
        const line = planned.find((l) => l.id === lineId);
        if (!line) return undefined;
        const there = state.weighed.get(lineId);
        if (there) {
          const { byScale } = there;
          return { kind: 'weighed', data: { item: lineId, grams: there.grams + grams, byScale } };
        }
        const { stage, ingredient } = line;
        const changes = [{ stage, ingredient, grams }];
        return { kind: 'instead', data: { of: lineId, says, changes } };
      },
  });
}

/** At which step what lies outside a dough is wanted: flour for the bench as it is shaped, a glaze before the oven. */
function wantedAt(steps: readonly RunStep[]): (use: Outside['use']) => string | undefined {
  const first = (...kinds: ReadonlyArray<RunStep['kind']>) =>
    kinds.flatMap((kind) => steps.find((s) => s.kind === kind) ?? [])[0]?.id;
  const places = {
    dusting: first('shape', 'bake', 'programme'),
    filling: first('shape', 'bake', 'programme'),
    glaze: first('bake', 'programme'),
    topping: first('bake', 'programme'),
    boil: first('bake', 'programme'),
  } as const satisfies Record<Outside['use'], string | undefined>;
  return (use) => places[use];
}

/** Minutes of kneading as its recipe has them, where hands or a mixer knead it. */
function kneadsFor(bread: RunView['bread']): { readonly minutes?: number } {
  const { minutes } = stepsWritten(bread).mix?.process ?? {};
  return minutes === undefined || bread.course ? {} : { minutes };
}

/** What a tap said, for whoever takes it back. */
function tapSays(event: BakeEvent, { steps, items }: Pick<BakeView, 'steps' | 'items'>): string {
  if (event.kind === 'step' || event.kind === 'rise') {
    const of =
      event.kind === 'step'
        ? steps.find((s) => s.id === event.data.step)
        : steps.find((s) => isRise(s.kind) && riseOf[s.kind] === event.data.rise);
    return `${of?.label ?? ''} ${senseSays[event.data.sense]}`;
  }
  const weighed =
    event.kind === 'weighed' ? items.find((i) => i.id === event.data.item) : undefined;
  return weighed ? `${weighed.name} weighed` : (kindOfEvent(event)?.says ?? '');
}

/** What a bake's touch is compared with at a moment. */
export interface TouchView {
  /** Minutes for which the flour has been wet, by what was tapped. */
  readonly wetFor: number | undefined;
  /** Whether it has drunk by now: as the baker says, else by the time since mixing. */
  readonly rested: boolean | undefined;
  readonly forecast: LevelBand | undefined;
}

/**
 * The forecast for a touch at a moment: before slow flour has drunk, a dough is looser than it will be.
 *
 * @param clock ISO moment
 * @param said whether it has rested, as the baker says; undefined where nobody said
 */
export function touchAt(
  { steps, courseTimes: times, level: at, momentMatters, restMinutes }: BakeView,
  clock: string,
  said: boolean | undefined,
): TouchView {
  const wet = wetFor(steps, clock, times?.kneadsFrom ?? 0);
  const rested = said ?? hasDrunk(wet, restMinutes);
  const early =
    at && momentMatters && rested === false
      ? {
          points: at.early,
          low: at.low + at.early - at.points,
          high: at.high + at.early - at.points,
        }
      : at;
  return { wetFor: wet, rested, forecast: early };
}

/** What the taps of a step say. */
export const tapsOf = (step: RunStep) => runStepKinds[step.kind];
