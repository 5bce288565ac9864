import type { Coefficients } from '../coefficients/coefficients.ts';
import { type Household } from '../household/household.ts';
import { kitchenOf } from '../belief/kitchen.ts';
import type { OwnFigures } from '../coefficients/figure-rows.ts';
import { riseFiguresWith } from '../coefficients/rise-figures.ts';
import { usualRise, type RiseModel } from './rise.ts';

/** By the household's own figures: a page asks for it at every keystroke. */
const made = new WeakMap<OwnFigures, RiseModel>();

/**
 * The rise model with a household's own figures in it.
 *
 * @example riseModelOf({figures: {riseGas: 500}, coefficients}).figures.riseGas.value // 500
 */
export function riseModelOf({
  figures,
  coefficients,
}: {
  readonly figures: OwnFigures;
  readonly coefficients: Coefficients;
}): RiseModel {
  if (Object.keys(figures).length === 0) return usualRise;
  const known = made.get(figures);
  if (known) return known;
  const model = { figures: riseFiguresWith(figures), coefficients };
  made.set(figures, model);
  return model;
}

/** By the model and the height: what was worked out with one is known the next time. */
const high = new WeakMap<RiseModel, Map<number, RiseModel>>();

/** The same for a household, as high up as it is. */
export function riseModelIn(household: Household): RiseModel {
  const { figures, altitude } = household;
  const model = riseModelOf({ figures, coefficients: kitchenOf(household).coefficients });
  if (!altitude) return model;
  const known = high.get(model) ?? new Map<number, RiseModel>();
  high.set(model, known);
  const there = known.get(altitude) ?? { ...model, altitude };
  known.set(altitude, there);
  return there;
}
