import { randomUUID } from 'node:crypto';
import { sqlState, UNIQUE_VIOLATION } from '../storage/database';
import { findShelf, insertShelf, listShelves, updateShelf } from '../storage/shelves';
import { isExample } from '../demo';
import type { Handlers } from '../http/mount';
import { notFound, Problem } from '../http/problem';
import type { Deps } from './deps';

export function shelfHandlers({
  database,
}: Deps): Pick<Handlers, 'shelves' | 'addShelf' | 'addShelves' | 'changeShelf'> {
  return {
    shelves: async () => ({ shelves: await listShelves(database), isExample: await isExample(database) }),

    addShelf: async ({ body }) => {
      const id = body.id ?? randomUUID();
      return refusingTwins(body.name, () =>
        database.transaction(async (queries) => {
          await insertShelf(queries, { ...body, id });
          const shelf = await findShelf(queries, id);
          if (!shelf) throw new Error('The shelf just written cannot be read.');
          return { shelf };
        }),
      );
    },

    addShelves: async ({ body: { room, names } }) => ({
      shelves: await database.transaction(async (queries) => {
        const shelves = [];
        for (const name of names) {
          const id = randomUUID();
          await refusingTwins(name, () => insertShelf(queries, { id, room, name }), 'names');
          const shelf = await findShelf(queries, id);
          if (shelf) shelves.push(shelf);
        }
        return shelves;
      }),
    }),

    changeShelf: ({ params, body }) =>
      refusingTwins(body.name, () =>
        database.transaction(async (queries) => {
          const before = await findShelf(queries, params.id);
          if (!before) throw notFound('shelf with that id');
          const shelf = {
            ...before,
            name: body.name ?? before.name,
            loadLimitKg: body.loadLimitKg === undefined ? before.loadLimitKg : body.loadLimitKg,
          };
          await updateShelf(queries, shelf);
          return { shelf };
        }),
      ),
  };
}

async function refusingTwins<T>(name: string | undefined, write: () => Promise<T>, path = 'name'): Promise<T> {
  try {
    return await write();
  } catch (error) {
    if (sqlState(error) !== UNIQUE_VIOLATION) throw error;
    throw new Problem('conflict', `There is a shelf “${name ?? 'with that id'}” in this room already.`, [
      { path, message: 'Taken in this room: give it another name.' },
    ]);
  }
}
