import { commonPractice, figure, type Figure } from '../figure/figure.ts';

/** How a starter stands that was left to itself, and what it wants before it raises a dough. */
interface Standing {
  readonly label: string;
  /** Up to so many hours after its feeding, in the room and in the fridge. */
  readonly room: Figure;
  readonly fridge: Figure;
  /** Feedings before it is used. */
  readonly feedings: number;
  readonly says: string;
}

const hours = (value: number): Figure => figure(value, 'h', value / 3, commonPractice);
const days = (value: number): Figure => hours(value * 24);

/** One row a standing, the freshest first. */
export const starterStandings = {
  rising: {
    label: 'rising',
    room: hours(4),
    fridge: hours(12),
    feedings: 0,
    says: 'fed not long ago: use it when it is domed',
  },
  ripe: {
    label: 'ripe',
    room: hours(12),
    fridge: days(2),
    feedings: 0,
    says: 'ready if it floats and smells sweet and sour',
  },
  hungry: {
    label: 'hungry',
    room: days(2),
    fridge: days(7),
    feedings: 1,
    says: 'feed it once first; stir the liquid in for tang, pour it off for a mild bread',
  },
  weak: {
    label: 'weak',
    room: days(5),
    fridge: days(21),
    feedings: 2,
    says: 'two feedings in the room, the last the night before',
  },
  neglected: {
    label: 'neglected',
    room: hours(Infinity),
    fridge: hours(Infinity),
    feedings: 3,
    says: 'three feedings from one spoon, and only if it smells clean and sour',
  },
} as const satisfies Record<string, Standing>;

type StarterStandingId = keyof typeof starterStandings;
const rows = Object.entries(starterStandings) as Array<[StarterStandingId, Standing]>;

/** What is thrown away, whatever else it looks like. Handbook section 17; common practice. */
export const spoiledStarter = 'Pink, orange or furry: throw it away, and wash the jar hot.';

/**
 * How a starter stands.
 *
 * @param hoursSinceFed 0 or more
 * @example starterStanding(9 * 24, 'fridge') // 'weak': two feedings
 */
export const starterStanding = (
  hoursSinceFed: number,
  keptAt: 'room' | 'fridge',
): StarterStandingId => rows.find(([, row]) => hoursSinceFed <= row[keptAt].value)![0];
