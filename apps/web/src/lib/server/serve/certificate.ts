import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { join } from 'node:path';
import { X509Certificate } from 'node:crypto';
import { generate } from 'selfsigned';

/** A certificate and its key, PEM. */
export interface Certificate {
  readonly cert: string;
  readonly key: string;
}

/** A certificate holds so long, days: browsers take no longer ones. */
const holds = 397;
/** One that holds less than this any more is made anew, days. */
const renew = 30;
const dayMs = 86_400_000;

/** Names and addresses that a certificate is made for: those that the program answers to. */
export function namesOf(all: ReadonlySet<string>): {
  readonly names: readonly string[];
  readonly addresses: readonly string[];
} {
  const plain = [...all].map((name) => name.replace(/^\[|\]$/g, '')).sort();
  return {
    names: plain.filter((name) => isIP(name) === 0),
    addresses: plain.filter((name) => isIP(name) !== 0),
  };
}

/** Whether a certificate still holds, and for all names that this machine has now. */
function stillHolds(cert: string, wanted: ReturnType<typeof namesOf>, now: number): boolean {
  try {
    const read = new X509Certificate(cert);
    return (
      Date.parse(read.validTo) - now > renew * dayMs &&
      wanted.names.every((name) => read.checkHost(name) !== undefined) &&
      wanted.addresses.every((address) => read.checkIP(address) !== undefined)
    );
  } catch {
    return false;
  }
}

/**
 * The certificate of this machine at home: the one that is there while it holds, else a new one. No other machine
 * trusts it until somebody there says so.
 *
 * @param folder where it is kept, for its owner alone
 * @param all names that the program answers to; see gate/names.ts
 */
export async function certificateIn(
  folder: string,
  all: ReadonlySet<string>,
  // The machine's own clock: browsers go by theirs.
  // eslint-disable-next-line no-restricted-syntax
  now = Date.now(),
): Promise<Certificate> {
  const [certFile, keyFile] = ['certificate.pem', 'key.pem'].map((name) => join(folder, name)) as [
    string,
    string,
  ];
  const wanted = namesOf(all);
  if (existsSync(certFile) && existsSync(keyFile)) {
    const known = { cert: readFileSync(certFile, 'utf8'), key: readFileSync(keyFile, 'utf8') };
    if (stillHolds(known.cert, wanted, now)) return known;
  }
  const made = await generate(
    [
      {
        name: 'commonName',
        value: wanted.names.find((name) => name.endsWith('.local')) ?? 'localhost',
      },
    ],
    {
      keySize: 2048,
      algorithm: 'sha256',
      notBeforeDate: new Date(now - dayMs),
      notAfterDate: new Date(now + holds * dayMs),
      extensions: [
        { name: 'basicConstraints', cA: false, critical: true },
        { name: 'keyUsage', digitalSignature: true, keyEncipherment: true, critical: true },
        { name: 'extKeyUsage', serverAuth: true },
        {
          name: 'subjectAltName',
          altNames: [
            ...wanted.names.map((value) => ({ type: 2 as const, value })),
            ...wanted.addresses.map((ip) => ({ type: 7 as const, ip })),
          ],
        },
      ],
    },
  );
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  for (const [file, text] of [
    [keyFile, made.private],
    [certFile, made.cert],
  ] as const) {
    writeFileSync(`${file}.new`, text, { mode: 0o600 });
    renameSync(`${file}.new`, file);
  }
  return { cert: made.cert, key: made.private };
}
