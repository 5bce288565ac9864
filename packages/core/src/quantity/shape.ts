/**
 * What may stand in a field that crosses a boundary, as data: validators, schemas and types are made from
 * it, so that a thing is described once.
 */
export type Field = {
  readonly optional?: boolean;
  /** What it means, for whoever reads the published schema. */
  readonly means?: string;
} & (
  | { readonly kind: 'text'; readonly most: number; readonly least?: number }
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
  /** A day that exists, ISO. */
  | { readonly kind: 'day' }
  /** One word of a list. */
  | { readonly kind: 'word'; readonly of: readonly string[] }
  /** Some words of a list, in any order. */
  | { readonly kind: 'words'; readonly of: readonly string[] }
  | { readonly kind: 'object'; readonly of: Shape }
  | {
      readonly kind: 'list';
      readonly of: Field;
      readonly least?: number;
      readonly most: number;
    }
);

/** Fields by name. */
export interface Shape {
  readonly [name: string]: Field;
}

type Value<F> = F extends { kind: 'word' | 'words'; of: ReadonlyArray<infer W> }
  ? F extends { kind: 'word' }
    ? W
    : readonly W[]
  : F extends { kind: 'object'; of: infer S extends Shape }
    ? DataOf<S>
    : F extends { kind: 'list'; of: infer G }
      ? ReadonlyArray<Value<G>>
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

export const text = (most: number, least = 0) => ({ kind: 'text', most, least }) as const;
export const id = { kind: 'id' } as const;
export const ingredient = { kind: 'ingredient' } as const;
export const grams = { kind: 'grams' } as const;
export const number = (least: number, most: number) => ({ kind: 'number', least, most }) as const;
export const whole = (least: number, most: number) =>
  ({ kind: 'number', least, most, whole: true }) as const;
export const flag = { kind: 'flag' } as const;
export const day = { kind: 'day' } as const;
export const word = <const W extends readonly string[]>(of: W) => ({ kind: 'word', of }) as const;
export const words = <const W extends readonly string[]>(of: W) => ({ kind: 'words', of }) as const;
export const object = <const S extends Shape>(of: S) => ({ kind: 'object', of }) as const;
export const list = <const F extends Field>(of: F, most: number, least = 0) =>
  ({ kind: 'list', of, most, least }) as const;

/** The same field, that may be left out. */
export const maybe = <F extends Field>(field: F): F & { readonly optional: true } => ({
  ...field,
  optional: true,
});

/** The same field, with what it means. */
export const meaning = <F extends Field>(field: F, means: string): F => ({ ...field, means });
