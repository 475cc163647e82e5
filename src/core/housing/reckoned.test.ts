import { shippedBoxSizes, shippedProfiles } from '@/contract/shipped';
import { profileOf } from '@/contract/testing/profileOf';
import type { CareProfile } from '@/core/profiles/profile';
import { inLines } from '@/core/testing/inLines';
import { refusalOf } from '@/core/testing/refusalOf';
import { company } from './company';
import * as container from './container';
import type { Container } from './container';
import { depthBand, nearestWithin } from './depthBand';
import { drillPlan, ventsOf } from './drilling';
import { fit } from './fit';
import { furnitureCount, lowestPerchMm, openBottleCount, type Furniture } from './furniture';
import { boxesToBuy, sizeLadder } from './ladder';
import { apertureMm, climbableWallCount, openAreaMm2, openingsOf } from './openings';
import { planView } from './planView';
import type { HomeState } from './quantities';
import { rankHomes, soilToAddL } from './rank';
import { scaleBarMm, sectionPlan, type SectionSubject } from './section';
import { depthAtMm, depthsOf, fillVolumeL, meanDepthMm, withMeanDepth, type Soil } from './soil';

/* Answers as they were when they were last looked over: what they should be like is said in the tests beside. */
const hole = { shape: 'hole' as const, count: 4, diameterMm: 3 };
const BOX: Container = {
  ...{ shape: 'box', lengthMm: 310, widthMm: 240, heightMm: 296, lid: 'solid', opens: 'top', walls: 'plastic' },
  vents: [
    { side: 'left', centreHeightMm: 180, ...hole },
    { side: 'right', centreHeightMm: 60, ...hole },
    { side: 'lid', shape: 'panel', count: 1, widthMm: 60, heightMm: 40, meshApertureMm: 1.2 },
  ],
};
const JAR: Container = { shape: 'cylinder', diameterMm: 100, heightMm: 150, lid: 'vented', walls: 'glass', vents: [] };
const NET: Container = {
  ...{ shape: 'box', lengthMm: 300, widthMm: 400, heightMm: 500, lid: 'mesh', walls: 'mesh', opens: 'zip' },
  vents: [],
  coveredSides: ['back'],
};
const CUT: Container = {
  ...{ shape: 'box', lengthMm: 400, widthMm: 300, heightMm: 200, lid: 'solid', walls: 'glass-silicone' },
  vents: [
    { side: 'front', shape: 'panel', count: 1, widthMm: 300, heightMm: 80, meshOpenFraction: 0.5, centreHeightMm: 150 },
    { side: 'back', shape: 'slot', count: 3, widthMm: 40, heightMm: 4 },
  ],
};
const SLOPE: Soil = { shape: 'slope', frontMm: 110, backMm: 50 };
const TERRACES: Soil = { shape: 'terraces', depthsMm: [30, 60, 120] };
const FURNITURE: Furniture[] = [
  { kind: 'hide' },
  { kind: 'bark', count: 2, heightMm: 180 },
  { kind: 'perch', heightMm: 160, count: 2 },
  { kind: 'dish' },
  { kind: 'bottle' },
  { kind: 'roof-net' },
  { kind: 'slab', count: 3 },
];
const HOMES: Record<string, HomeState> = {
  box: { container: BOX, substrateDepthMm: 98, furniture: FURNITURE, litterDepthMm: 20 },
  sloped: { container: BOX, substrateDepthMm: 80, soil: SLOPE },
  terraced: { container: CUT, substrateDepthMm: 70, soil: TERRACES, furniture: [{ kind: 'branch', heightMm: 90 }] },
  jar: { container: JAR, substrateDepthMm: 30 },
  net: { container: NET, substrateDepthMm: 20, furniture: [] },
  nest: {
    ...{ container: BOX, substrateDepthMm: 0 },
    nest: {
      chambers: [{ lengthMm: 60, widthMm: 40, heightMm: 10 }],
      tubeBoreMm: 8,
      outworld: { lengthMm: 150, widthMm: 100, heightMm: 80 },
    },
  },
};
const animal = ({ stages, measure, growth }: CareProfile, share = 0.5) => ({
  ...{ stage: stages.at(-1) ?? 'adult', headCount: 8, [measure.takes]: growth.grownMm.value * share },
});

describe('a fit, as it was reckoned', () => {
  it.each(shippedProfiles.map((profile) => [profile.id, profile] as const))('of %s', (_, profile) => {
    const answers = Object.values(HOMES).map((home) => fit(profile, { ...animal(profile), ...home }));
    const told = answers.map(({ verdict, checks, notChecked, substrateDepthMm, largestSafeOpeningMm }) => [
      verdict,
      checks.map(({ rule, status, actual, min, max, title }) => [rule, status, actual, min, max, title].join(' ')),
      notChecked.map(({ needs }) => needs).join(' '),
      [substrateDepthMm, largestSafeOpeningMm],
    ]);
    expect(inLines(told)).toMatchSnapshot();
    const [first] = answers[0]?.checks ?? [];
    expect(inLines(first?.grounds)).toMatchSnapshot();
    const schools = profile.schools.filter(({ topic }) => topic === 'air' || topic === 'openings').map(({ id }) => id);
    const drilled = [undefined, ...schools].flatMap((school) =>
      [BOX, NET, CUT, { ...BOX, vents: [] }, { ...JAR, walls: 'acrylic' as const }].map((each) =>
        drillPlan(profile, each, 60, 4, school),
      ),
    );
    expect(inLines(drilled.map((plan) => Object.values(plan).join(' ')))).toMatchSnapshot();
    expect(inLines(drilled.slice(0, 4).map(ventsOf))).toMatchSnapshot();
  });

  it('in the order of a ranking, after moults, and of the ladder', () => {
    const candidates = Object.entries(HOMES).map(([id, home], index) => ({
      ...{ id, code: `B${index}`, ...home, temperatureC: 14 + 3 * index, headsOfKind: index, isHost: index === 4 },
    }));
    for (const id of ['ground-tarantula', 'isopod-temperate', 'mantis', 'springtail']) {
      const ranked = rankHomes(profileOf(id), animal(profileOf(id), 0.3), candidates);
      expect(inLines(ranked.map(({ fit: _fit, ...rest }) => rest))).toMatchSnapshot();
    }
    const ladders = ['ground-tarantula', 'mantis', 'whip-spider', 'millipede-tropical'].map((id) => {
      const profile = profileOf(id);
      const young = { ...animal(profile, 0.1), stage: profile.stages[0] ?? 'nymph', headCount: undefined };
      const { steps, endsAtMm } = sizeLadder(profile, young, [...shippedBoxSizes]);
      return [endsAtMm, steps.map(({ size, ...rest }) => ({ id: size.id, ...rest }))];
    });
    expect(inLines(ladders)).toMatchSnapshot();
    const homeless = ['ground-tarantula', 'mantis', 'isopod-temperate', 'ant-leafcutter', 'jumping-spider'].map(
      (id) => {
        const profile = profileOf(id);
        return {
          id,
          profile,
          ...animal(profile, 0.3),
          headCount: profile.company.sameKind === 'group' ? 8 : undefined,
        };
      },
    );
    const { buy, ...list } = boxesToBuy(homeless, candidates, [...shippedBoxSizes]);
    expect(inLines([list, buy.map(({ size, residentIds }) => [size.id, residentIds])])).toMatchSnapshot();
  });
});

describe('a box, as it was reckoned', () => {
  it.each(Object.entries({ BOX, JAR, NET, CUT }))('%s', (_, box) => {
    const { floorShortSideMm, floorLongSideMm, topLongSideMm, areaAtMm2, floorAreaMm2, volumeBelowMm3, innerVolumeL } =
      container;
    const lengths = [
      floorShortSideMm(box),
      floorLongSideMm(box),
      topLongSideMm(box),
      areaAtMm2(box, 60),
      floorAreaMm2(box),
      volumeBelowMm3(box, 60),
      innerVolumeL(box),
    ];
    const sides = container.VENT_SIDES.map((side) => [
      container.wallWidthMm(box, side),
      container.sideAreaMm2(box, side),
    ]);
    const along = container.WALL_SIDES.map((side) => container.wallAlongLength(box, side));
    const openings = openingsOf(box);
    expect(inLines([lengths, sides, along, openings, climbableWallCount(box, openings)])).toMatchSnapshot();
    expect(inLines(box.vents.map((vent) => [apertureMm(vent), openAreaMm2(vent)]))).toMatchSnapshot();
    const soils: Soil[] = [SLOPE, TERRACES, { shape: 'flat', depthMm: 40 }];
    const filled = soils.map((soil) => [
      fillVolumeL(box, soil),
      depthsOf(soil),
      meanDepthMm(soil),
      depthAtMm(soil, 0.3),
      depthAtMm(soil, 1),
      withMeanDepth(soil, 90),
      withMeanDepth(soil, 10),
    ]);
    expect(inLines(filled)).toMatchSnapshot();
    expect(
      inLines([
        soilToAddL({ container: box, substrateDepthMm: 20 }, 70),
        soilToAddL({ container: box, substrateDepthMm: 20, soil: SLOPE }, 20),
      ]),
    ).toMatchSnapshot();
  });

  it('with its furniture, and the depth that serves', () => {
    const uses = ['hide', 'hanging', 'crevice', 'bridge', 'roof'] as const;
    expect(
      [FURNITURE, [], undefined].map((each) => [
        uses.map((use) => furnitureCount(each, use)),
        openBottleCount(each),
        lowestPerchMm(each),
      ]),
    ).toMatchSnapshot();
    const demands = [
      { rule: 'a', min: 40, max: null },
      { rule: 'b', min: 60, max: 120 },
      { rule: 'c', min: null, max: 90 },
    ];
    expect(
      [demands, [...demands, { rule: 'd', min: 100, max: null }], []].map((each) =>
        [10, 75, 150].map((present) => depthBand(each, 200, present)),
      ),
    ).toMatchSnapshot();
    expect([5, 10, 14, 30, 31].map((each) => nearestWithin(10, 30, each))).toEqual([10, 10, 14, 30, 30]);
  });

  it('is drawn so', () => {
    const subject: SectionSubject = {
      stage: 'adult',
      silhouette: 'tarantula',
      sizeMm: 118,
      lives: 'ground',
      dampSharePct: 40,
    };
    const others: SectionSubject[] = [
      { ...subject, silhouette: 'mantis', lives: 'roof', sizeMm: 70 },
      { ...subject, silhouette: 'tarantula', lives: 'bark', sizeMm: 110, dampSharePct: 100 },
      { ...subject, silhouette: 'isopod', lives: 'soil', sizeMm: 12, headCount: 60 },
      { ...subject, silhouette: 'ant', lives: 'ground', sizeMm: 9, headCount: 400 },
    ];
    const homes = Object.values(HOMES);
    expect(inLines(homes.map((home) => sectionPlan(home, subject)))).toMatchSnapshot();
    expect(
      inLines(others.flatMap((each) => homes.slice(0, 5).map((home) => sectionPlan(home, each).animals))),
    ).toMatchSnapshot();
    expect(inLines(homes.map((home) => planView(home, subject)))).toMatchSnapshot();
    expect([3, 45, 120, 299, 301, 2000].map(scaleBarMm)).toMatchSnapshot();
  });
});

describe('company, as it was reckoned', () => {
  it('of every kind with every other', () => {
    const lodger = (profile: CareProfile) => ({
      label: profile.id,
      scientificName: `Genus ${profile.id}`,
      profile,
      headCount: 3,
    });
    const said = shippedProfiles.map((one) => [
      one.id,
      ...shippedProfiles.map((other) =>
        company([lodger(one), lodger(other)])
          .checks.map(({ rule, status }) => `${rule} ${status}`)
          .join(', '),
      ),
    ]);
    expect(said).toMatchSnapshot();
    expect(
      refusalOf(() => fit(profileOf('mantis'), { stage: 'larva', bodyLengthMm: 9, ...HOMES.box } as never)).fields,
    ).toMatchSnapshot();
    expect(
      refusalOf(() => fit(profileOf('mantis'), { stage: 'nymph', bodyLengthMm: 9, school: 'x', ...HOMES.box } as never))
        .fields,
    ).toMatchSnapshot();
  });
});
