import { Refusal } from '@/core/refusal';

export interface OrderQuestion {
  /** What is needed in each week, 0 or more. */
  demand: readonly number[];
  /** What an order costs, whatever its size (postage, the way to the shop): one for all weeks, or one a week. */
  setupCost: number | readonly number[];
  /** What it costs to keep one feeder from a week to the next. */
  holdingCost: number | readonly number[];
  /** For so many weeks, that of the order included, a feeder serves; for ever if left out. */
  shelfLifeWeeks?: number | undefined;
  /** Of what is kept so much dies in a week. % */
  weeklyLossPct?: number | undefined;
}

export interface OrderPlan {
  /** How many to have come in each week; 0 where none. */
  orders: number[];
  totalCost: number;
}

/**
 * When to order, and how many: the cheapest plan that is never short. Dynamic lot sizing: there is always a cheapest
 * plan in which an order comes only when nothing usable is left, so a plan is a way to cut the weeks into runs, and the
 * best one is found week by week. With a shelf life no run is longer than it; with losses more is ordered than is used.
 * @throws Refusal when a list of costs has not one for each week, or everything kept would die
 * @source Wagner, H. M. and Whitin, T. M. (1958), Dynamic version of the economic lot size model, Manage. Sci. 5, 89-96
 */
export function orderPlan({
  demand,
  setupCost,
  holdingCost,
  shelfLifeWeeks,
  weeklyLossPct = 0,
}: OrderQuestion): OrderPlan {
  const weeks = demand.length;
  const setup = perWeek('setupCost', setupCost, weeks);
  const holding = perWeek('holdingCost', holdingCost, weeks);
  const kept = 1 - weeklyLossPct / 100;
  if (!(kept > 0)) {
    throw new Refusal([
      { path: 'weeklyLossPct', message: `Must be under 100: nothing would be left; got ${weeklyLossPct}.` },
    ]);
  }
  const longest = shelfLifeWeeks ?? weeks;
  // Of the weeks up to each: the least cost, and the week in which the last order comes (none where nothing is needed).
  const least = [0, ...demand.map(() => Infinity)];
  const lastOrder: (number | null)[] = demand.map(() => null);
  for (let end = 0; end < weeks; end += 1) {
    if (demand[end] === 0) least[end + 1] = least[end] as number;
    // Going back a week from `end`: how many are carried out of it for the weeks after, and what keeping them costs.
    let carried = 0;
    let keeping = 0;
    for (let start = end; start >= 0 && end - start < longest; start -= 1) {
      if (start < end) {
        carried = ((demand[start + 1] as number) + carried) / kept;
        keeping += (holding[start] as number) * carried;
      }
      const cost = (least[start] as number) + (setup[start] as number) + keeping;
      if (cost < (least[end + 1] as number)) {
        least[end + 1] = cost;
        lastOrder[end] = start;
      }
    }
  }
  const orders = demand.map(() => 0);
  for (let end = weeks - 1; end >= 0;) {
    const start = lastOrder[end] ?? null;
    if (start === null) {
      end -= 1;
      continue;
    }
    for (let week = start; week <= end; week += 1)
      orders[start] = (orders[start] as number) + (demand[week] as number) / kept ** (week - start);
    end = start - 1;
  }
  return { orders, totalCost: least[weeks] as number };
}

function perWeek(path: string, cost: number | readonly number[], weeks: number): readonly number[] {
  if (typeof cost === 'number') return Array.from({ length: weeks }, () => cost);
  if (cost.length === weeks) return cost;
  throw new Refusal([
    { path, message: `Must be one number, or one for each of the ${weeks} weeks; got ${cost.length}.` },
  ]);
}
