import { isDay, isMoment, plainName } from '@tender-crumb/core/quantity';
import type { Feeding } from '@tender-crumb/core/starter';
import Joi from 'joi';

/** Ids are plain words; a colon marks those that the program makes by itself. */
export const plainId = Joi.string().pattern(/^[A-Za-z0-9_-]{1,80}$/, 'letters, digits, - and _');

/** A name: something, and nothing in it that is not seen. */
export const named = (most: number) =>
  Joi.string()
    .trim()
    .min(1)
    .max(most)
    .custom((text: string, { error }) =>
      plainName(text) === text.trim() ? text : error('name.unseen'),
    )
    .messages({ 'name.unseen': 'has signs in it that are not seen: type it anew' });

/** Texts whose days exist: a pattern alone takes the thirtieth of February. */
const existing = (isOne: (text: string) => boolean, what: string) =>
  Joi.string()
    .custom((text: string, { error }) => (isOne(text) ? text : error('any.invalid')))
    .messages({ 'any.invalid': `is not ${what}` });
export const instant = existing(isMoment, 'a moment, such as 2026-05-01T08:00:00Z');
export const day = existing(isDay, 'a day, such as 2026-05-01');

const feedingGrams = Joi.number().min(0).max(20_000);

/** What a starter was fed: something, at least. */
export const feedingBody = Joi.object<Omit<Feeding, 'id'>>({
  at: instant.required(),
  seed: feedingGrams.greater(0).required(),
  flour: feedingGrams.greater(0).required(),
  water: feedingGrams.required(),
  peakAt: instant,
  risingAt: instant,
  celsius: Joi.number().min(-2).max(60),
  discard: feedingGrams,
  note: Joi.string().max(500),
  bake: plainId,
}).required();

/** When a starter stood highest after a feeding. */
export const peakBody = Joi.object<{ at: string }>({ at: instant.required() }).required();
