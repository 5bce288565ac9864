import { catalogue } from './catalogue.ts';
import type { Refusal } from '../quantity/refusal.ts';
import type { Allergen, Ingredient } from './ingredient.ts';
import { roles } from './role.ts';

/**
 * What stands on a bag's label, per 100 g. Labels come in two schools: in the EU carbohydrate is
 * without fibre, in the US with it.
 */
export interface Label {
  readonly name: string;
  /** Id of what it is like in the catalogue: absorption, measures and role are taken from there. */
  readonly like: string;
  readonly school: 'eu' | 'us';
  readonly protein: number;
  readonly fat: number;
  readonly carbohydrate: number;
  readonly fibre: number;
  readonly sugars: number;
  readonly polyols?: number;
  /** Grams of salt; what the label gives as sodium is salt / 2.5. */
  readonly salt: number;
  /** Per cent, where the label says it; else what is left of the 100 g. */
  readonly moisture?: number;
  readonly pricePerKilo?: number;
  readonly allergens?: readonly Allergen[];
}

type LabelField = keyof Label;

/** Most moisture of a dry good, per cent; beyond it a label is misread. Common practice, no source. */
const mostMoisture = 20;
/** Grams that rounding on a label can put on top of 100 g: half a gram for each of five figures. */
const rounding = 2.5;
/** Sodium in salt, g per g, as labels reckon it: 1 / 2.5. Source: EU 1169/2011, annex I. */
const sodiumOfSalt = 0.4;

const mostProtein = (like: Ingredient): number => (roles[like.role].flour ? 25 : 100);

/** Grams of carbohydrate with fibre in it, whatever the label's school. */
const withFibre = (label: Label): number =>
  label.school === 'eu' ? label.carbohydrate + label.fibre : label.carbohydrate;

/**
 * What is wrong with a label, each at its field; empty where nothing is.
 *
 * @example labelProblems({…, protein: 45, like: 'bread-flour'})[0].field // 'protein'
 */
export function labelProblems(label: Label): Array<Refusal<'label', LabelField>> {
  const like = catalogue.find((i) => i.id === label.like);
  if (!like) return [{ code: 'label', field: 'like', says: 'Say what it is like' }];
  const problems: Array<Refusal<'label', LabelField>> = [];
  const say = (field: LabelField, says: string) => problems.push({ code: 'label', field, says });
  if (label.name.trim() === '') say('name', 'It needs a name');
  const figures = ['protein', 'fat', 'carbohydrate', 'fibre', 'sugars', 'salt'] as const;
  for (const field of figures) {
    if (!(label[field] >= 0 && label[field] <= 100)) say(field, 'Between 0 and 100 g in 100 g');
  }
  if (label.protein > mostProtein(like)) {
    say('protein', 'No flour has over 25 % protein: is it gluten or a meal?');
  }
  const { moisture = 0, polyols = 0, pricePerKilo = 0 } = label;
  const dry = !roles[like.role].bringsWater;
  if (!(moisture >= 0 && moisture <= (dry ? mostMoisture : 100))) {
    say('moisture', `A dry good holds at most ${mostMoisture} % water`);
  }
  if (!(polyols >= 0 && polyols <= withFibre(label) + rounding)) {
    say('polyols', 'Polyols are part of the carbohydrate');
  }
  if (!(pricePerKilo >= 0 && pricePerKilo <= 10_000)) say('pricePerKilo', 'Nothing or more');
  if (label.school === 'us' && label.fibre > label.carbohydrate + rounding) {
    say('fibre', 'On a US label fibre is part of the carbohydrate: it cannot be more');
  }
  if (label.sugars > withFibre(label) + rounding) say('sugars', 'More sugars than carbohydrate');
  const sum = label.protein + label.fat + withFibre(label) + label.salt + moisture;
  if (problems.length === 0 && sum > 100 + rounding) {
    say('carbohydrate', `All together is ${sum.toFixed(1)} g in 100 g: one of them is too high`);
  }
  return problems;
}

/** Ids of the household's own ingredients begin with this. */
export const ownPrefix = 'own-';
export const ownIdPattern = /^own-[a-z0-9-]{1,70}$/;

/**
 * An id for an ingredient of the household's own: its name in plain letters, and a tail where others may be called alike.
 *
 * @example ownIdOf('Crème fraîche', 'x7') // 'own-creme-fraiche-x7'
 */
export const ownIdOf = (name: string, tail?: string): string =>
  [
    ownPrefix +
      (name
        .normalize('NFD')
        .replace(/\p{M}+/gu, '')
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, '-')
        .replace(/^-+|-+$/g, '')
        .slice(0, 50) || 'ingredient'),
    ...(tail === undefined ? [] : [tail]),
  ].join('-');

/**
 * An ingredient of the household's own, from its label: composition from the label, the rest as what it
 * is like.
 *
 * @param id begins with {@link ownPrefix}
 * @throws RangeError for a label that {@link labelProblems} finds fault with
 */
export function ingredientFromLabel(id: string, label: Label): Ingredient {
  const problems = labelProblems(label);
  if (problems.length > 0) throw new RangeError(problems.map((p) => p.says).join('; '));
  const like = catalogue.find((i) => i.id === label.like)!;
  const carbohydrate = withFibre(label);
  const rest = 100 - label.protein - label.fat - carbohydrate - label.salt;
  return {
    ...like,
    id,
    name: label.name.trim(),
    aliases: [],
    like: label.like,
    composition: {
      water: label.moisture ?? Math.max(0, rest),
      protein: label.protein,
      fat: label.fat,
      carbohydrate,
      fibre: label.fibre,
      sugars: label.sugars,
      sodium: 1000 * sodiumOfSalt * label.salt,
      ...(label.polyols ? { polyols: label.polyols } : {}),
      proteinSd: 0.3,
      source: `label of ${label.name.trim()}`,
    },
    addedSalt: label.salt > 0.5 ? label.salt : (like.addedSalt ?? 0),
    allergens: label.allergens ?? like.allergens,
    ...(label.pricePerKilo === undefined ? {} : { pricePerKilo: label.pricePerKilo }),
  };
}
