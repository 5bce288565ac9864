import { randomBytes } from 'node:crypto';
import { inTransaction, type Database } from '../database/open.ts';
import type { KitchenKey } from '../gate/cookie.ts';
import { currentIso, currentTime } from '../../clock.ts';

/** A device that was let in. */
export interface Device {
  readonly id: string;
  readonly name: string;
  readonly pairedAt: string;
  readonly seenAt: string;
}

const settingKey = 'kitchen-key';

/** What this kitchen signs with, made at the first call. It goes along in backups. */
export async function readKitchenKey(db: Database): Promise<KitchenKey> {
  const read = async (from: Database) =>
    from.selectFrom('setting').select('value').where('key', '=', settingKey).executeTakeFirst();
  const known = await read(db);
  if (known) return JSON.parse(known.value) as KitchenKey;
  return inTransaction(db, async (tx) => {
    const meanwhile = await read(tx);
    if (meanwhile) return JSON.parse(meanwhile.value) as KitchenKey;
    const key: KitchenKey = {
      id: randomBytes(4).toString('hex'),
      secret: randomBytes(32).toString('base64url'),
    };
    await tx
      .insertInto('setting')
      .values({ key: settingKey, value: JSON.stringify(key) })
      .execute();
    return key;
  });
}

const stored = (row: { id: string; name: string; paired_at: string; seen_at: string }): Device => ({
  id: row.id,
  name: row.name,
  pairedAt: row.paired_at,
  seenAt: row.seen_at,
});

/** Most devices of a household. */
export const mostDevices = 100;

/** Devices, those seen last first. */
export const listDevices = async (db: Database): Promise<Device[]> =>
  (await db.selectFrom('device').selectAll().orderBy('seen_at', 'desc').execute()).map(stored);

export async function readDevice(db: Database, id: string): Promise<Device | undefined> {
  const row = await db.selectFrom('device').selectAll().where('id', '=', id).executeTakeFirst();
  return row && stored(row);
}

/** Lets a device in; undefined where there are too many. */
export async function addDevice(db: Database, name: string): Promise<Device | undefined> {
  const now = currentIso();
  const row = { id: randomBytes(12).toString('hex'), name, paired_at: now, seen_at: now };
  return inTransaction(db, async (tx) => {
    if ((await listDevices(tx)).length >= mostDevices) return undefined;
    await tx.insertInto('device').values(row).execute();
    return stored(row);
  });
}

export async function renameDevice(db: Database, id: string, name: string): Promise<boolean> {
  return inTransaction(db, async (tx) => {
    const { numUpdatedRows } = await tx
      .updateTable('device')
      .set({ name })
      .where('id', '=', id)
      .executeTakeFirst();
    return numUpdatedRows > 0n;
  });
}

/** Forgets a device: its cookie opens nothing any more. */
export async function forgetDevice(db: Database, id: string): Promise<boolean> {
  return inTransaction(db, async (tx) => {
    const { numDeletedRows } = await tx
      .deleteFrom('device')
      .where('id', '=', id)
      .executeTakeFirst();
    return numDeletedRows > 0n;
  });
}

/** Notes that a device was here, once an hour at most. */
export async function seeDevice(db: Database, device: Device, now = currentTime()): Promise<void> {
  if (Math.abs(now.getTime() - Date.parse(device.seenAt)) < 3_600_000) return;
  await inTransaction(db, async (tx) => {
    await tx
      .updateTable('device')
      .set({ seen_at: now.toISOString() })
      .where('id', '=', device.id)
      .execute();
  });
}
