import type { BakeEvent } from '@tender-crumb/core/bake';
import { evaluate } from '@tender-crumb/core/evaluate';
import { measuringMethods, type Formula } from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { figureGroups } from '@tender-crumb/core/coefficients';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { catalogue, grindIds } from '@tender-crumb/core/ingredient';
import { learnFromBake } from '@tender-crumb/core/learn';
import { defaultMeasures } from '@tender-crumb/core/quantity';
import { readRecipe } from '@tender-crumb/core/reader';
import { styleIds } from '@tender-crumb/core/style';
import { seeded } from './seeded.ts';

const names = catalogue.flatMap((i) => [i.name, ...i.aliases]);
const amounts = [
  ...['1', '2 1/2', '½', '500', '0', '1-2', 'about 3', '1,5', '99999', '-4', 'a', '', '1/0'],
  ...['1e308', '0.001', '1.000', '½½', '9'.repeat(21), '½ - ', '100000', '(', '[[', '3 (', '٣'],
];
const units = [
  ...['g', 'kg', 'cups', 'tbsp', 'tsp', 'ml', 'oz', 'lb', 'packet', 'pinch', '', 'blorps'],
  ...['mg', 'T', 'stick', '%'],
];
const headings = ['Poolish:', 'Starter', 'For the soaker', 'Dough:', '# A loaf', '', ':', '()'];
const flours = catalogue.filter((i) => i.role === 'flour');
const figures = figureGroups(catalogue, {}).flatMap((g) => g.rows);

/** Where a value holds a number that is none, as paths; state tables end at infinity by design. */
function notNumbers(value: unknown, path: string, found: string[]): void {
  if (typeof value === 'number') {
    if (!Number.isFinite(value)) found.push(path);
  } else if (value instanceof Map) {
    for (const [key, part] of value) notNumbers(part, `${path}<${String(key)}>`, found);
  } else if (value && typeof value === 'object') {
    for (const [key, part] of Object.entries(value)) notNumbers(part, `${path}.${key}`, found);
  }
}

/** What became of inputs of any shape. */
export interface Tried {
  readonly judged: number;
  readonly learned: number;
  readonly exceptions: readonly string[];
  readonly notFinite: readonly string[];
}

/** Texts, formulas, households and bakes of any shape, from a seed. */
class AnyInput {
  readonly #random: ReturnType<typeof seeded>;

  constructor(seed: number) {
    this.#random = seeded(seed);
  }

  pick<T>(from: readonly T[]): T {
    return from[Math.floor(this.#random.uniform() * from.length)]!;
  }

  chance(share: number): boolean {
    return this.#random.uniform() < share;
  }

  many<T>(most: number, make: () => T): T[] {
    return Array.from({ length: Math.floor(this.#random.uniform() * most) }, make);
  }

  text(): string {
    return this.many(14, () => this.#line()).join(this.pick(['\n', '\r\n', '\r']));
  }

  #line(): string {
    const measure = () => `${this.pick(amounts)} ${this.pick(units)}`;
    if (this.chance(0.06)) return this.pick(headings);
    if (this.chance(0.1)) {
      const letter = () => Math.floor(this.#random.uniform() * (this.chance(0.7) ? 127 : 0xd7ff));
      return String.fromCodePoint(...this.many(30, letter));
    }
    if (this.chance(0.05)) return `${measure()} starter (${this.pick(amounts)} % hydration)`;
    return `${measure()} ${this.pick(names)}${this.chance(0.2) ? ` (${measure()})` : ''}`;
  }

  /** What was read, with weights, bags and corrections that nobody would write. */
  bent(formula: Formula): Formula {
    const grams = [0, 0.01, 0.02, 100_000, 1e-9, 5e-324];
    const changes = () => ({
      stage: this.pick(formula.stages).id,
      ingredient: this.pick(catalogue).id,
      grams: this.pick([-100_000, 100_000, 0, 5, -5]),
    });
    return {
      ...formula,
      stages: formula.stages.map((stage) => ({
        ...stage,
        lines: stage.lines.map((line) => ({
          ...line,
          ...(this.chance(0.1) ? { grams: this.pick(grams) } : {}),
          ...(this.chance(0.2) ? { measured: this.pick(measuringMethods) } : {}),
          ...(this.chance(0.1) ? { spread: this.pick([0, 1, 0.4]) } : {}),
          ...(this.chance(0.1) ? { countsAsFlour: this.chance(0.5) } : {}),
          ...(this.chance(0.3) ? { bag: this.pick(['b0', 'b1', 'none']) } : {}),
        })),
      })),
      taken: this.chance(0.3)
        ? [{ id: 't1', correction: 'w', reason: '', basis: '', changes: [changes(), changes()] }]
        : [],
    };
  }

  household(): Household {
    const set = this.many(6, () => {
      const row = this.pick(figures);
      return [row.key, this.pick([row.least, row.most, row.value])] as const;
    });
    const bag = (id: string) => ({
      id,
      name: id,
      ingredient: this.pick(flours).id,
      grind: this.pick(grindIds),
      extraction: this.pick([0.6, 1]),
      protein: this.pick([4, 25, undefined]),
      moisture: this.pick([4, 20, undefined]),
      openedOn: this.pick(['2026-02-30', '2026-01-01', '9999-12-31', 'x', undefined]),
    });
    return {
      ...defaultHousehold,
      figures: Object.fromEntries(set),
      bags: [bag('b0'), bag('b1')],
      today: this.pick(['2026-05-01', 'nonsense']),
      room: {
        celsius: this.pick([-10, 60, undefined]),
        humidity: this.pick([0, 1, undefined]),
      },
    };
  }

  events(formula: Formula): BakeEvent[] {
    const ids = ['stage:s1', 'l1', ...formula.stages.flatMap((s) => s.lines.map((l) => l.id))];
    const data = [
      () => ({ kind: 'felt', data: { points: this.pick([-40, 40, 3]), rested: this.chance(0.5) } }),
      () => ({
        kind: 'added',
        data: { ingredient: this.pick(catalogue).id, grams: this.pick([0.1, 2000]) },
      }),
      () => ({
        kind: 'weighed',
        data: { item: this.pick(ids), grams: this.pick([0, 0.01, 100_000]), byScale: true },
      }),
    ];
    return this.many(7, () => this.pick(data)()).map((event, i) => ({
      id: `e${i}`,
      at: `2026-05-01T08:0${i}:00Z`,
      ...event,
    })) as BakeEvent[];
  }
}

/** Sends inputs of any shape through reader, evaluation and learning. */
export function tryAnyInput(count: number, seed: number): Tried {
  const any = new AnyInput(seed);
  const exceptions: string[] = [];
  const notFinite: string[] = [];
  let [judged, learned] = [0, 0];
  let carried = nothingLearned;
  for (let n = 0; n < count; n += 1) {
    const text = any.text();
    const found: string[] = [];
    try {
      const formula = any.bent(
        readRecipe(text, { measures: defaultMeasures, style: any.pick(styleIds) }).formula,
      );
      const household = any.household();
      const evaluation = evaluate(formula, household, carried);
      if (evaluation) {
        judged += 1;
        notNumbers({ ...evaluation, state: undefined }, 'evaluation', found);
      }
      const lesson = learnFromBake(formula, any.events(formula), household, carried);
      if (lesson) {
        learned += 1;
        notNumbers(lesson, 'lesson', found);
      }
      carried = n % 20 === 0 ? nothingLearned : (lesson?.belief ?? carried);
      if (found.length > 0) notFinite.push(`${found.join(' ')} of ${JSON.stringify(formula)}`);
    } catch (fault) {
      exceptions.push(`${(fault as Error).message} of ${JSON.stringify(text)}`);
      carried = nothingLearned;
    }
  }
  return { judged, learned, exceptions, notFinite };
}
