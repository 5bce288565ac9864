import { withPaces } from '../ferment/rise-doubt.ts';
import { riseCurve } from '../ferment/rise-curve.ts';
import { riseUntil } from '../ferment/rise-until.ts';
import type { RisePoint } from '../ferment/rise.ts';
import { leavenForRise } from '../ferment/rises.ts';
import type { Bread } from './bread.ts';
import type { PlannedBread, PlannedStep } from './plan.ts';

/** Points that a curve is drawn through. */
const points = 30;

/**
 * How a dough rises in a step of a plan, with the leaven that its time takes.
 *
 * @returns none for a step that is no rise, or whose rise no model tells
 * @example stepCurve(bread, planned, firstRise).at(-1)?.volume // about 2
 */
export function stepCurve(bread: Bread, { rises }: PlannedBread, step: PlannedStep): RisePoint[] {
  const way =
    step.kind === 'first-rise'
      ? rises?.first
      : step.kind === 'final-proof'
        ? rises?.final
        : undefined;
  const hours = (step.end - step.start) / 60;
  if (!way || hours <= 0) return [];
  const { dough, end } = way.rise;
  const found =
    way.leaven && leavenForRise({ dough, end }, way.leaven, hours, bread.paces, bread.model);
  const leavened =
    way.leaven && found?.percent ? { ...dough, [way.leaven]: found.percent.middle } : dough;
  const known = withPaces(leavened, bread.paces);
  if (!bread.seen?.[way.rise.id]) return riseCurve(known, hours, points, bread.model);
  // Through what was seen: the same rise, as much sooner or later as that has it.
  const foreseen = riseUntil(known, end, bread.model).hours;
  const pace = foreseen === undefined ? 1 : way.span.usual / 60 / foreseen;
  return riseCurve(known, hours / pace, points, bread.model).map((point) => ({
    ...point,
    hours: point.hours * pace,
  }));
}
