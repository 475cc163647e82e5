import { randomUUID } from 'node:crypto';
import { profileOf } from '@/contract/profiles';
import type { NewResident, Resident } from '@/contract/records';
import { requireSchool, requireStage } from '@/core/profiles/animal';
import type { Handlers } from '../http/mount';
import { notFound, Problem } from '../http/problem';
import { sqlState, UNIQUE_VIOLATION, type Queries } from '../storage/database';
import { findEntry, historyOf, insertEntry } from '../storage/entries';
import { findResident, insertResident, listResidents } from '../storage/residents';
import { dayOf, type Deps } from './deps';
import { requireDepthFits, requireFreeHome } from './occupancy';

const HISTORY_LIMIT = 200;

export function residentHandlers({ database, clock }: Deps): Pick<Handlers, 'residents' | 'takeIn' | 'history'> {
  return {
    residents: async () => ({ residents: await listResidents(database) }),

    history: async ({ params }) => {
      await requireResident(database, params.id);
      return { entries: await historyOf(database, params.id, HISTORY_LIMIT) };
    },

    takeIn: async ({ body }) => {
      const on = dayOf(clock, body.on);
      const profile = profileOf(body.profile);
      requireStage(profile, body.stage);
      requireSchool(profile, body.school);
      const id = body.id ?? randomUUID();
      try {
        return await database.transaction(async (queries) => {
          const home = await requireFreeHome(queries, body.homeId, 'homeId');
          await insertResident(queries, factsOf(id, body));
          const common = { on, keeper: body.keeper ?? null, note: null };
          const entryId = randomUUID();
          const { stage, legSpanMm, bodyLengthMm, carapaceWidthMm } = body;
          await insertEntry(queries, {
            ...common,
            id: entryId,
            kind: 'taken-in',
            residentId: id,
            homeId: home.id,
            at: clock.now(),
            data: JSON.parse(JSON.stringify({ stage, legSpanMm, bodyLengthMm, carapaceWidthMm })),
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
