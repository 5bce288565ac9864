import type { GrayPicture, PrintedWord } from '@tender-crumb/core/picture';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import type { Worker as Engine } from 'tesseract.js';

/** Where the letters of English stand that the engine knows: in a package of ours, so that nothing is fetched. */
const lettersFolder = (): string =>
  join(
    dirname(createRequire(import.meta.url).resolve('@tesseract.js-data/eng/package.json')),
    '4.0.0_best_int',
  );

/** A grey picture as a file that needs no packing: a head and its pixels. Source: Netpbm's PGM. */
const pgm = ({ width, height, pixels }: GrayPicture): Buffer =>
  Buffer.concat([Buffer.from(`P5\n${width} ${height}\n255\n`), pixels]);

/** What reads pictures; it takes a second to begin, and is let go after. */
export async function beginReading(onprogress: (share: number) => void): Promise<Engine> {
  const { createWorker } = await import('tesseract.js');
  return createWorker('eng', 1, {
    langPath: lettersFolder(),
    cacheMethod: 'none',
    gzip: true,
    logger: ({ status, progress }) => {
      if (status === 'recognizing text') onprogress(progress);
    },
  });
}

/** The words of an upright picture, with their places in it. */
export async function wordsOf(engine: Engine, picture: GrayPicture): Promise<PrintedWord[]> {
  const { data } = await engine.recognize(pgm(picture), {}, { text: false, blocks: true });
  return (data.blocks ?? []).flatMap((block) =>
    block.paragraphs.flatMap(({ lines }) =>
      lines.flatMap(({ words }) =>
        words.map(({ text, confidence, bbox }) => ({
          text,
          confidence: Math.max(0, confidence) / 100,
          box: bbox,
        })),
      ),
    ),
  );
}
