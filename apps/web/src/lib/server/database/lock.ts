import { join } from 'node:path';
import { isTrouble, StorageFault } from './fault.ts';
import { openHandle, type Handle } from './handle.ts';

/**
 * Takes a folder for this process alone, until it ends in whatever way: the lock is the operating
 * system's, on a file of its own.
 *
 * @returns gives the folder free again
 * @throws StorageFault `served` where another process has it
 */
export function lockFolder(folder: string): () => void {
  const handle: Handle = openHandle(join(folder, 'lock.db'));
  try {
    handle.exec('begin exclusive');
  } catch (thrown) {
    handle.close();
    throw isTrouble(thrown, 'busy') ? new StorageFault('served', thrown) : thrown;
  }
  return () => handle.close();
}
