import fc from 'fast-check';
import { materials, profileOf } from '@/contract/testing/profileOf';
import type { Container } from '@/core/housing/container';
import { addDays, daysBetween } from '@/core/measure/day';
import { dryingAhead, forecastMoisture } from './forecast';
import { dishAreaCm2Of, keptWetness, questionOf, USUAL_ROOM, wishesOf, type AiredHome } from './homeAir';
import { pouredMl } from './pouredMl';
import { wateringOutlook, waterStatus, type WaterFact } from './watering';

const TODAY = '2026-03-14';
const ago = (days: number) => addDays(TODAY, -days);
const container: Container = {
  shape: 'box',
  lengthMm: 280,
  widthMm: 180,
  heightMm: 120,
  lid: 'solid',
  vents: (['left', 'right'] as const).map((side) => ({
    side,
    shape: 'panel',
    count: 1,
    widthMm: 30,
    heightMm: 30,
    centreHeightMm: 90,
    meshApertureMm: 0.3,
  })),
};
const profile = profileOf('isopod-temperate');
const home: AiredHome = { container, substrateDepthMm: 50, litterDepthMm: 15 };
const recipe = [{ material: 'coir' as const, parts: 1 }];
const question = questionOf(profile, 'adult', home, USUAL_ROOM, recipe, materials, 1);
const wishes = wishesOf(profile);
const outlook = (facts: WaterFact[], dryAir?: Parameters<typeof wateringOutlook>[4]) => {
  const answer = wateringOutlook(question, wishes, facts, TODAY, dryAir);
  if (!answer) throw new Error('an outlook was expected');
  return answer;
};
const damped = (daysAgo: number, shortMl = 0): WaterFact => ({ kind: 'damped', on: ago(daysAgo), shortMl });

describe('the next watering', () => {
  it('falls on the day that the forecast names, and asks for what was lost', () => {
    const forecast = forecastMoisture({ ...question, days: 120 }, wishes);
    const days = Math.floor(forecast.daysToRedamp ?? NaN);
    expect(outlook([damped(3)]).likelyOn).toBe(addDays(TODAY, days - 3));
    expect(outlook([damped(days)]).likelyOn).toBe(TODAY);
    const { earliest, latest } = dryingAhead({ ...question, days: 120 }, wishes).band;
    // By the hour here, between the hours there.
    const isNear = (day: string | null | undefined, days: number | null) =>
      days === null ? day === null : Math.abs(daysBetween(addDays(TODAY, Math.floor(days) - 3), day ?? '')) <= 1;
    expect(isNear(outlook([damped(3)]).dueOn, earliest)).toBe(true);
    expect(isNear(outlook([damped(3)]).lateOn, latest)).toBe(true);
    expect(outlook([damped(days)]).waterMl / forecast.redampMl).toBeCloseTo(1, 0);
    expect(outlook([damped(3)])).toMatchObject({ by: 'damped', since: ago(3), way: 'at-end' });
  });

  it('is told from the first day on which it may be dry to the last, more narrowly the more is known', () => {
    const widthOf = ({ dueOn, lateOn }: ReturnType<typeof outlook>) => daysBetween(dueOn ?? '', lateOn ?? '9999-12-31');
    const { dueOn, likelyOn, lateOn } = outlook([damped(10)]);
    expect(dueOn && likelyOn && dueOn < likelyOn).toBe(true);
    expect(lateOn === null || (likelyOn ?? '') < (lateOn ?? '')).toBe(true);
    // What was felt is the same for a fast box and for a slow one: only what is left of the way differs.
    const felt = outlook([damped(10), { kind: 'felt', on: ago(0), wetness: 0.63 }]);
    expect(widthOf(felt)).toBeLessThan(widthOf(outlook([damped(10)])));
    // Perhaps dry is watched; only when it likely is so for days is it late.
    expect(waterStatus({ dueOn: ago(5), likelyOn: addDays(TODAY, 5) }, TODAY)).toBe('watch');
    expect(waterStatus({ dueOn: ago(5), likelyOn: ago(3) }, TODAY)).toBe('fail');
    expect(waterStatus({ dueOn: ago(3) }, TODAY)).toBe('fail');
    expect(waterStatus({ dueOn: ago(30), likelyOn: null }, TODAY)).toBe('watch');
  });

  it('goes by what was found where the forecast would never have dried so far', () => {
    const sealed = {
      ...home,
      container: { ...home.container, lid: 'solid' as const, lidFit: 'gasket' as const, vents: [] },
    };
    const kept = { ...keptWetness(profile, 'adult'), sharePct: 100 };
    const still = questionOf(profile, 'adult', sealed, USUAL_ROOM, recipe, materials, 1, kept);
    const told = (facts: WaterFact[]) => wateringOutlook(still, wishes, facts, TODAY);
    const limit = wishes.dampWetnessMin ?? NaN;
    expect(told([damped(9)])?.likelyOn).toBeNull();
    const dry = told([damped(9), { kind: 'felt', on: ago(0), wetness: limit / 2 }]);
    expect(dry).toMatchObject({ dueOn: TODAY, likelyOn: TODAY });
    expect(dry?.dampWetness).toBeCloseTo(limit / 2, 9);
    expect(dry?.waterMl).toBeCloseTo(1000 * (still.wetness.damp - limit / 2) * still.box.dampHeldKg, 6);
    const lostMl = 1000 * (still.wetness.damp - limit + 0.05) * still.box.dampHeldKg;
    expect(told([damped(9), { kind: 'weighed', on: ago(0), lostMl }])?.dueOn).toBe(TODAY);
  });

  it('moves with a handful felt, a weighing, and water that fell short', () => {
    const plain = outlook([damped(4)]).dueOn ?? '';
    const felt = (wetness: number) => outlook([damped(4), { kind: 'felt', on: ago(0), wetness }]).dueOn ?? '';
    expect(felt(0.73) > plain).toBe(true);
    expect(felt(0.62) < plain).toBe(true);
    // As dry as that it is due since it was felt, and not since a day on which nobody knew.
    const dry = [damped(14), { kind: 'felt', on: ago(2), wetness: 0.5 }] as const;
    expect(outlook([...dry])).toMatchObject({ dueOn: ago(2), likelyOn: ago(2), lateOn: ago(2) });
    const weighed = (lostMl: number) => outlook([damped(4), { kind: 'weighed', on: ago(0), lostMl }]).dueOn ?? '';
    expect(weighed(1) > plain).toBe(true);
    expect(weighed(60) < plain).toBe(true);
    const short = outlook([damped(4, 40)]).dueOn ?? '';
    expect(short < plain).toBe(true);
  });

  it('is today when the air has been too dry for too long', () => {
    const dryAir = { humidityPct: 48, hours: 30, minPct: 65 };
    expect(outlook([damped(1)], dryAir)).toMatchObject({ dueOn: TODAY, by: 'dry-air', dryAir });
  });

  it('comes no later for having been damped earlier, and never asks for less than can be poured', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 1, max: 30 }), (daysAgo, more) => {
        const [later, earlier] = [outlook([damped(daysAgo)]), outlook([damped(daysAgo + more)])];
        expect(daysBetween(earlier.dueOn ?? '', later.dueOn ?? '')).toBe(more);
        expect(earlier.waterMl).toBeGreaterThanOrEqual(later.waterMl);
        expect(later.waterMl).toBeGreaterThanOrEqual(5);
      }),
      { numRuns: 30 },
    );
  });

  it('is not asked of a home that nobody damped or that holds no soil', () => {
    expect(wateringOutlook(question, wishes, [], TODAY)).toBeNull();
    const bare = questionOf(profile, 'adult', { container, substrateDepthMm: 0 }, USUAL_ROOM, recipe, materials, 1);
    expect(wateringOutlook(bare, wishes, [damped(3)], TODAY)).toBeNull();
  });

  it.each([
    [7.4, 7],
    [43, 45],
    [118, 120],
    [640, 650],
    [0.2, 1],
  ])('of %d mL is poured as %d', (ml, poured) => expect(pouredMl(ml)).toBe(poured));
});

describe('a home as it is kept', () => {
  it('is damp throughout for a spiderling, and has the open water of its dishes', () => {
    expect(keptWetness(profileOf('ground-tarantula'), 'spiderling').sharePct).toBe(100);
    expect(keptWetness(profileOf('ground-tarantula'), 'adult').sharePct).toBe(33);
    // A twentieth of 28 x 18 cm for each dish, from memory.
    expect(dishAreaCm2Of({ ...home, furniture: [{ kind: 'dish', count: 2 }] })).toBeCloseTo(50.4, 6);
    expect(dishAreaCm2Of({ ...home, dishAreaCm2: 30, furniture: [{ kind: 'dish' }] })).toBe(30);
    expect(dishAreaCm2Of(home)).toBe(0);
  });
});
