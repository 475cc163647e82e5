import { orderPlan } from '@/core/feeding/orders';
import { median, row } from './measure';

/** Needs of a hundred sizes of feeder over a year, that come and go. */
const needs = Array.from({ length: 100 }, (_, feeder) =>
  Array.from({ length: 52 }, (_unused, week) => Math.max(0, Math.round(20 + 18 * Math.sin((week + feeder) / 4)))),
);

/** Engine 6: orders. */
export function benchFeeding(): void {
  row(
    'baseline: 100 feeders x 52 weeks, bought week by week',
    median(() => needs.map((each) => each.reduce((sum, need) => sum + (need > 0 ? 85 : 0), 0))),
    '',
  );
  row(
    'orders: 100 feeders x 52 weeks, the cheapest plan',
    median(() => needs.map((demand) => orderPlan({ demand, setupCost: 85, holdingCost: 1, shelfLifeWeeks: 6 }))),
    'part of the 500 ms',
  );
}
