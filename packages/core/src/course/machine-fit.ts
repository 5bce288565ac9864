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

/** Milk, egg and the like of a dough, that no delay timer may wait with. */
const perishables = (lines: readonly ResolvedLine[]): ResolvedLine[] =>
  lines.filter((l) => l.of.perishable === true && l.grams > 0);

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
  const { machine, programme, size, kind, delay = 0 } = course;
  const found: MachineFinding[] = [];
  const wants = doughWants(formula, lines);
  const flour = fillingGrams(lines);
  const [least, most] = machineSizes[size].flour;
  const other = machine.sizes.find(
    (id) => flour >= machineSizes[id].flour[0] * fewest && flour <= machineSizes[id].flour[1],
  );
  const sizeFix: MachineFix[] =
    other && other !== size
      ? [{ kind: 'size', size: other, label: `The ${machineSizes[other].label} size` }]
      : [];
  if (flour > most || flour < least * fewest) {
    const to = flour > most ? most : least;
    found.push({
      id: flour > most ? 'too-large' : 'too-small',
      says:
        flour > most
          ? `${gramsText(flour)} of flour is more than the ${machineSizes[size].label} size takes (${least} to ${most} g): it would lift the lid.`
          : `${gramsText(flour)} of flour is less than the ${machineSizes[size].label} size wants (${least} to ${most} g): the paddle would miss it.`,
      fixes: [
        ...sizeFix,
        {
          kind: 'flour',
          grams: to,
          share: to / flour,
          label: `Scale the bread to ${to} g of flour`,
        },
      ],
    });
  }

  if (kind === 'whole' && isSourdough(lines)) {
    found.push({
      id: 'sourdough',
      says: `${programme.label} rises by the clock of baker’s yeast: a starter has not risen by then.`,
      fixes: [{ kind: 'course', course: 'by-eye', label: courses['by-eye'].label }],
    });
  } else if (kind === 'whole' && wants.course === 'dough') {
    found.push({
      id: 'shaped',
      says: 'This bread is shaped by hand and baked in the oven: the machine makes its dough.',
      fixes: [{ kind: 'course', course: 'dough', label: courses.dough.label }],
    });
  } else if (kind === 'whole' && !bakes(programme)) {
    const loaf = machine.programmes.find((p) => p.use === wants.use);
    found.push({
      id: 'does-not-bake',
      says: `${programme.label} does not bake.`,
      fixes: loaf
        ? [{ kind: 'programme', programme: loaf.id, label: `${loaf.label} instead` }]
        : [],
    });
  } else if (kind === 'whole' && programme.use !== wants.use) {
    const better = machine.programmes.find((p) => p.use === wants.use);
    if (better) {
      found.push({
        id: `wrong-programme`,
        says: `${programme.label} is for ${programmeUses[programme.use]}. ${wants.why}`,
        fixes: [{ kind: 'programme', programme: better.id, label: `${better.label} instead` }],
      });
    } else if (wants.use === 'short') {
      found.push({
        id: 'no-short-programme',
        says: `${wants.why} This machine has no such programme.`,
        fixes: [{ kind: 'course', course: 'by-eye', label: courses['by-eye'].label }],
      });
    }
  }

  const rest = spansOf(programme)[0];
  if (isMostlyFresh(lines) && rest?.kind === 'rest' && rest.minutes > longRest) {
    found.push({
      id: 'warm-flour',
      says: `Its ${rest.minutes} min of warming are needless with flour warm from the mill: everything else goes in from the fridge, the water cold.`,
      fixes: [],
    });
  }

  const kneads = kneadMinutes(programme);
  const { minutes: stands, tooLong } = mixingAdvice(lines).find((m) => m.by === 'machine')!;
  // A dough without wheat has a programme of its own: that is another matter.
  if (tooLong && kneads > stands && wants.use !== 'short' && kind !== 'by-eye') {
    found.push({
      id: 'weak-wheat',
      says: `It kneads for ${kneads} min; this flour stands about ${stands} before it tears and slackens.`,
      fixes: [
        {
          kind: 'course',
          course: 'by-eye',
          label: `Dough stage, switched off after ${stands} min of kneading`,
        },
      ],
    });
  }

  if (delay > 0 && !programme.delays) {
    found.push({
      id: 'no-delay',
      says: `${programme.label} cannot be set to begin later.`,
      fixes: [{ kind: 'no-delay', label: 'Begin now' }],
    });
  }
  if (delay > machine.mostDelay * 60) {
    found.push({
      id: 'long-delay',
      says: `It can be set to begin up to ${machine.mostDelay} h later.`,
      fixes: [{ kind: 'no-delay', label: 'Begin now' }],
    });
  }
  const spoils = perishables(lines);
  if (delay > 0 && spoils.length > 0) {
    found.push({
      id: 'delay-perishables',
      says: `No delay with ${names(spoils)} in the pan: not over 2 hours between 4 and 60 °C in all.`,
      fixes: [
        ...spoils.flatMap((l) => keeping(formula, l, household)),
        { kind: 'no-delay', label: 'Begin now' },
      ],
    });
  }
  return found;
}
