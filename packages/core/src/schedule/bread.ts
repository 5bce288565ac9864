import type { Paces } from '../ferment/rise-doubt.ts';
import { seenForecast, type Seen } from '../ferment/in-sight.ts';
import type { Rise } from '../ferment/rises.ts';
import type { RiseModel } from '../ferment/rise.ts';
import { riseModelIn } from '../ferment/rise-model.ts';
import { pacesFor } from '../ferment/believed-paces.ts';
import { leavenKeys } from '../ferment/leaven-key.ts';
import { isShapedCold } from '../ferment/shaped-cold.ts';
import { usualWarmth } from '../ferment/usual-warmth.ts';
import { mixingAdvice } from '../dough/mixing.ts';
import type { Formula } from '../formula/formula.ts';
import { resolve, type ResolvedLine } from '../formula/resolve.ts';
import type { Belief } from '../belief/belief.ts';
import { pantryIn, type Household } from '../household/household.ts';
import type { YeastWork } from '../ingredient/yeast.ts';
import { ovenIn, ovenPace, ovensIn, type OvenChosen } from '../belief/oven.ts';
import type { Appliance } from '../machine/appliance.ts';
import { mixingsIn, type Mixings } from '../machine/mixings.ts';
import { frictionOf } from '../belief/friction.ts';
import { kneadingOf, type DeviceId } from '../machine/device.ts';
import { deviceFor } from '../process/device-for.ts';
import { usualShaping, type Shaping } from '../process/shaping.ts';
import { risesOnce } from '../process/rises-once.ts';
import { methodOf, writtenSteps, type WrittenSteps } from '../process/written-steps.ts';
import { risesInMachine, type Course } from '../course/course.ts';
import { fillingGrams } from '../course/machine-fit.ts';
import { usualCourse } from './usual-course.ts';

/** A bread that is to be timed: what goes in, where it is made, what is known of its leavens. */
export interface Bread {
  readonly id: string;
  readonly name: string;
  readonly formula: Formula;
  /** As they are mixed, where that is known; else as the formula has them. */
  readonly lines: readonly ResolvedLine[];
  readonly device: DeviceId;
  /** What it is shaped to, and in how many pieces. */
  readonly shaping: Shaping;
  readonly room: number;
  /** After mixing, °C. */
  readonly dough: number;
  readonly paces: Paces;
  readonly work: YeastWork;
  /** Warmth that its mixing puts into it, °C. */
  readonly friction: number;
  /** The rise model with the household's own figures. */
  readonly model: RiseModel;
  /** The oven that it is baked in, where the household told of one. */
  readonly oven?: Appliance;
  /** Times the usual minutes that a bread is in it, as bakes measured it. */
  readonly ovenPace: number;
  /** Grams that the household's scale steps by. */
  readonly scaleStep?: number;
  /** Its starter's own build is changed to fit the time. */
  readonly fitsBuild?: true;
  /** Feedings that wake its starter before that is built up for the dough. */
  readonly wakes?: number;
  /** The other ovens that it may be baked in, where none was chosen. */
  readonly otherOvens?: readonly OvenKnown[];
  /** Metres above the sea. */
  readonly altitude?: number;
  /** What is mixed ahead of the dough is ripe already. */
  readonly ripe?: boolean;
  /** How it goes through a machine, where that is chosen. */
  readonly course?: Course;
  /** Its machine runs already: no timer is set any more. */
  readonly runs?: true;
  /** What was seen of its rises while they went on. */
  readonly seen?: SeenRises;
  /** In how many mixings it goes through the household's mixer, where one does not take it. */
  readonly mixings?: Mixings;
}

/** An oven with its pace. */
type OvenKnown = Pick<Bread, 'ovenPace'> & { readonly oven: Appliance };

/** What was seen of the rises of a bread. */
export type SeenRises = Readonly<Partial<Record<Rise['id'], readonly Seen[]>>>;

/** What is said of a bread beside its formula; the household's usual where absent. */
export interface BreadSaid {
  readonly id: string;
  readonly formula: Formula;
  /** As they were weighed. */
  readonly lines?: readonly ResolvedLine[];
  readonly device?: DeviceId;
  readonly shaping?: Shaping;
  readonly room?: number;
  readonly dough?: number;
  readonly ripe?: boolean;
  readonly course?: Course;
  readonly runs?: true;
  readonly wakes?: number;
  /** Which of the household's ovens it is baked in. */
  readonly oven?: OvenChosen;
  readonly seen?: SeenRises;
}

/**
 * A formula as a bread of this household.
 *
 * @example breadOf({id: 'loaf', formula}, household, belief).room // 22, where nothing else is known
 */
export function breadOf(
  {
    id,
    formula,
    lines: mixed,
    device,
    shaping,
    room,
    dough,
    ripe,
    course: chosen,
    runs,
    wakes,
    oven: baked,
    seen,
  }: BreadSaid,
  household: Household,
  belief: Belief,
): Bread {
  const pantry = pantryIn(household);
  const lines = mixed ?? resolve(formula, pantry);
  const oven = ovenIn(household, baked);
  const paceOf = (of: Appliance | undefined) => Math.exp(ovenPace(of, belief).mean);
  const others = ovensIn(household)
    .slice(1)
    .map((of) => ({ oven: of, ovenPace: paceOf(of) }));
  const made = device ?? deviceFor(formula, {}, household);
  const course = asItStands(chosen ?? usualCourse(formula, lines, made, household), lines);
  const mixings =
    made === 'mixer'
      ? mixingsIn(
          household.appliances.find((a) => a.kind === 'mixer'),
          fillingGrams(lines),
        )
      : undefined;
  return {
    id,
    name: formula.name,
    formula,
    lines,
    device: made,
    shaping: shaping ?? usualShaping(formula),
    room: room ?? household.room.celsius ?? usualWarmth.air,
    dough: dough ?? usualWarmth[isShapedCold(lines) ? 'buttery' : 'dough'],
    paces: pacesFor(belief, leavenKeys(lines, formula)),
    work: pantry.yeastWork,
    friction: frictionOf(kneadingOf(made), household, belief).mean,
    model: riseModelIn(household),
    ...(oven ? { oven } : {}),
    scaleStep: household.scaleStep,
    ...(wakes ? { wakes } : {}),
    ovenPace: paceOf(oven),
    ...(others.length > 0 && !baked ? { otherOvens: others } : {}),
    ...(household.altitude === undefined ? {} : { altitude: household.altitude }),
    ...(ripe ? { ripe } : {}),
    ...(course ? { course } : {}),
    ...(runs ? { runs } : {}),
    ...(mixings ? { mixings } : {}),
    ...(seen ? { seen } : {}),
  };
}

/** A course that is switched off by hand, with the kneading that this flour stands. */
function asItStands(
  course: Course | undefined,
  lines: readonly ResolvedLine[],
): Course | undefined {
  if (course?.kind !== 'by-eye') return course;
  const { minutes, tooLong } = mixingAdvice(lines).find((m) => m.by === 'machine')!;
  return tooLong ? { ...course, stands: minutes } : course;
}

/** Whether a bread rises once, shaped or in its pan, as its recipe has it; a machine that lets it rise does that besides. */
export const isOneRise = ({ formula, course }: Pick<Bread, 'formula' | 'course'>): boolean =>
  !(course && risesInMachine(course)) && risesOnce(formula, methodOf(formula));

/** A rise as it is foreseen with what was seen of it. */
export function inSight(
  rise: Rise,
  { seen, paces, model }: Pick<Bread, 'seen' | 'paces' | 'model'>,
): Rise {
  const looks = seen?.[rise.id];
  return looks
    ? { ...rise, forecast: seenForecast(rise.dough, rise.end, paces, model, looks) }
    : rise;
}

/** What its recipe says of its steps. */
export const stepsWritten = ({ formula }: Pick<Bread, 'formula'>): WrittenSteps =>
  writtenSteps(formula);
