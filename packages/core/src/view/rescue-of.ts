import { asBaked } from '../bake/as-baked.ts';
import { breadMade, wayOf } from '../bake/bread-made.ts';
import { householdOn, type Circumstances } from '../bake/circumstances.ts';
import type { BakeEvent } from '../bake/event.ts';
import { mixedLines } from '../bake/mixed.ts';
import { bakeState } from '../bake/state.ts';
import { completeFormula } from '../exchange/formula-json.ts';
import type { Formula, Line, Stage } from '../formula/formula.ts';
import { resolve, type ResolvedLine } from '../formula/resolve.ts';
import type { Belief } from '../belief/belief.ts';
import { pantryIn, type Household } from '../household/household.ts';
import type { Pantry } from '../ingredient/pantry.ts';
import type { DeviceId } from '../machine/device.ts';
import { rescueDough } from '../rescue/rescue-dough.ts';
import { rescueOver, type GoneOver } from '../rescue/rescue-over.ts';
import { rescueRise, type NoRise } from '../rescue/rescue-rise.ts';
import { breadOf, type Bread } from '../schedule/bread.ts';
import type { WayId } from '../schedule/way-id.ts';
import { writtenWay } from '../schedule/written-way.ts';
import type { StyleId } from '../style/style.ts';
import { lazily } from './lazily.ts';

/** Something that went in, roughly. */
export interface WentIn {
  readonly ingredient: string;
  readonly grams: number;
}

/** Until somebody says otherwise: a plain dough, by the handful. Common practice, no source. */
export const usualDough: readonly WentIn[] = [
  { ingredient: 'bread-flour', grams: 500 },
  { ingredient: 'water', grams: 320 },
  { ingredient: 'salt', grams: 9 },
  { ingredient: 'instant-yeast', grams: 7 },
];

/** A dough in trouble, as its page has it. */
export interface RescueGiven {
  readonly household: Household;
  readonly belief: Belief;
  /** The bake that it is of; a dough that somebody describes, where absent. */
  readonly bake?: {
    readonly formula: Formula;
    readonly method: DeviceId;
    readonly events: readonly BakeEvent[];
    readonly circumstances: Circumstances;
  };
  readonly went: readonly WentIn[];
  readonly style: StyleId;
  readonly sourdough: boolean;
  /** Where it was felt, points, and whether it had rested. */
  readonly felt?: number | undefined;
  readonly rested: boolean;
  readonly rise: NoRise;
  readonly over: GoneOver;
}

/** All that the page of a dough in trouble shows. */
export interface RescueView {
  readonly formula: Formula;
  readonly pantry: Pantry;
  readonly lines: readonly ResolvedLine[];
  readonly bread: Bread;
  readonly way: WayId;
  readonly dough: ReturnType<typeof rescueDough> | undefined;
  readonly noRise: ReturnType<typeof rescueRise>;
  readonly saves: ReturnType<typeof rescueOver>;
}

const about = (id: string, ingredient: string, grams: number): Line => ({
  id,
  ingredient,
  grams,
  measured: 'about',
});

/** A starter that somebody has in a dough, roughly: grams of its flour, and of its water. Common practice, no source. */
const starterPart = 50;

/** What somebody says went in, as a formula: by the handful, so that its level is as unsure as that. */
function described({ went, style, sourdough }: RescueGiven, pantry: Pantry): Formula {
  const starter: Stage = {
    id: 's0',
    kind: 'starter',
    name: 'Starter',
    lines: [about('f', 'bread-flour', starterPart), about('w', 'water', starterPart)],
  };
  const lines = went
    .filter((w) => !sourdough || pantry.ingredient(w.ingredient).yeast === undefined)
    .map(({ ingredient, grams }, i) => about(`l${i + 1}`, ingredient, grams));
  return completeFormula({
    name: 'Rescued dough',
    style,
    stages: [...(sourdough ? [starter] : []), { id: 's1', kind: 'dough', name: 'Dough', lines }],
  });
}

/**
 * All that is shown of a dough in trouble: of one that is being baked, with what was weighed and noted of it.
 *
 * @example rescueOf({...given, felt: undefined}).dough // undefined: nobody has felt it
 */
export function rescueOf(given: RescueGiven): RescueView {
  const { bake, belief } = given;
  const household = bake ? householdOn(given.household, bake.circumstances) : given.household;
  const state = bakeState(bake?.events ?? []);
  const made = (lines: readonly ResolvedLine[]): Bread | undefined =>
    bake &&
    breadMade({ formula: bake.formula, lines, state, household, device: bake.method }, belief);
  return lazily<RescueView>({
    pantry: () => pantryIn(household),
    formula: ({ pantry }) => (bake ? asBaked(bake.formula, state) : described(given, pantry)),
    lines: ({ formula, pantry }) =>
      bake ? mixedLines(bake.formula, state, pantry) : resolve(formula, pantry),
    bread: ({ formula, lines }) =>
      made(lines) ?? breadOf({ id: 'rescue', formula }, household, belief),
    way: ({ bread }) => (bake ? wayOf(state, bread) : writtenWay(bread)),
    dough: ({ bread, lines }) =>
      given.felt === undefined
        ? undefined
        : rescueDough(bread.formula, given.felt, given.rested, household, belief, lines),
    noRise: ({ bread, way }) => rescueRise(bread, given.rise, way),
    saves: () => rescueOver(given.over),
  });
}
