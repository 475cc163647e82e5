import { occupants, type ChainProblem, type PlannedMove } from './problem';

/** The problem as a mixed-integer programme in the LP format of CPLEX, and how its variables are read back. */
export interface ChainModel {
  lp: string;
  variables: number;
  /** The moves of a solution, by the values of its variables in the order in which the objective names them; and back. */
  movesOf: (values: readonly number[]) => PlannedMove[];
  startOf: (moves: readonly PlannedMove[]) => number[];
}

/**
 * How large the programme of a problem becomes, without writing it: a plan over a year has rows that grow with the square of its days.
 * @returns variables, and terms in all of its rows
 */
export function modelSize(problem: ChainProblem): { variables: number; terms: number } {
  const { movers } = problem;
  const lives = occupants(problem);
  let variables = 0;
  let terms = 0;
  for (const [index, { options, days }] of movers.entries()) {
    variables += 1 + (days.length > 0 ? options.length + days.length : 0);
    if (days.length === 0) continue;
    terms += 2 * (options.length + days.length);
    for (const { tub } of options) {
      const before = lives[tub];
      if (before === undefined || before === index) continue;
      const theirs = movers[before]?.days.length ?? 0;
      terms += (days.length * (days.length + theirs)) / 2;
    }
  }
  return { variables, terms };
}

/**
 * One variable says that a mover takes a tub, one that it moves on a day. Exactly one way for each, each tub and each day
 * no more than it holds; a tub that is held is entered only if its occupant moves, and after it has left and it is clean.
 */
export function chainModel(problem: ChainProblem): ChainModel {
  const { movers, tubs, perDay, cleaningDays, days } = problem;
  const lives = occupants(problem);
  const takes = (mover: number, tub: number) => `p${mover}_${tub}`;
  const onDay = (mover: number, day: number) => `y${mover}_${day}`;
  const costs: string[] = [];
  const rows: string[] = [];
  const names: string[] = [];
  const inTub = tubs.map((): string[] => []);
  const inDay = Array.from({ length: days }, (): string[] => []);
  movers.forEach((mover, index) => {
    const first = mover.days[0] ?? 0;
    const options = mover.days.length === 0 ? [] : mover.options;
    for (const { tub, cost } of options) {
      costs.push(term(cost, takes(index, tub)));
      inTub[tub]?.push(takes(index, tub));
      names.push(takes(index, tub));
    }
    if (options.length > 0) {
      for (const day of mover.days) {
        costs.push(term(mover.costPerDay * (day - first), onDay(index, day)));
        inDay[day]?.push(onDay(index, day));
        names.push(onDay(index, day));
      }
    }
    costs.push(term(mover.stayCost, `s${index}`));
    names.push(`s${index}`);
    const ways = options.map(({ tub }) => takes(index, tub));
    rows.push(`${[...ways, `s${index}`].join(' + ')} = 1`);
    if (options.length > 0)
      rows.push(`${[...mover.days.map((day) => onDay(index, day)), `s${index}`].join(' + ')} = 1`);
  });
  for (const list of inTub) if (list.length > 1) rows.push(`${list.join(' + ')} <= 1`);
  for (const list of inDay) if (list.length > perDay) rows.push(`${list.join(' + ')} <= ${perDay}`);
  movers.forEach((mover, index) => {
    if (mover.days.length === 0) return;
    for (const { tub } of mover.options) {
      const before = lives[tub];
      if (before === undefined || before === index) continue;
      const occupant = movers[before];
      if (!occupant || occupant.days.length === 0 || occupant.options.length === 0) {
        rows.push(`${takes(index, tub)} <= 0`);
        continue;
      }
      rows.push(`${takes(index, tub)} + s${before} <= 1`);
      // Whoever enters leaves its own choice of days behind those of the occupant: day by day, which is tighter than one
      // sum over all days.
      for (const day of mover.days) {
        const entered = mover.days.filter((each) => each <= day).map((each) => onDay(index, each));
        const left = occupant.days.filter((each) => each <= day - cleaningDays).map((each) => onDay(before, each));
        if (left.length === occupant.days.length) break;
        rows.push(`${[takes(index, tub), ...entered].join(' + ')}${left.map((each) => ` - ${each}`).join('')} <= 1`);
      }
    }
  });
  const numbered = rows.map((row, index) => ` c${index}: ${row}`);
  return {
    lp: [
      'Minimize',
      ` obj: ${costs.join(' ')}`,
      'Subject To',
      ...numbered,
      'Binary',
      ` ${names.join(' ')}`,
      'End',
      '',
    ].join('\n'),
    variables: names.length,
    movesOf: (values) => {
      const isOn = new Set(names.filter((_, index) => (values[index] ?? 0) > 0.5));
      return movers.flatMap((mover, index) => {
        const option = mover.options.find(({ tub }) => isOn.has(takes(index, tub)));
        const day = mover.days.find((each) => isOn.has(onDay(index, each)));
        return option && day !== undefined ? [{ mover: index, tub: option.tub, day }] : [];
      });
    },
    startOf: (moves) => {
      const planned = new Map(moves.map((move) => [move.mover, move]));
      const isOn = new Set(moves.flatMap(({ mover, tub, day }) => [takes(mover, tub), onDay(mover, day)]));
      movers.forEach((_, index) => !planned.has(index) && isOn.add(`s${index}`));
      return names.map((name) => (isOn.has(name) ? 1 : 0));
    },
  };
}

const term = (cost: number, name: string) => `${cost < 0 ? '-' : '+'} ${Math.abs(cost).toFixed(6)} ${name}`;
