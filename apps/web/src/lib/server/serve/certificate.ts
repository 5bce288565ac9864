import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { join } from 'node:path';
import { X509Certificate } from 'node:crypto';
import { authorityIn, signedBy, type Certificate, type CertifiedNames } from './authority.ts';

/** A certificate holds so long, days: browsers take no longer ones. */
const holds = 397;
/** One that holds less than this any more is made anew, days. */
const renew = 30;
const dayMs = 86_400_000;

/** Where the authority and the certificate are kept, apart from the data: they go out with nothing. */
export const authorityFolder = (folder: string): string => join(folder, 'authority');

/** Names and addresses that a certificate is made for: those that the program answers to. */
export function namesOf(all: ReadonlySet<string>): CertifiedNames {
  const plain = [...all].map((name) => name.replace(/^\[|\]$/g, '')).sort();
  return {
    names: plain.filter((name) => isIP(name) === 0),
    // A zone is this machine's own word for one of its plugs.
    addresses: plain.filter((name) => isIP(name) !== 0 && !name.includes('%')),
  };
}

/** Whether a certificate still holds, is of that authority, and for all names that this machine has now. */
function stillHolds(cert: string, authority: string, wanted: CertifiedNames, now: number): boolean {
  try {
    const read = new X509Certificate(cert);
    return (
      Date.parse(read.validTo) - now > renew * dayMs &&
      read.verify(new X509Certificate(authority).publicKey) &&
      wanted.names.every((name) => read.checkHost(name) !== undefined) &&
      wanted.addresses.every((address) => read.checkIP(address) !== undefined)
    );
  } catch {
    return false;
  }
}

/**
 * The certificate of this machine at home: the one that is there while it holds, else a new one, signed by the house's own
 * authority. A device trusts it once it was told to trust that.
 *
 * @param folder the data's
 * @param all names that the program answers to; see gate/names.ts
 * @param given names that somebody gave it, which the authority is made for beside those of every house
 */
export async function certificateIn(
  folder: string,
  all: ReadonlySet<string>,
  given: readonly string[] = [],
  // The machine's own clock: browsers go by theirs.
  // eslint-disable-next-line no-restricted-syntax
  now = Date.now(),
): Promise<Certificate> {
  const own = authorityFolder(folder);
  mkdirSync(own, { recursive: true, mode: 0o700 });
  const wanted = namesOf(all);
  // A machine's bare name is no house's beside this one: the authority is made for it.
  const bare = wanted.names.filter((n) => !/(?:^|\.)(?:localhost|local|lan|home\.arpa)$/.test(n));
  const authority = await authorityIn(
    own,
    [...given, ...bare].filter((n) => isIP(n) === 0),
    now,
  );
  const [certFile, keyFile] = ['certificate.pem', 'key.pem'].map((name) => join(own, name)) as [
    string,
    string,
  ];
  if (existsSync(certFile) && existsSync(keyFile)) {
    const known = { cert: readFileSync(certFile, 'utf8'), key: readFileSync(keyFile, 'utf8') };
    if (stillHolds(known.cert, authority.cert, wanted, now)) return known;
  }
  const made = await signedBy(
    authority,
    wanted,
    new Date(now - dayMs),
    new Date(now + holds * dayMs),
  );
  for (const [file, text] of [
    [keyFile, made.key],
    [certFile, made.cert],
  ] as const) {
    writeFileSync(`${file}.new`, text, { mode: 0o600 });
    renameSync(`${file}.new`, file);
  }
  return made;
}
