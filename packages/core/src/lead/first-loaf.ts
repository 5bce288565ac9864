import { sumGrams } from '../quantity/sum-grams.ts';
import { resolve } from '../formula/resolve.ts';
import type { Formula } from '../formula/formula.ts';
import { cataloguePantry, type Pantry } from '../ingredient/pantry.ts';
import type { Role } from '../ingredient/role.ts';
import { inTin } from '../style/in-tin.ts';
import { styles } from '../style/style.ts';
import { usualShaping } from '../process/shaping.ts';
import type { Task } from '../schedule/task.ts';

/** Something to have in the house before a first loaf. */
interface ToBuy {
  readonly name: string;
  readonly grams: number;
  /** As shops have it. */
  readonly pack?: string;
}

/** How shops pack things, by role. Common practice, no source. */
const packs: Partial<Record<Role, string>> = {
  flour: 'a bag of a kilo; “strong” or “bread” on it where the name says so',
  leaven: 'a packet of 7 g',
  salt: 'any fine salt',
  fat: 'whatever you have',
  sugar: 'whatever you have',
  liquid: 'a carton',
};

/**
 * What a first loaf is made of, as it is bought: each thing once, the heaviest first. Water is not bought.
 *
 * @example toBuy(formula).map((b) => b.name)[0] // 'strong bread flour'
 */
export function toBuy(formula: Formula, pantry: Pantry = cataloguePantry): ToBuy[] {
  const lines = resolve(formula, pantry).filter((l) => l.grams > 0 && l.of.id !== 'water');
  const names = [...new Set(lines.map((l) => l.of.name))];
  return names
    .map((name): ToBuy => {
      const own = lines.filter((l) => l.of.name === name);
      const pack = packs[own[0]!.of.role];
      return { name, grams: sumGrams(own), ...(pack ? { pack } : {}) };
    })
    .sort((a, b) => b.grams - a.grams);
}

/**
 * What is needed in the hand for a bread that is made in a bowl.
 *
 * @example toHave(formula)[0] // 'a kitchen scale'
 */
export function toHave({ style, pieces = 1 }: Pick<Formula, 'style' | 'pieces'>): string[] {
  const { stands } = styles[style];
  const { form } = usualShaping({ style, pieces });
  const vessel =
    stands === 'pot'
      ? 'a heavy pot with a lid that may go into the oven'
      : stands === 'steamer'
        ? 'a wide pot with a lid, and a rack that stands in it above the water'
        : inTin(style, form)
          ? 'a loaf tin of about 1.8 litres, oiled'
          : 'a baking tray and paper for it';
  return [
    'a kitchen scale',
    'a large bowl and a cloth',
    vessel,
    'a probe thermometer, if there is one',
    'oven gloves and a rack',
  ];
}

/** Minutes from the scale to the cut loaf, of which hands are wanted for so many. */
interface DayOf {
  readonly minutes: number;
  readonly hands: number;
}

/**
 * How long a bread takes, and how much of that somebody works.
 *
 * @param tasks in the order of work; an oven heats beside them
 * @example dayOf(breadTasks(bread, rises).tasks).minutes // 285
 */
export function dayOf(tasks: readonly Task[]): DayOf {
  const chain = tasks.filter((t) => t.kind !== 'heat');
  const hands = tasks.reduce((sum, t) => {
    if (t.attended === 'all') return sum + t.usual;
    if (t.attended === 'none') return sum;
    return sum + t.hands * (t.attended === 'ends' ? 2 : 1);
  }, 0);
  return { minutes: chain.reduce((sum, t) => sum + t.usual, 0), hands };
}
