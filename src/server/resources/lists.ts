import { createHash, randomUUID } from 'node:crypto';
import type { RowProblem } from '@/contract/lists';
import { shippedSpecies } from '@/contract/shipped';
import { mappingOf } from '@/core/records/columns';
import { COLUMNS_OF, orderIn, readTable } from '@/core/records/readTable';
import { careOf } from '../care';
import { entryWriter } from '../entryWriter';
import { inParts, inTurn } from '../house/inTurn';
import type { Handlers } from '../http/mount';
import { notFound, Problem } from '../http/problem';
import { readRows } from '../lists';
import { FOREIGN_KEY_VIOLATION, sqlState, UNIQUE_VIOLATION } from '../storage/database';
import { markUndone } from '../storage/entries';
import { listOwnCards } from '../storage/handbook';
import { deleteHome } from '../storage/homes';
import { countResting, findList, findSame, insertList, listLists, undoList } from '../storage/lists';
import { apart } from '../storage/savepoint';
import type { Deps } from './deps';

/** Nothing of a list is kept: it was only checked, or some of its rows make no sense. */
class NotKept extends Error {
  constructor(readonly problems: RowProblem[]) {
    super('Nothing of the list is kept.');
  }
}

export function listHandlers({ database, clock }: Deps): Pick<Handlers, 'bringList' | 'lists' | 'undoList' | 'table'> {
  const writer = entryWriter(clock);
  return {
    table: async ({ body: { kind, rows, order: asked, today = clock.today(), ...house } }) => {
      const [header = [], ...body] = rows;
      const mapping = mappingOf(header, COLUMNS_OF[kind]);
      const order = asked ?? orderIn({ header, body }, mapping);
      const names = [...(await listOwnCards(database)), ...shippedSpecies];
      const reading = { ...house, care: await careOf(database), names, order: order ?? 'dmy', today };
      // Row by row: a long table holds nobody else up.
      const read = await inTurn(body, (row) => readTable(kind, { header, body: [row] }, mapping, reading)[0]);
      return {
        columns: Object.fromEntries(
          Object.entries(mapping).flatMap(([name, at]) => (at === undefined ? [] : [[name, at]])),
        ),
        order,
        rows: read.flatMap((each) => (each ? [each as { row?: Record<string, never> }] : [])),
      };
    },

    lists: async () => ({ lists: await listLists(database) }),

    bringList: async ({ body: { id = randomUUID(), kind, name = null, rows, check = false } }) => {
      const hash = createHash('sha256').update(JSON.stringify(rows)).digest('hex');
      try {
        const write = await readRows[kind](rows, clock);
        return await database.transaction(async (queries) => {
          const same = await findSame(queries, kind, hash);
          if (same) {
            const message = `This list came in on ${same.on} already. Take that back first, if it is to come in anew.`;
            throw new Problem('conflict', message, [{ path: 'rows', message }]);
          }
          const writing = { queries, care: await careOf(queries), clock, writer };
          const { entryIds, homeIds, problems } = await write(writing);
          if (check || problems.length > 0) throw new NotKept(problems);
          const facts = { id, kind, name, rows: rows.length, hash, at: clock.now(), entryIds, homeIds };
          await insertList(queries, facts);
          return { listId: id, written: rows.length, problems: [] };
        });
      } catch (error) {
        if (sqlState(error) === UNIQUE_VIOLATION) {
          throw new Problem(
            'conflict',
            'One of these is written already, or was by another meanwhile. Nothing came in.',
          );
        }
        if (!(error instanceof NotKept)) throw error;
        return { listId: null, written: 0, problems: error.problems };
      }
    },

    undoList: ({ params, query }) =>
      database.transaction(async (queries) => {
        const list = await findList(queries, params.id);
        if (!list) throw notFound('list with that id');
        if (list.undoneAt !== null) return { undone: 0 };
        const resting = query.along === 'yes' ? 0 : await countResting(queries, list.entryIds);
        if (resting > 0) {
          const message = `Since then ${resting} more entries were written about those of this list.`;
          throw new Problem('conflict', message, [
            { path: 'along', message: 'Send along=yes to take all of it back.' },
          ]);
        }
        // At one instant, though not by one statement: that would hold the house while thousands are marked.
        const at = clock.now();
        await inParts(list.entryIds, async (some) => {
          await markUndone(queries, some, at);
        });
        await undoList(queries, list.id, at);
        for (const homeId of list.homeIds) await withoutHome(() => apart(queries, () => deleteHome(queries, homeId)));
        return { undone: list.rows };
      }),
  };
}

/** A box in which somebody lived meanwhile stays. */
async function withoutHome(work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    if (sqlState(error) !== FOREIGN_KEY_VIOLATION) throw error;
  }
}
