import { z } from 'zod';
import {
  access,
  accessEvent,
  network,
  newPerson,
  ownChange,
  pairBody,
  pairing,
  passkey,
  person,
  personChange,
  session,
  setUpBody,
  signInBody,
  unlockBody,
  webAuthn,
} from './access';
import type { Endpoint } from './endpoint';
import { id, line } from './primitives';
import { routes } from './routes';

const byId = z.strictObject({ id });
const onePerson = z.object({ person });

/** Who may come in, who is in, and who was. */
export const accessEndpoints = {
  access: {
    ...routes.access,
    summary: 'How the house stands to whoever asks: open, to be set up, or signed in as whom.',
    reply: access,
  },
  setUp: {
    ...routes.setUp,
    summary: 'Makes the first keeper who can sign in. From another machine the code of the terminal is needed.',
    body: setUpBody,
    reply: access,
  },
  signIn: {
    ...routes.signIn,
    summary: 'Signs in with name and password; the session is in a cookie.',
    body: signInBody,
    reply: access,
  },
  signOut: { ...routes.signOut, summary: 'Ends the session of the cookie.', reply: access },
  lockSession: {
    ...routes.lockSession,
    summary: 'Locks the session of the cookie until a PIN, a password or a passkey opens it.',
    reply: access,
  },
  unlockSession: {
    ...routes.unlockSession,
    summary:
      'Opens a locked session with a PIN: from then on it is the session of whose PIN it is. Five wrong ones end it.',
    body: unlockBody,
    reply: access,
  },
  stayAwake: {
    ...routes.stayAwake,
    summary: 'Tells that somebody touches the page: a shared session does not lock.',
    reply: access,
  },
  pairPhone: {
    ...routes.pairPhone,
    summary: 'Signs a phone in by the code it has read from a screen; each code works once.',
    body: pairBody,
    reply: access,
  },
  passkeySignInOptions: {
    ...routes.passkeySignInOptions,
    summary: 'What a browser asks its authenticator for, to sign in with a passkey (WebAuthn).',
    reply: webAuthn,
  },
  passkeySignIn: {
    ...routes.passkeySignIn,
    summary: 'Signs in with what the authenticator answered.',
    body: webAuthn,
    reply: access,
  },
  changeOwnAccess: {
    ...routes.changeOwnAccess,
    summary: 'Changes one’s own password or PIN, or when this session locks.',
    body: ownChange,
    reply: access,
  },
  ownPasskeys: {
    ...routes.ownPasskeys,
    summary: 'One’s own passkeys.',
    reply: z.object({ passkeys: z.array(passkey) }),
  },
  newPasskeyOptions: {
    ...routes.newPasskeyOptions,
    summary: 'What a browser asks its authenticator for, to make a passkey.',
    reply: webAuthn,
  },
  addPasskey: {
    ...routes.addPasskey,
    summary: 'Keeps a passkey that the authenticator has made.',
    body: z.strictObject({ name: line('a name for the passkey', 60), answer: webAuthn }),
    reply: z.object({ passkeys: z.array(passkey) }),
    status: 201,
  },
  removePasskey: {
    ...routes.removePasskey,
    summary: 'Forgets a passkey: it opens nothing any more.',
    params: z.strictObject({ passkeyId: z.string().max(1400) }),
    reply: z.object({ passkeys: z.array(passkey) }),
  },
  sessions: {
    ...routes.sessions,
    summary: 'Where one is signed in; for a keeper, where everybody is.',
    reply: z.object({ sessions: z.array(session) }),
  },
  endSession: {
    ...routes.endSession,
    summary: 'Ends a session: that phone or browser is signed out at once.',
    params: byId,
    reply: z.object({ sessions: z.array(session) }),
  },
  people: {
    ...routes.people,
    summary: 'Who can come in, and as what.',
    reply: z.object({ people: z.array(person), network: network.nullable() }),
  },
  addPerson: {
    ...routes.addPerson,
    summary: 'Somebody who may come in, with a password or by pairing a phone.',
    body: newPerson,
    reply: onePerson,
    status: 201,
  },
  changePerson: {
    ...routes.changePerson,
    summary: 'Another role or password. The sessions of a new password end; the last keeper stays one.',
    params: byId,
    body: personChange,
    reply: onePerson,
  },
  removePerson: {
    ...routes.removePerson,
    summary: 'Lets somebody in no more: all their sessions end.',
    params: byId,
    reply: z.object({ removed: id }),
  },
  beginPairing: {
    ...routes.beginPairing,
    summary: 'A code that signs one phone in as somebody, once, within ten minutes.',
    params: byId,
    reply: pairing,
    status: 201,
  },
  accessLog: {
    ...routes.accessLog,
    summary: 'Who signed in, was refused, changed rules or people, and took data out: the newest 500.',
    reply: z.object({ events: z.array(accessEvent) }),
  },
} as const satisfies Record<string, Endpoint>;
