import fc from 'fast-check';
import { z } from 'zod';
import type { Endpoint } from '@/contract/endpoint';
import { endpoints } from '@/contract/endpoints';
import { shippedProfiles } from '@/contract/shipped';
import type { Database } from './storage/database';
import { begunHouse, type ActedOn } from './testing/acts';
import { emptyDatabase } from './testing/databases';
import { startServer, type TestServer } from './testing/server';
import { strange, type JsonSchema, type Words } from './testing/strange';

/* No writing that is accepted, however strange, makes a question of the house go unanswered. */

/** What a keeper writes by hand; files and devices are asked elsewhere. */
const WRITES = [
  ...['addEntry', 'addEntry', 'addEntry', 'addEntry', 'takeIn', 'takeIn', 'changeResident', 'changeResident'],
  ...['addHome', 'changeHome', 'changeRoom', 'changeShelf', 'partResident', 'joinResident', 'addProfile'],
  ...['addStockEntry', 'addCulture', 'chooseSchool', 'addAbsence', 'addKeeper', 'readHome', 'changeMaterial'],
  ...['changeHouse', 'setSupplier', 'undoEntry'],
] as const;

const all = endpoints as unknown as Record<string, Endpoint>;
const schemas = new Map<string, JsonSchema>(
  WRITES.map((name) => {
    const body = all[name]?.body ?? z.object({});
    return [name, z.toJSONSchema(body, { io: 'input', unrepresentable: 'any' }) as JsonSchema];
  }),
);
const PROFILES = ['ground-tarantula', 'scorpion-desert', 'stick-insect', 'isopod-temperate', 'ant-small-temperate'];
const OTHERS = shippedProfiles.map(({ id }) => id);

describe('whatever is accepted', () => {
  let database: Database;
  let server: TestServer;
  let house: ActedOn;
  let ids: Record<string, string[]>;

  beforeAll(async () => {
    database = await emptyDatabase();
    server = await startServer(database);
    house = await begunHouse(server);
    await lookAround();
  });
  afterAll(async () => {
    await server.close();
    await database.close();
  });

  /** What there is to write about. */
  async function lookAround(): Promise<void> {
    const idsOf = async (place: string, list: string): Promise<string[]> =>
      (await server.get(`/api/${place}`)).body[list].map((each: { id: string }) => each.id);
    ids = {
      residents: await idsOf('residents', 'residents'),
      homes: await idsOf('homes', 'homes'),
      rooms: await idsOf('rooms', 'rooms'),
      shelves: await idsOf('shelves', 'shelves'),
      keepers: await idsOf('keepers', 'keepers'),
      absences: await idsOf('absences', 'absences'),
      probes: await idsOf('probes', 'probes'),
      entries: house.entries,
    };
  }

  const words = (): Words => ({
    ...{ residentId: ids.residents ?? [], withId: ids.residents ?? [], otherId: ids.residents ?? [] },
    ...{ motherId: ids.residents ?? [], outOfId: ids.residents ?? [], homeId: ids.homes ?? [] },
    ...{ toHomeId: ids.homes ?? [], shelfId: ids.shelves ?? [], roomId: ids.rooms ?? [], troubleId: house.entries },
    ...{ profile: [...PROFILES, ...OTHERS], about: [...(ids.residents ?? []), 'ground-tarantula'] },
    ...{ base: OTHERS, scientificName: ['Lasiodora parahybana', 'Porcellio laevis', 'Lasius niger', 'Nomen nescio'] },
    ...{ food: ['field-cricket-small', 'carrot'], item: ['field-cricket-small', 'carrot'], kind: ['field-cricket'] },
    ...{ material: ['coir', 'topsoil'], job: ['water', 'feed', 'mist'], code: ['Q1', 'Q2', 'Q3'] },
    ...{ answers: ['feed 2026-03-14'], step: ['cool-1', 'count-1'] },
  });

  /** A path with one of those that there are in the place of each `:name`. */
  const placed = (path: string, which: number): string | undefined => {
    const [, collection = ''] = /^\/api\/([a-z-]+)\/:/.exec(path) ?? [];
    const known = collection === 'profiles' ? PROFILES : collection === 'materials' ? ['coir'] : ids[collection];
    if (!path.includes(':')) return path;
    const id = known?.[which % Math.max(1, known.length)];
    return id === undefined ? undefined : path.replace(/:\w+/, id);
  };

  /** Every question of the house: of each that is there, where it is about one. */
  async function askedAll(): Promise<string[]> {
    const failed: string[] = [];
    for (const { method, path } of Object.values(all)) {
      if (method !== 'get' || /sitter/.test(path)) continue;
      const [, collection = ''] = /^\/api\/([a-z-]+)\/:/.exec(path) ?? [];
      const many = path.includes(':') ? (ids[collection]?.length ?? 1) : 1;
      for (let which = 0; which < many; which += 1) {
        const asked = placed(path, which);
        if (asked === undefined) continue;
        const { status } = await server.get(asked);
        // Some questions are about some kinds alone: a spider has no colony.
        if (status !== 200 && status !== 404 && status !== 400) failed.push(`${asked}: ${status}`);
        if (status === 404 && !path.includes(':')) failed.push(`${asked}: ${status}`);
      }
    }
    return failed;
  }

  it('every question of the house is answered after it', async () => {
    let accepted = 0;
    const act = fc.constantFrom(...WRITES).chain((name) =>
      fc.record({
        name: fc.constant(name),
        which: fc.nat(1000),
        body: fc.constant(null).chain(() => strange(schemas.get(name) ?? {}, words())),
      }),
    );
    await fc.assert(
      fc.asyncProperty(fc.array(act, { minLength: 80, maxLength: 80 }), async (acts) => {
        const written: unknown[] = [];
        for (const { name, which, body } of acts) {
          // Most are refused: it goes on until some were not.
          if (written.length === 3) break;
          const { method = 'post', path = '' } = all[name] ?? {};
          const place = placed(path, which);
          if (place === undefined) continue;
          const answer = await server[method as 'post' | 'patch' | 'put'](place, body);
          if (answer.status >= 500) throw new Error(`${name} answered ${answer.status} to ${JSON.stringify(body)}`);
          if (answer.status >= 300) continue;
          accepted += 1;
          written.push({ [name]: body, place });
          if (answer.body?.entry?.id) house.entries.push(answer.body.entry.id);
        }
        await lookAround();
        const failed = await askedAll();
        if (failed.length > 0) throw new Error(`${failed.join(', ')} after ${JSON.stringify(written)}`);
      }),
      { numRuns: 6, endOnFailure: true },
    );
    expect(accepted).toBeGreaterThan(9);
  }, 180_000);
});
