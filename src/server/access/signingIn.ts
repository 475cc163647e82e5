import { randomUUID } from 'node:crypto';
import type { Asking, Handlers } from '../http/mount';
import { invalid, notFound, Problem } from '../http/problem';
import { digestOf, isSecret } from '../secrets';
import { insertPerson, takePairing, updatePerson, type PersonRow } from '../storage/access';
import { holdsKeeper, isSameName } from './keeperOfPerson';
import { hashed, matches } from './passwords';
import { canHavePasskeys } from './passkeys';
import type { AccessDeps, StateOf } from './deps';

type Names =
  | 'access'
  | 'setUp'
  | 'signIn'
  | 'signOut'
  | 'lockSession'
  | 'unlockSession'
  | 'stayAwake'
  | 'pairPhone'
  | 'passkeySignInOptions'
  | 'passkeySignIn';

/** How the house stands to somebody, as their page is told. */
export function stateTeller({ door, passkeys }: Pick<AccessDeps, 'door' | 'passkeys'>): StateOf {
  return async (visitor) => {
    const { state, person, session } = visitor;
    // Who shares a tablet is told on that tablet alone.
    const known = session?.isShared ? await door.sessions.people() : person ? [person] : [];
    return {
      state,
      who: person && { id: person.id, name: person.name, role: person.role },
      sessionId: session?.id ?? null,
      isShared: session?.isShared ?? false,
      lockAfterMin: session?.lockAfterMin ?? null,
      withPin: known.filter(({ pin }) => pin !== null).map(({ name }) => name),
      hasPasskeys: (await passkeys.here(visitor)).length > 0,
      canHavePasskeys: canHavePasskeys(visitor),
    };
  };
}

/** From the door into the house and out of it. */
export function signingInHandlers(deps: AccessDeps): Pick<Handlers, Names> {
  const { database, clock, door, passkeys, stateOf, setupCode } = deps;
  const { sessions } = door;
  /** How it stands after somebody came in by this request. */
  const enter = async ({ visitor, request, keep }: Asking, personId: string, isShared: boolean) => {
    if (visitor.session) await sessions.end(visitor.session.id);
    const token = await sessions.begin(personId, visitor.device, isShared);
    keep(token);
    return door.look(request, token);
  };
  const leave = async ({ visitor, request, keep }: Asking) => {
    if (visitor.session) await sessions.end(visitor.session.id);
    keep(null);
    return stateOf(await door.look(request, null));
  };
  const named = async (name: string) => (await sessions.people()).find((each) => isSameName(each.name, name));

  return {
    access: ({}, { visitor }) => stateOf(visitor),

    setUp: async ({ body }, asking) => {
      const { visitor } = asking;
      if (visitor.state !== 'open' && !setupCode?.take(body.code)) {
        await door.tell(visitor, 'refused', 'a wrong code to set the house up', body.name);
        throw new Problem('unauthorized', 'That is not the code in the terminal of the server.', [
          { path: 'code', message: 'Must be the code that the server has printed as it started.' },
        ]);
      }
      const password = await hashed(body.password);
      const known = await named(body.name);
      const id = known?.id ?? randomUUID();
      const name = known?.name ?? body.name;
      await database.transaction(async (queries) => {
        await (known
          ? updatePerson(queries, id, { role: 'keeper', password })
          : insertPerson(queries, { id, name, role: 'keeper', password }));
        await holdsKeeper(queries, name, clock.today());
      });
      sessions.forget();
      const now = await enter(asking, id, false);
      await door.tell(now, 'set-up', 'made the house one to sign in to');
      return stateOf(now);
    },

    signIn: async ({ body }, asking) => {
      const person = await named(body.name);
      if (!(await matches(person?.password, body.password))) {
        await door.tell(asking.visitor, 'refused', 'a wrong name or password', body.name.slice(0, 60));
        throw new Problem('unauthorized', 'Name and password do not go together.', [
          { path: 'password', message: 'Must be the password of that name.' },
        ]);
      }
      const now = await enter(asking, (person as PersonRow).id, body.isShared);
      await door.tell(now, 'signed-in', `with a password, on ${now.device}`);
      return stateOf(now);
    },

    signOut: async ({}, asking) => {
      if (asking.visitor.person) await door.tell(asking.visitor, 'signed-out', `on ${asking.visitor.device}`);
      return leave(asking);
    },

    lockSession: async ({}, { visitor, request }) => {
      if (visitor.session && visitor.state === 'signed-in') await sessions.lock(visitor.session.id);
      return stateOf(await door.look(request));
    },

    unlockSession: async ({ body }, { visitor, request }) => {
      const { session, person } = visitor;
      if (!session || !person) throw new Problem('unauthorized', 'There is nothing to unlock: sign in.');
      const asked = session.isShared ? await named(body.name) : isSameName(person.name, body.name) ? person : undefined;
      if (!(await matches(asked?.pin, body.pin))) {
        await sessions.wrongPin(session.id);
        await door.tell(visitor, 'refused', 'a wrong PIN', body.name.slice(0, 60));
        throw new Problem('unauthorized', 'That is not the PIN.', [
          { path: 'pin', message: 'Must be the PIN of that name.' },
        ]);
      }
      await sessions.open(session.id, (asked as PersonRow).id);
      return stateOf(await door.look(request));
    },

    stayAwake: async ({}, { visitor, request }) => {
      if (visitor.session) await sessions.touch(visitor.session.id);
      return stateOf(await door.look(request));
    },

    pairPhone: async ({ body }, asking) => {
      const personId = isSecret(body.secret)
        ? await takePairing(database, digestOf(body.secret), clock.now())
        : undefined;
      if (personId === undefined) {
        await door.tell(asking.visitor, 'refused', 'a pairing code that is over');
        throw notFound('pairing at that address: each code works once, for ten minutes. Have another one shown');
      }
      const now = await enter(asking, personId, false);
      await door.tell(now, 'paired', now.device);
      return stateOf(now);
    },

    passkeySignInOptions: async ({}, { visitor }) => {
      if (!canHavePasskeys(visitor)) throw invalid('site', 'Passkeys belong to a name: open the house under its name.');
      return { ...(await passkeys.authentication(visitor)) };
    },

    passkeySignIn: async ({ body }, asking) => {
      const personId = await passkeys.authenticate(asking.visitor, body).catch(async (error: unknown) => {
        await door.tell(asking.visitor, 'refused', 'a passkey that does not open this house');
        throw error;
      });
      sessions.forget();
      const now = await enter(asking, personId, false);
      await door.tell(now, 'signed-in', `with a passkey, on ${now.device}`);
      return stateOf(now);
    },
  };
}
