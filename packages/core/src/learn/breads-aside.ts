import { departureKey, placeOf, type Belief } from '../belief/belief.ts';
import { beliefBlocks, joinBlocks, type BreadBlock } from './belief-blocks.ts';
import { bookKey } from './for-bread.ts';

/**
 * What is known of breads that rest, beside the belief while a whole book is learned: a belief is copied at every bake,
 * and of a thousand breads each copy would carry what only one bake in a thousand asks for.
 */
export class BreadsAside {
  readonly #aside = new Map<string, BreadBlock>();

  /** A belief without what it knows of breads that are not learned together with the rest. */
  aside(belief: Belief): Belief {
    const { shared, breads } = beliefBlocks(belief, (key) => placeOf(belief, key) === undefined);
    for (const [key, known] of breads) this.#aside.set(key, { ...this.#aside.get(key), ...known });
    return shared;
  }

  /** A belief with what is known of one bread, where that was aside. */
  back(belief: Belief, bread: string | undefined): Belief {
    const key = bookKey(departureKey, bread);
    const known = this.#aside.get(key);
    if (!known) return belief;
    this.#aside.delete(key);
    return joinBlocks(belief, [[key, known]]);
  }

  /** A belief with all of it again. */
  all(belief: Belief): Belief {
    const all = [...this.#aside];
    this.#aside.clear();
    return joinBlocks(belief, all);
  }
}
