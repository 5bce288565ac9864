import { perishables } from './perishables.ts';
import { mixingAdvice } from '../dough/mixing.ts';
import { isFlour } from '../formula/base.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import type { Formula } from '../formula/formula.ts';
import { resolve, type ResolvedLine } from '../formula/resolve.ts';
import { totals } from '../formula/totals.ts';
import { pantryIn, type Household } from '../household/household.ts';
import { machineSizes, type MachineSizeId } from '../machine/machine.ts';
import { bakes, kneadMinutes, programmeUses, spansOf } from '../machine/programme.ts';
import { gramsText } from '../quantity/number.ts';
import { choicesFor } from '../substitute/substitute.ts';
import type { Course } from './course.ts';
import { courses, type CourseId } from './courses.ts';
import { doughWants, isMostlyFresh, isSourdough } from './wants.ts';

/** What puts a thing right that does not fit. */
export type MachineFix =
  | {
      readonly kind: 'flour';
      readonly grams: number;
      /** Of the dough as it stands. */
      readonly share: number;
      /** That takes so much. */
      readonly size: MachineSizeId;
      readonly label: string;
    }
  | { readonly kind: 'size'; readonly size: MachineSizeId; readonly label: string }
  | { readonly kind: 'programme'; readonly programme: string; readonly label: string }
  | { readonly kind: 'course'; readonly course: CourseId; readonly label: string }
  | { readonly kind: 'no-delay'; readonly label: string }
  | {
      readonly kind: 'instead';
      readonly line: string;
      readonly choice: string;
      readonly label: string;
    };

/** Something about a dough that does not fit a machine and its programme, with what puts it right. */
interface MachineFinding {
  readonly id: string;
  readonly says: string;
  readonly fixes: readonly MachineFix[];
}

/** A rest longer than this warms, minutes; of warm flour it is needless. Own choice, no source. */
const longRest = 15;
/** A dough without cereal flour is as large as one of so much flour: its mass by this. Own estimate, no source. */
const doughOfFlour = 1.75;
/** A size takes a tenth less than it says: the paddle still finds it. Own choice, no source. */
const fewest = 0.9;

/** Grams of flour that a dough fills a machine as; of one without, those of a wheat dough as large. */
export function fillingGrams(lines: readonly ResolvedLine[]): number {
  const sums = totals(lines);
  if (!sums) return 0;
  return sums.dryBase ? sums.doughGrams / doughOfFlour : sumGrams(lines.filter(isFlour));
}

const names = (lines: readonly ResolvedLine[]): string =>
  [...new Set(lines.map((l) => l.of.name))].join(', ');

/** What a household can put in a perishable line's place for the night. */
const keeping = (formula: Formula, line: ResolvedLine, household: Household): MachineFix[] =>
  choicesFor(formula, line.id, household)
    .filter((c) => !c.refused && keepsOvernight(c.id, household))
    .slice(0, 2)
    .map((c) => ({
      kind: 'instead',
      line: line.id,
      choice: c.id,
      label: `${c.label} in place of ${line.of.name}`,
    }));

/** Whether what takes a place keeps without a fridge. */
function keepsOvernight(choice: string, household: Household): boolean {
  const pantry = pantryIn(household);
  return pantry.has(choice) && pantry.ingredient(choice).perishable !== true;
}

/** A dough, its way through a machine, and what it wants of one. */
interface FitFacts {
  readonly formula: Formula;
  readonly course: Course;
  readonly household: Household;
  readonly lines: readonly ResolvedLine[];
  readonly wants: ReturnType<typeof doughWants>;
  /** Grams of flour that it fills the pan as. */
  readonly flour: number;
}

const toCourse = (course: CourseId, label: string = courses[course].label): MachineFix => ({
  kind: 'course',
  course,
  label,
});
const beginNow: MachineFix = { kind: 'no-delay', label: 'Begin now' };

type Takes = readonly [size: MachineSizeId, grams: number];

/** What a size takes that is nearest to so much flour. */
const nearest = (size: MachineSizeId, flour: number): Takes => {
  const [least, most] = machineSizes[size].flour;
  return [size, Math.min(most, Math.max(least, flour))];
};

/** The nearest amounts of flour that some size takes, below and above. */
function scaled(flour: number, sizes: readonly MachineSizeId[]): Takes[] {
  const takes = sizes.map((size) => nearest(size, flour)).sort(([, a], [, b]) => a - b);
  const below = takes.findLast(([, grams]) => grams < flour);
  const above = takes.find(([, grams]) => grams > flour);
  return [...(below ? [below] : []), ...(above ? [above] : [])];
}

/** More flour than the size takes, or less than its paddle finds. */
function size({ course: { machine, size, kind }, flour }: FitFacts): MachineFinding | undefined {
  const { label, flour: takes } = machineSizes[size];
  const [least, most] = takes;
  const large = flour > most;
  if (!large && flour >= least * fewest) return undefined;
  // Dough that is baked elsewhere only has to go round: between two sizes it does.
  const all = machine.sizes.flatMap((id) => machineSizes[id].flour);
  const between = flour >= Math.min(...all) * fewest && flour <= Math.max(...all);
  if (kind === 'dough' && between) return undefined;
  const fits = (id: MachineSizeId) =>
    flour >= machineSizes[id].flour[0] * fewest && flour <= machineSizes[id].flour[1];
  const other = machine.sizes.find(fits);
  const span = `${least} to ${most} g`;
  return {
    id: large ? 'too-large' : 'too-small',
    says: large
      ? `${gramsText(flour)} of flour is more than the ${label} size takes (${span}): it would lift the lid.`
      : `${gramsText(flour)} of flour is less than the ${label} size wants (${span}): the paddle would miss it.`,
    fixes: [
      ...(other
        ? [{ kind: 'size', size: other, label: `The ${machineSizes[other].label} size` } as const]
        : []),
      ...(other ? [nearest(size, flour)] : scaled(flour, machine.sizes)).map(
        ([of, grams]): MachineFix => ({
          kind: 'flour',
          grams,
          share: grams / flour,
          size: of,
          label: `Scale the bread to ${grams} g of flour`,
        }),
      ),
      ...(kind === 'whole' && !other && between ? [toCourse('dough')] : []),
    ],
  };
}

/** A whole programme that this bread cannot go through, or that is for another. */
function programme({ course, lines, wants }: FitFacts): MachineFinding | undefined {
  const { machine, programme: chosen, kind } = course;
  if (kind !== 'whole') return undefined;
  if (isSourdough(lines))
    return {
      id: 'sourdough',
      says: `${chosen.label} is timed for yeast: a starter is not risen by then.`,
      fixes: [toCourse('by-eye')],
    };
  if (wants.course === 'dough')
    return {
      id: 'shaped',
      says: 'This bread is shaped by hand and baked in the oven: use the machine for the dough.',
      fixes: [toCourse('dough')],
    };
  const better = machine.programmes.find((p) => p.use === wants.use);
  const instead: readonly MachineFix[] = better
    ? [{ kind: 'programme', programme: better.id, label: `${better.label} instead` }]
    : [];
  if (!bakes(chosen))
    return { id: 'does-not-bake', says: `${chosen.label} does not bake.`, fixes: instead };
  if (chosen.use === wants.use) return undefined;
  if (better)
    return {
      id: 'wrong-programme',
      says: `${chosen.label} is for ${programmeUses[chosen.use]}. ${wants.why || 'This is a plain wheat dough.'}`,
      fixes: instead,
    };
  return wants.use === 'short'
    ? {
        id: 'no-short-programme',
        says: `${wants.why} This machine has no such programme.`,
        fixes: [toCourse('by-eye')],
      }
    : undefined;
}

function warmFlour({ course, lines }: FitFacts): MachineFinding | undefined {
  const rest = spansOf(course.programme)[0];
  return isMostlyFresh(lines) && rest?.kind === 'rest' && rest.minutes > longRest
    ? {
        id: 'warm-flour',
        says: `Its ${rest.minutes} min of warming are too much for warm, fresh-milled flour: use cold water and cold ingredients.`,
        fixes: [],
      }
    : undefined;
}

function weakWheat({ course, lines, wants }: FitFacts): MachineFinding | undefined {
  const kneads = kneadMinutes(course.programme);
  const { minutes: stands, tooLong } = mixingAdvice(lines).find((m) => m.by === 'machine')!;
  // A dough without wheat has a programme of its own: that is another matter.
  if (!tooLong || kneads <= stands || wants.use === 'short' || course.kind === 'by-eye')
    return undefined;
  return {
    id: 'weak-wheat',
    says: `It kneads for ${kneads} min; this flour stands about ${stands} before it tears and slackens.`,
    fixes: [toCourse('by-eye', `Dough stage, switched off after ${stands} min of kneading`)],
  };
}

const noDelay = ({ course: { programme: of, delay = 0 } }: FitFacts): MachineFinding | undefined =>
  delay > 0 && !of.delays
    ? { id: 'no-delay', says: `${of.label} cannot be set to begin later.`, fixes: [beginNow] }
    : undefined;

const longDelay = ({ course }: FitFacts): MachineFinding | undefined =>
  (course.delay ?? 0) > course.machine.mostDelay * 60
    ? {
        id: 'long-delay',
        says: `It can be set to begin up to ${course.machine.mostDelay} h later.`,
        fixes: [beginNow],
      }
    : undefined;

function delayedPerishables({
  formula,
  course: { delay = 0 },
  household,
  lines,
}: FitFacts): MachineFinding | undefined {
  const spoils = perishables(lines);
  if (delay <= 0 || spoils.length === 0) return undefined;
  return {
    id: 'delay-perishables',
    says: `No delay with ${names(spoils)} in the pan: no more than 2 hours in all between 4 and 60 °C.`,
    fixes: [...spoils.flatMap((l) => keeping(formula, l, household)), beginNow],
  };
}

/** What is looked at, in the order in which it is said. */
const looks: ReadonlyArray<(of: FitFacts) => MachineFinding | undefined> = [
  size,
  programme,
  warmFlour,
  weakWheat,
  noDelay,
  longDelay,
  delayedPerishables,
];

/**
 * What about a dough does not fit a machine and the programme chosen, each with what puts it right.
 *
 * @param course the programme, size and crust as they are chosen
 * @returns none where it fits
 * @example machineFit(formula, {...course, size: '1lb'}, household)[0].fixes[0].label // 'The 750 g size'
 */
export function machineFit(
  formula: Formula,
  course: Course,
  household: Household,
  lines: readonly ResolvedLine[] = resolve(formula, pantryIn(household)),
): MachineFinding[] {
  const wants = doughWants(formula, lines);
  const facts = { formula, course, household, lines, wants, flour: fillingGrams(lines) };
  return looks.flatMap((look) => look(facts) ?? []);
}
