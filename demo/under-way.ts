import type { BakeEvent } from '@tender-crumb/core/bake';
import { mainStage, type Formula } from '@tender-crumb/core/formula';

const minuteMs = 60_000;

/** Minutes before now at which things were done to it. */
const begun = 172;

/** What was noted of the plait the last time, at its steps. */
export const lastTime = {
  shape: 'Strands thinner at the ends: the tips went dark.',
  bake: 'Foil over it for the last ten minutes.',
} as const;

/** The bake that is under way when the demo opens: the plait, shaped and proofing, the oven soon to be heated. */
export function demoUnderWay(now: Date, formula: Formula) {
  const at = (ago: number) => new Date(now.getTime() - ago * minuteMs).toISOString();
  const events: BakeEvent[] = [];
  const add = (ago: number, kind: BakeEvent['kind'], data: unknown) =>
    events.push({ id: `now-${events.length + 1}`, at: at(ago), kind, data } as BakeEvent);
  for (const [i, line] of mainStage(formula).lines.entries())
    add(begun - i, 'weighed', { item: line.id, grams: line.grams, byScale: true });
  add(160, 'step', { step: 'weigh', sense: 'done' });
  add(149, 'step', { step: 'mix', sense: 'done' });
  add(148, 'felt', { points: 1 });
  add(147, 'step', { step: 'check', sense: 'done' });
  add(147, 'rise', { rise: 'first', sense: 'begun' });
  add(146, 'warmth', { of: 'dough', celsius: 25.5 });
  add(80, 'rise', { rise: 'first', sense: 'not-yet' });
  add(52, 'rise', { rise: 'first', sense: 'there' });
  add(50, 'divided', { pieces: 3, form: 'plait' });
  for (const grams of [296, 299, 297]) add(49, 'piece', { grams });
  add(40, 'step', { step: 'shape', sense: 'done' });
  add(40, 'rise', { rise: 'final', sense: 'begun' });
  add(12, 'rise', { rise: 'final', sense: 'not-yet' });
  return { id: 'under-way', method: 'hand' as const, startedAt: at(begun), events };
}
