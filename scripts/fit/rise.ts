/**
 * `npm run fit:rise`: fits the rise model's figures jointly on customary rises, and prints them with what
 * each anchor then says. A figure is pulled to what it was by its spread; an anchor pulls where the model
 * leaves the inner part of its span. Nothing is written: what is taken over is taken by hand into
 * packages/core/src/coefficients/rise-figures.ts, all of it.
 *
 * Source of the method: the simplex of Nelder & Mead 1965, from memory.
 */
import { riseFigures, type RiseFigure, type RiseFigures } from '@tender-crumb/core/coefficients';
import {
  anchors as first,
  laterAnchors,
  usualRise,
} from '../../packages/core/test/ferment/anchors.ts';

const anchors = [...first, ...laterAnchors];
const keys = Object.keys(riseFigures) as RiseFigure[];
/** What may fall below nothing is fitted as it is, the rest by its logarithm. */
const plain = (key: RiseFigure): boolean => riseFigures[key].least < 0;
const start = keys.map((key) =>
  plain(key) ? riseFigures[key].value : Math.log(riseFigures[key].value),
);
const spread = keys.map((key) =>
  plain(key) ? riseFigures[key].sd : riseFigures[key].sd / riseFigures[key].value,
);

const figuresAt = (at: readonly number[]): RiseFigures =>
  Object.fromEntries(
    keys.map((key, i) => {
      const { least, most } = riseFigures[key];
      const value = Math.min(most, Math.max(least, plain(key) ? at[i]! : Math.exp(at[i]!)));
      return [key, { ...riseFigures[key], value }];
    }),
  ) as unknown as RiseFigures;

/** Part of an anchor's span, about its middle, inside which it pulls not at all. */
const inner = 0.7;

function cost(at: readonly number[]): number {
  const model = { ...usualRise, figures: figuresAt(at) };
  const pulled = anchors.reduce((sum, { low, high, got }) => {
    const half = Math.log(high / low) / 2;
    const off = Math.abs(Math.log(got(model) / Math.sqrt(low * high))) / half - inner;
    return sum + Math.max(0, off) ** 2;
  }, 0);
  return 10 * pulled + at.reduce((sum, x, i) => sum + ((x - start[i]!) / (2 * spread[i]!)) ** 2, 0);
}

/** The simplex walks downhill until it is small. */
function simplex(from: readonly number[], rounds: number): number[] {
  const points = [
    from,
    ...from.map((_, i) => from.map((x, j) => (i === j ? x + spread[i]! : x))),
  ].map((at) => ({ at: [...at], of: cost(at) }));
  const along = (a: readonly number[], b: readonly number[], t: number) =>
    a.map((x, i) => x + t * (b[i]! - x));
  const tried = (at: number[]) => ({ at, of: cost(at) });
  for (let round = 0; round < rounds; round += 1) {
    points.sort((a, b) => a.of - b.of);
    const worst = points.at(-1)!;
    const centre = from.map(
      (_, i) => points.slice(0, -1).reduce((sum, p) => sum + p.at[i]!, 0) / (points.length - 1),
    );
    const back = tried(along(worst.at, centre, 2));
    if (back.of < points[0]!.of) {
      const further = tried(along(worst.at, centre, 3));
      points[points.length - 1] = further.of < back.of ? further : back;
    } else if (back.of < points.at(-2)!.of) points[points.length - 1] = back;
    else {
      const inwards = tried(along(worst.at, centre, 0.5));
      if (inwards.of < worst.of) points[points.length - 1] = inwards;
      else points.forEach((p, i) => i > 0 && (points[i] = tried(along(points[0]!.at, p.at, 0.5))));
    }
  }
  return points.sort((a, b) => a.of - b.of)[0]!.at;
}

const rounds = Number(process.argv[2] ?? 1500);
const best = simplex(start, rounds);
const model = { ...usualRise, figures: figuresAt(best) };
console.log(`cost ${cost(start).toFixed(2)} → ${cost(best).toFixed(2)}`);
for (const key of keys) {
  const { value, sd } = riseFigures[key];
  const now = model.figures[key].value;
  console.log(
    `  ${key.padEnd(18)} ${value} → ${Number(now.toPrecision(4))}  (${((now - value) / sd).toFixed(1)} sd)`,
  );
}
for (const { what, low, high, got } of anchors) {
  const [was, now] = [got(usualRise), got(model)];
  const in_ = now >= low && now <= high ? '  ' : '**';
  console.log(`${in_} ${what.padEnd(82)} ${low} to ${high}: ${was.toFixed(2)} → ${now.toFixed(2)}`);
}
