import { bakeState, type Lesson, type Outcome, type StyleId } from '@tender-crumb/core';
import type { BakeWithEvents } from './store/bakes.ts';

/** A bake as it stands in the book. */
export interface BookRow {
  readonly id: string;
  readonly formulaId: string;
  readonly name: string;
  readonly style: StyleId;
  readonly startedAt: string;
  readonly finished: boolean;
  readonly outcome?: Outcome;
  readonly lesson?: Lesson;
}

export const bookRows = (bakes: readonly BakeWithEvents[]): BookRow[] =>
  bakes.map(({ id, formulaId, formulaName, style, startedAt, finishedAt, lesson, events }) => {
    const { outcome } = bakeState(events);
    return {
      id,
      formulaId,
      name: formulaName,
      style: style as StyleId,
      startedAt,
      finished: finishedAt !== undefined,
      ...(outcome ? { outcome } : {}),
      ...(lesson ? { lesson } : {}),
    };
  });
