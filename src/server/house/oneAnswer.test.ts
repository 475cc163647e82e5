import fc from 'fast-check';
import type { ColonyBoard, ColonyFacts } from '@/contract/colony';
import type { ResidentMoult } from '@/contract/growth';
import type { Seasons } from '@/contract/plan';
import type { Home, Resident } from '@/contract/records';
import type { Round } from '@/contract/round';
import type { Database } from '../storage/database';
import { ACTS, begunHouse, type ActedOn } from '../testing/acts';
import { emptyDatabase } from '../testing/databases';
import { startServer, type TestServer } from '../testing/server';

/* Whatever a keeper has done: a question that is asked over two ways has one answer. */

const done = fc.array(fc.tuple(fc.constantFrom(...Object.keys(ACTS)), fc.nat(1000)), { minLength: 5, maxLength: 14 });
const PUTS_RIGHT = new Set(['soil', 'mend', 'rehouse', 'move']);

describe('one question over two ways', () => {
  let database: Database;
  let server: TestServer;
  let house: ActedOn;
  beforeAll(async () => {
    database = await emptyDatabase();
    server = await startServer(database);
    house = await begunHouse(server);
  });
  afterAll(async () => {
    await server.close();
    await database.close();
  });
  const get = async <Body>(path: string): Promise<Body> => {
    const { status, body } = await server.get(path);
    expect([path, status]).toEqual([path, 200]);
    return body as Body;
  };

  it('has one answer', async () => {
    await fc.assert(
      fc.asyncProperty(done, async (acts) => {
        for (const [name, which] of acts) await ACTS[name]?.(house, which);
        const [{ homes }, { residents }, round, seasons, board] = [
          await get<{ homes: Home[] }>('/api/homes'),
          await get<{ residents: Resident[] }>('/api/residents'),
          await get<Round>('/api/round'),
          await get<Seasons>('/api/seasons'),
          await get<ColonyBoard>('/api/colonies'),
        ];
        for (const resident of residents) {
          const home = homes.find(({ id }) => id === resident.homeId);
          const stop = round.stops.find(({ residentId }) => residentId === resident.id);
          const asked = [...(stop?.jobs ?? []).map(({ kind }) => kind), ...(stop?.waiting ?? [])];
          // A home fails for one by its rules when the round has it put right, or it is settled where it goes.
          const fails = home?.state?.grounds.some(
            (ground) => ground.about === 'fit' && ground.status === 'fail' && ground.residentId === resident.id,
          );
          const isMoving = seasons.marks.some(({ kind, residentId }) => kind === 'move' && residentId === resident.id);
          const isLeft = stop?.leaveAlone?.code === 'resting' || stop?.leaveAlone?.code === 'founding';
          if (!isMoving && !isLeft) expect(asked.some((kind) => PUTS_RIGHT.has(kind))).toBe(fails);

          const moult = await get<ResidentMoult>(`/api/residents/${resident.id}/moult`);
          const mark = seasons.marks.find(({ kind, residentId }) => kind === 'moult' && residentId === resident.id);
          if (mark) expect(moult.forecast.next?.median).toBe(mark.median);
          const hardens = stop?.leaveAlone?.code === 'hardening' ? stop.leaveAlone.feedFrom : null;
          expect(moult.forecast.firstFeedOn).toBe(hardens);

          const row = board.colonies.find(({ residentId }) => residentId === resident.id);
          if (!row) continue;
          const facts = await get<ColonyFacts>(`/api/residents/${resident.id}/colony`);
          expect([row.fullPct, row.splitOn, row.heads]).toEqual([facts.fullPct, facts.splitOn, facts.heads]);
          const mates = residents.filter(({ homeId }) => homeId === resident.homeId);
          if (mates.length === 1) expect(home?.state?.fullPct).toBe(facts.fullPct);
        }
        // Pages that are told what has changed know the same as those that ask for everything.
        const { token } = await get<{ token: string }>('/api/house/changes');
        const again = await get<{ isWhole: boolean; homes: Home[]; stops: Round['stops'] }>(
          `/api/house/changes?since=${token}`,
        );
        expect(again).toMatchObject({ isWhole: false, homes: [], stops: [] });
      }),
      { numRuns: 8, endOnFailure: true },
    );
  });
});
