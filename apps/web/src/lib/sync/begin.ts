import {
  kitchenNow,
  onHouseClock,
  type BakeEvent,
  type KitchenThen,
} from '@tender-crumb/core/bake';
import type { Formula } from '@tender-crumb/core/formula';
import type { Belief } from '@tender-crumb/core/belief';
import type { Household } from '@tender-crumb/core/household';
import { beginningOf, forBread, type Beginning, type LevelMark } from '@tender-crumb/core/learn';
import type { DeviceId } from '@tender-crumb/core/machine';
import { shownText } from '../away/shown-text.ts';
import { bakerHere } from '../wire/baker-here.ts';
import { currentIso } from '../clock.ts';
import type { BakeShown } from '../server/shown/bake.ts';
import { outbox } from './here.ts';
import { beginEntry } from './kinds.ts';

/** A bake as it is begun: with the circumstances of the hour in which it is, whenever the server hears of it. */
export interface BeginBake {
  readonly id: string;
  readonly formulaId?: string;
  readonly formulaVersion?: number;
  /** The sitting whose last save is what is baked, where its version is not known here yet. */
  readonly draft?: string;
  /** Of a bread that has no formula here. */
  readonly name?: string;
  readonly method?: DeviceId;
  readonly baker?: string;
  readonly startedAt: string;
  readonly kitchen?: KitchenThen;
  /** As it was shown. */
  readonly forecast?: LevelMark;
  /** What is known of the bake from its beginning. */
  readonly events?: readonly BakeEvent[];
  /** The planned bake that it is. */
  readonly planned?: string;
}

/** What a page knows of a bread that is begun on it. */
export interface ShownThen {
  /** Nothing for a bread that has no formula here. */
  readonly formula?: Formula;
  readonly household: Household;
  readonly belief: Belief;
}

/** What the page of a bake shows where the server has not heard of it yet. */
function pageOf(bake: BeginBake, shown: ShownThen | undefined): BakeShown | undefined {
  const { household, belief, formula } = shown ?? {};
  const { id, formulaId, formulaVersion, name, baker, startedAt, events = [] } = bake;
  if (!household || !belief) return undefined;
  return {
    bake: {
      id,
      ...(formulaId === undefined ? {} : { formulaId }),
      ...(formulaVersion === undefined ? {} : { formulaVersion }),
      formulaName: formula?.name ?? name ?? '',
      method: bake.method ?? 'hand',
      startedAt,
      ...(bake.forecast ? { forecast: bake.forecast } : {}),
      circumstances: {
        day: household.today ?? startedAt.slice(0, 10),
        kitchen: bake.kitchen ?? kitchenNow(household, formula),
      },
      events: [
        ...(baker === undefined
          ? []
          : [{ id: 'baker', at: startedAt, kind: 'baker' as const, data: { baker } }]),
        ...events.map(onHouseClock),
      ],
    },
    ...(formula ? { formula } : {}),
    household,
    belief: forBread(belief, formulaId),
    plan: {
      plans: [],
      formulas: {},
      versions: {},
      devices: {},
      household,
      belief,
      zone: household.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone,
      timers: [],
    },
    lastNotes: {},
  };
}

/** Who bakes, a device says as it remembers it; the server knows who there is. */
const circumstances = ({
  kitchen,
  forecast,
}: Beginning): Pick<BeginBake, 'kitchen' | 'forecast'> => ({
  kitchen,
  ...(forecast ? { forecast } : {}),
});

/** A bake that could not begin: why, in words, and the server’s own answer. */
export class NotBegun extends Error {
  readonly body: Record<string, unknown>;

  constructor(why: string, body: Record<string, unknown>) {
    super(why);
    this.body = body;
  }
}

/**
 * Begins a bake, by whoever stands at this device, with the circumstances that this page shows. Where the server is away
 * it is begun here, and the server hears of it later. Sent twice under one id it is one bake.
 *
 * @returns the bake as it was begun, and whether the server has not heard of it yet
 * @throws NotBegun where the server refused it
 */
export async function beginBake(
  bake: Omit<BeginBake, 'startedAt' | 'kitchen' | 'forecast' | 'baker'>,
  shown?: ShownThen,
): Promise<{ readonly bake: BeginBake; readonly waits: boolean }> {
  const baker = bakerHere(document.cookie);
  const begun: BeginBake = {
    ...bake,
    ...(baker === undefined ? {} : { baker }),
    startedAt: currentIso(),
    ...(shown?.formula
      ? circumstances(beginningOf({ ...shown, bread: bake.formulaId, baker }))
      : {}),
  };
  const result = await outbox().ask(beginEntry(begun));
  if (result?.kind === 'refused' || result?.kind === 'stale')
    throw new NotBegun(result.kind === 'refused' ? result.why : '', result.body);
  const waits = result === undefined;
  // The page of the bake is not on the server yet: it is made of what this one shows.
  if (waits) await outbox().keep.keepText(shownText(`bake/${bake.id}`), pageOf(begun, shown));
  return { bake: begun, waits };
}
