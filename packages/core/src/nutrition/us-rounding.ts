/** What a US label rounds. */
export type UsPart =
  'calories' | 'fat' | 'carbohydrate' | 'fibre' | 'sugars' | 'protein' | 'sodium';

const to = (step: number, value: number): number => Math.round(value / step) * step;

/** Under half a gram is nothing; then whole grams. */
const wholeGrams = (grams: number): number => (grams < 0.5 ? 0 : to(1, grams));

/** Rules of 21 CFR 101.9(c). Grams, kilocalories, and milligrams of sodium. */
const rules: Readonly<Record<UsPart, (value: number) => number>> = {
  calories: (kcal) => (kcal < 5 ? 0 : kcal <= 50 ? to(5, kcal) : to(10, kcal)),
  fat: (grams) => (grams < 0.5 ? 0 : grams < 5 ? to(0.5, grams) : to(1, grams)),
  carbohydrate: wholeGrams,
  fibre: wholeGrams,
  sugars: wholeGrams,
  protein: wholeGrams,
  sodium: (mg) => (mg < 5 ? 0 : mg <= 140 ? to(5, mg) : to(10, mg)),
};

/**
 * A figure as a US label rounds it. Source: 21 CFR 101.9(c).
 *
 * @param value 0 or more; sodium in milligrams
 * @example usRounded('calories', 87) // 90
 * @example usRounded('fat', 2.3) // 2.5
 */
export const usRounded = (part: UsPart, value: number): number => rules[part](value);
