import { inTransaction, type Database } from '../database/open.ts';
import { wantLearning } from './learning.ts';
import { dropPhoto, listPhotos } from './photos.ts';

/** Takes a bake out, with all that was noted of it and its photos. The book is learned again without it. */
export async function dropBake(db: Database, photos: string, id: string): Promise<void> {
  for (const photo of await listPhotos(db, id)) await dropPhoto(db, photos, id, photo.id);
  await inTransaction(db, async (tx) => {
    for (const table of ['bake_event', 'bag_use'] as const)
      await tx.deleteFrom(table).where('bake_id', '=', id).execute();
    await tx.updateTable('planned_bake').set({ bake_id: null }).where('bake_id', '=', id).execute();
    const gone = await tx.deleteFrom('bake').where('id', '=', id).returning('id').execute();
    if (gone.length > 0) await wantLearning(tx);
  });
}
