import { numberTyped, type Writing } from './writing.ts';

const operators = /\s*([+×x*−–-])\s*/iu;
const isTimes = (sign: string): boolean => /[×x*]/i.test(sign);

/**
 * What somebody at a scale reckons, as it is typed: "1312-872" for a bowl and what is in it, "2 × 76" for two buns,
 * "450+20". Times goes before plus and minus; a number alone is itself.
 *
 * @returns undefined where it is no such sum
 * @example sumTyped('1312-872', plainWriting) // 440
 * @example sumTyped('2 × 76', plainWriting) // 152
 */
export function sumTyped(text: string, writing: Pick<Writing, 'decimal'>): number | undefined {
  const parts = text.trim().split(operators);
  if (parts.length === 1) return numberTyped(text, writing);
  const numbers = parts.filter((_, i) => i % 2 === 0).map((p) => numberTyped(p, writing));
  const signs = parts.filter((_, i) => i % 2 === 1);
  if (!numbers.every((n) => n !== undefined)) return undefined;
  const [first, ...rest] = numbers as number[];
  let [sum, product, sign] = [0, first!, 1];
  rest.forEach((number, i) => {
    if (isTimes(signs[i]!)) {
      product *= number;
      return;
    }
    sum += sign * product;
    product = number;
    sign = signs[i] === '+' ? 1 : -1;
  });
  return Math.round((sum + sign * product) * 1e6) / 1e6;
}
