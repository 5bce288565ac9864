import type { Paces } from '../ferment/rise-doubt.ts';
import { usualWarmth } from '../ferment/usual-warmth.ts';
import { pantryIn, type Household } from '../household/household.ts';
import type { Bag } from '../ingredient/bag.ts';
import { refuse, type Refused } from '../quantity/refusal.ts';
import { buildsFor, type Build } from '../starter/builds.ts';
import type { Feeding } from '../starter/feeding.ts';
import { starterStanding, starterStandings } from '../starter/standing.ts';
import { lazily } from './lazily.ts';

/** A jar, what it was fed, and what is wanted of it. */
export interface StarterGiven {
  readonly bag: Bag;
  /** The latest first. */
  readonly feedings: readonly Feeding[];
  readonly household: Household;
  readonly paces: Paces;
  /** ISO moment. */
  readonly now: string;
  /** Ripe starter that is wanted, grams, what is kept of it, when, and in how many feedings. */
  readonly asked?: {
    readonly want: number | undefined;
    readonly keep: number | undefined;
    readonly at: string | undefined;
    readonly builds: number;
  };
}

/** All that is shown of a starter. */
export interface StarterView {
  /** ISO moment of its last feeding; of a day alone, its noon. */
  readonly fedAt: string | undefined;
  readonly keptAt: 'room' | 'fridge';
  readonly standing: (typeof starterStandings)[keyof typeof starterStandings] | undefined;
  /** Water, g per g of flour. */
  readonly hydration: number;
  /** Grams of discard that were put by. */
  readonly discard: number;
  /** Feedings that bring it there, each with its moment; why not, where none do. */
  readonly ahead: ReadonlyArray<Build & { readonly moment: string }> | Refused;
}

/** More than this nobody brings up, grams. Own choice, no source. */
const most = 20_000;

/** Water of a starter where nobody said, g per g of flour: as many keep it. Common practice, no source. */
export const usualStarterHydration = 1;

/** All that is shown of a starter. See {@link StarterView}. */
export const starterOf = ({
  bag,
  feedings,
  household,
  paces,
  now,
  asked,
}: StarterGiven): StarterView =>
  lazily<StarterView>({
    fedAt: () => feedings[0]?.at ?? (bag.fedOn ? `${bag.fedOn}T12:00:00Z` : undefined),
    keptAt: () => bag.keptAt ?? 'fridge',
    standing: ({ fedAt, keptAt }) =>
      fedAt === undefined
        ? undefined
        : starterStandings[
            starterStanding(Math.max(0, (Date.parse(now) - Date.parse(fedAt)) / 3_600_000), keptAt)
          ],
    hydration: () => bag.hydration ?? usualStarterHydration,
    discard: () => feedings.reduce((sum, f) => sum + (f.discard ?? 0), 0),
    ahead: ({ hydration }) => {
      const { want, keep, at, builds = 1 } = asked ?? {};
      if (want === undefined || !(want > 0) || want > most)
        return refuse('beyond', 'How much? Grams, above 0.');
      if (keep === undefined || !(keep >= 0) || keep > most)
        return refuse('beyond', 'Nothing or more is kept.');
      if (at === undefined) return refuse('no-time', 'A day and a time of day are wanted.');
      const hours = (Date.parse(at) - Date.parse(now)) / 3_600_000;
      if (hours <= 0) return refuse('past', 'That time has passed.');
      const whole = pantryIn(household).ingredient(bag.ingredient).whole ?? 0;
      const celsius = household.room.celsius ?? usualWarmth.air;
      const found = buildsFor({ want, keep, hydration, whole, celsius, hours, builds }, paces);
      return 'refused' in found
        ? found
        : found.map((build) => ({
            ...build,
            moment: new Date(Date.parse(now) + build.at * 3_600_000).toISOString(),
          }));
    },
  });
