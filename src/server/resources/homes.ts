import { randomUUID } from 'node:crypto';
import type { Home } from '@/contract/records';
import type { Handlers } from '../http/mount';
import { invalid, notFound, Problem } from '../http/problem';
import { sqlState, UNIQUE_VIOLATION, type Queries } from '../storage/database';
import { insertEntry } from '../storage/entries';
import { findHome, holdHome, insertHome, listHomes, nextPlace, updateHome } from '../storage/homes';
import { findShelf } from '../storage/shelves';
import type { Deps } from './deps';

export function homeHandlers({ database, clock }: Deps): Pick<Handlers, 'homes' | 'addHome' | 'changeHome'> {
  return {
    homes: async () => ({ homes: await listHomes(database) }),

    addHome: ({ body }) =>
      refusingTwins(body.code, async () =>
        database.transaction(async (queries) => {
          await requireShelf(queries, body.shelfId);
          const { substrateDepthMm, ...facts } = body;
          const id = body.id ?? randomUUID();
          await insertHome(queries, { ...facts, id, place: body.place ?? (await nextPlace(queries, body.shelfId)) });
          await insertEntry(queries, {
            id: randomUUID(),
            kind: 'soil-set',
            residentId: null,
            homeId: id,
            on: clock.today(),
            at: clock.now(),
            keeper: null,
            note: null,
            data: { substrateDepthMm },
          });
          return { home: await requireHome(queries, id) };
        }),
      ),

    changeHome: ({ params, body }) =>
      refusingTwins(body.code, async () =>
        database.transaction(async (queries) => {
          if (!(await holdHome(queries, params.id))) throw notFound('home with that id');
          const before = await requireHome(queries, params.id);
          if (body.shelfId !== undefined) await requireShelf(queries, body.shelfId);
          const after = { ...before, ...withoutUndefined(body) };
          if (after.container.heightMm < before.substrateDepthMm) {
            const message = `The soil in it stands ${before.substrateDepthMm} mm high; the box must be higher than that.`;
            throw invalid('container.heightMm', message);
          }
          await updateHome(queries, after);
          return { home: await requireHome(queries, params.id) };
        }),
      ),
  };
}

function withoutUndefined<T extends object>(value: T): Partial<T> {
  return Object.fromEntries(Object.entries(value).filter(([, each]) => each !== undefined)) as Partial<T>;
}

async function requireShelf(queries: Queries, id: string): Promise<void> {
  if (!(await findShelf(queries, id))) throw invalid('shelfId', 'There is no shelf with that id. See /api/shelves.');
}

async function requireHome(queries: Queries, id: string): Promise<Home> {
  const home = await findHome(queries, id);
  if (!home) throw notFound('home with that id');
  return home;
}

async function refusingTwins<T>(code: string | undefined, write: () => Promise<T>): Promise<T> {
  try {
    return await write();
  } catch (error) {
    if (sqlState(error) !== UNIQUE_VIOLATION) throw error;
    throw new Problem('conflict', `There is a home ${code ?? 'with that id'} already.`, [
      { path: 'code', message: 'Taken: every box has a code of its own.' },
    ]);
  }
}
