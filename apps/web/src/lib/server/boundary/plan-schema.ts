import { everyDay, isClock, type Hours } from '@tender-crumb/core/household';
import { deviceIds } from '@tender-crumb/core/machine';
import { isZone, wayIds, type PlannedBake, type PlannedBody } from '@tender-crumb/core/schedule';
import { forms } from '@tender-crumb/core/style';
import { mostOfPieces } from '@tender-crumb/core/bake';
import Joi from 'joi';
import type { Timer } from '../store/timers.ts';
import { instant, named, plainId } from './fields.ts';

const clockTime = Joi.string()
  .custom((text: string, { error }) => (isClock(text) ? text : error('any.invalid')))
  .messages({ 'any.invalid': 'is not a time of day, such as 06:30' });

export const zoneField = Joi.string()
  .max(60)
  .custom((text: string, { error }) => (isZone(text) ? text : error('any.invalid')))
  .messages({ 'any.invalid': 'is not a time zone, such as Europe/Berlin' });

const hours = Joi.object<Hours>({
  days: Joi.array()
    .items(Joi.number().valid(...everyDay))
    .min(1)
    .max(7)
    .unique()
    .default([...everyDay]),
  from: clockTime.required(),
  to: clockTime.required().invalid(Joi.ref('from')).messages({
    'any.invalid': 'begins and ends at the same time',
  }),
});
const hoursList = Joi.array().items(hours).max(20);

export const weekField = Joi.object({
  asleep: hoursList.required(),
  away: hoursList.required(),
  power: hoursList.required(),
});

/** Colder or hotter is no kitchen that a dough rises in. */
export const kitchenCelsius = Joi.number().min(0).max(45);

/** A bake with what is wished of it, as it is asked for. */
export interface BakeAsked extends Omit<PlannedBody, 'facts' | 'locks'> {
  readonly id?: string;
  readonly formula?: unknown;
  readonly formulaId?: string;
}

export interface PlanBody {
  readonly now?: string;
  readonly zone?: string;
  readonly bakes: readonly BakeAsked[];
  readonly asleep?: readonly Hours[];
  readonly away?: readonly Hours[];
  readonly power?: readonly Hours[];
  readonly resources?: Partial<
    Record<'oven' | 'ovens' | 'mixer' | 'machine' | 'fridge' | 'people', number>
  >;
}

/** What is wished of a bake, whoever asks. */
const wishes = {
  device: Joi.string().valid(...deviceIds),
  roomC: kitchenCelsius,
  doughC: kitchenCelsius,
  readyBy: instant,
  beginAt: instant,
  ripe: Joi.boolean(),
  ways: Joi.array()
    .items(Joi.string().valid(...wayIds))
    .min(1)
    .unique(),
  fed: Joi.object({
    at: instant.required(),
    keptAt: Joi.string().valid('room', 'fridge').required(),
  }),
  shaping: Joi.object({
    form: Joi.string()
      .valid(...forms)
      .required(),
    pieces: Joi.number().integer().min(1).max(mostOfPieces).required(),
  }),
};

const howMany = Joi.number().integer().min(1).max(20);

export const planBody = Joi.object<PlanBody>({
  now: instant,
  zone: zoneField,
  bakes: Joi.array()
    .items(
      Joi.object({
        id: plainId,
        formula: Joi.object().unknown(),
        formulaId: plainId,
        ...wishes,
      }).xor('formula', 'formulaId'),
    )
    .min(1)
    // How many a plan holds is the core's to say: here only that a list ends.
    .max(200)
    .unique('id', { ignoreUndefined: true })
    .required(),
  asleep: hoursList,
  away: hoursList,
  power: hoursList,
  resources: Joi.object({
    oven: howMany,
    ovens: howMany,
    mixer: howMany,
    machine: howMany,
    fridge: howMany,
    people: howMany,
  }),
}).required();

const stepName = /^[A-Za-z0-9_:-]{1,120}$/;
const fact = Joi.object({ start: instant, end: instant });

/** A bake that is planned, as a page sends it. */
export const plannedBody = Joi.object<Omit<PlannedBake, 'id'>>({
  version: Joi.number().integer().min(0).max(1e9).required(),
  formulaId: plainId.required(),
  bakeId: plainId,
  ...wishes,
  facts: Joi.object().pattern(stepName, fact).max(60),
  locks: Joi.object().pattern(stepName, instant).max(60),
}).required();

/** More timers than this are more than anybody hears. */
export const mostTimers = 30;

export const timerBody = Joi.object<Omit<Timer, 'id'>>({
  name: named(80).required(),
  dueAt: instant.required(),
}).required();
