import type { Difference } from '@tender-crumb/core/book';
import { say } from '../ui/writing.ts';

/** A figure and its unit; nothing where there are several figures in it. */
const single = /^(\S+)\s(\D+)$/u;

/** A difference in a few words: what it is now, and what it was; a unit that both have is said once. */
export const differs = ({ says, from, to }: Difference): string => {
  const [was, now] = [single.exec(from), single.exec(to)];
  const before = was && now && was[2] === now[2] ? was[1]! : from;
  return say(`${says} ${to} (was ${before})`);
};
