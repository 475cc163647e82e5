import fc from 'fast-check';
import { orderPlan, type OrderQuestion } from './orders';

/** Every way of choosing the weeks of orders; each need comes from the latest order that can still serve it. */
function cheapestByTrying({
  demand,
  setupCost,
  holdingCost,
  shelfLifeWeeks = 99,
  weeklyLossPct = 0,
}: OrderQuestion): number {
  const at = (cost: number | readonly number[], week: number) =>
    typeof cost === 'number' ? cost : (cost[week] ?? NaN);
  const kept = 1 - weeklyLossPct / 100;
  let best = Infinity;
  for (let chosen = 0; chosen < 2 ** demand.length; chosen += 1) {
    let cost = 0;
    for (let week = 0; week < demand.length; week += 1) if (chosen & (1 << week)) cost += at(setupCost, week);
    for (let week = 0; week < demand.length; week += 1) {
      const need = demand[week] ?? 0;
      if (need === 0) continue;
      // From any earlier order that it would pay to keep it from: the cheapest, not only the latest.
      let cheapest = Infinity;
      for (let from = 0; from <= week; from += 1) {
        if (!(chosen & (1 << from)) || week - from >= shelfLifeWeeks) continue;
        let keep = 0;
        for (let held = from; held < week; held += 1) keep += (at(holdingCost, held) * need) / kept ** (week - held);
        cheapest = Math.min(cheapest, keep);
      }
      cost += cheapest;
    }
    best = Math.min(best, cost);
  }
  return best;
}

describe('orders of feeders', () => {
  // Wagner and Whitin (1958), the worked example of twelve months; 864 is the published least cost.
  it('cost 864 in the published example', () => {
    const { orders, totalCost } = orderPlan({
      demand: [69, 29, 36, 61, 61, 26, 34, 67, 45, 67, 79, 56],
      setupCost: [85, 102, 102, 101, 98, 114, 105, 86, 119, 110, 98, 114],
      holdingCost: 1,
    });
    expect(totalCost).toBe(864);
    expect(orders).toEqual([98, 0, 97, 0, 121, 0, 0, 112, 0, 67, 135, 0]);
  });

  const weeks = fc.integer({ min: 1, max: 7 });
  const questions: fc.Arbitrary<OrderQuestion> = weeks.chain((count) => {
    const listOf = (max: number) => fc.array(fc.integer({ min: 0, max }), { minLength: count, maxLength: count });
    return fc.record({
      demand: listOf(40),
      setupCost: listOf(60),
      holdingCost: listOf(3),
      shelfLifeWeeks: fc.option(fc.integer({ min: 1, max: 5 }), { nil: undefined }),
      weeklyLossPct: fc.constantFrom(0, 5, 30),
    });
  });

  it('are as cheap as the best of all that could be', () => {
    fc.assert(
      fc.property(questions, (question) => {
        expect(orderPlan(question).totalCost).toBeCloseTo(cheapestByTrying(question), 6);
      }),
      { numRuns: 150, endOnFailure: true },
    );
  });

  it('are never short and never lost: what comes covers the needs of every run, with its losses', () => {
    fc.assert(
      fc.property(questions, ({ weeklyLossPct = 0, ...question }) => {
        const { orders } = orderPlan({ ...question, weeklyLossPct });
        const kept = 1 - weeklyLossPct / 100;
        let stock = 0;
        orders.forEach((come, week) => {
          stock = stock * (week === 0 ? 1 : kept) + come - (question.demand[week] ?? 0);
          expect(stock).toBeGreaterThan(-1e-6);
        });
        expect(stock).toBeCloseTo(0, 6);
      }),
      { numRuns: 150, endOnFailure: true },
    );
  });

  it('cost no less for more demand, and no more for a longer shelf life', () => {
    fc.assert(
      fc.property(questions, fc.nat({ max: 6 }), (question, week) => {
        const more = question.demand.map((need, index) => (index === week ? need + 5 : need));
        const { totalCost } = orderPlan(question);
        expect(orderPlan({ ...question, demand: more }).totalCost).toBeGreaterThanOrEqual(totalCost - 1e-9);
        const longer = { ...question, shelfLifeWeeks: (question.shelfLifeWeeks ?? 7) + 1 };
        expect(orderPlan(longer).totalCost).toBeLessThanOrEqual(totalCost + 1e-9);
      }),
      { numRuns: 100, endOnFailure: true },
    );
  });

  it('refuse costs that do not go with the weeks, and losses that leave nothing', () => {
    expect(() => orderPlan({ demand: [1, 2], setupCost: [1], holdingCost: 0 })).toThrow(/setupCost/);
    expect(() => orderPlan({ demand: [1], setupCost: 1, holdingCost: 0, weeklyLossPct: 100 })).toThrow(/weeklyLossPct/);
    expect(orderPlan({ demand: [0, 0], setupCost: 9, holdingCost: 1 })).toEqual({ orders: [0, 0], totalCost: 0 });
  });
});
