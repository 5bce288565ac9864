import { curveBasisClosed, line } from 'd3-shape';
import { scaleLinear } from 'd3-scale';

/** A dough in the bowl as it moves: half its width and its height in the drawing's units, by its level. */
const width = scaleLinear().domain([-12, 0, 8, 16]).range([44, 50, 66, 84]).clamp(true);
const tall = scaleLinear().domain([-12, 0, 8, 16]).range([62, 56, 36, 15]).clamp(true);
/** A tight dough turns as one piece and jumps; a loose one lags behind the paddle and runs. */
const sway = scaleLinear().domain([-12, 0, 8, 16]).range([3, 5, 8, 5]).clamp(true);
const rough = scaleLinear().domain([-12, -4, 0]).range([0.3, 0.12, 0]).clamp(true);

const points = 40;
const outline = line()
  .x(([x]) => x)
  .y(([, y]) => y)
  .curve(curveBasisClosed);

/** Ground that it stands on, and the middle, in the drawing's units. */
export const ground = 150;
export const middle = 130;
/** Turns of the paddle a second. */
const turns = 0.9;

/** The outline of a kneaded dough at a moment, seconds. */
export function kneadedOutline(level: number, at: number): string {
  const [w, h, s, r] = [width(level), tall(level), sway(level), rough(level)];
  const turn = at * turns * 2 * Math.PI;
  const jump = level < -6 ? 5 * Math.max(0, Math.sin(turn * 2)) ** 6 : 0;
  return (
    outline(
      Array.from({ length: points }, (_, i) => {
        const angle = (i / points) * 2 * Math.PI;
        const lump = 1 + r * Math.sin(3 * angle + turn) + 0.03 * Math.sin(7 * angle - 2 * turn);
        const wave = level > 4 ? (level - 4) * 0.25 * Math.sin(5 * angle - 3 * turn) : 0;
        const y = Math.sin(angle) * h * lump;
        const x = Math.cos(angle) * w * lump + s * Math.sin(turn) * (0.4 + Math.max(0, y) / h);
        return [middle + x, Math.min(ground, ground - h * 0.72 - y + wave - jump)];
      }),
    ) ?? ''
  );
}

/** A shaped loaf after it was poked: the dent comes back as it would, by how ripe it is, 1 being ripe. */
export function pokedOutline(ripe: number, at: number): string {
  const h = 34 + 46 * Math.min(1.35, ripe);
  const w = 86;
  // In every four seconds a finger goes in, and the dough answers.
  const since = (at % 4) - 0.6;
  const speed = ripe < 0.7 ? 7 : ripe < 0.88 ? 3 : ripe < 1.12 ? 0.9 : 0.12;
  const left = ripe < 0.88 ? 0 : ripe < 1.12 ? 0.3 : 0.85;
  const dent =
    since < 0 ? Math.max(0, 1 + since / 0.5) : left + (1 - left) * Math.exp(-since * speed);
  const sag = ripe > 1.25 ? 6 : 0;
  return (
    outline(
      Array.from({ length: points }, (_, i) => {
        const angle = (i / points) * 2 * Math.PI;
        const [x, y] = [Math.cos(angle) * w, Math.max(0, Math.sin(angle)) * h];
        const near = Math.exp(-((x / 15) ** 2)) * (y > h * 0.5 ? 1 : 0);
        return [
          middle + x,
          Math.min(ground, ground - y + near * dent * 22 + (y > h * 0.8 ? sag : 0)),
        ];
      }),
    ) ?? ''
  );
}
