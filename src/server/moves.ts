import type { ChainReply } from '@/contract/plan';
import { occupants, type ChainSolution } from '@/core/plan/chain/problem';
import type { ChainOfTenants } from '@/core/plan/chain/tenants';
import { addDays, type Day } from '@/core/measure/day';

/** The moves of a plan in the order in which they are made, each with what it waits for and how its tub serves. */
export function movesOf(
  { problem, places, needs }: ChainOfTenants,
  { moves }: ChainSolution,
  startOn: Day,
): ChainReply['moves'] {
  const { movers, tubs } = problem;
  const lives = occupants(problem);
  return [...moves]
    .sort((a, b) => a.day - b.day || a.mover - b.mover)
    .flatMap(({ mover, tub, day }) => {
      const one = movers[mover];
      const place = places[mover]?.find((each) => each.tub === tub);
      const to = tubs[tub];
      if (!one || !place || !to) return [];
      const before = lives[tub];
      return [
        {
          resident: one.id,
          from: one.from === null ? null : (tubs[one.from]?.id ?? null),
          to: to.id,
          on: addDays(startOn, day),
          need: needs[mover] ?? 'none',
          ...{ verdict: place.verdict, depthMm: place.depthMm, servesMoults: place.servesMoults, cost: place.cost },
          waitsFor: before === undefined ? null : (movers[before]?.id ?? null),
        },
      ];
    });
}

/** Those that need a move and get none, and why. */
export function unplacedOf(
  { problem, places, needs }: ChainOfTenants,
  { stay }: ChainSolution,
): ChainReply['unplacedWhy'] {
  return stay.flatMap((index) => {
    const mover = problem.movers[index];
    const need = needs[index] ?? 'none';
    if (!mover || need === 'none') return [];
    const why = (places[index] ?? []).length === 0 ? 'no-tub' : mover.days.length === 0 ? 'no-day' : 'taken';
    return [{ resident: mover.id, need, why } as const];
  });
}
