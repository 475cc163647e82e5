import { randomUUID } from 'node:crypto';
import { LIFE_FORMAT, MOST_LIFE_ENTRIES, type Forebear, type Life } from '@/contract/life';
import { newResident, type NewResident } from '@/contract/records';
import { lifeBefore } from '@/core/records/lifeBefore';
import type { CareBook } from '@/core/profiles/careBook';
import { withoutUndefined } from '@/core/withoutUndefined';
import { careOf } from '../care';
import { entryWriter } from '../entryWriter';
import { houseToday } from '../house/houseToday';
import { inTurn } from '../house/inTurn';
import { wholeHistory } from '../house/wholeHistory';
import type { Handlers } from '../http/mount';
import { invalidBy, notFound, Problem } from '../http/problem';
import { readRows } from '../lists';
import type { Queries } from '../storage/database';
import { forebearsOf, insertForebears, knownAmong, writeParents } from '../storage/forebears';
import { pairAll } from '../storage/mending';
import { isKnown, listGone } from '../storage/residents';
import { takeIn } from '../takingIn';
import { dayOf, type Deps } from './deps';
import { requireResident } from './identity';

/** Lives that go from house to house: out as a file, and in again. */
export function lifeHandlers({ database, clock }: Deps): Pick<Handlers, 'life' | 'lineage' | 'takeInLife'> {
  const writer = entryWriter(clock);
  return {
    life: async ({ params }) => {
      const { residents } = await houseToday(database, clock.today(), clock.now());
      const everybody = [...residents, ...(await listGone(database))];
      const resident = everybody.find(({ id }) => id === params.id);
      if (!resident) throw notFound('resident with that id');
      const entries = await wholeHistory(database, resident.id, MOST_LIFE_ENTRIES);
      const forebears = await forebearsOf(database, resident.id);
      return {
        ...{ format: LIFE_FORMAT, version: 1, on: clock.today(), resident, entries },
        forebears: forebears.map(({ generation: _generation, isOfThisHouse: _isOfThisHouse, ...each }) => each),
      };
    },

    lineage: async ({ params }) => {
      if (!(await isKnown(database, params.id))) throw notFound('resident with that id');
      return { forebears: await forebearsOf(database, params.id) };
    },

    takeInLife: async ({ body: { life, homeId, from, keeper, ...asked } }) => {
      const on = dayOf(clock, asked.on);
      const care = await careOf(database);
      return database.transaction(async (queries) => {
        // One that was here before comes back as another: what was written of it then stays with what it was.
        const id = (await isKnown(queries, life.resident.id)) ? randomUUID() : life.resident.id;
        await insertForebears(queries, await forebearsOfLife(queries, life, care));
        const { id: residentId, entryIds } = await takeIn(
          queries,
          care,
          clock,
          writer,
          newcomer(life, { id, homeId, on, from, keeper }),
        );
        await writeParents(queries, residentId, life.resident);
        const ids = new Map<string, string>();
        const idOf = (known: string) => {
          const given = ids.get(known) ?? randomUUID();
          ids.set(known, given);
          return given;
        };
        const told = { residentId, arrived: on, idOf };
        const rows = (await inTurn(life.entries, (each) => lifeBefore([each], told))).flat();
        const [arrival] = entryIds;
        const write = await readRows.events(rows, clock);
        const written = await write({ queries, care, clock, writer, pair: arrival });
        if (written.problems.length > 0) {
          const fields = written.problems.flatMap(({ row, fields: wrong }) =>
            wrong.map(({ path, message }) => ({
              path: `life.entries, ${rows[row]?.on ?? ''} ${path}`.trim(),
              message,
            })),
          );
          throw new Problem(
            'invalid',
            'What was written of it there makes no sense here: nothing was taken in.',
            fields,
          );
        }
        await pairAll(queries, entryIds, arrival ?? '');
        return { resident: await requireResident(queries, residentId), entries: rows.length };
      });
    },
  };
}

/**
 * Those it comes of, as far as each line leads to somebody who is told, or is known here. One of a kind that its house had made for
 * itself is of the kind of its young.
 */
async function forebearsOfLife(queries: Queries, { forebears, resident }: Life, care: CareBook): Promise<Forebear[]> {
  const told = new Set(forebears.map(({ id }) => id));
  const parents = forebears.flatMap(({ motherId, fatherId, outOfId }) =>
    [motherId, fatherId, outOfId].flatMap((each) => each ?? []),
  );
  for (const id of await knownAmong(queries, parents)) told.add(id);
  const known = (id: string | null) => (id !== null && told.has(id) ? id : null);
  return forebears.map((each) => ({
    ...each,
    profile: care.has(each.profile) ? each.profile : resident.kind,
    ...{ motherId: known(each.motherId), fatherId: known(each.fatherId), outOfId: known(each.outOfId) },
  }));
}

interface Arrival {
  id: string;
  homeId: string;
  on: string;
  from: string | undefined;
  keeper: string | undefined;
}

/** As a newcomer is taken in: who it is, and how large it was when it left. @throws Problem naming the field */
function newcomer({ resident }: Life, { id, homeId, on, from, keeper }: Arrival): NewResident {
  const { legSpanMm, bodyLengthMm, carapaceWidthMm, massG, headCount, instar } = resident;
  const read = newResident.safeParse(
    withoutUndefined({
      ...{ id, homeId, on, keeper, legSpanMm, bodyLengthMm, carapaceWidthMm, massG, headCount, instar },
      ...{ scientificName: resident.scientificName, profile: resident.kind, stage: resident.stage },
      ...{ sex: resident.sex, form: resident.form },
      called: resident.called ?? undefined,
      commonName: resident.commonName ?? undefined,
      bornOn: resident.bornOn ?? undefined,
      batch: resident.batch ?? undefined,
      permit: resident.permit ?? undefined,
      source: from ?? resident.source ?? undefined,
      grownMm: resident.grownMm,
    }),
  );
  if (!read.success) throw invalidBy(read.error);
  return read.data;
}
