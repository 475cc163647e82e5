import { shippedProfiles } from '@/contract/shipped';
import { profileOf } from '@/contract/testing/profileOf';
import { addDays } from '@/core/measure/day';
import type { MoultSign } from '@/core/profiles/profile';
import { refusalOf } from '@/core/testing/refusalOf';
import { inLines } from '@/core/testing/inLines';
import { censusOf, groupCourse, typicalMoults, type GroupEntry } from './census';
import { degreeDays, degreeDaysOf } from './degreeDays';
import { sharePct, draw, weighted } from './draws';
import { evenAt, evenSteps, clipChance } from '@/core/numerics/evenDraws';
import { forgivingForecast, moultForecast, type MoultQuestion } from './forecast';
import { areSiblings, kinOf, type Kin } from './kin';
import { logNormalWithin, normalBelow, normalQuantile } from '@/core/numerics/normal';
import { outgrownAtMm } from './outgrown';
import { learnPace, usualIntervalDays } from './pace';
import { premoultChance, SIGN_TIMES } from './premoult';
import { numbersOf } from '@/core/numerics/quantiles';
import { quietDaysAfterMoult } from './quietDays';
import { resample } from '@/core/numerics/resample';
import { moultDayProblem, requireGrowth } from './historyChecks';
import { dyarRatio, learnGrowth } from './sizes';
import { kaplanMeier } from './survival';

/* Answers as they were when they were last looked over: what they should be like is said in the tests beside. */
const TODAY = '2026-03-14';
const ago = (days: number) => addDays(TODAY, -days);
const profile = profileOf('ground-tarantula');
const moults = [300, 190, 95].map((days, index) => ({ on: ago(days), sizeMm: 30 * 1.24 ** index }));
const asked = (change: Partial<MoultQuestion>): MoultQuestion => ({
  ...{ profile, stage: 'juvenile', moults, asOf: TODAY },
  ...change,
});

describe('a forecast of moults, as it was reckoned', () => {
  const others = [[{ on: ago(400) }, { on: ago(250) }, { on: ago(90) }], [{ on: ago(30) }]];
  it.each<[string, Partial<MoultQuestion>]>([
    ['of one whose moults are known', { sizeMm: 46, outgrownMm: 60, instar: 7 }],
    ['of one of which nothing is known', { moults: [], stage: undefined }],
    ['of one by its birth and its siblings', { moults: [], bornOn: ago(80), siblings: others, sizeMm: 20 }],
    ['of one by its kind, in the cool', { moults: [{ on: ago(20) }], others, temperatureC: 19 }],
    [
      'of one that is overdue',
      { moults: [{ on: ago(500), sizeMm: 70 }], stage: 'subadult', ahead: 2, outgrownMm: 500 },
    ],
    ['of one with signs', { signs: ['dull', 'refused-food'], ahead: 1 }],
    ['of one without a stage', { stage: undefined, moults: [{ on: ago(60) }, { on: ago(20) }] }],
    ['of a grown one that moults no more', { profile: profileOf('mantis'), stage: 'adult', moults: [] }],
    ['of one as large as it gets', { sizeMm: 160, stage: 'adult', outgrownMm: null }],
  ])('%s', (_, change) => {
    expect(inLines(moultForecast(asked(change)))).toMatchSnapshot();
  });

  it('is refused for what cannot be, and forgiven where a log may err', () => {
    const wrong = [
      asked({ moults: [{ on: addDays(TODAY, 1) }, { on: ago(9) }, { on: ago(9) }] }),
      asked({ bornOn: ago(100) }),
      asked({
        moults: [
          { on: ago(50), sizeMm: 40 },
          { on: ago(10), sizeMm: 30 },
        ],
      }),
    ];
    expect(wrong.map((each) => refusalOf(() => moultForecast(each)).fields)).toMatchSnapshot();
    expect(wrong.map((each) => forgivingForecast(each).next?.median)).toMatchSnapshot();
  });

  it('stands on these intervals, ratios, quiet days and signs', () => {
    const of = shippedProfiles.map((each) => [
      each.id,
      each.stages.map((stage) => [
        usualIntervalDays(each, stage),
        usualIntervalDays(each, stage, 20),
        usualIntervalDays(each, stage, 8),
      ]),
      each.stages.map((stage) => [5, 160, 170].map((mm) => quietDaysAfterMoult(each, stage, mm))),
    ]);
    expect(inLines(of)).toMatchSnapshot();
    expect(
      inLines([learnGrowth(profile, []), learnGrowth(profile, [0.2, 0.24, 0.3]), dyarRatio([10, 12.4, 16, 20])]),
    ).toMatchSnapshot();
    const pace = [
      learnPace([], [], []),
      learnPace([0.2, 0.1], [], []),
      learnPace([], [[0.3], [0.1, 0.2]], []),
      learnPace([-0.2], [[0.1]], [[0.4, 0.2], []]),
    ];
    expect(inLines(pace)).toMatchSnapshot();
    const signs = Object.keys(SIGN_TIMES) as MoultSign[];
    expect(
      inLines(
        [0, 30, 90, 100].map((prior) =>
          [[], signs.slice(0, 1), signs.slice(0, 4), ['dull', 'dull'] as MoultSign[]].map((each) =>
            premoultChance(prior, each),
          ),
        ),
      ),
    ).toMatchSnapshot();
  });

  it('is drawn from these', () => {
    const drawn = draw(learnPace([0.1], [], []), learnGrowth(profile, []), 60, 40, 50, 150, 3);
    const few = ({ days, sizes }: typeof drawn) =>
      [days, sizes].map((list) => list.map((each) => [each[0], each[77], each[3999]]));
    expect(inLines([few(drawn), [5, 20, 200].map((days) => sharePct(drawn, days))])).toMatchSnapshot();
    expect(inLines(few(weighted(drawn, 20, 40, 80)))).toMatchSnapshot();
    const unborn = draw(learnPace([], [], []), learnGrowth(profile, []), 60, { watchedDays: 0 }, undefined, 150, 2);
    expect(inLines(few(unborn))).toMatchSnapshot();
    expect(
      inLines([evenSteps(3), [0, 1, 9].map((index) => evenAt(index, 0.37)), [-1, 0.5, 2].map(clipChance)]),
    ).toMatchSnapshot();
    expect(Array.from(resample(6, (index) => [0, 1, 5, 0, 2, 0][index] ?? 0))).toMatchSnapshot();
    const values = Float64Array.from({ length: 101 }, (_, index) => (index * 37) % 101);
    expect([numbersOf(values), numbersOf(Float64Array.of(3))]).toMatchSnapshot();
    const z = [-4, -1.5, -0.2, 0, 0.7, 2.5, 6];
    expect(
      inLines([
        z.map(normalBelow),
        [0.0001, 0.02, 0.3, 0.5, 0.8, 0.99].map(normalQuantile),
        logNormalWithin({ min: 10, max: 40 }),
      ]),
    ).toMatchSnapshot();
  });
});

describe('a group, as it was reckoned', () => {
  const entry = (kind: string, daysAgo: number, data: GroupEntry['data'] = {}): GroupEntry => ({
    ...{ kind, on: ago(daysAgo), at: `${ago(daysAgo)}T19:00:00.000Z`, data },
  });
  const log = [
    entry('measured', 20, { headCount: 14 }),
    entry('taken-in', 90, { headCount: 20, instar: 1 }),
    entry('moulted', 70, { count: 12, instar: 2 }),
    entry('moulted', 50, { count: 6, instar: 3 }),
    entry('died', 45, { count: 2, instar: 2 }),
    entry('died', 44, { count: 1 }),
    entry('passed-on', 40, { count: 3 }),
    entry('joined', 30, { count: 4, instar: 2 }),
    entry('noted', 29, { count: 400 }),
    entry('measured', 10, { instars: { 3: 5, 4: 9 } }),
    entry('measured', 5, { headCount: 17, instar: 4 }),
    entry('parted', 2, { count: 5 }),
  ];
  it('from its log', () => {
    const census = censusOf(log, TODAY);
    expect(inLines([census, typicalMoults(census, census.heads), groupCourse(log, TODAY)])).toMatchSnapshot();
    const hatched = [
      entry('taken-in', 200, { headCount: 60 }),
      entry('hatched', 60, { headCount: 40 }),
      entry('moulted', 30, { instar: 2, headCount: 30 }),
    ];
    expect(inLines(groupCourse(hatched, TODAY))).toMatchSnapshot();
    expect(censusOf([entry('died', 3, { count: 2 })], TODAY)).toMatchSnapshot();
    expect(
      refusalOf(() => censusOf([entry('taken-in', 9, { headCount: 3 }), entry('died', 3, { count: 4 })], TODAY)).fields,
    ).toMatchSnapshot();
    expect(inLines(kaplanMeier([5, 9, 9, 12, 30, 30], [true, false, true, true, false, false]))).toMatchSnapshot();
    expect(refusalOf(() => kaplanMeier([1, -2], [true, true])).fields).toMatchSnapshot();
    expect(refusalOf(() => kaplanMeier([1], [])).fields).toMatchSnapshot();
  });

  it('of kin', () => {
    const one = (id: string, change: Partial<Kin> = {}): Kin => ({
      ...{ id, scientificName: 'A b', motherId: null, outOfId: null, batch: null, ...change },
    });
    const all = [
      one('a', { batch: 'x' }),
      one('b', { batch: 'x' }),
      one('c', { motherId: 'm' }),
      one('d', { motherId: 'm' }),
      one('e', { outOfId: 'o' }),
      one('f', { outOfId: 'o', scientificName: 'C d' }),
      one('g'),
    ];
    expect(
      all
        .map((self) => kinOf(self, all))
        .map(({ siblings, others }) => [siblings.map(({ id }) => id), others.map(({ id }) => id)]),
    ).toMatchSnapshot();
    expect(all.map((self) => all.map((each) => areSiblings(self, each)))).toMatchSnapshot();
  });
});

describe('sizes and warmth, as they were reckoned', () => {
  it('are outgrown, degree by degree, and refused where they shrink', () => {
    const home = {
      container: {
        shape: 'box' as const,
        lengthMm: 170,
        widthMm: 130,
        heightMm: 100,
        lid: 'solid' as const,
        vents: [],
      },
      substrateDepthMm: 40,
    };
    const sizes = [20, 50, 64, 66, 200].map((legSpanMm) =>
      outgrownAtMm(profile, { stage: 'juvenile', legSpanMm }, home),
    );
    const sloped = outgrownAtMm(
      profile,
      { stage: 'juvenile', legSpanMm: 50 },
      { ...home, soil: { shape: 'slope', frontMm: 60, backMm: 20 } },
    );
    expect(inLines([sizes, sloped, outgrownAtMm(profile, { stage: 'juvenile' }, home)])).toMatchSnapshot();
    const series = [6, 12, 14, 33, 36, 20].map((temperatureC, index) => ({ hour: 5 * index, temperatureC }));
    const days = [
      [5, 9, 10, undefined],
      [5, 15, 10, undefined],
      [12, 24, 10, undefined],
      [12, 34, 10, 30],
      [31, 36, 10, 30],
      [5, 36, 10, 30],
    ] as const;
    expect(inLines(days.map((each) => degreeDays(each[0], each[1], each[2], each[3])))).toMatchSnapshot();
    expect(inLines(degreeDaysOf(series, 10, 30))).toMatchSnapshot();
    expect([
      moultDayProblem(ago(5), [ago(5)], undefined),
      moultDayProblem(ago(9), [], ago(8)),
      moultDayProblem(ago(8), [ago(1)], ago(8)),
    ]).toMatchSnapshot();
    const seen = [
      { on: ago(20), sizeMm: 40 },
      { on: ago(2), sizeMm: 60 },
    ];
    expect(refusalOf(() => requireGrowth(profile, seen, ago(10), 35.9)).fields).toMatchSnapshot();
    expect(refusalOf(() => requireGrowth(profile, seen, ago(10), 67)).fields).toMatchSnapshot();
    expect(() => requireGrowth(profile, seen, ago(10), 36)).not.toThrow();
    expect(() => requireGrowth(profile, seen, ago(10), 66)).not.toThrow();
  });
});
