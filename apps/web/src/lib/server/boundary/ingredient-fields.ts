import { catalogue, ownIdPattern } from '@tender-crumb/core/ingredient';
import Joi from 'joi';

/** Of the household's own. */
export const ownId = Joi.string().pattern(ownIdPattern);
/** In the catalogue, or the household's own; whether it has that one is for {@link knownHere} to say. */
export const ingredientId = Joi.alternatives(
  Joi.string().valid(...catalogue.map((i) => i.id)),
  ownId,
).messages({ 'alternatives.match': 'is not an ingredient of the catalogue' });
