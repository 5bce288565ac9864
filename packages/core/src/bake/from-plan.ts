import type { Formula } from '../formula/formula.ts';
import type { PlannedBody } from '../schedule/planned-bake.ts';
import type { TimedBake } from '../schedule/timed-plan.ts';
import { aheadSteps } from './ahead-steps.ts';
import type { BakeEvent } from './event.ts';

/** An event before it is said: without its id, and with its moment where that is not now. */
export type Unsaid = { readonly at?: string } & {
  [K in BakeEvent['kind']]: Pick<Extract<BakeEvent, { kind: K }>, 'kind' | 'data'>;
}[BakeEvent['kind']];

/**
 * What was settled on a plan, as a bake of it has it from its beginning: its way, how warm it was planned to stand,
 * its leaven made fit for its time, and what was done before. From there on the bake speaks for itself.
 *
 * @param planned as its times were worked out last; none where no plan could be made
 * @param formula as it is baked
 * @example fromPlan({roomC: 18}, undefined, formula) // [{kind: 'wished', data: {air: 18}}]
 */
export function fromPlan(
  { facts = {}, ripe, roomC, doughC, shaping }: PlannedBody,
  planned: Pick<TimedBake, 'way' | 'leaven' | 'oven' | 'wakes'> | undefined,
  formula: Formula | undefined,
): readonly Unsaid[] {
  const { way, leaven, oven, wakes } = planned ?? {};
  const wished = {
    ...(roomC === undefined ? {} : { air: roomC }),
    ...(doughC === undefined ? {} : { dough: doughC }),
    ...(wakes ? { wakes } : {}),
  };
  const changes = leaven && 'changes' in leaven ? leaven.changes : [];
  const line = changes
    .flatMap((c) => formula?.stages.find((s) => s.id === c.stage)?.lines ?? [])
    .find((l) => changes.some((c) => c.ingredient === l.ingredient));
  return [
    ...(way ? [{ kind: 'way', data: { way } } as const] : []),
    ...(shaping === undefined ? [] : [{ kind: 'divided', data: shaping } as const]),
    ...(oven === undefined ? [] : [{ kind: 'oven', data: { oven } } as const]),
    ...(Object.keys(wished).length > 0 ? [{ kind: 'wished', data: wished } as const] : []),
    ...(line
      ? [
          {
            kind: 'instead',
            data: { of: line.id, says: 'for the time that it has', changes: [...changes] },
          } as const,
        ]
      : []),
    ...Object.entries(facts).flatMap(([step, { end }]) =>
      end === undefined ? [] : [{ at: end, kind: 'step', data: { step, sense: 'done' } } as const],
    ),
    ...(ripe ? aheadSteps(formula) : []).map(
      (step) => ({ kind: 'step', data: { step, sense: 'skipped' } }) as const,
    ),
  ];
}
