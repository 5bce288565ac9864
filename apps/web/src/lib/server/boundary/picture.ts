import { largestPhoto } from '../../wire/largest-photo.ts';
import { Problem } from '../problem.ts';

/** The kept picture's longer side, and the small one's, pixels. */
const keptSide = 1600;
const smallSide = 320;
/** More pixels than this are no kitchen's tablet but a bomb: 64 million take a quarter of a gigabyte while they are read. */
export const mostPixels = 64_000_000;
/** So many wait while one is read; whoever comes then comes again. */
const mostWaiting = 12;

/** Pictures are read one after the other, however many are sent at once. */
const turn = { last: Promise.resolve() as Promise<unknown>, waiting: 0 };

async function inTurn<T>(work: () => Promise<T>): Promise<T> {
  if (turn.waiting >= mostWaiting)
    throw new Problem(503, 'Too many photos at once', [
      { where: 'body', what: 'sent again in a moment, it is taken' },
    ]);
  turn.waiting += 1;
  const mine = turn.last.then(work, work);
  turn.last = mine.catch(() => undefined);
  try {
    return await mine;
  } finally {
    turn.waiting -= 1;
  }
}

/** What a photo may begin with: its type by content, whatever it is called. */
const beginnings: ReadonlyArray<readonly [type: string, at: number, bytes: readonly number[]]> = [
  ['jpeg', 0, [0xff, 0xd8, 0xff]],
  ['png', 0, [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]],
  ['webp', 8, [0x57, 0x45, 0x42, 0x50]],
];

/** A photo as it is kept: turned upright, no larger than a screen, nothing in it but the picture. */
export interface Picture {
  readonly kept: Uint8Array;
  readonly small: Uint8Array;
  readonly width: number;
  readonly height: number;
}

const refused = (status: number, what: string): Problem =>
  new Problem(status, 'A photo that cannot be kept', [{ where: 'body', what }]);

/**
 * The bytes of a photo that somebody sends.
 *
 * @throws Problem 413 where they are too many: read no further than that
 */
export async function photoBytes(request: Request): Promise<Uint8Array> {
  const tooLarge = () =>
    refused(413, `larger than ${largestPhoto / 1024 / 1024} MB: a smaller copy of it, please`);
  if (Number(request.headers.get('content-length') ?? 0) > largestPhoto) throw tooLarge();
  const chunks: Uint8Array[] = [];
  let size = 0;
  try {
    for await (const chunk of (request.body ?? []) as unknown as AsyncIterable<Uint8Array>) {
      size += chunk.byteLength;
      if (size > largestPhoto) throw tooLarge();
      chunks.push(chunk);
    }
  } catch (fault) {
    if (fault instanceof Problem) throw fault;
    if ((fault as { status?: number }).status === 413) throw tooLarge();
    throw refused(400, 'it broke off on its way');
  }
  return Buffer.concat(chunks);
}

/**
 * Makes a picture of what was sent: only what is one by its content, upright, resized, without what a camera
 * writes beside it (place, time, device).
 *
 * @throws Problem 415 where it is no picture, 422 where it cannot be read
 */
export async function pictureOf(bytes: Uint8Array): Promise<Picture> {
  const known = beginnings.some(([, at, begin]) => begin.every((b, i) => bytes[at + i] === b));
  if (!known) throw refused(415, 'it is no photo, whatever its name says: JPEG, PNG or WebP');
  const { default: sharp } = await import('sharp');
  const within = (of: Uint8Array, side: number) =>
    sharp(of, { limitInputPixels: mostPixels, failOn: 'error' })
      .rotate()
      .resize(side, side, { fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 82 });
  return inTurn(async () => {
    try {
      const kept = await within(bytes, keptSide).toBuffer({ resolveWithObject: true });
      // Of the kept one: the large one is read once.
      const small = await within(kept.data, smallSide).toBuffer();
      return { kept: kept.data, small, width: kept.info.width, height: kept.info.height };
    } catch {
      throw refused(422, 'it is broken, or has more than 64 megapixels');
    }
  });
}
