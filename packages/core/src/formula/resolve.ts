import type { Ingredient } from '../ingredient/ingredient.ts';
import { cataloguePantry, type Pantry } from '../ingredient/pantry.ts';
import { inState, type StuffState } from '../ingredient/state.ts';
import { stateIn } from './stage-state.ts';
import {
  stagesOf,
  type Formula,
  type Line,
  type StageHead,
  type StageKind,
  type Taken,
} from './formula.ts';

/** A line with what the taken corrections make of it. */
export interface LaidLine extends Line {
  readonly stage: string;
  readonly stageKind: StageKind;
  /** What it became in its stage, if that was soaked or cooked. */
  readonly state: StuffState | undefined;
  /** Grams before any correction; 0 for a line that a correction brought in. */
  readonly typedGrams: number;
  readonly corrections: readonly string[];
}

/** A laid line with what it is made of in this household: its ingredient as it is in its bag. */
export interface ResolvedLine extends LaidLine {
  readonly of: Ingredient;
}

/** Below a millionth of a gram there is nothing, and nothing to divide by. */
const nothingBelow = 1e-6;

/**
 * Id of the line that corrections bring in where a stage has none of that ingredient. Events of bakes
 * name lines by it: it keeps the word of the first version.
 */
const broughtIn = (stage: string, ingredient: string): string => `slip:${stage}:${ingredient}`;

/**
 * The formula's lines with the taken corrections laid over them, in order. A change goes to the first
 * line of its ingredient in its stage, or brings a line in; a line never falls below 0 g.
 *
 * @example layLines(formula).map((l) => l.grams)
 */
export function layLines(formula: Formula): LaidLine[] {
  const lines: LaidLine[] = formula.stages.flatMap((stage) =>
    stage.lines.map((line) => ({
      // Field by field: one shape for every line keeps a keystroke's evaluation fast.
      id: line.id,
      ingredient: line.ingredient,
      bag: line.bag,
      grams: line.grams < nothingBelow ? 0 : line.grams,
      measured: line.measured,
      spread: line.spread,
      held: line.held,
      countsAsFlour: line.countsAsFlour,
      note: line.note,
      asWritten: line.asWritten,
      stage: stage.id,
      stageKind: stage.kind,
      state: stateIn(stage),
      typedGrams: line.grams,
      corrections: [],
    })),
  );
  if (formula.taken.length > 0) {
    const stages = stagesOf(formula);
    const places = placesOf(lines);
    for (const taken of formula.taken) lay(taken, lines, places, stageIn(stages));
  }
  return lines;
}

/** @throws RangeError for a stage that is not there: formulas are checked at the door */
const stageIn = (stages: readonly StageHead[]) => (id: string) => {
  const stage = stages.find((s) => s.id === id);
  if (!stage) throw new RangeError(`no stage "${id}" in the formula`);
  return stage;
};

/** Where each ingredient stands in each stage, so that a correction need not look through every line. */
type Places = Map<string, number[]>;

const placeKey = (stage: string, ingredient: string): string => `${stage} ${ingredient}`;

function placesOf(lines: readonly LaidLine[], into: Places = new Map()): Places {
  into.clear();
  for (const [at, { stage, ingredient }] of lines.entries()) {
    const key = placeKey(stage, ingredient);
    const known = into.get(key);
    if (known) known.push(at);
    else into.set(key, [at]);
  }
  return into;
}

/** A formula is a value: it is laid out once in each pantry. */
const resolved = new WeakMap<Formula, WeakMap<Pantry, readonly ResolvedLine[]>>();

/**
 * The formula's lines with corrections laid over them, each with what it is made of.
 *
 * @throws RangeError for an ingredient that the pantry has not: ids are checked at the door
 * @example resolve(formula, pantry).map((l) => l.of.name)
 */
export function resolve(formula: Formula, pantry: Pantry = cataloguePantry): ResolvedLine[] {
  let ofPantry = resolved.get(formula);
  if (!ofPantry) resolved.set(formula, (ofPantry = new WeakMap()));
  let lines = ofPantry.get(pantry);
  if (!lines) {
    lines = layLines(formula).map((line) => withStuff(line, pantry));
    ofPantry.set(pantry, lines);
  }
  // The list is the caller's own; the lines are values.
  return lines.slice();
}

/** A laid line with what it is made of. */
export const withStuff = (line: LaidLine, pantry: Pantry): ResolvedLine =>
  // Assigned, not spread: one shape for every line keeps a keystroke's evaluation fast.
  Object.assign(line as ResolvedLine, { of: inState(pantry.stuff(line), line.state) });

function lay(
  taken: Taken,
  lines: LaidLine[],
  places: Places,
  stageOf: (id: string) => StageHead,
): void {
  for (const change of taken.changes) {
    const stage = stageOf(change.stage);
    const own = places.get(placeKey(stage.id, change.ingredient)) ?? [];
    if (own.length > 0) {
      // What is added goes to the first; what is taken, from one after the other as far as they reach.
      let rest = change.grams;
      for (const at of own) {
        const line = lines[at]!;
        const part = rest < 0 ? Math.max(rest, -line.grams) : rest;
        lines[at] = {
          ...line,
          grams: line.grams + part,
          corrections: [...line.corrections, taken.id],
        };
        rest -= part;
        if (rest >= 0) break;
      }
    } else if (change.grams > 0) {
      const gone = lines.findIndex((l) => l.stage === stage.id && gaveWay(taken, l));
      lines.splice(gone < 0 ? lines.length : gone + 1, 0, {
        id: broughtIn(stage.id, change.ingredient),
        ingredient: change.ingredient,
        bag: change.bag ?? lines.find((l) => l.ingredient === change.ingredient)?.bag,
        grams: change.grams,
        measured: 'scale',
        stage: stage.id,
        stageKind: stage.kind,
        state: stateIn(stage),
        typedGrams: 0,
        corrections: [taken.id],
      });
      placesOf(lines, places);
    }
  }
}

/** Whether a correction takes from a line: what it brings in stands next to that. */
const gaveWay = ({ changes }: Taken, line: LaidLine): boolean =>
  changes.some((c) => c.stage === line.stage && c.ingredient === line.ingredient && c.grams < 0);

/** Whether a resolved line stands in the formula only through a correction. */
export const isBroughtIn = (lineId: string): boolean => lineId.startsWith('slip:');
