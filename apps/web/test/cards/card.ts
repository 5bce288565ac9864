import type { Random } from '@tender-crumb/core/quantity';
import { printed } from './fonts.ts';

/** How a recipe is printed and photographed. */
export interface Look {
  readonly font: string;
  /** Height of the letters, pixels. */
  readonly size: number;
  /** Degrees, clockwise. */
  readonly tilt: number;
  readonly blur: number;
  /** How much darker one corner is than the other, 0 to 1. */
  readonly shade: number;
  /** Standard deviation of noise, of 255. */
  readonly noise: number;
  readonly paper: string;
  readonly ink: string;
  readonly layout: 'list' | 'columns' | 'box' | 'fold';
  /** JPEG quality. */
  readonly quality: number;
}

const between = (random: Random, least: number, most: number): number =>
  least + random() * (most - least);
const oneOf = <T>(random: Random, all: readonly T[]): T => all[Math.floor(random() * all.length)]!;

/** A look as kitchens have them: letters of 10 to 30 pixels, turned by up to 4°, in all kinds of light. */
export const lookOf = (random: Random): Look => ({
  font: oneOf(random, printed),
  size: Math.round(between(random, 10, 30)),
  tilt: random() < 0.25 ? 0 : between(random, -4, 4),
  blur: random() < 0.4 ? 0 : between(random, 0.3, 1),
  shade: random() < 0.3 ? 0 : between(random, 0.1, 0.6),
  noise: random() < 0.4 ? 0 : between(random, 2, 14),
  paper: oneOf(random, ['#ffffff', '#f6efdf', '#e9d8a6', '#cfe3d4', '#f4d4d4', '#d8dbe6']),
  ink: oneOf(random, ['#111111', '#222244', '#3a2a1a', '#444444']),
  layout: oneOf(random, ['list', 'list', 'columns', 'box', 'fold']),
  quality: Math.round(between(random, 60, 92)),
});

const escaped = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');

/** A text broken into rows that fit, words whole. */
function broken(text: string, most: number): string[] {
  const rows: string[] = [];
  for (const line of text.split('\n')) {
    let row = '';
    for (const word of line.split(/ +/)) {
      if (row && row.length + 1 + word.length > most) {
        rows.push(row);
        row = word;
      } else row = row ? `${row} ${word}` : word;
    }
    rows.push(row);
  }
  return rows;
}

/** Letters that fit a row of a card, and of one of two columns. */
const [rowLetters, columnLetters] = [46, 34];

/** The rows of a recipe on its card: in one column, or its method beside its list. */
function columnsOf(text: string, layout: Look['layout']): string[][] {
  const method = text.search(/\n\n(?:Method|Directions|Instructions)\n/);
  if (layout !== 'columns' || method < 0) return [broken(text, rowLetters)];
  return [
    broken(text.slice(0, method), columnLetters),
    broken(text.slice(method + 2), columnLetters),
  ];
}

/** A card with a recipe on it, as an image of vectors. */
export function cardSvg(text: string, look: Look): { svg: string; width: number; height: number } {
  const { font, size, layout, paper, ink } = look;
  const columns = columnsOf(text, layout);
  const [pitch, margin] = [size * 1.5, size * 2.5];
  const letters = layout === 'columns' && columns.length > 1 ? columnLetters : rowLetters;
  // Wide letters need the room of a typewriter's.
  const across = letters * size * (font.includes('Mono') || font.includes('Courier') ? 0.64 : 0.6);
  const width = Math.ceil(2 * margin + columns.length * across + (columns.length - 1) * 2 * size);
  const tall = Math.max(...columns.map((c) => c.length));
  const height = Math.ceil(2 * margin + tall * pitch);
  const cells = (row: string, x: number, y: number): string =>
    row
      .split('\t')
      .map(
        (cell, i) =>
          `<text xml:space="preserve" x="${x + (i === 0 ? 0 : size * (12 + 5 * i))}" y="${y}">${escaped(cell)}</text>`,
      )
      .join('');
  const rows = columns.map((column, c) =>
    column
      .map((row, i) => cells(row, margin + c * (across + 2 * size), margin + size + i * pitch))
      .join(''),
  );
  const frame =
    layout === 'box'
      ? `<rect x="${size}" y="${size}" width="${width - 2 * size}" height="${height - 2 * size}" fill="none" stroke="${ink}" stroke-width="${size / 8}"/>`
      : '';
  const foldY = margin + Math.floor(tall / 2) * pitch + size * 0.7;
  const fold =
    layout === 'fold'
      ? `<rect x="0" y="${foldY}" width="${width}" height="${Math.max(1, size / 9)}" fill="#000" opacity=".35"/><rect x="0" y="${foldY + size / 9}" width="${width}" height="${size / 6}" fill="#fff" opacity=".5"/>`
      : '';
  return {
    width,
    height,
    svg: `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><rect width="100%" height="100%" fill="${paper}"/><g font-family="${font}" font-size="${size}" fill="${ink}">${rows.join('')}</g>${frame}${fold}</svg>`,
  };
}

/** The card as a camera sees it, as JPEG. */
export async function photoOf(text: string, look: Look, random: Random): Promise<Buffer> {
  const { default: sharp } = await import('sharp');
  const { svg, width, height } = cardSvg(text, look);
  const flat = sharp(Buffer.from(svg)).flatten({ background: look.paper });
  const turned = sharp(await flat.png().toBuffer()).rotate(look.tilt, { background: '#6b5a48' });
  const blurred = sharp(await turned.png().toBuffer());
  if (look.blur > 0.3) blurred.blur(look.blur);
  const { data, info } = await blurred.removeAlpha().raw().toBuffer({ resolveWithObject: true });
  const dark = random() < 0.5;
  for (let y = 0; y < info.height; y += 1) {
    for (let x = 0; x < info.width; x += 1) {
      const along = (x / info.width + y / info.height) / 2;
      const light = 1 - look.shade * (dark ? along : 1 - along);
      // A sum of three is near enough to a normal draw for a camera.
      const noise = look.noise * 2 * (random() + random() + random() - 1.5);
      for (let c = 0; c < info.channels; c += 1) {
        const at = (y * info.width + x) * info.channels + c;
        data[at] = Math.max(0, Math.min(255, data[at]! * light + noise));
      }
    }
  }
  void width;
  void height;
  return sharp(data, {
    raw: { width: info.width, height: info.height, channels: info.channels as 3 },
  })
    .jpeg({ quality: look.quality })
    .toBuffer();
}
