import { testTime } from '../scripts/test-clock.mjs';

/**
 * A moment by the clock of the pages, on the next Thursday or so many days after it: a day of the
 * week that the texts can name, and never one that is over by the clock of the server.
 */
export const thursday = (clock: string, daysOn = 0): string => {
  const then = testTime();
  then.setUTCDate(then.getUTCDate() + 1);
  while (then.getUTCDay() !== 4) then.setUTCDate(then.getUTCDate() + 1);
  then.setUTCDate(then.getUTCDate() + daysOn);
  return `${then.toISOString().slice(0, 10)}T${clock}`;
};
