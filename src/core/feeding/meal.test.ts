import fc from 'fast-check';
import { shippedFeeders, shippedFoods, shippedProfiles } from '@/contract/shipped';
import { profileOf } from '@/contract/testing/profileOf';
import { addDays } from '@/core/measure/day';
import type { LitterDiet } from '@/core/profiles/diet';
import type { CareProfile } from '@/core/profiles/profile';
import { amountOf, preyOf, type PastMeal } from './food';
import { nextPortionG, portionDueOn } from './litter';
import { mealOf, type MealQuestion } from './meal';
import { seasonOf } from '@/core/season/year';

const ON = '2026-07-01';
const larder = { feeders: preyOf(shippedFeeders), foods: shippedFoods };
const meal = (id: string, change: Partial<MealQuestion> = {}) => {
  const profile = profileOf(id);
  return mealOf({ profile, stage: profile.stages.at(-1) ?? 'adult', on: ON, larder, ...change });
};
const foodsOf = (given: ReturnType<typeof meal>) => given?.dishes.map((dish) => dish.food) ?? [];

describe('leaves', () => {
  const hedge = (change: Partial<MealQuestion> = {}) =>
    meal('stick-insect', { stage: 'nymph', bodyLengthMm: 60, headCount: 12, ...change });

  // Common practice, no source: changed weekly, every two weeks in winter; the seasons are six months apart in the south.
  it('are changed weekly in summer and every two weeks in winter, the other way round in the south', () => {
    const ivy = { profile: { ...profileOf('stick-insect'), diet: withPlants('stick-insect', ['ivy']) } };
    expect(hedge({ ...ivy, on: '2026-06-21' })?.everyDays).toBe(7);
    expect(hedge({ ...ivy, on: '2026-12-21' })?.everyDays).toBeGreaterThanOrEqual(13);
    expect(hedge({ ...ivy, on: '2026-12-21', hemisphere: 'south' })?.everyDays).toBe(7);
    expect(seasonOf('2026-12-21', 'north').winterShare).toBeGreaterThan(0.999);
    expect(seasonOf('2026-12-21', 'south').winterShare).toBeLessThan(0.001);
  });

  it('are those in leaf: evergreen ones in winter, and none where there is none', () => {
    expect(foodsOf(meal('leaf-insect', { stage: 'nymph', bodyLengthMm: 50, on: '2026-01-10' }))).toEqual(['bramble']);
    const none = meal('moth-cold-egg', { stage: 'larva', bodyLengthMm: 30, on: '2026-01-10' });
    expect(none?.dishes).toEqual([]);
    expect(none?.cautions).toEqual(['none-in-leaf']);
  });

  // Common practice, no source: those that are used to a plant go on with it; hatchlings are shown all.
  it('stay with the plant they are used to; the young are shown two', () => {
    const meals: PastMeal[] = [{ on: '2026-06-25', dishes: [{ food: 'privet', count: 2 }], outcome: null }];
    expect(foodsOf(hedge({ meals }))).toEqual(['privet']);
    expect(foodsOf(hedge({ meals, forbidden: { privet: '' } }))).toEqual(['bramble']);
    const young = hedge({ instar: 1 });
    // What they will live on, and something soft to bite into.
    expect(foodsOf(young)).toEqual(['bramble', 'rose']);
    const minded = ['all-foods-early', 'soft-leaves', 'thorns', 'search-the-old'];
    expect(young?.cautions).toEqual(expect.arrayContaining(minded));
  });

  it('are cut by what is eaten until the next change, at twice that', () => {
    const given = hedge();
    const eatenG = given?.grounds.find((each) => each.rule === 'eaten')?.value ?? 0;
    const cutG = given?.dishes.reduce((sum, dish) => sum + (dish.massG ?? 0), 0) ?? 0;
    expect(cutG).toBeGreaterThanOrEqual(2 * eatenG);
    expect(cutG).toBeLessThan(2 * eatenG + 12);
  });

  function withPlants(id: string, plants: string[]): NonNullable<CareProfile['diet']> {
    const { diet } = profileOf(id);
    if (diet?.eats !== 'leaves') throw new Error('It eats no leaves.');
    return { ...diet, plants };
  }
});

describe('portions on the litter', () => {
  const diet = profileOf('isopod-temperate').diet as LitterDiet;
  const past = (daysAgo: number, massG: number, kind: 'eaten' | 'refused', afterDays: number): PastMeal => {
    const on = addDays(ON, -daysAgo);
    return { on, dishes: [{ food: 'carrot', massG }], outcome: { kind, on: addDays(on, afterDays) } };
  };

  it('grow when they were gone in a day, stay when gone later, and shrink when some was left', () => {
    expect(nextPortionG(2, [past(7, 3, 'eaten', 1)])).toBeCloseTo(3.75, 9);
    expect(nextPortionG(2, [past(7, 3, 'eaten', 2)])).toBe(3);
    expect(nextPortionG(2, [past(7, 3, 'refused', 2)])).toBeCloseTo(1.8, 9);
    expect(nextPortionG(2, [])).toBe(2);
    expect(nextPortionG(2, [past(14, 3, 'eaten', 1), { ...past(7, 9, 'eaten', 1), outcome: null }])).toBeCloseTo(3.75);
  });

  // The law that matters: whatever they really eat, the portion comes to it and stays about it.
  it('settle about the appetite, from whichever side they come', () => {
    const appetite = fc.double({ min: 0.3, max: 20, noNaN: true });
    fc.assert(
      fc.property(appetite, (eatenInTwoDaysG) => {
        let portion = 2;
        const given: number[] = [];
        for (let week = 0; week < 40; week += 1) {
          const kind = portion > eatenInTwoDaysG ? 'refused' : 'eaten';
          const afterDays = portion <= eatenInTwoDaysG / 2 ? 1 : 2;
          portion = nextPortionG(2, [past(7, portion, kind, afterDays)]);
          given.push(portion);
        }
        for (const each of given.slice(-10)) {
          expect(each).toBeGreaterThan(0.45 * eatenInTwoDaysG);
          expect(each).toBeLessThanOrEqual(1.001 * eatenInTwoDaysG);
        }
      }),
    );
  });

  it('come by their rhythm, and two days after what was left came out', () => {
    expect(portionDueOn(diet, [past(7, 2, 'eaten', 1)], diet.everyDays)).toBe(ON);
    expect(portionDueOn(diet, [past(7, 2, 'refused', 6)], diet.everyDays)).toBe(addDays(ON, 1));
    expect(portionDueOn(diet, [], diet.everyDays)).toBeNull();
  });

  it('are prepared food for those who choose so', () => {
    const swifts = { headCount: 500 };
    expect(foodsOf(meal('isopod-temperate', { ...swifts, schools: { 'litter-food': 'prepared-food' } }))).toEqual([
      'litter-pellets',
    ]);
    expect(foodsOf(meal('isopod-temperate', swifts))).not.toContain('litter-pellets');
  });
});

describe('greens for snails', () => {
  /** Days on end, each fed with what is proposed. */
  function fed(days: number, change: Partial<MealQuestion> = {}): PastMeal[] {
    const meals: PastMeal[] = [];
    for (let day = 0; day < days; day += 1) {
      const on = addDays(ON, day);
      const given = meal('land-snail', { bodyLengthMm: 33, headCount: 6, on, meals, ...change });
      meals.push({ on, dishes: given?.dishes ?? [], outcome: { kind: 'eaten', on: addDays(on, 1) } });
    }
    return meals;
  }
  const vegetableOf = ({ dishes }: PastMeal) =>
    dishes.find((dish) => shippedFoods.some((food) => food.id === dish.food && food.kind === 'vegetable'))?.food;

  // Common practice, no source: a different vegetable each day; protein once or twice a week; never citrus, onion, garlic.
  it('never repeat from one day to the next, go through all, and bring protein once or twice a week', () => {
    const meals = fed(28);
    const vegetables = meals.map(vegetableOf);
    vegetables.slice(1).forEach((each, index) => expect(each).not.toBe(vegetables[index]));
    expect(new Set(vegetables).size).toBe(8);
    const proteins = meals.filter((each) => each.dishes.length > 1).length;
    expect(proteins).toBeGreaterThanOrEqual(4);
    expect(proteins).toBeLessThanOrEqual(8);
    const all = meals.flatMap((each) => each.dishes.map((dish) => dish.food));
    for (const never of ['orange', 'onion', 'garlic', 'egg']) expect(all).not.toContain(never);
  });

  it('bring egg only for those who chose it', () => {
    const all = fed(40, { schools: { 'snail-egg': 'egg-allowed' } }).flatMap((each) => each.dishes);
    expect(all.map((dish) => dish.food)).toContain('egg');
  });
});

describe('food for colonies', () => {
  const colony = (id: string, headCount: number, change: Partial<MealQuestion> = {}) =>
    meal(id, { headCount, ...change });

  // Common practice, no source: small colonies pre-killed; a sealed queen nothing; primitive hunters whole prey.
  it('is pre-killed for the small, live for the large who choose so, and nothing for a founding queen', () => {
    expect(colony('ant-small-temperate', 40)?.prepared).toBe('pre-killed');
    expect(colony('ant-small-temperate', 40, { schools: { 'ant-prey': 'live' } })?.prepared).toBe('pre-killed');
    expect(colony('ant-small-temperate', 800, { schools: { 'ant-prey': 'live' } })?.prepared).toBe('live');
    const founding = colony('ant-small-temperate', 0);
    expect(founding?.dishes).toEqual([]);
    expect(founding?.cautions).toEqual(['founding']);
  });

  it('of leafcutters is leaves, more for more workers', () => {
    const grams = [100, 1000].map((workers) => colony('ant-leafcutter', workers)?.dishes[0]?.massG ?? 0);
    expect(grams[1]).toBeCloseTo(10 * (grams[0] ?? 0), 9);
  });
});

describe('every kind that ships', () => {
  it('is fed with something that is allowed, or is said not to be fed', () => {
    for (const profile of shippedProfiles) {
      for (const stage of profile.stages) {
        const size = { [profile.measure.takes]: profile.growth.grownMm.value };
        const given = mealOf({ profile, stage, ...size, headCount: 20, on: ON, larder });
        if (given === null) {
          expect(['egg', 'pupa', 'adult']).toContain(stage);
          continue;
        }
        expect([profile.id, stage, given.dishes.length]).not.toEqual([profile.id, stage, 0]);
        expect(given.everyDays).toBeGreaterThan(0);
        for (const dish of given.dishes) expect(amountOf(dish)).toBeGreaterThan(0);
      }
    }
  });
});
