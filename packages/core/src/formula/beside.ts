import {
  grams,
  id,
  ingredient,
  maybe,
  meaning,
  object,
  text,
  word,
  type DataOf,
} from '../quantity/shape.ts';

/** What goes on, in or under a bread without being in its dough. */
const outsideUses = ['glaze', 'filling', 'topping', 'dusting', 'boil'] as const;
export type OutsideUse = (typeof outsideUses)[number];

/** A line outside the dough: it neither drinks nor counts there. */
const outsideShape = {
  id,
  use: word(outsideUses),
  says: meaning(text(2000, 1), 'as it was written'),
  ingredient: maybe(ingredient),
  grams: maybe(grams),
} as const;
export type Outside = DataOf<typeof outsideShape>;

export const outsideField = object(outsideShape);

/** A line that could not be read, kept where it stood until the baker says what it is. */
const unreadShape = {
  text: text(2000, 1),
  why: maybe(text(200)),
  stage: maybe(meaning(id, 'the stage that it stood in')),
  after: maybe(meaning(id, 'the line that it stood below')),
  grams: maybe(meaning(grams, 'about what it weighs, where it says how much')),
} as const;
export type UnreadLine = DataOf<typeof unreadShape>;

export const unreadField = object(unreadShape);

/** What a dough is divided into. */
const pieceKinds = ['loaf', 'roll', 'ball', 'ring', 'plait', 'stick', 'flatbread'] as const;

/** One of a bread's pieces. */
const pieceShape = {
  kind: maybe(word(pieceKinds)),
  grams: maybe(meaning(grams, 'raw weight of one')),
} as const;
export type Piece = DataOf<typeof pieceShape>;

export const pieceField = object(pieceShape);
