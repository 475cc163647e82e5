import { careOf } from '../care';
import { entryWriter } from '../entryWriter';
import { houseToday } from '../house/houseToday';
import type { Handlers } from '../http/mount';
import { notFound, Problem } from '../http/problem';
import { sqlState, UNIQUE_VIOLATION } from '../storage/database';
import { findEntry, historyOf } from '../storage/entries';
import { listTakenBack } from '../storage/mending';
import { isKnown, listGone } from '../storage/residents';
import { takeIn } from '../takingIn';
import type { Deps } from './deps';
import { requireResident } from './identity';

const PAGE = 60;

type Names = 'residents' | 'goneResidents' | 'takeIn' | 'history';

export function residentHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  const writer = entryWriter(clock);
  return {
    residents: async () => ({ residents: [...(await houseToday(database, clock.today(), clock.now())).residents] }),

    goneResidents: async () => ({
      residents: await listGone(database),
      takenBack: await listTakenBack(database),
    }),

    history: async ({ params, query }) => {
      if (!(await isKnown(database, params.id))) throw notFound('resident with that id');
      const kinds = query.kinds?.split(',') ?? null;
      const entries = await historyOf(database, params.id, PAGE + 1, kinds, query.before ?? null);
      return { entries: entries.slice(0, PAGE), hasMore: entries.length > PAGE };
    },

    takeIn: async ({ body }) => {
      const care = await careOf(database);
      try {
        return await database.transaction(async (queries) => {
          const { id, entryIds } = await takeIn(queries, care, clock, writer, body);
          const entry = await findEntry(queries, entryIds[0] ?? '');
          if (!entry) throw new Error('The entry just written cannot be read.');
          return { resident: await requireResident(queries, id), entry };
        });
      } catch (error) {
        if (sqlState(error) !== UNIQUE_VIOLATION) throw error;
        throw new Problem('conflict', 'There is a resident with that id already.', [{ path: 'id', message: 'Taken.' }]);
      }
    },
  };
}
