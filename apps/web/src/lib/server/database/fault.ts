/** What can be wrong with the data, in words that a person can act on. */
export type StorageTrouble =
  | 'busy'
  | 'full'
  | 'readonly'
  | 'damaged'
  | 'emptied'
  | 'newer'
  | 'vanished'
  | 'unreadable'
  | 'served';

interface Words {
  /** Status of an answer that fails for it (RFC 9110; 507 of RFC 4918). */
  readonly status: 503 | 507;
  readonly title: string;
  readonly says: string;
}

/** Each trouble with its words: the same on the terminal, on a page and in an answer of the API. */
export const storageWords: Readonly<Record<StorageTrouble, Words>> = {
  busy: {
    status: 503,
    title: 'The data are held by another program just now',
    says: 'Nothing was stored by this, and nothing is lost: it is tried again in a moment.',
  },
  full: {
    status: 507,
    title: 'The disk is full',
    says: 'Nothing more can be stored until there is room. What was saved is safe, and what was not waits where it was typed.',
  },
  readonly: {
    status: 503,
    title: 'The data can be read but not written',
    says: 'The folder or the file does not let this program write. Give it the right to, and start again.',
  },
  damaged: {
    status: 503,
    title: 'The data file is damaged',
    says: 'Nothing is written into it. Put a backup in its place with “npm run restore”; the damaged file is kept beside it.',
  },
  emptied: {
    status: 503,
    title: 'The data file is there, but empty',
    says: 'Somebody or something emptied it. Put a backup in its place with “npm run restore”.',
  },
  newer: {
    status: 503,
    title: 'The data were made by a newer Tender Crumb',
    says: 'This version would not understand all of them, so that it leaves them alone. Start the newer version.',
  },
  vanished: {
    status: 503,
    title: 'The data file is gone from its folder',
    says: 'Nothing is stored until it is back. Put the folder back where it was, or restore a backup with “npm run restore”.',
  },
  unreadable: {
    status: 503,
    title: 'The data cannot be read',
    says: 'The disk or the folder does not answer as it should. Look whether it is there and whole, then start again.',
  },
  served: {
    status: 503,
    title: 'Another Tender Crumb already serves this folder',
    says: 'Two at once could lose what was typed. Stop the other one, or set TENDER_CRUMB_DATA to another folder.',
  },
};

/** A bad day of the data; its message is for people. */
export class StorageFault extends Error {
  readonly trouble: StorageTrouble;

  constructor(trouble: StorageTrouble, cause?: unknown) {
    const { title, says } = storageWords[trouble];
    super(`${title}. ${says}`, { cause });
    this.trouble = trouble;
  }

  get status(): number {
    return storageWords[this.trouble].status;
  }
}

/** Primary result codes of SQLite (sqlite.org/rescode.html) as troubles. */
const byResult: Readonly<Record<number, StorageTrouble>> = {
  5: 'busy',
  6: 'busy',
  8: 'readonly',
  10: 'unreadable',
  11: 'damaged',
  13: 'full',
  14: 'unreadable',
  15: 'unreadable',
  26: 'damaged',
};

/**
 * What the driver threw, as a trouble of the data where it is one; anything else as it was. The low
 * byte of an extended result code is its primary one.
 *
 * @example storageFault({rawCode: 13}).trouble // 'full'
 */
export function storageFault(thrown: unknown): unknown {
  if (thrown instanceof StorageFault) return thrown;
  const { rawCode = 0, message = '' } = (thrown ?? {}) as { rawCode?: number; message?: string };
  const known = byResult[rawCode & 0xff];
  if (known) return new StorageFault(known, thrown);
  return /Unable to open connection/.test(message)
    ? new StorageFault('unreadable', thrown)
    : thrown;
}

/** Whether something thrown is a trouble of the data, and this one where it is named. */
export const isTrouble = (thrown: unknown, trouble?: StorageTrouble): thrown is StorageFault =>
  thrown instanceof StorageFault && (trouble === undefined || thrown.trouble === trouble);
