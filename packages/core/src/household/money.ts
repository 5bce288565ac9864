/** What a household reckons in, and what power and the shop ask for. */
export interface Money {
  /** Three letters of ISO 4217. */
  readonly currency: string;
  /** A kilowatt hour. */
  readonly power?: number;
  /** A kilowatt hour in the hours of cheap or own power; see week.ts. */
  readonly cheapPower?: number;
  /** What a shop asks for such a bread, by formula: its price, and how much it weighs in grams. */
  readonly shop: Readonly<Record<string, { readonly price: number; readonly grams: number }>>;
}

/** ISO 4217 codes are three capital letters. */
export const isCurrency = (code: string): boolean => /^[A-Z]{3}$/.test(code);
