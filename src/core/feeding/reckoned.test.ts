import { shippedFeeders, shippedFoods, shippedProfiles } from '@/contract/shipped';
import { profileOf } from '@/contract/testing/profileOf';
import { addDays } from '@/core/measure/day';
import type { CareProfile } from '@/core/profiles/profile';
import { refusalOf } from '@/core/testing/refusalOf';
import { inLines } from '@/core/testing/inLines';
import { breedersFor, yieldPerWeek } from './culture';
import { demandOf, expectedMoults, type Eater } from './demand';
import { feederPopulation } from './feederPopulation';
import { afterDays, dailySteps, standingStock } from './feederStages';
import { amountOf, preyOf, whyNot, type FeederKind, type PastMeal } from './food';
import { foodStock } from './foodStock';
import { feedingHistory } from './history';
import { mealOf, type MealQuestion } from './meal';
import { preyPlan } from './prey';
import { feederShortfall, feederSupply, foodShortfall, supplyLine } from './supply';

/* Answers as they were when they were last looked over: what they should be like is said in the tests beside. */
const TODAY = '2026-03-14';
const ago = (days: number) => addDays(TODAY, -days);
const ahead = (days: number) => addDays(TODAY, days);
const feeders = preyOf(shippedFeeders);
const larder = { feeders, foods: shippedFoods };
const [CRICKET] = shippedFeeders as [FeederKind];
const sized = (profile: CareProfile, sizeMm: number) => ({ profile, [profile.measure.takes]: sizeMm });

describe('a meal, as it was reckoned', () => {
  it.each(shippedProfiles.map((profile) => [profile.id, profile] as const))('of %s', (_, profile) => {
    const sizeMm = profile.growth.grownMm.value / 2;
    const asked = (change: Partial<MealQuestion>): MealQuestion => ({
      ...sized(profile, sizeMm),
      ...{ stage: profile.stages.at(-2) ?? 'adult', on: TODAY, larder, headCount: 6 },
      ...change,
    });
    const past = (kind: 'eaten' | 'refused', food: string): PastMeal[] =>
      [30, 16, 9].map((days) => ({
        ...{ on: ago(days), dishes: [{ food, massG: 2 }], outcome: { kind, on: ago(days - 2) } },
      }));
    const school = profile.schools.find(({ topic, isDefault }) => topic === 'feeding' && !isDefault)?.id;
    const all = [
      asked({}),
      asked({ stage: profile.stages[0] ?? 'adult', ...sized(profile, sizeMm / 4), instar: 1, on: '2026-07-01' }),
      asked({ condition: 'thin', afterQuiet: true, headCount: 1, massG: 4 }),
      asked({ schools: { feeding: school, aim: 'grow-on' }, hemisphere: 'south', headCount: undefined }),
      asked({ meals: past('eaten', 'carrot'), forbidden: { bramble: '', carrot: '' } }),
      asked({ meals: past('refused', 'cucumber'), larder: { feeders: [], foods: shippedFoods } }),
      asked({
        larder: { feeders: feeders.map((each) => ({ ...each, onHand: each.lengthMm < 9 ? 40 : 0 })), foods: [] },
      }),
    ];
    expect(inLines(all.map((question) => mealOf(question)))).toMatchSnapshot();
  });

  it('of prey for kinds that nobody weighed, by number', () => {
    const profile = { ...profileOf('ground-tarantula'), massGPerCm3: undefined } as unknown as CareProfile;
    const asked = { ...sized(profile, 118), stage: 'adult' as const, feeders };
    expect(inLines(preyPlan({ ...asked, headCount: 2 }))).toMatchSnapshot();
    expect(preyPlan({ ...asked, feeders: [] }).offers).toEqual([]);
    const round = preyPlan({
      ...sized(profileOf('ground-tarantula'), 118),
      stage: 'adult',
      feeders,
      condition: 'round',
    });
    expect(inLines(round)).toMatchSnapshot();
  });

  it('takes so much out of the store, and is not given where something speaks against it', () => {
    const dishes = [
      { food: 'a', volumeMl: 3 },
      { food: 'b', massG: 4 },
      { food: 'c', lengthMm: 9, count: 5, massG: 2 },
      { food: 'd' },
    ];
    expect(dishes.map(amountOf)).toEqual([3, 4, 5, 0]);
    const snail = profileOf('land-snail');
    const why = shippedFoods.map((food) => [
      whyNot(food, snail, {}, {}),
      whyNot(food, snail, {}, { [food.id]: 'It made it ill.' }),
    ]);
    expect(why).toMatchSnapshot();
  });
});

describe('feeders, as they were reckoned', () => {
  it.each(shippedFeeders.map((kind) => [kind.id, kind] as const))('%s', (_, kind) => {
    const counts = kind.classes.map((__, index) => 100 - 10 * index);
    expect(inLines([dailySteps(kind), afterDays(kind, counts, 9), feederPopulation(kind)])).toMatchSnapshot();
    const food = kind.classes.filter(({ isFood }) => isFood);
    const wanted = Object.fromEntries(food.map(({ id }, index) => [id, 30 + index]));
    expect(inLines([breedersFor(kind, wanted), food.map(({ id }) => yieldPerWeek(kind, id, 25))])).toMatchSnapshot();
    const [first, last] = [kind.classes[0]?.id ?? '', kind.classes.at(-1)?.id ?? ''];
    const stock = standingStock(
      kind,
      [
        { on: ago(20), item: first, kind: 'counted', count: 200 },
        { on: ago(9), item: last, kind: 'in', count: 30 },
        { on: ago(9), item: first, kind: 'out', count: 500 },
        { on: ago(2), item: 'nothing', kind: 'in', count: 500 },
        { on: ahead(2), item: last, kind: 'in', count: 500 },
      ],
      TODAY,
    );
    expect(inLines(stock)).toMatchSnapshot();
  });

  it('that breed too little are refused by their kind', () => {
    const barren = {
      ...CRICKET,
      culture: { ...CRICKET.culture, eggsPerFemalePerWeek: { value: 0.0001, basis: 'from memory' as const } },
    };
    expect(refusalOf(() => breedersFor(barren, { [CRICKET.classes.at(-1)?.id ?? '']: 5 })).fields).toMatchSnapshot();
    expect(refusalOf(() => breedersFor(CRICKET, { unicorn: 5 })).fields).toMatchSnapshot();
  });
});

describe('the store, as it was reckoned', () => {
  const price = { item: 'x', packSize: 50, packPrice: 4.2, leadDays: 3, handling: 6 } as never;
  it('of food, lot by lot', () => {
    const events = [
      { on: ago(40), item: 'x', kind: 'in' as const, count: 300 },
      { on: ago(20), item: 'x', kind: 'out' as const, count: 120 },
      { on: ago(12), item: 'x', kind: 'counted' as const, count: 90 },
      { on: ago(5), item: 'x', kind: 'counted' as const, count: 140 },
      { on: ahead(1), item: 'x', kind: 'in' as const, count: 900 },
    ];
    expect([10, 13, 30, 41].map((life) => foodStock(events, life, TODAY))).toMatchSnapshot();
    const lots = foodStock(events, 30, TODAY).fresh;
    expect(
      inLines(
        [
          [20, 20, 20, 20, 90, 10],
          [0, 0, 200],
        ].map((need) => foodShortfall(need, lots, TODAY)),
      ),
    ).toMatchSnapshot();
  });

  it('of what is ordered when', () => {
    const demand = [10, 12, 0, 40, 60, 8, 9, 0, 0, 70, 12, 5];
    const line = {
      item: 'x',
      demand,
      short: [0, 4, 0, 40, 60, 8, 9, 0, 0, 70, 12, 5],
      weeklyLossPct: 4,
      shelfLifeWeeks: 3,
      prices: [price],
    };
    const lines = [
      line,
      { ...line, prices: [] },
      { ...line, shelfLifeWeeks: 1, weeklyLossPct: 0 },
      { ...line, short: demand.map(() => 0) },
    ];
    expect(inLines(lines.map((each) => supplyLine(each, TODAY)))).toMatchSnapshot();
    const needed = CRICKET.classes.map(({ isFood }, index) =>
      demand.map((each) => (isFood && index % 2 === 0 ? each : 0)),
    );
    const counts = CRICKET.classes.map((_, index) => 15 * index);
    const cultured = CRICKET.classes.map((_, index) => (index === 3 ? 12 : 0));
    const prices = new Map(CRICKET.classes.slice(0, 5).map(({ id }) => [id, [price]] as const));
    expect(inLines(feederSupply(CRICKET, counts, needed, cultured, prices, TODAY))).toMatchSnapshot();
    expect(
      inLines(
        feederShortfall(
          CRICKET,
          counts,
          needed,
          cultured,
          needed.map((each) => each.map(() => 3)),
        ),
      ),
    ).toMatchSnapshot();
  });

  it('of what the house eats', () => {
    const eater = (id: string, change: Partial<Eater>): Eater => ({
      ...sized(profileOf(id), profileOf(id).growth.grownMm.value * 0.6),
      ...{ stage: profileOf(id).stages.at(-2) ?? 'adult', lastMealOn: ago(4) },
      ...change,
    });
    const eaters = [
      eater('ground-tarantula', { lastMoultOn: ago(100) }),
      eater('mantis', { lastMoultOn: ago(3), quietUntil: ahead(2) }),
      eater('jumping-spider', { lastMoultOn: ago(400), lastMealOn: undefined }),
      eater('isopod-temperate', { headCount: 80, stage: 'adult', lastMealOn: ago(9) }),
      eater('land-snail', {
        headCount: 3,
        stage: 'adult',
        meals: [{ on: ago(2), dishes: [{ food: 'carrot', massG: 9 }], outcome: null }],
      }),
      eater('stick-insect', { headCount: 12, stage: 'nymph' }),
    ];
    expect(inLines(eaters.map((each) => demandOf([each], larder, TODAY, 5)))).toMatchSnapshot();
    expect(eaters.map((each) => expectedMoults(each, TODAY, ahead(120)))).toMatchSnapshot();
    // A stage that has no meals adds nothing, and keeps nobody else from eating.
    const odd = eater('mantis', { stage: 'egg' as never });
    expect(demandOf([odd], larder, TODAY, 2).size).toBe(0);
  });
});

describe('what somebody ate, as it was reckoned', () => {
  it('week by week, with what became of it', () => {
    const meal = (daysAgo: number, kind: 'eaten' | 'refused' | null, massG?: number): PastMeal => ({
      ...{ on: ago(daysAgo), dishes: [{ food: 'x', massG }], outcome: kind && { kind, on: ago(daysAgo - 1) } },
    });
    const meals = [
      meal(60, 'eaten', 2),
      meal(27, 'eaten', 1.5),
      meal(20, 'refused', 1),
      meal(13, 'eaten'),
      meal(7, null, 4),
      meal(0, 'eaten', 1),
    ];
    const weighings = [
      { on: ago(30), massG: 9, usualG: 10 },
      { on: ago(12), massG: 10.5, usualG: null },
      { on: ago(1), massG: 10.2, usualG: 12 },
    ];
    expect(inLines(feedingHistory(meals, weighings, { since: TODAY, today: TODAY, weeks: 4 }))).toMatchSnapshot();
    expect(
      inLines(feedingHistory(meals, weighings.slice(0, 1), { since: TODAY, today: TODAY, weeks: 2 })),
    ).toMatchSnapshot();
    expect(
      inLines(feedingHistory([], [...weighings].reverse(), { since: ago(9), today: TODAY, weeks: 1 })),
    ).toMatchSnapshot();
  });
});
