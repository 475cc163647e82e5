import { addDays } from '@/core/measure/day';
import { TODAY, type TestServer } from './server';

/* What keepers do in a house, one thing after another, for laws about any house. */

const BOX = { shape: 'box', lengthMm: 300, widthMm: 200, heightMm: 200, lid: 'solid', vents: [] };
const KINDS = [
  { scientificName: 'Lasiodora parahybana', profile: 'ground-tarantula', stage: 'juvenile', legSpanMm: 60 },
  { scientificName: 'Lasiodora parahybana', profile: 'ground-tarantula', stage: 'adult', legSpanMm: 140 },
  { scientificName: 'Porcellio laevis', profile: 'isopod-temperate', stage: 'adult', headCount: 80 },
  { scientificName: 'Folsomia candida', profile: 'springtail', stage: 'adult', headCount: 500 },
  { scientificName: 'Lasius niger', profile: 'ant-small-temperate', stage: 'adult', headCount: 30 },
];

/** A house that is written to, by the ids of what is in it. */
export interface ActedOn {
  server: TestServer;
  residents: string[];
  homes: string[];
  entries: string[];
}

/** Six boxes on a shelf, one of each kind in the first five, for most of a year. */
export async function begunHouse(server: TestServer): Promise<ActedOn> {
  const house: ActedOn = { server, residents: [], homes: [], entries: [] };
  const { shelf } = (await server.post('/api/shelves', { room: 'Room', name: 'Shelf 1' })).body;
  for (const code of ['A1', 'A2', 'A3', 'A4', 'A5', 'A6']) {
    const box = { code, shelfId: shelf.id, container: BOX, substrateDepthMm: 40 };
    house.homes.push((await server.post('/api/homes', box)).body.home.id);
  }
  for (const [index, kind] of KINDS.entries()) {
    const { body } = await server.post('/api/residents', { ...kind, homeId: house.homes[index], on: '2025-06-01' });
    house.residents.push(body.resident.id);
  }
  return house;
}

/** One thing that a keeper does; which of the animals, boxes and entries is said by a number. */
type Act = (house: ActedOn, which: number) => Promise<number>;
const pick = (list: readonly string[], which: number) => list[which % Math.max(1, list.length)] ?? '';

const about =
  (kind: string, facts: object = {}): Act =>
  async ({ server, residents, entries }, which) => {
    const residentId = pick(residents, which);
    const { status, body } = await server.post('/api/entries', { kind, residentId, ...facts });
    if (status === 201) entries.push(body.entry.id);
    return status;
  };

export const ACTS: Record<string, Act> = {
  fed: about('offered', { dishes: [{ food: 'field-cricket-small', count: 2 }], insist: true }),
  eaten: about('eaten'),
  refused: about('refused'),
  dark: about('sign', { sign: 'dark' }),
  damped: about('damped', { waterMl: 20, neededMl: 40 }),
  felt: about('felt', { wetness: 0.3 }),
  watered: about('watered'),
  moulted: about('moulted', { legSpanMm: 75 }),
  'moulted before': about('moulted', { on: addDays(TODAY, -40) }),
  counted: about('measured', { headCount: 120 }),
  died: about('died'),
  'put off': about('skipped', { job: 'water', until: addDays(TODAY, 3), why: 'no-time' }),
  moved: async (house, which) => about('moved', { homeId: pick(house.homes, which >> 2), insist: true })(house, which),
  'a move planned': async (house, which) => {
    const days = { moveOn: TODAY, from: TODAY, until: addDays(TODAY, 4) };
    return about('move-planned', { toHomeId: pick(house.homes, which >> 2), ...days })(house, which);
  },
  'taken back': async ({ server, entries }, which) => {
    return (await server.post(`/api/entries/${pick(entries, which)}/undo`, {})).status;
  },
  'soil set': async ({ server, homes }, which) => {
    return (
      await server.post('/api/entries', {
        kind: 'soil-set',
        homeId: pick(homes, which),
        substrateDepthMm: 10 + (which % 90),
      })
    ).status;
  },
  'a box changed': async ({ server, homes }, which) => {
    return (
      await server.patch(`/api/homes/${pick(homes, which)}`, { place: 1 + (which % 9), litterDepthMm: which % 30 })
    ).status;
  },
  'a box renamed': async ({ server, homes }, which) =>
    (await server.patch(`/api/homes/${pick(homes, which)}`, { code: `N${which}` })).status,
  'taken in': async ({ server, residents, homes }, which) => {
    const kind = KINDS[which % KINDS.length];
    const { status, body } = await server.post('/api/residents', { ...kind, homeId: pick(homes, which >> 3) });
    if (status === 201) residents.push(body.resident.id);
    return status;
  },
  renamed: async ({ server, residents }, which) => {
    return (await server.patch(`/api/residents/${pick(residents, which)}`, { called: `Name ${which}` })).status;
  },
  bought: async ({ server }, which) => {
    return (
      await server.post('/api/store/entries', {
        kind: 'bought',
        item: 'field-cricket-small',
        amount: 1 + (which % 20),
        on: TODAY,
      })
    ).status;
  },
  'a reading': async ({ server, homes }, which) => {
    const reading = { place: 'air', temperatureC: 15 + (which % 15), relativeHumidityPct: 20 + (which % 70) };
    return (await server.post(`/api/homes/${pick(homes, which)}/readings`, reading)).status;
  },
  'a file of a logger': async ({ server, homes }, which) => {
    const { rooms } = (await server.get('/api/rooms')).body;
    const place = which % 2 ? { roomId: rooms[0].id } : { homeId: pick(homes, which) };
    const begun = await server.post('/api/imports', { name: `L${which}`, place: 'air', ...place });
    const { importId } = begun.body;
    if (!importId) return begun.status;
    const from = Date.parse(`${addDays(TODAY, -30 - (which % 9))}T00:00:00.000Z`);
    const warmth = (hour: number) => 15 + (which % 12) + (hour % 3) / 10;
    const rows = Array.from({ length: 24 * 20 }, (_, hour) => [from + hour * 3_600_000, warmth(hour), 60, null]);
    await server.post(`/api/imports/${importId}/rows`, { rows });
    const { status, body } = await server.post(`/api/imports/${importId}/finish`, {});
    if (which % 3 === 0) await server.remove(`/api/probes/${body.probeId}`);
    return status;
  },
  'the air of a room': async ({ server }, which) => {
    const { rooms } = (await server.get('/api/rooms')).body;
    const air = { temperatureC: 18 + (which % 9), relativeHumidityPct: 55 };
    return (await server.put(`/api/rooms/${rooms[0].id}`, { air, since: addDays(TODAY, -(which % 90)) })).status;
  },
  'a school': async ({ server, residents }, which) => {
    const whose =
      which % 3 === 0
        ? { scope: 'kind', about: 'ground-tarantula' }
        : { scope: 'resident', about: pick(residents, which) };
    const school = which % 2 ? 'large-and-rarely' : 'small-and-often';
    return (await server.put('/api/schools', { ...whose, topic: 'feeding', school })).status;
  },
};
