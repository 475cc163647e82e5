import { randomUUID } from 'node:crypto';
import type { Person } from '@/contract/access';
import type { Handlers } from '../http/mount';
import { notFound, Problem } from '../http/problem';
import { pathOf, squaresOf } from '../labels/squares';
import { digestOf, newSecret } from '../secrets';
import {
  deletePerson,
  insertPairing,
  insertPerson,
  listAccessEvents,
  listSessions,
  updatePerson,
  type PersonRow,
} from '../storage/access';
import type { AccessDeps } from './deps';
import { holdsKeeper, isSameName } from './keeperOfPerson';
import { hashed } from './passwords';
import { canComeAsKeeper, type Sessions } from './sessions';

type Names = 'people' | 'addPerson' | 'changePerson' | 'removePerson' | 'beginPairing' | 'accessLog';

/** A pairing code stands so long on the screen. ms */
const PAIRING_MS = 10 * 60_000;
const SHOWN_EVENTS = 500;

/** Whom keepers let in, and as what. */
export function peopleHandlers({ database, clock, door, network }: AccessDeps): Pick<Handlers, Names> {
  const { sessions } = door;
  const all = async (): Promise<Person[]> => {
    const open = await listSessions(database, clock.now());
    return (await sessions.people()).map(({ id, name, role, password, pin, passkeys }) => ({
      ...{ id, name, role, passkeys, hasPassword: password !== null, hasPin: pin !== null },
      sessions: open.filter(({ personId }) => personId === id).length,
    }));
  };
  const one = async (id: string) => {
    const person = (await all()).find((each) => each.id === id);
    if (!person) throw notFound('person with that id');
    return person;
  };
  const row = async (id: string): Promise<PersonRow> => {
    const person = (await sessions.people()).find((each) => each.id === id);
    if (!person) throw notFound('person with that id');
    return person;
  };
  const requireHouseToSignIn = async () => {
    if (!(await sessions.hasKeeper())) {
      throw new Problem(
        'conflict',
        'Give yourself a password first: until then everybody at this machine is the keeper.',
      );
    }
  };

  return {
    people: async () => {
      const facts = network?.();
      const told = facts && { house: facts.house, fingerprint: facts.fingerprint, trust: scannable(facts.trust) };
      return { people: await all(), network: told ?? null };
    },

    addPerson: async ({ body }, { visitor }) => {
      await requireHouseToSignIn();
      if ((await sessions.people()).some(({ name }) => isSameName(name, body.name))) {
        throw new Problem('conflict', `There is somebody called ${body.name} already.`, [
          { path: 'name', message: 'Must be another name.' },
        ]);
      }
      const id = randomUUID();
      const password = body.password === undefined ? null : await hashed(body.password);
      await database.transaction(async (queries) => {
        await insertPerson(queries, { id, name: body.name, role: body.role, password });
        if (body.role !== 'reader') await holdsKeeper(queries, body.name, clock.today());
      });
      sessions.forget();
      await door.tell(visitor, 'changed', `let ${body.name} in as ${body.role}`);
      return { person: await one(id) };
    },

    changePerson: async ({ params, body }, { visitor }) => {
      const before = await row(params.id);
      const role = body.role ?? before.role;
      const password =
        body.password === undefined || body.password === null ? body.password : await hashed(body.password);
      const after = { ...before, role, password: password === undefined ? before.password : password };
      if (!canComeAsKeeper(after)) await requireKeeperLeft(sessions, before);
      await database.transaction(async (queries) => {
        await updatePerson(queries, before.id, { role: body.role, password });
        if (role !== 'reader') await holdsKeeper(queries, before.name, clock.today());
      });
      sessions.forget();
      if (body.password !== undefined) await sessions.endAllOf(before.id, visitor.session?.id);
      const what = [body.role && `is ${body.role} now`, body.password !== undefined && 'has another password'];
      await door.tell(visitor, 'changed', `${before.name} ${what.filter(Boolean).join(' and ')}`);
      return { person: await one(params.id) };
    },

    removePerson: async ({ params }, { visitor }) => {
      const person = await row(params.id);
      const { id, name } = person;
      await requireKeeperLeft(sessions, person);
      await deletePerson(database, id);
      sessions.forget();
      await sessions.endAllOf(id);
      await door.tell(visitor, 'changed', `lets ${name} in no more`);
      return { removed: id };
    },

    beginPairing: async ({ params }, { visitor }) => {
      const { id, name } = await row(params.id);
      const secret = newSecret();
      const endsAt = new Date(Date.parse(clock.now()) + PAIRING_MS).toISOString();
      await insertPairing(database, digestOf(secret), id, endsAt);
      await door.tell(visitor, 'changed', `showed a code to pair a phone of ${name}`);
      // Behind the #: browsers send it to nobody, and no log has it.
      return { ...scannable(`${network?.().house ?? visitor.origin}/pair#${secret}`), endsAt };
    },

    accessLog: async () => ({ events: await listAccessEvents(database, SHOWN_EVENTS) }),
  };
}

/** An address, and the squares by which a camera reads it. */
function scannable(address: string) {
  const squares = squaresOf(address);
  return { address, path: pathOf(squares), squares: squares.count };
}

/** @throws where, without somebody, nobody could sign in as keeper any more */
export async function requireKeeperLeft(sessions: Sessions, without: PersonRow): Promise<void> {
  if (!canComeAsKeeper(without)) return;
  const left = (await sessions.people()).some((each) => each.id !== without.id && canComeAsKeeper(each));
  if (!left) throw new Problem('conflict', 'Nobody else can sign in as a keeper: let another keeper in first.');
}
