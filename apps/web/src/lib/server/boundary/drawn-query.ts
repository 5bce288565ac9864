import { measureIds, questions, type Along, type MeasureId } from '@tender-crumb/core/book';

const isMeasure = (id: string): id is MeasureId => (measureIds as readonly string[]).includes(id);

/** Of so many bakes a drawing is made; where all are asked for, of so many. */
const bakes = { usual: 80, all: 400 } as const;

/** What a drawing is asked for; what cannot be is passed over. */
export interface DrawnAsked {
  readonly of: MeasureId;
  readonly along: Along;
  /** The newest bakes of the bread, so many. */
  readonly newest: number;
}

/**
 * What the address of a drawing asks for.
 *
 * @example drawnAsked(new URLSearchParams('of=loss')).along // 'day'
 */
export function drawnAsked(query: URLSearchParams): DrawnAsked {
  const [of, along] = [query.get('of') ?? '', query.get('along') ?? ''];
  return {
    of: isMeasure(of) ? of : questions[0]!.of,
    along: isMeasure(along) ? along : 'day',
    newest: query.has('all') ? bakes.all : bakes.usual,
  };
}
