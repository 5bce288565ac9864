import { createHash } from 'node:crypto';
import type { Picture } from '../boundary/picture.ts';
import { inTransaction, type Database } from '../database/open.ts';
import { currentIso } from '../../clock.ts';
import { dropPicture, readPicture, writePicture, type PictureSize } from './picture-files.ts';

/** A photo of a bake. */
export interface Photo {
  readonly id: string;
  readonly bakeId: string;
  readonly step: string;
  readonly at: string;
  readonly width: number;
  readonly height: number;
}

/** So many photos of one bake are enough for anybody. */
export const mostPhotos = 60;

/** What tells one picture that was sent from another. */
export const digestOf = (bytes: Uint8Array): string =>
  createHash('sha256').update(bytes).digest('hex');

/** What became of a photo that was sent. */
export type PhotoKept = 'kept' | 'no-bake' | 'another' | 'too-many';

/**
 * Keeps a photo: its files first, so that what the database knows of is there. The same sent twice is once.
 *
 * @param sent its bytes as they came
 */
export async function keepPhoto(
  db: Database,
  folder: string,
  photo: Pick<Photo, 'id' | 'bakeId' | 'step'>,
  sent: Uint8Array,
  picture: () => Promise<Picture>,
): Promise<PhotoKept> {
  const digest = digestOf(sent);
  const known = await db
    .selectFrom('photo')
    .select(['digest', 'bake_id'])
    .where('id', '=', photo.id)
    .executeTakeFirst();
  if (known) return known.digest === digest && known.bake_id === photo.bakeId ? 'kept' : 'another';
  const bake = await db
    .selectFrom('bake')
    .select('id')
    .where('id', '=', photo.bakeId)
    .executeTakeFirst();
  if (!bake) return 'no-bake';
  if ((await listPhotos(db, photo.bakeId)).length >= mostPhotos) return 'too-many';
  const { kept, small, width, height } = await picture();
  await writePicture(folder, photo.id, { kept, small });
  return inTransaction(db, async (tx): Promise<PhotoKept> => {
    await tx
      .insertInto('photo')
      .values({
        id: photo.id,
        bake_id: photo.bakeId,
        step: photo.step,
        at: currentIso(),
        width,
        height,
        bytes: kept.byteLength,
        digest,
      })
      .onConflict((c) => c.column('id').doNothing())
      .execute();
    return 'kept';
  });
}

/** Photos of a bake, the oldest first. */
export async function listPhotos(db: Database, bakeId: string): Promise<Photo[]> {
  const rows = await db
    .selectFrom('photo')
    .select(['id', 'bake_id', 'step', 'at', 'width', 'height'])
    .where('bake_id', '=', bakeId)
    .orderBy('at')
    .orderBy('id')
    .execute();
  return rows.map(({ bake_id, ...rest }) => ({ ...rest, bakeId: bake_id }));
}

/** A picture of a bake; undefined where there is none of that name. */
export async function readPhoto(
  db: Database,
  folder: string,
  bakeId: string,
  id: string,
  size: PictureSize,
): Promise<Uint8Array | undefined> {
  const known = await db
    .selectFrom('photo')
    .select('id')
    .where('id', '=', id)
    .where('bake_id', '=', bakeId)
    .executeTakeFirst();
  return known && (await readPicture(folder, id, size));
}

/** Takes a photo away. Twice is once. */
export async function dropPhoto(
  db: Database,
  folder: string,
  bakeId: string,
  id: string,
): Promise<void> {
  const gone = await inTransaction(db, async (tx) =>
    tx
      .deleteFrom('photo')
      .where('id', '=', id)
      .where('bake_id', '=', bakeId)
      .returning('id')
      .execute(),
  );
  if (gone.length === 0) return;
  await dropPicture(folder, id);
}
