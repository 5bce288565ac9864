import {
  dampKey,
  departureKey,
  fillByKey,
  fillKey,
  softeningKey,
  touchByKey,
  touchKey,
  departure,
  doubtOf,
  type Belief,
} from '../belief/belief.ts';
import { bakerName, usualBaker } from '../household/baker.ts';
import { coefficientFor } from '../belief/learned-table.ts';
import { z80 } from '../coefficients/coefficients.ts';
import { kneadingIds, kneadings, type KneadingId } from '../machine/kneading.ts';
import type { Figure } from '../figure/figure.ts';
import { frictionOf } from '../belief/friction.ts';
import { measuredKinds } from '../belief/measured.ts';
import { asItIsSet } from '../belief/oven-dial.ts';
import { ovensIn } from '../belief/oven.ts';
import { pantryIn, type Household } from '../household/household.ts';
import { kitchenOf } from '../belief/kitchen.ts';
import { edgeFor, windowFor } from '../dough/window.ts';
import { ownWindow } from '../dough/own-window.ts';
import { plain, pointsText, thinSpace } from '../quantity/number.ts';
import { styles, type StyleId } from '../style/style.ts';

/** What is learned of one kind: how it is said, and how its value is written. */
interface LearnedKind {
  /** A heading over all of the kind. */
  readonly says: string;
  /** Said of one of them. */
  of(named: string): string;
  /** Its value in its own unit, as a baker reads it. */
  text(value: number): string;
  /** The name of what a key is of; the rest of the key after its kind. */
  named?(rest: string, household: Household): string;
}

const percent = (share: number): string => `${plain((100 * share).toFixed(1))}${thinSpace}%`;
/** The sign goes by what is written, so that nothing is neither more nor less. */
const signed = (share: number): string =>
  `${Number((100 * share).toFixed(1)) > 0 ? '+' : ''}${percent(share)}`;
const times = (ln: number): string => `${Math.exp(ln).toFixed(2)} ×`;
const points = (value: number): string => `${pointsText(value)} points`;

const ingredientName = (id: string, household: Household): string => {
  const [of, state] = id.split(':');
  const pantry = pantryIn(household);
  const name = pantry.has(of!) ? pantry.ingredient(of!).name : of!;
  return state === undefined ? name : `${name}, ${state}`;
};
const bagged = (rest: string, household: Household): string => {
  if (!rest.startsWith('bag:')) return ingredientName(rest, household);
  const [, id, state] = rest.split(':');
  const bag = household.bags.find((b) => b.id === id)?.name ?? 'a bag that is gone';
  return state === undefined ? bag : `${bag}, ${state}`;
};

/** A cup of flour, whoever it is that fills it heavier or lighter than a measured one. */
function cupOf(baker: string, household: Household): string {
  const name = bakerName(baker, household);
  if (name !== undefined) return `flour as ${name} fills it is heavier`;
  return baker === usualBaker ? 'flour is filled heavier' : 'flour of someone who left is heavier';
}

/** One row a kind of learned figure: the table that the book's page of what is learned is made from. */
export const learnedKinds = {
  thirst: {
    says: 'What each flour absorbs',
    of: (name) => `${name} absorbs`,
    text: percent,
    named: bagged,
  },
  [dampKey]: {
    says: 'How damp the flour gets',
    of: () => 'the flour gets damp more than usual',
    text: signed,
  },
  [fillKey]: {
    says: 'How a cup is filled',
    of: (name) => `a cup of ${name} by`,
    text: signed,
    named: (rest, household) =>
      rest === '' ? cupOf(usualBaker, household) : `${ingredientName(rest, household)},`,
  },
  [fillByKey]: {
    says: 'How others of the house fill it',
    of: (name) => `a cup of ${name} by`,
    text: signed,
    named: cupOf,
  },
  [touchKey]: {
    says: 'How the finger leans',
    of: () => 'your touch calls doughs looser by',
    text: points,
  },
  [touchByKey]: {
    says: 'How other fingers of the house lean',
    of: (name) => `${name} calls doughs looser by`,
    text: points,
    named: (rest, household) => bakerName(rest, household) ?? 'somebody who is gone',
  },
  [softeningKey]: {
    says: 'How far sugar and fat soften',
    of: () => 'a gram of sugar or fat softens like',
    text: (grams) => `${grams.toFixed(2)}${thinSpace}g of water`,
  },
  [departureKey]: {
    says: 'How a bread differs from the forecast',
    of: (name) => `${name} comes out looser by`,
    text: points,
  },
  pace: {
    says: 'How fast each leaven is',
    of: (name) => `${name} works at`,
    text: times,
    named: (rest, household) => (rest === 'starter' ? 'the starter' : bagged(rest, household)),
  },
  oven: {
    says: 'How long the oven takes',
    of: (name) => `bread is in ${name} for, beside the usual minutes`,
    text: times,
    named: (rest, household) =>
      rest === ''
        ? 'the oven'
        : (ovensIn(household).find((o) => o.id === rest)?.name ?? 'an oven that is gone'),
  },
  loss: {
    says: 'What the oven takes',
    of: (name) => `${name} loses`,
    text: percent,
    named(rest, { pans }) {
      const [by, id] = rest.split(':');
      return by === 'pan'
        ? (pans.find((p) => p.id === id)?.name ?? 'a pan that is gone')
        : styles[id as StyleId].name;
    },
  },
  friction: {
    says: 'How far kneading warms',
    of: (name) => `kneading (${name}) warms a dough by`,
    text: (celsius) => `${celsius.toFixed(1)}${thinSpace}°C`,
    named: (rest) => kneadings[rest as KneadingId].label,
  },
} as const satisfies Record<string, LearnedKind>;

export type LearnedKindId = keyof typeof learnedKinds;

/** A key split into its kind and what it is of. */
function partsOf(key: string): { kind: LearnedKindId; rest: string } | undefined {
  const [kind, ...rest] = key.split(':');
  return kind !== undefined && Object.hasOwn(learnedKinds, kind)
    ? { kind: kind as LearnedKindId, rest: rest.join(':') }
    : undefined;
}

/**
 * What a flour is called whose absorption the book has under a key: its bag by name, else its kind.
 *
 * @example flourCalled('thirst:bread-flour', defaultHousehold) // 'strong bread flour'
 */
export const flourCalled = (key: string, household: Household): string =>
  bagged(partsOf(key)?.rest ?? key, household);

/** How a learned figure is called and written. */
export interface LearnedName {
  readonly kind: LearnedKindId;
  readonly says: string;
  text(value: number): string;
}

/**
 * How a figure is called that the book has learned.
 *
 * @param key under which the book keeps it
 * @param breads names of formulas, by their ids
 * @example learnedName('thirst:bread-flour', defaultHousehold).says // 'strong bread flour absorbs'
 */
export function learnedName(
  key: string,
  household: Household,
  breads: ReadonlyMap<string, string> = new Map(),
): LearnedName {
  const parts = partsOf(key);
  if (!parts) return { kind: 'thirst', says: key, text: String };
  const { kind, rest } = parts;
  const row: LearnedKind = learnedKinds[kind];
  const named = row.named?.(rest, household) ?? breads.get(rest) ?? 'this bread';
  return { kind, says: row.of(named), text: (value) => row.text(value) };
}

/** One figure that the book has learned. */
interface LearnedFigure extends LearnedName {
  readonly key: string;
  readonly now: { readonly value: number; readonly sd: number };
  /** As the tables have it. */
  readonly table: { readonly value: number; readonly sd: number };
  readonly bakes: number;
  /** Ends of its 80 % interval; absent where nobody knows how sure it is. */
  readonly band?: readonly [low: number, high: number];
}

/** A window that the book has learned, beside the style's. */
interface LearnedWindow {
  readonly bread: string;
  readonly style: readonly [number, number];
  readonly own: readonly [number, number];
  readonly looks: number;
}

/** What the tables have for a figure that bakes measure apart from their doughs. */
function ofBake({ kind, rest }: { kind: LearnedKindId; rest: string }): Figure | undefined {
  const [by, id] = rest.split(':');
  // At the setting that its offset makes: then every oven is meant to be as quick as the table's.
  if (kind === 'oven') return measuredKinds.oven.prior({});
  if (kind === 'friction') return measuredKinds.friction.prior({ by: rest as KneadingId });
  if (kind === 'loss')
    return measuredKinds.loss.prior({ style: by === 'style' ? (id as StyleId) : 'pan' });
  return undefined;
}

/** What is learned of an oven by its own dial, at the setting that its offset makes. */
function asSet(key: string, value: number, household: Household): number {
  const parts = partsOf(key);
  if (parts?.kind !== 'oven') return value;
  return asItIsSet(
    value,
    ovensIn(household).find((o) => o.id === parts.rest),
  );
}

/** What the tables have for a key, in its own unit. */
function tableOf(key: string, household: Household): { value: number; sd: number } {
  const { coefficients } = kitchenOf(household);
  const parts = partsOf(key)!;
  if (parts.kind === 'thirst') {
    const [first, id] = parts.rest.split(':');
    const pantry = pantryIn(household);
    const of = first === 'bag' ? household.bags.find((b) => b.id === id)?.ingredient : first;
    if (of === undefined || !pantry.has(of)) return { value: 0, sd: 0 };
    const { value, sd } = pantry.ingredient(of).absorption;
    return { value, sd };
  }
  const { value, sd } = ofBake(parts) ?? coefficientFor(key, coefficients) ?? { value: 0, sd: 0 };
  return { value, sd };
}

/**
 * All that the book has learned and a bake stands behind, kind by kind in the order of the table.
 *
 * @param breads names of formulas, by their ids
 * @example learnedFigures(defaultHousehold, nothingLearned) // []
 */
export function learnedFigures(
  household: Household,
  belief: Belief,
  breads: ReadonlyMap<string, string> = new Map(),
): LearnedFigure[] {
  const figure = (
    key: string,
    bakes: number,
    now: LearnedFigure['now'],
    table: LearnedFigure['table'],
  ): LearnedFigure => ({
    ...learnedName(key, household, breads),
    key,
    now,
    table,
    bakes,
    ...(now.sd > 0 ? { band: [now.value - z80 * now.sd, now.value + z80 * now.sd] as const } : {}),
  });
  const ofDough = [...new Set([...belief.keys, ...Object.keys(belief.rested ?? {})])].flatMap(
    (key) => {
      const bakes = belief.bakes[key] ?? 0;
      if (bakes === 0 || !partsOf(key)) return [];
      const table = tableOf(key, household);
      return [
        figure(
          key,
          bakes,
          { value: table.value + departure(belief, key), sd: doubtOf(belief, key, table.sd) },
          table,
        ),
      ];
    },
  );
  const paces = Object.entries(belief.paces ?? {}).flatMap(([key, { mean, sd, rises }]) =>
    rises === 0 ? [] : [figure(key, rises, { value: mean, sd }, { value: 0, sd: 0 })],
  );
  const { friction } = household;
  const measured = Object.entries(belief.measured ?? {})
    .filter(([key]) => !key.startsWith('friction:'))
    .map(([key, { mean, sd, bakes }]) =>
      figure(key, bakes, { value: asSet(key, mean, household), sd }, tableOf(key, household)),
    );
  // What was measured by hand counts among what bakes noted.
  const frictions = kneadingIds.flatMap((by) => {
    const { mean, sd, bakes } = frictionOf(by, household, belief);
    const key = measuredKinds.friction.key({ by });
    return bakes === 0 && friction[by] === undefined
      ? []
      : [figure(key, bakes, { value: mean, sd }, tableOf(key, household))];
  });
  const order = Object.keys(learnedKinds);
  return [...ofDough, ...paces, ...measured, ...frictions].sort(
    (a, b) => order.indexOf(a.kind) - order.indexOf(b.kind) || b.bakes - a.bakes,
  );
}

/**
 * Windows that the household's own loaves have moved.
 *
 * @param stylesOf the style of each bread, by its id
 * @example learnedWindows(defaultHousehold, nothingLearned, new Map()) // []
 */
export function learnedWindows(
  { figures }: Pick<Household, 'figures'>,
  { windows = {} }: Belief,
  stylesOf: ReadonlyMap<string, StyleId>,
): LearnedWindow[] {
  return Object.entries(windows).flatMap(([key, looks]) => {
    const bread = key.slice(departureKey.length + 1);
    const style = stylesOf.get(bread);
    if (style === undefined) return [];
    const wanted = windowFor(style, 0, figures);
    return [
      {
        bread,
        style: wanted,
        own: ownWindow(wanted, edgeFor(style, 0), looks).window,
        looks: looks.length,
      },
    ];
  });
}
