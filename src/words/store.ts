import type { StockEntry, StockLine, SupplyPlan } from '@/contract/store';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { dayWords } from './days';
import { amountWords } from './food';

export type PlanLine = SupplyPlan['lines'][number];

export const unitOf = (lines: readonly StockLine[], plan: SupplyPlan | null, item: string) =>
  lines.find((each) => each.item === item)?.unit ?? plan?.lines.find((each) => each.item === item)?.unit ?? 'pieces';

/** How long what is there lasts, by what will be eaten: "lasts until 9 Dec", "lasts 12 weeks and more". */
export function lastsWords(line: PlanLine | undefined, today: Day): string {
  if (!line) return 'nobody needs any in 12 weeks';
  const week = line.short.findIndex((missing) => missing > 0);
  if (week === 0) return 'short this week';
  return week < 0
    ? `lasts ${line.short.length} weeks and more`
    : `lasts until ${dayWords(addDays(today, 7 * week), today)}`;
}

/** What is needed in the first week, and on the mean after. */
export function neededWords({ demand, unit }: PlanLine): string {
  const mean = demand.reduce((sum, each) => sum + each, 0) / Math.max(1, demand.length);
  return `about ${amountWords(Math.max(mean, 0.001), unit)} a week`;
}

/** What is there of one thing, and how good it is. */
export function stockWords({ onHand, unit, stale, useBy, countedOn }: StockLine, today: Day): string {
  const words = [
    unit === 'pieces' ? `about ${Math.round(onHand)}` : `${amountWords(onHand, unit)} there`,
    ...(countedOn === null ? [] : [`counted ${dayWords(countedOn, today)}`]),
    ...(useBy === null || daysBetween(today, useBy) > 60 ? [] : [`use by ${dayWords(useBy, today)}`]),
    ...(stale > 0 ? [`${amountWords(stale, unit)} past its time`] : []),
  ];
  return words.join(', ');
}

export const STOCK_KIND_WORDS: Record<StockEntry['kind'], string> = {
  bought: 'bought',
  harvested: 'from a culture',
  counted: 'counted',
  died: 'died',
  thrown: 'thrown away',
};

/** A price without a currency: the keeper's own. */
export const costWords = (cost: number) => cost.toFixed(2);

export interface OrderDay {
  by: Day;
  isLate: boolean;
  lines: { item: string; unit: PlanLine['unit']; packs: number; amount: number; cost: number; neededOn: Day }[];
  cost: number;
}

/** Orders day by day on which they are sent, the first first. */
export function orderDays(plan: SupplyPlan): OrderDay[] {
  const days = new Map<Day, OrderDay>();
  for (const { item, unit, orders } of plan.lines) {
    for (const { orderBy, isLate, packs, amount, cost, neededOn } of orders) {
      const day = days.get(orderBy) ?? { by: orderBy, isLate: false, lines: [], cost: 0 };
      day.lines.push({ item, unit, packs, amount, cost, neededOn });
      day.cost += cost;
      day.isLate ||= isLate;
      days.set(orderBy, day);
    }
  }
  return [...days.values()].sort((a, b) => a.by.localeCompare(b.by));
}

/** Of an order that had to be sent before today. */
export const LATE_ORDER = 'Some of it cannot arrive before you run out. Order it today.';
