import fc from 'fast-check';
import { Matrix } from 'ml-matrix';
import { MultinomialNB } from 'ml-naivebayes';
import { refusalOf } from '@/core/testing/refusalOf';
import { boxSigns, type BoxFacts } from './boxSigns';
import { diagnose } from './diagnose';
import type { Sign, TroubleTable } from './table';

const sign = (id: string, given: Record<string, number>, otherwise = 0.5): Sign => ({
  ...{ id, title: id, given, otherwise, basis: 'from memory' },
});
const table = (usual: Record<string, number>, signs: Sign[], box: Sign[] = []): TroubleTable => ({
  causes: Object.entries(usual).map(([id, weight]) => ({
    ...{ id, title: id, check: 'Look.', doNow: [], leaveAlone: [], basis: 'from memory' as const },
    usual: weight,
  })),
  ...{ signs, boxSigns: box, never: [] },
});

/*
 * The worked example of Mitchell, Machine Learning (1997), 6.9.1, from memory: of 14 days tennis was played on 9; on a
 * sunny, cool, humid, windy day 0.0053 stands against 0.0206, so that it is not played with 0.795.
 */
const tennis = table({ yes: 9, no: 5 }, [
  sign('sunny', { yes: 2 / 9, no: 3 / 5 }),
  sign('cool', { yes: 3 / 9, no: 1 / 5 }),
  sign('humid', { yes: 3 / 9, no: 4 / 5 }),
  sign('windy', { yes: 3 / 9, no: 3 / 5 }),
]);

describe('from signs to causes', () => {
  it('is the worked example of the textbook', () => {
    const { ranked, steps, causes } = diagnose(tennis, { yes: ['sunny', 'cool', 'humid', 'windy'], no: [] });
    expect(ranked[0]).toMatchObject({ id: 'no', pct: expect.closeTo(79.5, 1) });
    expect(ranked[0]?.usualPct).toBeCloseTo(100 * (5 / 14), 6);
    expect(causes).toEqual(['yes', 'no']);
    // By hand, after the first sign: 9 x 2/9 against 5 x 3/5, 2 to 3.
    expect(steps[0]?.afterPct.map(Math.round)).toEqual([40, 60]);
    expect(steps.at(-1)?.afterPct[1]).toBeCloseTo(ranked[0]?.pct ?? 0, 9);
  });

  const chance = fc.double({ min: 0.02, max: 0.98, noNaN: true });
  const rows = fc.array(fc.array(chance, { minLength: 5, maxLength: 5 }), { minLength: 3, maxLength: 3 });
  const answers = fc.array(fc.constantFrom('yes', 'no', 'open'), { minLength: 5, maxLength: 5 });
  const causes = ['a', 'b', 'c'];
  const made = (given: number[][], usual: number[]) =>
    table(
      Object.fromEntries(causes.map((id, index) => [id, usual[index] ?? 0])),
      [0, 1, 2, 3, 4].map((at) =>
        sign(`s${at}`, Object.fromEntries(causes.map((id, index) => [id, given[index]?.[at] ?? 0]))),
      ),
    );
  const observed = (list: readonly string[]) => ({
    yes: list.flatMap((each, at) => (each === 'yes' ? [`s${at}`] : [])),
    no: list.flatMap((each, at) => (each === 'no' ? [`s${at}`] : [])),
  });

  it('names the cause that ml-naivebayes names', () => {
    const usual = fc.array(fc.double({ min: 0.05, max: 1, noNaN: true }), { minLength: 3, maxLength: 3 });
    fc.assert(
      fc.property(rows, usual, answers, (given, weights, told) => {
        const { ranked } = diagnose(made(given, weights), observed(told));
        // Each sign is two features there: seen, and not seen.
        const model = new MultinomialNB({
          conditionalProbability: new Matrix(given.map((row) => row.flatMap((p) => [Math.log(p), Math.log(1 - p)]))),
          priorProbability: new Matrix(weights.map((weight) => [Math.log(weight)])),
        });
        const features = told.flatMap((each) => [each === 'yes' ? 1 : 0, each === 'no' ? 1 : 0]);
        const [best] = model.predict([features]);
        const second = ranked[1]?.pct ?? 0;
        if ((ranked[0]?.pct ?? 0) - second > 1e-6) expect(causes[best ?? -1]).toBe(ranked[0]?.id);
      }),
    );
  });

  it('adds up to one, whatever the order of the signs, and every look proposed settles something', () => {
    fc.assert(
      fc.property(rows, answers, (given, told) => {
        const of = made(given, [3, 2, 1]);
        const { ranked, next } = diagnose(of, observed(told));
        expect(ranked.reduce((sum, { pct }) => sum + pct, 0)).toBeCloseTo(100, 6);
        const { yes, no } = observed(told);
        const turned = diagnose(of, { yes: [...yes].reverse(), no: [...no].reverse() });
        for (const { id, pct } of turned.ranked) expect(ranked.find((each) => each.id === id)?.pct).toBeCloseTo(pct, 6);
        for (const { sign: id, gainBits, seenPct, ifYes } of next) {
          expect(told[Number(id.slice(1))]).toBe('open');
          expect(gainBits).toBeGreaterThan(0);
          expect(seenPct).toBeGreaterThanOrEqual(0);
          const after = diagnose(of, { yes: [...yes, id], no }).ranked[0];
          expect(after?.pct).toBeCloseTo(ifYes.pct, 6);
        }
      }),
    );
  });

  it('a sign likelier under a cause never speaks against it', () => {
    fc.assert(
      fc.property(rows, answers, (given, told) => {
        const { ranked, steps } = diagnose(made(given, [1, 1, 1]), observed(told));
        for (const step of steps) {
          const best = Math.max(...step.likelihood);
          if (step.likelihood.every((each) => each === best)) continue;
          const at = step.likelihood.indexOf(best);
          const before = steps[steps.indexOf(step) - 1]?.afterPct[at] ?? 100 / 3;
          expect(step.afterPct[at]).toBeGreaterThanOrEqual(before - 1e-9);
        }
        expect(ranked).toHaveLength(3);
      }),
    );
  });

  it('tells signs that leave no cause standing, and still ranks', () => {
    const of = table({ a: 1, b: 1 }, [
      sign('only-a', { a: 0.9, b: 0 }),
      sign('only-b', { a: 0, b: 0.5 }),
      sign('c', {}),
    ]);
    const { contradicting, ranked } = diagnose(of, { yes: ['only-a', 'only-b', 'c'], no: [] });
    expect(contradicting).toEqual(['only-a', 'only-b']);
    // By hand, with a thousandth for what cannot be: 0.9 x 0.001 against 0.001 x 0.5.
    expect(ranked[0]).toMatchObject({ id: 'a', pct: expect.closeTo(100 * (0.9 / 1.4), 6) });
    expect(diagnose(of, { yes: ['only-a'], no: [] }).contradicting).toEqual([]);
  });

  it('refuses signs that this kind does not have, and one both seen and not', () => {
    const fields = refusalOf(() => diagnose(tennis, { yes: ['sunny', 'snow'], no: ['sunny'] })).fields;
    expect(fields.map(({ path }) => path)).toEqual(['yes.1', 'yes.0']);
    expect(fields[0]?.message).toContain('sunny, cool, humid, windy');
  });
});

describe('the box’s own numbers', () => {
  const facts: BoxFacts = {
    humidityBand: { min: 60, max: 80, basis: 'from memory' },
    temperatureBand: { min: 20, max: 28, basis: 'from memory' },
    ...{ dampWetnessMin: 0.4, airChangesMin: 0.5, failing: [] },
  };
  const present = (more: Partial<BoxFacts>) =>
    boxSigns({ ...facts, ...more }).flatMap((each) => (each.present ? [each.id] : []));

  it('say only what is known', () => {
    expect(boxSigns(facts).map(({ id }) => id)).toEqual(['far-to-fall', 'too-many']);
    expect(boxSigns({ ...facts, humidityPct: 70 })[0]).toEqual({
      ...{ id: 'air-dry', present: false, actual: 70, limit: 60, unit: '%' },
    });
  });

  it('are held against the bands, the rhythm and the rules', () => {
    expect(present({ humidityPct: 55, temperatureC: 30, dampWetness: 0.3, airChangesPerHour: 0.2 })).toEqual([
      ...['air-dry', 'soil-dry', 'air-still', 'warm-now'],
    ]);
    expect(present({ daysSinceFood: 29, foodEveryDays: 14, daysSinceMoult: 3, quietDays: 10 })).toEqual([
      ...['food-long-ago', 'moulted-lately'],
    ]);
    expect(present({ daysSinceFood: 2, premoultPct: 70, daysSinceMove: 5, failing: ['gap', 'crowd'] })).toEqual([
      ...['fed-lately', 'moult-near', 'moved-lately', 'far-to-fall', 'too-many'],
    ]);
    expect(present({ ageYears: 1.1, lifeYears: { min: 1, max: 2 }, preyIn: true })).toEqual([
      'prey-in',
      'old-for-kind',
    ]);
  });
});
