import { isCurrency, type Money } from '@tender-crumb/core/household';
import type { Price } from '@tender-crumb/core/ingredient';
import Joi from 'joi';

const amount = Joi.number().min(0).max(1_000_000);
const byName = <T>(of: Joi.Schema<T>) =>
  Joi.object<Record<string, T>>().pattern(Joi.string().min(1).max(120), of).max(2000);

/** What was paid for a pack. */
const price = Joi.object<Price>({
  paid: amount.required(),
  kilograms: Joi.number().greater(0).max(1000).required(),
});
export const pricesField = byName(price);

/** What a household reckons in. */
export const moneyField = Joi.object<Money>({
  currency: Joi.string()
    .custom((code: string, { error }) => (isCurrency(code) ? code : error('any.invalid')))
    .messages({ 'any.invalid': 'is not three capital letters, such as EUR' })
    .required(),
  power: amount,
  cheapPower: amount,
  shop: byName(
    Joi.object({ price: amount.required(), grams: Joi.number().greater(0).max(50_000).required() }),
  ).required(),
});
