import { createHash, randomBytes } from 'node:crypto';

/** The secret part of an address, or the token of a device: nobody guesses 192 bits. Only its digest is kept. */
export const newSecret = (): string => randomBytes(24).toString('base64url');

export const digestOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');

/** What cannot be a secret is not looked up. */
export const isSecret = (text: string): boolean => /^[\w-]{32}$/.test(text);
