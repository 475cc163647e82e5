import { shippedFeeders } from '@/contract/shipped';
import type { SupplyPlan } from '@/contract/store';
import { TENTH_SD } from '@/core/numerics/tails';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import type { KeptForecast } from '../storage/scores';

/** What is eaten is foreseen and counted for so long. days */
export const NEED_DAYS = 28;
const NEED_WEEKS = NEED_DAYS / 7;
/** Pieces come by the meal, and with refusals and moults a fifth more or less is nothing unusual. From memory */
const PIECES_A_MEAL = 2;
const UNEVEN_SHARE = 0.2;

/** Pieces of each kind of feeder that were fed from one day to another, the last not counted. */
export type FedBetween = (kindId: string, from: Day, to: Day) => number;

/** What the house will eat of each kind of feeder in four weeks, once in four weeks. */
export function needWindows(
  { from, lines }: Pick<SupplyPlan, 'from' | 'lines'>,
  lastKept: (kindId: string) => Day | undefined,
  fed: FedBetween,
): KeptForecast[] {
  return shippedFeeders.flatMap((kind): KeptForecast[] => {
    const last = lastKept(kind.id);
    if (last !== undefined && daysBetween(last, from) < NEED_DAYS) return [];
    const sizes = new Set(kind.classes.map(({ id }) => id));
    const need = lines
      .filter(({ item }) => sizes.has(item))
      .reduce((sum, { demand }) => sum + demand.slice(0, NEED_WEEKS).reduce((all, each) => all + each, 0), 0);
    if (need <= 0) return [];
    const spread = TENTH_SD * Math.sqrt(PIECES_A_MEAL * need + (UNEVEN_SHARE * need) ** 2);
    const naive = fed(kind.id, addDays(from, -NEED_DAYS), from);
    return [
      {
        ...{ engine: 'need', subject: kind.id, since: from, kind: kind.id, madeOn: from },
        ...{ p10: Math.max(0, need - spread), p50: need, p90: need + spread, isLog: false },
        ...{ naive: naive > 0 ? naive : null, happened: null, spreadTimes: 1, closeDays: null, isReplayed: false },
      },
    ];
  });
}
