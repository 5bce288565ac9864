import { cupMillilitres, fills, tablespoonMillilitres } from '@tender-crumb/core/quantity';
import Joi from 'joi';

/** Whose cup and spoon it is, how the cup is filled, and how warm the room is, °C. */
export const cup = Joi.string().valid(...Object.keys(cupMillilitres));
export const tablespoon = Joi.string().valid(...Object.keys(tablespoonMillilitres));
export const fill = Joi.string().valid(...fills);
export const roomC = Joi.number().min(-10).max(60);
