import type { Migration } from 'kysely';
import { kitchen } from './0001-kitchen.ts';
import { pantry } from './0002-pantry.ts';
import { house } from './0003-house.ts';
import { circumstances } from './0004-circumstances.ts';
import { bakeWithoutFormula } from './0005-bake-without-formula.ts';
import { offTheShelf } from './0006-off-the-shelf.ts';
import { bagUse } from './0007-bag-use.ts';
import { planOfBakes } from './0008-plan.ts';
import { photos } from './0009-photo.ts';
import { book } from './0010-book.ts';
import { doors } from './0011-doors.ts';
import { houseTime } from './0012-house-time.ts';
import { largeKitchen } from './0013-large-kitchen.ts';
import { beliefBlocks } from './0014-belief-blocks.ts';
import { ovensThen } from './0015-ovens-then.ts';
import { pages } from './0016-page.ts';
import { settled } from './0017-settled.ts';

/** In order of their names. A migration that has been released is never changed. */
export const migrations: Record<string, Migration> = {
  '0001-kitchen': kitchen,
  '0002-pantry': pantry,
  '0003-house': house,
  '0004-circumstances': circumstances,
  '0005-bake-without-formula': bakeWithoutFormula,
  '0006-off-the-shelf': offTheShelf,
  '0007-bag-use': bagUse,
  '0008-plan': planOfBakes,
  '0009-photo': photos,
  '0010-book': book,
  '0011-doors': doors,
  '0012-house-time': houseTime,
  '0013-large-kitchen': largeKitchen,
  '0014-belief-blocks': beliefBlocks,
  '0015-ovens-then': ovensThen,
  '0016-page': pages,
  '0017-settled': settled,
};
