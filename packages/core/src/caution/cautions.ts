import { capital } from '../quantity/capital.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { dryBaseStyle, styles, type StyleId } from '../style/style.ts';
import type { Kitchen } from '../belief/kitchen.ts';
import { proteinAim, strengthShares } from '../dough/strength.ts';
import { growthRate } from '../ferment/growth-rate.ts';
import { pressureAt } from '../ferment/rise.ts';
import { isFlour } from '../formula/base.ts';
import { type Totals } from '../formula/totals.ts';
import type { Eaten } from '../formula/besides.ts';
import type { Allergen } from '../ingredient/ingredient.ts';
import { hazardsOf, type Hazard } from './hazards.ts';

export interface Caution {
  readonly id: string;
  /** Names of what it is about, where it is about something: the text begins with them. */
  readonly about?: string;
  readonly text: string;
  /** In a few words, where it is true of nearly every bread: the rest is read on request. */
  readonly everyday?: string;
}

/** What a caution's condition may look at. */
interface CautionFacts {
  readonly style: StyleId;
  /** What is in the dough. */
  readonly lines: readonly ResolvedLine[];
  /** What is in the dough, on it or in its filling: all that is eaten. */
  readonly eaten: readonly Eaten[];
  /** What those of them that are something to somebody are. */
  readonly known: ReadonlyMap<Eaten, ReadonlySet<Hazard>>;
  /** What its name and its method speak of. */
  readonly said?: ReadonlySet<Hazard>;
  readonly totals: Totals;
  readonly points: number;
  readonly glutenGrams: number;
  /** Protein of the flours without the gluten added to them, g per 100 g. */
  readonly flourProtein: number;
  readonly kitchen: Pick<Kitchen, 'coefficients' | 'figures' | 'room' | 'altitude'>;
  /** Shares of the flour by what it can build. */
  readonly strength: ReturnType<typeof strengthShares>;
  /** Somebody in the household must not eat gluten. */
  readonly glutenFree?: boolean;
}

interface CautionRow {
  readonly id: string;
  /** Behind the names of what it is about, where it is about something. */
  readonly text: string | ((facts: CautionFacts) => string);
  readonly source: string;
  readonly everyday?: (facts: CautionFacts) => string;
  /** What of all that is eaten it is about; of the dough alone where it says so. */
  readonly of?: (of: Eaten, facts: CautionFacts) => boolean;
  readonly inDough?: true;
  readonly when?: (facts: CautionFacts) => boolean;
}

const holds =
  (allergen: Allergen) =>
  ({ of }: Eaten): boolean =>
    of?.allergens.includes(allergen) ?? false;
const holdsGluten = holds('gluten');
const is =
  (...hazards: readonly Hazard[]) =>
  (of: Eaten, { known }: CautionFacts): boolean =>
    known.size > 0 && hazards.some((h) => known.get(of)?.has(h));

/** Hours that perishables may stand shorten above this. Source: US food-safety guidance. */
const hotRoom = 32;
/** From here on thinner air is seen in a rise, metres. Common practice, no source. */
const highUp = 900;
const isHot = ({ kitchen }: CautionFacts): boolean => (kitchen.room.celsius ?? 0) > hotRoom;

/** Rooms below this make a rise much longer than recipes say, °C. Common practice, no source. */
const coldKitchen = 18;

/** *Most of the flour*, by mass. */
const most = 0.5;

/** Share of the flour or dry base from which fibre wants water drunk with it. Own choice, no source. */
const muchFibre = 0.05;

const standing =
  'Waiting counts: a delay, a soak, a preheat. The usual rises, up to about 3 hours, do not. For longer or overnight, keep the dough at 4 °C or below. Milk powder keeps, dry on top of the flour.';

/** General guidance that defers to local rules, makers' manuals and licensed advice. */
export const cautionTable: readonly CautionRow[] = [
  {
    id: 'gluten-in-gluten-free-house',
    text: 'gluten, which someone in this house must not eat. Spelt, einkorn, every other wheat, rye, barley and vital gluten hold it too. A shared machine, mill or board carries gluten over: use separate ones.',
    source: 'EU 1169/2011 Annex II; 21 CFR 101.91 (gluten-free: under 20 ppm)',
    of: holdsGluten,
    when: (f) => f.glutenFree === true,
  },
  {
    id: 'shared-mill',
    text: 'No ingredient here contains gluten, but a mill, machine or board used for wheat does. Flours not labelled gluten-free may contain traces.',
    source: '21 CFR 101.91 (gluten-free: under 20 ppm)',
    when: (f) => f.glutenFree === true && !f.eaten.some(holdsGluten),
  },
  {
    id: 'gluten',
    text: 'gluten. Every wheat (also spelt, einkorn, emmer, khorasan and durum), rye, barley and vital gluten is unsafe in coeliac disease or wheat allergy. Fresh-milled or ancient grain is no safer. Use only oats labelled gluten-free.',
    source: 'EU 1169/2011 Annex II; 21 CFR 101.91',
    everyday: ({ eaten }) =>
      eaten.some(holds('wheat')) ? 'Contains wheat gluten.' : 'Contains gluten.',
    of: holdsGluten,
    when: (f) => f.glutenFree !== true,
  },
  {
    id: 'perishable',
    text: `no more than 2 hours in all between 4 and 60 °C before baking, so no delay timer. ${standing}`,
    source: 'US food-safety guidance; common practice for the usual rises',
    of: ({ of }) => of?.perishable === true,
    inDough: true,
    when: (f) => !isHot(f),
  },
  {
    id: 'perishable-hot',
    text: `in a room above 32 °C, no more than 1 hour out of the fridge before baking, and no delay timer. ${standing}`,
    source: 'US food-safety guidance; common practice for the usual rises',
    of: ({ of }) => of?.perishable === true,
    inDough: true,
    when: isHot,
  },
  {
    id: 'egg-rich',
    text: 'bake to at least 71 °C in the middle; bread is done well above that. Do not taste raw dough with egg.',
    source: 'US food-safety guidance',
    of: holds('egg'),
  },
  {
    id: 'honey-infants',
    text: 'baked or not, not for children under 12 months.',
    source: 'US food-safety guidance',
    of: is('honey'),
  },
  {
    id: 'xylitol-dogs',
    text: 'kills dogs, even a little. Keep dough, bread and crumbs from them.',
    source: 'US food-safety guidance',
    of: is('xylitol'),
  },
  {
    id: 'raisins-dogs',
    text: 'harm dogs, dried or fresh, baked or not.',
    source: 'US food-safety guidance',
    of: is('grapes'),
  },
  {
    id: 'lye',
    text: 'Lye burns skin and eyes. Food grade only; goggles and gloves; lye into cold water, never water onto lye; no aluminium; children and pets out of the room. Eat what was dipped only baked through.',
    source: 'common practice; the label and local rules go before it',
    when: (f) => f.said?.has('lye') === true || f.eaten.some((e) => is('lye')(e, f)),
  },
  {
    id: 'cooked-grain',
    text: 'cool within an hour, keep in the fridge and use within a day. Kept warm, cooked grain can make you ill, and baking does not undo that.',
    source: 'UK and US food-safety guidance on cooked rice',
    of: (e, f) => is('cookedGrain')(e, f) || isCooked(e),
  },
  {
    id: 'bitter-almonds',
    text: 'contain a poison, raw ones most. Never raw, never many, never for children. Use a few drops of extract instead.',
    source: 'EFSA on cyanogenic glycosides in kernels, 2016, from memory',
    of: is('bitterAlmonds'),
  },
  {
    id: 'dogs',
    text: 'not for dogs, baked or not.',
    source: 'common practice, no source',
    of: is('onions', 'macadamia', 'cocoa'),
  },
  {
    id: 'polyols',
    text: 'polyols can upset the gut: start with small slices.',
    source: 'EU 1169/2011 Annex III',
    of: ({ of }) => (of?.composition.polyols ?? 0) > 0,
  },
  {
    id: 'fibre-water',
    text: 'drink water with so much fibre, and start with small slices: it can upset the gut.',
    source: 'common practice, no source',
    of: (eaten, f) => isFibre(eaten) && fibreShare(f) > muchFibre,
  },
  {
    id: 'carbohydrate-estimate',
    text: 'Figures for a low-carb bread are estimates. On insulin or a medical diet, follow your clinic.',
    source: 'common practice, no source',
    when: (f) => f.totals.dryBase || f.style === dryBaseStyle,
  },
  {
    id: 'high-up',
    text: ({ kitchen: { altitude = 0 } }) =>
      `At ${Math.round(altitude / 50) * 50} m the air is thinner, and the same gas takes about ${Math.round((100 * (1 / pressureAt(altitude) - 1)) / 5) * 5} % more room, so the dough rises sooner. Use that much less yeast, or look earlier.`,
    source: 'pressure of the standard atmosphere (ICAO); the rise by the rise model',
    when: ({ kitchen: { altitude = 0 }, lines }) =>
      altitude >= highUp &&
      lines.some((l) => (l.of.yeast || l.stageKind === 'starter') && l.grams > 0),
  },
  {
    id: 'cold-kitchen',
    text: ({ kitchen: { room, coefficients } }) =>
      `In a kitchen of ${Math.round(room.celsius!)} °C the dough rises for about ${(growthRate(coefficients.usualRoom.value) / growthRate(room.celsius!)).toFixed(1)} times as long as at ${coefficients.usualRoom.value} °C. Warm the water, or give it time. More yeast is not the answer.`,
    source: 'growth of yeast after Rosso 1993 and Salvadó 2011, from memory',
    when: ({ kitchen: { room }, lines }) =>
      room.celsius !== undefined &&
      room.celsius > 2 &&
      room.celsius < coldKitchen &&
      lines.some((l) => l.of.yeast || l.stageKind === 'starter'),
  },
  {
    id: 'rubbery-gluten',
    text: ({ kitchen }) =>
      `Gluten above ${kitchen.coefficients.glutenMost.value} % of the flour turns a wheat bread rubbery.`,
    source: 'common practice, no source',
    when: (f) =>
      !f.totals.dryBase &&
      100 * f.glutenGrams > f.kitchen.coefficients.glutenMost.value * f.totals.flourGrams,
  },
  {
    id: 'needless-gluten',
    text: 'These flours are strong enough. Extra gluten makes the loaf tougher, not higher.',
    source: 'common practice, no source',
    when: (f) =>
      !f.totals.dryBase &&
      f.glutenGrams > 0 &&
      f.flourProtein >=
        proteinAim(f.style, f.totals, f.kitchen) - f.kitchen.coefficients.leastShortfall.value,
  },
  {
    id: 'no-gluten-grains',
    text: 'Most of this flour cannot build gluten. The dough traps less gas than wheat, and kneading does not help. Neither does added gluten.',
    source: 'common practice, no source',
    // Who bakes rye, or without gluten grains, has said so.
    when: (f) => !f.totals.dryBase && f.strength.none > most && !styles[f.style].littleGluten,
  },
  {
    id: 'raw-flour',
    text: 'Do not eat raw flour or raw dough, and keep it from dogs: it rises in the stomach.',
    source: 'US food-safety guidance',
    everyday: () => 'Don’t eat raw dough.',
  },
  {
    id: 'machine-too-loose',
    text: 'This dough is too loose for a bread machine, where it must form a ball. Use your hands and a tin, or hold water back.',
    source: 'common practice, no source',
    when: (f) => styles[f.style].machine && f.points > f.kitchen.coefficients.machineLoosest.value,
  },
  {
    id: 'soft-wheat',
    text: 'Most of this flour is soft or ancient wheat. Long kneading tears it, and added gluten does not help. Mix for a short time and use a tin.',
    source: 'common practice, no source',
    when: (f) => !f.totals.dryBase && f.strength.weak + f.strength.soft > most,
  },
];

/** Grain, not flour, that was cooked. */
const isCooked = (e: Eaten): boolean => e.of?.state === 'cooked' && e.of.role === 'grain';
const isFibre = ({ of }: Eaten): boolean => of?.role === 'fibre';
const fibreShare = ({ lines, totals }: CautionFacts): number =>
  sumGrams(lines.filter(isFibre)) / totals.flourGrams;

function flourProtein(lines: readonly ResolvedLine[]): number {
  const flours = lines.filter(isFlour);
  const grams = sumGrams(flours);
  const protein = flours.reduce((sum, l) => sum + l.grams * l.of.composition.protein, 0);
  return grams > 0 ? protein / grams : 0;
}

/** Names of what a caution is about, each once: "whole milk, egg and honey". */
function namesOf(eaten: readonly Eaten[]): string {
  const names = [...new Set(eaten.map(({ of, asWritten }) => of?.name ?? asWritten ?? ''))];
  const last = names.pop() ?? '';
  return names.length > 0 ? `${names.join(', ')} and ${last}` : last;
}

function knownOf(eaten: readonly Eaten[]): Map<Eaten, ReadonlySet<Hazard>> {
  const known = new Map<Eaten, ReadonlySet<Hazard>>();
  for (const one of eaten) {
    const is = hazardsOf(one);
    if (is.size > 0) known.set(one, is);
  }
  return known;
}

/**
 * The cautions that a formula calls for, in the table's order, each with what it is about.
 *
 * @param besides what goes on the bread or into its filling
 */
export function cautions(
  lines: readonly ResolvedLine[],
  facts: Omit<
    CautionFacts,
    'lines' | 'eaten' | 'known' | 'glutenGrams' | 'flourProtein' | 'strength'
  >,
  besides: readonly Eaten[] = [],
): Caution[] {
  const present = lines.filter((l) => l.grams > 0);
  const eaten: readonly Eaten[] = [...present, ...besides];
  const all: CautionFacts = {
    ...facts,
    glutenGrams: lines.reduce((g, l) => g + (l.of.role === 'gluten' ? l.grams : 0), 0),
    flourProtein: flourProtein(lines),
    strength: strengthShares(lines),
    lines: present,
    eaten,
    known: knownOf(eaten),
  };
  return cautionTable.flatMap(({ id, text, everyday, of, inDough, when }): Caution[] => {
    if (when && !when(all)) return [];
    const says = typeof text === 'string' ? text : text(all);
    const short = everyday ? { everyday: everyday(all) } : {};
    if (!of) return [{ id, text: says, ...short }];
    const about = (inDough ? all.lines : all.eaten).filter((e) => of(e, all));
    if (about.length === 0) return [];
    const names = capital(namesOf(about));
    return [{ id, about: names, text: `${names}: ${says}`, ...short }];
  });
}
