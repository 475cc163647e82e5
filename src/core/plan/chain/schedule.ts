import { occupants, type ChainProblem, type PlannedMove } from './problem';

/** Who is to go where; -1 for one that stays. */
export type Choice = Int32Array;

/** Sets days for a choice of tubs, again and again: what does not change is worked out once. */
export interface Scheduler {
  /** The cost of a choice with its days; what cannot be carried out is left where it is. */
  cost: (choice: Choice) => number;
  moves: (choice: Choice) => PlannedMove[];
}

/**
 * Days for moves whose tubs are chosen: those at the head of the longest chain first, each on its earliest day on which
 * its tub is free and clean and the day not full. One that finds no day stays, and with it those that waited for its tub;
 * so do those that wait for each other in a ring.
 */
export function scheduler(problem: ChainProblem): Scheduler {
  const { movers, perDay, cleaningDays, days } = problem;
  const lives = occupants(problem);
  const tubCost = movers.map(({ options }) => {
    const costs = new Float64Array(problem.tubs.length).fill(Infinity);
    for (const { tub, cost } of options) costs[tub] = cost;
    return costs;
  });
  const filled = new Int32Array(days);
  const dayOf = new Int32Array(movers.length);
  const rank = new Int32Array(movers.length);
  const follows = new Int32Array(movers.length);
  const order = Array.from(movers, (_, index) => index);

  /** For each mover its day, or -1. */
  const plan = (choice: Choice): void => {
    filled.fill(0);
    dayOf.fill(-1);
    follows.fill(-1);
    rank.fill(-1);
    for (let index = 0; index < movers.length; index += 1) {
      const before = choice[index] === -1 ? undefined : lives[choice[index] ?? 0];
      if (before !== undefined && before !== index) follows[before] = index;
    }
    // How many wait, one behind the other, for the tub of each.
    for (let index = 0; index < movers.length; index += 1) {
      let waiting = 0;
      for (let each = follows[index] ?? -1; each !== -1 && waiting <= movers.length; each = follows[each] ?? -1)
        waiting += 1;
      rank[index] = waiting;
    }
    const urgency = (index: number) => {
      const { days: allowed } = movers[index] as (typeof movers)[0];
      return (allowed[allowed.length - 1] ?? 0) - (rank[index] ?? 0) * cleaningDays;
    };
    order.sort((a, b) => urgency(a) - urgency(b) || a - b);
    const isOpen = new Uint8Array(movers.length);
    // Heads of chains first; each that is set opens the one that waits for its tub.
    const ready: number[] = [];
    for (const index of order) {
      if (choice[index] === -1) continue;
      const before = lives[choice[index] ?? 0];
      if (before === undefined) {
        ready.push(index);
        isOpen[index] = 1;
      }
    }
    for (let next = ready.shift(); next !== undefined; next = ready.shift()) {
      const before = lives[choice[next] ?? 0];
      const earliest = before === undefined ? 0 : (dayOf[before] ?? 0) + cleaningDays;
      const mover = movers[next] as (typeof movers)[0];
      const day = mover.days.find((each) => each >= earliest && (filled[each] ?? 0) < perDay);
      if (day === undefined) continue;
      dayOf[next] = day;
      filled[day] = (filled[day] ?? 0) + 1;
      const follower = follows[next] ?? -1;
      if (follower === -1 || isOpen[follower]) continue;
      isOpen[follower] = 1;
      const place = ready.findIndex((each) => urgency(each) > urgency(follower));
      ready.splice(place === -1 ? ready.length : place, 0, follower);
    }
  };

  return {
    cost: (choice) => {
      plan(choice);
      let sum = 0;
      for (let index = 0; index < movers.length; index += 1) {
        const mover = movers[index] as (typeof movers)[0];
        const day = dayOf[index] ?? -1;
        sum +=
          day === -1
            ? mover.stayCost
            : (tubCost[index]?.[choice[index] ?? 0] ?? Infinity) + mover.costPerDay * (day - (mover.days[0] ?? 0));
      }
      return sum;
    },
    moves: (choice) => {
      plan(choice);
      return movers.flatMap((_, mover) => {
        const day = dayOf[mover] ?? -1;
        return day === -1 ? [] : [{ mover, tub: choice[mover] ?? 0, day }];
      });
    },
  };
}
