import type { StyleId } from '../style/style.ts';
import type { Asked } from './asked.ts';
import type { Outside, Piece, UnreadLine } from './beside.ts';
import type { Process } from './process.ts';
import type { Step } from './step.ts';

/**
 * How a line's amount gets into the bowl: it decides how far the grams can be trusted. `volume` is as
 * the household fills its measures; what each does to the doubt stands in dough/measuring.ts.
 */
export const measuringMethods = [
  'scale',
  'volume',
  'spooned',
  'dipped',
  'heaping',
  'about',
  'count',
] as const;
export type MeasuringMethod = (typeof measuringMethods)[number];

/** One ingredient of one stage. */
export interface Line {
  readonly id: string;
  /** Id in the catalogue. */
  readonly ingredient: string;
  /** The bag that it comes from, where the household tells its bags apart. */
  readonly bag?: string;
  readonly grams: number;
  readonly measured: MeasuringMethod;
  /** Further doubt about the amount, as a share: "heaping", "about", a range. */
  readonly spread?: number;
  /** Stays as it is when the formula is scaled. */
  readonly held?: boolean;
  /** The baker's word against the catalogue's on what counts as flour. */
  readonly countsAsFlour?: boolean;
  readonly note?: string;
  readonly asWritten?: string;
}

export const stageKinds = ['starter', 'preferment', 'soaker', 'dough'] as const;
export type StageKind = (typeof stageKinds)[number];

/** What is mixed together at one time. A starter's flour and water are lines of its stage. */
export interface Stage {
  readonly id: string;
  readonly kind: StageKind;
  readonly name: string;
  readonly lines: readonly Line[];
  /** The household's starter that it is of, for a stage of that kind. */
  readonly bag?: string;
  /** What becomes of it once it is mixed. */
  readonly process?: Process;
}

/** Grams added to (or, negative, held back from) one ingredient of one stage. */
export interface Change {
  readonly stage: string;
  readonly ingredient: string;
  readonly grams: number;
  /** The bag that what it brings in comes from, where that is told apart. */
  readonly bag?: string;
}

/** A stage without its lines. */
export type StageHead = Omit<Stage, 'lines'>;

/** A correction that the baker took. It lies over the lines as typed, so that taking it away restores them. */
export interface Taken {
  readonly id: string;
  /** The correction that it was, for instance `water+`. */
  readonly correction: string;
  readonly reason: string;
  readonly basis: string;
  readonly changes: readonly Change[];
  /** Stages that it brings in: a starter, say. Their lines come of its changes. */
  readonly stages?: readonly StageHead[];
}

/** So many photos stand with a formula at most: of a card two, of a booklet a few. */
export const mostPages = 12;

export const formulaFormat = 'tender-crumb/formula-2';

/** A bread as the baker has it: what was typed, and the corrections taken since. Never changed in place. */
export interface Formula {
  readonly format: typeof formulaFormat;
  readonly name: string;
  readonly style: StyleId;
  /** Nobody said what bread it is: the style is the likeliest. */
  readonly styleGuessed?: boolean;
  readonly stages: readonly Stage[];
  readonly taken: readonly Taken[];
  /** Corrections that the baker chose to leave. */
  readonly left: readonly string[];
  /** Rolls, balls, loaves: pieces of equal weight. */
  readonly pieces?: number;
  /** What one of the pieces is. */
  readonly piece?: Piece;
  /** Slices that the bread is cut into. */
  readonly slices?: number;
  /** The recipe as it was pasted, to the letter. */
  readonly source?: string;
  /** Photos of pages that it was read from, by their ids. */
  readonly pages?: readonly string[];
  /** The work as the recipe has it, in order. */
  readonly steps?: readonly Step[];
  /** Glaze, filling, flour for the bench: what is not in the dough. */
  readonly outside?: readonly Outside[];
  /** Lines of the recipe that could not be read. */
  readonly unread?: readonly UnreadLine[];
  /** What is being tried with it: asked beforehand, and answered by the book. */
  readonly asked?: Asked;
  /** What the baker noted. */
  readonly notes?: string;
  /** Size of the machine's loaf, pan or basket that it is made for, by its name. */
  readonly size?: string;
  /** Id of the machine, mixer or oven that it is made for. */
  readonly device?: string;
}

/** The stage that everything ends in: the last one of kind dough, or else the last. */
export function mainStage(formula: Formula): Stage {
  const stage = formula.stages.findLast((s) => s.kind === 'dough') ?? formula.stages.at(-1);
  if (!stage) throw new RangeError('a formula has at least one stage');
  return stage;
}

const order: readonly StageKind[] = ['starter', 'preferment', 'soaker', 'dough'];

/** Every stage in the order of work, those that taken corrections brought in included. */
export function stagesOf({ stages, taken }: Formula): StageHead[] {
  const brought = taken.flatMap((t) => t.stages ?? []);
  if (brought.length === 0) return [...stages];
  return [...brought, ...stages].sort((a, b) => order.indexOf(a.kind) - order.indexOf(b.kind));
}

/** Every line with its stage, as typed. */
export const allLines = (formula: Formula): Line[] => formula.stages.flatMap((s) => s.lines);

/** A formula without something that it may have. */
function formulaWithout(formula: Formula, key: 'styleGuessed' | 'asked'): Formula {
  const rest: { -readonly [K in keyof Formula]: Formula[K] } = { ...formula };
  delete rest[key];
  return rest;
}

/**
 * A formula as the bread that somebody says it is: no guess any more.
 *
 * @example ofStyle({...formula, style: 'pan', styleGuessed: true}, 'bagel').styleGuessed // undefined
 */
export const ofStyle = (formula: Formula, style: StyleId): Formula => ({
  ...formulaWithout(formula, 'styleGuessed'),
  style,
});

/**
 * A formula with which something is tried; nothing any more where that is absent.
 *
 * @example trying({...formula, asked}, undefined).asked // undefined
 */
export const trying = (formula: Formula, asked: Asked | undefined): Formula =>
  asked ? { ...formula, asked } : formulaWithout(formula, 'asked');

/**
 * A formula once more, under another name: what is tried with the first is not tried with the second.
 *
 * @example copyOf({...formula, asked}, 'Loaf, copy').asked // undefined
 */
export const copyOf = (formula: Formula, name: string): Formula => ({
  ...formulaWithout(formula, 'asked'),
  name,
});
