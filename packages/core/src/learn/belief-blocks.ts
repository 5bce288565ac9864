import { departureKey, type Belief } from '../belief/belief.ts';

/** What a belief knows of one bread besides the figures that are learned together. */
export interface BreadBlock {
  readonly bakes?: number;
  readonly windows?: NonNullable<Belief['windows']>[string];
  readonly rested?: NonNullable<Belief['rested']>[string];
}

/** Blocks by the key of the bread: see {@link bookKey}. */
type BreadBlocks = ReadonlyMap<string, BreadBlock>;

const fields = ['bakes', 'windows', 'rested'] as const satisfies ReadonlyArray<keyof BreadBlock>;

const isOfBread = (key: string): boolean => key.startsWith(`${departureKey}:`);

/**
 * A belief apart: what its figures share, and what it knows of each bread. Most of a large book's belief is one
 * bread's each; so it is kept, and of a thousand breads one bake writes one.
 *
 * @param isOut of which breads, by their keys; of all, without it
 * @example beliefBlocks(nothingLearned).breads.size // 0
 */
export function beliefBlocks(
  belief: Belief,
  isOut: (key: string) => boolean = () => true,
): { readonly shared: Belief; readonly breads: BreadBlocks } {
  const breads = new Map<string, { -readonly [F in keyof BreadBlock]?: BreadBlock[F] }>();
  const left = fields.map((field) => {
    const stays: Record<string, unknown> = {};
    for (const [key, value] of Object.entries(belief[field] ?? {}))
      if (isOfBread(key) && isOut(key))
        breads.set(key, { ...breads.get(key), [field]: value as never });
      else stays[key] = value;
    return [field, stays] as const;
  });
  if (breads.size === 0) return { shared: belief, breads };
  return { shared: withFields(belief, Object.fromEntries(left)), breads };
}

/**
 * A belief with what is known of breads in it again.
 *
 * @example
 * const { shared, breads } = beliefBlocks(belief);
 * joinBlocks(shared, breads) // deep equal to belief
 */
export function joinBlocks(
  shared: Belief,
  breads: Iterable<readonly [string, BreadBlock]>,
): Belief {
  const all = [...breads];
  if (all.length === 0) return shared;
  const joined = fields.map((field) => {
    const by: Record<string, unknown> = { ...shared[field] };
    for (const [key, block] of all) if (block[field] !== undefined) by[key] = block[field];
    return [field, by] as const;
  });
  return withFields(shared, Object.fromEntries(joined));
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
