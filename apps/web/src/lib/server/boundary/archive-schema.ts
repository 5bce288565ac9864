import Joi from 'joi';
import type { Stays } from '../archive/take.ts';
import type { OldBakeHere } from '../store/old-bakes.ts';
import { day, plainId } from './fields.ts';
import { eventField } from './schemas.ts';

/** Which of two things of one name stays. */
export const staysBody = Joi.object<{ stays: Stays }>({
  stays: Joi.valid('ours', 'theirs').required(),
}).required();

/** Said so that nobody does it by a slip of the finger. */
export const awayBody = Joi.object<{ say: 'everything' }>({
  say: Joi.valid('everything').required(),
}).required();

export const backupBody = Joi.object<{ name: string }>({
  name: Joi.string()
    .pattern(/^[a-z-]+-[0-9TZ-]+(?:-\d+)?\.db$/, 'the name of a copy')
    .required(),
}).required();

/** Bakes that are brought along at once. */
const mostOld = 500;

/** Bakes from somebody's own table. */
export const oldBody = Joi.object<{ bakes: OldBakeHere[] }>({
  bakes: Joi.array()
    .items(
      Joi.object({
        id: plainId.pattern(/^old-/).required(),
        bread: Joi.string().max(200).required(),
        day: day.required(),
        formulaId: plainId,
        events: Joi.array().items(eventField).min(1).max(10).required(),
      }),
    )
    .min(1)
    .max(mostOld)
    .required(),
}).required();
