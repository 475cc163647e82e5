import { z } from 'zod';
import { id, instant, line, oneOf } from './primitives';
import { ROLES } from './roles';

/** Shorter ones are guessed. @source NIST SP 800-63B, 5.1.1.2: at least 8, here more, as nothing else is asked of it; from memory */
export const SHORTEST_PASSWORD = 10;

const password = z
  .string({ error: 'Must be a password.' })
  .min(SHORTEST_PASSWORD, { error: `Must be at least ${SHORTEST_PASSWORD} letters long: a few words will do.` })
  .max(200, { error: 'Must be at most 200 letters long.' });
/** As it was typed: whether it is right is told by the sign-in. */
const typed = z.string({ error: 'Must be a text.' }).min(1, { error: 'Must be given.' }).max(200);
const pin = z.string().regex(/^\d{4,8}$/, { error: 'Must be 4 to 8 digits.' });
const name = line('a name', 60);
const role = oneOf(ROLES);
const lockAfterMin = z
  .int({ error: 'Must be a whole number of minutes.' })
  .min(1, { error: 'Must be at least 1 minute.' })
  .max(720, { error: 'Must be at most 720 minutes.' })
  .nullable();

export const person = z.object({
  id,
  name: z.string(),
  role,
  hasPassword: z.boolean(),
  hasPin: z.boolean(),
  passkeys: z.int(),
  /** Phones and browsers on which this person is signed in now. */
  sessions: z.int(),
});
export type Person = z.infer<typeof person>;

/**
 * How the house stands to whoever asks: `open`, nobody has to sign in on this machine; `setup`, nobody can sign in yet and the
 * code of the terminal is asked for; `signed-out`, `locked` or `signed-in`.
 */
export const access = z.object({
  state: oneOf(['open', 'setup', 'signed-out', 'locked', 'signed-in']),
  /** Whose session it is, also while it is locked. */
  who: z.object({ id, name: z.string(), role }).nullable(),
  sessionId: id.nullable(),
  /** A tablet that several use. */
  isShared: z.boolean(),
  /** After so long without a touch the session locks itself; null for never. minutes */
  lockAfterMin: z.int().nullable(),
  /** Who can unlock it with a PIN: told on a session that is locked, and of a tablet that several share. */
  withPin: z.array(z.string()),
  /** Whether somebody has a passkey for the name under which the page was opened. */
  hasPasskeys: z.boolean(),
  /** Whether passkeys can be made under this name: an address of numbers has none. */
  canHavePasskeys: z.boolean(),
});
export type Access = z.infer<typeof access>;

/** An address as a code to be scanned: its dark squares as the path of a picture in which each is 1 wide. */
const scannable = z.object({ address: z.string(), path: z.string(), squares: z.int() });

/** How phones come in from the home network; null where the house answers this machine alone. */
export const network = z.object({
  house: z.string(),
  /** The page that tells how a phone trusts the authority of the house. */
  trust: scannable,
  /** Of the authority, SHA-256. */
  fingerprint: z.string(),
});
export type Network = z.infer<typeof network>;

export const pairing = scannable.extend({ endsAt: instant });
export type Pairing = z.infer<typeof pairing>;

export const setUpBody = z.strictObject({ name, password, code: typed.optional() });
export const signInBody = z.strictObject({
  name: typed,
  password: typed,
  /** A tablet that several use: it locks after some minutes, and a PIN opens it. */
  isShared: z.boolean().default(false),
});
export const unlockBody = z.strictObject({ name: typed, pin: typed });
export const pairBody = z.strictObject({ secret: typed });

export const newPerson = z.strictObject({ name, role, password: password.optional() });
export const personChange = z
  .strictObject({ role, password: password.nullable() })
  .partial()
  .refine((change) => Object.keys(change).length > 0, { error: 'Give at least one field to change.' });

export const ownChange = z
  .strictObject({
    /** The password up to now goes with a new one, where there was one. */
    password,
    before: typed,
    pin: pin.nullable(),
    lockAfterMin,
  })
  .partial()
  .refine((change) => Object.keys(change).length > 0, { error: 'Give at least one field to change.' });

export const session = z.object({
  id,
  personId: id,
  name: z.string(),
  /** The browser and its system, as it names itself. */
  device: z.string(),
  isShared: z.boolean(),
  isThis: z.boolean(),
  madeAt: instant,
  seenAt: instant,
});
export type Session = z.infer<typeof session>;

export const passkey = z.object({ id: z.string(), name: z.string(), madeAt: instant, usedAt: instant.nullable() });
export type Passkey = z.infer<typeof passkey>;

/** What a browser asks of its authenticator, and what that answers: the forms of WebAuthn, which its package reads. */
export const webAuthn = z.record(z.string(), z.unknown());

export const ACCESS_EVENTS = [
  'set-up',
  'signed-in',
  'refused',
  'signed-out',
  'paired',
  'ended',
  'changed',
  'exported',
] as const;

export const accessEvent = z.object({
  at: instant,
  /** Null where nobody was signed in: somebody at this machine, or somebody who was refused. */
  who: z.string().nullable(),
  what: oneOf(ACCESS_EVENTS),
  /** In words. */
  detail: z.string(),
  /** Where it came from. */
  address: z.string(),
});
export type AccessEvent = z.infer<typeof accessEvent>;
