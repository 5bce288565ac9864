import type { Destination } from '@tender-crumb/core/reader';

/** How the page says where something of a text went. */
export const destinationWords: Readonly<Record<Destination, string>> = {
  dough: 'in the dough',
  outside: 'beside the dough',
  part: 'in already',
  step: 'method',
  yield: 'what it makes',
  note: 'note',
  question: 'to answer',
  other: 'another bread',
};
