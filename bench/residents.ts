import { randomUUID } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { entryToKeep, type EntryBase, type EntryData, type EntryToKeep } from '@/contract/storedEntries';
import type { Resident } from '@/contract/records';
import { addDays } from '@/core/measure/day';
import { insertEntries } from '@/server/storage/entries';
import { insertHomes } from '@/server/storage/homes';
import { openDataFolder } from '@/server/storage/dataFolder';
import { migrate } from '@/server/storage/migrate';
import { openFolder } from '@/server/storage/pglite';
import { insertResident } from '@/server/storage/residents';
import { insertShelf } from '@/server/storage/shelves';
import { startServer, TODAY } from '@/server/testing/server';
import { found, soughtOf } from '@/ui/residents/search';
import { median, once, row } from './measure';

const RESIDENTS = 1000;
const ENTRIES = 2000;

/** A house of 1,000 residents, one of them with 2,000 entries: opened, listed, searched. */
export async function benchResidents(): Promise<void> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-bench-'));
  const database = await openFolder(openDataFolder(path.join(folder, 'data')));
  await migrate(database);
  const server = await startServer(database);
  const shelfId = randomUUID();
  const ids = Array.from({ length: RESIDENTS }, () => randomUUID());
  try {
    await database.transaction(async (queries) => {
      await insertShelf(queries, { id: shelfId, room: 'R', name: 'S' });
      const container = { shape: 'box', lengthMm: 200, widthMm: 200, heightMm: 200, lid: 'solid', vents: [] } as const;
      const entries: EntryToKeep[] = [];
      const write = <Kind extends keyof EntryData>(
        kind: Kind,
        on: string,
        about: Partial<EntryBase>,
        data: EntryData[Kind],
      ) => {
        const facts = { id: randomUUID(), on, at: `${on}T19:00:00.000Z`, keeper: null, note: null };
        entries.push(entryToKeep(kind, data, { ...facts, residentId: null, homeId: null, ...about }) as EntryToKeep);
      };
      for (const [index, id] of ids.entries()) {
        const homeId = randomUUID();
        await insertHomes(queries, [
          { id: homeId, code: `H${index}`, shelfId, place: index, container: { ...container, vents: [] } },
        ]);
        await insertResident(queries, {
          ...{ id, called: `Name ${index}`, scientificName: 'Grammostola pulchra', commonName: null, sex: 'unknown' },
          ...{ profile: 'ground-tarantula', source: null, permit: null, school: null, form: 'single', bornOn: null },
          ...{ motherId: null, fatherId: null, outOfId: null, batch: `B${index % 40}` },
        });
        write('soil-set', addDays(TODAY, -900), { homeId }, { substrateDepthMm: 60 });
        write('taken-in', addDays(TODAY, -900), { residentId: id, homeId }, { stage: 'juvenile', legSpanMm: 40 });
        for (const ago of [60, 170, 280]) write('moulted', addDays(TODAY, -ago), { residentId: id }, { legSpanMm: 60 });
      }
      for (let index = 0; index < ENTRIES; index += 1) {
        const about = { residentId: ids[0] ?? null };
        write(index % 2 === 0 ? 'watered' : 'eaten', addDays(TODAY, -Math.floor(index / 3)), about, {});
      }
      await insertEntries(queries, entries);
    });
    const [first] = ids;
    const times = async (work: () => Promise<unknown>) => {
      await work();
      const all: number[] = [];
      for (let run = 0; run < 7; run += 1) all.push((await once(work)).ms);
      return all.sort((a, b) => a - b)[3] ?? 0;
    };
    row(
      'baseline: its 2,000 entries counted',
      await times(() => database.query('SELECT count(*) FROM entry WHERE resident_id = $1', [first])),
      '',
    );
    const page = () => server.get(`/api/residents/${first}/entries`);
    row('resident with 2,000 entries: first page of its history', await times(page), '');
    const moult = () => server.get(`/api/residents/${first}/moult`);
    row(
      'resident with 2,000 entries: history and moult forecast',
      await times(() => Promise.all([page(), moult()])),
      'limit 200 ms',
    );
    const fed = ids.slice(0, 500).map((residentId) => ({ kind: 'offered', residentId }));
    row(
      'many at once: 500 entries as one act',
      (await once(() => server.post('/api/entries/bulk', { entries: fed }))).ms,
      '',
    );
    const { residents } = (await server.get('/api/residents')).body as { residents: Resident[] };
    row('round: 1,000 residents from the server, asked again', await times(() => server.get('/api/round')), '');
    row('list: 1,000 residents from the server', await times(() => server.get('/api/residents')), '');
    const sought = residents.map((resident, index) => soughtOf(resident, `H${index}`));
    row(
      'search: 1,000 residents by two words',
      median(() => found(sought, 'pulchra h99')),
      'limit 50 ms',
    );
    row(
      'moults: what the forecasts of 1,000 are made from',
      await times(() => server.get('/api/residents/moults')),
      '',
    );
  } finally {
    await server.close();
    await database.close();
    fs.rmSync(folder, { recursive: true, force: true });
  }
}
