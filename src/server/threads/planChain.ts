import type { ChainReply } from '@/contract/plan';
import { solveChain } from '@/core/plan/chain/solve';
import { chainOfTenants } from '@/core/plan/chain/tenants';
import type { Day } from '@/core/measure/day';
import { movesOf, unplacedOf } from '../moves';
import { sharedSolver } from '../solver/highs';

/** The solver is given so long for a plan of moves. Chosen here */
const SOLVER_SECONDS = 7;
/** After so long no more is searched, and the best plan so far is answered, with its bound. ms, chosen here */
const DEADLINE_MS = 14_000;

type Question = [...Parameters<typeof chainOfTenants>, startOn: Day];

/** A plan of moves: which tub serves whom, the search, and the solver. In a thread: it takes seconds for a large house. */
export async function planChain(
  ...[tenants, tubs, days, perDay, cleaningDays, startOn]: Question
): Promise<Pick<ChainReply, 'moves' | 'unplacedWhy' | 'cost' | 'bound' | 'by'>> {
  const until = performance.now() + DEADLINE_MS;
  const chain = chainOfTenants(tenants, tubs, days, perDay, cleaningDays);
  const mayGoOn = () => performance.now() < until;
  const solution = await solveChain(chain.problem, sharedSolver(), SOLVER_SECONDS, undefined, mayGoOn);
  const { cost, bound, by } = solution;
  return { moves: movesOf(chain, solution, startOn), unplacedWhy: unplacedOf(chain, solution), cost, bound, by };
}
