import { bakeEventKinds, outcomeShape, type BakeEvent } from '@tender-crumb/core/bake';
import { defaultSettings } from '@tender-crumb/core/household';
import { bagProblems, ownIdPattern } from '@tender-crumb/core/ingredient';
import { deviceIds } from '@tender-crumb/core/machine';
import { isDay } from '@tender-crumb/core/quantity';
import { styleIds } from '@tender-crumb/core/style';
import Joi from 'joi';
import { check } from '../boundary/check.ts';
import { day, feedingBody, instant, plainId } from '../boundary/fields.ts';
import { sensibleFormula, sensibleLabel } from '../boundary/known.ts';
import { plannedBody, timerBody } from '../boundary/plan-schema.ts';
import { practiceBody } from '../boundary/practice-schema.ts';
import {
  bagBody,
  clockField,
  eventData,
  formulaIn,
  joiOf,
  kitchenThen,
  labelBody,
  levelMark,
} from '../boundary/schemas.ts';
import { settingsBody } from '../boundary/settings-schema.ts';
import { Problem, type Fault } from '../problem.ts';
import type { ArchiveTableName, Row } from './tables.ts';

/** Ids as the program has ever made them; a colon and a dot stand in some. */
const id = Joi.string().min(1).max(160);
const count = (least: number) => Joi.number().integer().min(least).max(1e9);
const or = (schema: Joi.Schema) => schema.allow(null).required();

/** The first versions took any number of points for a touch: what they wrote comes in, and means a slip. */
const mostFelt = 1e5;

/** The first versions took a thirtieth of February, which pages show; a forty-fifth nobody can show. */
const dayOfOld = Joi.string()
  .pattern(/^\d{4}-\d\d-\d\d$/, 'a day')
  .custom((text: string, { error }) =>
    Number.isFinite(Date.parse(text)) ? text : error('string.isoDate'),
  );

/** What the columns of a table hold, apart from what is JSON in them. */
const columns: Readonly<Record<ArchiveTableName, Joi.ObjectSchema>> = {
  setting: Joi.object({ key: Joi.valid('household').required(), value: Joi.string().required() }),
  own_ingredient: Joi.object({
    id: Joi.string().pattern(ownIdPattern).required(),
    label: Joi.string().required(),
  }),
  bag: Joi.object({
    id: id.required(),
    name: Joi.string().required(),
    ingredient: Joi.string().max(120).required(),
    opened_on: or(dayOfOld),
    facts: Joi.string().required(),
  }),
  feeding: Joi.object({
    id: id.required(),
    bag_id: id.required(),
    at: instant.required(),
    body: Joi.string().required(),
  }),
  formula: Joi.object({
    id: id.required(),
    name: Joi.string().allow('').max(500).required(),
    style: Joi.valid(...styleIds).required(),
    version: count(1).required(),
    created_at: instant.required(),
    updated_at: instant.required(),
    off_shelf_at: or(instant),
    words: Joi.string().allow('', null).max(100_000).required(),
  }),
  formula_version: Joi.object({
    formula_id: id.required(),
    version: count(1).required(),
    body: Joi.string().required(),
    saved_at: instant.required(),
    device: or(Joi.string().allow('').max(200)),
    draft: or(Joi.string().allow('').max(200)),
  }),
  kitchen: Joi.object({ id: id.required(), body: Joi.string().required() }),
  bake: Joi.object({
    id: id.required(),
    formula_id: or(id),
    formula_version: or(count(1)),
    name: or(Joi.string().max(500)),
    method: Joi.valid(...deviceIds).required(),
    started_at: instant.required(),
    finished_at: or(instant),
    felt: or(Joi.number().min(-mostFelt).max(mostFelt)),
    outcome: or(Joi.string()),
    given_up_at: or(instant),
    day: day.required(),
    kitchen_id: id.required(),
    forecast: or(Joi.string()),
    assumed: Joi.valid(0, 1, null).required(),
    otherwise: or(Joi.string().max(200)),
  }),
  bake_event: Joi.object({
    bake_id: id.required(),
    id: id.required(),
    at: instant.required(),
    kind: Joi.valid(...bakeEventKinds).required(),
    data: Joi.string().required(),
    clock: or(clockField),
  }),
  bag_use: Joi.object({
    bake_id: id.required(),
    bag_id: id.required(),
    grams: Joi.number().min(-1e6).max(1e6).required(),
    at: instant.required(),
  }),
  planned_bake: Joi.object({
    id: id.required(),
    formula_id: id.required(),
    bake_id: or(id),
    version: count(0).required(),
    body: Joi.string().required(),
    made_at: instant.required(),
  }),
  timer: Joi.object({
    id: id.required(),
    name: Joi.string().required(),
    due_at: Joi.string().required(),
    made_at: instant.required(),
  }),
  practice: Joi.object({
    id: id.required(),
    at: instant.required(),
    lesson: Joi.string().required(),
    seed: Joi.number().required(),
    call: Joi.string().required(),
  }),
  photo: Joi.object({
    id: plainId.required(),
    bake_id: id.required(),
    step: Joi.string().min(1).max(120).required(),
    at: instant.required(),
    width: count(1).max(20_000).required(),
    height: count(1).max(20_000).required(),
    bytes: count(0).required(),
    digest: Joi.string().max(200).required(),
  }),
  page: Joi.object({
    id: plainId.required(),
    at: instant.required(),
    width: count(1).max(20_000).required(),
    height: count(1).max(20_000).required(),
    bytes: count(0).required(),
    digest: Joi.string().max(200).required(),
    rows: Joi.string().max(1_000_000).required(),
  }),
};

const kitchenBody = kitchenThen(dayOfOld);
const forecastBody = levelMark.unknown();
const otherwiseBody = Joi.array().items(Joi.valid('kitchen', 'forecast')).max(2);
const outcomeBody = joiOf(outcomeShape);

/** JSON in a column. */
function json(row: Row, column: string): unknown {
  try {
    return JSON.parse(String(row[column])) as unknown;
  } catch {
    throw new Problem(400, 'Not JSON', [{ where: column, what: 'cannot be read' }]);
  }
}

/** The parts of an object that is JSON in a column; anything else is none. */
function parts(row: Row, column: string): Record<string, unknown> {
  const value = json(row, column);
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    throw new Problem(400, 'No object', [{ where: column, what: 'is no object' }]);
  return value as Record<string, unknown>;
}

/** What is JSON in a row, judged by the description that the API has of it. */
const within: { readonly [K in ArchiveTableName]?: (row: Row) => void } = {
  setting: (row) =>
    void check(settingsBody, { ...defaultSettings, ...parts(row, 'value') }, 'value'),
  own_ingredient: (row) =>
    void sensibleLabel(check(labelBody, json(row, 'label') as never, 'label')),
  bag(row) {
    const { name, ingredient, opened_on } = row;
    const bag = check(
      bagBody,
      {
        ...parts(row, 'facts'),
        name,
        ingredient,
        ...(typeof opened_on === 'string' && isDay(opened_on) ? { openedOn: opened_on } : {}),
      },
      'facts',
    );
    const [first] = bagProblems(bag);
    if (first)
      throw new Problem(422, 'A bag that cannot be', [
        { where: `facts.${first.field ?? ''}`, what: first.says },
      ]);
  },
  feeding: (row) => void check(feedingBody, { at: row['at'], ...parts(row, 'body') }, 'body'),
  formula_version: (row) => void sensibleFormula(formulaIn(json(row, 'body'), 'body'), 'body'),
  kitchen: (row) => void check(kitchenBody, json(row, 'body'), 'body'),
  bake(row) {
    if (row['outcome'] !== null) check(outcomeBody, json(row, 'outcome'), 'outcome');
    if (row['otherwise'] != null) check(otherwiseBody, json(row, 'otherwise'), 'otherwise');
    if (row['forecast'] !== null) check(forecastBody, json(row, 'forecast'), 'forecast');
    if ((row['formula_id'] === null) !== (row['formula_version'] === null))
      throw new Problem(400, 'Half a formula', [
        { where: 'formula_version', what: 'and “formula_id” stand together, or neither' },
      ]);
    if (row['formula_id'] === null && row['name'] === null)
      throw new Problem(400, 'No name', [{ where: 'name', what: 'is missing' }]);
  },
  bake_event({ kind, data }) {
    const said = json({ data: data! }, 'data');
    const points = (said as { points?: unknown } | null)?.points;
    const meant =
      kind === 'felt' && typeof points === 'number' && Math.abs(points) <= mostFelt
        ? { ...(said as object), points: 0 }
        : said;
    check(eventData[kind as BakeEvent['kind']], meant, 'data');
  },
  planned_bake: (row) =>
    void check(
      plannedBody,
      {
        ...parts(row, 'body'),
        version: row['version'],
        formulaId: 'formula',
        ...(row['bake_id'] === null ? {} : { bakeId: 'bake' }),
      },
      'body',
    ),
  timer: ({ name, due_at }) => void check(timerBody, { name, dueAt: due_at }, 'timer'),
  practice: ({ id, lesson, seed, call }) => {
    check(practiceBody, { id, lesson, seed, call }, 'practice');
  },
};

/**
 * What is wrong with a row, by the same description as the API's: the first fault, at its field. Undefined where it is
 * one.
 */
export function faultOf(name: ArchiveTableName, row: Row): Fault | undefined {
  try {
    check(columns[name], row, 'row');
    within[name]?.(row);
    return undefined;
  } catch (fault) {
    if (fault instanceof Problem) return fault.faults[0] ?? { where: 'row', what: fault.message };
    // What the core throws at a body that is of a later version, or no formula at all.
    return { where: 'body', what: (fault as Error).message.slice(0, 200) };
  }
}
