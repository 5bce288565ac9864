import { measureOf, valueText, type MeasureId } from '@tender-crumb/core/book';
import type { ScaleLinear } from 'd3-scale';
import { hourMarks } from '../ui/chart/hour-marks.ts';

/**
 * Where marks of a measure stand on its scale, and what they say: hours as a clock has them, judgements by their words.
 *
 * @param most about so many of them
 * @param say as the household writes numbers
 */
export function measureMarks(
  id: MeasureId,
  scale: ScaleLinear<number, number>,
  most: number,
  say: (text: string) => string,
): ReadonlyArray<{ readonly at: number; readonly says: string }> {
  const { unit, text } = measureOf(id);
  const [from, to] = scale.domain() as [number, number];
  const values = unit === 'h' ? hourMarks([from, to], most) : scale.ticks(most);
  return values
    .filter((v) => unit === 'h' || !text || (Number.isInteger(v) && text(v) !== ''))
    .map((v) => ({
      at: scale(v),
      says: say(text ? valueText(id, v) : String(Number(v.toFixed(6))).replace('-', '−')),
    }));
}
