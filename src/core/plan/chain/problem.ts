import { Refusal, type FieldProblem } from '@/core/refusal';

/** One that is to move, or may be moved to make room. */
export interface Mover {
  id: string;
  /** The tub it is in, by its place in the list of tubs; null for one that comes from elsewhere. */
  from: number | null;
  /** Days on which it can be moved, counted from the first, in order. */
  days: readonly number[];
  /** Tubs that serve it, other than its own, with what each costs. */
  options: readonly { tub: number; cost: number }[];
  /** What it costs to leave it where it is: 0 for one whose tub still serves. */
  stayCost: number;
  /** What each day costs from its first possible day to its move. */
  costPerDay: number;
}

export interface ChainProblem {
  movers: readonly Mover[];
  tubs: readonly { id: string }[];
  /** Days looked ahead, 1 to 366. */
  days: number;
  /** Moves that can be made in one day. */
  perDay: number;
  /** A tub that was left serves again after so many days: emptied, cleaned, filled and damp. At least 1. */
  cleaningDays: number;
}

export interface PlannedMove {
  mover: number;
  tub: number;
  day: number;
}

export interface ChainSolution {
  moves: PlannedMove[];
  /** Movers that stay where they are. */
  stay: number[];
  cost: number;
  /** No plan can cost less. */
  bound: number;
  by: 'exact' | 'heuristic';
}

/** Who is in each tub at the beginning: the place of a mover in its list. */
export function occupants({ movers, tubs }: Pick<ChainProblem, 'movers' | 'tubs'>): (number | undefined)[] {
  const list: (number | undefined)[] = tubs.map(() => undefined);
  movers.forEach(({ from }, index) => {
    if (from !== null) list[from] = index;
  });
  return list;
}

/** What a plan costs: each move its tub and its days, each that stays what staying costs. */
export function costOf({ movers }: ChainProblem, moves: readonly PlannedMove[]): number {
  const byMover = new Map(moves.map((move) => [move.mover, move]));
  return movers.reduce((sum, mover, index) => {
    const move = byMover.get(index);
    if (!move) return sum + mover.stayCost;
    const tub = mover.options.find((option) => option.tub === move.tub)?.cost ?? Infinity;
    return sum + tub + mover.costPerDay * (move.day - (mover.days[0] ?? 0));
  }, 0);
}

/**
 * What is wrong with a plan; nothing for one that can be carried out: every move on a day of its mover into a tub that
 * serves it, no tub used twice, no tub entered before its occupant has left and it is clean, no day too full.
 */
export function brokenBy(problem: ChainProblem, moves: readonly PlannedMove[]): string[] {
  const { movers, perDay, cleaningDays } = problem;
  const lives = occupants(problem);
  const leaves = new Map(moves.map(({ mover, day }) => [mover, day]));
  const broken: string[] = [];
  if (leaves.size !== moves.length) broken.push('one is moved twice');
  if (new Set(moves.map(({ tub }) => tub)).size !== moves.length) broken.push('a tub is used twice');
  const full = new Map<number, number>();
  for (const { mover, tub, day } of moves) {
    const one = movers[mover];
    if (!one?.days.includes(day)) broken.push(`${one?.id} cannot be moved on day ${day}`);
    if (!one?.options.some((option) => option.tub === tub)) broken.push(`tub ${tub} does not serve ${one?.id}`);
    const before = lives[tub];
    const left = before === undefined ? undefined : leaves.get(before);
    if (before !== undefined && (left === undefined || left + cleaningDays > day))
      broken.push(`tub ${tub} is not free on day ${day}`);
    full.set(day, (full.get(day) ?? 0) + 1);
  }
  if ([...full.values()].some((count) => count > perDay)) broken.push('a day is too full');
  return broken;
}

/** @throws Refusal for a tub that is not in the list, held by two, named as a choice of the one in it, and days outside the plan */
export function requireChain({ movers, tubs, days }: ChainProblem): void {
  const problems: FieldProblem[] = [];
  const held = new Map<number, number>();
  movers.forEach((mover, index) => {
    const path = `residents.${index}`;
    const inList = (tub: number) => tub >= 0 && tub < tubs.length;
    if (mover.from !== null) {
      if (!inList(mover.from)) problems.push({ path: `${path}.from`, message: 'Must be one of the tubs.' });
      const other = held.get(mover.from);
      if (other !== undefined)
        problems.push({ path: `${path}.from`, message: `Resident ${other} is in that tub already.` });
      held.set(mover.from, index);
    }
    if (mover.options.some(({ tub }) => !inList(tub)))
      problems.push({ path: `${path}.options`, message: 'Must name tubs of the list.' });
    if (mover.options.some(({ tub }) => tub === mover.from))
      problems.push({ path: `${path}.options`, message: 'Must name other tubs than its own.' });
    if (mover.days.some((day) => day < 0 || day >= days))
      problems.push({ path: `${path}.windows`, message: `Must lie within the ${days} days of the plan.` });
  });
  if (problems.length > 0) throw new Refusal(problems);
}
