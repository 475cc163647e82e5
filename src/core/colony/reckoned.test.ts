import { shippedPopulations } from '@/contract/shipped';
import { profileOf } from '@/contract/testing/profileOf';
import { addDays } from '@/core/measure/day';
import { refusalOf } from '@/core/testing/refusalOf';
import { inLines } from '@/core/testing/inLines';
import { usualStages, youngPerAdult } from './brood';
import { castesOf } from './castes';
import { countedInBand, countedInPart, countSpread } from './counting';
import { safeHarvest } from './culture';
import { countVerdict } from './expected';
import { foundingState } from './founding';
import { paceAt, requireCounts, stagesOf, type PopulationKind } from './kind';
import { projectMatrix } from './matrix';
import { movingPlan, nestAdvice } from './nestSteps';
import { projectColony, usualCourse, type ColonyQuestion } from './project';
import { tubsFor } from './tubs';

/* Answers as they were when they were last looked over: what they should be like is said in the tests beside. */
const TODAY = '2026-05-01';
const kindOf = (profile: string) =>
  shippedPopulations.find((each) => each.profiles.includes(profile)) as PopulationKind;
const [SMALL, LARGE, ISOPODS, BUGS] = [
  ...['ant-small-temperate', 'ant-large-mediterranean', 'isopod-temperate', 'communal-assassin-bug'].map(kindOf),
] as [PopulationKind, PopulationKind, PopulationKind, PopulationKind];

describe('a population, as it was reckoned', () => {
  const winter = Array.from({ length: 30 }, (_, week) => (week < 8 || week > 22 ? 23 : 7));
  it.each<[string, ColonyQuestion]>([
    ['a queen alone', { kind: SMALL, counts: {}, queens: 1, temperatureC: 24, weeks: 20 }],
    [
      'ants over a winter',
      {
        kind: LARGE,
        counts: { worker: 60, egg: 20, larva: 30 },
        queens: 1,
        temperatureC: winter,
        weeks: 30,
        countSpread: 0.2,
      },
    ],
    [
      'isopods that are harvested',
      {
        kind: ISOPODS,
        counts: { adult: 60, juvenile: 90 },
        temperatureC: 24,
        weeks: 30,
        harvestPerWeek: 3,
        roomForHeads: 400,
      },
    ],
    [
      'bugs with little room',
      { kind: BUGS, counts: { adult: 12, nymph: 30 }, temperatureC: 25, weeks: 40, roomForHeads: 60, draws: 120 },
    ],
  ])('%s', (_, question) => {
    const { series, ...rest } = projectColony({ draws: 60, ...question });
    expect(inLines({ ...rest, series: series.filter(({ week }) => week % 10 === 0) })).toMatchSnapshot();
    const { grown, total, last } = usualCourse(question);
    expect(inLines({ last, grown: grown.slice(-3), total: total.slice(-3) })).toMatchSnapshot();
  });

  it('has so many of each stage, lives so fast, and bears such a harvest', () => {
    const kinds = [SMALL, LARGE, ISOPODS, BUGS];
    const warmths = [5, 15, 21, 25, 33];
    expect(inLines(kinds.map((kind) => warmths.map((at) => paceAt(kind, at))))).toMatchSnapshot();
    expect(inLines(kinds.map((kind) => [youngPerAdult(kind), stagesOf(kind)]))).toMatchSnapshot();
    const usual = kinds.flatMap((kind) =>
      [8, 24].flatMap((at) => [null, 300].map((room) => usualStages(kind, 80, 1, at, room))),
    );
    expect(inLines(usual)).toMatchSnapshot();
    const stand = { kind: ISOPODS, counts: { adult: 120, juvenile: 200 }, temperatureC: 24, roomForHeads: 500 };
    expect(inLines([24, 21, 10].map((temperatureC) => safeHarvest({ ...stand, temperatureC })))).toMatchSnapshot();
    const tubs = { kind: ISOPODS, needPerWeek: 20, litresPerTub: 6, temperatureC: 23, founders: 12 };
    expect(inLines([tubs, { ...tubs, founders: 60 }, { ...tubs, temperatureC: 9 }].map(tubsFor))).toMatchSnapshot();
  });

  it('refuses counts that its kind has not, and more queens than it bears', () => {
    const fieldsOf = (counts: Record<string, number>, queens = 0) =>
      refusalOf(() => requireCounts(SMALL, counts, queens, 'counts')).fields.map(({ path, message }) => [
        path,
        message,
      ]);
    expect([fieldsOf({ nymph: 3 }), fieldsOf({}, 99)]).toMatchSnapshot();
    const temperatureC = [20, 20];
    expect(
      refusalOf(() => projectColony({ kind: SMALL, counts: {}, temperatureC, weeks: 3 })).fields,
    ).toMatchSnapshot();
  });
});

describe('ants, as they were reckoned', () => {
  it('found', () => {
    const asked = { kind: LARGE, beganOn: addDays(TODAY, -40), seen: {}, temperatureC: 25, asOf: TODAY };
    const seen = { egg: addDays(TODAY, -30), larva: addDays(TODAY, -9), pupa: addDays(TODAY, 3) };
    const all = [
      asked,
      { ...asked, seen },
      { ...asked, temperatureC: 19 },
      { ...asked, beganOn: addDays(TODAY, -400) },
    ];
    expect(all.map(foundingState)).toMatchSnapshot();
  });

  it('are built', () => {
    expect([0, 1, 40, 900, 9000].map((workers) => castesOf(LARGE.castes ?? [], workers))).toMatchSnapshot();
  });

  it('fill a nest, and move into the next', () => {
    const leafcutter = profileOf('ant-leafcutter');
    const large = profileOf('ant-large-mediterranean');
    const nests = [
      { profile: large, workers: 10, ahead: 30, volumeMl: 400 },
      { profile: large, workers: 120, ahead: 300, volumeMl: 500 },
      { profile: large, workers: 250, ahead: 900, volumeMl: 500 },
      { profile: large, workers: 330, ahead: 340, volumeMl: 500 },
      { profile: leafcutter, workers: 900, ahead: 30_000, volumeMl: 300 },
      { profile: large, workers: 5, ahead: 5, volumeMl: 0 },
    ];
    expect(inLines(nests.map(nestAdvice))).toMatchSnapshot();
    expect(
      refusalOf(() => nestAdvice({ ...nests[0], profile: profileOf('mantis') } as (typeof nests)[0])).fields,
    ).toMatchSnapshot();
    expect([leafcutter, large].map((profile) => movingPlan(TODAY, profile))).toMatchSnapshot();
  });

  it('are counted, and the count is held against what was expected', () => {
    expect(
      inLines(
        [
          [30, 40],
          [1, 5],
          [12, 100],
        ].map(([count, share]) => countedInPart(count ?? 0, share ?? 0)),
      ),
    ).toMatchSnapshot();
    expect(
      inLines([countedInBand(100, 250), countSpread(100, 250), countSpread(0, 9), countSpread(9, 9)]),
    ).toMatchSnapshot();
    const band = { p10: 100, median: 150, p90: 220 };
    const counts = [30, 45, 50, 85, 99, 100, 220, 221];
    expect([0, 20, 300].map((removed) => counts.map((each) => countVerdict(each, band, removed)))).toMatchSnapshot();
  });
});

describe('a stage matrix, as it was reckoned', () => {
  it('with its shares, its growth and its course', () => {
    const matrix = [
      [0, 1.2, 2.4],
      [0.5, 0.1, 0],
      [0, 0.4, 0.6],
    ];
    expect(inLines(projectMatrix(matrix, [10, 4, 1], 5))).toMatchSnapshot();
    expect(
      inLines(
        projectMatrix(
          [
            [0, 4],
            [0.5, 0],
          ],
          [3, 1],
          3,
        ),
      ),
    ).toMatchSnapshot();
    expect(refusalOf(() => projectMatrix([[1]], [1, 2], 1)).fields).toMatchSnapshot();
    expect(refusalOf(() => projectMatrix([[1, 0], [1]], [1, 2], 1)).fields).toMatchSnapshot();
  });
});
