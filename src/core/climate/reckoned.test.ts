import { materials, profileOf } from '@/contract/testing/profileOf';
import { shippedProfiles } from '@/contract/shipped';
import type { Container, Vent } from '@/core/housing/container';
import { flat, type Soil } from '@/core/housing/soil';
import { addDays } from '@/core/measure/day';
import { inLines } from '@/core/testing/inLines';
import { refusalOf } from '@/core/testing/refusalOf';
import { airFlow, type AirFlowQuestion } from './airFlow';
import { airOpenings } from './airOpenings';
import { calibrate, type Measured } from './calibrate';
import { dampedCourse, forecastMoisture, staleAir } from './forecast';
import { heatCautions } from './heat';
import { dampedFor, dishAreaCm2Of, keptWetness, questionOf, recipeIn, USUAL_ROOM, wishesOf } from './homeAir';
import { moistBox, type Filling } from './moistBox';
import { followMoisture, type MoistureCourse, type MoistureQuestion } from './moisture';
import * as air from './psychrometrics';
import { compareRegimes } from './regimes';
import { pouredMl } from './pouredMl';
import { wateringOutlook, type WaterFact } from './watering';

/* Answers as they were when they were last looked over: what they should be like is said in the tests beside. */
const TODAY = '2026-03-14';
const ago = (days: number) => addDays(TODAY, -days);

const hole = (side: Vent['side'], centreHeightMm: number, count = 4, diameterMm = 4): Vent => ({
  ...{ side, shape: 'hole', count, diameterMm, centreHeightMm },
});
const panel = (side: Vent['side'], more: Partial<Vent> = {}): Vent => ({
  ...{ side, shape: 'panel', count: 1, widthMm: 60, heightMm: 40, centreHeightMm: 90 },
  ...more,
});
type Box = Extract<Container, { shape: 'box' }>;
const tub = (vents: Vent[], more: Partial<Box> = {}): Container => ({
  ...{ shape: 'box', lengthMm: 280, widthMm: 200, heightMm: 120, lid: 'solid', vents },
  ...more,
});
const CROSS = [hole('left', 60), hole('right', 100)];
const MIX = [
  { material: 'coir' as const, parts: 3 },
  { material: 'leaf-litter' as const, parts: 1 },
];
const ROOM = { temperatureC: 21, relativeHumidityPct: 45, draughtMS: 0.1 };

interface Case extends Partial<Omit<MoistureQuestion, 'box'>> {
  container?: Container;
  soil?: Soil;
  filling?: Partial<Filling>;
  lidOff?: boolean;
}
const question = ({
  container = tub(CROSS),
  soil = flat(50),
  filling,
  lidOff,
  ...rest
}: Case = {}): MoistureQuestion => ({
  box: moistBox(container, { soil, recipe: MIX, dampSharePct: 50, ...filling }, materials, { lidOff }),
  ...{ wetness: { damp: 0.75, dry: 0.3 }, room: ROOM, warmingK: 0, days: 4, stepMinutes: 60, ...rest },
});
/** A course at its beginning, a while later, and at its end, with its sums. */
const short = (course: MoistureCourse) => {
  const at = (list: Float64Array) => [0, 1, 7, 26, list.length - 1].map((hour) => list[hour]);
  const { relativeHumidityPct, dampWetness, dryWetness, temperatureC, lostMl, ...sums } = course;
  return [...[relativeHumidityPct, dampWetness, dryWetness, temperatureC, lostMl].map(at), sums];
};

const CASES: [string, Case][] = [
  ['with holes at two heights', {}],
  ['that is warmed', { warmingK: 4 }],
  [
    'in a room that swings, begun in the evening',
    { room: { ...ROOM, dailySwingK: 4, relativeHumidityPct: 80 }, startHour: 18 },
  ],
  ['in still air', { room: { ...ROOM, draughtMS: 0 } }],
  ['in a draught', { room: { ...ROOM, draughtMS: 0.4 }, stepMinutes: 20 }],
  ['with its lid off', { lidOff: true }],
  ['without openings', { container: tub([]) }],
  ['of glass, with mesh in its lid', { container: tub([panel('lid', { meshApertureMm: 1 })], { walls: 'glass' }) }],
  ['that is round', { container: { shape: 'cylinder', diameterMm: 120, heightMm: 180, lid: 'mesh', vents: [] } }],
  ['with a dish and litter', { filling: { dishAreaCm2: 40, litterDepthMm: 20 } }],
  ['of bare plastic', { soil: flat(0), filling: { dishAreaCm2: 30 } }],
  ['nearly dry', { wetness: { damp: 0.06, dry: 0.02 }, days: 30 }],
  ['damp throughout', { filling: { dampSharePct: 100 }, wetness: { damp: 0.6, dry: 0.6 } }],
  ['that is misted', { misting: { belowPct: 90, waterMl: 15, hourOfDay: 19 }, startHour: 10 }],
  ['that sweats in a cool room', { warmingK: 8, room: { ...ROOM, temperatureC: 15, relativeHumidityPct: 85 } }],
  ['that is airier and slower than others', { factors: { draught: 3, surface: 0.5 } }],
  [
    'by a logger',
    {
      roomSeries: [
        { hour: 0, temperatureC: 20, relativeHumidityPct: 50 },
        { hour: 20, temperatureC: 26, relativeHumidityPct: 40 },
        { hour: 40, temperatureC: 18, relativeHumidityPct: 70 },
      ],
    },
  ],
];

describe('a box, as it was reckoned', () => {
  it.each(CASES)('%s', (_, each) => {
    const asked = question(each);
    const { course, ...rest } = forecastMoisture(asked, { humidityPct: { min: 60, max: 85 }, dampWetnessMin: 0.7 });
    const { ways, ...box } = asked.box;
    expect(inLines(box)).toMatchSnapshot('box');
    expect(inLines(ways)).toMatchSnapshot('ways');
    expect(inLines([...short(course), rest])).toMatchSnapshot('course');
  });

  it('that is damped whenever it wants it', () => {
    const follow = (each: Case, target: number, limit: number) => {
      const { dampings, condensationHours, layers: _, ...course } = dampedCourse(question(each), target, limit);
      return [
        dampings,
        condensationHours,
        ...Object.values(course).map((list) => [list.length, list[0], list[30], list.at(-1)]),
      ];
    };
    expect(inLines(follow({ days: 30, room: { ...ROOM, draughtMS: 0.4 }, startHour: 8 }, 0.75, 0.6))).toMatchSnapshot();
    expect(inLines(follow({ days: 12, wetness: { damp: 0.2, dry: 0.1 } }, 0.7, 0.5))).toMatchSnapshot();
    expect(inLines(follow({ days: 3, soil: flat(0) }, 0.7, 0.5))).toMatchSnapshot();
    expect(inLines(follow({ days: 6 }, 0.75, 0.749))).toMatchSnapshot();
  });

  it('without a wish, and with air that is stale, still or fresh', () => {
    const { course: _, ...rest } = forecastMoisture(question({ days: 20 }));
    expect(inLines(rest)).toMatchSnapshot();
    expect([
      staleAir(0.29, 50),
      staleAir(0.3, 50),
      staleAir(0.5, 97),
      staleAir(0.5, 97.1),
      staleAir(0.6, 98),
      staleAir(2, 50, 3),
    ]).toEqual([...['stale', 'fresh', 'fresh', 'still', 'fresh', 'stale']]);
  });
});

describe('openings and the air through them, as they were reckoned', () => {
  const flow = (container: Container, more: Partial<AirFlowQuestion> = {}) =>
    airFlow({ container, soil: flat(40), temperatureC: 22, warmingK: 0, draughtMS: 0.1, ...more });
  const containers: [string, Container, Partial<AirFlowQuestion>?][] = [
    ['two sides', tub(CROSS)],
    ['one side', tub([hole('front', 80, 9, 3)])],
    ['the lid alone, warmed', tub([hole('lid', 0, 16, 3)]), { warmingK: 5 }],
    ['lid and a side', tub([hole('lid', 0, 6, 6), hole('left', 50)]), { warmingK: 3, draughtMS: 0 }],
    ['openings under the soil', tub([hole('left', 20), hole('right', 100)])],
    [
      'mesh of known and of unknown weave',
      tub([panel('left', { meshApertureMm: 0.3 }), panel('right', { meshApertureMm: 1, meshOpenFraction: 0.3 })]),
    ],
    ['slots', tub([{ side: 'front', shape: 'slot', count: 3, widthMm: 40, heightMm: 2, centreHeightMm: 90 }])],
    ['a mesh lid', tub([], { lid: 'mesh' })],
    ['a lid with slits, and a wide tub', tub([], { lid: 'vented', topLengthMm: 320, topWidthMm: 240 })],
    ['no openings but the seam', tub([])],
    ['glass with doors', tub([panel('lid', { meshApertureMm: 1 })], { walls: 'glass', opens: 'front' })],
  ];
  it.each(containers)('%s', (_, container, more = {}) => {
    expect(inLines(flow(container, more))).toMatchSnapshot('flow');
    expect(inLines(airOpenings(container, 40, {}))).toMatchSnapshot('openings');
    const wide = airOpenings(container, 0, { seamGapMm: 0.4, wallThicknessMm: 5 });
    expect(inLines(wide.map(({ shapeM }) => shapeM))).toMatchSnapshot('wide seam');
  });

  it('of air by itself', () => {
    const temperatures = [-40, -5, 0, 12, 21, 35, 60];
    expect(
      inLines(
        temperatures.map((each) => [
          air.saturationVapourPressurePa(each),
          air.saturationDensityKgM3(each),
          air.vapourDiffusivityM2S(each),
          air.vapourDiffusivityM2S(each, 90_000),
          air.stillAirPermeability(each),
          air.vapourDensityKgM3(1200, each),
        ]),
      ),
    ).toMatchSnapshot();
    expect(inLines([60, 611, 1200, 2500, 6000].map((each) => air.dewPointC(each)))).toMatchSnapshot();
    expect(inLines([air.airState(21, 45), air.airState(-10, 80), air.airState(30, 100, 95_000)])).toMatchSnapshot();
    const wrong = [
      () => air.airState(61, 50),
      () => air.airState(-41, 50),
      () => air.airState(20, 101),
      () => air.airState(20, -1),
    ];
    expect(wrong.map((each) => messageOf(each))).toMatchSnapshot();
  });
});

/** What a wrong question is answered: a refusal names its fields, a range error its words. */
function messageOf(work: () => unknown): unknown {
  try {
    return refusalOf(work).fields;
  } catch (error) {
    return error instanceof Error ? error.message : error;
  }
}

describe('two schools, as they were reckoned', () => {
  it('misting against a dish', () => {
    const asked = (dishAreaCm2: number) =>
      question({ filling: { dishAreaCm2 }, wetness: { damp: 0.12, dry: 0.05 }, days: 9 });
    const both = compareRegimes(asked(80), asked(0), { humidityPct: { min: 65, max: 85 } }, 75, 20);
    expect(
      inLines(both.map(({ forecast: { course: _, ...forecast }, ...each }) => ({ ...each, forecast }))),
    ).toMatchSnapshot();
  });
});

describe('a box against its probe and its scale, as it was reckoned', () => {
  const asked = question({ filling: { litterDepthMm: 10 } });
  const measuredOf = (draught: number, surface: number, days: number, noise: number): Measured => {
    const course = followMoisture({ ...asked, days, factors: { draught, surface } });
    const off = (index: number) => noise * Math.sin(12.9 * index);
    return {
      humidity: Array.from({ length: 6 * days }, (_, index) => ({
        hour: 4 * index,
        relativeHumidityPct: (course.relativeHumidityPct[4 * index] ?? 0) + off(index),
      })),
      masses: Array.from({ length: days + 1 }, (_, index) => ({
        hour: 24 * index,
        massG: 2400 - (course.lostMl[24 * index] ?? 0) + off(index) / 3,
      })),
    };
  };
  it.each<[string, Measured]>([
    ['by both', measuredOf(2.5, 0.6, 5, 0)],
    ['by both, with errors', measuredOf(0.5, 1.6, 5, 1)],
    ['by its probe', { ...measuredOf(3, 1, 4, 0), masses: [] }],
    ['by its scale', { ...measuredOf(3, 1, 4, 0), humidity: [] }],
    ['that is as usual', measuredOf(1, 1, 3, 2)],
    ['by too few', { humidity: [{ hour: 0, relativeHumidityPct: 70 }], masses: [] }],
    [
      'by seven readings and two weighings',
      { humidity: measuredOf(1, 1, 3, 0).humidity.slice(0, 7), masses: measuredOf(1, 1, 3, 0).masses.slice(0, 2) },
    ],
    [
      'for too short',
      { humidity: Array.from({ length: 9 }, (_, hour) => ({ hour, relativeHumidityPct: 70 })), masses: [] },
    ],
  ])('%s', (_, measured) => {
    // A fit stops where it stops: its last digits are chance.
    const { factors, ...rest } = calibrate(asked, measured);
    const rounded = (value: number) => Math.round(1000 * value) / 1000;
    expect([rounded(factors.draught), rounded(factors.surface), rest.fitted, rest.kept]).toMatchSnapshot();
    const errors = [rest.humidityErrorPct, rest.massErrorG].map(
      (each) => each && [rounded(each.before), rounded(each.after)],
    );
    expect(errors).toMatchSnapshot();
  });
});

describe('watering, as it was reckoned', () => {
  const home = { container: tub(CROSS), substrateDepthMm: 50, litterDepthMm: 15 };
  const outlook = (profileId: string, facts: WaterFact[], dryAir?: Parameters<typeof wateringOutlook>[4]) => {
    const profile = profileOf(profileId);
    const asked = questionOf(profile, profile.stages.at(-1) ?? 'adult', home, USUAL_ROOM, MIX, materials, 1);
    return wateringOutlook(asked, wishesOf(profile), facts, TODAY, dryAir);
  };
  it('after what was damped, felt or weighed', () => {
    const damped = { kind: 'damped' as const, on: ago(9), shortMl: 0 };
    const answers = [
      outlook('isopod-temperate', [damped]),
      outlook('isopod-temperate', [{ ...damped, shortMl: 60 }]),
      outlook('isopod-temperate', [damped, { kind: 'felt', on: ago(2), wetness: 0.5 }]),
      outlook('isopod-temperate', [damped, { kind: 'felt', on: TODAY, wetness: 0.05 }]),
      outlook('isopod-temperate', [damped, { kind: 'weighed', on: ago(1), lostMl: 80 }]),
      outlook('isopod-temperate', [damped, { kind: 'weighed', on: ago(1), lostMl: 1e6 }]),
      outlook('isopod-temperate', [{ ...damped, on: ago(400) }]),
      outlook('isopod-temperate', []),
      outlook('isopod-temperate', [damped], { humidityPct: 40, minPct: 65, hours: 90 }),
      outlook('ground-tarantula', [damped]),
      outlook('millipede-tropical', [damped, { ...damped, on: ago(3), shortMl: 200 }]),
    ];
    expect(inLines(answers)).toMatchSnapshot();
  });

  it('poured in round amounts', () => {
    expect([0.2, 1.4, 19.4, 19.6, 22, 23, 97.6, 101, 494, 506, 530].map(pouredMl)).toEqual([
      ...[1, 1, 19, 20, 20, 25, 100, 100, 490, 500, 550],
    ]);
  });

  it('by kind: how damp, what air, with which cautions about heat', () => {
    const heats = (['mat-on-side', 'mat-below', 'cable', 'lamp'] as const).map((source, index) => ({
      ...{ source, warmingK: 1 + 3 * index, hasThermostat: index % 2 === 0 },
    }));
    const of = shippedProfiles.map((profile) => [
      profile.id,
      profile.stages.map((stage) => keptWetness(profile, stage)),
      Object.values(wishesOf(profile)),
      heats.map((heat) => heatCautions(heat, profile, 21).map((each) => Object.values(each).join(' '))),
    ]);
    expect(inLines(of)).toMatchSnapshot();
    expect(
      inLines([heatCautions({ source: 'mat-below', warmingK: 2, hasThermostat: true }, undefined, 40)]),
    ).toMatchSnapshot();
  });

  it('of a dish, a mix, and whom a box is damped for', () => {
    const dish = (furniture: unknown[], dishAreaCm2?: number) =>
      dishAreaCm2Of({ ...home, furniture, dishAreaCm2 } as Parameters<typeof dishAreaCm2Of>[0]);
    expect(
      inLines([dish([]), dish([{ kind: 'dish' }]), dish([{ kind: 'dish', count: 3 }, { kind: 'hide' }]), dish([], 7)]),
    ).toMatchSnapshot();
    const mixes = [
      { id: 'a', recipe: [{ material: 'coir', parts: 1 }] },
      { id: 'b', recipe: [{ material: 'sand', parts: 2 }] },
    ] as unknown as Parameters<typeof recipeIn>[2];
    const profile = profileOf('ground-tarantula');
    expect(
      inLines([
        recipeIn({ mixId: 'b' }, profile, mixes),
        recipeIn({ mixId: 'none' }, profile, mixes),
        recipeIn({}, profile, []),
      ]),
    ).toMatchSnapshot();
    const care = { of: ({ profileId }: { profileId: string }) => profileOf(profileId) };
    const ids = (...names: string[]) => names.map((profileId, index) => ({ id: `${index}`, profileId }));
    const whose = (...names: string[]) => dampedFor(care as never, ids(...names) as never) ?? null;
    expect([
      whose('ground-tarantula', 'springtail'),
      whose('springtail', 'isopod-temperate'),
      whose('stick-insect', 'millipede-tropical'),
      whose('ground-tarantula'),
      whose(),
    ]).toMatchSnapshot();
  });
});
