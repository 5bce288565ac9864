import type { Difference } from '@tender-crumb/core/book';
import { say } from '../ui/writing.ts';

/** A difference in a few words: what it is now, and what it was. */
export const differs = ({ says, from, to }: Difference): string =>
  say(`${says} ${to} (was ${from})`);
