import { addDays, type Day } from '@/core/measure/day';
import type { StockEvent } from './feederStages';

/** What came at one time, and the day from which on it is good no longer. */
export interface FoodLot {
  goodUntil: Day;
  amount: number;
}

export interface FoodStock {
  /** Still good, the first to go off first. */
  fresh: FoodLot[];
  /** Past its shelf life: to be thrown away. */
  stale: number;
}

/**
 * What is left of a food, used in the order in which it came; each lot keeps for its shelf life. A count corrects the
 * oldest lots down, or adds to the newest.
 * @param events in the order in which they happened
 * @param shelfLifeDays over 0
 */
export function foodStock(events: readonly StockEvent[], shelfLifeDays: number, today: Day): FoodStock {
  const lots: { on: Day; amount: number }[] = [];
  const takeOut = (wanted: number) => {
    let left = wanted;
    for (const lot of lots) {
      const taken = Math.min(lot.amount, left);
      lot.amount -= taken;
      left -= taken;
    }
  };
  for (const event of events.filter((each) => each.on <= today)) {
    const total = totalOf(lots);
    if (event.kind === 'out') takeOut(event.count);
    else if (event.kind === 'in') lots.push({ on: event.on, amount: event.count });
    else if (event.count < total) takeOut(total - event.count);
    else if (event.count > total) lots.push({ on: event.on, amount: event.count - total });
  }
  const left = lots
    .filter((lot) => lot.amount > 0)
    .map(({ on, amount }) => ({ goodUntil: addDays(on, Math.floor(shelfLifeDays)), amount }))
    .sort((a, b) => a.goodUntil.localeCompare(b.goodUntil));
  const stale = left.filter((lot) => lot.goodUntil <= today);
  return { fresh: left.slice(stale.length), stale: totalOf(stale) };
}

export const totalOf = (lots: readonly { amount: number }[]) => lots.reduce((sum, lot) => sum + lot.amount, 0);
