import { randomBytes, scrypt, timingSafeEqual, type ScryptOptions } from 'node:crypto';

/** What is used of the package `argon2`, which brings a part made for this machine, or does not. */
interface Argon2 {
  hash: (text: string, options: object) => Promise<string>;
  verify: (hash: string, text: string) => Promise<boolean>;
}

/** @source OWASP, Password Storage Cheat Sheet: Argon2id with 19 MiB, 2 passes, 1 lane; from memory */
const ARGON = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };
/** @source OWASP, Password Storage Cheat Sheet: scrypt with N = 2^17, r = 8, p = 1; from memory */
const SCRYPT = { N: 2 ** 17, r: 8, p: 1, maxmem: 2 ** 28 } satisfies ScryptOptions;
const KEY_BYTES = 32;
/** One is worked out after the other: each takes 19 to 128 MB, and a crowd that guesses must not take all there is. */
let last: Promise<unknown> = Promise.resolve();

const oneByOne = <Result>(work: () => Promise<Result>): Promise<Result> => {
  const next = last.then(work, work);
  last = next.catch(() => undefined);
  return next;
};

const argon2 = (): Promise<Argon2 | undefined> =>
  import('argon2').then(
    (found) => (found.default ?? found) as Argon2,
    () => undefined,
  );

/** A password or PIN as it is kept: nobody reads it back. */
export const hashed = (text: string): Promise<string> =>
  oneByOne(async () => {
    const argon = await argon2();
    if (argon) return argon.hash(normal(text), ARGON);
    const salt = randomBytes(16);
    const key = await derived(normal(text), salt);
    return `$scrypt$${salt.toString('base64url')}$${key.toString('base64url')}`;
  });

/** Whether a text is the one that was hashed. Takes as long for nobody's hash: who is known is not told by the time it takes. */
export async function matches(hash: string | null | undefined, text: string): Promise<boolean> {
  const of = hash ?? (await nobodys());
  const isRight = await oneByOne(async () => {
    const [, method, salt = '', key = ''] = of.split('$');
    if (method !== 'scrypt') return (await argon2())?.verify(of, normal(text)) ?? false;
    const known = Buffer.from(key, 'base64url');
    return timingSafeEqual(known, await derived(normal(text), Buffer.from(salt, 'base64url')));
  });
  return isRight && hash !== null && hash !== undefined;
}

let nobody: Promise<string> | undefined;
const nobodys = (): Promise<string> => (nobody ??= hashed(randomBytes(16).toString('hex')));

/** One text has one form, whatever keyboard it was typed on. @source NIST SP 800-63B, 5.1.1.2: NFKC; from memory */
const normal = (text: string) => text.normalize('NFKC');

const derived = (text: string, salt: Buffer): Promise<Buffer> =>
  new Promise((resolve, reject) =>
    scrypt(text, salt, KEY_BYTES, SCRYPT, (error, key) => (error ? reject(error) : resolve(key))),
  );
