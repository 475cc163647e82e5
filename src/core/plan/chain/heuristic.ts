import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { cheapestAssignment } from './assignment';
import { costOf, occupants, type ChainProblem, type ChainSolution, type Mover } from './problem';
import { scheduler, type Choice } from './schedule';

/** Steps of the search for each mover; more find little. Chosen here, by the bench */
const STEPS_A_MOVER = 1500;
const MOST_STEPS = 120_000;
const SEED = 4870;
/** So many steps are made before it is asked whether there is time for more. */
const ASKED_EVERY = 256;
/** The search begins so hot that a step of this share of what may be won is often taken back. Chosen here, by the bench */
const HOTTEST_SHARE = 60;
/** So many are sent on, one behind the other, in one step. */
const LONGEST_EJECTION = 4;

/**
 * No plan costs less than this: the cheapest choice of tubs, each tub for one, as if every move could be made on its first
 * day. Where moves wait for each other or for room in a day, the truth lies above it.
 */
export function boundOf({ movers, tubs }: ChainProblem): { bound: number; choice: Choice } {
  const rows = movers.map((mover, index) => {
    const row = new Array<number>(tubs.length + movers.length).fill(Infinity);
    if (mover.days.length > 0) for (const { tub, cost } of mover.options) row[tub] = cost;
    row[tubs.length + index] = mover.stayCost;
    return row;
  });
  const { columns, cost } = cheapestAssignment(rows);
  return {
    bound: movers.length === 0 ? 0 : cost,
    choice: Int32Array.from(columns, (column) => (column < tubs.length ? column : -1)),
  };
}

/**
 * A good plan, by simulated annealing (Kirkpatrick, Gelatt & Vecchi 1983) from the cheapest choice of tubs. A step sends
 * one mover to another tub; whoever was to go there goes to the tub that comes free, or elsewhere, and whoever lives there
 * and was to stay is sent on in turn (an ejection chain, Glover 1996). The same problem has the same answer, where it has the time.
 * @param mayGoOn where it says no, the best plan so far is answered
 */
export function heuristicChain(
  problem: ChainProblem,
  stepsAMover = STEPS_A_MOVER,
  mayGoOn: () => boolean = () => true,
): ChainSolution {
  const { movers } = problem;
  const { bound, choice } = boundOf(problem);
  const { cost, moves } = scheduler(problem);
  const search = new Search(problem, choice);
  const random = xoroshiro128plus(SEED);
  const upTo = (most: number) => uniformInt(random, 0, most);
  let now = cost(choice);
  let best: Choice = choice.slice();
  let least = now;
  const steps = now - bound < SAME ? 0 : Math.min(MOST_STEPS, stepsAMover * movers.length);
  const hottest = Math.max(0.5, (now - bound) / HOTTEST_SHARE);
  for (let step = 0; step < steps && least - bound >= SAME; step += 1) {
    if (step % ASKED_EVERY === 0 && !mayGoOn()) break;
    const heat = hottest * (1 - step / steps) ** 3 + 1e-6;
    const changed = search.change(upTo);
    if (!changed) continue;
    const after = cost(choice);
    if (after > now && Math.exp((now - after) / heat) * 1_000_000 <= upTo(1_000_000)) {
      search.takeBack();
      continue;
    }
    now = after;
    if (now >= least - SAME) continue;
    least = now;
    best = choice.slice();
  }
  const found = moves(best);
  const moved = new Set(found.map(({ mover }) => mover));
  return {
    moves: found,
    stay: movers.flatMap((_, index) => (moved.has(index) ? [] : [index])),
    cost: costOf(problem, found),
    bound,
    by: 'heuristic',
  };
}

const SAME = 1e-9;

/** A choice of tubs under change, with the way back. */
class Search {
  private readonly lives: (number | undefined)[];
  /** Who is to go into each tub. */
  private readonly goer: Int32Array;
  private readonly options: Mover['options'][];
  private readonly undo: [mover: number, tub: number][] = [];

  constructor(
    problem: ChainProblem,
    private readonly choice: Choice,
  ) {
    this.lives = occupants(problem);
    this.options = problem.movers.map(({ options }) => [...options].sort((a, b) => a.cost - b.cost));
    this.goer = new Int32Array(problem.tubs.length).fill(-1);
    choice.forEach((tub, mover) => {
      if (tub !== -1) this.goer[tub] = mover;
    });
  }

  /** Sends one to another tub, and on with those who are in its way. False where nothing changed. */
  change(upTo: (most: number) => number): boolean {
    this.undo.length = 0;
    const mover = upTo(this.choice.length - 1);
    const options = this.options[mover] ?? [];
    // Mostly one of the cheaper ones: of two drawn the better; beyond the last it stays.
    const tub = options[Math.min(upTo(options.length), upTo(options.length))]?.tub ?? -1;
    const old = this.choice[mover] ?? -1;
    if (tub === old) return false;
    const rival = tub === -1 ? -1 : (this.goer[tub] ?? -1);
    if (rival !== -1) this.put(rival, -1);
    this.put(mover, tub);
    if (rival !== -1) this.sendOn(rival, old, upTo);
    // Whoever lives there and was to stay has to go, and so on along the chain.
    let entered = tub;
    for (let links = 0; links < LONGEST_EJECTION && entered !== -1; links += 1) {
      const occupant = this.lives[entered];
      if (occupant === undefined || occupant === mover || this.choice[occupant] !== -1) break;
      this.sendOn(occupant, -1, upTo);
      entered = this.choice[occupant] ?? -1;
    }
    return true;
  }

  takeBack(): void {
    for (let step = this.undo.pop(); step; step = this.undo.pop()) this.set(...step);
  }

  /** To the tub that came free where it serves, else to one of its tubs to which nobody goes. */
  private sendOn(mover: number, freed: number, upTo: (most: number) => number): void {
    const options = this.options[mover] ?? [];
    if (freed !== -1 && upTo(1) === 0 && options.some(({ tub }) => tub === freed)) return this.put(mover, freed);
    const open = options.filter(({ tub }) => this.goer[tub] === -1);
    const pick = Math.min(upTo(open.length), upTo(open.length));
    this.put(mover, open[pick]?.tub ?? -1);
  }

  private put(mover: number, tub: number): void {
    this.undo.push([mover, this.choice[mover] ?? -1]);
    this.set(mover, tub);
  }

  private set(mover: number, tub: number): void {
    const old = this.choice[mover] ?? -1;
    if (old !== -1 && this.goer[old] === mover) this.goer[old] = -1;
    this.choice[mover] = tub;
    if (tub !== -1) this.goer[tub] = mover;
  }
}
