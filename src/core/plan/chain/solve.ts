import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { heuristicChain } from './heuristic';
import { chainModel, modelSize } from './model';
import {
  brokenBy,
  costOf,
  occupants,
  requireChain,
  type ChainProblem,
  type ChainSolution,
  type PlannedMove,
} from './problem';

/** What a solver of mixed-integer programmes is asked. */
export interface Question {
  /** The programme, in the LP format of CPLEX. */
  lp: string;
  /** Values of its variables, in the order in which the objective names them, to begin with. */
  start: number[];
  timeLimitS: number;
  /** It may stop this close to the optimum, as a share of the cost. */
  gap: number;
}

export interface Solved {
  values: number[];
  bound: number;
  isOptimal: boolean;
}

/** Null where it found nothing, or not in its time. */
export type Solve = (question: Question) => Promise<Solved | null>;

/** Programmes up to this size go to the solver whole; beyond it is given parts. Chosen here, by the bench */
const MOST_VARIABLES = 6000;
/** And no more terms than these: 40 MB of text. A year of days makes rows of thousands. Chosen here */
const MOST_TERMS = 3_000_000;
/** Where the solver does the work, the search before it is short: steps for each mover. */
const HINT_STEPS = 300;
/** Asked for: within 1 % of the optimum. */
const GAP = 0.005;
/** So many are planned anew in each round of polishing, and it stops after so many rounds that won nothing. */
const PART = 40;
const FRUITLESS_ROUNDS = 10;
const PART_LIMIT_S = 2;
/** So many terms HiGHS reads and makes ready in a second, which its own limit does not count: 494,213 took it 1.1 to 2 s beside other work. Chosen here, below that */
const TERMS_A_SECOND = 150_000;
/** The search before the solver may take this share of the time. Chosen here */
const SEARCH_SHARE = 0.5;
/** In less no solver finds anything. s */
const LEAST_S = 0.1;
const SEED = 4870;
const SAME = 1e-6;

/**
 * The cheapest plan of moves: by simulated annealing first, then by the solver from there, whole where it fits. Larger
 * houses are polished in parts: some movers are planned anew by the solver while the others keep their tubs and days.
 * @param leftS how many seconds are left, asked now and then: where none are, the best plan so far is answered, with its bound
 * @param mostVariables programmes up to this size go to the solver whole
 * @throws Refusal for a problem that contradicts itself
 */
export async function solveChain(
  problem: ChainProblem,
  solve: Solve,
  leftS: () => number,
  mostVariables = MOST_VARIABLES,
): Promise<ChainSolution> {
  requireChain(problem);
  const allS = leftS();
  const size = modelSize(problem);
  const isWhole = size.variables <= mostVariables && isReadIn(size.terms, allS);
  const first = heuristicChain(problem, isWhole ? HINT_STEPS : undefined, () => leftS() > (1 - SEARCH_SHARE) * allS);
  if (first.cost - first.bound < SAME) return { ...first, by: 'exact' };
  if (!isWhole) return polished(problem, first, solve, leftS);
  const model = chainModel(problem);
  const timeLimitS = Math.max(LEAST_S, leftS());
  const solved = await solve({ lp: model.lp, start: model.startOf(first.moves), timeLimitS, gap: GAP });
  if (!solved) return first;
  const bound = Math.min(first.cost, Math.max(first.bound, solved.bound));
  const found = better(problem, first.moves, model.movesOf(solved.values));
  return answer(problem, found, bound, solved.isOptimal ? 'exact' : 'heuristic');
}

/** Whether a solver has read a programme and still has time for it. */
const isReadIn = (terms: number, seconds: number) => terms <= Math.min(MOST_TERMS, TERMS_A_SECOND * seconds);

/** What the solver says is believed once it is seen to hold, and to be the better one. */
function better(problem: ChainProblem, before: PlannedMove[], after: PlannedMove[]): PlannedMove[] {
  return brokenBy(problem, after).length === 0 && costOf(problem, after) < costOf(problem, before) - SAME
    ? after
    : before;
}

function answer(problem: ChainProblem, moves: PlannedMove[], bound: number, by: ChainSolution['by']): ChainSolution {
  const moved = new Set(moves.map(({ mover }) => mover));
  const stay = problem.movers.flatMap((_, index) => (moved.has(index) ? [] : [index]));
  return { moves, stay, cost: costOf(problem, moves), bound, by };
}

async function polished(
  problem: ChainProblem,
  first: ChainSolution,
  solve: Solve,
  leftS: () => number,
): Promise<ChainSolution> {
  const random = xoroshiro128plus(SEED);
  let { moves } = first;
  let most = PART;
  for (let fruitless = 0; fruitless < FRUITLESS_ROUNDS && leftS() > LEAST_S;) {
    const free = partAround(problem, moves, uniformInt(random, 0, problem.movers.length - 1), most);
    const part = withFixed(problem, moves, free);
    if (!isReadIn(modelSize(part).terms, leftS())) {
      if (most === 1) break;
      most = Math.ceil(most / 2);
      continue;
    }
    const model = chainModel(part);
    const timeLimitS = Math.min(PART_LIMIT_S, Math.max(LEAST_S, leftS()));
    const solved = await solve({ lp: model.lp, start: model.startOf(moves), timeLimitS, gap: GAP });
    const found = solved ? better(problem, moves, model.movesOf(solved.values)) : moves;
    fruitless = found === moves ? fruitless + 1 : 0;
    moves = found;
  }
  return answer(problem, moves, first.bound, 'heuristic');
}

/** Those who have to do with one another: who wants the tub of whom, beginning with one. */
function partAround(
  { movers, tubs }: ChainProblem,
  moves: readonly PlannedMove[],
  start: number,
  most: number,
): Set<number> {
  const lives = occupants({ movers, tubs });
  const goer = new Map(moves.map(({ mover, tub }) => [tub, mover]));
  const wanted = movers.map(({ options }) => options);
  const part = new Set([start]);
  const queue = [start];
  for (let next = queue.shift(); next !== undefined && part.size < most; next = queue.shift()) {
    const near = (wanted[next] ?? []).flatMap(({ tub }) => [lives[tub], goer.get(tub)]);
    for (const each of near) {
      if (each === undefined || part.has(each) || part.size >= most) continue;
      part.add(each);
      queue.push(each);
    }
  }
  return part;
}

/** The same problem with everybody outside a part held to what is planned for them. */
function withFixed(problem: ChainProblem, moves: readonly PlannedMove[], free: ReadonlySet<number>): ChainProblem {
  const planned = new Map(moves.map((move) => [move.mover, move]));
  const movers = problem.movers.map((mover, index) => {
    if (free.has(index)) return mover;
    const move = planned.get(index);
    if (!move) return { ...mover, options: [], days: [] };
    const options = mover.options.filter(({ tub }) => tub === move.tub);
    return { ...mover, options, days: [move.day], stayCost: TOO_DEAR };
  });
  return { ...problem, movers };
}

/** Nobody whose move is settled is left behind for the sake of another. */
const TOO_DEAR = 1e5;
