/** Hours of some days of the week, by the clock of the house. Past midnight where the end is not after the beginning. */
export interface Hours {
  /** 1 for Monday to 7 for Sunday: the day on which they begin. */
  readonly days: readonly number[];
  /** 'HH:MM'. */
  readonly from: string;
  readonly to: string;
}

/** What a household does by the week. */
export interface Week {
  /** Nobody is up. */
  readonly asleep: readonly Hours[];
  /** Nobody is home. */
  readonly away: readonly Hours[];
  /** Power is cheap, or the sun gives it: oven and machine run then, where any such hours are given. */
  readonly power: readonly Hours[];
}

export const everyDay = [1, 2, 3, 4, 5, 6, 7] as const;

/** Until a household says otherwise. Own choice, no source. */
export const usualWeek: Week = {
  asleep: [{ days: everyDay, from: '22:30', to: '06:30' }],
  away: [],
  power: [],
};

const clock = /^(?:[01]\d|2[0-3]):[0-5]\d$/;

/** Whether a text is a time of day. */
export const isClock = (text: string): boolean => clock.test(text);

/**
 * Minutes from midnight of a time of day.
 *
 * @example clockMinutes('06:30') // 390
 */
export const clockMinutes = (text: string): number =>
  Number(text.slice(0, 2)) * 60 + Number(text.slice(3, 5));
