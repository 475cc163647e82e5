import fs from 'node:fs';
import path from 'node:path';
import { ROOT } from '../root';
import { careProfile } from '@/contract/profile';
import { profileOf } from '@/contract/testing/profileOf';
import type { CareProfile } from '@/core/profiles/profile';
import { databases, emptyDatabase } from '../testing/databases';
import { startServer } from '../testing/server';
import { migrate } from './migrate';
import { insertOwnProfile, listOwnProfiles } from './profiles';

/**
 * The database of a small house as each earlier migration had left it, by `pg_dump` 15: tables, rows and all. Made once, never
 * changed: whoever has such a database upgrades from exactly this.
 */
const FOLDER = path.join(ROOT, 'src/server/testing/earlier');
const DUMPS = fs.readdirSync(FOLDER).sort();
const LISTS = [
  ...['shelves', 'homes', 'residents', 'round', 'rooms', 'probes', 'profiles', 'materials', 'store', 'keepers'],
  ...[
    'absences',
    'seasons',
    'rests',
    'colonies',
    'broods',
    'residents/moults',
    'residents/gone',
    'schools',
    'emergency',
  ],
].map((list) => `/api/${list}`);
const VESPER = '40000000-0000-4000-8000-000000000001';

describe.each(databases)('a database on $kind', ({ open }) => {
  it.each(DUMPS)('of migration %s is brought up to date, loses nothing, and answers', async (dump) => {
    const database = await open();
    await database.script(database, fs.readFileSync(path.join(FOLDER, dump), 'utf8'));
    await database.query(`SELECT set_config('search_path', 'public', false)`);
    await migrate(database);
    // Started a second time there is nothing left to do.
    await migrate(database);
    const server = await startServer(database);
    for (const list of LISTS) expect([list, (await server.get(list)).status]).toEqual([list, 200]);

    const { residents } = (await server.get('/api/residents')).body;
    expect(
      residents.map(({ scientificName, form }: { scientificName: string; form: string }) => [scientificName, form]),
    ).toEqual([
      ['Caribena versicolor', 'single'],
      ['Grammostola pulchra', 'single'],
      ['Camponotus ligniperda', 'colony'],
    ]);
    // What was chosen for it by the first version holds for its air ever since.
    expect(residents[0]).toMatchObject({ called: 'Vesper', legSpanMm: 72, schools: { air: 'mist-to-a-number' } });
    expect(residents[2]).toMatchObject({ headCount: 24 });
    const { homes } = (await server.get('/api/homes')).body;
    expect(homes.map(({ substrateDepthMm }: { substrateDepthMm: number }) => substrateDepthMm)).toEqual([40, 60, 0]);
    const { entries } = (await server.get(`/api/residents/${VESPER}/entries?kinds=moulted,offered`)).body;
    expect(entries).toMatchObject([
      { kind: 'moulted', note: 'Its skin lay by the bark.' },
      { kind: 'offered', keeper: 'Odalys Fenn' },
    ]);
    // And it goes on being written.
    expect((await server.post('/api/entries', { kind: 'eaten', residentId: VESPER })).status).toBe(201);
    await server.close();
    await database.close();
  });

  it('holds keepers’ profiles of before whole: their minutes rest on a setting of their own', async () => {
    const database = await emptyDatabase(open);
    const bare = <Part extends { basis?: unknown }>({ basis: _none, ...rest }: Part) => rest;
    const { homeWork, feeding, ...spider } = profileOf('ground-tarantula');
    const old = { ...spider, id: 'my-spider', homeWork: bare(homeWork), feeding: bare(feeding ?? {}) };
    await insertOwnProfile(database, old as unknown as CareProfile);
    const sql = path.join(ROOT, 'src/server/sql/020_ground_of_own_profiles.sql');
    // Run again it changes nothing any more.
    for (let time = 0; time < 2; time += 1) await database.script(database, fs.readFileSync(sql, 'utf8'));
    const [own] = await listOwnProfiles(database);
    expect(careProfile.parse(own)).toEqual(own);
    expect(own).toMatchObject({ homeWork: { ...homeWork, basis: 'your own setting' } });
    expect(own?.feeding?.basis).toBe('your own setting');
    expect(own).not.toHaveProperty('diet');
    await database.close();
  });
});
