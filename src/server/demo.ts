import { EMERGENCY, OWN_CARDS, TRAINING } from '../../demo/handbook';
import { ropewalk } from '../../demo/ropewalk';
import { addDays } from '@/core/measure/day';
import type { Clock } from './clock';
import { pauses } from './house/inTurn';
import type { Database, Queries } from './storage/database';
import { insertEntries } from './storage/entries';
import { insertAbsence } from './storage/absences';
import { insertHomes } from './storage/homes';
import { eraseRecords, fingerprint, isEmpty, readMeta, writeMeta } from './storage/meta';
import { insertTrainingAnswer, writeEmergency, writeOwnCard } from './storage/handbook';
import { insertKeeper } from './storage/keepers';
import { insertProbe, updateProbe } from './storage/probes';
import { insertResident } from './storage/residents';
import { listRooms, updateRoomAir } from './storage/rooms';
import { insertShelf } from './storage/shelves';
import { insertStockEntry, writeCulture } from './storage/store';

/** Entries are inserted so many at a time: no statement holds the embedded database for long. */
const AT_ONCE = 50;

/** Whether the house is the example, laid to look into. */
export const isExample = async (queries: Queries): Promise<boolean> =>
  (await readMeta(queries, 'example')) !== undefined;

/**
 * Lays the Ropewalk Warm House into an empty database. A demo from an earlier day in which nobody has written
 * anything is laid anew, so that its stories stay true; anybody's own records are never touched.
 */
export async function seedDemo(database: Database, clock: Clock): Promise<void> {
  await database.transaction(async (queries) => {
    const today = clock.today();
    if (!(await isEmpty(queries))) {
      const untouched = (await readMeta(queries, 'demo-fingerprint')) === (await fingerprint(queries));
      if (!untouched || (await readMeta(queries, 'demo-laid-on')) === today) return;
      await eraseRecords(queries);
    }
    await lay(queries, ropewalk(today), today);
    await writeMeta(queries, 'demo-laid-on', today);
    await writeMeta(queries, 'demo-fingerprint', await fingerprint(queries));
  });
}

/** Lays the demo into an empty database, others being answered in between. */
export async function lay(queries: Queries, demo: ReturnType<typeof ropewalk>, today: string): Promise<void> {
  for (const shelf of demo.shelves) await insertShelf(queries, shelf);
  const pause = pauses();
  for (const home of demo.homes) {
    await insertHomes(queries, [home]);
    await pause();
  }
  for (const { facts } of demo.residents) {
    await insertResident(queries, facts);
    await pause();
  }
  for (let from = 0; from < demo.entries.length; from += AT_ONCE) {
    await insertEntries(queries, demo.entries.slice(from, from + AT_ONCE));
    await pause();
  }
  for (const each of demo.stock) await insertStockEntry(queries, each);
  for (const each of demo.cultures) await writeCulture(queries, each);
  for (const each of demo.keepers) await insertKeeper(queries, each);
  for (const each of demo.absences) await insertAbsence(queries, each);
  await writeEmergency(queries, EMERGENCY);
  for (const card of OWN_CARDS) await writeOwnCard(queries, card, `${today}T06:00:00.000Z`);
  for (const answer of TRAINING) await insertTrainingAnswer(queries, answer, `${addDays(today, -2)}T18:00:00.000Z`);
  const rooms = await listRooms(queries);
  for (const { id, name } of rooms) await updateRoomAir(queries, id, demo.rooms[name] ?? null, today);
  for (const { faultDaysAgo = 0, fault, room, ...probe } of demo.probes) {
    const roomId = rooms.find(({ name }) => name === room)?.id ?? null;
    const morning = `${today}T06:00:00.000Z`;
    await insertProbe(queries, { ...probe, kind: 'simulated', roomId, tokenSha256: null, addedAt: morning });
    if (fault) await updateProbe(queries, probe.id, { fault }, `${addDays(today, -faultDaysAgo)}T06:00:00.000Z`);
  }
}
