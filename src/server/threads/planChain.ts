import type { ChainReply } from '@/contract/plan';
import { solveChain } from '@/core/plan/chain/solve';
import { chainOfTenants } from '@/core/plan/chain/tenants';
import type { Day } from '@/core/measure/day';
import { movesOf, unplacedOf } from '../moves';
import { sharedSolver } from '../solver/highs';
import { countdown } from './countdown';

type Question = [...Parameters<typeof chainOfTenants>, startOn: Day, searchS: number];

/**
 * A plan of moves: which tub serves whom, the search, and the solver. In a thread: it takes seconds for a large house.
 * @param searchS how long a better plan is looked for once it is known which tub serves whom
 */
export async function planChain(
  ...[tenants, tubs, days, perDay, cleaningDays, startOn, searchS]: Question
): Promise<Pick<ChainReply, 'moves' | 'unplacedWhy' | 'cost' | 'bound' | 'by'>> {
  const chain = chainOfTenants(tenants, tubs, days, perDay, cleaningDays);
  const solution = await solveChain(chain.problem, sharedSolver(), countdown(searchS));
  const { cost, bound, by } = solution;
  return { moves: movesOf(chain, solution, startOn), unplacedWhy: unplacedOf(chain, solution), cost, bound, by };
}
