/**
 * What may stand in a field that crosses a boundary, as data: validators, schemas and types are made from
 * it, so that a thing is described once.
 */
export type Field = {
  readonly optional?: boolean;
} & (
  | { readonly kind: 'text'; readonly most: number }
  /** Plain words as ids are. */
  | { readonly kind: 'id' }
  /** In the catalogue, or the household's own. */
  | { readonly kind: 'ingredient' }
  /** Nothing, or what a kitchen can weigh. */
  | { readonly kind: 'grams' }
  | {
      readonly kind: 'number';
      readonly least: number;
      readonly most: number;
      readonly whole?: boolean;
    }
  | { readonly kind: 'flag' }
  /** Some words of a list, in any order. */
  | { readonly kind: 'words'; readonly of: readonly string[] }
);

/** Fields by name. */
export type Shape = Readonly<Record<string, Field>>;

type Value<F> = F extends { kind: 'words'; of: ReadonlyArray<infer W> }
  ? readonly W[]
  : F extends { kind: 'flag' }
    ? boolean
    : F extends { kind: 'grams' | 'number' }
      ? number
      : string;

/** The type of what a shape describes. */
export type DataOf<S extends Shape> = {
  readonly [K in keyof S as S[K] extends { optional: true } ? never : K]: Value<S[K]>;
} & {
  readonly [K in keyof S as S[K] extends { optional: true } ? K : never]?: Value<S[K]>;
};

export const text = (most: number) => ({ kind: 'text', most }) as const;
export const id = { kind: 'id' } as const;
export const ingredient = { kind: 'ingredient' } as const;
export const grams = { kind: 'grams' } as const;
export const number = (least: number, most: number) => ({ kind: 'number', least, most }) as const;
export const whole = (least: number, most: number) =>
  ({ kind: 'number', least, most, whole: true }) as const;
export const flag = { kind: 'flag' } as const;
export const words = <const W extends readonly string[]>(of: W) => ({ kind: 'words', of }) as const;

/** The same field, that may be left out. */
export const maybe = <F extends Field>(field: F): F & { readonly optional: true } => ({
  ...field,
  optional: true,
});
