import { createHash, generateKeyPairSync, randomBytes, X509Certificate } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { join } from 'node:path';
import forge from 'node-forge';

export interface Sealed {
  key: string;
  cert: string;
}

const DAY_MS = 86_400_000;
/** Phones take no certificate of a longer life, from a private authority either. */
const SERVER_DAYS = 397;
const AUTHORITY_YEARS = 10;
/** Made anew so long before it ends. */
const RENEW_DAYS = 30;
const NAME = 'Welcome nursery authority';

/** All that the authority may vouch for: addresses that no machine in the open has, RFC 1918, 3927, 6598 and 1122; names in the local network, RFC 6762. */
const PRIVATE: readonly [address: string, mask: string][] = [
  ['10.0.0.0', '255.0.0.0'],
  ['172.16.0.0', '255.240.0.0'],
  ['192.168.0.0', '255.255.0.0'],
  ['169.254.0.0', '255.255.0.0'],
  ['100.64.0.0', '255.192.0.0'],
  ['127.0.0.0', '255.0.0.0'],
];
const LOCAL_NAMES = ['local', 'localhost'];

const bytesOf = (address: string): number[] => address.split('.').map(Number);

/** Whether it is a name for which the authority vouches. */
export function isPrivate(name: string): boolean {
  if (isIP(name) === 4) {
    const own = bytesOf(name);
    return PRIVATE.some(([address, mask]) => {
      const [net, bits] = [bytesOf(address), bytesOf(mask)];
      return own.every((byte, i) => (byte & bits[i]!) === net[i]);
    });
  }
  return isIP(name) === 0 && LOCAL_NAMES.some((local) => name === local || name.endsWith(`.${local}`));
}

/** RFC 5280, 4.2.1.10: whatever this key might sign, it is believed for these alone. */
function nameConstraints(): object {
  const { asn1 } = forge;
  const { UNIVERSAL, CONTEXT_SPECIFIC } = asn1.Class;
  const subtree = (tag: number, bytes: string): forge.asn1.Asn1 =>
    asn1.create(UNIVERSAL, asn1.Type.SEQUENCE, true, [asn1.create(CONTEXT_SPECIFIC, tag, false, bytes)]);
  const permitted = [
    ...LOCAL_NAMES.map((name) => subtree(2, name)),
    ...PRIVATE.map(([address, mask]) =>
      subtree(7, String.fromCharCode(...bytesOf(address), ...bytesOf(mask))),
    ),
  ];
  const value = asn1.create(UNIVERSAL, asn1.Type.SEQUENCE, true, [
    asn1.create(CONTEXT_SPECIFIC, 0, true, permitted),
  ]);
  return { id: '2.5.29.30', critical: true, value: asn1.toDer(value).getBytes() };
}

const place = (data: string): string => join(data, 'network');
export const authorityFile = (data: string): string => join(place(data), 'authority.crt');

/** Read and written by this user alone. */
function keep(file: string, text: string): void {
  writeFileSync(`${file}.part`, text, { mode: 0o600 });
  chmodSync(`${file}.part`, 0o600);
  renameSync(`${file}.part`, file);
}

function pair(): {
  privatePem: string;
  publicKey: forge.pki.rsa.PublicKey;
  privateKey: forge.pki.rsa.PrivateKey;
} {
  const { privateKey, publicKey } = generateKeyPairSync('rsa', {
    modulusLength: 2048,
    publicKeyEncoding: { type: 'spki', format: 'pem' },
    privateKeyEncoding: { type: 'pkcs8', format: 'pem' },
  });
  return {
    privatePem: privateKey,
    publicKey: forge.pki.publicKeyFromPem(publicKey),
    privateKey: forge.pki.privateKeyFromPem(privateKey),
  };
}

function blank(publicKey: forge.pki.rsa.PublicKey, from: Date, days: number): forge.pki.Certificate {
  const cert = forge.pki.createCertificate();
  cert.publicKey = publicKey;
  // Positive, as short as it is written, and never the same twice.
  const serial = randomBytes(16);
  serial[0] = 0x40 | (serial[0]! & 0x3f);
  cert.serialNumber = serial.toString('hex');
  cert.validity.notBefore = new Date(from.getTime() - DAY_MS);
  cert.validity.notAfter = new Date(from.getTime() + days * DAY_MS);
  return cert;
}

function makeAuthority(now: Date): Sealed {
  const { privatePem, publicKey, privateKey } = pair();
  const cert = blank(publicKey, now, AUTHORITY_YEARS * 365);
  // Each nursery's authority has a name of its own, or a phone with two would mix them up.
  const mark = createHash('sha256').update(cert.serialNumber).digest('hex').slice(0, 8);
  const name = [{ name: 'commonName', value: `${NAME} ${mark}` }];
  cert.setSubject(name);
  cert.setIssuer(name);
  cert.setExtensions([
    { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
    { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
    { name: 'subjectKeyIdentifier' },
    nameConstraints(),
  ]);
  cert.sign(privateKey, forge.md.sha256.create());
  return { key: privatePem, cert: forge.pki.certificateToPem(cert) };
}

/** SHA-256 of the authority, as a phone shows it; null before there is one. */
export function fingerprintOf(data: string): string | null {
  const file = authorityFile(data);
  return existsSync(file) ? new X509Certificate(readFileSync(file)).fingerprint256 : null;
}

/** A certificate for names and addresses, signed by an authority. */
export function certify(authority: Sealed, names: readonly string[], now: Date): Sealed {
  const { privatePem, publicKey } = pair();
  const above = forge.pki.certificateFromPem(authority.cert);
  const cert = blank(publicKey, now, SERVER_DAYS);
  cert.setSubject([{ name: 'commonName', value: 'Welcome' }]);
  cert.setIssuer(above.subject.attributes);
  cert.setExtensions([
    { name: 'basicConstraints', cA: false, critical: true },
    { name: 'keyUsage', digitalSignature: true, keyEncipherment: true, critical: true },
    { name: 'extKeyUsage', serverAuth: true },
    {
      name: 'subjectAltName',
      altNames: names.map((name) => (isIP(name) ? { type: 7, ip: name } : { type: 2, value: name })),
    },
  ]);
  cert.sign(forge.pki.privateKeyFromPem(authority.key), forge.md.sha256.create());
  return { key: privatePem, cert: forge.pki.certificateToPem(cert) };
}

function read(data: string, name: string): Sealed | null {
  const [key, cert] = ['key', 'crt'].map((end) => join(place(data), `${name}.${end}`));
  if (!existsSync(key!) || !existsSync(cert!)) return null;
  return { key: readFileSync(key!, 'utf8'), cert: readFileSync(cert!, 'utf8') };
}

function write(data: string, name: string, { key, cert }: Sealed): void {
  mkdirSync(place(data), { recursive: true, mode: 0o700 });
  keep(join(place(data), `${name}.key`), key);
  keep(join(place(data), `${name}.crt`), cert);
}

/** Whether a certificate holds for all of the names, and for some weeks more. */
function holds({ cert }: Sealed, authority: Sealed, names: readonly string[], now: Date): boolean {
  const it = forge.pki.certificateFromPem(cert);
  const alt = it.getExtension('subjectAltName') as { altNames?: { value: string; ip?: string }[] } | null;
  const has = new Set((alt?.altNames ?? []).flatMap(({ value, ip }) => [value, ip]));
  const left = it.validity.notAfter.getTime() - now.getTime();
  try {
    return (
      left > RENEW_DAYS * DAY_MS &&
      names.every((name) => has.has(name)) &&
      forge.pki.certificateFromPem(authority.cert).verify(it)
    );
  } catch {
    return false;
  }
}

/**
 * The nursery's own small authority, made at first, and what it certifies for the names under which this machine can be
 * reached: made anew when there are others or its time runs out.
 * @param all names and addresses; what is not private is left out
 * @returns what a server is sealed with
 */
export function sealed(data: string, all: readonly string[], now: Date): Sealed {
  const names = all.filter(isPrivate);
  let authority = read(data, 'authority');
  if (!authority) write(data, 'authority', (authority = makeAuthority(now)));
  const existing = read(data, 'server');
  if (existing && holds(existing, authority, names, now)) return existing;
  const made = certify(authority, names, now);
  write(data, 'server', made);
  return made;
}
