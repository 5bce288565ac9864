import { askedField } from '../formula/asked.ts';
import { outsideField, pieceField, unreadField } from '../formula/beside.ts';
import { measuringMethods, mostPages, stageKinds } from '../formula/formula.ts';
import { mostPieces } from '../formula/pieces.ts';
import { processField } from '../formula/process.ts';
import { stepField } from '../formula/step.ts';
import { mostGrams } from '../quantity/mass.ts';
import {
  flag,
  grams,
  id,
  ingredient,
  list,
  maybe,
  meaning,
  number,
  object,
  text,
  whole,
  word,
  type DataOf,
} from '../quantity/shape.ts';
import { styleIds } from '../style/style.ts';
import { formatLimits } from './format-limits.ts';

const line = {
  id: maybe(id),
  ingredient,
  bag: maybe(id),
  grams,
  measured: maybe(word(measuringMethods)),
  spread: maybe(number(0, 1)),
  held: maybe(flag),
  countsAsFlour: maybe(flag),
  note: maybe(text(formatLimits.text)),
  asWritten: maybe(text(formatLimits.text)),
} as const;

const stage = {
  id: maybe(id),
  kind: maybe(word(stageKinds)),
  name: maybe(text(formatLimits.name)),
  lines: list(object(line), formatLimits.allLines),
} as const;

const broughtStage = { id, kind: word(stageKinds), name: text(formatLimits.name) } as const;
const correctionKey = text(200, 1);

const taken = {
  id,
  reason: maybe(text(formatLimits.text)),
  basis: maybe(text(formatLimits.text)),
  changes: list(
    object({ stage: id, ingredient, grams: number(-mostGrams, mostGrams), bag: maybe(id) }),
    formatLimits.changes,
    1,
  ),
} as const;

const common = {
  name: maybe(text(formatLimits.name, 1)),
  style: maybe(meaning(word(styleIds), 'sets the window of the dough level')),
  pieces: maybe(whole(1, mostPieces)),
  slices: maybe(whole(1, 200)),
  source: maybe(meaning(text(formatLimits.source), 'the recipe as it was written')),
  left: maybe(list(correctionKey, 100)),
} as const;

/**
 * The formula format of the first version, as it was. A stage needs its lines, a line its ingredient and
 * its grams; everything else has a usual value.
 */
export const formulaShape1 = {
  format: maybe(word(['tender-crumb/formula-1'])),
  ...common,
  stages: list(object(stage), formatLimits.stages, 1),
  taken: maybe(
    meaning(
      list(
        object({ ...taken, slip: correctionKey, stages: maybe(list(object(broughtStage), 4)) }),
        100,
      ),
      'corrections taken; they lie over the lines as typed',
    ),
  ),
} as const;

/** The formula format. */
export const formulaShape = {
  format: maybe(word(['tender-crumb/formula-2'])),
  ...common,
  stages: list(
    object({
      ...stage,
      bag: maybe(meaning(id, 'the household’s starter that it is of')),
      process: maybe(processField),
    }),
    formatLimits.stages,
    1,
  ),
  taken: maybe(
    meaning(
      list(
        object({
          ...taken,
          correction: correctionKey,
          stages: maybe(
            meaning(
              list(object({ ...broughtStage, process: maybe(processField) }), 4),
              'stages that it brings in',
            ),
          ),
        }),
        100,
      ),
      'corrections taken; they lie over the lines as typed',
    ),
  ),
  styleGuessed: maybe(meaning(flag, 'nobody said what bread it is: the style is the likeliest')),
  piece: maybe(meaning(pieceField, 'what one of the pieces is')),
  steps: maybe(meaning(list(stepField, 100), 'the work as the recipe has it')),
  outside: maybe(meaning(list(outsideField, 60), 'what is not in the dough')),
  unread: maybe(meaning(list(unreadField, formatLimits.allLines), 'lines that could not be read')),
  asked: maybe(meaning(askedField, 'what is being tried with it')),
  pages: maybe(meaning(list(id, mostPages), 'photos that it was read from, by their ids')),
  notes: maybe(text(20_000)),
  size: maybe(meaning(text(80), 'of the loaf, pan or basket that it is made for')),
  device: maybe(id),
} as const;

/** A formula of which only the essential need be said. */
export type FormulaJson = DataOf<typeof formulaShape>;
/** As the first version wrote it. */
export type FormulaJson1 = DataOf<typeof formulaShape1>;
