import { kitchenFraction } from './fraction.ts';
import {
  cupMillilitres,
  tablespoonMillilitres,
  teaspoonMillilitres,
  type Measures,
} from './measures.ts';

/** Names of the measures: in full for a sentence, short for a table. */
type SpoonNames = 'full' | 'short';

const names = {
  full: { cup: 'cup', tablespoon: 'tablespoon', teaspoon: 'teaspoon', plural: 's', and: ' and ' },
  short: { cup: 'cup', tablespoon: 'tbsp', teaspoon: 'tsp', plural: '', and: ' + ' },
} as const;

/** Marks that sets of cups have. Common practice, no source. */
const cupMarks = [0, 1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4];

/** A measure in words holds what it says, to within this share: in water it is less than a point of level. */
export const saidWithin = 0.01;

/** Further off than this share it is said to be about so much. Own choice, no source. */
const aboutFrom = 0.02;

/** Most tablespoons that are added to a cup or left out of it: more is another mark's. */
const mostBeside = 4;

/** Of a cup no more than this share is left out: nobody fills it to take most of it back. Own choice. */
const mostLeftOut = 1 / 3;

/** Up to so many tablespoons are counted out by teaspoons. Own choice. */
const mostByTeaspoon = 1.5;

/** A way to measure a volume: so many cups, and so many spoons more, or less. */
interface Way {
  readonly cups: number;
  readonly tablespoons: number;
  readonly teaspoons: number;
  readonly less: boolean;
  readonly millilitres: number;
  /** How much there is to do and to mind: vessels, how often they are filled, leaving out. */
  readonly steps: number;
}

/** What one more spoon, and leaving some out, is worth beside another vessel. Own choice. */
const [perSpoon, perLess] = [0.2, 0.25];

const counting = (count: number): number => (count === 0 ? 0 : 1);

/** Every way near a volume, the simple ones first. */
function ways(
  ml: number,
  { cup, tablespoon, teaspoon }: Readonly<Record<'cup' | 'tablespoon' | 'teaspoon', number>>,
): Way[] {
  const found: Way[] = [];
  const add = (cups: number, tablespoons: number, teaspoons: number, less: boolean) => {
    const beside = tablespoons * tablespoon + teaspoons * teaspoon;
    found.push({
      cups,
      tablespoons,
      teaspoons,
      less,
      millilitres: cups * cup + (less ? -beside : beside),
      steps:
        counting(cups) +
        counting(tablespoons) +
        counting(teaspoons) +
        perSpoon * (tablespoons + teaspoons) +
        (less ? perLess : 0),
    });
  };
  const whole = Math.floor(ml / cup);
  const marks = [...cupMarks.map((m) => whole + m), whole + 1].filter(
    (m) =>
      Math.abs(ml - m * cup) <= mostBeside * tablespoon && m * cup - ml <= mostLeftOut * m * cup,
  );
  // So many cups that a spoon is lost in them.
  if (marks.length === 0) add(Math.round(ml / cup), 0, 0, false);
  for (const mark of marks) {
    const rest = Math.abs(ml - mark * cup);
    const less = ml < mark * cup;
    add(mark, 0, 0, false);
    // Below a whole tablespoon, teaspoons are what a drawer has.
    if (rest >= tablespoon * 0.9) add(mark, Math.round((2 * rest) / tablespoon) / 2, 0, less);
    // Two parts at most, as one says them aloud, the second in whole or half spoons; alone, a teaspoon has quarters.
    if (mark > 0) {
      if (rest < mostByTeaspoon * tablespoon)
        add(mark, 0, Math.round((2 * rest) / teaspoon) / 2, less);
      continue;
    }
    const spoons = Math.floor(rest / tablespoon);
    const parts = spoons === 0 ? 4 : 2;
    add(0, spoons, Math.round((parts * (rest - spoons * tablespoon)) / teaspoon) / parts, less);
  }
  return found.filter((w) => w.millilitres > 0).sort((a, b) => a.steps - b.steps);
}

/**
 * A volume in the household's cups and spoons, in words: the simplest way that holds what it says within a
 * hundredth, or else the nearest that there is.
 *
 * @param ml 0 or more
 * @example spoonsInWords(15, defaultMeasures) // '1 tablespoon'
 * @example spoonsInWords(222, defaultMeasures) // '1 cup less 1 tablespoon'
 */
export function spoonsInWords(ml: number, measures: Measures, as: SpoonNames = 'full'): string {
  const say = names[as];
  const counted = (count: number, of: 'cup' | 'tablespoon' | 'teaspoon'): string => {
    const plural = count > 1 ? (of === 'cup' ? 's' : say.plural) : '';
    return `${kitchenFraction(count)} ${say[of]}${plural}`;
  };
  const size = {
    cup: cupMillilitres[measures.cup],
    tablespoon: tablespoonMillilitres[measures.tablespoon],
    teaspoon: teaspoonMillilitres[measures.tablespoon],
  };
  if (ml < size.teaspoon / 16) return 'less than a pinch';
  if (ml < size.teaspoon / 6) return 'a pinch';
  const near = ways(Math.max(ml, size.teaspoon / 4), size);
  const error = (way: Way) => Math.abs(way.millilitres - ml);
  const best =
    near.find((way) => error(way) <= saidWithin * ml) ??
    near.reduce((least, way) => (error(way) < error(least) ? way : least));
  const { cups, tablespoons, teaspoons, less } = best;
  const cup = cups > 0 ? counted(cups, 'cup') : '';
  const beside = [
    tablespoons > 0 ? counted(tablespoons, 'tablespoon') : '',
    teaspoons > 0 ? counted(teaspoons, 'teaspoon') : '',
  ]
    .filter(Boolean)
    .join(say.and);
  const said = [cup, beside].filter(Boolean).join(less ? ' less ' : say.and);
  return error(best) > aboutFrom * ml ? `about ${said}` : said;
}
