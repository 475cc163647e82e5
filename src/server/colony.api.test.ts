import { onEmptyServer } from './testing/onEmptyServer';
import { TODAY, type Answer, type TestServer } from './testing/server';

const fields = ({ body }: Answer): string[] => body.error.fields.map((field: { path: string }) => field.path);

describe('colonies', () => {
  let server: TestServer;
  onEmptyServer((each) => (server = each));
  let ants: { id: string };
  beforeAll(async () => {
    const { shelf } = (await server.post('/api/shelves', { room: 'R', name: 'A' })).body;
    const container = { shape: 'box', lengthMm: 200, widthMm: 200, heightMm: 60, lid: 'solid', vents: [] };
    const nest = { chambers: [{ lengthMm: 60, widthMm: 40, heightMm: 10 }], tubeBoreMm: 8 };
    const body = { code: 'F1', shelfId: shelf.id, container, substrateDepthMm: 0, nest };
    const { home } = (await server.post('/api/homes', body)).body;
    const red = { scientificName: 'Lasius niger', profile: 'ant-small-temperate', stage: 'adult', headCount: 120 };
    ants = (await server.post('/api/residents', { ...red, homeId: home.id })).body.resident;
  }, 60_000);

  it('are followed by what was counted, and by what is usual where nobody counted', async () => {
    const facts = () => server.get(`/api/residents/${ants.id}/colony`);
    const before = (await facts()).body;
    expect(before).toMatchObject({
      asOf: TODAY,
      queens: 1,
      estimated: ['egg', 'larva', 'pupa'],
      rest: { need: 'must' },
    });
    expect(before.counts.worker).toBe(120);
    expect(before.roomForHeads).toBeGreaterThan(0);
    const count = { kind: 'measured', residentId: ants.id, stages: { worker: 150, larva: 40 }, queens: 1 };
    expect((await server.post('/api/entries', count)).status).toBe(201);
    expect((await facts()).body).toMatchObject({ counts: { worker: 150, larva: 40 }, estimated: ['egg', 'pupa'] });
    const [now] = (await server.get('/api/residents')).body.residents;
    expect(now.headCount).toBe(150);
  });

  it('with two queens in a one-queen kind, or stages that it does not have, are refused by name', async () => {
    const measured = { kind: 'measured', residentId: ants.id };
    expect(fields(await server.post('/api/entries', { ...measured, queens: 2 }))).toEqual(['queens']);
    expect(fields(await server.post('/api/entries', { ...measured, stages: { nymph: 4 } }))).toEqual(['stages.nymph']);
    expect(fields(await server.post('/api/entries', { ...measured, stages: { larva: -4 } }))).toEqual(['stages.larva']);
  });

  it('are projected for anybody over HTTP', async () => {
    const colony = {
      profile: 'ant-small-temperate',
      queens: 1,
      counts: { egg: 8 },
      temperatureC: 24,
      weeks: 20,
      asOf: '2026-03-01',
    };
    const { body } = await server.post('/api/compute/colony', colony);
    expect(body.series).toHaveLength(21);
    expect(body.firstWorkersOn.median > '2026-03-20' && body.firstWorkersOn.median < '2026-05-10').toBe(true);
    expect(fields(await server.post('/api/compute/colony', { ...colony, temperaturesC: [20] }))).toEqual([
      'temperatureC',
    ]);
    expect(fields(await server.post('/api/compute/colony', { ...colony, profile: 'mantis' }))).toEqual(['profile']);
    const matrix = {
      matrix: [
        [0, 2],
        [0.5, 0],
      ],
      initial: [10, 0],
      steps: 2,
    };
    expect((await server.post('/api/compute/population', matrix)).body).toMatchObject({
      lambda: expect.closeTo(1, 6),
      series: [
        [10, 0],
        [0, 5],
        [10, 0],
      ],
    });
    expect(fields(await server.post('/api/compute/population', { ...matrix, matrix: [[1], [1]] }))).toEqual([
      'matrix.0',
    ]);
    const rest = { profile: 'ant-small-temperate', latitudeDeg: 52, asOf: '2026-10-01', roomC: 22, placeC: 7 };
    expect((await server.post('/api/compute/rest', rest)).body).toMatchObject({ beginsOn: '2026-10-28', restC: 7 });
    expect(fields(await server.post('/api/compute/rest', { ...rest, latitudeDeg: 120 }))).toEqual(['latitudeDeg']);
    expect(fields(await server.post('/api/compute/rest', { ...rest, profile: 'ant-leafcutter' }))).toEqual(['profile']);
  });
});
