import { vesselIds, type RiseAsked } from '@tender-crumb/core/ferment';
import { yeastKinds } from '@tender-crumb/core/ingredient';
import Joi from 'joi';

const percent = (most: number) => Joi.number().min(0).max(most);

/** Yeast can be fresh, which weighs three times as much; a starter can be all of the flour. */
const leaven = Joi.object({
  kind: Joi.string()
    .valid(...yeastKinds, 'starter')
    .required(),
  percent: Joi.when('kind', { is: 'starter', then: percent(100), otherwise: percent(20) }),
});
const known = leaven.fork('percent', (field) => field.required());

/** Warmer or colder than any kitchen, fridge or oven that a dough rises in. */
const celsius = Joi.number().min(-25).max(70);
/** Longest stretch of one air, hours. */
const longest = 240;

const asked = {
  saltPercent: percent(10).required(),
  sugarPercent: percent(60).required(),
  fatPercent: percent(120).required(),
  waterPercent: Joi.number().min(30).max(300).required(),
  wholeShare: Joi.number().min(0).max(1).required(),
  liquid: Joi.boolean().default(false),
  doughC: celsius.required(),
  air: Joi.array()
    .items(
      Joi.object({
        hours: Joi.number().greater(0).max(longest).required(),
        celsius: celsius.required(),
      }),
    )
    .min(1)
    .max(20)
    .required(),
  vessel: Joi.string()
    .valid(...vesselIds)
    .required(),
  kilograms: Joi.number().min(0.01).max(50).required(),
  fromVolume: Joi.number().min(1).max(5).default(1),
  awake: Joi.boolean().default(false),
  until: Joi.object({
    volume: Joi.number().greater(1).max(6),
    ripe: Joi.boolean().valid(true),
  })
    .xor('volume', 'ripe')
    .required(),
};

/** When is it ready? */
export const riseBody = Joi.object<RiseAsked>({
  ...asked,
  leavens: Joi.array().items(known).min(1).max(4).required(),
}).required();

/** How much leaven does that take? */
export const leavenBody = Joi.object<RiseAsked & { hours: number }>({
  ...asked,
  leavens: Joi.array().items(leaven).min(1).max(4).required(),
  hours: Joi.number().min(0.1).max(longest).required(),
}).required();
