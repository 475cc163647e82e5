import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * Fifty small ants have filled their nest. Around them stand the boxes of a house that keeps everything: a jar without holes, a
 * tub of isopods, a vial, a refrigerator. Ants live in a nest with an outworld, and never with another colony.
 */
describe('ants that need more room', () => {
  let house: House;
  let colony: Resident;
  const ANTS = { profile: 'ant-small-temperate', stage: 'adult', headCount: 50, bodyLengthMm: 4 };
  beforeAll(async () => {
    house = await emptyHouse('2026-05-20');
    const nest = {
      chambers: [{ lengthMm: 40, widthMm: 20, heightMm: 8 }],
      tubeBoreMm: 8,
      outworld: { lengthMm: 120, widthMm: 90, heightMm: 80 },
    };
    await house.box('N1', { lengthMm: 140, widthMm: 100, heightMm: 60 }, { nest });
    await house.box('Jar', { shape: 'cylinder', diameterMm: 60, heightMm: 120, walls: 'glass' });
    await house.box('E1', 'culture', { soilMm: 50 });
    // A nest as good as any, in the cold.
    await house.shelf('Cold', 'Cellar', { temperatureC: 9, relativeHumidityPct: 60 });
    const larger = { ...nest, chambers: [{ lengthMm: 60, widthMm: 20, heightMm: 8 }] };
    await house.box('N2', { lengthMm: 140, widthMm: 100, heightMm: 60 }, { nest: larger });
    await house.box('N3', { lengthMm: 140, widthMm: 100, heightMm: 60 }, { nest: larger, shelf: 'Cold' });
    // A nest without a place to feed them.
    const { chambers, tubeBoreMm } = larger;
    await house.box('N4', { lengthMm: 140, widthMm: 100, heightMm: 60 }, { nest: { chambers, tubeBoreMm } });
    colony = await house.takeIn('Myrmica rubra', 'N1', { ...ANTS, form: 'colony' });
    await house.takeIn('Porcellio laevis', 'E1', { profile: 'isopod-temperate', stage: 'adult', headCount: 20 });
  });

  it('are never put together with others', async () => {
    const lodgers = [
      { label: 'ants', scientificName: 'Myrmica rubra', profile: 'ant-small-temperate', headCount: 50 },
      { label: 'isopods', scientificName: 'Porcellio laevis', profile: 'isopod-temperate', headCount: 20 },
    ];
    expect((await house.compute('company', { lodgers })).verdict).toBe('fail');
  });

  it('are offered no jar', async () => {
    const codes = (await house.ranking(ANTS)).filter(({ verdict }) => verdict !== 'fail').map(({ code }) => code);
    expect(codes).toContain('N2');
    expect(codes).not.toContain('Jar');
    expect(codes).not.toContain('E1');
    expect(codes).not.toContain('N4');
  });

  it('have their nests to themselves: no snail is offered one, or planned into one', async () => {
    const SNAILS = { profile: 'land-snail', stage: 'juvenile', headCount: 3, bodyLengthMm: 12 };
    const failing = (await house.ranking(SNAILS)).filter(({ verdict }) => verdict === 'fail').map(({ code }) => code);
    expect(failing).toEqual(expect.arrayContaining(['N1', 'N2', 'N3', 'N4']));
    const { container, nest } = await house.home('N2');
    const { checks } = await house.compute('fit', { ...SNAILS, container, nest, substrateDepthMm: 0 });
    expect(checks).toContainEqual(expect.objectContaining({ rule: 'no-nest', title: 'It is an ant nest' }));
    // Of a box without one nothing is said.
    const tub = await house.compute('fit', { ...SNAILS, container, substrateDepthMm: 0 });
    expect(tub.checks.map(({ rule }: { rule: string }) => rule)).not.toContain('no-nest');
  });

  it('drill no holes: neither a nest that is free nor the one that they live in', async () => {
    const { home } = house.granted(
      await house.post('/api/homes', {
        code: 'N9',
        shelfId: (await house.home('N1')).shelfId,
        container: { shape: 'box', lengthMm: 140, widthMm: 100, heightMm: 60, lid: 'solid', vents: [] },
        nest: { chambers: [{ lengthMm: 60, widthMm: 20, heightMm: 8 }] },
        substrateDepthMm: 0,
      }),
      201,
    );
    const homes = [{ id: 'n9', code: 'N9', container: home.container, nest: home.nest, substrateDepthMm: 0 }];
    const { ranking } = await house.compute('rank-homes', { ...ANTS, homes });
    expect(ranking[0].drill).toBeNull();
  });

  it('a queen and her first workers stay in the tube in which she founded', async () => {
    const { boxSizes } = house.granted(await house.get('/api/box-sizes'));
    const tube = boxSizes.find(({ id }: { id: string }) => id === 'ant-tube');
    await house.box('Tube', tube.container, { nest: tube.nest });
    const queen = await house.takeIn('Lasius niger', 'Tube', {
      profile: 'ant-small-temperate',
      stage: 'adult',
      form: 'colony',
      queens: 1,
    });
    expect(['pass', 'watch']).toContain((await house.home('Tube')).state?.verdict);
    expect(await house.kinds(queen)).not.toContain('mend');
    await house.write('measured', queen, { headCount: 12 });
    expect(['pass', 'watch']).toContain((await house.home('Tube')).state?.verdict);
    // Forty would leave a large nest almost empty.
    const large = boxSizes.find(({ id }: { id: string }) => id === 'ant-nest');
    const { checks } = await house.compute('fit', {
      ...ANTS,
      headCount: 40,
      container: large.container,
      nest: large.nest,
      substrateDepthMm: 0,
    });
    expect(checks).toContainEqual(expect.objectContaining({ rule: 'empty-space', status: 'fail' }));
  });

  it('are told which usual nests serve them, from a queen in her tube to a large colony', async () => {
    const { boxSizes } = house.granted(await house.get('/api/box-sizes'));
    const nests = boxSizes.filter(({ nest }: { nest?: object }) => nest);
    const served = async (facts: object) => {
      const homes = nests.map(({ id, container, nest }: { id: string; container: object; nest: object }) => ({
        ...{ id, code: id.slice(-12), container, nest, substrateDepthMm: 0 },
      }));
      const { ranking } = await house.compute('rank-homes', { ...ANTS, ...facts, homes });
      return ranking[0];
    };
    for (const headCount of [10, 40, 200, 900, 4000]) expect((await served({ headCount })).verdict).not.toBe('fail');
    expect((await served({ headCount: 25 })).homeId).toBe('ant-tube-small');
    expect((await served({ headCount: 200 })).homeId).toBe('ant-nest-small');
  });

  it('are offered no nest in a cellar of 9 C, and are planned into none', async () => {
    expect((await house.ranking(ANTS)).find(({ code }) => code === 'N3')?.verdict).toBe('fail');
    await house.write('measured', colony, { headCount: 90 });
    const { moves } = house.granted(await house.post('/api/moves/plan', { days: 60, makeRoom: true }));
    expect(moves.map(({ to }: { to: string }) => to)).not.toContain(house.boxId('N3'));
    await house.write('measured', colony, { headCount: 50 });
  });

  it('never join another colony, of their own kind least of all', async () => {
    const { status, body } = await house.askToTakeIn('Myrmica rubra', 'N1', { ...ANTS, form: 'colony' });
    expect(status).toBe(409);
    expect(body.error.message).toMatch(/its own nest/);
  });

  it('are planned into nothing that is no nest', async () => {
    const { moves } = house.granted(await house.post('/api/moves/plan', { days: 60, makeRoom: true }));
    const into = moves
      .filter(({ resident }: { resident: string }) => resident === colony.id)
      .map(({ to }: { to: string }) => to);
    expect(into).not.toContain(house.boxId('Jar'));
    expect(into).not.toContain(house.boxId('E1'));
  });

  // Part 3: 66 % on the page of the home, 81 % in the seasons.
  it('fill as much of their nest wherever one looks', async () => {
    const home = await house.home('N1');
    const asked = {
      ...ANTS,
      scientificName: 'Myrmica rubra',
      container: home.container,
      substrateDepthMm: 0,
      nest: home.nest,
    };
    const { checks } = await house.compute('fit', asked);
    const onHome = checks.find(({ rule }: { rule: string }) => rule === 'full').actual;
    const { colonies } = house.granted(await house.get('/api/colonies'));
    const inSeasons = colonies.find(({ residentId }: { residentId: string }) => residentId === colony.id).fullPct;
    expect(inSeasons).toBeCloseTo(onHome, 0);
  });
});
