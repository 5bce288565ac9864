import {
  allergens,
  bakeEventKinds,
  eventKinds,
  carbSchools,
  catalogue,
  cupMillilitres,
  defaultSettings,
  eggGrams,
  fills,
  formatLimits,
  formulaFormat,
  grindIds,
  loadingOrders,
  measuringMethods,
  isDay,
  isMoment,
  leastGrams,
  mostGrams,
  ownIdPattern,
  percentageSchools,
  stageKinds,
  styleIds,
  tablespoonMillilitres,
  waterSchools,
  type Bag,
  type BakeEvent,
  type Field,
  type Shape,
  type FormulaJson,
  type Label,
  type Measures,
  type Settings,
  type StyleId,
} from '@tender-crumb/core';
import Joi from 'joi';
import type { NewBake } from '../store/bakes.ts';

const text = (most: number) => Joi.string().max(most).allow('');
/** Ids are plain words; a colon marks those that the program makes by itself. */
const id = Joi.string().pattern(/^[A-Za-z0-9_-]{1,80}$/, 'letters, digits, - and _');
export const formulaId = id.required();
const correctionKey = Joi.string().max(200);
/** In the catalogue, or the household's own; whether it has that one is for {@link knownHere} to say. */
const ingredientId = Joi.alternatives(
  Joi.string().valid(...catalogue.map((i) => i.id)),
  Joi.string().pattern(ownIdPattern),
).messages({ 'alternatives.match': 'is not an ingredient of the catalogue' });
/** Nothing, or what a kitchen can weigh. */
const grams = Joi.alternatives(Joi.valid(0), Joi.number().min(leastGrams).max(mostGrams))
  .required()
  .messages({ 'alternatives.match': `must be 0, or from ${leastGrams} to ${mostGrams}` });
/** Texts whose days exist: a pattern alone takes the thirtieth of February. */
const existing = (isOne: (text: string) => boolean, what: string) =>
  Joi.string()
    .custom((text: string, { error }) => (isOne(text) ? text : error('any.invalid')))
    .messages({ 'any.invalid': `is not ${what}` });
const instant = existing(isMoment, 'a moment, such as 2026-05-01T08:00:00Z');
const day = existing(isDay, 'a day, such as 2026-05-01');

const line = Joi.object({
  id,
  ingredient: ingredientId.required(),
  bag: id,
  grams,
  measured: Joi.string().valid(...measuringMethods),
  spread: Joi.number().min(0).max(1),
  held: Joi.boolean(),
  countsAsFlour: Joi.boolean(),
  note: text(formatLimits.text),
  asWritten: text(formatLimits.text),
});

const stage = Joi.object({
  id,
  kind: Joi.string().valid(...stageKinds),
  name: text(formatLimits.name),
  lines: Joi.array().items(line).max(formatLimits.lines).required(),
});

const taken = Joi.object({
  id: id.required(),
  slip: correctionKey.required(),
  reason: text(formatLimits.text),
  basis: text(formatLimits.text),
  stages: Joi.array()
    .items(
      Joi.object({
        id: id.required(),
        kind: Joi.string()
          .valid(...stageKinds)
          .required(),
        name: text(formatLimits.name).required(),
      }),
    )
    .max(4),
  changes: Joi.array()
    .items(
      Joi.object({
        stage: id.required(),
        ingredient: ingredientId.required(),
        grams: Joi.number().min(-mostGrams).max(mostGrams).required(),
      }),
    )
    .min(1)
    .max(formatLimits.changes)
    .required(),
});

/** The formula format, version 1: the same as the published JSON Schema (a test holds them together). */
export const formulaBody = Joi.object<FormulaJson>({
  format: Joi.string().valid(formulaFormat),
  name: Joi.string().max(formatLimits.name),
  style: Joi.string().valid(...styleIds),
  pieces: Joi.number().integer().min(1).max(1000),
  slices: Joi.number().integer().min(1).max(200),
  source: text(formatLimits.source),
  stages: Joi.array().items(stage).min(1).max(formatLimits.stages).required(),
  taken: Joi.array().items(taken).max(100),
  left: Joi.array().items(correctionKey).max(100),
}).required();

export const formulaSave = Joi.object<{ version: number; formula: FormulaJson; draft?: string }>({
  /** 0 for a formula that is new. */
  version: Joi.number().integer().min(0).max(1e9).required(),
  formula: formulaBody,
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
}

const cup = Joi.string().valid(...Object.keys(cupMillilitres));
const tablespoon = Joi.string().valid(...Object.keys(tablespoonMillilitres));
const fill = Joi.string().valid(...fills);
const roomC = Joi.number().min(-10).max(60);
const humidity = Joi.number().min(0).max(100);

export const evaluateQuery = Joi.object<EvaluateQuery>({
  style: Joi.string().valid(...styleIds),
  cup,
  tablespoon,
  fill,
  roomC,
  humidity,
}).required();

const weighedCup = Joi.object({
  weighings: Joi.array().items(Joi.number().min(1).max(1000)).min(1).max(20).required(),
  millilitres: Joi.number().min(50).max(500).required(),
});

export const settingsBody = Joi.object<Settings>({
  measures: Joi.object({
    cup: cup.required(),
    tablespoon: tablespoon.required(),
    fill: fill.required(),
    egg: Joi.string()
      .valid(...Object.keys(eggGrams))
      .required(),
    cups: Joi.object().pattern(Joi.string().max(100), weighedCup).max(200),
  }).required(),
  scaleStep: Joi.number().min(0.01).max(10).required(),
  room: Joi.object({ celsius: roomC, humidity: Joi.number().min(0).max(1) }).required(),
  percentages: Joi.string()
    .valid(...percentageSchools)
    .required(),
  water: Joi.string()
    .valid(...waterSchools)
    .default(defaultSettings.water),
  netCarbs: Joi.string()
    .valid(...carbSchools)
    .default(defaultSettings.netCarbs),
  glutenFree: Joi.boolean().default(false),
  lowSodium: Joi.boolean().default(false),
  yeastKept: Joi.string().valid(...catalogue.filter((i) => i.yeast).map((i) => i.id)),
  figures: Joi.object()
    .pattern(Joi.string().max(120), Joi.number().min(-1000).max(1000))
    .max(400)
    .default({}),
}).required();

/** Ranges of what a label can say are the core's to judge; here only that they are numbers. */
const figureOf = Joi.number().min(-1e6).max(1e6);

export const bagBody = Joi.object<Omit<Bag, 'id'>>({
  name: Joi.string().trim().min(1).max(120).required(),
  ingredient: ingredientId.required(),
  openedOn: day,
  grind: Joi.string().valid(...grindIds),
  extraction: figureOf,
  protein: figureOf,
  moisture: figureOf,
  price: Joi.object({ paid: figureOf.required(), kilograms: figureOf.required() }),
  finished: Joi.boolean(),
}).required();

export const labelBody = Joi.object<Label>({
  name: Joi.string().trim().min(1).max(80).required(),
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

export const bakeBody = Joi.object<NewBake>({
  id,
  formulaId: id.required(),
  formulaVersion: Joi.number().integer().min(1).max(1e9).required(),
  method: Joi.string()
    .valid(...Object.keys(loadingOrders))
    .default('hand'),
  startedAt: instant,
}).required();

/** What may stand in a field of each kind. */
const fields: {
  readonly [K in Field['kind']]: (field: Extract<Field, { kind: K }>) => Joi.Schema;
} = {
  text: ({ most }) => text(most),
  id: () => id,
  ingredient: () => ingredientId,
  grams: () => grams,
  number: ({ least, most, whole }) => {
    const number = Joi.number().min(least).max(most);
    return whole ? number.integer() : number;
  },
  flag: () => Joi.boolean(),
  words: ({ of }) =>
    Joi.array()
      .items(Joi.string().valid(...of))
      .max(of.length),
};

/** The validator of what a shape of the core describes. */
export const joiOf = (shape: Shape): Joi.ObjectSchema =>
  Joi.object(
    Object.fromEntries(
      Object.entries(shape).map(([name, field]) => {
        const schema = fields[field.kind](field as never);
        return [name, field.optional ? schema.optional() : schema.required()];
      }),
    ),
  );

const event = Joi.object({
  id: id.required(),
  at: instant.required(),
  kind: Joi.string()
    .valid(...bakeEventKinds)
    .required(),
  data: Joi.when('kind', {
    switch: bakeEventKinds.map((kind) => ({
      is: kind,
      then: joiOf(eventKinds[kind].shape).required(),
    })),
  }),
});

export const eventsBody = Joi.object<{ events: BakeEvent[] }>({
  events: Joi.array().items(event).min(1).max(500).required(),
}).required();

/** A part of the settings, as RFC 7396 has it; what it comes to is judged as a whole. */
export const settingsPatch = Joi.object<Record<string, unknown>>().max(20).required();

export const deviceBody = Joi.object<{ name: string }>({
  name: Joi.string().trim().min(1).max(40).required(),
}).required();

export const versionsQuery = Joi.object<{ limit: number; offset: number }>({
  limit: Joi.number().integer().min(1).max(200).default(30),
  offset: Joi.number().integer().min(0).max(1e9).default(0),
}).required();

/** Since when a bag is as it is said to be: of what may have come about. */
export const bagQuery = Joi.object<{ since: 'today' | 'always' }>({
  since: Joi.string().valid('today', 'always').default('today'),
}).required();

export const pageQuery = Joi.object<{
  limit: number;
  offset: number;
  formula: string;
  search: string;
}>({
  limit: Joi.number().integer().min(1).max(200).default(50),
  offset: Joi.number().integer().min(0).max(1e9).default(0),
  formula: id.allow('').default(''),
  search: text(200).default(''),
}).required();
