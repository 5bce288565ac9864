import { evenLight, tiltOf, withoutRules, type GrayPicture } from '@tender-crumb/core/picture';
import type { OutputInfo, Sharp, SharpOptions } from 'sharp';
import { mostPixels } from '../boundary/picture.ts';

/** The kept picture's longer side, pixels: a card's letters are 20 high in it. */
const keptSide = 2000;
/** Of a smaller picture than this, more pixels are made: letters of 10 are read as badly as none. */
const leastSide = 1700;
/** Made larger by no more than this: what is not in a picture does not come into it. */
const mostLarger = 3;
/** The second look is taken of a smaller picture: other pixels, other mistakes. Held to the tests' cards. */
const secondLook = 0.8;
const looks = [1, secondLook] as const;
export const looksTaken = looks.length;
/** The side at which tilt is looked for. */
const tiltSide = 800;
const quality = 82;
/** The small picture's longer side. */
const smallSide = 320;

/** A picture made ready: one to keep and to show, one to read. Both stand upright, and have the same places. */
export interface Upright {
  readonly kept: Buffer;
  readonly small: Buffer;
  readonly width: number;
  readonly height: number;
  /** To be read, and to be looked at once more, each with how many of its pixels are one of the kept. */
  readonly looks: ReadonlyArray<{ readonly gray: GrayPicture; readonly scale: number }>;
}

/** A picture as its pixels. */
interface Raw {
  readonly data: Buffer;
  readonly info: OutputInfo;
}

const options: SharpOptions = { limitInputPixels: mostPixels, failOn: 'error' };

async function grayOf(picture: Sharp): Promise<GrayPicture> {
  const { data, info } = await picture
    .greyscale()
    .toColourspace('b-w')
    .raw()
    .toBuffer({ resolveWithObject: true });
  const { width, height, channels } = info;
  if (channels === 1) return { width, height, pixels: data };
  const pixels = Uint8Array.from({ length: width * height }, (_, i) => data[i * channels]!);
  return { width, height, pixels };
}

/**
 * Makes a photo of a page ready to be read: upright by the camera's own mark, straightened by its rows, evenly lit.
 *
 * @throws Error where it is broken, or has too many pixels
 */
export async function upright(file: string): Promise<Upright> {
  const { default: sharp } = await import('sharp');
  const of = ({ data, info }: Raw) => sharp(data, { raw: info });
  const within = await sharp(file, options)
    .rotate()
    .flatten({ background: '#ffffff' })
    .resize(keptSide, keptSide, { fit: 'inside', withoutEnlargement: true })
    .toColourspace('srgb')
    .raw()
    .toBuffer({ resolveWithObject: true });
  const rough = of(within).resize(tiltSide, tiltSide, { fit: 'inside' });
  const tilt = tiltOf(evenLight(await grayOf(rough)));
  const straight =
    tilt === 0
      ? within
      : await of(within)
          .rotate(-tilt, { background: cornerOf(within) })
          .raw()
          .toBuffer({ resolveWithObject: true });
  const { width, height } = straight.info;
  const kept = await of(straight).jpeg({ quality }).toBuffer();
  const small = await of(straight)
    .resize(smallSide, smallSide, { fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality })
    .toBuffer();
  const scale = Math.min(mostLarger, Math.max(1, leastSide / Math.max(width, height)));
  const taken = [];
  for (const share of looks) {
    const gray = await grayOf(
      of(straight).resize(Math.round(width * scale * share), null, { kernel: 'cubic' }),
    );
    taken.push({ gray: withoutRules(evenLight(gray)), scale: gray.width / width });
  }
  return { kept, small, width, height, looks: taken };
}

/** The colour of a picture's first corner: what is laid into the corners when it is turned. */
function cornerOf({ data, info }: Raw): { r: number; g: number; b: number } {
  const [r = 255, g = r, b = g] = info.channels >= 3 ? data : [data[0]];
  return { r, g, b };
}
