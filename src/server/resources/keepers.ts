import { randomUUID } from 'node:crypto';
import type { Keeper } from '@/contract/keepers';
import { isSameName } from '../access/keeperOfPerson';
import { requireKeeperLeft } from '../access/people';
import { busyDaysOf } from '../calendar/busy';
import type { Handlers } from '../http/mount';
import { invalid, notFound, Problem } from '../http/problem';
import { digestOf, newSecret } from '../secrets';
import type { Queries } from '../storage/database';
import {
  deleteKeeper,
  insertKeeper,
  listKeepers,
  updateKeeper,
  writeBusyDays,
  writeCalendarSecret,
} from '../storage/keepers';
import { listRooms } from '../storage/rooms';
import { deletePerson, listPeople, updatePerson } from '../storage/access';
import type { AccessDeps } from '../access/deps';

type Names =
  'keepers' | 'addKeeper' | 'changeKeeper' | 'removeKeeper' | 'setBusyDays' | 'renewCalendar' | 'closeCalendar';

/** A keeper's own calendar is read so many days ahead. */
const BUSY_DAYS = 400;

export function keeperHandlers({
  database,
  clock,
  door,
}: Pick<AccessDeps, 'database' | 'clock' | 'door'>): Pick<Handlers, Names> {
  const one = async (queries: Queries, id: string): Promise<Keeper> => {
    const keeper = (await listKeepers(queries, clock.today())).find((each) => each.id === id);
    if (!keeper) throw notFound('keeper with that id');
    return keeper;
  };
  const changed = (id: string, change: (queries: Queries, keeper: Keeper) => Promise<void>) =>
    database.transaction(async (queries) => {
      await change(queries, await one(queries, id));
      return { keeper: await one(queries, id) };
    });

  return {
    keepers: async () => ({ keepers: await listKeepers(database, clock.today()) }),

    addKeeper: ({ body }) =>
      database.transaction(async (queries) => {
        const id = body.id ?? randomUUID();
        const known = (await listKeepers(queries, clock.today())).find((each) => each.id === id);
        if (known) return { keeper: known };
        await requireName(queries, body.name, clock.today());
        await requireRooms(queries, body.roomIds);
        await insertKeeper(queries, { ...body, id });
        return { keeper: await one(queries, id) };
      }),

    changeKeeper: async ({ params, body }) => {
      const answer = await changed(params.id, async (queries, keeper) => {
        const { name, roomIds } = body;
        if (name !== undefined) await requireName(queries, name, clock.today(), keeper.id);
        if (roomIds) await requireRooms(queries, roomIds);
        const { walkAt = keeper.walkAt, zone = keeper.zone } = body;
        await updateKeeper(queries, {
          ...keeper,
          name: name ?? keeper.name,
          roomIds: roomIds ?? keeper.roomIds,
          walkAt,
          zone,
        });
        const person = await personCalled(queries, keeper.name);
        if (person && name !== undefined) await updatePerson(queries, person.id, { name });
      });
      door.sessions.forget();
      return answer;
    },

    removeKeeper: async ({ params }) => {
      const keeper = await one(database, params.id);
      const person = await personCalled(database, keeper.name);
      if (person) await requireKeeperLeft(door.sessions, person);
      await database.transaction(async (queries) => {
        await deleteKeeper(queries, params.id);
        if (person) await deletePerson(queries, person.id);
      });
      door.sessions.forget();
      if (person) await door.sessions.endAllOf(person.id);
      return { removed: params.id };
    },

    setBusyDays: async ({ params, body }) => {
      const today = clock.today();
      const { zone } = await one(database, params.id);
      // Read before anything is held: a calendar may take seconds.
      const days =
        'days' in body
          ? body.days.filter((day) => day >= today)
          : await busyDaysOf(body.calendar, zone, today, BUSY_DAYS, body.hours);
      return changed(params.id, (queries, { id }) => writeBusyDays(queries, id, today, days));
    },

    renewCalendar: async ({ params }) => {
      const secret = newSecret();
      const { keeper } = await changed(params.id, (queries, { id }) =>
        writeCalendarSecret(queries, id, digestOf(secret)),
      );
      return { path: `/api/calendar/${secret}.ics`, keeper };
    },

    closeCalendar: ({ params }) => changed(params.id, (queries, { id }) => writeCalendarSecret(queries, id, null)),
  };
}

/** A keeper who can sign in is there under one name. */
const personCalled = async (queries: Queries, name: string) =>
  (await listPeople(queries)).find((each) => isSameName(each.name, name));

async function requireName(queries: Queries, name: string, today: string, of?: string): Promise<void> {
  const same = (await listKeepers(queries, today)).find((each) => each.id !== of && isSameName(each.name, name));
  if (same)
    throw new Problem('conflict', `There is a keeper called ${same.name} already.`, [
      { path: 'name', message: 'Must be another name.' },
    ]);
}

async function requireRooms(queries: Queries, roomIds: readonly string[]): Promise<void> {
  const known = new Set((await listRooms(queries)).map(({ id }) => id));
  const index = roomIds.findIndex((id) => !known.has(id));
  if (index >= 0) throw invalid(`roomIds.${index}`, 'There is no room with that id. See /api/rooms.');
}
