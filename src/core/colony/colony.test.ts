import fc from 'fast-check';
import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import { shippedPopulations } from '@/contract/shipped';
import { refusalOf } from '@/core/testing/refusalOf';
import { usualStages } from './brood';
import { safeHarvest } from './culture';
import { paceAt, type PopulationKind } from './kind';
import { projectMatrix } from './matrix';
import { CROWDED_PCT } from './fullness';
import { projectColony, usualCourse, type ColonyQuestion } from './project';

const kindOf = (profile: string) =>
  shippedPopulations.find((each) => each.profiles.includes(profile)) as PopulationKind;
const ANT = kindOf('ant-small-temperate');
const SPRINGTAIL = kindOf('springtail');
const sum = (list: readonly number[]) => list.reduce((total, each) => total + each, 0);
const fact = (value: number) => ({ value, basis: 'from memory' as const });

describe('a stage matrix', () => {
  // Crouse, Crowder and Caswell (1987), Ecology 68, 1412-1423: loggerhead turtles, table 4; lambda 0.945.
  const LOGGERHEAD = [
    [0, 0, 0, 0, 127, 4, 80],
    [0.6747, 0.737, 0, 0, 0, 0, 0],
    [0, 0.0486, 0.661, 0, 0, 0, 0],
    [0, 0, 0.0147, 0.6907, 0, 0, 0],
    [0, 0, 0, 0.0518, 0, 0, 0],
    [0, 0, 0, 0, 0.8091, 0, 0],
    [0, 0, 0, 0, 0, 0.8091, 0.8089],
  ];
  it('of loggerhead turtles shrinks by 0.945 a year, in the shares of the paper', () => {
    const { lambda, stableStage } = projectMatrix(LOGGERHEAD, [1, 1, 1, 1, 1, 1, 1], 3);
    expect(lambda).toBeCloseTo(0.945, 3);
    // Percent: 20.65, 66.975, 11.46, 0.66, 0.04, 0.03, 0.18 (their table 5).
    [20.65, 66.975, 11.46, 0.66, 0.04, 0.03, 0.18].forEach((percent, stage) => {
      expect(Math.abs(100 * (stableStage[stage] ?? 0) - percent)).toBeLessThan(0.15);
    });
  });

  it('grows as the largest eigenvalue by ml-matrix says, also where one age alone breeds', () => {
    const entry = fc.double({ min: 0, max: 1, noNaN: true });
    const leslie = fc
      .record({
        births: fc.array(fc.double({ min: 0, max: 5, noNaN: true }), { minLength: 4, maxLength: 4 }),
        lives: fc.array(entry, { minLength: 3, maxLength: 3 }),
      })
      .filter(({ births, lives }) => (births[3] ?? 0) > 0.2 && lives.every((each) => each > 0.1))
      .map(({ births, lives }) => [
        births,
        ...lives.map((each, age) => births.map((_, column) => (column === age ? each : 0))),
      ]);
    fc.assert(
      fc.property(leslie, (matrix) => {
        const { realEigenvalues, imaginaryEigenvalues } = new EigenvalueDecomposition(new Matrix(matrix));
        const largest = Math.max(
          ...realEigenvalues.map((real, index) => Math.hypot(real, imaginaryEigenvalues[index] ?? 0)),
        );
        expect(projectMatrix(matrix, [1, 1, 1, 1], 0).lambda).toBeCloseTo(largest, 5);
      }),
    );
    const once = [
      [0, 0, 8],
      [0.5, 0, 0],
      [0, 0.5, 0],
    ];
    expect(projectMatrix(once, [1, 0, 0], 0).lambda).toBeCloseTo(2 ** (1 / 3), 6);
  });

  it('that is not square is refused by its row', () => {
    expect(refusalOf(() => projectMatrix([[1, 2], [3]], [1, 1], 1)).fields[0]?.path).toBe('matrix.1');
    expect(refusalOf(() => projectMatrix([[1]], [1, 1], 1)).fields[0]?.path).toBe('matrix');
  });
});

describe('a culture', () => {
  const at = (profile: string, counts: ColonyQuestion['counts'], change: Partial<ColonyQuestion> = {}) =>
    usualCourse({
      kind: kindOf(profile),
      counts,
      temperatureC: kindOf(profile).warmth.referenceC.value,
      weeks: 4,
      ...change,
    });

  // ISO 11267: of ten springtails, 28 days at 20 C, at least a hundred young in the controls.
  it('of ten springtails has at least a hundred young in 28 days at 20 C', () => {
    const { grown, total } = at('springtail', { adult: 10 }, { temperatureC: 20 });
    expect((total[4] ?? 0) - (grown[4] ?? 0)).toBeGreaterThanOrEqual(100);
  });

  // Common practice, no source: five grown isopods of a fast kind have dozens of young a month.
  it('of five isopods has dozens of young in a month', () => {
    const { grown, total } = at('isopod-temperate', { adult: 5 });
    const young = (total[4] ?? 0) - (grown[4] ?? 0);
    expect(young).toBeGreaterThanOrEqual(24);
    expect(young).toBeLessThanOrEqual(120);
  });

  // Common practice, no source: communal nymphs are grown in about 8 months at 25 C, and in a year at room temperature.
  it.each([
    [25, 8],
    [21, 12],
  ])('of nymphs of assassin bugs is grown at %d C in about %d months', (temperatureC, months) => {
    const kind = kindOf('communal-assassin-bug');
    const nymph = kind.young.find((stage) => stage.id === 'nymph');
    const usual = (nymph?.days.value ?? 0) / paceAt(kind, temperatureC) / 30.4;
    expect(Math.abs(usual - months)).toBeLessThan(1);
    // A batch that is spread over its time: half of it is grown before the last are.
    const { grown } = at('communal-assassin-bug', { nymph: 40 }, { temperatureC, weeks: Math.round(months * 4.35) });
    expect(grown.findIndex((each) => each >= 10)).toBeLessThan(months * 4.35);
  });

  // With no young stage births are grown at once: N' = N + N (b (1 - N/K) - d) - h, a logistic law with harvest.
  it('without young follows the logistic law with harvest to its closed form', () => {
    const [birth, life, room, harvest] = [0.3, 70, 1000, 25];
    const logistic: PopulationKind = {
      ...SPRINGTAIL,
      young: [],
      adultLifeDays: fact(life),
      laying: { by: 'female', perWeek: fact(birth), femaleShare: fact(1) },
      // All courses are the usual one.
      spread: fact(0),
      warmth: { referenceC: fact(20), baseC: fact(6), optimumC: fact(26), restBelowC: fact(6) },
    };
    const death = 7 / life;
    const rate = birth - death;
    const carried = (room * rate) / birth;
    const question = { kind: logistic, counts: { adult: carried }, temperatureC: 20, roomForHeads: room };
    const { grown } = usualCourse({ ...question, weeks: 600, harvestPerWeek: harvest });
    const closed = (carried / 2) * (1 + Math.sqrt(1 - (4 * harvest) / (rate * carried)));
    expect(grown[600]).toBeCloseTo(closed, 3);
    // The largest harvest that lasts is a quarter of rate times what it carries.
    const most = safeHarvest(question).perWeek;
    expect(most / ((rate * carried) / 4)).toBeGreaterThan(0.95);
    expect(most / ((rate * carried) / 4)).toBeLessThan(1.1);
    // Where they differ the harvest under which 19 of 20 stay safe is smaller, and some harvest is borne.
    const spread = safeHarvest({ ...question, kind: { ...logistic, spread: fact(0.15) } }).perWeek;
    expect(spread).toBeLessThan(0.95 * most);
    expect(spread).toBeGreaterThan(0.2 * most);
  });

  it('never has more heads than room, and of a fast kind bears a harvest in any room', () => {
    const kinds = shippedPopulations.filter((each) => each.laying.by === 'female');
    fc.assert(
      fc.property(fc.constantFrom(...kinds), fc.integer({ min: 20, max: 5000 }), (kind, room) => {
        const question = { kind, counts: { adult: room / 2 }, temperatureC: kind.warmth.referenceC.value };
        const { total } = usualCourse({ ...question, weeks: 120, roomForHeads: room });
        expect(Math.max(...total)).toBeLessThanOrEqual(room * (1 + 1e-9));
        if (sum(kind.young.map(({ days }) => days.value)) > 120) return;
        const { perWeek, keepBack } = safeHarvest({ ...question, roomForHeads: room });
        // In a room for few what is to be kept is all there is.
        if (room > 12 * keepBack) expect(perWeek).toBeGreaterThan(0.005 * room);
      }),
      { numRuns: 30 },
    );
  });

  it('is crowded once four fifths of its room are taken', () => {
    const question = { kind: SPRINGTAIL, counts: { adult: 50 }, temperatureC: 20, weeks: 60, draws: 100 };
    const { crowdedWeek, series } = projectColony({ ...question, roomForHeads: 3000 });
    expect(crowdedWeek).not.toBeNull();
    expect(series[crowdedWeek ?? 0]?.total.median).toBeGreaterThan((CROWDED_PCT / 100) * 3000);
    expect(series[(crowdedWeek ?? 1) - 1]?.total.median).toBeLessThanOrEqual((CROWDED_PCT / 100) * 3000);
    expect(projectColony(question).crowdedWeek).toBeNull();
  });
});

describe('an ant colony', () => {
  const founding = (profile: string, temperatureC: number) =>
    projectColony({ kind: kindOf(profile), counts: { egg: 8 }, queens: 1, temperatureC, weeks: 20, draws: 200 });

  // Common practice, no source: egg to worker 40-60 days at 23-25 C in small kinds, 3-4 weeks at 25-26 C in large ones.
  it.each([
    ['ant-small-temperate', 24, 40, 60],
    ['ant-large-mediterranean', 25.5, 21, 28],
  ])('of %s at %d C has its first workers after %d to %d days', (profile, temperatureC, from, to) => {
    const kind = kindOf(profile);
    const days = sum(kind.young.map((stage) => stage.days.value)) / paceAt(kind, temperatureC);
    expect(days).toBeGreaterThanOrEqual(from);
    expect(days).toBeLessThanOrEqual(to);
    const week = founding(profile, temperatureC).series.find(({ stages }) => (stages.worker?.median ?? 0) >= 1)?.week;
    // The first of a batch is somewhat ahead of its mean.
    expect(7 * (week ?? 0)).toBeGreaterThan(from * 0.6);
    expect(7 * (week ?? 0)).toBeLessThan(to * 1.2);
  });

  // Common practice, no source: small temperate colonies come to 4,000 to 10,000 workers, large ones slowly toward 10,000.
  it.each([
    ['ant-small-temperate', 24, 4000, 10_000],
    ['ant-large-mediterranean', 25.5, 6000, 12_000],
  ])('of %s at %d C comes in years to %d to %d workers, and is small for a long time', (profile, celsius, from, to) => {
    const question = { kind: kindOf(profile), counts: { worker: 20 }, queens: 1, temperatureC: celsius };
    const { grown } = usualCourse({ ...question, weeks: 52 * 20 });
    expect(grown.at(-1)).toBeGreaterThan(from);
    expect(grown.at(-1)).toBeLessThan(to);
    expect((grown[52] ?? 0) / (grown.at(-1) ?? 1)).toBeLessThan(0.25);
  });

  it('never lays in rest, and goes on when it is warm again', () => {
    const temperatures = [...Array(10).fill(7), ...Array(20).fill(24)] as number[];
    const { series } = projectColony({
      kind: ANT,
      counts: { worker: 200 },
      queens: 1,
      temperatureC: temperatures,
      weeks: 30,
      draws: 50,
    });
    expect(series.slice(0, 10).every((week) => week.isResting)).toBe(true);
    expect(series[10]?.stages.egg?.p90).toBe(0);
    expect(series[12]?.stages.egg?.p10).toBeGreaterThan(0);
    expect(series[10]?.stages.worker?.median).toBeGreaterThan(190);
  });

  it('is faster where it is warmer, below its optimum, and has wide bands that hold the middle', () => {
    fc.assert(
      fc.property(fc.double({ min: 14, max: 26, noNaN: true }), (temperatureC) => {
        const grown = (each: number) =>
          usualCourse({ kind: ANT, counts: { worker: 30 }, queens: 1, temperatureC: each, weeks: 40 }).grown[40] ?? 0;
        expect(grown(temperatureC + 1)).toBeGreaterThanOrEqual(grown(temperatureC));
      }),
      { numRuns: 30 },
    );
    const { series } = projectColony({ kind: ANT, counts: { worker: 50 }, queens: 1, temperatureC: 24, weeks: 52 });
    const last = series.at(-1)?.total;
    expect(last?.p10).toBeLessThan(last?.median ?? 0);
    expect(last?.p90).toBeGreaterThan(last?.median ?? 0);
  });

  it('loses a head only by death or harvest: without either none is lost, whatever stage it is in', () => {
    fc.assert(
      fc.property(fc.constantFrom(...shippedPopulations), fc.integer({ min: 1, max: 500 }), (kind, count) => {
        const immortal: PopulationKind = {
          ...kind,
          young: kind.young.map((stage) => ({ ...stage, weeklyDeathPct: fact(0) })),
          adultLifeDays: fact(1e12),
          ...(kind.firstLifeDays && { firstLifeDays: fact(1e12) }),
          laying:
            kind.laying.by === 'queen'
              ? { ...kind.laying, perWeek: fact(0), founding: fact(0) }
              : { ...kind.laying, perWeek: fact(0) },
        };
        const [first] = kind.young;
        const counts = { [first?.id ?? kind.adults]: count };
        const { total } = usualCourse({
          kind: immortal,
          counts,
          queens: kind.laying.by === 'queen' ? 1 : 0,
          temperatureC: kind.warmth.referenceC.value,
          weeks: 150,
        });
        for (const each of total) expect(each / count).toBeCloseTo(1, 6);
      }),
    );
  });

  it('that nobody counted by stages stands as its kind usually does, within its room', () => {
    const of = (kind: PopulationKind, heads: number, room: number | null) =>
      usualStages(kind, heads, 1, kind.warmth.referenceC.value, room);
    const total = (stages: Record<string, number>) => sum(Object.values(stages));
    const isopods = kindOf('isopod-temperate');
    // Of a culture all heads were counted, the young among them; of ants the workers.
    expect(total(of(isopods, 500, null))).toBeCloseTo(500, 6);
    expect(of(ANT, 200, null).worker).toBe(200);
    expect(total(of(ANT, 200, 300))).toBeLessThanOrEqual(300);
    expect(of(isopods, 500, 400).juvenile).toBe(0);
    expect(of(isopods, 500, 600).juvenile).toBeGreaterThan(0);
  });

  it('refuses two queens in a kind that bears one, stages it does not have, and warmth for other weeks', () => {
    const question = { kind: ANT, counts: {}, queens: 1, temperatureC: 24, weeks: 4 };
    expect(refusalOf(() => projectColony({ ...question, queens: 2 })).fields[0]?.path).toBe('queens');
    expect(refusalOf(() => projectColony({ ...question, counts: { nymph: 3 } })).fields[0]?.path).toBe('counts.nymph');
    expect(refusalOf(() => projectColony({ ...question, temperatureC: [20, 21] })).fields[0]?.path).toBe(
      'temperatureC',
    );
  });
});
