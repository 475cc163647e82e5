import fc from 'fast-check';
import loadHighs from 'highs';
import { profileOf } from '@/contract/testing/profileOf';
import type { Container } from '@/core/housing/container';
import { waitingHouse } from '@/core/testing/movers';
import { solveProgramme } from '@/server/solver/solveProgramme.cjs';
import { cheapestAssignment } from './assignment';
import { boundOf, heuristicChain } from './heuristic';
import { chainModel } from './model';
import { brokenBy, costOf, type ChainProblem, type Mover, type PlannedMove } from './problem';
import { solveChain, type Solve } from './solve';
import { chainOfTenants, type Tenant } from './tenants';

/** HiGHS in this thread, as the server asks it in another. */
const solve: Solve = async (question) => solveProgramme(await loadHighs(), question);

/** Every plan there is, tried one by one: only for a handful of movers. */
function bruteForce({ movers, ...problem }: ChainProblem): number {
  const ways = movers.map((mover, index): (PlannedMove | null)[] => [
    null,
    ...mover.options.flatMap(({ tub }) => mover.days.map((day) => ({ mover: index, tub, day }))),
  ]);
  let best = Infinity;
  const go = (index: number, moves: PlannedMove[]): void => {
    if (index === ways.length) {
      if (brokenBy({ ...problem, movers }, moves).length === 0)
        best = Math.min(best, costOf({ ...problem, movers }, moves));
      return;
    }
    for (const way of ways[index] ?? []) go(index + 1, way ? [...moves, way] : moves);
  };
  go(0, []);
  return best;
}

const mover = (tubs: number, days: number, index: number): fc.Arbitrary<Mover> =>
  fc.record({
    id: fc.constant(`m${index}`),
    from: fc.constant(index < tubs ? index : null),
    days: fc
      .uniqueArray(fc.integer({ min: 0, max: days - 1 }), { maxLength: 3 })
      .map((list) => list.sort((a, b) => a - b)),
    options: fc
      .uniqueArray(fc.record({ tub: fc.integer({ min: 0, max: tubs - 1 }), cost: fc.integer({ min: 1, max: 9 }) }), {
        selector: ({ tub }) => tub,
        maxLength: 3,
      })
      .map((list) => list.filter(({ tub }) => tub !== index)),
    stayCost: fc.constantFrom(0, 12, 40),
    costPerDay: fc.constantFrom(0.1, 0.5),
  });

const problems = (movers: number, tubs: number, days: number): fc.Arbitrary<ChainProblem> =>
  fc.record({
    movers: fc.tuple(...Array.from({ length: movers }, (_, index) => mover(tubs, days, index))),
    tubs: fc.constant(Array.from({ length: tubs }, (_, index) => ({ id: `t${index}` }))),
    days: fc.constant(days),
    perDay: fc.integer({ min: 1, max: 2 }),
    cleaningDays: fc.integer({ min: 1, max: 2 }),
  });

describe('the cheapest assignment', () => {
  it('is the textbook one', () => {
    // Three workers, three jobs; the least sum of one in each row and column is 15 + 25 + 30: reckoned by hand.
    const { columns, cost } = cheapestAssignment([
      [40, 60, 15],
      [25, 30, 45],
      [55, 30, 25],
    ]);
    expect({ columns, cost }).toEqual({ columns: [2, 0, 1], cost: 70 });
  });
});

describe('the chain of moves', () => {
  it('of a handful is the best of all plans there are, and the plan can be carried out', async () => {
    await fc.assert(
      fc.asyncProperty(problems(4, 4, 5), async (problem) => {
        const { moves, cost, bound, by } = await solveChain(problem, solve, () => 5);
        expect(brokenBy(problem, moves)).toEqual([]);
        expect(cost).toBeCloseTo(bruteForce(problem), 6);
        expect(by).toBe('exact');
        expect(bound).toBeLessThanOrEqual(cost + 1e-6);
      }),
      { numRuns: 25 },
    );
  });

  it('by the search alone keeps every law, costs what it says, and never beats the bound', () => {
    fc.assert(
      fc.property(problems(6, 8, 9), (problem) => {
        const { moves, stay, cost, bound } = heuristicChain(problem);
        expect(brokenBy(problem, moves)).toEqual([]);
        expect(cost).toBeCloseTo(costOf(problem, moves), 9);
        expect(bound).toBeLessThanOrEqual(cost + 1e-9);
        expect(moves.length + stay.length).toBe(problem.movers.length);
        expect(boundOf(problem).bound).toBeCloseTo(bound, 9);
      }),
    );
  });

  it.each([3, 29])('polished in parts is within 2 %% of the optimum that HiGHS proves (seed %i)', async (seed) => {
    const problem = waitingHouse(24, 32, 30, seed, 0.3);
    const exact = await solveChain(problem, solve, () => 20);
    const polished = await solveChain(problem, solve, () => 20, 0);
    const hasty = await solveChain(problem, solve, () => 0);
    expect(exact.by).toBe('exact');
    expect(brokenBy(problem, polished.moves)).toEqual([]);
    expect(polished.cost).toBeLessThanOrEqual(1.02 * exact.cost);
    // Without any time there is a plan too, and what is said of the best one holds.
    expect(brokenBy(problem, hasty.moves)).toEqual([]);
    expect(hasty.bound).toBeLessThanOrEqual(exact.cost + 1e-6);
    expect(hasty.cost).toBeGreaterThanOrEqual(exact.cost - 1e-6);
  });

  it('waits until a tub is left and clean, and breaks no ring', async () => {
    const days = [0, 1, 2, 3, 4, 5];
    const base = { days, stayCost: 40, costPerDay: 0.1 };
    const ring: ChainProblem = {
      movers: [
        { ...base, id: 'a', from: 0, options: [{ tub: 1, cost: 1 }] },
        { ...base, id: 'b', from: 1, options: [{ tub: 0, cost: 1 }] },
      ],
      ...{ tubs: [{ id: 't0' }, { id: 't1' }, { id: 't2' }], days: 6, perDay: 2, cleaningDays: 2 },
    };
    expect((await solveChain(ring, solve, () => 5)).moves).toEqual([]);
    // One spare tub, and both can go: the second when the first has left and its tub is clean.
    const withSpare = {
      ...ring,
      movers: [{ ...ring.movers[0], options: [{ tub: 2, cost: 1 }] } as Mover, ring.movers[1] as Mover],
    };
    expect((await solveChain(withSpare, solve, () => 5)).moves).toEqual([
      { mover: 0, tub: 2, day: 0 },
      { mover: 1, tub: 0, day: 2 },
    ]);
  });

  it('with no tubs, no movers or no days moves nobody', async () => {
    const empty: ChainProblem = { movers: [], tubs: [], days: 5, perDay: 1, cleaningDays: 1 };
    expect(await solveChain(empty, solve, () => 1)).toMatchObject({ moves: [], cost: 0, bound: 0 });
    const lost: Mover = { id: 'a', from: null, days: [], options: [], stayCost: 80, costPerDay: 0.3 };
    expect(await solveChain({ ...empty, movers: [lost] }, solve, () => 1)).toMatchObject({
      moves: [],
      stay: [0],
      cost: 80,
    });
    expect(chainModel({ ...empty, movers: [lost] }).variables).toBe(1);
  });

  it('that contradicts itself is refused, naming the resident', async () => {
    const one: Mover = { id: 'a', from: 0, days: [9], options: [{ tub: 7, cost: 1 }], stayCost: 1, costPerDay: 0 };
    const problem = { movers: [one, { ...one, id: 'b' }], tubs: [{ id: 't0' }], days: 5, perDay: 1, cleaningDays: 1 };
    await expect(solveChain(problem, solve, () => 1)).rejects.toMatchObject({
      fields: expect.arrayContaining([expect.objectContaining({ path: 'residents.1.from' })]),
    });
  });
});

describe('who moves where', () => {
  const box = (id: string, lengthMm: number, widthMm: number, heightMm: number) => {
    const vents = (['left', 'right'] as const).map((side) => ({
      side,
      shape: 'hole' as const,
      count: 6,
      diameterMm: 3,
    }));
    const container: Container = { shape: 'box', lengthMm, widthMm, heightMm, lid: 'solid', vents };
    return { id, code: id, container, substrateDepthMm: 40 };
  };
  const tenant = (id: string, legSpanMm: number, from: string | null, change: Partial<Tenant> = {}): Tenant => ({
    ...{ id, from, profile: profileOf('ground-tarantula'), stage: 'juvenile', legSpanMm },
    ...{ days: [0, 1, 2, 3, 4, 5, 6, 7, 8, 9], outgrownIn: null, mayMove: false, ...change },
  });
  const tubs = [box('small', 90, 60, 70), box('middle', 170, 130, 100), box('large', 240, 200, 120)];

  it('the one whose box is too small goes to the smallest that serves; the box it leaves serves the next', async () => {
    // Common practice, no source: floor width about twice the leg span.
    const tenants = [tenant('grown', 62, 'middle', { outgrownIn: 6 }), tenant('young', 44, 'small')];
    const chain = chainOfTenants(tenants, tubs, 10, 2, 2);
    expect(chain.needs).toEqual(['outgrows', 'fails']);
    const { moves } = await solveChain(chain.problem, solve, () => 5);
    expect(moves).toEqual([
      { mover: 0, tub: 2, day: 0 },
      { mover: 1, tub: 1, day: 2 },
    ]);
  });

  it('nobody is put into the tub of one that stays, and one whose tub serves is not disturbed', () => {
    const tenants = [tenant('settled', 60, 'middle'), tenant('young', 44, 'small')];
    const { problem } = chainOfTenants(tenants, tubs, 10, 2, 2);
    expect(problem.movers[0]).toMatchObject({ options: [], stayCost: 0 });
    expect(problem.movers[1]?.options.map(({ tub }) => tubs[tub]?.id)).not.toContain('middle');
  });
});
