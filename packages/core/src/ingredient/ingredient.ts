import type { Bag } from './bag.ts';
import type { Figure } from '../figure/figure.ts';
import type { Fill } from '../quantity/measures.ts';
import type { Role } from './role.ts';
import type { StuffState } from './state.ts';

/** Grams per 100 g as is; carbohydrate includes fibre; sodium in milligrams. */
export interface Composition {
  readonly water: number;
  readonly protein: number;
  readonly fat: number;
  readonly carbohydrate: number;
  readonly fibre: number;
  readonly sugars: number;
  readonly sodium: number;
  /** Sugar alcohols, counted in the carbohydrate; none where absent. */
  readonly polyols?: number;
  /** Standard deviation of one bag's protein about this figure, g per 100 g. */
  readonly proteinSd: number;
  readonly source: string;
}

export const allergens = [
  'wheat',
  'gluten',
  'egg',
  'milk',
  'soy',
  'sesame',
  'nuts',
  'peanut',
  'lupin',
  'mustard',
  'celery',
  'fish',
  'crustaceans',
  'molluscs',
  'sulphites',
] as const;
export type Allergen = (typeof allergens)[number];

/** Kinds of baker's yeast; how they compare by mass stands in ingredient/yeast.ts. */
export type YeastKind = 'fresh' | 'active-dry' | 'instant' | 'osmotolerant';

/** Things that a bread is made of. Every figure names its source. */
export interface Ingredient {
  readonly id: string;
  readonly name: string;
  /** Words under which a recipe may speak of it, lower case. */
  readonly aliases: readonly string[];
  /** Id of what a household's own ingredient is like. */
  readonly like?: string;
  /** Id of what it is reckoned as where nothing of its own is known: it keeps its name, and what is dangerous in it. */
  readonly reckonedAs?: string;
  readonly role: Role;
  readonly composition: Composition;
  /** Grams of water that a gram takes to the reference dough, at 14 % moisture. */
  readonly absorption: Figure;
  /** The same where there is no cereal flour and this is part of the base. */
  readonly dryBaseAbsorption?: Figure | undefined;
  /** Grams in a US cup, by how it is filled; one entry under `level` where that does not matter. */
  readonly cup?: Partial<Record<Fill | 'level', Figure>>;
  /** Grams in one piece or packet. */
  readonly piece?: Figure;
  /** Share of whole grain, 0 to 1. */
  readonly whole?: number;
  /** What its proteins can build: of the flours only. */
  readonly strength?: Strength;
  readonly allergens: readonly Allergen[];
  /** Salt put in by the maker, g per 100 g. */
  readonly addedSalt?: number;
  /** Drinks over 20 to 30 minutes rather than at once. */
  readonly slow?: boolean;
  /** Not to stand in the warm: milk, egg and their like. */
  readonly perishable?: boolean;
  readonly yeast?: YeastKind;
  readonly freshMilled?: boolean;
  /** Energy of its polyols in kcal per g, where it is not that of polyols in general: erythritol 0. */
  readonly polyolEnergy?: number;
  /** Feeds no yeast, though it sweetens. */
  readonly nothingForYeast?: boolean;
  /** What it has become in its stage, where that changes what it drinks. */
  readonly state?: StuffState;
  /** Its bag, where the household tells its bags apart. */
  readonly bag?: Bag;
  /** What it costs, in the household's money per kilogram. */
  readonly pricePerKilo?: number;
}

/**
 * What a flour's proteins can build: strong holds a long kneading; weak (the old wheats, durum)
 * stretches and tears sooner; soft is pastry wheat; none has no gluten that holds.
 */
type Strength = 'strong' | 'weak' | 'soft' | 'none';
