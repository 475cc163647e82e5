import { shippedFeeders, shippedFoods, shippedProfiles } from '@/contract/shipped';
import { demandOf, type Eater } from '@/core/feeding/demand';
import { preyOf } from '@/core/feeding/food';
import { orderPlan } from '@/core/feeding/orders';
import { feederSupply, type PriceLine } from '@/core/feeding/supply';
import { addDays } from '@/core/measure/day';
import { median, row } from './measure';

const TODAY = '2026-03-14';
const WEEKS = 12;
const larder = { feeders: preyOf(shippedFeeders), foods: shippedFoods };
const fed = shippedProfiles.filter((profile) => profile.feeding ?? profile.diet);

/** Residents of every kind that is fed, of many sizes; the same each time. */
const eaters = (count: number): Eater[] =>
  Array.from({ length: count }, (_, index) => {
    const profile = fed[index % fed.length] as (typeof fed)[number];
    const stage = profile.stages.find((each) => each !== 'egg' && each !== 'pupa') ?? 'adult';
    return {
      ...{ profile, stage, headCount: profile.company.sameKind === 'group' ? 12 : 1 },
      [profile.measure.takes]: profile.growth.grownMm.value * (0.3 + ((index * 37) % 70) / 100),
      lastMealOn: addDays(TODAY, -(index % 12)),
      lastMoultOn: addDays(TODAY, -((index * 13) % 120)),
    };
  });

const prices = new Map<string, PriceLine[]>(
  shippedFeeders.flatMap((kind) =>
    kind.classes.map(({ id }) => [id, [{ item: id, packSize: 50, packPrice: 4, leadDays: 3, handling: 2 }]]),
  ),
);

/** Demand of so many, and every order for it. */
function planned(all: Eater[]): number {
  const demand = demandOf(all, larder, TODAY, WEEKS);
  return shippedFeeders.reduce((orders, kind) => {
    const none = kind.classes.map(() => 0);
    const needed = kind.classes.map(({ id }) => demand.get(id) ?? Array.from({ length: WEEKS }, () => 0));
    const lines = feederSupply(kind, none, needed, none, prices, TODAY);
    return orders + lines.reduce((sum, line) => sum + line.orders.length, 0);
  }, 0);
}

/** Needs of a hundred sizes of feeder over a year, that come and go. */
const needs = Array.from({ length: 100 }, (_, feeder) =>
  Array.from({ length: 52 }, (_unused, week) => Math.max(0, Math.round(20 + 18 * Math.sin((week + feeder) / 4)))),
);

/** Engine 6: meals, demand and orders. */
export function benchFeeding(): void {
  row(
    'baseline: 100 feeders x 52 weeks, bought week by week',
    median(() => needs.map((each) => each.reduce((sum, need) => sum + (need > 0 ? 85 : 0), 0))),
    '',
  );
  row(
    'orders: 100 feeders x 52 weeks, the cheapest plan',
    median(() => needs.map((demand) => orderPlan({ demand, setupCost: 85, holdingCost: 1, shelfLifeWeeks: 6 }))),
    '',
  );
  const thousand = eaters(1000);
  row(
    'baseline: 1,000 residents x 84 days, a meal each by their number alone',
    median(() => thousand.reduce((sum, each) => sum + Array.from({ length: 84 }, () => each.headCount ?? 1).length, 0)),
    '',
  );
  for (const count of [250, 500, 1000, 2000]) {
    const all = eaters(count);
    row(
      `demand and orders: ${count} residents x 12 weeks`,
      median(() => planned(all)),
      count === 1000 ? 'limit 500 ms' : 'grows no faster than n log n',
    );
  }
}
