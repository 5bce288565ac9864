/**
 * Grams as a kitchen scale shows them at best: to a tenth.
 *
 * @example tenth(12.345) // 12.3
 */
export const tenth = (grams: number): number => Math.round(grams * 10) / 10;
