import type { Session } from '@/contract/access';
import type { Asking, Handlers } from '../http/mount';
import { invalid, notFound, Problem } from '../http/problem';
import { deletePasskey, listPasskeys, listSessions, updatePerson, type PersonRow } from '../storage/access';
import type { AccessDeps, StateOf } from './deps';
import { passkeysOf } from './passkeys';
import { hashed, matches } from './passwords';
import { SHARED_LOCK_MIN } from './sessions';
import { roleOf, type Visitor } from './visitor';

type Names =
  'changeOwnAccess' | 'ownPasskeys' | 'newPasskeyOptions' | 'addPasskey' | 'removePasskey' | 'sessions' | 'endSession';

/** What everybody changes about their own coming in. */
export function ownAccessHandlers({
  database,
  clock,
  door,
  stateOf,
}: AccessDeps & { stateOf: StateOf }): Pick<Handlers, Names> {
  const { sessions } = door;
  const passkeys = passkeysOf({ database, clock });
  const own = async (visitor: Visitor) => {
    const mine = (await listPasskeys(database)).filter(({ personId }) => personId === visitor.person?.id);
    return { passkeys: mine.map(({ id, name, madeAt, usedAt }) => ({ id, name, madeAt, usedAt })) };
  };
  const seen = async (visitor: Visitor): Promise<Session[]> => {
    const people = await sessions.people();
    const all = await listSessions(database, clock.now());
    const isKeeper = roleOf(visitor) === 'keeper';
    return all
      .filter(({ personId }) => isKeeper || personId === visitor.person?.id)
      .map(({ id, personId, device, isShared, madeAt, seenAt }) => ({
        ...{ id, personId, device, isShared, madeAt, seenAt, isThis: id === visitor.session?.id },
        name: people.find((each) => each.id === personId)?.name ?? '',
      }));
  };

  return {
    changeOwnAccess: async ({ body }, { visitor, request }) => {
      const { person, session } = requirePerson(visitor);
      if (body.password !== undefined) {
        const isRight = person.password === null || (await matches(person.password, body.before ?? ''));
        if (!isRight) throw invalid('before', 'Must be the password up to now.');
      }
      const { pin } = body;
      await updatePerson(database, {
        ...person,
        ...(body.password !== undefined && { password: await hashed(body.password) }),
        ...(pin !== undefined && { pin: pin === null ? null : await hashed(pin) }),
      });
      sessions.forget();
      if (body.lockAfterMin !== undefined) {
        if (session.isShared && (body.lockAfterMin ?? Infinity) > 60) {
          throw invalid(
            'lockAfterMin',
            `Must be at most 60 minutes where several share a page; usual is ${SHARED_LOCK_MIN}.`,
          );
        }
        await sessions.change({ ...session, lockAfterMin: body.lockAfterMin, touchedAt: clock.now() });
      }
      if (body.password !== undefined) await sessions.endAllOf(person.id, session.id);
      return stateOf(await door.look(request));
    },

    ownPasskeys: ({}, { visitor }) => own(visitor),
    newPasskeyOptions: async ({}, { visitor }) => ({ ...(await passkeys.registration(visitor)) }),
    addPasskey: async ({ body }, { visitor }) => {
      requirePerson(visitor);
      await passkeys.register(visitor, body.name, body.answer);
      sessions.forget();
      await door.tell(visitor, 'changed', `made a passkey: ${body.name}`);
      return own(visitor);
    },
    removePasskey: async ({ params }, { visitor }) => {
      const { person } = requirePerson(visitor);
      await requireAnotherWayIn(person, params.passkeyId);
      await deletePasskey(database, params.passkeyId, person.id);
      sessions.forget();
      await door.tell(visitor, 'changed', 'took a passkey away');
      return own(visitor);
    },

    sessions: async ({}, { visitor }) => ({ sessions: await seen(visitor) }),
    endSession: async ({ params }, { visitor, keep }: Asking) => {
      const found = (await seen(visitor)).find(({ id }) => id === params.id);
      if (!found) throw notFound('session with that id');
      await sessions.end(found.id);
      if (found.isThis) keep(null);
      await door.tell(visitor, 'ended', `signed ${found.name} out on ${found.device}`);
      return { sessions: await seen(visitor) };
    },
  };

  async function requireAnotherWayIn({ id, password, role }: PersonRow, passkeyId: string): Promise<void> {
    const left = (await listPasskeys(database)).filter((each) => each.personId === id && each.id !== passkeyId);
    if (role === 'keeper' && password === null && left.length === 0) {
      throw new Problem('conflict', 'Nothing else lets you in: set a password first.');
    }
  }
}

/** @throws in a house where nobody signs in: there is nobody whose it could be */
function requirePerson({ person, session }: Visitor) {
  if (person && session) return { person, session };
  throw new Problem('conflict', 'Nobody is signed in: this house is open on this machine. Set a password first.');
}
