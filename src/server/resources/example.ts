import { isExample, lay } from '../demo';
import type { Handlers } from '../http/mount';
import { Problem } from '../http/problem';
import type { Queries } from '../storage/database';
import { eraseRecords, isEmpty, writeMeta } from '../storage/meta';
import { inThread } from '../threads/pool';
import type { Deps } from './deps';

/** A house to look into before one begins one's own. */
export function exampleHandlers({ database, clock }: Deps): Pick<Handlers, 'layExample' | 'dropExample'> {
  return {
    layExample: async () => {
      const today = clock.today();
      // Asked before it is worked out, which takes seconds, and again before it is laid.
      await requireEmpty(database);
      const demo = await inThread('ropewalk', today);
      return database.transaction(async (queries) => {
        await requireEmpty(queries);
        await lay(queries, demo, today);
        await writeMeta(queries, 'example', today);
        return { isExample: true };
      });
    },

    dropExample: () =>
      database.transaction(async (queries) => {
        if (!(await isExample(queries)))
          throw new Problem('conflict', 'This is no example house: nothing is thrown away.');
        await eraseRecords(queries);
        return { isExample: false };
      }),
  };
}

async function requireEmpty(queries: Queries): Promise<void> {
  if (await isEmpty(queries)) return;
  throw new Problem('conflict', 'Something is written in this house already: the example is laid into an empty one.');
}
