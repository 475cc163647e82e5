import type { ChainProblem } from '@/core/plan/chain/problem';

/**
 * A house in which many moves wait for each other; of one seed the same each time.
 * @param share of the tubs that serve each mover
 */
export function waitingHouse(movers: number, tubs: number, days: number, seed: number, share: number): ChainProblem {
  let state = seed;
  const random = () => {
    state = (state * 16807) % 2147483647;
    return state / 2147483647;
  };
  return {
    tubs: Array.from({ length: tubs }, (_, index) => ({ id: `t${index}` })),
    ...{ days, perDay: 2, cleaningDays: 2 },
    movers: Array.from({ length: movers }, (_, index) => {
      const from = Math.floor(random() * days * 0.6);
      const to = Math.min(days - 1, from + 3 + Math.floor(random() * days * 0.5));
      return {
        ...{ id: `m${index}`, from: index, stayCost: random() < 0.3 ? 0 : 40, costPerDay: 0.1 },
        days: Array.from({ length: to - from + 1 }, (_, day) => from + day),
        options: Array.from({ length: tubs }, (_, tub) => ({ tub, cost: 1 + Math.round(random() * 90) / 10 })).filter(
          ({ tub }) => tub !== index && random() < share,
        ),
      };
    }),
  };
}
