import 'reflect-metadata';
import { createHash, webcrypto, X509Certificate as NodeCertificate } from 'node:crypto';
import fs from 'node:fs';
import net from 'node:net';
import path from 'node:path';
import {
  AuthorityKeyIdentifierExtension,
  BasicConstraintsExtension,
  cryptoProvider,
  ExtendedKeyUsage,
  ExtendedKeyUsageExtension,
  KeyUsageFlags,
  KeyUsagesExtension,
  PemConverter,
  SubjectAlternativeNameExtension,
  SubjectKeyIdentifierExtension,
  X509Certificate,
  X509CertificateGenerator,
} from '@peculiar/x509';
import type { Certificate } from './speakingTls';

cryptoProvider.set(webcrypto as Crypto);
const { subtle } = webcrypto;

const DAY_MS = 24 * 3600 * 1000;
const AUTHORITY_DAYS = 3650;
/** @source Apple, "About upcoming limits on trusted certificates": at most 398 days where they are to be believed; from memory */
const SERVER_DAYS = 200;
/** Made anew this long before it ends. days */
const RENEWED_DAYS = 30;
const CURVE = { name: 'ECDSA', namedCurve: 'P-256' };
const SIGNING = { ...CURVE, hash: 'SHA-256' };

/** What a server shows to prove that it is this house. */
export interface ServerCertificate extends Certificate {
  /** The authority that has signed it, for phones to trust, and its fingerprint: SHA-256, in pairs of hexadecimal figures. */
  authority: string;
  fingerprint: string;
  until: Date;
}

interface Pair {
  cert: X509Certificate;
  key: webcrypto.CryptoKey;
}

/**
 * The certificate of this house for the names and addresses it has now, signed by an authority of its own. Both are made where
 * they are not there; that of the server again when it ends soon or the names have changed. Keys are kept in the folder,
 * readable to its owner alone.
 * @param folder is made where it is not there
 * @param names host names and IP addresses
 */
export async function certificateFor(folder: string, names: readonly string[], now: Date): Promise<ServerCertificate> {
  fs.mkdirSync(folder, { recursive: true, mode: 0o700 });
  const authority = (await read(folder, 'authority', now)) ?? (await makeAuthority(folder, now));
  const known = await read(folder, 'server', new Date(now.getTime() + RENEWED_DAYS * DAY_MS));
  const isGood =
    known !== undefined &&
    holds(known.cert, names) &&
    (await known.cert.verify({ publicKey: authority.cert, date: now }));
  const server = isGood ? known : await makeServer(folder, authority, names, now);
  const der = Buffer.from(authority.cert.rawData);
  return {
    cert: server.cert.toString('pem'),
    key: fs.readFileSync(path.join(folder, 'server.key'), 'utf8'),
    authority: authority.cert.toString('pem'),
    fingerprint: (createHash('sha256').update(der).digest('hex').toUpperCase().match(/../g) ?? []).join(':'),
    until: server.cert.notAfter,
  };
}

const newKeys = () => subtle.generateKey(CURVE, true, ['sign', 'verify']) as Promise<webcrypto.CryptoKeyPair>;

async function makeAuthority(folder: string, now: Date): Promise<Pair> {
  const keys = await newKeys();
  const cert = await X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(),
    name: 'CN=Verdant Burrow of this house,O=Verdant Burrow',
    notBefore: new Date(now.getTime() - DAY_MS),
    notAfter: new Date(now.getTime() + AUTHORITY_DAYS * DAY_MS),
    signingAlgorithm: SIGNING,
    keys,
    extensions: [
      // It signs certificates of servers, and no other authority.
      new BasicConstraintsExtension(true, 0, true),
      new KeyUsagesExtension(KeyUsageFlags.keyCertSign | KeyUsageFlags.cRLSign, true),
      await SubjectKeyIdentifierExtension.create(keys.publicKey),
    ],
  });
  await write(folder, 'authority', cert, keys.privateKey);
  return { cert, key: keys.privateKey };
}

async function makeServer(folder: string, authority: Pair, names: readonly string[], now: Date): Promise<Pair> {
  const keys = await newKeys();
  const until = Math.min(now.getTime() + SERVER_DAYS * DAY_MS, authority.cert.notAfter.getTime());
  const cert = await X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: 'CN=Verdant Burrow',
    issuer: authority.cert.subject,
    notBefore: new Date(now.getTime() - DAY_MS),
    notAfter: new Date(until),
    signingAlgorithm: SIGNING,
    publicKey: keys.publicKey,
    signingKey: authority.key,
    extensions: [
      new BasicConstraintsExtension(false, undefined, true),
      new KeyUsagesExtension(KeyUsageFlags.digitalSignature, true),
      new ExtendedKeyUsageExtension([ExtendedKeyUsage.serverAuth]),
      new SubjectAlternativeNameExtension(
        names.map((value) => ({ type: net.isIP(value) ? ('ip' as const) : ('dns' as const), value })),
      ),
      await SubjectKeyIdentifierExtension.create(keys.publicKey),
      await AuthorityKeyIdentifierExtension.create(authority.cert.publicKey),
    ],
  });
  await write(folder, 'server', cert, keys.privateKey);
  return { cert, key: keys.privateKey };
}

/** Browsers take no two certificates of one authority with the same number. */
const serial = () =>
  Buffer.from(webcrypto.getRandomValues(new Uint8Array(16)))
    .toString('hex')
    .replace(/^[89a-f]/, '1');

async function write(folder: string, name: string, cert: X509Certificate, key: webcrypto.CryptoKey): Promise<void> {
  const pem = PemConverter.encode(await subtle.exportKey('pkcs8', key), 'PRIVATE KEY');
  for (const [file, text] of [
    [`${name}.key`, pem],
    [`${name}.crt`, cert.toString('pem')],
  ] as const) {
    const draft = path.join(folder, `${file}.${process.pid}`);
    fs.writeFileSync(draft, text, { mode: 0o600 });
    fs.renameSync(draft, path.join(folder, file));
  }
}

/** What is kept under a name, where it is whole and holds at least until a day. */
async function read(folder: string, name: string, until: Date): Promise<Pair | undefined> {
  try {
    const pem = fs.readFileSync(path.join(folder, `${name}.key`), 'utf8');
    const der = PemConverter.decodeFirst(pem);
    const key = await subtle.importKey('pkcs8', der, CURVE, true, ['sign']);
    const cert = new X509Certificate(fs.readFileSync(path.join(folder, `${name}.crt`), 'utf8'));
    return cert.notAfter > until && cert.notBefore <= until ? { cert, key } : undefined;
  } catch {
    return undefined;
  }
}

const holds = (cert: X509Certificate, names: readonly string[]): boolean => {
  const node = new NodeCertificate(Buffer.from(cert.rawData));
  return names.every((name) => (net.isIP(name) ? node.checkIP(name) : node.checkHost(name)) !== undefined);
};
