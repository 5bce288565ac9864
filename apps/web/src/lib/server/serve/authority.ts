import 'reflect-metadata';
import { AsnConvert } from '@peculiar/asn1-schema';
import {
  GeneralName,
  GeneralSubtree,
  GeneralSubtrees,
  NameConstraints,
  id_ce_nameConstraints,
} from '@peculiar/asn1-x509';
import * as x509 from '@peculiar/x509';
import { X509Certificate, randomBytes, webcrypto } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** A certificate and its key, PEM. */
export interface Certificate {
  readonly cert: string;
  readonly key: string;
}

/** The names and addresses that the program answers to, parted as a certificate has them. */
export interface CertifiedNames {
  readonly names: readonly string[];
  readonly addresses: readonly string[];
}

/** An authority of the house holds so long, days: ten years, as long as anybody's tablet. */
const authorityHolds = 3650;
const dayMs = 86_400_000;

/** All addresses that a house gives its machines, however they change: loopback, private and link-local (RFC 1918, 3927, 4193, 4291). */
const houseRanges = [
  '127.0.0.0/8',
  '10.0.0.0/8',
  '172.16.0.0/12',
  '192.168.0.0/16',
  '169.254.0.0/16',
  '::1/128',
  'fc00::/7',
  'fe80::/10',
] as const;

/** Names that mean this house and nobody outside: those of the machine itself, and of the network at home. */
const houseNames = ['localhost', 'local', 'lan', 'home.arpa'];

const cryptography = webcrypto as unknown as Crypto;
x509.cryptoProvider.set(cryptography);
/** Elliptic keys: every browser since 2014 has them, and they are made at once. */
const keyKind = { name: 'ECDSA', namedCurve: 'P-256' } as const;
const signing = { name: 'ECDSA', hash: 'SHA-256' } as const;

/** Nothing but this house can be certified by its authority: names at home, those that were given, private addresses. */
function constraintsFor(given: readonly string[]): x509.Extension {
  const names = [...new Set([...houseNames, ...given])];
  const subtree = (base: GeneralName) => new GeneralSubtree({ base });
  const permittedSubtrees = new GeneralSubtrees([
    ...names.map((dNSName) => subtree(new GeneralName({ dNSName }))),
    ...houseRanges.map((iPAddress) => subtree(new GeneralName({ iPAddress }))),
  ]);
  const raw = AsnConvert.serialize(new NameConstraints({ permittedSubtrees }));
  return new x509.Extension(id_ce_nameConstraints, true, raw);
}

const serial = (): string => `01${randomBytes(15).toString('hex')}`;

async function pem(key: CryptoKey): Promise<string> {
  const bytes = await cryptography.subtle.exportKey('pkcs8', key);
  return x509.PemConverter.encode(bytes, 'PRIVATE KEY');
}

const newKeys = () =>
  cryptography.subtle.generateKey(keyKind, true, ['sign', 'verify']) as Promise<CryptoKeyPair>;

async function keyOf(text: string): Promise<CryptoKey> {
  const bytes = x509.PemConverter.decodeFirst(text);
  return cryptography.subtle.importKey('pkcs8', bytes, keyKind, false, ['sign']);
}

/** Written beside it first and named then, for its owner alone. */
function keep(file: string, text: string): void {
  writeFileSync(`${file}.new`, text, { mode: 0o600 });
  renameSync(`${file}.new`, file);
}

const filesIn = (folder: string) => ({
  cert: join(folder, 'authority.pem'),
  key: join(folder, 'authority-key.pem'),
});

/** The names that an authority was made for beside those of every house: they stand in its own name's organisational unit. */
const madeFor = (given: readonly string[]): string => [...new Set(given)].sort().join(' ');

/**
 * The small authority of this house: made once, kept for its owner alone, limited to names and addresses that are the
 * house's. A device that was told to trust its certificate trusts this kitchen's, and can be shown no other place under it.
 *
 * @param folder where it is kept, apart from the data: it goes out with nothing
 * @param given names beside those of every house; with others it is made anew, and every device is told once more
 */
export async function authorityIn(
  folder: string,
  given: readonly string[],
  now: number,
): Promise<Certificate> {
  const { cert: certFile, key: keyFile } = filesIn(folder);
  if (existsSync(certFile) && existsSync(keyFile)) {
    const known = { cert: readFileSync(certFile, 'utf8'), key: readFileSync(keyFile, 'utf8') };
    try {
      const read = new X509Certificate(known.cert);
      const holds = Date.parse(read.validTo) - now > 400 * dayMs;
      const own = /OU=(.*)/.exec(read.subject)?.[1] ?? '';
      if (holds && own === madeFor(given)) return known;
    } catch {
      // One that cannot be read is made anew.
    }
  }
  const keys = await newKeys();
  const unit = madeFor(given);
  const made = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(),
    name: [
      { CN: ['Tender Crumb, this house'] },
      ...(unit === '' ? [] : [{ OU: [unit] }]),
    ] as x509.JsonName,
    notBefore: new Date(now - dayMs),
    notAfter: new Date(now + authorityHolds * dayMs),
    keys,
    signingAlgorithm: signing,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(
        x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign,
        true,
      ),
      constraintsFor(given),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
    ],
  });
  const certificate = { cert: made.toString('pem'), key: await pem(keys.privateKey) };
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  keep(keyFile, certificate.key);
  keep(certFile, certificate.cert);
  return certificate;
}

/** The authority's certificate alone, for a device to trust; undefined where there is none. */
export function authorityCertificate(folder: string): Buffer | undefined {
  const { cert } = filesIn(folder);
  return existsSync(cert) ? new X509Certificate(readFileSync(cert)).raw : undefined;
}

/** A certificate of the program itself, signed by the house's authority. */
export async function signedBy(
  { cert, key }: Certificate,
  { names, addresses }: CertifiedNames,
  notBefore: Date,
  notAfter: Date,
): Promise<Certificate> {
  const authority = new x509.X509Certificate(cert);
  const keys = await newKeys();
  const made = await x509.X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: [{ CN: [names.find((n) => n.endsWith('.local')) ?? 'localhost'] }] as x509.JsonName,
    issuer: authority.subjectName,
    notBefore,
    notAfter,
    publicKey: keys.publicKey,
    signingKey: await keyOf(key),
    signingAlgorithm: signing,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension([
        ...names.map((value) => ({ type: 'dns' as const, value })),
        ...addresses.map((value) => ({ type: 'ip' as const, value })),
      ]),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
      await x509.AuthorityKeyIdentifierExtension.create(authority.publicKey),
    ],
  });
  // The authority goes along: who trusts it sees the whole chain.
  return { cert: `${made.toString('pem')}\n${cert}`, key: await pem(keys.privateKey) };
}
