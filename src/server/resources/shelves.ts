import { randomUUID } from 'node:crypto';
import { sqlState, UNIQUE_VIOLATION } from '../storage/database';
import { findShelf, insertShelf, listShelves } from '../storage/shelves';
import type { Handlers } from '../http/mount';
import { Problem } from '../http/problem';
import type { Deps } from './deps';

export function shelfHandlers({ database }: Deps): Pick<Handlers, 'shelves' | 'addShelf'> {
  return {
    shelves: async () => ({ shelves: await listShelves(database) }),

    addShelf: async ({ body }) => {
      const id = body.id ?? randomUUID();
      try {
        return await database.transaction(async (queries) => {
          await insertShelf(queries, { ...body, id });
          const shelf = await findShelf(queries, id);
          if (!shelf) throw new Error('The shelf just written cannot be read.');
          return { shelf };
        });
      } catch (error) {
        if (sqlState(error) !== UNIQUE_VIOLATION) throw error;
        throw new Problem('conflict', `There is a shelf “${body.name}” in ${body.room} already.`, [
          { path: 'name', message: 'Taken in this room: give it another name.' },
        ]);
      }
    },
  };
}
