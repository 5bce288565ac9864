/** A file that is not taken, in words. */
export class ArchiveRefused extends Error {}

/** Work that somebody stopped: nothing of it is left. */
export class Stopped extends ArchiveRefused {
  constructor() {
    super('It was stopped. Nothing was taken.');
  }
}
