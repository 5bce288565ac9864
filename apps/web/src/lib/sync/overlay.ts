import { onHouseClock, type BakeEvent } from '@tender-crumb/core/bake';
import { apply } from 'json-merge-patch';
import type { Feeding } from '@tender-crumb/core/starter';
import type { PlannedWithBake } from '@tender-crumb/core/view';
import type { BeginBake } from './begin.ts';
import type { Entry } from './entry.ts';
import { bakeLane, settingsLane, type Changed, type RowSaid } from './kinds.ts';
import { applyChange } from '../wire/merge.ts';

export type Waiting = ReadonlyArray<Pick<Entry, 'kind' | 'lane' | 'body'>>;
type Row = { readonly id: string };

/** What was tapped in a bake here and is still on its way, at the time of the house; its beginning stands in the same lane. */
export const eventsOnTheirWay = (waiting: Waiting, bake: string): BakeEvent[] =>
  waiting
    .filter((e) => e.lane === bakeLane(bake) && e.kind === 'event')
    .map((e) => onHouseClock(e.body as BakeEvent));

/** Rows with what was said of them here and is still on its way: one’s own word is shown at once. */
export function withChanges<T extends Row>(
  rows: readonly T[],
  waiting: Waiting,
  kind: string,
): readonly T[] {
  return waiting
    .filter((e) => e.kind === kind)
    .reduce<readonly T[]>((all, { body }) => {
      const { id, change } = body as Changed;
      const there = all.find((row) => row.id === id);
      const said = { ...applyChange<object>(there ?? {}, change, 'mine').value, id } as T;
      return there ? all.map((row) => (row.id === id ? said : row)) : [...all, said];
    }, rows);
}

/** Planned bakes with what was said of them here; those that were taken off here are not among them. */
export function withPlans<T extends Row>(plans: readonly T[], waiting: Waiting): readonly T[] {
  const off = new Set(
    waiting.filter((e) => e.kind === 'plan-off').map((e) => (e.body as RowSaid).id),
  );
  return withChanges(plans, waiting, 'plan').filter((p) => !off.has(p.id));
}

/** Rows with those that were written or taken away here and are still on their way. */
export function withRows<T extends Row>(
  rows: readonly T[],
  waiting: Waiting,
  kind: string,
  of: (said: RowSaid) => boolean = () => true,
): readonly T[] {
  return waiting.reduce<readonly T[]>((all, entry) => {
    const said = entry.body as RowSaid;
    if (entry.kind === `${kind}-off` && of(said)) return all.filter((row) => row.id !== said.id);
    if (entry.kind !== kind || !of(said)) return all;
    return [...all.filter((row) => row.id !== said.id), { ...said.row, id: said.id } as T];
  }, rows);
}

/** Feedings of a starter with what was written of them here, and when it was seen to stand highest. */
export function withFeedings(
  feedings: readonly Feeding[],
  waiting: Waiting,
  jar: string,
): readonly Feeding[] {
  const rows = withRows(feedings, waiting, 'feeding', (said) => said.bag === jar);
  return waiting
    .filter((e) => e.kind === 'peak')
    .reduce<readonly Feeding[]>((all, { body }) => {
      const { id, row } = body as RowSaid;
      const { at } = row as { at: string };
      return all.map((f) => (f.id === id ? { ...f, peakAt: f.peakAt ?? at } : f));
    }, rows);
}

/**
 * Planned bakes with those that were begun here and that the server has not heard of, and with what was tapped in them: a
 * plan that is begun is not begun once more. One that nobody planned stands among them under its own id, as on the server.
 */
export function withBegun(
  plans: readonly PlannedWithBake[],
  waiting: Waiting,
): readonly PlannedWithBake[] {
  const begun = waiting
    .filter((e) => e.kind === 'begin')
    .reduce<readonly PlannedWithBake[]>((all, { body }) => {
      const { id, formulaId, formulaVersion, planned, startedAt, method, events } =
        body as BeginBake;
      if (formulaId === undefined || all.some((p) => p.bakeId === id)) return all;
      const bake = {
        bakeId: id,
        begun: {
          startedAt,
          method: method ?? ('hand' as const),
          events: (events ?? []).map(onHouseClock),
          ...(formulaVersion === undefined ? {} : { formulaVersion }),
        },
      };
      return all.some((p) => p.id === planned)
        ? all.map((p) => (p.id === planned ? { ...p, ...bake } : p))
        : [{ id, formulaId, version: 0, ...bake }, ...all];
    }, plans);
  return begun.map((plan) => {
    const tapped = plan.begun ? eventsOnTheirWay(waiting, plan.bakeId!) : [];
    return plan.begun && tapped.length > 0
      ? { ...plan, begun: { ...plan.begun, events: [...plan.begun.events, ...tapped] } }
      : plan;
  });
}

/** The household, or a part of what it settled, with what was settled here and is still on its way. */
export function withSettled<S extends object>(settings: S, waiting: Waiting): S {
  const said = waiting.filter((e) => e.lane === settingsLane);
  if (said.length === 0) return settings;
  return said.reduce<S>(
    (s, { kind, body }) =>
      kind === 'house'
        ? applyChange(s, (body as Changed).change, 'mine').value
        : (apply(s, body) as S),
    structuredClone(settings),
  );
}
