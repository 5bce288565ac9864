import type { Draws } from './random.ts';

/** What a drawn loaf shows. */
export interface Drawn {
  /** Height beside the usual, 1 where it is that. */
  readonly height: number;
  /** How far outside its window it was, points: negative dense, positive spread. */
  readonly off: number;
  readonly dark: boolean;
}

/**
 * A slice of a loaf, drawn: plainly a drawing, as the household keeps none of real ones. SVG, 640 × 440.
 *
 * @param draws its pores are never the same twice
 */
export function loafDrawing({ height, off, dark }: Drawn, draws: Draws): string {
  const tall = Math.max(90, Math.min(250, 180 * height - (off > 0 ? 7 * off : 0)));
  const wide = 190 + (off > 0 ? 8 * off : 0);
  const [middle, ground] = [320, 360];
  const crust = dark ? '#7a4a1f' : '#a8702f';
  const crumb = dark ? '#d8b98a' : '#f0e0bd';
  const top = ground - tall;
  const pores = Array.from({ length: 150 }, () => {
    const x = middle + (2 * draws.uniform() - 1) * (wide - 26);
    const y = ground - 16 - draws.uniform() * (tall - 34);
    // A dense crumb has small pores, an open one a few large ones.
    const size = (off < -1 ? 1.6 : off > 1 ? 5 : 3) * (0.4 + 1.6 * draws.uniform() ** 3);
    return `<ellipse cx="${x.toFixed(0)}" cy="${y.toFixed(0)}" rx="${(size * 1.5).toFixed(1)}" ry="${size.toFixed(1)}"/>`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="640" height="440" viewBox="0 0 640 440">
<rect width="640" height="440" fill="#eef3fa"/>
<path d="M40 ${ground + 18} H600" stroke="#16397f" stroke-width="6"/>
<path d="M${middle - wide} ${ground} V${top + 60} Q${middle - wide} ${top} ${middle} ${top} Q${middle + wide} ${top} ${middle + wide} ${top + 60} V${ground} Z" fill="${crumb}" stroke="${crust}" stroke-width="14" stroke-linejoin="round"/>
<g fill="${dark ? '#bd9a66' : '#d9c08d'}">${pores.join('')}</g>
</svg>`;
}
