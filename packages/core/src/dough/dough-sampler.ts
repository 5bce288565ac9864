import { drynessOf, isDryStuff, isFlour, partOfBase } from '../formula/base.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import type { Belief } from '../belief/belief.ts';
import { doughModel } from './dough-model.ts';
import type { Kitchen } from '../belief/kitchen.ts';
import { ordinaryMoisture } from './moisture.ts';
import { ownPoints } from './own-points.ts';
import { pastTouchDoubt } from './past-touch.ts';
import { parametersOf, type Channel, type Parameter } from './parameter.ts';

/** Where a channel's column begins in what a draw moves, in lines. */
const columnOf: Readonly<Record<Channel, number>> = {
  absorption: 0,
  softening: 1,
  moisture: 2,
  fill: 3,
  mass: 4,
  level: 5,
  air: 6,
};
const columns = Object.keys(columnOf).length;

/** Lower triangle of a covariance's square root. Source: Cholesky's decomposition. */
function squareRoot(covariance: readonly (readonly number[])[]): number[][] {
  const root: number[][] = [];
  covariance.forEach((row, i) => {
    root.push([]);
    for (let j = 0; j <= i; j += 1) {
      let rest = row[j]!;
      for (let k = 0; k < j; k += 1) rest -= root[i]![k]! * root[j]![k]!;
      root[i]!.push(
        i === j ? Math.sqrt(Math.max(rest, 0)) : root[j]![j]! > 0 ? rest / root[j]![j]! : 0,
      );
    }
  });
  return root;
}

/** Covariance of parameters: as believed where bakes taught it, else each by itself. */
const covarianceOf = (parameters: readonly Parameter[], belief: Belief): number[][] => {
  const places = parameters.map((p) => (p.learned ? belief.keys.indexOf(p.key) : -1));
  return parameters.map((p, i) =>
    places.map((b, j) => {
      const a = places[i]!;
      if (a >= 0 && b >= 0) return belief.covariance[a]![b]!;
      return i === j ? p.prior ** 2 : 0;
    }),
  );
};

/** Columns of a dough, a number a line. */
function columnsOf(lines: readonly ResolvedLine[], kitchen: Kitchen) {
  const model = doughModel(lines, kitchen);
  const { forms } = model;
  const column = (of: (form: (typeof forms)[number]) => number) => Float64Array.from(forms, of);
  return {
    model,
    grams: column((f) => f.line.grams),
    brings: column((f) => f.brings),
    softens: column((f) => f.softens),
    /** Absorption in a wheat bread as believed, and what a dry base makes of it. */
    absorption: column((f) => f.believed - model.base.dryness * f.perDryness),
    perDryness: column((f) => f.perDryness),
    drinks: Uint8Array.from(forms, (f) => Number(f.absorption.value > 0)),
    moisture: column((f) => f.moisture),
    drawn: column((f) => f.drawn),
    flour: Uint8Array.from(forms, (f) => Number(isFlour(f.line))),
    dry: Uint8Array.from(forms, (f) => Number(isDryStuff(f.line))),
    base: column((f) => partOfBase(f.line, model.base)),
  };
}

/**
 * Draws a dough from everything that is not surely known of it. Not linear: masses and absorptions never fall
 * below nothing, and a base that varies divides.
 */
export class DoughSampler {
  readonly parameters: readonly Parameter[];
  /** The standard normal behind each parameter in the last draw. */
  readonly z: Float64Array;
  readonly #columns: ReturnType<typeof columnsOf>;
  readonly #root: readonly (readonly number[])[];
  readonly #sds: Float64Array;
  /** Parameters that learned ties bind: the first ones, by the order of their kinds. */
  readonly #tied: number;
  readonly #raw: Float64Array;
  readonly #value: Float64Array;
  /** What the draw moves, by channel and line. */
  readonly #shift: Float64Array;
  readonly #moveOf: Uint16Array;
  readonly #moveTo: Uint32Array;
  readonly #mixed: boolean;
  readonly #mass: Float64Array;
  readonly #own: number;

  constructor(lines: readonly ResolvedLine[], kitchen: Kitchen) {
    const own = columnsOf(lines, kitchen);
    const { forms } = own.model;
    this.#columns = own;
    this.#own = ownPoints(kitchen);
    this.parameters = parametersOf(forms, kitchen);
    this.#tied = this.parameters.filter((p) => p.learned).length;
    this.#root = squareRoot(covarianceOf(this.parameters.slice(0, this.#tied), kitchen.belief));
    this.#sds = Float64Array.from(this.parameters, ({ prior }, i) =>
      i < this.#tied ? Math.hypot(...this.#root[i]!) : prior,
    );
    const count = this.parameters.length;
    this.z = new Float64Array(count);
    this.#raw = new Float64Array(count);
    this.#value = new Float64Array(count);
    this.#shift = new Float64Array(columns * forms.length);
    const moves = this.parameters.flatMap(({ channel, moves }, i) =>
      moves.map((line) => [i, columnOf[channel] * forms.length + line] as const),
    );
    this.#moveOf = Uint16Array.from(moves, ([of]) => of);
    this.#moveTo = Uint32Array.from(moves, ([, to]) => to);
    this.#mixed = own.dry.includes(1) && own.flour.includes(1);
    this.#mass = new Float64Array(forms.length);
  }

  /** Whether there is anything to stand on. */
  get hasBase(): boolean {
    return this.#columns.model.base.grams > 0;
  }

  /** Level of one dough that this one may be, in points. */
  draw(normal: () => number): number {
    this.#drawParameters(normal);
    this.#drawMasses();
    const points = this.#levelOf(this.#dryness());
    const doubt = pastTouchDoubt(points);
    return doubt > 0 ? points + doubt * normal() : points;
  }

  #drawParameters(normal: () => number): void {
    const [z, raw, value, sds] = [this.z, this.#raw, this.#value, this.#sds];
    for (let i = 0; i < raw.length; i += 1) raw[i] = normal();
    for (let i = 0; i < raw.length; i += 1) {
      if (i >= this.#tied) {
        z[i] = raw[i]!;
        value[i] = sds[i]! * raw[i]!;
        continue;
      }
      const row = this.#root[i]!;
      let drawn = 0;
      for (let j = 0; j <= i; j += 1) drawn += row[j]! * raw[j]!;
      value[i] = drawn;
      z[i] = sds[i]! > 0 ? drawn / sds[i]! : 0;
    }
    const [shift, of, to] = [this.#shift, this.#moveOf, this.#moveTo];
    shift.fill(0);
    for (let k = 0; k < of.length; k += 1) shift[to[k]!]! += value[of[k]!]!;
  }

  #drawMasses(): void {
    const { grams } = this.#columns;
    const [mass, shift, count] = [this.#mass, this.#shift, grams.length];
    const [mass0, fill0] = [columnOf.mass * count, columnOf.fill * count];
    for (let i = 0; i < count; i += 1) {
      const drawn = (grams[i]! + shift[mass0 + i]!) * (1 + shift[fill0 + i]!);
      mass[i] = drawn > 0 ? drawn : 0;
    }
  }

  #dryness(): number {
    const { flour, dry, model } = this.#columns;
    if (!this.#mixed) return model.base.dryness;
    let [ofFlour, ofDry] = [0, 0];
    for (let i = 0; i < flour.length; i += 1) {
      if (flour[i]) ofFlour += this.#mass[i]!;
      else if (dry[i]) ofDry += this.#mass[i]!;
    }
    return drynessOf(ofFlour, ofDry).value;
  }

  #levelOf(dryness: number): number {
    const { brings, softens, absorption, perDryness, drinks, moisture, drawn, flour, dry, model } =
      this.#columns;
    const [mass, shift, count] = [this.#mass, this.#shift, this.#mass.length];
    const [absorption0, soft0, wet0, air0] = [
      columnOf.absorption * count,
      columnOf.softening * count,
      columnOf.moisture * count,
      columnOf.air * count,
    ];
    let [surplus, base] = [0, 0];
    for (let i = 0; i < count; i += 1) {
      let drunk = 0;
      if (drinks[i]) {
        drunk = absorption[i]! + dryness * perDryness[i]! + shift[absorption0 + i]!;
        if (drunk < 0) drunk = 0;
        if (flour[i]) {
          const wet = moisture[i]! + shift[wet0 + i]! + drawn[i]! * shift[air0 + i]!;
          drunk = ((1 + drunk) * (100 - wet)) / (100 - ordinaryMoisture) - 1;
        }
      }
      const soft = model.softening + shift[soft0 + i]!;
      surplus += mass[i]! * (brings[i]! + soft * softens[i]! - drunk);
      base += mass[i]! * (flour[i] ? 1 : dry[i] ? dryness : 0);
    }
    let points = (base > 0 ? (100 * surplus) / base : 0) + this.#own;
    const level0 = columnOf.level * count;
    for (let i = 0; i < count; i += 1) points += shift[level0 + i]!;
    return points;
  }
}
