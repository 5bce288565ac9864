import {
  formulaFormat,
  measuringMethods,
  stageKinds,
  type Formula,
  type Line,
  type Stage,
  type Taken,
} from '../formula/formula.ts';
import { styleIds, type StyleId } from '../style/style.ts';
import { catalogue } from '../ingredient/catalogue.ts';
import { ownIdPattern } from '../ingredient/label.ts';
import { leastGrams, mostGrams } from '../quantity/mass.ts';

/** Longest texts and lists of the format. */
export const formatLimits = {
  name: 200,
  text: 2000,
  source: 65536,
  lines: 200,
  stages: 12,
  /** Lines of all stages together: what a page can still show at once. */
  allLines: 200,
  /** Changes of all corrections together. */
  allChanges: 300,
  /** Changes of one slip: a bread for a goal may change everything that is in it. */
  changes: 60,
} as const;

const text = (maxLength: number) => ({ type: 'string', maxLength }) as const;
/** Ids are plain words; a colon marks those that the program makes by itself. */
const id = { type: 'string', pattern: '^[A-Za-z0-9_-]{1,80}$' } as const;
const correctionKey = { type: 'string', minLength: 1, maxLength: 200 } as const;
/** In the catalogue, or the household's own. */
const ingredientId = {
  anyOf: [
    { type: 'string', enum: catalogue.map((i) => i.id) },
    { type: 'string', pattern: ownIdPattern.source },
  ],
} as const;

/**
 * JSON Schema (draft 2020-12) of the formula format, version 1. A stage needs its lines, a line its
 * ingredient and its grams; everything else has a usual value that {@link completeFormula} fills in.
 */
export const formulaSchema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $id: '/schemas/formula-1.json',
  title: 'Bread formula, version 1',
  type: 'object',
  required: ['stages'],
  additionalProperties: false,
  properties: {
    format: { const: formulaFormat },
    name: { ...text(formatLimits.name), minLength: 1 },
    style: {
      type: 'string',
      enum: [...styleIds],
      description: 'sets the window of the dough level',
    },
    pieces: { type: 'integer', minimum: 1, maximum: 1000 },
    slices: { type: 'integer', minimum: 1, maximum: 200 },
    source: { ...text(formatLimits.source), description: 'the recipe as it was written' },
    stages: {
      type: 'array',
      minItems: 1,
      maxItems: formatLimits.stages,
      items: {
        type: 'object',
        required: ['lines'],
        additionalProperties: false,
        properties: {
          id,
          kind: { type: 'string', enum: [...stageKinds] },
          name: text(formatLimits.name),
          lines: {
            type: 'array',
            maxItems: formatLimits.lines,
            items: {
              type: 'object',
              required: ['ingredient', 'grams'],
              additionalProperties: false,
              properties: {
                id,
                ingredient: ingredientId,
                bag: id,
                grams: {
                  anyOf: [
                    { const: 0 },
                    { type: 'number', minimum: leastGrams, maximum: mostGrams },
                  ],
                },
                measured: { type: 'string', enum: [...measuringMethods] },
                spread: { type: 'number', minimum: 0, maximum: 1 },
                held: { type: 'boolean' },
                countsAsFlour: { type: 'boolean' },
                note: text(formatLimits.text),
                asWritten: text(formatLimits.text),
              },
            },
          },
        },
      },
    },
    taken: {
      type: 'array',
      maxItems: 100,
      description: 'corrections taken; they lie over the lines as typed',
      items: {
        type: 'object',
        required: ['id', 'slip', 'changes'],
        additionalProperties: false,
        properties: {
          id,
          slip: correctionKey,
          reason: text(formatLimits.text),
          basis: text(formatLimits.text),
          stages: {
            type: 'array',
            maxItems: 4,
            description: 'stages that it brings in',
            items: {
              type: 'object',
              required: ['id', 'kind', 'name'],
              additionalProperties: false,
              properties: {
                id,
                kind: { type: 'string', enum: [...stageKinds] },
                name: text(formatLimits.name),
              },
            },
          },
          changes: {
            type: 'array',
            minItems: 1,
            maxItems: formatLimits.changes,
            items: {
              type: 'object',
              required: ['stage', 'ingredient', 'grams'],
              additionalProperties: false,
              properties: {
                stage: id,
                ingredient: ingredientId,
                grams: { type: 'number', minimum: -mostGrams, maximum: mostGrams },
              },
            },
          },
        },
      },
    },
    left: { type: 'array', maxItems: 100, items: correctionKey },
  },
} as const;

/** What the schema lets through: a formula of which only the essential need be said. */
export interface FormulaJson {
  readonly format?: typeof formulaFormat;
  readonly name?: string;
  readonly style?: StyleId;
  readonly pieces?: number;
  readonly slices?: number;
  readonly source?: string;
  readonly stages: ReadonlyArray<
    Partial<Omit<Stage, 'lines'>> & {
      readonly lines: ReadonlyArray<Partial<Line> & Pick<Line, 'ingredient' | 'grams'>>;
    }
  >;
  readonly taken?: ReadonlyArray<Omit<Taken, 'reason' | 'basis'> & Partial<Taken>>;
  readonly left?: readonly string[];
}

/** A formula that is larger than a kitchen's. */
export interface FormulaProblem {
  /** Path below the formula. */
  readonly where: string;
  readonly says: string;
}

/**
 * What a JSON Schema cannot say of a formula: sums over its parts.
 *
 * @param json valid by {@link formulaSchema}
 * @example formulaProblems({stages: [{lines: [{ingredient: 'water', grams: 1}]}]}) // []
 */
export function formulaProblems(json: FormulaJson): FormulaProblem[] {
  const lines = json.stages.reduce((sum, s) => sum + s.lines.length, 0);
  const changes = (json.taken ?? []).reduce((sum, t) => sum + t.changes.length, 0);
  const problems: FormulaProblem[] = [];
  if (lines > formatLimits.allLines) {
    problems.push({
      where: 'stages',
      says: `has ${lines} lines, and ${formatLimits.allLines} are the most`,
    });
  }
  if (changes > formatLimits.allChanges) {
    problems.push({
      where: 'taken',
      says: `has ${changes} changes, and ${formatLimits.allChanges} are the most`,
    });
  }
  return problems;
}

/** The first of prefix1, prefix2 … that is not taken; takes it. */
function freeId(prefix: string, used: Set<string>): string {
  let n = 1;
  while (used.has(`${prefix}${n}`)) n += 1;
  used.add(`${prefix}${n}`);
  return `${prefix}${n}`;
}

/** Keeps an id that is given and not used before, or else finds a free one. */
function ownId(
  given: string | undefined,
  prefix: string,
  used: Set<string>,
  seen: Set<string>,
): string {
  if (given === undefined || seen.has(given)) return freeId(prefix, used);
  seen.add(given);
  return given;
}

/**
 * Fills in what a formula in the JSON format left unsaid. Ids that stand twice are made distinct.
 *
 * @param json valid by {@link formulaSchema}
 * @example completeFormula({stages: [{lines: [{ingredient: 'bread-flour', grams: 500}]}]}).style // 'pan'
 */
export function completeFormula(json: FormulaJson, style: StyleId = 'pan'): Formula {
  const lineIds = new Set(json.stages.flatMap((s) => s.lines.flatMap((l) => l.id ?? [])));
  const stageIds = new Set(json.stages.flatMap((s) => s.id ?? []));
  const seenLines = new Set<string>();
  const seenStages = new Set<string>();
  return {
    format: formulaFormat,
    name: json.name ?? 'Formula',
    style: json.style ?? style,
    stages: json.stages.map((s) => ({
      id: ownId(s.id, 's', stageIds, seenStages),
      kind: s.kind ?? 'dough',
      name: s.name ?? (s.kind && s.kind !== 'dough' ? s.kind : 'Dough'),
      lines: s.lines.map((l) => ({
        ...l,
        id: ownId(l.id, 'l', lineIds, seenLines),
        measured: l.measured ?? 'scale',
      })),
    })),
    taken: (json.taken ?? []).map((t) => ({ ...t, reason: t.reason ?? '', basis: t.basis ?? '' })),
    left: json.left ?? [],
    ...(json.pieces === undefined ? {} : { pieces: json.pieces }),
    ...(json.slices === undefined ? {} : { slices: json.slices }),
    ...(json.source === undefined ? {} : { source: json.source }),
  };
}
