import type { RankedHome } from '@/core/housing/rank';
import { emptyHouse, type House } from './house';

/**
 * On the shelf stand a new tub of plastic, as it came from the shop, a glass tank with a tight lid, and a tub that is drilled. The
 * first is material: it serves once it is drilled, and the choice says with how many holes. The second is never drilled, and has no
 * air to live in.
 */
describe('a tub that is not drilled yet', () => {
  let house: House;
  const SIZE = { lengthMm: 300, widthMm: 200, heightMm: 150, lid: 'solid' };
  const hole = (side: string) => ({ side, shape: 'hole', count: 8, diameterMm: 3, centreHeightMm: 110 });
  const SPIDER = { profile: 'tree-tarantula', stage: 'juvenile', legSpanMm: 60 };
  const TALL = { lengthMm: 200, widthMm: 200, heightMm: 300, lid: 'solid' };
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    await house.box('New', { ...TALL, walls: 'plastic' }, { soilMm: 50 });
    await house.box('Tank', { ...TALL, walls: 'glass' }, { soilMm: 50 });
    await house.box('Drilled', { ...TALL, walls: 'plastic', vents: ['left', 'right'].map(hole) }, { soilMm: 50 });
  });
  const ranked = async (facts: object): Promise<RankedHome[]> => {
    const homes = (await house.homes()).map(({ id, code, container, substrateDepthMm }) => ({
      ...{ id, code, container, substrateDepthMm },
    }));
    return (await house.compute('rank-homes', { ...facts, homes })).ranking;
  };

  it('is offered after those that are, with the holes it takes; a tight tank is no home', async () => {
    const ranking = await ranked(SPIDER);
    expect(ranking.map(({ code }) => code)).toEqual(['Drilled', 'New', 'Tank']);
    const [drilled, fresh, tank] = ranking;
    expect(drilled?.drill).toBeNull();
    expect(fresh?.verdict).toBe(drilled?.verdict);
    expect(fresh?.drill).toMatchObject({ kind: 'holes', diameterMm: 3, sides: ['left', 'right'] });
    expect(fresh?.drill?.perSide).toBeGreaterThan(4);
    expect(tank).toMatchObject({ verdict: 'fail', drill: null, air: { status: 'fail' } });
  });

  it('is drilled by its build sheet as the choice said', async () => {
    const [, fresh] = await ranked(SPIDER);
    const { homes } = await house.compute('build-sheet', {
      homes: [
        {
          ...{ code: 'New', ...SPIDER, container: { shape: 'box', vents: [], ...TALL, walls: 'plastic' } },
          ...{ substrateDepthMm: fresh?.depthMm, recipe: [{ material: 'coir', parts: 1 }] },
        },
      ],
    });
    const drill = homes[0].steps.find(({ code }: { code: string }) => code === 'drill');
    expect(drill.plan).toMatchObject({ perSide: fresh?.drill?.perSide, sides: fresh?.drill?.sides });
  });

  it('is cut out under mesh for those whose young would leave by any hole', async () => {
    const bugs = { profile: 'communal-assassin-bug', stage: 'adult', bodyLengthMm: 40, headCount: 6 };
    const fresh = (await ranked(bugs)).find(({ code }) => code === 'New');
    expect(fresh?.drill?.meshApertureMm).toBeGreaterThan(0);
  });

  it('is a home that the plan of moves may use, and the tank is not', async () => {
    const spider = await house.takeIn('Caribena versicolor', 'Tank', { ...SPIDER, legSpanMm: 40 });
    await house.box('Free', { ...SIZE, ...TALL, walls: 'glass' }, { soilMm: 50 });
    const { moves } = house.granted(await house.post('/api/moves/plan', { days: 60, makeRoom: true }));
    const into = moves
      .filter(({ resident }: { resident: string }) => resident === spider.id)
      .map(({ to }: { to: string }) => to);
    expect(into).not.toContain(house.boxId('Free'));
  });

  it('is a box as it stands while somebody lives in it: its rules, the choice and the plan of moves say the same', async () => {
    await house.box('Lived', { ...TALL, walls: 'plastic' }, { soilMm: 50 });
    await house.takeIn('Caribena versicolor', 'Lived', { ...SPIDER, legSpanMm: 45 });
    const { state, container, substrateDepthMm } = await house.home('Lived');
    const home = { id: 'x', code: 'Lived', container, substrateDepthMm, asItStands: true };
    const { ranking } = await house.compute('rank-homes', { ...SPIDER, legSpanMm: 45, homes: [home] });
    expect(ranking[0].drill).toBeNull();
    expect(ranking[0].verdict).toBe(state?.verdict);
  });

  it('is drilled by the school on openings that is followed, and the handling sheet says so first', async () => {
    const { id, container, substrateDepthMm } = await house.home('New');
    const homes = [{ id, code: 'New', container, substrateDepthMm }];
    const { ranking } = await house.compute('rank-homes', { ...SPIDER, openings: 'one-cut-out', homes });
    expect(ranking[0].drill).toMatchObject({ kind: 'mesh-holes' });
    const spider = await house.takeIn('Caribena versicolor', 'Drilled', { ...SPIDER });
    const sheet = house.granted(await house.get(`/api/residents/${spider.id}/handling?to=${id}`));
    expect(sheet.move.drill).toMatchObject({ kind: 'holes', sides: ['left', 'right'] });
  });

  it('is no longer said to serve as it is', async () => {
    const drilled = await house.home('Drilled');
    const sheet = house.granted(
      await house.get(`/api/residents/${drilled.residentIds[0]}/handling?to=${house.boxId('Drilled')}`),
    );
    expect(sheet.move.drill).toBeNull();
  });
});
