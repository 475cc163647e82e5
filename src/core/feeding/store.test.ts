import fc from 'fast-check';
import { EigenvalueDecomposition, Matrix, solve } from 'ml-matrix';
import { shippedFeeders, shippedFoods } from '@/contract/shipped';
import { profileOf } from '@/contract/testing/profileOf';
import { addDays, daysBetween } from '@/core/measure/day';
import { breedersFor, yieldPerWeek } from './culture';
import { demandOf, type Eater } from './demand';
import { afterDays, dailySteps, standingStock } from './feederStages';
import { preyOf, type FeederKind } from './food';
import { foodStock } from './foodStock';
import { feedingHistory } from './history';
import { feederShortfall, feederSupply, foodShortfall, supplyLine, type PriceLine } from './supply';

const TODAY = '2026-03-14';
const larder = { feeders: preyOf(shippedFeeders), foods: shippedFoods };
const kinds = fc.constantFrom(...shippedFeeders);
const CRICKET = shippedFeeders[0] as FeederKind;
const sum = (list: readonly number[]) => list.reduce((total, each) => total + each, 0);

describe('stock of feeders', () => {
  it('counts, buys, takes and loses, and grows into the next size', () => {
    const events = [
      { on: TODAY, item: 'field-cricket-medium', kind: 'counted' as const, count: 100 },
      { on: TODAY, item: 'field-cricket-medium', kind: 'out' as const, count: 20 },
      { on: addDays(TODAY, 3), item: 'field-cricket-large', kind: 'in' as const, count: 40 },
    ];
    expect(standingStock(CRICKET, events, TODAY)[4]).toBe(80);
    const later = standingStock(CRICKET, events, addDays(TODAY, 10));
    const alone = afterDays(CRICKET, [0, 0, 0, 0, 80, 0, 0], 10);
    const bought = afterDays(CRICKET, [0, 0, 0, 0, 0, 40, 0], 7);
    later.forEach((count, index) => expect(count).toBeCloseTo((alone[index] ?? 0) + (bought[index] ?? 0), 9));
  });

  it('never falls under nothing, and no feeder comes from nowhere', () => {
    const event = fc.record({
      day: fc.integer({ min: 0, max: 60 }),
      place: fc.integer({ min: 0, max: 6 }),
      kind: fc.constantFrom('counted', 'in', 'out'),
      count: fc.integer({ min: 0, max: 500 }),
    });
    fc.assert(
      fc.property(fc.array(event, { maxLength: 20 }), (drawn) => {
        const events = drawn
          .sort((a, b) => a.day - b.day)
          .map(({ day, place, kind, count }) => ({
            on: addDays(TODAY, day),
            item: CRICKET.classes[place]?.id ?? '',
            kind: kind as 'in',
            count,
          }));
        const standing = standingStock(CRICKET, events, addDays(TODAY, 70));
        for (const count of standing) expect(count).toBeGreaterThanOrEqual(0);
        expect(sum(standing)).toBeLessThanOrEqual(
          sum(events.filter((each) => each.kind !== ('out' as string)).map((each) => each.count)) + 1e-9,
        );
      }),
    );
  });
});

/**
 * The stage matrix of a culture over a day, column by column what one of a size becomes, the last with its young
 * (Lefkovitch 1965, Biometrics 21, 1-18): made here, apart from the balance that it is to confirm.
 */
function cultureMatrix(kind: FeederKind): number[][] {
  const { femaleShare, eggsPerFemalePerWeek, hatchSharePct } = kind.culture;
  const born = (femaleShare.value * eggsPerFemalePerWeek.value * hatchSharePct.value) / 700;
  const steps = dailySteps(kind);
  const matrix = steps.map(({ stays }, row) => steps.map((_, column) => (row === column ? stays : 0)));
  steps.slice(0, -1).forEach(({ grows }, column) => ((matrix[column + 1] as number[])[column] = grows));
  (matrix[0] as number[])[steps.length - 1] = ((matrix[0] as number[])[steps.length - 1] ?? 0) + born;
  return matrix;
}

describe('a culture of one’s own', () => {
  // The steady state against a linear system solved by ml-matrix: n = A n + young - harvest.
  it('holds its numbers for ever under the harvest it was planned for', () => {
    fc.assert(
      fc.property(kinds, fc.nat(), fc.integer({ min: 1, max: 400 }), (kind, place, weekly) => {
        const eaten = kind.classes.filter((each) => each.isFood);
        const item = eaten[place % eaten.length]?.id ?? '';
        const plan = breedersFor(kind, { [item]: weekly });
        const matrix = cultureMatrix(kind);
        const size = matrix.length;
        const harvest = kind.classes.map(({ id }) => (id === item ? weekly / 7 : 0));
        const balance = Matrix.sub(new Matrix(matrix), Matrix.eye(size, size));
        const steady = solve(balance, Matrix.columnVector(harvest)).to1DArray();
        plan.counts.forEach(({ count }, index) => expect(count / (steady[index] ?? 0)).toBeCloseTo(1, 5));
        expect(plan.breeders).toBeCloseTo(plan.counts.at(-1)?.count ?? 0, 6);
      }),
    );
  });

  it('grows by itself: the largest eigenvalue, by ml-matrix, is over one for every kind that ships', () => {
    for (const kind of shippedFeeders) {
      const { realEigenvalues } = new EigenvalueDecomposition(new Matrix(cultureMatrix(kind)));
      expect(Math.max(...realEigenvalues)).toBeGreaterThan(1);
      const [first] = kind.classes;
      const harvest = yieldPerWeek(kind, kind.classes.find((each) => each.isFood)?.id ?? first?.id ?? '', 100);
      expect(harvest).toBeGreaterThan(0);
    }
  });

  it('yields in proportion to its breeders, and refuses sizes of another kind and kinds that die out', () => {
    const item = 'dubia-roach-medium';
    const roach = shippedFeeders.find((each) => each.id === 'dubia-roach') as FeederKind;
    expect(yieldPerWeek(roach, item, 60)).toBeCloseTo(2 * yieldPerWeek(roach, item, 30), 9);
    expect(breedersFor(roach, { [item]: yieldPerWeek(roach, item, 60) }).breeders).toBeCloseTo(60, 6);
    expect(() => breedersFor(roach, { 'mealworm-mini': 3 })).toThrow(/refused|Must|size/i);
    const barren = {
      ...roach,
      culture: { ...roach.culture, hatchSharePct: { value: 0.001, basis: 'from memory' as const } },
    };
    expect(() => breedersFor(barren, { [item]: 3 })).toThrow();
  });
});

describe('what the house will eat', () => {
  const eater = (change: Partial<Eater> = {}): Eater => ({
    ...{ profile: profileOf('ground-tarantula'), stage: 'adult', legSpanMm: 118 },
    ...change,
  });
  const anyEater = fc
    .record({
      id: fc.constantFrom('ground-tarantula', 'mantis', 'land-snail', 'isopod-temperate', 'stick-insect'),
      sizeMm: fc.double({ min: 20, max: 100, noNaN: true }),
      since: fc.integer({ min: 0, max: 20 }),
      heads: fc.integer({ min: 1, max: 20 }),
    })
    .map(({ id, sizeMm, since, heads }): Eater => {
      const profile = profileOf(id);
      return {
        ...{ profile, stage: profile.stages.at(-1) ?? 'adult', headCount: heads },
        [profile.measure.takes]: sizeMm,
        lastMealOn: addDays(TODAY, -since),
      };
    });

  it('of all is the sum over each', () => {
    fc.assert(
      fc.property(fc.array(anyEater, { minLength: 1, maxLength: 6 }), (eaters) => {
        const together = demandOf(eaters, larder, TODAY, 6);
        const apart = eaters.map((each) => demandOf([each], larder, TODAY, 6));
        for (const [item, weeks] of together) {
          weeks.forEach((amount, week) => {
            expect(amount).toBeCloseTo(sum(apart.map((each) => each.get(item)?.[week] ?? 0)), 6);
          });
        }
        expect(new Set(apart.flatMap((each) => [...each.keys()]))).toEqual(new Set(together.keys()));
      }),
      { numRuns: 30 },
    );
  });

  it('begins with the next meal, and stops while an animal is left alone and about its moults', () => {
    const adult = eater({ lastMealOn: addDays(TODAY, -1) });
    const weeks = demandOf([adult], larder, TODAY, 12);
    const total = (demand: typeof weeks) => sum([...demand.values()].map(sum));
    const [first] = [...weeks.values()];
    expect(first?.[0]).toBe(0);
    expect(first?.[1]).toBeGreaterThan(0);
    const quiet = demandOf([{ ...adult, quietUntil: addDays(TODAY, 42) }], larder, TODAY, 12);
    expect(total(quiet)).toBeLessThan(total(weeks));
    expect([...quiet.values()].every((each) => sum(each.slice(0, 6)) === 0)).toBe(true);
    const moulting = demandOf([{ ...adult, lastMoultOn: addDays(TODAY, -360) }], larder, TODAY, 12);
    expect(total(moulting)).toBeLessThan(total(weeks));
  });

  it('grows with the animal: larger prey after a moult', () => {
    const young = eater({ stage: 'juvenile', legSpanMm: 52, lastMoultOn: addDays(TODAY, -80) });
    const longest = (demand: ReturnType<typeof demandOf>, from: number, to: number) =>
      Math.max(
        ...[...demand].flatMap(([item, weeks]) =>
          sum(weeks.slice(from, to)) > 0 ? (larder.feeders.find((each) => each.id === item)?.lengthMm ?? 0) : 0,
        ),
      );
    const demand = demandOf([young], larder, TODAY, 12);
    expect(longest(demand, 8, 12)).toBeGreaterThan(longest(demand, 0, 3));
  });
});

describe('orders', () => {
  const price: PriceLine = { item: 'x', packSize: 50, packPrice: 4, leadDays: 3, handling: 2 };
  const asked = { item: 'x', weeklyLossPct: 5, shelfLifeWeeks: 3, prices: [price] };

  it('cover every week, in whole packs, sent in time', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 120 }), { minLength: 1, maxLength: 12 }), (short) => {
        const { orders } = supplyLine({ ...asked, demand: short, short }, TODAY);
        let left = 0;
        const lots: { week: number; amount: number }[] = [];
        short.forEach((needed, week) => {
          for (const lot of lots) lot.amount *= 0.95;
          const came = orders.find((order) => order.neededOn === addDays(TODAY, 7 * week));
          if (came) lots.push({ week, amount: came.amount });
          // The oldest go first; what is past its shelf life serves nobody.
          left = needed;
          for (const lot of lots.filter((each) => week - each.week < 3)) {
            const taken = Math.min(lot.amount, left);
            lot.amount -= taken;
            left -= taken;
          }
          expect(left).toBeLessThanOrEqual(1e-6 * Math.max(1, needed) + 1e-4);
        });
        for (const order of orders) {
          expect(order.amount).toBe(order.packs * 50);
          expect(order.isLate).toBe(addDays(order.neededOn, -3) < TODAY);
          expect(order.orderBy >= TODAY).toBe(true);
        }
      }),
    );
  });

  it('use what a pack has over once, and not again', () => {
    const short = [10, 10, 10, 10, 10, 10];
    const kept = { ...asked, weeklyLossPct: 0, shelfLifeWeeks: 6, prices: [{ ...price, handling: 0, packSize: 25 }] };
    const { orders } = supplyLine({ ...kept, demand: short, short }, TODAY);
    // Sixty are needed: three packs of 25, and no fewer.
    expect(sum(orders.map((order) => order.packs))).toBe(3);
  });

  it('are sent as late as they may be, and are late only where that day has gone by', () => {
    const ordered = (leadDays: number, short: number[]) =>
      supplyLine({ ...asked, weeklyLossPct: 0, prices: [{ ...price, leadDays }], demand: short, short }, TODAY)
        .orders[0];
    expect(ordered(7, [0, 50])).toMatchObject({ neededOn: addDays(TODAY, 7), orderBy: TODAY, isLate: false });
    expect(ordered(8, [0, 50])).toMatchObject({ neededOn: addDays(TODAY, 7), orderBy: TODAY, isLate: true });
    expect(ordered(6, [0, 50])).toMatchObject({ orderBy: addDays(TODAY, 1), isLate: false });
    expect(ordered(0, [50])).toMatchObject({ neededOn: TODAY, orderBy: TODAY, isLate: false, packs: 1, cost: 6 });
    expect(ordered(0, [51])).toMatchObject({ packs: 2, amount: 100, cost: 10 });
  });

  it('serve for as many weeks as they keep, that in which they come included', () => {
    const short = [5, 5, 5];
    const kept = (shelfLifeWeeks: number) =>
      supplyLine({ ...asked, weeklyLossPct: 0, shelfLifeWeeks, demand: short, short }, TODAY).orders.map(
        ({ neededOn }) => daysBetween(TODAY, neededOn),
      );
    expect(kept(3)).toEqual([0]);
    expect(kept(2)).toEqual([0, 14]);
    expect(kept(1)).toEqual([0, 7, 14]);
  });

  it('make good what dies until it is used', () => {
    // Of a pack of 50 ten are left over, and a tenth of those dies in a week: nine serve then.
    const packs = (short: number[]) =>
      sum(supplyLine({ ...asked, weeklyLossPct: 10, demand: short, short }, TODAY).orders.map((order) => order.packs));
    expect(packs([40, 9])).toBe(1);
    expect(packs([40, 10])).toBe(2);
  });

  it('are none for what nobody sells, and none where stock and cultures do', () => {
    expect(supplyLine({ ...asked, prices: [], demand: [5], short: [5] }, TODAY)).toMatchObject({
      isSold: false,
      orders: [],
    });
    expect(supplyLine({ ...asked, demand: [5, 5], short: [0, 0] }, TODAY).orders).toEqual([]);
  });

  it('reckon with what grows on: a pack of one size serves the next later', () => {
    const demand = CRICKET.classes.map((_, index) =>
      index === 3 ? [40, 0, 0, 0] : index === 4 ? [0, 0, 60, 60] : [0, 0, 0, 0],
    );
    const none = CRICKET.classes.map(() => 0);
    const prices = new Map(CRICKET.classes.map(({ id }) => [id, [{ ...price, item: id, packSize: 400 }]]));
    const lines = feederSupply(CRICKET, none, demand, none, prices, TODAY);
    expect(lines[3]?.orders).toHaveLength(1);
    const without = feederShortfall(CRICKET, none, demand, none);
    expect(without[4]).toEqual([0, 0, 60, 60]);
    expect(lines[4]?.short[2]).toBe(0);
    expect(sum(lines[4]?.short ?? [])).toBeLessThan(60);
  });

  it('use up food while it is good, and no longer', () => {
    const lot = (days: number, amount: number) => ({ goodUntil: addDays(TODAY, days), amount });
    expect(foodShortfall([10, 10, 10], [lot(90, 25)], TODAY)).toEqual([0, 0, 5]);
    expect(foodShortfall([10, 10, 10], [lot(5, 25)], TODAY)).toEqual([0, 10, 10]);
    // What goes off first is used first, whatever came first.
    expect(foodShortfall([10, 10, 10], [lot(90, 12), lot(6, 8)], TODAY)).toEqual([0, 0, 10]);
  });
});

describe('food with a shelf life', () => {
  const bought = (daysAgo: number, count: number) => ({
    on: addDays(TODAY, -daysAgo),
    item: 'x',
    kind: 'in' as const,
    count,
  });
  it('is used in the order in which it came, and goes off', () => {
    const used = { on: addDays(TODAY, -1), item: 'x', kind: 'out' as const, count: 30 };
    expect(foodStock([bought(9, 100), bought(2, 50), used], 7, TODAY)).toEqual({
      fresh: [{ goodUntil: addDays(TODAY, 5), amount: 50 }],
      stale: 70,
    });
    const counted = { on: TODAY, item: 'x', kind: 'counted' as const, count: 40 };
    expect(foodStock([bought(9, 100), bought(2, 50), used, counted], 7, TODAY)).toEqual({
      fresh: [{ goodUntil: addDays(TODAY, 5), amount: 40 }],
      stale: 0,
    });
    expect(foodStock([counted], 7, TODAY).fresh).toEqual([{ goodUntil: addDays(TODAY, 7), amount: 40 }]);
  });
});

describe('feeding history', () => {
  it('counts week by week, and says what was gained of what was taken', () => {
    const meal = (daysAgo: number, massG: number, kind: 'eaten' | 'refused' | null) => ({
      on: addDays(TODAY, -daysAgo),
      dishes: [{ food: 'field-cricket-large', count: 2, lengthMm: 20, massG }],
      outcome: kind && { kind, on: addDays(TODAY, 1 - daysAgo) },
    });
    const weighing = (daysAgo: number, massG: number) => ({ on: addDays(TODAY, -daysAgo), massG, usualG: 10 });
    const history = feedingHistory(
      [meal(100, 9, 'eaten'), meal(13, 1, 'eaten'), meal(8, 1, 'refused'), meal(6, 2, 'eaten'), meal(0, 1, null)],
      [weighing(20, 9), weighing(1, 10.5)],
      { since: TODAY, today: TODAY, weeks: 2 },
    );
    expect(history.weeks.map(({ offered, taken, refused, takenG }) => [offered, taken, refused, takenG])).toEqual([
      [2, 1, 1, 1],
      [2, 1, 0, 2],
    ]);
    expect(history.gainedG).toBeCloseTo(1.5, 9);
    expect(history.convertedPct).toBeCloseTo(50, 9);
    expect(history.weighings[1]?.condition).toBeCloseTo(1.05, 9);
  });
});
