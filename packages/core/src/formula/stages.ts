import {
  allLines,
  mainStage,
  type Formula,
  type Stage,
  type StageHead,
  type StageKind,
} from './formula.ts';

/** What a stage of each kind is called until the baker calls it otherwise. */
export const stageNames: Readonly<Record<StageKind, string>> = {
  starter: 'Starter',
  preferment: 'Pre-ferment',
  soaker: 'Soaker',
  dough: 'Dough',
};

/** The first of s1, s2 … that no stage has. */
function freeStageId({ stages, taken }: Formula): string {
  const used = new Set([...stages, ...taken.flatMap((t) => t.stages ?? [])].map((s) => s.id));
  let n = 1;
  while (used.has(`s${n}`)) n += 1;
  return `s${n}`;
}

/**
 * Adds an empty stage: what is mixed ahead comes before the dough that everything ends in, a further
 * dough after it.
 *
 * @example addStage(formula, 'soaker').stages.length // one more
 */
export function addStage(formula: Formula, kind: StageKind): Formula {
  const like = formula.stages.filter((s) => s.kind === kind).length;
  const stage: Stage = {
    id: freeStageId(formula),
    kind,
    name: like === 0 ? stageNames[kind] : `${stageNames[kind]} ${like + 1}`,
    lines: [],
  };
  const main = formula.stages.findIndex((s) => s.id === mainStage(formula).id);
  const at = kind === 'dough' ? main + 1 : main;
  return {
    ...formula,
    stages: [...formula.stages.slice(0, at), stage, ...formula.stages.slice(at)],
  };
}

/** Changes what a stage says of itself: its name, say. */
export const editStage = (
  formula: Formula,
  stageId: string,
  edit: Partial<Omit<StageHead, 'id'>>,
): Formula => ({
  ...formula,
  stages: formula.stages.map((s) => (s.id === stageId ? { ...s, ...edit } : s)),
});

/**
 * Puts a stage at a place among the stages.
 *
 * @param to place once it is out, from 0
 * @returns the same formula where it is not there, or stands there already
 * @example placeStage(formula, 's2', 0)
 */
export function placeStage(formula: Formula, stageId: string, to: number): Formula {
  const from = formula.stages.findIndex((s) => s.id === stageId);
  const at = Math.max(0, Math.min(formula.stages.length - 1, to));
  if (from < 0 || at === from) return formula;
  const rest = formula.stages.filter((s) => s.id !== stageId);
  return {
    ...formula,
    stages: [...rest.slice(0, at), formula.stages[from]!, ...rest.slice(at)],
  };
}

/**
 * Moves a stage up or down among the stages.
 *
 * @param by −1 up, 1 down
 * @returns the same formula where there is nowhere to go
 * @example moveStage(formula, 's2', -1)
 */
export const moveStage = (formula: Formula, stageId: string, by: -1 | 1): Formula =>
  placeStage(formula, stageId, formula.stages.findIndex((s) => s.id === stageId) + by);

/**
 * Takes a stage out with its lines and what corrections did there. A formula keeps one stage.
 *
 * @returns the same formula where it is the only one, or not there
 * @example removeStage(formula, 's1')
 */
export function removeStage(formula: Formula, stageId: string): Formula {
  const stages = formula.stages.filter((s) => s.id !== stageId);
  if (stages.length === 0 || stages.length === formula.stages.length) return formula;
  return forgetAbsent({
    ...formula,
    stages,
    taken: formula.taken
      .map((t) =>
        t.changes.some((c) => c.stage === stageId)
          ? { ...t, changes: t.changes.filter((c) => c.stage !== stageId) }
          : t,
      )
      .filter((t) => t.changes.length > 0),
  });
}

/**
 * Lets go of what steps and unread rows say of stages and lines that are not there any more: a formula
 * never names what is not in it.
 *
 * @returns the same formula where there is nothing to let go of
 */
export function forgetAbsent(formula: Formula): Formula {
  const stages = new Set(
    [...formula.stages, ...formula.taken.flatMap((t) => t.stages ?? [])].map((s) => s.id),
  );
  const lines = new Set(allLines(formula).map((l) => l.id));
  const astray = (of: { readonly stage?: string; readonly after?: string }) =>
    (of.stage !== undefined && !stages.has(of.stage)) ||
    (of.after !== undefined && !lines.has(of.after));
  const found = <T extends { readonly stage?: string; readonly after?: string }>(of: T): T => {
    if (!astray(of)) return of;
    const { stage, after, ...rest } = of;
    return {
      ...rest,
      ...(stage !== undefined && stages.has(stage) ? { stage } : {}),
      ...(after !== undefined && lines.has(after) ? { after } : {}),
    } as T;
  };
  const { steps, unread } = formula;
  if (!steps?.some(astray) && !unread?.some(astray)) return formula;
  return {
    ...formula,
    ...(steps ? { steps: steps.map(found) } : {}),
    ...(unread ? { unread: unread.map(found) } : {}),
  };
}
