import { frictionSpan } from '@tender-crumb/core/belief';
import {
  carbSchools,
  defaultSettings,
  houseQuestionIds,
  percentageSchools,
  waterSchools,
  type Settings,
} from '@tender-crumb/core/household';
import { catalogue } from '@tender-crumb/core/ingredient';
import { kneadingIds } from '@tender-crumb/core/machine';
import {
  decimalMarks,
  eggGrams,
  massSchools,
  temperatureSchools,
} from '@tender-crumb/core/quantity';
import Joi from 'joi';
import { ingredientId } from './ingredient-fields.ts';
import { cup, fill, roomC, tablespoon } from './measuring-fields.ts';
import { appliancesField, bakersField, customField, pansField } from './kitchen-schema.ts';
import { moneyField, pricesField } from './money-schema.ts';
import { weekField, zoneField } from './plan-schema.ts';

const weighedCup = Joi.object({
  weighings: Joi.array().items(Joi.number().min(1).max(1000)).min(1).max(20).required(),
  millilitres: Joi.number().min(50).max(500).required(),
});

/** What a household settled, whole. */
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
  noProbe: Joi.boolean().default(false),
  writing: Joi.object({
    mass: Joi.string()
      .valid(...massSchools)
      .required(),
    temperature: Joi.string()
      .valid(...temperatureSchools)
      .required(),
    decimal: Joi.string()
      .valid(...decimalMarks)
      .required(),
  }).default(defaultSettings.writing),
  words: Joi.object().pattern(Joi.string().max(120), ingredientId).max(500).default({}),
  each: Joi.object()
    .pattern(Joi.string().max(200), Joi.number().min(0.01).max(10_000))
    .max(500)
    .default({}),
  yeastKept: Joi.string().valid(...catalogue.filter((i) => i.yeast).map((i) => i.id)),
  figures: Joi.object()
    .pattern(Joi.string().max(120), Joi.number().min(-1000).max(1000))
    .max(400)
    .default({}),
  zone: zoneField,
  altitude: Joi.number().min(-450).max(6000),
  week: weekField.default(defaultSettings.week),
  appliances: appliancesField.default(defaultSettings.appliances),
  pans: pansField.default(defaultSettings.pans),
  custom: customField,
  prices: pricesField.default(defaultSettings.prices),
  money: moneyField.default(defaultSettings.money),
  friction: Joi.object(
    Object.fromEntries(
      kneadingIds.map((id) => [id, Joi.number().min(frictionSpan[0]).max(frictionSpan[1])]),
    ),
  ).default(defaultSettings.friction),
  people: Joi.number().integer().min(1).max(20).default(defaultSettings.people),
  bakers: bakersField.default(defaultSettings.bakers),
  settled: Joi.array()
    .items(Joi.string().valid(...houseQuestionIds))
    .unique()
    .default(defaultSettings.settled),
}).required();

/** A part of the settings, as RFC 7396 has it; what it comes to is judged as a whole. */
export const settingsPatch = Joi.object<Record<string, unknown>>().max(20).required();
