import type { Method, MethodSentence, MatterId } from '../process/method-in.ts';
import { hoursText } from '../quantity/duration.ts';
import { ledAs } from '../process/rises-once.ts';
import { stepKinds, type StepKindId } from '../process/step-kind.ts';
import type { Task } from '../schedule/task.ts';

/** What of a step that is planned or led its sentence is held against. */
type LedTask = Pick<Task, 'kind' | 'usual' | 'uses'>;

/** What becomes of a sentence of a recipe in the bake that is led. */
export interface SentenceLed extends MethodSentence {
  readonly led: 'followed' | 'changed' | 'not-used';
  /** Why it is changed or not used, as a sentence. */
  readonly why?: string;
}

/** Times that lie no further apart are one: minutes, and as a share. Own choice, no source. */
const sameMinutes = 5;
const sameShare = 0.1;

/** Why a step takes another time than its recipe says. */
const reasons: Readonly<Partial<Record<StepKindId, string>>> = {
  'first-rise': 'for this dough, its leaven and how warm it is here',
  'final-proof': 'for this dough, its leaven and how warm it is here',
  bake: 'at your oven’s own pace',
  mix: 'as it is made here',
  cool: 'for what it weighs',
};

/** Matters that no clock tells: they stand with their step, in the recipe's words. */
const withStep: Readonly<Record<MatterId, readonly StepKindId[]>> = {
  folds: ['first-rise'],
  shape: ['shape'],
  brush: ['shape', 'bake'],
  score: ['shape', 'bake'],
  steam: ['bake'],
  rack: ['bake'],
  // Where it stands, it is done: with the step after it.
  deed: [],
};
export const isMatter = (id: StepKindId | MatterId): id is MatterId => id in withStep;
/** The steps at which a matter is wanted, in the order of work. */
export const stepsOfMatter = (id: MatterId): readonly StepKindId[] => withStep[id];

function ofKind(
  kind: StepKindId,
  { says }: MethodSentence,
  { steps }: Method,
  tasks: readonly LedTask[],
): Pick<SentenceLed, 'led' | 'why'> {
  const oneRise = !(steps['first-rise'] && steps['final-proof']);
  const at = oneRise ? ledAs(kind, (k) => tasks.some((t) => t.kind === k)) : kind;
  const task = tasks.find((t) => t.kind === at);
  if (!task) {
    const machine = tasks.some((t) => t.uses.some((u) => u.resource === 'machine'));
    if (machine) return { led: 'changed', why: 'The machine does this.' };
    return {
      led: 'not-used',
      why: `There is no step “${stepKinds[kind].label}” in this bake.`,
    };
  }
  const step = steps[kind];
  const said = step?.process.minutes;
  const itsOwn = step?.says === says || step?.phases.some((p) => p.says === says);
  if (!itsOwn && step && said !== undefined && /\d/.test(says))
    return { led: 'not-used', why: `“${step.says}” says it already.` };
  if (said === undefined) return { led: 'followed' };
  const most = step?.process.mostMinutes ?? said;
  const off = task.usual < said ? said - task.usual : Math.max(0, task.usual - most);
  // Weighing is part of the mixing here, and no recipe counts it.
  const counted = kind === 'mix' ? Math.max(0, off - weighing) : off;
  if (counted <= Math.max(sameMinutes, sameShare * said)) return { led: 'followed' };
  const more = task.usual > most;
  return {
    led: 'changed',
    why: `${hoursText(Math.abs(task.usual - (more ? most : said)) / 60)} ${more ? 'more' : 'less'}, ${reasons[kind] ?? 'as it goes here'}.`,
  };
}

/** Minutes of weighing that stand in the mixing. Common practice, no source. */
const weighing = 10;

/**
 * The sentences of a recipe's method beside the bake that is led: followed, changed and why, or not used; none is gone.
 *
 * @param tasks of the bread, as it is planned or led
 * @example followedIn(methodOf(formula), tasks)[0].led // 'followed'
 */
export function followedIn(method: Method, tasks: readonly LedTask[]): SentenceLed[] {
  const moved = outOfOrder(method, tasks);
  return method.sentences.map((sentence, i): SentenceLed => {
    const { about } = sentence;
    if (about.length === 0)
      return { ...sentence, led: 'not-used', why: 'Nothing here for a step.' };
    const found = about.map((id) =>
      isMatter(id)
        ? id === 'deed' || tasks.some((t) => withStep[id].includes(t.kind))
          ? { led: 'followed' as const }
          : { led: 'not-used' as const, why: 'Its step is not in this bake.' }
        : ofKind(id, sentence, method, tasks),
    );
    const worst = found.find((f) => f.led === 'changed') ??
      (found.every((f) => f.led === 'not-used') ? found[0] : undefined) ?? {
        led: 'followed' as const,
      };
    const before = moved.get(i);
    return before !== undefined && worst.led === 'followed'
      ? { ...sentence, led: 'changed', why: `It is done before “${before}”: that needs it.` }
      : { ...sentence, ...worst };
  });
}

/** Sentences that stand after what needs them, each with the label of that. What runs beside the dough may stand anywhere. */
function outOfOrder(
  { sentences, steps }: Method,
  tasks: readonly LedTask[],
): ReadonlyMap<number, string> {
  const found = new Map<number, string>();
  let furthest = -1;
  for (const [i, { says, about }] of sentences.entries()) {
    const places = about.flatMap((id) =>
      isMatter(id) || beside.has(id) || steps[id]?.says !== says
        ? []
        : tasks.flatMap((t, k) => (t.kind === id ? [k] : [])),
    );
    const [first] = places;
    if (first !== undefined && first < furthest)
      found.set(i, stepKinds[tasks[furthest]!.kind].label);
    furthest = Math.max(furthest, ...places);
  }
  return found;
}
const beside: ReadonlySet<StepKindId> = new Set(['heat', 'feed', 'preferment', 'soak', 'ripen']);
