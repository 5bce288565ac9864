import {
  bakeShift,
  type CrustId,
  type Machine,
  type MachineSizeId,
  machineSizes,
} from '../machine/machine.ts';
import {
  bakes,
  kneadMinutes,
  kneadsFrom,
  kneadsTo,
  paddleStill,
  programmeMinutes,
  risesByClock,
  type Programme,
} from '../machine/programme.ts';
import type { CourseId } from './courses.ts';
import type { DoughWants } from './wants.ts';

/** How a bread goes through a machine: with which programme, in which size, how dark, when. */
export interface Course {
  readonly machine: Machine;
  readonly kind: CourseId;
  readonly programme: Programme;
  readonly size: MachineSizeId;
  readonly crust: CrustId;
  /** Minutes until it begins. */
  readonly delay?: number;
  /** Minutes of kneading that its flour stands, where that is less than the programme has: it is switched off then. */
  readonly stands?: number;
}

/** The programme of a machine for a use; the plain one where it has none of that. */
function programmeOf(
  { programmes }: Machine,
  uses: ReadonlyArray<Programme['use']>,
): Programme | undefined {
  for (const use of uses) {
    const found = programmes.find((p) => p.use === use);
    if (found) return found;
  }
  return undefined;
}

/** Size whose flour is nearest to that: the smallest that it fits, else the largest. */
const sizeFor = ({ sizes }: Machine, flour: number): MachineSizeId =>
  sizes.find((id) => flour <= machineSizes[id].flour[1]) ?? sizes.at(-1)!;

/**
 * How a dough goes through a machine best.
 *
 * @param flour grams in it; of the dry base where there is no flour
 * @returns undefined where the machine cannot do that at all
 * @example courseFor(machines.upright, doughWants(formula, lines), 440)?.size // '750g'
 */
export function courseFor(
  machine: Machine,
  { use, course: kind }: Pick<DoughWants, 'use' | 'course'>,
  flour: number,
): Course | undefined {
  const programme =
    kind === 'whole'
      ? programmeOf(machine, [use, 'plain'])
      : kind === 'dough'
        ? programmeOf(machine, ['dough', 'knead'])
        : programmeOf(machine, ['knead', 'dough']);
  return programme && { machine, kind, programme, size: sizeFor(machine, flour), crust: 'medium' };
}

/** Minutes that a sourdough or a heavy loaf bakes longer than the programme says. Common practice, no source. */
const bakesLonger = 15;

/** What of a course takes how long, minutes. */
interface CourseTimes {
  readonly delay: number;
  /** Of the programme that is started first: to the loaf, to the risen dough, or to the kneaded one. */
  readonly first: number;
  readonly kneadsFrom: number;
  readonly kneads: number;
  /** Its paddle turns no more until it knocks the dough down. */
  readonly kneadsTo: number;
  readonly signal?: number;
  /** The paddle turns no more from then. */
  readonly still?: number;
  /** Of bake-only, with what it is short of for such a dough. */
  readonly baking?: number;
  readonly bakingShort?: number;
}

/**
 * The times of a course.
 *
 * @example courseTimes(course).first // 216
 */
export function courseTimes({
  machine,
  kind,
  programme,
  size,
  crust,
  delay = 0,
  stands = Infinity,
}: Course): CourseTimes {
  const shift = bakeShift(machine, size, crust);
  const from = kneadsFrom(programme) ?? 0;
  const kneads = kneadMinutes(programme);
  const bakeOnly = machine.programmes.find((p) => p.use === 'bake');
  const still = paddleStill(programme);
  const kneaded = kneads > stands ? from + stands : still;
  const first =
    kind === 'by-eye'
      ? (kneaded ?? programmeMinutes(programme))
      : programmeMinutes(programme, shift);
  const wanted = bakeOnly ? programmeMinutes(bakeOnly, shift) : 0;
  return {
    delay,
    first,
    kneadsFrom: from,
    kneads: Math.min(kneads, stands),
    kneadsTo: kneadsTo(programme) ?? first,
    ...(kind === 'whole' && programme.signal !== undefined ? { signal: programme.signal } : {}),
    ...(kind === 'whole' && bakes(programme) && still !== undefined ? { still } : {}),
    ...(kind === 'by-eye' && bakeOnly
      ? { baking: wanted + bakesLonger, bakingShort: bakesLonger }
      : {}),
  };
}

/**
 * Minutes for which a machine bakes what rose in it by eye, its bake-only started alone.
 *
 * @returns undefined where it does not bake so
 */
export const bakesOnly = (course: Course): number | undefined =>
  course.kind === 'by-eye' ? courseTimes(course).baking : undefined;

/** Whether the machine itself lets the dough rise in it. */
export const risesInMachine = ({ kind, programme }: Course): boolean =>
  kind !== 'by-eye' && risesByClock(programme);

/**
 * A machine that brings everything to one warmth before it kneads: how warm the water was is gone by then.
 *
 * @example warmsFirst({programme: {stages: [{kind: 'rest', minutes: 20}, …], …}}) // true
 */
export function warmsFirst({ programme }: Pick<Course, 'programme'>): boolean {
  const [first] = programme.stages;
  return first?.kind === 'rest' && first.minutes > 0;
}
