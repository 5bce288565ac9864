/** What a file is by its first bytes, whatever it is called. */
export type FileKind = 'picture' | 'pdf' | 'heic' | 'text' | 'other';

const beginsWith = (bytes: Uint8Array, at: number, ...wanted: readonly number[]): boolean =>
  wanted.every((byte, i) => bytes[at + i] === byte);

const ascii = (bytes: Uint8Array, from: number, to: number): string =>
  String.fromCharCode(...bytes.subarray(from, to));

/** Families of pictures that phones make and this program cannot open. */
const heic = /^(?:heic|heix|hevc|heim|heis|mif1|msf1)$/;

/**
 * What a file is, by its content.
 *
 * @example kindOf(Uint8Array.of(0xff, 0xd8, 0xff)) // 'picture'
 */
export function kindOf(bytes: Uint8Array): FileKind {
  if (
    beginsWith(bytes, 0, 0xff, 0xd8, 0xff) ||
    beginsWith(bytes, 0, 0x89, 0x50, 0x4e, 0x47) ||
    (ascii(bytes, 0, 4) === 'RIFF' && ascii(bytes, 8, 12) === 'WEBP')
  )
    return 'picture';
  // A reader of such files looks for its mark in the first kilobyte.
  if (ascii(bytes, 0, 1024).includes('%PDF-')) return 'pdf';
  if (ascii(bytes, 4, 8) === 'ftyp' && heic.test(ascii(bytes, 8, 12))) return 'heic';
  const head = bytes.subarray(0, 2000);
  return head.length > 0 &&
    head.every((byte) => byte >= 32 || byte === 9 || byte === 10 || byte === 13)
    ? 'text'
    : 'other';
}
