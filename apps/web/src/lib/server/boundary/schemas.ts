import { bakeEventKinds, eventKinds, type BakeEvent } from '@tender-crumb/core/bake';
import {
  formatLimits,
  formulaShape,
  formulaShape1,
  upgrade1,
  type FormulaJson,
  type FormulaJson1,
} from '@tender-crumb/core/exchange';
import { carbSchools } from '@tender-crumb/core/household';
import {
  allergens,
  bagShape,
  catalogue,
  type Bag,
  type Label,
} from '@tender-crumb/core/ingredient';
import { deviceIds } from '@tender-crumb/core/machine';
import {
  leastGrams,
  mostGrams,
  type Field,
  type Shape,
  type Measures,
} from '@tender-crumb/core/quantity';
import { styleIds, type StyleId } from '@tender-crumb/core/style';
import Joi from 'joi';
import type { NewBake } from '../store/bakes.ts';
import { check } from './check.ts';
import { day, instant, named, plainId as id } from './fields.ts';
import { ingredientId } from './ingredient-fields.ts';
import { cup, fill, roomC, tablespoon } from './measuring-fields.ts';
import { settingsBody } from './settings-schema.ts';
import type { Change } from '../../wire/merge.ts';

const text = (most: number) => Joi.string().max(most).allow('');
export const formulaId = id.required();
/** Nothing, or what a kitchen can weigh. */
const grams = Joi.alternatives(Joi.valid(0), Joi.number().min(leastGrams).max(mostGrams))
  .required()
  .messages({ 'alternatives.match': `must be 0, or from ${leastGrams} to ${mostGrams}` });
/** What may stand in a field of each kind. */
const fields: {
  readonly [K in Field['kind']]: (field: Extract<Field, { kind: K }>) => Joi.Schema;
} = {
  text: ({ most, least }) => (least ? Joi.string().min(least).max(most) : text(most)),
  id: () => id,
  ingredient: () => ingredientId,
  grams: () => grams,
  number: ({ least, most, whole }) => {
    const number = Joi.number().min(least).max(most);
    return whole ? number.integer() : number;
  },
  flag: () => Joi.boolean(),
  day: () => day,
  word: ({ of }) => Joi.string().valid(...of),
  words: ({ of }) =>
    Joi.array()
      .items(Joi.string().valid(...of))
      .max(of.length),
  object: ({ of }) => joiOf(of),
  list: ({ of, least, most }) =>
    Joi.array()
      .items(joiOfField(of))
      .min(least ?? 0)
      .max(most),
};

const joiOfField = (field: Field): Joi.Schema => fields[field.kind](field as never);

/** The validator of what a shape of the core describes. */
export const joiOf = (shape: Shape): Joi.ObjectSchema =>
  Joi.object(
    Object.fromEntries(
      Object.entries(shape).map(([name, field]) => {
        const schema = joiOfField(field);
        return [name, field.optional ? schema.optional() : schema.required()];
      }),
    ),
  );

/** The formula formats, made from the same description as the published schemas. */
const formulaFormats = {
  1: joiOf(formulaShape1) as Joi.ObjectSchema<FormulaJson1>,
  2: joiOf(formulaShape) as Joi.ObjectSchema<FormulaJson>,
};

/** Which format a body is in: as it says, or else by the one word that tells them apart. */
function formatOf(body: unknown): 1 | 2 {
  const { format, taken } = (body ?? {}) as { format?: unknown; taken?: unknown };
  if (format === 'tender-crumb/formula-1') return 1;
  const old = Array.isArray(taken) && taken.some((t) => (t as { slip?: unknown } | null)?.slip);
  return format === undefined && old ? 1 : 2;
}

/**
 * A formula that somebody sent, in today's format whichever of the formats it came in.
 *
 * @throws Problem 400 that names every fault and its place
 */
export function formulaIn(body: unknown, root: string): FormulaJson {
  return formatOf(body) === 1
    ? upgrade1(check(formulaFormats[1], body, root))
    : check(formulaFormats[2].required(), body, root);
}

export const formulaSave = Joi.object<{ version: number; formula: unknown; draft?: string }>({
  /** 0 for a formula that is new. */
  version: Joi.number().integer().min(0).max(1e9).required(),
  /** Judged by {@link formulaIn}. */
  formula: Joi.any().required(),
  draft: id,
}).required();

export interface EvaluateQuery {
  readonly style?: StyleId;
  readonly cup?: Measures['cup'];
  readonly tablespoon?: Measures['tablespoon'];
  readonly fill?: Measures['fill'];
  readonly roomC?: number;
  /** Per cent. */
  readonly humidity?: number;
  /** Which of several recipes in the text, from 1. */
  readonly recipe?: number;
}

const humidity = Joi.number().min(0).max(100);

export const evaluateQuery = Joi.object<EvaluateQuery>({
  style: Joi.string().valid(...styleIds),
  cup,
  tablespoon,
  fill,
  roomC,
  humidity,
  recipe: Joi.number().integer().min(1).max(1000),
}).required();

/** The text of a recipe, as it was pasted. */
export const sourceBody = Joi.object<{ source: string }>({
  source: Joi.string().min(1).max(formatLimits.source).required(),
}).required();

/** Ranges of what a label can say are the core's to judge; here only that they are numbers. */
const figureOf = Joi.number().min(-1e6).max(1e6);

/** What a bag has left is worked out here: sent back, it is passed over. */
export const bagBody = (joiOf(bagShape) as Joi.ObjectSchema<Omit<Bag, 'id'>>)
  .keys({ hasLeft: Joi.any().strip() })
  .required();

export const labelBody = Joi.object<Label>({
  name: named(80).required(),
  like: Joi.string()
    .valid(...catalogue.map((i) => i.id))
    .required(),
  school: Joi.string()
    .valid(...carbSchools)
    .required(),
  protein: figureOf.required(),
  fat: figureOf.required(),
  carbohydrate: figureOf.required(),
  fibre: figureOf.required(),
  sugars: figureOf.required(),
  polyols: figureOf,
  salt: figureOf.required(),
  moisture: figureOf,
  pricePerKilo: figureOf,
  allergens: Joi.array()
    .items(Joi.string().valid(...allergens))
    .max(allergens.length),
}).required();

/** What is added to a device’s clock for the house’s, ms: a clock may stand a few years ahead. */
export const clockField = Joi.number().integer().min(-1e12).max(1e12);

/** A kitchen as it was, with a day as it was written then. */
export const kitchenThen = (day: Joi.StringSchema) =>
  Joi.object({
    room: settingsBody.extract('room'),
    measures: settingsBody.extract('measures'),
    scaleStep: settingsBody.extract('scaleStep'),
    bags: Joi.object()
      .pattern(
        Joi.string().max(160),
        Joi.object({ openedOn: day, moisture: Joi.number().min(0).max(100) }),
      )
      .max(200)
      .required(),
    ovens: Joi.object().pattern(Joi.string().max(80), Joi.number().min(-60).max(60)).max(20),
  });

/** Where a dough was forecast to be. */
export const levelMark = Joi.object({
  points: Joi.number().required(),
  low: Joi.number().required(),
  high: Joi.number().required(),
});

/** What is told in an event of each kind. */
export const eventData = Object.fromEntries(
  bakeEventKinds.map((kind) => [kind, joiOf(eventKinds[kind].shape).required()]),
) as Readonly<Record<BakeEvent['kind'], Joi.Schema>>;

/** One event of a bake. */
export const eventField = Joi.object({
  id: id.required(),
  at: instant.required(),
  clock: clockField,
  kind: Joi.string()
    .valid(...bakeEventKinds)
    .required(),
  data: Joi.when('kind', {
    switch: bakeEventKinds.map((kind) => ({ is: kind, then: eventData[kind] })),
  }),
});

const ofVersion = Joi.number().integer().min(1).max(1e9);

/** A bake of a version of a formula, or of a bread that has no formula here: then its name. */
export const bakeBody = Joi.object<NewBake>({
  id,
  formulaId: id,
  formulaVersion: Joi.when('formulaId', {
    is: Joi.exist(),
    then: Joi.when('draft', { is: Joi.exist(), then: ofVersion, otherwise: ofVersion.required() }),
    otherwise: Joi.forbidden(),
  }),
  name: Joi.when('formulaId', {
    is: Joi.exist(),
    then: Joi.forbidden(),
    otherwise: named(formatLimits.name).required(),
  }),
  method: Joi.string().valid(...deviceIds),
  baker: Joi.string().min(1).max(80),
  startedAt: instant,
  draft: Joi.string().min(1).max(200),
  kitchen: kitchenThen(day),
  forecast: levelMark,
  events: Joi.array().items(eventField).max(60),
  planned: id,
}).required();

/** A photo's place: whose it is, and at which step. */
export const photoQuery = Joi.object<{ step: string }>({
  step: Joi.string().min(1).max(120).required(),
}).required();

const pixels = Joi.number().min(-1000).max(20_000).required();
/** A part of a picture, pixels from its upper left corner. */
export const stripQuery = Joi.object<{ x0: number; y0: number; x1: number; y1: number }>({
  x0: pixels,
  y0: pixels,
  x1: pixels,
  y1: pixels,
}).required();

export const eventsBody = Joi.object<{ events: BakeEvent[] }>({
  events: Joi.array().items(eventField).min(1).max(500).required(),
}).required();

/** Fields that somebody changed, as they were and as they are to be; what comes of it is checked as a whole. */
export const changeBody = Joi.object<Change>({
  was: Joi.object().max(40).required(),
  now: Joi.object().max(40).required(),
}).required();

export const deviceBody = Joi.object<{ name: string }>({
  name: named(40).required(),
}).required();

export const versionsQuery = Joi.object<{ limit: number; offset: number }>({
  limit: Joi.number().integer().min(1).max(200).default(30),
  offset: Joi.number().integer().min(0).max(1e9).default(0),
}).required();

/** Since when a bag is as it is said to be: of what may have come about. */
export const bagQuery = Joi.object<{ since: 'today' | 'always' }>({
  since: Joi.string().valid('today', 'always').default('today'),
}).required();

/** So many at most in one answer, so that none is over 150 kB: the rest is had by `offset`. */
const stretch = (most: number, usual: number) => ({
  limit: Joi.number().integer().min(1).max(most).default(usual),
  offset: Joi.number().integer().min(0).max(1e9).default(0),
});

export const formulasQuery = Joi.object<{ limit: number; offset: number; search: string }>({
  ...stretch(100, 50),
  search: text(200).default(''),
}).required();

/** A bake comes with all that was tapped in it. */
export const bakesQuery = Joi.object<{ limit: number; offset: number; formula: string }>({
  ...stretch(30, 20),
  formula: id.allow('').default(''),
}).required();

export const beliefQuery = Joi.object<{ breads: string[] }>({
  breads: Joi.array().items(id).max(200).required(),
}).required();
