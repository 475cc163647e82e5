import { randomUUID } from 'node:crypto';
import { careOf } from '../care';
import { entryWriter, requireEntry } from '../entryWriter';
import type { Handlers } from '../http/mount';
import { notFound } from '../http/problem';
import { replayed } from '../replay';
import { findEntry, insertEntry, writeEntryPhoto } from '../storage/entries';
import { findEver } from '../storage/residents';
import { bareJpeg } from './photos';
import { dayOf, type Deps } from './deps';
import { requireInItsLife } from '../validation/entry';

type Names = 'addEntry' | 'addEntries' | 'replayEntries' | 'addResidentPhoto';

export function entryHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  const writer = entryWriter(clock);

  return {
    addEntry: ({ body }) =>
      database.transaction(async (queries) =>
        writer.add(queries, await careOf(queries), body, (id) => findEver(queries, id)),
      ),

    addEntries: ({ body }) => database.transaction((queries) => writer.addMany(queries, body.entries)),

    replayEntries: async ({ body }) => ({ results: await replayed(database, clock, writer, body) }),

    addResidentPhoto: ({ params, body }) =>
      database.transaction(async (queries) => {
        const id = body.id ?? randomUUID();
        const known = await findEntry(queries, id);
        if (known) return { entry: known };
        const resident = await findEver(queries, params.id);
        if (!resident) throw notFound('resident with that id');
        const on = dayOf(clock, body.on);
        requireInItsLife(resident, on);
        const { keeper = null, note = null } = body;
        const photo = { id, kind: 'photo' as const, residentId: resident.id, homeId: null, on, at: clock.now() };
        await insertEntry(queries, { ...photo, keeper, note, data: {} });
        await writeEntryPhoto(queries, id, bareJpeg(body.jpegBase64));
        return { entry: await requireEntry(queries, id) };
      }),
  };
}
