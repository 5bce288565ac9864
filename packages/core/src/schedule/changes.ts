import { capital } from '../quantity/capital.ts';
import type { Folds, Phase } from '../process/method-in.ts';
import { foldsAt, partsAt } from '../process/parts-at.ts';

/** Something to be done in the middle of a step: the lid comes off, the dough is folded. */
export interface Change {
  readonly at: string;
  readonly says: string;
}

interface Changing {
  readonly start: string;
  readonly minutes: number;
  readonly parts?: readonly Phase[];
  readonly folds?: Folds;
  readonly turns?: true;
  readonly rounds?: number;
}

const moves: Readonly<Partial<Record<NonNullable<Phase['place']>, string>>> = {
  fridge: 'into the fridge',
  room: 'into the room',
  warm: 'into the warm',
};

/** What a part asks for that the one before had not. */
function asked(part: Phase, before: Phase): string {
  const says = [
    part.lid !== before.lid && part.lid !== undefined ? (part.lid ? 'lid on' : 'lid off') : '',
    part.celsius !== undefined && part.celsius !== before.celsius
      ? `oven to ${Math.round(part.celsius)} °C`
      : '',
    part.place && part.place !== before.place ? (moves[part.place] ?? '') : '',
  ].filter(Boolean);
  const text = says.length > 0 ? says.join(', ') : 'the next part';
  return capital(text);
}

const later = (iso: string, minutes: number): string =>
  new Date(Date.parse(iso) + minutes * 60_000).toISOString();

/**
 * What is to be done in the middle of a step that has begun, by the clock.
 *
 * @param step with its own start and minutes: its parts are as long as it is
 * @example changesOf({start, minutes: 40, parts: [{minutes: 20, lid: true, says: ''}, {minutes: 20, lid: false, says: ''}]})[0].says // 'Lid off'
 */
export function changesOf({ start, minutes, rounds = 1, ...of }: Changing): Change[] {
  const each = minutes / rounds;
  const first = inOneRound({ ...of, start, minutes: each });
  return Array.from({ length: rounds }, (_, i) => [
    ...(i === 0 ? [] : [{ at: later(start, i * each), says: 'These out, the next ones in' }]),
    ...first.map((c) => ({ ...c, at: later(c.at, i * each) })),
  ])
    .flat()
    .sort((a, b) => (a.at < b.at ? -1 : 1));
}

function inOneRound({
  start,
  minutes,
  parts = [],
  folds,
  turns,
}: Omit<Changing, 'rounds'>): Change[] {
  const said = parts.reduce(
    (sum, p) => sum + ((p.minutes ?? 0) + (p.mostMinutes ?? p.minutes ?? 0)) / 2,
    0,
  );
  const timed = partsAt(parts, start, start, said > 0 ? minutes / said : 1);
  return [
    ...timed.flatMap((part, i) => {
      const next = timed[i + 1];
      return next && part.until ? [{ at: part.until, says: asked(next, part) }] : [];
    }),
    ...(turns ? [{ at: later(start, minutes / 2), says: 'Turn it round' }] : []),
    ...(folds
      ? foldsAt(folds, start, start).map(({ at }, i) => ({
          at,
          says: `Fold ${i + 1} of ${folds.times}`,
        }))
      : []),
  ];
}
