import { profileOf } from '@/contract/testing/profileOf';
import { shippedFoods } from '@/contract/shipped';
import { addDays } from '@/core/measure/day';
import type { LeafDiet } from '@/core/profiles/diet';
import { expectedMoults } from './demand';
import { gramsPerCutting } from './cuttings';
import { leafMeal } from './leaves';

const FROM = '2026-03-14';
const GROUND = profileOf('ground-tarantula');
const JUVENILE_DAYS = GROUND.growth.intervals?.find(({ stages }) => stages.includes('juvenile'))?.days.value ?? NaN;
/** A fifth to a third of the time between moults is spent fasting: what the first moult shows is held to here. */
const juvenile = (lastMoultOn: string) => ({ profile: GROUND, stage: 'juvenile' as const, legSpanMm: 60, lastMoultOn });

describe('moults that are expected', () => {
  it('come an interval after the last, with a fast before and the quiet days after', () => {
    const last = addDays(FROM, 10 - Math.round(JUVENILE_DAYS));
    const [first] = expectedMoults(juvenile(last), FROM, addDays(FROM, 84));
    expect(first?.on).toBe(addDays(FROM, 10));
    expect(first && first.fastFrom < first.on && first.fedFrom > first.on).toBe(true);
  });

  it('that are overdue are about to come: the fast before them begins tomorrow, for whoever is left alone today is told so', () => {
    const [first] = expectedMoults(juvenile(addDays(FROM, -3 * Math.round(JUVENILE_DAYS))), FROM, addDays(FROM, 84));
    expect(first?.fastFrom).toBe(addDays(FROM, 1));
    expect(first && first.on > FROM).toBe(true);
  });

  it('are known already where only the fast falls into the weeks', () => {
    const last = addDays(FROM, 90 - Math.round(JUVENILE_DAYS));
    const [first] = expectedMoults(juvenile(last), FROM, addDays(FROM, 84));
    expect(first?.on).toBe(addDays(FROM, 90));
  });

  it('are nobody’s of a group, of one never seen to moult, and of a kind without intervals', () => {
    const ahead = addDays(FROM, 400);
    expect(expectedMoults({ ...juvenile('2026-01-01'), headCount: 3 }, FROM, ahead)).toEqual([]);
    expect(expectedMoults({ ...juvenile('2026-01-01'), lastMoultOn: undefined }, FROM, ahead)).toEqual([]);
    expect(expectedMoults({ ...juvenile('2026-01-01'), headCount: 1 }, FROM, ahead).length).toBeGreaterThan(0);
  });
});

describe('leaves', () => {
  const diet = profileOf('stick-insect').diet as LeafDiet;
  const asked = { diet, massG: 60, on: '2026-06-14', hemisphere: 'north' as const, foods: shippedFoods, meals: [] };

  it('of two plants are shared between them, not doubled', () => {
    const young = leafMeal({ ...asked, instar: 1 });
    expect(young.dishes).toHaveLength(2);
    const eatenG = young.grounds.find(({ rule }) => rule === 'eaten')?.value ?? NaN;
    const given = young.dishes.reduce((sum, { massG }) => sum + (massG ?? 0), 0);
    // Twice what is eaten, and no more than a cutting of each beyond.
    const oneOfEach = young.dishes
      .map(({ food }) => shippedFoods.find(({ id }) => id === food))
      .reduce((sum, plant) => sum + (plant ? gramsPerCutting(plant) : 0), 0);
    expect(given).toBeGreaterThanOrEqual(2 * eatenG - 1e-9);
    expect(given).toBeLessThan(2 * eatenG + oneOfEach);
  });

  it('are all shown up to the second instar, then one plant', () => {
    expect(leafMeal({ ...asked, instar: 2 }).dishes).toHaveLength(2);
    expect(leafMeal({ ...asked, instar: 3 }).dishes).toHaveLength(1);
  });

  it('go on with the plant they are used to', () => {
    const [, second] = leafMeal({ ...asked, instar: 1 }).dishes;
    const meals = [{ on: '2026-06-07', dishes: [{ food: second?.food ?? '' }], outcome: null }];
    expect(leafMeal({ ...asked, instar: 5, meals }).dishes[0]?.food).toBe(second?.food);
  });
});
