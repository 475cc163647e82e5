import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
  type AuthenticationResponseJSON,
  type RegistrationResponseJSON,
} from '@simplewebauthn/server';
import type { Clock } from '../clock';
import { invalid, Problem } from '../http/problem';
import { insertPasskey, listPasskeys, usePasskey, type PasskeyRow } from '../storage/access';
import type { Database } from '../storage/database';
import type { Visitor } from './visitor';

/** A question is answered within so long, or asked anew. ms */
const ASKED_FOR_MS = 5 * 60_000;
const MOST_ASKED = 500;

/** An address of numbers has no passkeys. @source W3C, Web Authentication, "RP ID": a domain; from memory */
export const canHavePasskeys = ({ site }: Pick<Visitor, 'site'>): boolean => !/^(\[.*\]|[\d.]+)$/.test(site);

/** Keys that an authenticator holds for this house, by the name under which it is opened. */
export function passkeysOf({ database, clock }: { database: Database; clock: Clock }) {
  /** What was asked, and when: each question is answered once. */
  const asked = new Map<string, number>();
  const remember = (challenge: string) => {
    const now = Date.parse(clock.now());
    for (const [each, at] of asked) if (now - at > ASKED_FOR_MS || asked.size >= MOST_ASKED) asked.delete(each);
    asked.set(challenge, now);
  };
  const wasAsked = (challenge: string) => {
    const at = asked.get(challenge);
    asked.delete(challenge);
    return at !== undefined && Date.parse(clock.now()) - at <= ASKED_FOR_MS;
  };
  const here = async ({ site }: Visitor) => (await listPasskeys(database)).filter((each) => each.site === site);
  const refused = () => new Problem('unauthorized', 'That passkey does not open this house.');

  return {
    here,
    registration: async (visitor: Visitor) => {
      const { person } = visitor;
      if (!person) throw new Problem('unauthorized', 'Sign in first.');
      if (!canHavePasskeys(visitor)) {
        throw invalid('site', 'Open the house under its name, not under its number: passkeys belong to a name.');
      }
      const known = (await here(visitor)).filter((each) => each.personId === person.id);
      const options = await generateRegistrationOptions({
        ...{ rpName: 'Verdant Burrow', rpID: visitor.site, userName: person.name },
        userID: new TextEncoder().encode(person.id),
        excludeCredentials: known.map(({ id }) => ({ id })),
        authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
      });
      remember(options.challenge);
      return options;
    },
    register: async (visitor: Visitor, name: string, answer: unknown): Promise<void> => {
      const { person } = visitor;
      const verified = await verifyRegistrationResponse({
        response: answer as RegistrationResponseJSON,
        ...{ expectedChallenge: wasAsked, expectedOrigin: visitor.origin, expectedRPID: visitor.site },
      }).catch(() => undefined);
      if (!person || !verified?.verified) throw invalid('answer', 'This passkey could not be read. Make it again.');
      const { credential } = verified.registrationInfo;
      await insertPasskey(database, {
        ...{ id: credential.id, personId: person.id, site: visitor.site, name },
        publicKey: Buffer.from(credential.publicKey).toString('base64url'),
        ...{ counter: credential.counter, transports: credential.transports ?? [] },
        ...{ madeAt: clock.now(), usedAt: null },
      });
    },
    authentication: async ({ site }: Visitor) => {
      // No key is named: whoever asks is not told who has one.
      const options = await generateAuthenticationOptions({ rpID: site, userVerification: 'required' });
      remember(options.challenge);
      return options;
    },
    /** @returns whose key it is @throws Problem for one that is not of this house, or was copied */
    authenticate: async (visitor: Visitor, answer: unknown): Promise<string> => {
      const response = answer as AuthenticationResponseJSON;
      const key = (await here(visitor)).find(({ id }) => id === response.id);
      if (!key) throw refused();
      const verified = await verifyAuthenticationResponse({
        response,
        ...{ expectedChallenge: wasAsked, expectedOrigin: visitor.origin, expectedRPID: visitor.site },
        credential: credentialOf(key),
      }).catch(() => undefined);
      if (!verified?.verified) throw refused();
      await usePasskey(database, key.id, verified.authenticationInfo.newCounter, clock.now());
      return key.personId;
    },
  };
}

export type Passkeys = ReturnType<typeof passkeysOf>;

const credentialOf = ({ id, publicKey, counter, transports }: PasskeyRow) => ({
  ...{ id, counter, transports: transports as AuthenticatorTransportFuture[] },
  publicKey: new Uint8Array(Buffer.from(publicKey, 'base64url')),
});
type AuthenticatorTransportFuture = NonNullable<
  Parameters<typeof verifyAuthenticationResponse>[0]['credential']['transports']
>[number];
