import {
  agreed,
  inkIn,
  rowsOfPage,
  type PageRow,
  type PrintedWord,
} from '@tender-crumb/core/picture';
import { readFile } from 'node:fs/promises';
import { kindOf } from './kind.ts';
import { NotRead } from './not-read.ts';
import { readPdf } from './pdf.ts';
import { beginReading, wordsOf } from './recognise.ts';
import { looksTaken, upright, type Upright } from './upright.ts';

/** A page that was photographed, and what is on it. */
export interface ReadPage {
  readonly kept: Uint8Array;
  readonly small: Uint8Array;
  readonly width: number;
  readonly height: number;
  readonly rows: readonly PageRow[];
}

/** What a file gave: a picture with its rows, or the rows of a PDF. */
export type FileRead = ReadPage | { readonly rows: readonly PageRow[] };

/** How far reading is: what is being done, and how much of how much. */
export type PageStep = (doing: string, done: number, total?: number) => Promise<void>;

/** Places of a picture that was made larger, as they are in the one that is kept. */
const scaled = (words: readonly PrintedWord[], scale: number): PrintedWord[] =>
  words.map(({ box: { x0, y0, x1, y1 }, ...word }) => ({
    ...word,
    box: { x0: x0 / scale, y0: y0 / scale, x1: x1 / scale, y1: y1 / scale },
  }));

async function uprightOf(file: string): Promise<Upright> {
  try {
    return await upright(file);
  } catch {
    throw new NotRead('This picture is broken, or has more than 64 megapixels.');
  }
}

/**
 * Reads the photo of a page.
 *
 * @param file the picture as it was sent
 * @throws NotRead where the picture is broken, or too large
 */
export async function readPage(file: string, step: PageStep): Promise<ReadPage> {
  await step('Straightening the picture', 0);
  let look = 0;
  const tell = (share: number) =>
    void step('Reading it', Math.round((100 * (look + share)) / looksTaken), 100);
  // Both at once: the engine begins while the picture is made ready.
  const [page, engine] = await Promise.allSettled([uprightOf(file), beginReading(tell)]);
  try {
    if (page.status === 'rejected') throw page.reason;
    if (engine.status === 'rejected') throw engine.reason;
    const { looks, kept, small, width, height } = page.value;
    const found: PrintedWord[][] = [];
    for (const { gray, scale } of looks) {
      found.push(scaled(await wordsOf(engine.value, gray), scale));
      look += 1;
    }
    const [first = [], second = []] = found;
    const rows = rowsOfPage(agreed(first, second), inkIn(looks[0]!.gray, looks[0]!.scale));
    return { kept, small, width, height, rows };
  } finally {
    if (engine.status === 'fulfilled') await engine.value.terminate();
  }
}

/**
 * Reads a file that somebody sent for a recipe.
 *
 * @throws NotRead where it is none, or cannot be read
 */
export async function readFileAsPage(file: string, step: PageStep): Promise<FileRead> {
  const bytes = await readFile(file);
  switch (kindOf(bytes)) {
    case 'picture':
      return readPage(file, step);
    case 'pdf':
      return { rows: await readPdf(bytes, step) };
    case 'heic':
      throw new NotRead(
        'This photo is of a kind that only some phones open (HEIC). Set the camera to JPEG, or send a screenshot of it.',
      );
    case 'text':
      throw new NotRead('This is a text, and no photo, whatever its name says: paste the text.');
    case 'other':
      throw new NotRead('This is no photo and no PDF, whatever its name says: JPEG, PNG or WebP.');
  }
}
