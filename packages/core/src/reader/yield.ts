import type { Piece } from '../formula/beside.ts';
import { ones } from './number-words.ts';
import { toGrams, type MassUnit } from '../quantity/mass.ts';

/** What a recipe says that it makes. */
export interface Yield {
  readonly pieces?: number;
  readonly piece?: Piece;
  readonly slices?: number;
  /** As it was written: "2 lb loaf". */
  readonly size?: string;
}

const kinds: ReadonlyArray<readonly [RegExp, NonNullable<Piece['kind']>]> = [
  [/\b(?:rolls?|buns?|dinner rolls?|baps?|muffins?)\b/i, 'roll'],
  [/\b(?:bagels?|pretzels?|rings?|doughnuts?)\b/i, 'ring'],
  [/\b(?:pizzas?|balls?|dough balls?)\b/i, 'ball'],
  [/\b(?:baguettes?|sticks?|breadsticks?)\b/i, 'stick'],
  [/\b(?:plaits?|braids?|challahs?)\b/i, 'plait'],
  [/\b(?:flatbreads?|naans?|pitas?|pittas?|tortillas?|wraps?|chapatis?|rotis?)\b/i, 'flatbread'],
  [/\b(?:loaf|loaves|boules?|batards?)\b/i, 'loaf'],
];

const mass = (amount: string, unit: string): number =>
  toGrams(
    Number(amount.replace(',', '.')),
    (/^(?:lb|pound)/i.test(unit)
      ? 'lb'
      : /^(?:oz|ounce)/i.test(unit)
        ? 'oz'
        : unit.toLowerCase()) as MassUnit,
  );

/**
 * What a line says of how much a recipe makes.
 *
 * @returns undefined where it does not speak of that
 * @example yieldIn('Makes 9 rolls of 76 g') // {pieces: 9, piece: {kind: 'roll', grams: 76}}
 */
export function yieldIn(text: string): Yield | undefined {
  if (!/make|yield|serv|quant|give|produc|enough|loa[fv]|tin|pan|slice|^for\b/i.test(text))
    return undefined;
  const marked =
    /^(?:makes|yields?|serves|servings?|quantity|recipe (?:makes|yields?)|for|gives|produces|enough for)\b\s*:?\s*/i.exec(
      text,
    );
  const alone = /^(?:about\s+)?(\d{1,3})\s+slices?\.?$/i.exec(text.trim());
  if (alone) return { slices: Number(alone[1]) };
  const size = /\b(\d+(?:[.,]\d+)?)[\s-]*(lb|pound|kg|g)s?\b[\s-]*(?:loaf|loaves|tin|pan)\b/i.exec(
    text,
  );
  if (!marked && !(size && text.split(/\s+/).length <= 5)) return undefined;
  const rest = marked ? text.slice(marked[0].length) : text;
  const kind = kinds.find(([pattern]) => pattern.test(rest))?.[1];
  const each =
    /(?:of|[x×@]|at|\()\s*(?:about\s*)?(\d+(?:[.,]\d+)?)\s*(g|oz|ounce)s?\b/i.exec(rest) ??
    /\b(\d{2,4})[\s-]*(g)\b(?=.*(?:roll|bun|ball|loa|bagel|piece))/i.exec(rest);
  const count =
    /^(?:about\s+|approx\w*\.?\s+)?(\d{1,3}|an?|one|two|three|four|six|eight|ten|twelve)\b(?!\s*(?:lb|pound|kg|g\b|oz))/i.exec(
      rest,
    );
  const pieces = count ? (ones[count[1]!.toLowerCase()] ?? Number(count[1])) : undefined;
  const slices =
    /\bslices?\b|\bserv/i.test(text) && pieces !== undefined && !kind ? pieces : undefined;
  if (!kind && !size && slices === undefined && !/piece|cob|item/i.test(rest))
    return marked && pieces !== undefined && /^(?:makes|yields?)/i.test(text)
      ? { pieces }
      : undefined;
  return {
    ...(pieces && slices === undefined ? { pieces } : {}),
    ...(slices && slices <= 200 ? { slices } : {}),
    ...(kind || each
      ? {
          piece: {
            ...(kind ? { kind } : {}),
            ...(each ? { grams: Math.round(mass(each[1]!, each[2]!)) } : {}),
          },
        }
      : {}),
    ...(size ? { size: size[0].slice(0, 80) } : {}),
  };
}
