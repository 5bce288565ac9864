/** What a machine does in a stage of its programme: whether its paddle turns, whether it heats, what it is called. */
interface MachineStageKind {
  readonly label: string;
  readonly turns: boolean;
}

/** One row a kind of stage. */
export const machineStageKinds = {
  rest: { label: 'rests and warms everything', turns: false },
  knead: { label: 'kneads', turns: true },
  rise: { label: 'lets it rise', turns: false },
  'knock-down': { label: 'knocks it down', turns: true },
  proof: { label: 'lets it proof', turns: false },
  bake: { label: 'bakes', turns: false },
  warm: { label: 'keeps it warm', turns: false },
} as const satisfies Record<string, MachineStageKind>;

export type MachineStageKindId = keyof typeof machineStageKinds;
export const machineStageKindIds = Object.keys(machineStageKinds) as MachineStageKindId[];

/** A stage of a programme. */
export interface MachineStage {
  readonly kind: MachineStageKindId;
  readonly minutes: number;
  /** What it keeps the pan at; absent where it does not heat. */
  readonly celsius?: number;
}

/** What a programme is for: a dough is matched to it by this. */
export const programmeUses = {
  plain: 'white and mixed wheat doughs',
  whole: 'for whole grain, slower',
  sweet: 'doughs rich in sugar, egg or butter',
  short: 'doughs without wheat flour: one short knead, one rise',
  dough: 'the dough only, for the oven',
  knead: 'kneading only',
  bake: 'baking only',
} as const;

export type ProgrammeUse = keyof typeof programmeUses;
export const programmeUseIds = Object.keys(programmeUses) as ProgrammeUse[];

/** A programme as stages with their minutes and warmth. */
export interface Programme {
  readonly id: string;
  readonly label: string;
  readonly use: ProgrammeUse;
  readonly stages: readonly MachineStage[];
  /** Minute at which it calls for what is added in; absent where it does not call. */
  readonly signal?: number;
  /** It can be set to begin later. */
  readonly delays: boolean;
}

/** A stage by the minutes of its programme. */
interface StageSpan extends MachineStage {
  readonly from: number;
  readonly to: number;
}

/**
 * The stages of a programme one after the other, minutes from its start.
 *
 * @param shift minutes that its last bake is longer by: a larger size, a darker crust, a whole-grain loaf
 * @example spansOf(programme).at(-1)!.to // 210
 */
export function spansOf({ stages }: Pick<Programme, 'stages'>, shift = 0): StageSpan[] {
  let at = 0;
  return stages.map((stage) => {
    const from = at;
    at += Math.max(0, stage.minutes + (stage.kind === 'bake' ? shift : 0));
    return { ...stage, from, to: at };
  });
}

/** Minutes until the loaf, or the dough, is ready: what only keeps it warm is not waited for. */
export const programmeMinutes = (programme: Pick<Programme, 'stages'>, shift = 0): number =>
  spansOf(programme, shift).reduce((end, s) => (s.kind === 'warm' ? end : Math.max(end, s.to)), 0);

/** Minutes that its paddle turns before the dough rises. */
export function kneadMinutes({ stages }: Pick<Programme, 'stages'>): number {
  const rises = stages.findIndex((s) => s.kind === 'rise' || s.kind === 'proof');
  const before = rises < 0 ? stages : stages.slice(0, rises);
  return before.reduce((sum, s) => sum + (machineStageKinds[s.kind].turns ? s.minutes : 0), 0);
}

/** Minute at which kneading begins: after the rest. */
export const kneadsFrom = (programme: Pick<Programme, 'stages'>): number | undefined =>
  spansOf(programme).find((s) => s.kind === 'knead')?.from;

/** Minute at which it has kneaded: what rises after that is not to be touched. */
export function kneadsTo(programme: Pick<Programme, 'stages'>): number | undefined {
  const spans = spansOf(programme);
  const rises = spans.findIndex((s) => s.kind === 'rise' || s.kind === 'proof');
  return (rises < 0 ? spans : spans.slice(0, rises)).findLast((s) => s.kind === 'knead')?.to;
}

/** Minute from which the paddle turns no more: it can be taken out then. */
export const paddleStill = (programme: Pick<Programme, 'stages'>): number | undefined =>
  spansOf(programme).findLast((s) => machineStageKinds[s.kind].turns)?.to;

/** Whether it rises a dough by its own clock. */
export const risesByClock = ({ stages }: Pick<Programme, 'stages'>): boolean =>
  stages.some((s) => s.kind === 'rise' || s.kind === 'proof');

/** Whether it ends in a loaf. */
export const bakes = ({ stages }: Pick<Programme, 'stages'>): boolean =>
  stages.some((s) => s.kind === 'bake');
