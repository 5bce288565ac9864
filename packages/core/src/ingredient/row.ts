import { figure, fromMemory, type Figure } from '../figure/figure.ts';
import type { Ingredient } from './ingredient.ts';
import type { Role } from './role.ts';
import { composition, drinksNothing, perCup, perPiece, absorption } from './rows.ts';

/** Figures of food tables as they are remembered, rounded: where no row is named they are wide. */
const tables = fromMemory('food composition tables, rounded');

/** What a short row leaves to be said besides its composition. */
interface Rest extends Partial<
  Omit<
    Ingredient,
    'id' | 'name' | 'aliases' | 'role' | 'composition' | 'cup' | 'piece' | 'absorption'
  >
> {
  /** Grams in a US cup, spread a tenth of it. */
  readonly cup?: number;
  /** Grams in one, spread a fifth of it. */
  readonly each?: number;
  /** Grams of water a gram takes, and how far that is known. */
  readonly absorption?: readonly [value: number, sd: number];
  readonly dryBaseAbsorption?: Figure;
  readonly proteinSd?: number;
  readonly source?: string;
}

/**
 * A row of the catalogue in short: composition is water, protein, fat, carbohydrate with fibre, fibre,
 * sugars, sodium (mg) in 100 g.
 *
 * @param aliases parted by commas
 */
export function row(
  id: string,
  name: string,
  aliases: string,
  role: Role,
  of: readonly [number, number, number, number, number, number, number],
  { cup, each, absorption: drinks, proteinSd = 0.5, source = tables, ...rest }: Rest = {},
): Ingredient {
  return {
    id,
    name,
    aliases: [name, ...aliases.split(',').map((a) => a.trim())].filter(Boolean),
    role,
    composition: composition(source, of, proteinSd),
    absorption: drinks ? absorption(drinks[0], drinks[1], tables) : drinksNothing,
    allergens: [],
    ...(cup === undefined ? {} : { cup: { level: perCup(cup, cup / 10) } }),
    ...(each === undefined ? {} : { piece: perPiece(each, each / 5) }),
    ...rest,
  };
}

/** The cup of a white or whole flour, by how it is filled: as its like in the table of flours. */
export const flourCups = (spooned: number) => ({
  spooned: figure(spooned, 'g per US cup', 8, tables),
  dipped: figure(spooned * 1.16, 'g per US cup', 12, tables),
  fresh: figure(spooned * 0.9, 'g per US cup', 10, tables),
});
