import { mkdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { Picture } from '../boundary/picture.ts';

/** A picture as it is kept, and a small one of it. */
export type PictureSize = 'kept' | 'small';

/** Pictures lie in a folder beside the database. */
export const photoFolder = (databaseFile: string): string => join(dirname(databaseFile), 'photos');

export const pictureFile = (folder: string, id: string, size: PictureSize): string =>
  join(folder, `${id}${size === 'small' ? '.small' : ''}.jpg`);

/** Writes a picture's files: whole or not at all, whenever the power goes. */
export async function writePicture(
  folder: string,
  id: string,
  { kept, small }: Pick<Picture, 'kept' | 'small'>,
): Promise<void> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  for (const [size, bytes] of [
    ['kept', kept],
    ['small', small],
  ] as const) {
    const file = pictureFile(folder, id, size);
    await writeFile(`${file}.new`, bytes, { mode: 0o600, flush: true });
    await rename(`${file}.new`, file);
  }
}

/** A picture's bytes; undefined where its file is gone. */
export const readPicture = (
  folder: string,
  id: string,
  size: PictureSize,
): Promise<Uint8Array | undefined> =>
  readFile(pictureFile(folder, id, size)).catch(() => undefined);

/** Takes a picture's files away. Twice is once. */
export async function dropPicture(folder: string, id: string): Promise<void> {
  await rm(pictureFile(folder, id, 'kept'), { force: true });
  await rm(pictureFile(folder, id, 'small'), { force: true });
}
