import type { Session } from '@/contract/access';
import type { Asking, Handlers } from '../http/mount';
import { invalid, notFound, Problem } from '../http/problem';
import { deletePasskey, listPasskeys, listSessions, updatePerson, type PersonRow } from '../storage/access';
import type { AccessDeps } from './deps';
import { hashed, matches } from './passwords';
import { SHARED_LOCK_MIN } from './sessions';
import { roleOf, type Visitor } from './visitor';

type Names =
  'changeOwnAccess' | 'ownPasskeys' | 'newPasskeyOptions' | 'addPasskey' | 'removePasskey' | 'sessions' | 'endSession';

/** Longer nobody leaves a page open that others take up. minutes, chosen here */
const LATEST_SHARED_LOCK_MIN = 60;

/** What everybody changes about their own coming in. */
export function ownAccessHandlers({ database, clock, door, passkeys, stateOf }: AccessDeps): Pick<Handlers, Names> {
  const { sessions } = door;
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
      const { password, pin, lockAfterMin } = body;
      // All of it is looked at before any of it is kept.
      if (password !== undefined && person.password !== null && !(await matches(person.password, body.before ?? ''))) {
        throw invalid('before', 'Must be the password up to now.');
      }
      if (lockAfterMin !== undefined && session.isShared && (lockAfterMin ?? Infinity) > LATEST_SHARED_LOCK_MIN) {
        throw invalid(
          'lockAfterMin',
          `Must be at most ${LATEST_SHARED_LOCK_MIN} minutes where several share a page; usual is ${SHARED_LOCK_MIN}.`,
        );
      }
      await updatePerson(database, person.id, {
        password: password === undefined ? undefined : await hashed(password),
        pin: pin === undefined || pin === null ? pin : await hashed(pin),
      });
      sessions.forget();
      if (lockAfterMin !== undefined) await sessions.lockAfter(session.id, lockAfterMin);
      if (password !== undefined) await sessions.endAllOf(person.id, session.id);
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
