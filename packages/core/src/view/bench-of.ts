import type { Correction } from '../correct/correction.ts';
import { verdict } from '../correct/verdict.ts';
import type { Level } from '../dough/level.ts';
import { filledByHabit } from '../dough/parameter.ts';
import { evaluate, type Evaluation } from '../evaluate/evaluate.ts';
import { mainStage, stagesOf, type Formula, type Line } from '../formula/formula.ts';
import { resolve, type ResolvedLine } from '../formula/resolve.ts';
import { takeCorrection } from '../formula/take-correction.ts';
import type { Belief } from '../belief/belief.ts';
import { pantryIn, type Household } from '../household/household.ts';
import { kitchenOf, type Kitchen } from '../belief/kitchen.ts';
import { saltWord, type SaltWord } from '../household/salt-word.ts';
import { wantsFineScale } from '../household/wants-fine-scale.ts';
import { measuredOf } from '../belief/measured.ts';
import { kindOfBag, type Bag } from '../ingredient/bag.ts';
import type { Pantry } from '../ingredient/pantry.ts';
import type { DeviceId } from '../machine/device.ts';
import { deviceFor, type MadeBefore } from '../process/device-for.ts';
import { breadOf, type Bread } from '../schedule/bread.ts';
import type { WayId } from '../schedule/way-id.ts';
import { writtenWay } from '../schedule/written-way.ts';
import { fussedOver, roomFor, type Room } from '../dough/room-for.ts';
import { styleIn } from '../style/style-figures.ts';
import type { StyleId } from '../style/style.ts';
import { lazily } from './lazily.ts';

/** A formula on the bench as its page has it. */
export interface BenchGiven {
  readonly formula: Formula;
  /** With who stands at the bowl. */
  readonly household: Household;
  /** With what is known of its bread. */
  readonly belief: Belief;
  /** In what breads were made here before. */
  readonly made?: MadeBefore;
}

/** All that the bench shows of a formula. */
export interface BenchView {
  readonly formula: Formula;
  readonly household: Household;
  readonly belief: Belief;
  readonly evaluation: Evaluation | undefined;
  readonly pantry: Pantry;
  readonly kitchen: Kitchen;
  /** What this bread's style wants, with the household's own figures. */
  readonly style: ReturnType<typeof styleIn>;
  /** In what it is made. */
  readonly device: DeviceId;
  readonly resolved: readonly ResolvedLine[];
  /** Share of the dough that the oven takes of such a bread here: as it was weighed, else as the household or the table has it. */
  readonly loss: number;
  /** How much salt this household has in such a bread. */
  readonly salt: SaltWord;
  readonly verdict: ReturnType<typeof verdict> | undefined;
  /** Where it can be told. */
  readonly level: Level | undefined;
  /** Cups that somebody's habit fills: it matters who does. */
  readonly byCup: boolean;
  /** Corrections to decide on, and those that the baker left. */
  readonly open: readonly Correction[];
  readonly left: readonly Correction[];
  /** How much of the main flour and of the poured water leaves the dough right, by name. */
  readonly rooms: ReadonlyArray<Room & { readonly name: string }>;
  /** Breads to choose from, the likeliest first, where nobody said which it is and that is not all but sure. */
  readonly asksStyle: readonly StyleId[] | undefined;
  /** Something goes in that a scale of whole grams tells badly. */
  readonly asksScale: boolean;
  /** As a bread that is to rise and to be baked: what a plan and a bake of it ask, too. */
  readonly bread: Bread;
  /** As its recipe has it. */
  readonly way: WayId;
  /** The formula with a correction in it. */
  readonly taking: (correction: Correction) => Formula;
  /** What a correction would make of it. */
  readonly preview: (correction: Correction) => Evaluation | undefined;
  /** A line's name; with its part, where the same thing stands in another as well. */
  readonly called: (line: string, name: string) => string;
  /** Bags that a line can be bound to: of its kind, and not used up unless it is bound to it. */
  readonly bagsOf: (line: Pick<Line, 'ingredient' | 'bag'>) => readonly Bag[];
}

/** From here on nobody is asked what bread it is. Own choice, no source. */
const allButSure = 0.97;

/**
 * All that the bench shows of a formula, each worked out when it is looked at.
 *
 * @example benchOf({formula, household, belief}).device // 'hand'
 */
export function benchOf({ formula, household, belief, made = {} }: BenchGiven): BenchView {
  const corrections = ({ evaluation }: BenchView, left: boolean): readonly Correction[] =>
    (evaluation?.corrections ?? []).filter((c) => formula.left.includes(c.key) === left);
  const main = mainStage(formula).id;
  return lazily<BenchView>({
    formula: () => formula,
    household: () => household,
    belief: () => belief,
    evaluation: () => evaluate(formula, household, belief),
    pantry: () => pantryIn(household),
    kitchen: () => kitchenOf(household, belief),
    style: () => styleIn(formula.style, household.figures),
    device: () => deviceFor(formula, made, household),
    resolved: ({ pantry }) => resolve(formula, pantry),
    loss: () =>
      measuredOf(belief, 'loss', { style: formula.style, figures: household.figures }).mean,
    salt: ({ kitchen }) => saltWord(formula.style, kitchen, household),
    verdict: ({ evaluation }) => evaluation && verdict(evaluation, formula.style),
    level: ({ evaluation }) => (evaluation?.cannotTell ? undefined : evaluation?.level),
    rooms: ({ evaluation, resolved, kitchen }) =>
      evaluation && !evaluation.cannotTell
        ? fussedOver(resolved).flatMap((l) => {
            const room = roomFor(resolved, l.id, evaluation.window, kitchen);
            return room ? [{ ...room, name: l.of.name }] : [];
          })
        : [],
    asksStyle: ({ evaluation }) => {
      const guess = evaluation?.guess;
      return guess && guess.probability < allButSure
        ? [formula.style, ...guess.others.slice(0, 1).map((o) => o.style)]
        : undefined;
    },
    asksScale: ({ resolved }) => resolved.some((l) => wantsFineScale(l.grams)),
    byCup: ({ resolved, kitchen }) => resolved.some((l) => filledByHabit(l, kitchen)),
    open: (all) => corrections(all, false),
    left: (all) => corrections(all, true),
    bread: ({ device }) => breadOf({ id: 'bench', formula, device }, household, belief),
    way: ({ bread }) => writtenWay(bread),
    taking: () => (correction) =>
      takeCorrection(formula, { ...correction, correction: correction.key }),
    preview:
      ({ taking }) =>
      (correction) =>
        evaluate(taking(correction), household, belief),
    called:
      ({ resolved }) =>
      (line, name) => {
        const own = resolved.find((l) => l.id === line);
        const twice = resolved.some(
          (l) => l.ingredient === own?.ingredient && l.stage !== own.stage,
        );
        const part = stagesOf(formula).find((s) => s.id === own?.stage);
        return own && twice && part && own.stage !== main ? `${name}, ${part.name}` : name;
      },
    bagsOf: () => (line) =>
      household.bags.filter(
        (b) =>
          b.ingredient === line.ingredient &&
          kindOfBag(b) !== 'starter' &&
          (!b.finished || b.id === line.bag),
      ),
  });
}
