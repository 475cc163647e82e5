import { randomUUID } from 'node:crypto';
import type { NewResident, Resident } from '@/contract/records';
import { requireSchool, requireStage, takenMeasure } from '@/core/profiles/animal';
import { careOf } from '../care';
import type { Handlers } from '../http/mount';
import { notFound, Problem } from '../http/problem';
import { sqlState, UNIQUE_VIOLATION, type Queries } from '../storage/database';
import { findEntry, historyOf, insertEntry } from '../storage/entries';
import { findResident, insertResident, listResidents, updateResident } from '../storage/residents';
import { dayOf, type Deps } from './deps';
import { requireDepthFits, requireRoomFor } from './occupancy';

const HISTORY_LIMIT = 200;

type Names = 'residents' | 'takeIn' | 'changeResident' | 'history';

export function residentHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  return {
    residents: async () => ({ residents: await listResidents(database) }),

    history: async ({ params }) => {
      await requireResident(database, params.id);
      return { entries: await historyOf(database, params.id, HISTORY_LIMIT) };
    },

    changeResident: ({ params, body }) =>
      database.transaction(async (queries) => {
        const before = await requireResident(queries, params.id);
        const given = Object.fromEntries(Object.entries(body).filter(([, value]) => value !== undefined));
        const after: Resident = { ...before, ...given };
        const profile = (await careOf(queries)).of(after);
        requireStage(profile, after.stage);
        requireSchool(profile, after.school ?? undefined);
        takenMeasure(profile, after);
        await updateResident(queries, after);
        return { resident: await requireResident(queries, params.id) };
      }),

    takeIn: async ({ body }) => {
      const on = dayOf(clock, body.on);
      const care = await careOf(database);
      const profile = care.of(body);
      requireStage(profile, body.stage);
      requireSchool(profile, body.school);
      takenMeasure(profile, body);
      const id = body.id ?? randomUUID();
      try {
        return await database.transaction(async (queries) => {
          const newcomer = { ...body, called: body.called ?? null, id };
          const home = await requireRoomFor(queries, care, body.homeId, 'homeId', newcomer);
          await insertResident(queries, factsOf(id, body));
          const common = { on, keeper: body.keeper ?? null, note: null };
          const entryId = randomUUID();
          const { stage, legSpanMm, bodyLengthMm, carapaceWidthMm, headCount } = body;
          await insertEntry(queries, {
            ...common,
            id: entryId,
            kind: 'taken-in',
            residentId: id,
            homeId: home.id,
            at: clock.now(),
            data: JSON.parse(JSON.stringify({ stage, legSpanMm, bodyLengthMm, carapaceWidthMm, headCount })),
          });
          if (body.substrateDepthMm !== undefined && body.substrateDepthMm !== home.substrateDepthMm) {
            requireDepthFits(home, body.substrateDepthMm);
            await insertEntry(queries, {
              ...common,
              // However long ago the animal came: the depth is that of the box as it stands today.
              on: clock.today(),
              id: randomUUID(),
              kind: 'soil-set',
              residentId: null,
              homeId: home.id,
              at: clock.now(),
              data: { substrateDepthMm: body.substrateDepthMm },
            });
          }
          const entry = await findEntry(queries, entryId);
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

function factsOf(id: string, body: NewResident) {
  return {
    id,
    called: body.called ?? null,
    scientificName: body.scientificName,
    commonName: body.commonName ?? null,
    profile: body.profile,
    sex: body.sex,
    source: body.source ?? null,
    permit: body.permit ?? null,
    school: body.school ?? null,
  };
}

async function requireResident(queries: Queries, id: string): Promise<Resident> {
  const resident = await findResident(queries, id);
  if (!resident) throw notFound('resident with that id');
  return resident;
}
