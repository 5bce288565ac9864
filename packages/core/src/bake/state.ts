import type { CourseId } from '../course/courses.ts';
import type { DeviceId } from '../machine/device.ts';
import type { CrustId, MachineSizeId } from '../machine/machine.ts';
import type { WayId } from '../schedule/way-id.ts';
import type { Form } from '../style/form.ts';
import type { Stirred } from '../starter/feeding.ts';
import type { Poke, SackSense, WarmthPlace } from './event-kinds.ts';
import { kindOfEvent, type BakeEvent } from './event.ts';
import type { Outcome } from './outcome.ts';

/** What was noted of one rise. */
export interface RiseNoted {
  readonly begunAt?: string;
  readonly notes: ReadonlyArray<{
    readonly sense: 'not-yet' | 'there' | 'past';
    readonly at: string;
  }>;
}

/** What was said of one step. ISO moments. */
export interface StepNoted {
  readonly begunAt?: string;
  readonly doneAt?: string;
  readonly skippedAt?: string;
  /** It was put off: not from before that. */
  readonly notFrom?: string;
  /** It takes longer: not over before that. */
  readonly notBefore?: string;
}

/** A machine's part in a bake, as it was chosen. */
export interface CourseNoted {
  readonly machine: string;
  readonly programme: string;
  readonly kind: CourseId;
  readonly size: MachineSizeId;
  readonly crust: CrustId;
  readonly delay?: number;
}

type RiseId = 'first' | 'final';

/** Where a bake stands: the fold of its events. */
export interface BakeState {
  readonly weighed: ReadonlyMap<
    string,
    { readonly grams: number; readonly byScale: boolean; readonly at: string }
  >;
  /** What went in instead of what was missing, as changes to the formula. */
  readonly instead: ReadonlyArray<{
    readonly event: string;
    readonly of: string;
    readonly says: string;
    readonly changes: ReadonlyArray<{
      readonly stage: string;
      readonly ingredient: string;
      readonly grams: number;
    }>;
  }>;
  /** Share of the formula that is made; all of it where nobody said. */
  readonly batch?: number;
  /** Who bakes it; the usual one where nobody said. */
  readonly baker?: string;
  /** In what it is made; what it was begun in where nobody said otherwise. */
  readonly device?: DeviceId;
  readonly course?: CourseNoted;
  readonly way?: WayId;
  /** The oven that was chosen, and what was known of it as the bread went in; the usual one where nobody said. */
  readonly oven?: { readonly oven: string; readonly offset?: number };
  /** How warm it was planned to stand and to be mixed, °C: until somebody measured it. */
  readonly wished?: { readonly air?: number; readonly dough?: number; readonly wakes?: number };
  readonly added: ReadonlyArray<{
    readonly event: string;
    readonly ingredient: string;
    readonly grams: number;
    readonly at: string;
  }>;
  readonly felt: ReadonlyArray<{
    readonly points: number;
    readonly at: string;
    readonly rested?: boolean;
    /** How many additions had gone in before it. */
    readonly after: number;
  }>;
  readonly steps: Readonly<Record<string, StepNoted>>;
  readonly rises: Readonly<Partial<Record<RiseId, RiseNoted>>>;
  readonly pokes: ReadonlyArray<{
    readonly rise: RiseId;
    readonly answer: Poke;
    readonly at: string;
  }>;
  readonly marks: ReadonlyArray<{
    readonly rise: RiseId;
    readonly volume: number;
    readonly at: string;
  }>;
  /** Temperatures as they were noted last, °C: of the poured water, of the dough after mixing, of where it stands. */
  readonly warmth: Readonly<Partial<Record<WarmthPlace, number>>>;
  /** All of them, as they were noted. */
  readonly thermometer: ReadonlyArray<{
    readonly of: WarmthPlace;
    readonly celsius: number;
    readonly at: string;
  }>;
  /** What starters were fed for it, each in its jar where the household keeps one. */
  readonly fed: ReadonlyArray<
    Stirred & {
      readonly event: string;
      readonly at: string;
      readonly stage: string;
      readonly jar?: string;
    }
  >;
  /** When they stood highest. */
  readonly peaks: ReadonlyArray<{ readonly stage: string; readonly at: string }>;
  readonly core: ReadonlyArray<{ readonly celsius: number; readonly at: string }>;
  readonly divided?: { readonly pieces: number; readonly form: Form; readonly pan?: string };
  readonly pieces: ReadonlyArray<{ readonly event: string; readonly grams: number }>;
  readonly aside?: number;
  readonly photos: ReadonlyArray<{
    readonly event: string;
    readonly photo: string;
    readonly step: string;
    readonly at: string;
  }>;
  readonly notes: Readonly<Record<string, string>>;
  readonly power: ReadonlyArray<{
    readonly what: 'cut' | 'back';
    readonly minute?: number;
    readonly at: string;
  }>;
  readonly guided?: boolean;
  readonly read: Readonly<Record<string, number>>;
  /** False where the baker set it aside: the book learns nothing from it. */
  readonly counts?: boolean;
  /** Whether its flour was of a new sack, or something else went differently. */
  readonly sack?: SackSense;
  /** Read off a meter. */
  readonly kilowattHours?: number;
  readonly outcome?: Outcome;
  readonly finishedAt?: string;
  /** When it was given up. Retracting that takes it up again. */
  readonly abandonedAt?: string;
}

const notBegun: BakeState = {
  weighed: new Map(),
  instead: [],
  added: [],
  felt: [],
  steps: {},
  rises: {},
  pokes: [],
  marks: [],
  warmth: {},
  thermometer: [],
  fed: [],
  peaks: [],
  core: [],
  pieces: [],
  photos: [],
  notes: {},
  power: [],
  read: {},
};

/** Events that count, each once, in the order in which they happened. */
export function eventsThatCount(events: readonly BakeEvent[]): BakeEvent[] {
  const once = new Map<string, BakeEvent>();
  const retracted = new Set<string>();
  for (const event of events) {
    once.set(event.id, event);
    const gone = kindOfEvent(event)?.retracts?.(event.data as never);
    if (gone !== undefined) retracted.add(gone);
  }
  const counting = [...once.values()].filter((e) => !retracted.has(e.id));
  // As they mostly come: then nothing is to be sorted.
  const inOrder = counting.every((e, i) => i === 0 || !isBefore(e, counting[i - 1]!));
  return inOrder ? counting : counting.sort((a, b) => (isBefore(a, b) ? -1 : 1));
}

const isBefore = (a: BakeEvent, b: BakeEvent): boolean =>
  a.at === b.at ? a.id < b.id : a.at < b.at;

/**
 * The state of a bake after its events, whatever order they came in and however often each came. What a
 * newer version said of it stays, and is passed over.
 *
 * @example bakeState([{id: 'a', at, kind: 'felt', data: {points: 2}}]).felt.length // 1
 */
export const bakeState = (events: readonly BakeEvent[]): BakeState =>
  eventsThatCount(events).reduce(
    (state, event) => kindOfEvent(event)?.fold(state, event as never) ?? state,
    notBegun,
  );
