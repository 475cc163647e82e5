import type { Home } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * The shelves of a room are put up, and a stack of twelve tubs from one shop goes on them. One is measured, the others are like it.
 * A box that was added by mistake goes again; one somebody lives in does not.
 */
describe('a stack of boxes', () => {
  let house: House;
  let first: Home;
  const fields = ({ body }: { body: { error: { fields: { path: string }[] } } }) =>
    body.error.fields.map(({ path }) => path);
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    const { shelves } = house.granted(
      await house.post('/api/shelves/bulk', { room: 'Cellar', names: ['Top', 'Middle', 'Floor'] }),
      201,
    );
    expect(shelves.map(({ room, name }: { room: string; name: string }) => `${room} ${name}`)).toEqual([
      ...['Cellar Top', 'Cellar Middle', 'Cellar Floor'],
    ]);
    const container = { shape: 'box', lengthMm: 200, widthMm: 150, heightMm: 120, lid: 'solid', vents: [] };
    const asked = { code: 'T8', shelfId: shelves[0].id, container, substrateDepthMm: 40, litterDepthMm: 10 };
    first = house.granted(await house.post('/api/homes', asked), 201).home;
  });
  const copies = (count: number, more: object = {}) => house.post(`/api/homes/${first.id}/copies`, { count, ...more });

  it('is put up in one act: all have the size, the soil and the litter of the first, and codes that go on', async () => {
    const { homes } = house.granted(await copies(11), 201);
    expect(homes.map(({ code }: Home) => code)).toEqual([
      ...['T9', 'T10', 'T11', 'T12', 'T13', 'T14', 'T15', 'T16', 'T17', 'T18', 'T19'],
    ]);
    expect(await house.homes()).toHaveLength(12);
    for (const home of await house.homes()) {
      expect(home).toMatchObject({
        container: first.container,
        substrateDepthMm: 40,
        litterDepthMm: 10,
        residentIds: [],
      });
    }
    // They stand side by side on its shelf.
    expect(new Set((await house.homes()).map(({ place }) => place)).size).toBe(12);
  });

  it('goes on where codes are taken, and begins where it is told', async () => {
    const again = house.granted(await copies(1), 201).homes;
    expect(again[0].code).toBe('T20');
    const named = house.granted(await copies(2, { firstCode: 'Q1' }), 201).homes;
    expect(named.map(({ code }: Home) => code)).toEqual(['Q1', 'Q2']);
    expect(fields(await copies(2, { firstCode: 'Q2' }))).toEqual(['firstCode']);
    expect(fields(await copies(0))).toEqual(['count']);
    expect(fields(await house.post('/api/shelves/bulk', { room: 'Cellar', names: ['Roof', 'Top'] }))).toEqual([
      'names',
    ]);
    expect(house.granted(await house.get('/api/shelves')).shelves).toHaveLength(3);
  });

  it('loses one that was added by mistake, and none in which somebody lives or lived', async () => {
    const [home] = house.granted(await copies(1), 201).homes;
    house.granted(await house.remove(`/api/homes/${home.id}`));
    expect((await house.homes()).map(({ code }) => code)).not.toContain(home.code);
    await house.post('/api/residents', {
      ...{ scientificName: 'Porcellio laevis', stage: 'adult', headCount: 12, homeId: first.id },
    });
    const refused = await house.remove(`/api/homes/${first.id}`);
    expect(refused.status).toBe(409);
    expect((await house.homes()).map(({ code }) => code)).toContain('T8');
  });

  it('holds soil no higher than the sill of a door in front, on every screen that fills it', async () => {
    const terrarium = {
      ...{
        shape: 'box',
        lengthMm: 300,
        widthMm: 300,
        heightMm: 450,
        lid: 'mesh',
        vents: [],
        opens: 'front',
        sillMm: 80,
      },
    };
    await house.box('G1', terrarium, { soilMm: 60, shelf: undefined });
    const deep = await house.post('/api/homes', {
      ...{ code: 'G2', shelfId: first.shelfId, container: terrarium, substrateDepthMm: 120 },
    });
    expect(fields(deep)).toEqual(['substrateDepthMm']);
    const fit = await house.compute('fit', {
      ...{ profile: 'burrowing-tarantula', stage: 'adult', legSpanMm: 120, container: terrarium, substrateDepthMm: 60 },
    });
    expect(fit.substrateDepthMm.max).toBeLessThanOrEqual(80);
    const set = { kind: 'soil-set', homeId: house.boxId('G1'), substrateDepthMm: 100 };
    expect(fields(await house.post('/api/entries', set))).toEqual(['substrateDepthMm']);
    const flat = { ...terrarium, opens: 'top' };
    expect(
      fields(
        await house.post('/api/homes', { code: 'G3', shelfId: first.shelfId, container: flat, substrateDepthMm: 5 }),
      ),
    ).toEqual(['container.sillMm']);
  });
});
