import { mainStage, type Formula } from '../formula/formula.ts';
import type { Folds, Phase } from '../process/method-in.ts';
import type { Task } from '../schedule/task.ts';
import { runStepKinds, type RunStepKindId } from './run-step-kind.ts';
import type { BakeState, RiseNoted, StepNoted } from '../bake/state.ts';

/** How a step of a run stands. */
export type RunStanding = 'done' | 'skipped' | 'under-way' | 'ahead';

/** A step of a run. */
export interface RunStep {
  /** Its name within the bake. */
  readonly id: string;
  readonly kind: RunStepKindId;
  readonly label: string;
  /** What is mixed ahead in it. */
  readonly stage?: string;
  /** The task of the plan that it is, or is a part of. */
  readonly task: string;
  /** It stands in the fridge. */
  readonly cold?: true;
  /** A machine does it, and is looked into meanwhile. */
  readonly runs?: true;
  /** It is looked at while it is kneaded: the kneading goes on after it. */
  readonly within?: true;
  readonly standing: RunStanding;
  readonly begunAt?: string;
  readonly doneAt?: string;
  readonly until?: string;
  readonly says?: string;
  readonly celsius?: number;
  /** Its parts one after another, where the recipe has several. */
  readonly parts?: readonly Phase[];
  /** Folds of a rise, where the recipe has any. */
  readonly folds?: Folds;
  /** So many sheets go in, one after the other. */
  readonly rounds?: number;
}

/** The rise that a step notes. */
export const riseOf = { 'first-rise': 'first', 'final-proof': 'final' } as const;
export const isRise = (kind: RunStepKindId): kind is keyof typeof riseOf => kind in riseOf;

/** When a rise was over: when it was there, or had gone past. */
const riseOver = ({ notes }: RiseNoted): string | undefined =>
  notes.findLast((n) => n.sense === 'there' || n.sense === 'past')?.at;

/** A step of the plan's bread, without the bake's id. */
const nameOf = ({ id, bake }: Pick<Task, 'id' | 'bake'>): string => id.slice(bake.length + 1);

type Seen = Omit<RunStep, 'standing' | 'begunAt' | 'doneAt'>;

/** Whether and when a dough is looked at. */
export interface Look {
  /** Hands or a mixer knead it, and it is looked at before that is over. */
  readonly within?: boolean;
  /** A machine kneads it while nobody is up. */
  readonly unseen?: boolean;
}

/** The plan's tasks as the steps that a baker is led through. */
function seen(tasks: readonly Task[], main: string, { within, unseen }: Look): Seen[] {
  const steps = tasks.flatMap((task): Seen[] => {
    const id = nameOf(task);
    const at = id.lastIndexOf(':');
    const { until, says, celsius, parts, folds, rounds } = task;
    const step: Seen = {
      id,
      kind: task.kind,
      label: task.label,
      task: id,
      ...(at < 0 ? {} : { stage: id.slice(0, at) }),
      ...(until === undefined ? {} : { until }),
      ...(says === undefined ? {} : { says }),
      ...(celsius === undefined ? {} : { celsius }),
      ...(parts ? { parts } : {}),
      ...(folds ? { folds } : {}),
      ...(rounds ? { rounds } : {}),
      ...(task.uses.some((u) => u.resource === 'fridge') ? { cold: true as const } : {}),
    };
    const part = (kind: 'weigh' | 'check'): Seen => ({
      id: kind,
      kind,
      label: runStepKinds[kind].label,
      task: id,
      ...(kind === 'weigh' ? { stage: main } : {}),
      ...(kind === 'check' && within ? { within: true as const } : {}),
    });
    if (task.kind !== 'mix' && task.kind !== 'programme') return [step];
    // A machine is looked into while its programme runs.
    return task.uses.some((u) => u.resource === 'machine')
      ? [part('weigh'), ...(unseen ? [] : [part('check')]), { ...step, runs: true }]
      : [part('weigh'), step, part('check')];
  });
  const last = tasks.at(-1);
  if (!last) return steps;
  const taste: Seen = {
    id: 'taste',
    kind: 'taste',
    label: runStepKinds.taste.label,
    task: nameOf(last),
  };
  return [...steps, taste];
}

/** What was said of a step, in whatever words. */
function noted({ id, kind }: Seen, state: BakeState): StepNoted {
  const said = state.steps[id] ?? {};
  if (kind === 'check') {
    const felt = state.felt[0]?.at;
    return felt === undefined ? said : { ...said, begunAt: felt };
  }
  if (kind === 'taste') return state.finishedAt ? { ...said, doneAt: state.finishedAt } : said;
  if (!isRise(kind)) return said;
  const rise = state.rises[riseOf[kind]];
  if (!rise) return said;
  const over = riseOver(rise);
  return {
    ...said,
    ...(rise.begunAt === undefined ? {} : { begunAt: rise.begunAt }),
    ...(over === undefined ? {} : { doneAt: over }),
  };
}

/** Whether something of the dough itself was weighed. */
const mainWeighed = (formula: Formula, state: BakeState): string | undefined => {
  const main = new Set(mainStage(formula).lines.map((l) => l.id));
  const moments = [...state.weighed]
    .filter(([item]) => main.has(item) || item.startsWith('stage:') || item.startsWith('all:'))
    .map(([, { at }]) => at);
  return moments.sort()[0];
};

/**
 * The steps of a run as they stand: what is done, what is under way. What comes after a step that was begun
 * says that those before it are over, though nobody said so; an oven that is heated says nothing of the dough.
 *
 * @param tasks of the bread in the order of work, as `breadTasks` has them
 * @param look whether and when its dough is looked at
 * @example runSteps(tasks, formula, bakeState([]))[0] // {id: 'weigh', standing: 'ahead', …}
 */
export function runSteps(
  tasks: readonly Task[],
  formula: Formula,
  state: BakeState,
  look: Look = {},
): RunStep[] {
  const main = mainStage(formula).id;
  const steps = seen(tasks, main, look);
  const said = steps.map((s) => noted(s, state));
  const weighedAt = mainWeighed(formula, state);
  const aheadOnly = (s: Seen): boolean => s.stage !== undefined && s.stage !== main;
  const signs = said.map((n) => n.begunAt ?? n.doneAt ?? n.skippedAt);
  for (const [i, s] of steps.entries())
    if (s.kind === 'weigh' && weighedAt !== undefined) signs[i] ??= weighedAt;
  /** When something after a step was done that needs it done. */
  const passed = (i: number): string | undefined => {
    const step = steps[i]!;
    const later = steps.flatMap((other, k) => {
      const at = signs[k];
      if (k <= i || at === undefined) return [];
      if (besideOthers(other.kind)) return besideOthers(step.kind) ? [at] : [];
      // Two things that are mixed ahead know nothing of each other.
      if (aheadOnly(other)) return aheadOnly(step) && other.stage === step.stage ? [at] : [];
      // So is a dough that is still kneaded.
      if (other.within && step.kind === 'mix') return [];
      // A machine is looked into while it runs: only its end says that it was.
      if (other.runs && step.kind === 'check') return said[k]!.doneAt ?? [];
      return [at];
    });
    return later.sort()[0];
  };
  return steps.map((step, i): RunStep => {
    const { begunAt, doneAt, skippedAt } = said[i]!;
    const before = steps[i - 1];
    const goesOnItself = runStepKinds[step.kind].begins === 'itself';
    const wasDone = before && (said[i - 1]!.doneAt ?? said[i - 1]!.skippedAt);
    const follows = goesOnItself && before && aheadOnly(before) === aheadOnly(step);
    const begun = begunAt ?? signs[i] ?? (follows ? wasDone : undefined);
    const over = doneAt ?? (skippedAt === undefined ? passed(i) : undefined);
    const standing: RunStanding =
      skippedAt !== undefined
        ? 'skipped'
        : over !== undefined
          ? 'done'
          : begun !== undefined
            ? 'under-way'
            : 'ahead';
    return {
      ...step,
      standing,
      ...(begun === undefined || skippedAt ? {} : { begunAt: begun }),
      ...(over === undefined ? {} : { doneAt: over }),
    };
  });
}

const besideOthers = (kind: RunStepKindId): boolean => 'beside' in runStepKinds[kind];

/**
 * The step that is to be done or waited for: the first that is not over. A dough that is kneaded is looked at meanwhile,
 * and then the kneading is ended.
 */
export function stepNow(steps: readonly RunStep[]): RunStep | undefined {
  const open = steps.filter(
    (s) => (s.standing === 'ahead' || s.standing === 'under-way') && !besideOthers(s.kind),
  );
  const [first] = open;
  const kneading = first?.kind === 'mix' && first.standing === 'under-way';
  return (kneading ? open.find((s) => s.within) : undefined) ?? first;
}
