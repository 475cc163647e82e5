import { scientificName } from '@/contract/primitives';
import { newEntry } from '@/contract/entries';
import type { Entry, EntryToKeep } from '@/contract/storedEntries';
import { newHome } from '@/contract/records';
import { shippedFeeders, shippedFoods, shippedSpecies } from '@/contract/shipped';
import { isDay } from '@/core/measure/day';
import { seedDemo } from '@/server/demo';
import { insertEntry } from '@/server/storage/entries';
import { fingerprint } from '@/server/storage/meta';
import { emptyDatabase } from '@/server/testing/databases';
import { fixedClock, startServer } from '@/server/testing/server';
import { BROKEN } from '@/ui/testing/words';
import { lengthWords } from '@/words/lengths';
import { entryWords } from '@/words/entries';
import { ropewalk } from './ropewalk';

const TODAY = '2026-03-14';

describe('the Ropewalk Warm House', () => {
  const demo = ropewalk(TODAY);

  it('has what the demo is to show', () => {
    expect(demo.residents.length).toBeGreaterThanOrEqual(12);
    expect(demo.homes.length).toBeGreaterThanOrEqual(20);
    expect(demo.shelves.length).toBeGreaterThanOrEqual(3);
    const days = demo.entries.map((entry) => entry.on).sort();
    expect(days[0]).toBe('2024-03-14');
    expect(days.at(-1)).toBe('2026-03-13');
    expect(new Set(demo.residents.map((resident) => resident.profile)).size).toBeGreaterThanOrEqual(20);
    const known = new Set(shippedSpecies.map((species) => species.name));
    expect(demo.residents.filter((resident) => !known.has(resident.scientificName))).toEqual([]);
  });

  it('is the same every time, and moves with the day', () => {
    expect(ropewalk(TODAY)).toEqual(demo);
    const later = ropewalk('2026-03-15');
    expect(later.entries.map((entry) => entry.id)).toEqual(demo.entries.map((entry) => entry.id));
    expect(later.entries.map((entry) => entry.on)).not.toEqual(demo.entries.map((entry) => entry.on));
  });

  it('has a history of whole sentences, in either unit', () => {
    const names = { feeders: [...shippedFeeders], foods: [...shippedFoods] };
    const lines = demo.entries.flatMap((entry) =>
      (['mm', 'in'] as const).map((unit) => [
        entry.kind,
        entryWords({ ...entry, undoneAt: null } as Entry, lengthWords(unit), names, TODAY),
      ]),
    );
    expect(new Set(lines.map(([kind]) => kind)).size).toBeGreaterThan(25);
    expect(lines.filter(([, line = '']) => line === '' || BROKEN.test(line))).toEqual([]);
    expect(lines.filter(([, line = '']) => !/^[A-Z\d]/.test(line))).toEqual([]);
  });

  it('holds nothing the API would refuse', () => {
    const ids = [...demo.homes, ...demo.residents, ...demo.shelves, ...demo.entries].map((each) => each.id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const home of demo.homes) expect(newHome.safeParse(home).error).toBeUndefined();
    for (const resident of demo.residents) expect(scientificName.parse(resident.scientificName)).toBeTruthy();
    for (const { kind, residentId, homeId, on, keeper, note, data } of demo.entries) {
      expect(isDay(on)).toBe(true);
      if (kind === 'taken-in') continue;
      const about = residentId === null ? { homeId } : { residentId };
      // What the server adds of itself.
      const {
        everybody: _all,
        roomC: _room,
        hemisphere: _half,
        restId: _rest,
        ...told
      } = { ...data } as Record<string, unknown>;
      const noted = note === null ? {} : { note };
      expect(newEntry.safeParse({ kind, on, keeper, ...noted, ...about, ...told }).error).toBeUndefined();
    }
  });

  it.each(Array.from({ length: 12 }, (_, month) => `2026-${String(month + 1).padStart(2, '0')}-14`))(
    'has a colony going into rest and one in the cold on %s',
    (today) => {
      const { entries } = ropewalk(today);
      const planned = entries.filter((entry) => entry.kind === 'rest-planned');
      expect(planned).toHaveLength(2);
      expect(entries.filter((entry) => entry.kind === 'rest-step').every((entry) => entry.on < today)).toBe(true);
    },
  );

  it('tells its stories on the round; is laid anew on another day while nobody has written in it, and never after', async () => {
    const database = await emptyDatabase();
    await seedDemo(database, fixedClock(TODAY));
    const server = await startServer(database, fixedClock(TODAY));
    const { stops } = (await server.get('/api/round')).body;
    const at = (code: string) => {
      const home = demo.homes.find((each) => each.code === code);
      return stops.find((stop: { homeId: string }) => stop.homeId === home?.id);
    };
    const kindsAt = (code: string) => at(code).jobs.map((job: { kind: string }) => job.kind);
    expect(kindsAt('A2')).toContain('rehouse');
    expect(kindsAt('A5')).toContain('mend');
    expect(kindsAt('C6')).toContain('soil');
    expect(kindsAt('D7')).toContain('mend');
    expect(kindsAt('F1')).toContain('mend');
    expect(kindsAt('B3')).toEqual(expect.arrayContaining(['feed', 'soil']));
    expect(kindsAt('B4')).toContain('leftovers');
    expect(at('B5').leaveAlone).toMatchObject({ code: 'premoult', signs: expect.arrayContaining(['dull', 'dark']) });
    expect(at('B6').leaveAlone).toMatchObject({ code: 'hardening' });
    expect(at('A6').jobs[0]).toMatchObject({ kind: 'feed', cannotWait: true });
    await server.close();
    const first = await fingerprint(database);
    await seedDemo(database, fixedClock('2026-03-14'));
    expect(await fingerprint(database)).toBe(first);
    const lastDay = async () => (await database.query<{ d: string }>('SELECT max(on_day) AS d FROM entry'))[0]?.d;
    expect(await lastDay()).toBe('2026-03-13');
    await seedDemo(database, fixedClock('2026-03-16'));
    expect(await lastDay()).toBe('2026-03-15');
    const [anyEntry] = ropewalk('2026-03-16').entries;
    if (!anyEntry) throw new Error('The demo has no entries.');
    const own = { ...anyEntry, id: '11111111-1111-4111-8111-111111111111', on: '2026-03-16' };
    await insertEntry(database, own as EntryToKeep);
    await seedDemo(database, fixedClock('2026-03-20'));
    expect(await lastDay()).toBe('2026-03-16');
    await database.close();
  }, 30_000);
});
