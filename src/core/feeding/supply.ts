import { addDays, type Day } from '@/core/measure/day';
import { afterDays } from './feederStages';
import type { FeederKind } from './food';
import type { FoodLot } from './foodStock';
import { orderPlan } from './orders';

/** One line of a supplier's price list. */
export interface PriceLine {
  /** Id of a size of feeder, or of a food. */
  item: string;
  /** So many, or so many grams, in one pack. */
  packSize: number;
  packPrice: number;
  leadDays: number;
  /** What having it sent costs, whatever the number. */
  handling: number;
}

/** What is sold, each in one or more sizes of pack. */
export type PriceList = ReadonlyMap<string, readonly PriceLine[]>;

/** One thing that is stocked, and what is missing of it. */
export interface SupplyQuestion {
  item: string;
  /** Needed in each week from `from` on. */
  demand: readonly number[];
  /** Of it, what stock and cultures do not cover. */
  short: readonly number[];
  weeklyLossPct: number;
  /** For so many weeks, that in which it comes included, it serves. 1 or more */
  shelfLifeWeeks: number;
  /** What the supplier asks for it, pack by pack. */
  prices: readonly PriceLine[];
}

export interface SupplyOrder {
  /** To be there on that day. */
  neededOn: Day;
  orderBy: Day;
  /** The order had to be sent before today: it comes too late. */
  isLate: boolean;
  packs: number;
  amount: number;
  cost: number;
}

export interface SupplyLine {
  item: string;
  demand: number[];
  /** What is missing in each week if nothing of it is ordered; what is ordered of smaller sizes has grown on. */
  short: number[];
  orders: SupplyOrder[];
  /** Not sold by the supplier: to be bred, cut or bought elsewhere. */
  isSold: boolean;
  /** So little, of what lies in every kitchen, that nobody orders it. */
  isFromKitchen?: boolean | undefined;
  totalCost: number;
}

/** Weeks after `from` in which an order comes, with how much. */
function arrivalsOf({ orders, demand }: SupplyLine, from: Day): number[] {
  return demand.map((_, week) =>
    orders.filter((order) => order.neededOn === addDays(from, 7 * week)).reduce((sum, order) => sum + order.amount, 0),
  );
}

/**
 * The orders of all sizes of one kind of feeder, the smallest first: what a pack of a size has over grows into the next
 * one, and is reckoned with there before more is ordered.
 * @param counts of each size today; `demand`, `cultured` and `prices` likewise size by size
 */
export function feederSupply(
  kind: FeederKind,
  counts: readonly number[],
  demand: readonly (readonly number[])[],
  cultured: readonly number[],
  prices: PriceList,
  from: Day,
): SupplyLine[] {
  const arrivals: number[][] = [];
  return kind.classes.map(({ id, weeklyLossPct, daysInClass }, index) => {
    const line = supplyLine(
      {
        item: id,
        demand: demand[index] ?? [],
        short: feederShortfall(kind, counts, demand, cultured, arrivals)[index] ?? [],
        weeklyLossPct,
        // After that they have grown out of the size that is needed.
        shelfLifeWeeks: Math.max(1, Math.floor(daysInClass / 7)),
        prices: prices.get(id) ?? [],
      },
      from,
    );
    arrivals.push(arrivalsOf(line, from));
    return line;
  });
}

/** What came in one order: the part of it, counted as it came, that no week has used. */
interface ArrivedLot {
  week: number;
  unused: number;
}

/** Takes up to `needed` from what is left of older orders, the oldest first; returns what was got. */
function takeOldest(
  lots: readonly ArrivedLot[],
  { weeklyLossPct, shelfLifeWeeks }: SupplyQuestion,
  week: number,
  needed: number,
): number {
  let got = 0;
  for (const lot of lots.filter((each) => week - each.week < shelfLifeWeeks)) {
    const alive = (1 - weeklyLossPct / 100) ** (week - lot.week);
    const taken = Math.min(lot.unused * alive, needed - got);
    lot.unused -= taken / alive;
    got += taken;
  }
  return got;
}

/** Care of what is kept for a week against its price: space, food, work. From memory */
const KEEPING_SHARE_A_WEEK = 0.02;

/**
 * What to order of one thing, and when to send the order: what is short in each week after stock and cultures, met by
 * the cheapest plan that is never short (`orderPlan`), in whole packs; what a pack has over serves the weeks after, while
 * it lives or keeps.
 * @param from the first day of the first week
 */
export function supplyLine(question: SupplyQuestion, from: Day): SupplyLine {
  const { item, prices } = question;
  const [demand, short] = [[...question.demand], [...question.short]];
  const [first, ...others] = prices.map((price) => inPacks(question, price, from));
  if (!first) return { item, demand, short, orders: [], isSold: false, totalCost: 0 };
  // Of two packs that cost as much the smaller one: what is over has to be kept alive.
  const best = others.reduce((one, other) => (isBetter(other, one) ? other : one), first);
  return { item, demand, short, orders: best, isSold: true, totalCost: costOf(best) };
}

const costOf = (orders: readonly SupplyOrder[]) => orders.reduce((sum, order) => sum + order.cost, 0);
const amountOf = (orders: readonly SupplyOrder[]) => orders.reduce((sum, order) => sum + order.amount, 0);
const isBetter = (one: readonly SupplyOrder[], other: readonly SupplyOrder[]) =>
  costOf(one) < costOf(other) || (costOf(one) === costOf(other) && amountOf(one) < amountOf(other));

/** The orders of one size of pack. */
function inPacks(question: SupplyQuestion, price: PriceLine, from: Day): SupplyOrder[] {
  const { short, weeklyLossPct, shelfLifeWeeks } = question;
  const unitPrice = price.packPrice / price.packSize;
  const { orders: amounts } = orderPlan({
    demand: [...short],
    setupCost: price.handling,
    holdingCost: unitPrice * (KEEPING_SHARE_A_WEEK + weeklyLossPct / 100),
    shelfLifeWeeks,
    weeklyLossPct,
  });
  const orders: SupplyOrder[] = [];
  const lots: ArrivedLot[] = [];
  const starts = amounts.flatMap((amount, week) => (amount > 0 ? [week] : []));
  starts.forEach((start, index) => {
    const run = short.slice(start, starts[index + 1]);
    const needed = run.reduce((sum, each, after) => {
      const missing = each - takeOldest(lots, question, start + after, each);
      return sum + missing / (1 - weeklyLossPct / 100) ** after;
    }, 0);
    // Orders come in pieces of a float: less than a millionth of a pack is nothing.
    const packs = Math.ceil(needed / price.packSize - 1e-6);
    if (packs <= 0) return;
    lots.push({ week: start, unused: packs * price.packSize - needed });
    const neededOn = addDays(from, 7 * start);
    const orderBy = addDays(neededOn, -price.leadDays);
    orders.push({
      neededOn,
      orderBy: orderBy < from ? from : orderBy,
      isLate: orderBy < from,
      packs,
      amount: packs * price.packSize,
      cost: packs * price.packPrice + price.handling,
    });
  });
  return orders;
}

/**
 * What a stock of food leaves uncovered, week by week: its lots are used in the order in which they go off, each as long
 * as it is good when the week begins.
 * @param from the first day of the first week
 */
export function foodShortfall(demand: readonly number[], lots: readonly FoodLot[], from: Day): number[] {
  const left = lots.map((lot) => ({ ...lot })).sort((a, b) => a.goodUntil.localeCompare(b.goodUntil));
  return demand.map((needed, week) => {
    let missing = needed;
    for (const lot of left.filter((each) => each.goodUntil > addDays(from, 7 * week))) {
      const taken = Math.min(lot.amount, missing);
      lot.amount -= taken;
      missing -= taken;
    }
    return missing;
  });
}

/**
 * What stock and cultures of a kind of feeder leave uncovered, size by size and week by week: what is not eaten dies at
 * its rate or grows into the next size.
 * @param counts of each size today
 * @param demand of each size in each week
 * @param cultured of each size a week
 * @param arrivals of each size in each week, ordered already
 */
export function feederShortfall(
  kind: FeederKind,
  counts: readonly number[],
  demand: readonly (readonly number[])[],
  cultured: readonly number[],
  arrivals: readonly (readonly number[])[] = [],
): number[][] {
  const weeks = demand[0]?.length ?? 0;
  const short = kind.classes.map((): number[] => []);
  let now = [...counts];
  for (let week = 0; week < weeks; week += 1) {
    now = now.map((count, index) => {
      const here = count + (cultured[index] ?? 0) + (arrivals[index]?.[week] ?? 0);
      const needed = demand[index]?.[week] ?? 0;
      short[index]?.push(Math.max(0, needed - here));
      return Math.max(0, here - needed);
    });
    now = afterDays(kind, now, 7);
  }
  return short;
}
