import { allLines, type Formula } from '../formula/formula.ts';
import type { Bag } from '../ingredient/bag.ts';
import type { Measures } from '../quantity/measures.ts';
import type { Household } from '../household/household.ts';
import { ovensIn } from '../belief/oven.ts';
import type { Appliance } from '../machine/appliance.ts';
import type { Room } from '../household/room.ts';

/** What of a bag is true of a day only. What it is (kind, grind, label) is mended for all its bakes. */
type BagThen = Pick<Bag, 'openedOn' | 'moisture'>;

/** A kitchen as it was when a bake began: what must not change with the household afterwards. */
export interface KitchenThen {
  readonly room: Room;
  readonly measures: Measures;
  readonly scaleStep: number;
  /** Bags that the bread was made from, by id. */
  readonly bags: Readonly<Record<string, BagThen>>;
  /** Degrees that each oven was known to be warmer than it says; absent where nobody kept that. */
  readonly ovens?: Readonly<Record<string, number>>;
}

/** What a bake was made in. */
export interface Circumstances {
  readonly kitchen: KitchenThen;
  /** The household's own day, ISO date: bags had been open until then. */
  readonly day: string;
  /** Nobody wrote them down at the time: they are the household's of a later day. */
  readonly assumed?: boolean;
}

const bagThen = ({ openedOn, moisture }: Bag): BagThen => ({
  ...(openedOn === undefined ? {} : { openedOn }),
  ...(moisture === undefined ? {} : { moisture }),
});

/** Degrees that ovens are told to be warmer than they say. */
const offsetsOf = (household: Pick<Household, 'appliances'>): Readonly<Record<string, number>> =>
  Object.fromEntries(
    ovensIn(household)
      .flatMap(({ id, offset }) => (offset === undefined ? [] : [[id, offset] as const]))
      .sort(([a], [b]) => (a < b ? -1 : 1)),
  );

/** Ovens with the offsets that they were known to have; as they are where nobody kept that. */
const ovensThen = (
  appliances: readonly Appliance[],
  { ovens }: KitchenThen,
): readonly Appliance[] =>
  ovens === undefined
    ? appliances
    : appliances.map((appliance) => {
        if (appliance.kind !== 'oven') return appliance;
        const { offset, ...is } = appliance;
        void offset;
        const then = ovens[appliance.id];
        return then === undefined ? is : { ...is, offset: then };
      });

/**
 * The kitchen as it is, to be kept with a bake of a formula, or of a bread that has none here.
 *
 * @example kitchenNow(household, formulaOfBlueBag).bags // {blue: {openedOn: '2026-11-02', moisture: 12.8}}
 */
export function kitchenNow(household: Household, formula?: Formula): KitchenThen {
  const used = new Set(formula && allLines(formula).map((l) => l.bag));
  const bags = household.bags.filter((b) => used.has(b.id));
  return {
    room: household.room,
    measures: household.measures,
    scaleStep: household.scaleStep,
    bags: Object.fromEntries(
      bags.map((b) => [b.id, bagThen(b)] as const).sort(([a], [b]) => (a < b ? -1 : 1)),
    ),
    ovens: offsetsOf(household),
  };
}

/**
 * The household as it was in a kitchen of that time, but for what is mended for all times: own
 * ingredients, what its bags are, its figures.
 */
export function householdThen(household: Household, kitchen: KitchenThen): Household {
  const known = thens.get(kitchen);
  if (known?.of === household) return known.then;
  const then = inKitchen(household, kitchen);
  thens.set(kitchen, { of: household, then });
  return then;
}

/** Households as they were, by the kitchen: worked out once for all bakes that were made in it. */
const thens = new WeakMap<KitchenThen, { readonly of: Household; readonly then: Household }>();

const inKitchen = (household: Household, kitchen: KitchenThen): Household => ({
  ...household,
  room: kitchen.room,
  measures: kitchen.measures,
  scaleStep: kitchen.scaleStep,
  appliances: ovensThen(household.appliances, kitchen),
  bags: household.bags.map((bag) => {
    const then = kitchen.bags[bag.id];
    if (!then) return bag;
    const { openedOn, moisture, ...is } = bag;
    void [openedOn, moisture];
    return { ...is, ...then };
  }),
});

/** The household on a day of a bake. */
export const householdOn = (household: Household, { kitchen, day }: Circumstances): Household => ({
  ...householdThen(household, kitchen),
  today: day,
});

/** The same for a bake that is under way: what an oven is set to goes by what is known of it now. */
export const householdUnderWay = (
  household: Household,
  circumstances: Circumstances,
): Household => ({
  ...householdOn(household, circumstances),
  appliances: household.appliances,
});

/** A kitchen of that time where a bag had always been as it is said to be now. */
export const asAlways = (kitchen: KitchenThen, bag: Bag): KitchenThen =>
  kitchen.bags[bag.id] === undefined
    ? kitchen
    : { ...kitchen, bags: { ...kitchen.bags, [bag.id]: bagThen(bag) } };

/** A kitchen of that time where the household had always measured as it does now. */
export const measuredAs = (
  kitchen: KitchenThen,
  { measures, scaleStep }: Pick<Household, 'measures' | 'scaleStep'>,
): KitchenThen => ({ ...kitchen, measures, scaleStep });

/** Whether a household measures as it did in a kitchen of that time. */
export const measuresAlike = (
  then: KitchenThen,
  now: Pick<Household, 'measures' | 'scaleStep'>,
): boolean =>
  then.scaleStep === now.scaleStep &&
  JSON.stringify(Object.entries(then.measures).sort()) ===
    JSON.stringify(Object.entries(now.measures).sort());
