import { departureKey, placeOf, type Belief } from '../household/belief.ts';
import { bookKey } from './for-bread.ts';

/** What a belief knows of one bread besides the figures that are learned together. */
interface OfBread {
  readonly bakes?: number;
  readonly windows?: NonNullable<Belief['windows']>[string];
  readonly rested?: NonNullable<Belief['rested']>[string];
}

type Fields = keyof OfBread;
const fields = ['bakes', 'windows', 'rested'] as const satisfies readonly Fields[];

/**
 * What is known of breads that rest, beside the belief while a whole book is learned: a belief is copied at every bake,
 * and of a thousand breads each copy would carry what only one bake in a thousand asks for.
 */
export class BreadsAside {
  readonly #aside = new Map<string, OfBread>();

  /** A belief without what it knows of breads that are not learned together with the rest. */
  aside(belief: Belief): Belief {
    const gone = new Map<string, { -readonly [F in Fields]?: OfBread[F] }>();
    const kept = fields.map((field) => {
      const left: Record<string, unknown> = {};
      for (const [key, value] of Object.entries(belief[field] ?? {}))
        if (key.startsWith(`${departureKey}:`) && placeOf(belief, key) === undefined) {
          const known = gone.get(key) ?? {};
          gone.set(key, { ...known, [field]: value as never });
        } else left[key] = value;
      return [field, left] as const;
    });
    if (gone.size === 0) return belief;
    for (const [key, known] of gone) this.#aside.set(key, { ...this.#aside.get(key), ...known });
    return withFields(belief, Object.fromEntries(kept));
  }

  /** A belief with what is known of one bread, where that was aside. */
  back(belief: Belief, bread: string | undefined): Belief {
    const key = bookKey(departureKey, bread);
    const known = this.#aside.get(key);
    if (!known) return belief;
    this.#aside.delete(key);
    return this.#with(belief, [[key, known]]);
  }

  /** A belief with all of it again. */
  all(belief: Belief): Belief {
    const all = [...this.#aside];
    this.#aside.clear();
    return this.#with(belief, all);
  }

  #with(belief: Belief, breads: ReadonlyArray<readonly [key: string, known: OfBread]>): Belief {
    if (breads.length === 0) return belief;
    return withFields(
      belief,
      Object.fromEntries(
        fields.map((field) => [
          field,
          {
            ...belief[field],
            ...Object.fromEntries(
              breads.flatMap(([key, known]) =>
                known[field] === undefined ? [] : [[key, known[field]] as const],
              ),
            ),
          },
        ]),
      ),
    );
  }
}

/** What stands nowhere is left out, as it is where it never stood there. */
function withFields(belief: Belief, by: Readonly<Record<string, object>>): Belief {
  const { bakes, windows, rested } = by as {
    bakes: Belief['bakes'];
    windows: NonNullable<Belief['windows']>;
    rested: NonNullable<Belief['rested']>;
  };
  const { windows: hadWindows, rested: hadRested, ...other } = belief;
  return {
    ...other,
    bakes,
    ...(hadWindows || Object.keys(windows).length > 0 ? { windows } : {}),
    ...(hadRested || Object.keys(rested).length > 0 ? { rested } : {}),
  };
}
