import { courseOf } from '../lead/run-of.ts';
import type { BakeState } from '../bake/state.ts';
import { warmsFirst, type Course } from '../course/course.ts';
import { figure } from '../figure/figure.ts';
import { usualWarmth } from '../ferment/usual-warmth.ts';
import { frictionFrom } from '../ferment/water-temperature.ts';
import { frictionSpan } from '../belief/friction.ts';
import { kneadingOf } from '../machine/device.ts';
import { usualCourse } from '../schedule/usual-course.ts';
import type { Seen } from '../belief/measured.ts';
import type { MadeBake } from './made-bake.ts';

/** Later than this after mixing a dough has the warmth of where it stands, minutes. Own choice, no source. */
const soon = 40;
/** How far flour may be from the room’s temperature: as it was read off, and where nobody read any. */
const flourWarmth = {
  read: figure(1, '°C', 0.5, 'own estimate, no source'),
  unread: figure(3, '°C', 1, 'own estimate, no source'),
} as const;

/** What a thermometer said of the dough soon after it was mixed. */
function doughAfterMixing({ thermometer, steps, rises }: BakeState): number | undefined {
  const mixed = steps.mix?.doneAt ?? rises.first?.begunAt;
  const latest = mixed === undefined ? Infinity : Date.parse(mixed) + soon * 60_000;
  return thermometer.findLast((t) => t.of === 'dough' && Date.parse(t.at) <= latest)?.celsius;
}

/** How it went through a machine, where it did. */
const courseSeen = ({ formula, lines, state, household, device }: MadeBake): Course | undefined =>
  (state.course && courseOf(state.course, household)) ??
  usualCourse(formula, lines, device, household);

/** How warm a dough is without its kneading, °C. */
interface Unkneaded {
  readonly celsius: number;
  readonly doubt: number;
}

/**
 * How warm the dough of a bake would be without kneading, from how warm its water was poured.
 *
 * @returns undefined where nobody noted that, flour and water rested together first, or a machine warmed all of it
 * @example unkneaded(bake)?.celsius // 23.4
 */
export function unkneaded(bake: MadeBake): Unkneaded | undefined {
  const { lines, state, household } = bake;
  const { water, air } = state.warmth;
  const { begunAt, doneAt } = state.steps.autolyse ?? {};
  const course = courseSeen(bake);
  if (water === undefined || (begunAt ?? doneAt) !== undefined || (course && warmsFirst(course)))
    return undefined;
  const read = household.room.celsius;
  const room = read ?? air ?? usualWarmth.air;
  const at = (room: number, fridge: boolean) =>
    frictionFrom(lines, { water, reached: 0, room, fridge });
  const [warm, cold, warmer] = [at(room, false), at(room, true), at(room + 1, false)];
  if (warm === undefined || cold === undefined || warmer === undefined) return undefined;
  const flour = flourWarmth[read === undefined ? 'unread' : 'read'].value;
  return {
    // Nobody notes whether milk and egg came from the fridge: anything between is as likely.
    celsius: -(warm + cold) / 2,
    doubt: Math.hypot((cold - warm) / Math.sqrt(12), (warmer - warm) * flour),
  };
}

/**
 * Warmth that kneading put into the dough of a bake, from how warm its water was poured and how warm it came out.
 *
 * @returns undefined where one of them is not told, or a thermometer was misread
 * @example frictionSeen(bake)?.value // 4.2
 */
export function frictionSeen(bake: MadeBake): Seen<'friction'> | undefined {
  const reached = doughAfterMixing(bake.state);
  const from = unkneaded(bake);
  if (reached === undefined || !from) return undefined;
  const value = reached - from.celsius;
  const [least, most] = frictionSpan;
  if (value < least || value > most) return undefined;
  return { kind: 'friction', of: { by: kneadingOf(bake.device) }, value, doubt: from.doubt };
}
