import type { Kitchen } from '../belief/kitchen.ts';
import { isPouredWater } from '../formula/poured-water.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import type { Window } from '../style/style.ts';
import { level } from './level.ts';
import { thickenerOf } from './thickener.ts';
import { outside } from './window.ts';

/** How much of one thing leaves a dough where it should be, all else as it stands. */
export interface Room {
  readonly line: string;
  /** Whole grams, least and most: both inside the window. */
  readonly from: number;
  readonly to: number;
}

/** A level is met where it is as near as this, points; so many steps are never needed. */
const met = 1e-5;
const mostSteps = 40;
const hair = 0.02;
/** So much more than what stands there is looked at, at the most. Own choice, no source. */
const reach = 1.8;

/**
 * The grams at which a level that moves one way passes a point; undefined where it does not within the span.
 *
 * Source: false position with the weight of a stale end halved (Illinois), from memory.
 */
function passes(
  at: (grams: number) => number,
  [least, most]: readonly [number, number],
  points: number,
): number | undefined {
  let [a, b] = [least, most];
  let [fa, fb] = [at(a) - points, at(b) - points];
  if (!(fa * fb <= 0)) return undefined;
  for (let step = 0; step < mostSteps; step += 1) {
    const middle = (a * fb - b * fa) / (fb - fa);
    const f = at(middle) - points;
    if (Math.abs(f) < met || !Number.isFinite(f)) return middle;
    if (f * fb < 0) [a, fa] = [b, fb];
    else fa /= 2;
    [b, fb] = [middle, f];
  }
  return b;
}

/**
 * From how much to how much of a line the middle of the level stays in the window.
 *
 * @param lineId of what moves the level one way: flour, water
 * @returns undefined where no whole gram of it would do, or it has no weight
 * @example roomFor(lines, 'water', [-3, 5], kitchen) // {line: 'water', from: 300, to: 340}
 */
export function roomFor(
  lines: readonly ResolvedLine[],
  lineId: string,
  window: Window,
  kitchen: Kitchen,
): Room | undefined {
  const line = lines.find((l) => l.id === lineId);
  if (!line || !(line.grams > 0)) return undefined;
  const at = (grams: number) =>
    level(
      lines.map((l) => (l.id === lineId ? { ...l, grams } : l)),
      kitchen,
    )?.points ?? NaN;
  const span = [line.grams / reach, line.grams * reach] as const;
  const ends = window.map((points) => passes(at, span, points));
  const inside = (grams: number) => outside(at(grams), window) === 0;
  const [a, b] = ends.map((end, i) => end ?? (inside(span[0]) === (i === 0) ? span[0] : span[1]));
  // An end that is a whole gram is found a hair beside it.
  const [low, high] = [Math.ceil(Math.min(a!, b!) - hair), Math.floor(Math.max(a!, b!) + hair)];
  const from = inside(low) ? low : low + 1;
  const to = inside(high) ? high : high - 1;
  return from <= to && inside(from) && inside(to) ? { line: lineId, from, to } : undefined;
}

/**
 * The two things whose amount a baker fusses over: the flour that there is most of, and the water that is poured.
 *
 * @example fussedOver(lines).map((l) => l.ingredient) // ['bread-flour', 'water']
 */
export function fussedOver(lines: readonly ResolvedLine[]): ResolvedLine[] {
  const dough = lines.filter((l) => l.stageKind === 'dough' && l.grams > 0);
  const water = dough
    .filter(isPouredWater)
    .reduce<ResolvedLine | undefined>(
      (most, l) => (l.grams > (most?.grams ?? 0) ? l : most),
      undefined,
    );
  const flour = thickenerOf(dough)?.line;
  return [flour, water].filter((l): l is ResolvedLine => l !== undefined);
}
