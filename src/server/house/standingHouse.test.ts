import fc from 'fast-check';
import { inLines } from '@/core/testing/inLines';
import { ACTS, begunHouse, type ActedOn } from '../testing/acts';
import { databases, emptyDatabase } from '../testing/databases';
import { startServer, type TestServer } from '../testing/server';
import type { Database } from '../storage/database';
import { subjectOf } from './growthFacts';
import { houseToday, type HouseToday } from './houseToday';
import { StandingHouse } from './standingHouse';

/* What is kept and brought up to date is what is worked out from nothing, whatever was written, taken back or changed. */

const TODAY = '2026-03-14';
const NOW = new Date(`${TODAY}T19:00:00.000`).toISOString();
/** Everything that anybody is told of a house, without the feeders that remember what was asked of them. */
function told({
  homes,
  residents,
  lodgers,
  unworkable,
  homeStates,
  colonies,
  rests,
  facts,
  care,
}: HouseToday): string[] {
  return [
    inLines(homes),
    inLines(residents),
    inLines(lodgers.map(({ due, today, log }) => [due, today.watering, today.outlooks, today.rest, today.move, log])),
    inLines(unworkable),
    inLines([...homeStates].sort(([a], [b]) => a.localeCompare(b))),
    inLines([...colonies].sort(([a], [b]) => a.localeCompare(b))),
    inLines([...facts.moults].sort(([a], [b]) => a.localeCompare(b))),
    inLines(lodgers.map(({ resident, home, log }) => subjectOf(facts, care, resident, home, log, TODAY))),
    inLines([...rests].sort(([a], [b]) => a.localeCompare(b))),
  ];
}

/** Each of them once, of somebody who can. */
const EACH_ONCE = Object.keys(ACTS).map((name): [string, number] => [name, { moved: 20, died: 1 }[name] ?? 0]);
const RUNS = 10;
const done = fc.array(fc.tuple(fc.constantFrom(...Object.keys(ACTS)), fc.nat(1000)), { minLength: 6, maxLength: 18 });

describe.each(databases)('a house that is kept, on $kind', ({ open }) => {
  let database: Database;
  let server: TestServer;
  let house: ActedOn;
  beforeAll(async () => {
    database = await emptyDatabase(open);
    server = await startServer(database);
    house = await begunHouse(server);
  });
  afterAll(async () => {
    await server.close();
    await database.close();
  });

  it('stays the same object for whom nothing was written about, and while nothing is', async () => {
    const before = await houseToday(database, TODAY, NOW);
    expect(await houseToday(database, TODAY, NOW)).toBe(before);
    const [one] = before.lodgers;
    await server.post('/api/entries', { kind: 'watered', residentId: one?.resident.id });
    const after = await houseToday(database, TODAY, NOW);
    const same = after.lodgers.filter((lodger) => before.lodgers.includes(lodger));
    expect(after.lodgers[0]).not.toBe(one);
    expect(same.length).toBeGreaterThan(0);
    expect(same.every(({ home }) => home.id !== one?.home.id)).toBe(true);
  });

  it('is told what another program has written to the same database', async () => {
    const before = await houseToday(database, TODAY, NOW);
    const [one] = before.residents;
    await database.query('UPDATE resident SET called = $2 WHERE id = $1', [one?.id, 'From outside']);
    expect((await houseToday(database, TODAY, NOW)).residents[0]?.called).toBe('From outside');
  });

  const granted = new Set<string>();
  it('is after any sequence of entries, undos and changes what is worked out from nothing', async () => {
    await fc.assert(
      fc.asyncProperty(done, async (acts) => {
        for (const [name, which] of acts) {
          const status = await ACTS[name]?.(house, which);
          if (status === 200 || status === 201) granted.add(name);
          const now = told(await houseToday(database, TODAY, NOW));
          expect([name, now]).toEqual([name, told((await StandingHouse.gather(database, TODAY, NOW)).today())]);
        }
      }),
      { numRuns: RUNS, endOnFailure: true, examples: [[EACH_ONCE]] },
    );
    // No law about what was never done.
    expect(Object.keys(ACTS).filter((name) => !granted.has(name))).toEqual([]);
  }, 180_000);
});
