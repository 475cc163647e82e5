import { profileOf } from '@/contract/testing/profileOf';
import { shippedProfiles, shippedSpecies } from '@/contract/shipped';
import type { Container, Vent } from './container';
import { fit, type FitQuestion } from './fit';

/*
 * Each rule with its limit and both sides of it. The limits are common practice, stated by keepers and without a
 * published source, or from memory where the profile says so.
 */

const holes = (diameterMm: number, sides: Vent['side'][] = ['left', 'right']): Vent[] =>
  sides.map((side) => ({ side, shape: 'hole', count: 4, diameterMm }));
const mesh = (side: Vent['side'], widthMm: number, heightMm: number, meshApertureMm = 0.3): Vent => ({
  side,
  shape: 'panel',
  count: 1,
  widthMm,
  heightMm,
  meshApertureMm,
  meshOpenFraction: 0.4,
});
const box = (lengthMm: number, widthMm: number, heightMm: number, change: Partial<Container> = {}): Container =>
  ({ shape: 'box', lengthMm, widthMm, heightMm, lid: 'solid', vents: holes(2), ...change }) as Container;

type Case = [
  rule: string,
  status: 'pass' | 'watch' | 'fail' | 'not checked' | 'no such rule',
  change: Partial<FitQuestion>,
];

function check(profile: string, base: FitQuestion, cases: Case[]) {
  const kind = profileOf(profile);
  it('fits where every rule is kept', () => {
    const { checks, notChecked } = fit(kind, base);
    expect(checks.filter((each) => each.status !== 'pass')).toEqual([]);
    expect(notChecked).toEqual([]);
  });
  it.each(cases)('%s: %s', (rule, status, change) => {
    const { checks, notChecked } = fit(kind, { ...base, ...change });
    const found = checks.find((each) => each.rule === rule)?.status;
    expect(found ?? (notChecked.some((each) => each.rule === rule) ? 'not checked' : 'no such rule')).toBe(status);
  });
}

describe('a burrowing tarantula of 120 mm leg span', () => {
  const base: FitQuestion = {
    stage: 'adult',
    legSpanMm: 120,
    container: box(300, 200, 400),
    substrateDepthMm: 240,
  };
  check('burrowing-tarantula', base, [
    ['burrow-depth', 'watch', { substrateDepthMm: 239 }],
    ['burrow-depth', 'watch', { substrateDepthMm: 180 }],
    ['burrow-depth', 'fail', { substrateDepthMm: 179 }],
    ['gap', 'pass', { substrateDepthMm: 220 }],
    ['gap', 'fail', { substrateDepthMm: 219 }],
    ['floor-width', 'watch', { container: box(300, 179, 400) }],
    ['floor-width', 'fail', { container: box(300, 155, 400) }],
  ]);
});

describe('a jumping spider of 20 mm', () => {
  const base: FitQuestion = {
    stage: 'adult',
    bodyLengthMm: 20,
    container: box(150, 150, 200, { opens: 'front', sillMm: 60 }),
    substrateDepthMm: 20,
    furniture: [{ kind: 'branch', count: 2 }],
  };
  check('jumping-spider', base, [
    ['floor-width', 'watch', { container: box(149, 149, 200) }],
    ['floor-width', 'fail', { container: box(79, 79, 200) }],
    ['height', 'watch', { container: box(150, 150, 199) }],
    ['height', 'fail', { container: box(150, 150, 139) }],
    ['front-opening', 'watch', { container: box(150, 150, 200, { opens: 'top' }) }],
    ['front-opening', 'not checked', { container: box(150, 150, 200) }],
    ['perches', 'watch', { furniture: [] }],
    ['perches', 'not checked', { furniture: undefined }],
    ['hole', 'fail', { carapaceWidthMm: 2 }],
    ['alone', 'fail', { headCount: 2 }],
  ]);
});

describe('a whip spider of 40 mm', () => {
  const base: FitQuestion = {
    stage: 'adult',
    bodyLengthMm: 40,
    container: box(300, 300, 450, { opens: 'front', sillMm: 60 }),
    substrateDepthMm: 40,
    furniture: [{ kind: 'bark-round', count: 2 }],
  };
  check('whip-spider', base, [
    ['floor-width', 'watch', { container: box(299, 299, 450) }],
    ['height', 'watch', { container: box(300, 300, 439) }],
    ['height', 'fail', { container: box(300, 300, 359) }],
    ['hangs', 'fail', { furniture: [] }],
    ['soil-depth', 'watch', { substrateDepthMm: 29 }],
    ['alone', 'fail', { headCount: 2 }],
  ]);
});

describe('a forest scorpion of 60 mm', () => {
  const base: FitQuestion = {
    stage: 'adult',
    bodyLengthMm: 60,
    container: box(240, 180, 200, { walls: 'plastic' }),
    substrateDepthMm: 90,
    furniture: [{ kind: 'hide' }],
  };
  check('forest-scorpion', base, [
    ['floor-length', 'watch', { container: box(239, 180, 200) }],
    ['floor-length', 'fail', { container: box(179, 179, 200) }],
    ['floor-width', 'watch', { container: box(240, 179, 200) }],
    ['floor-width', 'fail', { container: box(240, 119, 200) }],
    ['burrow-depth', 'watch', { substrateDepthMm: 60 }],
    ['burrow-depth', 'fail', { substrateDepthMm: 59 }],
    ['climbable-walls', 'watch', { container: box(240, 180, 200, { walls: 'glass-silicone' }) }],
    ['climbable-walls', 'pass', { container: box(240, 180, 200, { walls: 'glass' }) }],
    ['climbable-walls', 'not checked', { container: box(240, 180, 200) }],
  ]);
});

describe('a desert and a crevice scorpion', () => {
  it('want depth, or stacked stone', () => {
    const home = { container: box(300, 220, 260, { walls: 'plastic' }), furniture: [] };
    const rules = (profile: string, change: Partial<FitQuestion>) =>
      Object.fromEntries(
        fit(profileOf(profile), {
          stage: 'adult',
          bodyLengthMm: 60,
          substrateDepthMm: 120,
          ...home,
          ...change,
        }).checks.map((each) => [each.rule, each.status]),
      );
    expect(rules('desert-scorpion', {})['burrow-depth']).toBe('pass');
    expect(rules('desert-scorpion', { substrateDepthMm: 119 })['burrow-depth']).toBe('watch');
    expect(rules('crevice-scorpion', {}).crevices).toBe('fail');
    expect(rules('crevice-scorpion', { furniture: [{ kind: 'stone-stack' }] }).crevices).toBe('pass');
  });
});

describe('a mantis of 60 mm', () => {
  const base: FitQuestion = {
    stage: 'nymph',
    bodyLengthMm: 60,
    container: box(150, 150, 200, { lid: 'mesh', vents: holes(2, ['left', 'right']) }),
    substrateDepthMm: 20,
  };
  const taller = (heightMm: number, change: Partial<Container> = {}) =>
    box(150, 150, heightMm, { lid: 'mesh', vents: holes(2, ['left', 'right']), ...change });
  check('mantis', base, [
    ['height', 'pass', { container: taller(200) }],
    ['height', 'fail', { container: taller(199) }],
    ['width', 'pass', { container: box(120, 120, 200, { lid: 'mesh' }) }],
    ['width', 'watch', { container: box(119, 119, 200, { lid: 'mesh' }) }],
    ['width', 'fail', { container: box(101, 101, 200, { lid: 'mesh' }) }],
    ['roof', 'fail', { container: taller(200, { lid: 'solid' }) }],
    ['roof', 'pass', { container: taller(200, { lid: 'solid' }), furniture: [{ kind: 'roof-net' }] }],
    ['moult-drop', 'fail', { substrateDepthMm: 51 }],
    ['alone', 'fail', { headCount: 2 }],
  ]);
});

describe('stick insects of 80 mm', () => {
  const cage = (change: Partial<Container> = {}) => box(200, 200, 300, { vents: [mesh('front', 180, 280)], ...change });
  const base: FitQuestion = {
    stage: 'nymph',
    bodyLengthMm: 80,
    headCount: 4,
    container: cage(),
    substrateDepthMm: 10,
    furniture: [{ kind: 'branch' }, { kind: 'bottle', stopped: true }],
  };
  check('stick-insect', base, [
    ['height', 'fail', { container: box(200, 200, 239, { vents: [mesh('front', 180, 200)] }) }],
    ['width', 'watch', { container: box(159, 159, 300, { vents: [mesh('front', 150, 280)] }), headCount: 1 }],
    ['mesh-side', 'fail', { container: cage({ vents: holes(1) }) }],
    ['mesh-side', 'fail', { container: cage({ vents: [mesh('front', 60, 60)] }) }],
    ['bottle', 'fail', { furniture: [{ kind: 'branch' }, { kind: 'bottle' }] }],
    ['crowd', 'watch', { headCount: 7 }],
    ['crowd', 'fail', { headCount: 13 }],
    ['young-hole', 'watch', { stage: 'adult', container: cage({ vents: [mesh('front', 180, 280, 1.2)] }) }],
  ]);
});

describe('a ground stick insect of 60 mm', () => {
  const base: FitQuestion = {
    stage: 'adult',
    bodyLengthMm: 60,
    container: box(300, 200, 180, { vents: [mesh('left', 180, 100)] }),
    substrateDepthMm: 70,
    furniture: [{ kind: 'bark', count: 2 }],
  };
  const high = (heightMm: number) => box(300, 200, heightMm, { vents: [mesh('left', 180, 100)] });
  check('ground-stick-insect', base, [
    ['not-too-high', 'pass', { container: high(180) }],
    ['not-too-high', 'watch', { container: high(181) }],
    ['soil-depth', 'watch', { substrateDepthMm: 69 }],
    ['soil-depth', 'fail', { substrateDepthMm: 39 }],
    ['hides', 'watch', { furniture: [] }],
  ]);
});

describe('communal assassin bugs of 38 mm', () => {
  const cube = (change: Partial<Container> = {}) => box(300, 300, 300, { vents: holes(1), ...change });
  const base: FitQuestion = {
    stage: 'adult',
    bodyLengthMm: 38,
    headCount: 10,
    container: cube(),
    substrateDepthMm: 40,
    furniture: [{ kind: 'perch', heightMm: 200, count: 5 }],
  };
  check('communal-assassin-bug', base, [
    // Count on record: 10 to 15 in a 30 cm cube, 20 to 25 in 40 x 40 x 30 cm, about 5 in 6 L.
    ['crowd', 'watch', { headCount: 15 }],
    ['crowd', 'fail', { headCount: 16 }],
    ['crowd', 'watch', { headCount: 25, container: box(400, 400, 300, { vents: holes(1) }) }],
    ['crowd', 'fail', { headCount: 28, container: box(400, 400, 300, { vents: holes(1) }) }],
    ['crowd', 'watch', { headCount: 5, container: box(200, 150, 200, { vents: holes(1) }) }],
    ['drop', 'pass', { furniture: [{ kind: 'perch', heightMm: 154, count: 5 }] }],
    ['drop', 'fail', { furniture: [{ kind: 'perch', heightMm: 153, count: 5 }] }],
    ['drop', 'not checked', { furniture: [{ kind: 'bark', count: 5 }] }],
    ['height', 'fail', { container: box(300, 300, 199, { vents: holes(1) }) }],
    ['soil-depth', 'watch', { substrateDepthMm: 29 }],
    ['soil-high', 'watch', { substrateDepthMm: 51 }],
    ['places', 'watch', { furniture: [{ kind: 'perch', heightMm: 200, count: 4 }] }],
  ]);

  it('hold more of a small kind and of nymphs', () => {
    const crowd = (bodyLengthMm: number) =>
      fit(profileOf('communal-assassin-bug'), { ...base, bodyLengthMm, headCount: 30 }).checks.find(
        (each) => each.rule === 'crowd',
      )?.status;
    expect([crowd(38), crowd(20)]).toEqual(['fail', 'pass']);
  });
});

describe('isopods of 12 mm', () => {
  const tub = (change: Partial<Container> = {}) =>
    box(280, 180, 120, { vents: [mesh('left', 30, 30), mesh('right', 30, 30)], ...change });
  const base: FitQuestion = {
    stage: 'adult',
    bodyLengthMm: 12,
    headCount: 100,
    container: tub(),
    substrateDepthMm: 50,
    litterDepthMm: 15,
    furniture: [{ kind: 'bark' }],
  };
  check('isopod-temperate', base, [
    ['crowd', 'watch', { headCount: 600 }],
    ['crowd', 'fail', { headCount: 900 }],
    // Five to twelve start in a small tub, so that they meet.
    ['meet', 'pass', { headCount: 12, container: box(160, 120, 100) }],
    ['meet', 'watch', { headCount: 5, container: box(450, 350, 250) }],
    ['culture-volume', 'fail', { container: box(140, 100, 120) }],
    ['culture-large', 'watch', { container: box(600, 400, 300) }],
    ['soil-depth', 'watch', { substrateDepthMm: 39 }],
    ['soil-depth', 'fail', { substrateDepthMm: 24 }],
    ['litter', 'fail', { litterDepthMm: 4 }],
    ['litter-high', 'watch', { litterDepthMm: 31 }],
    ['bridge', 'watch', { furniture: [] }],
    ['young-hole', 'fail', { container: tub({ vents: holes(2) }) }],
    ['air', 'watch', { container: tub({ vents: [] }) }],
  ]);

  it('want the air of their class: none, little, or much', () => {
    const air = (profile: string, vents: Vent[]) =>
      fit(profileOf(profile), { ...base, container: tub({ vents }) }).checks.find((each) => each.rule === 'air')
        ?.status;
    const panels = [mesh('left', 150, 60), mesh('right', 150, 60)];
    expect([air('isopod-dwarf-tropical', []), air('isopod-dwarf-tropical', panels)]).toEqual(['pass', 'fail']);
    expect([air('isopod-dry-vented', []), air('isopod-dry-vented', panels)]).toEqual(['fail', 'pass']);
  });

  it('and springtails need no measuring', () => {
    const answer = fit(profileOf('springtail'), {
      stage: 'adult',
      headCount: 20_000,
      container: { shape: 'cylinder', diameterMm: 110, heightMm: 100, lid: 'solid', vents: [] },
      substrateDepthMm: 30,
    });
    expect(answer.checks.find((each) => each.rule === 'crowd')?.status).toBe('fail');
  });
});

describe('millipedes of 200 mm', () => {
  const base: FitQuestion = {
    stage: 'adult',
    bodyLengthMm: 200,
    headCount: 2,
    container: box(450, 300, 350, { vents: [mesh('left', 60, 40), mesh('right', 60, 40)] }),
    substrateDepthMm: 200,
    litterDepthMm: 20,
    furniture: [{ kind: 'bark', count: 2 }],
  };
  check('millipede-tropical', base, [
    ['soil-depth', 'watch', { substrateDepthMm: 199 }],
    ['soil-depth', 'fail', { substrateDepthMm: 149 }],
    ['floor-length', 'watch', { container: box(399, 300, 350) }],
    ['floor-width', 'watch', { container: box(450, 199, 350) }],
    ['hides', 'watch', { furniture: [{ kind: 'bark' }] }],
    ['litter', 'fail', { litterDepthMm: 9 }],
  ]);

  it('of dry country are given a larger floor', () => {
    const length = (lengthMm: number) =>
      fit(profileOf('millipede-arid'), { ...base, container: box(lengthMm, 300, 350) }).checks.find(
        (each) => each.rule === 'floor-length',
      )?.status;
    expect([length(600), length(599), length(449)]).toEqual(['pass', 'watch', 'fail']);
  });
});

describe('land snails of 30 mm', () => {
  const base: FitQuestion = {
    stage: 'adult',
    bodyLengthMm: 30,
    headCount: 6,
    container: box(400, 300, 200, { vents: [mesh('left', 60, 50), mesh('right', 60, 50)] }),
    substrateDepthMm: 70,
  };
  check('land-snail', base, [
    ['soil-depth', 'watch', { substrateDepthMm: 59 }],
    ['soil-depth', 'fail', { substrateDepthMm: 44 }],
    ['headroom', 'watch', { substrateDepthMm: 111 }],
    ['crowd', 'watch', { headCount: 14 }],
    ['young-hole', 'watch', { container: box(400, 300, 200, { vents: holes(3) }) }],
    ['hole', 'fail', { container: box(400, 300, 200, { vents: holes(26) }) }],
  ]);
});

describe('an ant colony', () => {
  // 100 workers of 4.5 mm at 0.12 mL each fill 12 mL.
  const chambers = (volumeMl: number) => [{ lengthMm: volumeMl * 10, widthMm: 10, heightMm: 10 }];
  const outworld = { lengthMm: 150, widthMm: 100, heightMm: 80 };
  const base: FitQuestion = {
    stage: 'adult',
    bodyLengthMm: 4.5,
    headCount: 100,
    container: box(300, 60, 30, { vents: [] }),
    substrateDepthMm: 0,
    nest: { chambers: chambers(20), tubeBoreMm: 4, outworld },
  };
  const nest = (change: Partial<NonNullable<FitQuestion['nest']>>) => ({
    nest: { chambers: chambers(20), tubeBoreMm: 4, outworld, ...change },
  });
  check('ant-small-temperate', base, [
    ['empty-space', 'pass', nest({ chambers: chambers(30) })],
    ['empty-space', 'watch', nest({ chambers: chambers(31) })],
    ['empty-space', 'fail', nest({ chambers: chambers(61) })],
    ['full', 'watch', nest({ chambers: chambers(13) })],
    ['full', 'fail', nest({ chambers: chambers(9) })],
    // Two workers with heads of 0.99 mm pass in 2 mm.
    ['tube', 'pass', nest({ tubeBoreMm: 2 })],
    ['tube', 'watch', nest({ tubeBoreMm: 1.9 })],
    ['tube', 'fail', nest({ tubeBoreMm: 1.4 })],
    ['outworld', 'fail', nest({ outworld: undefined })],
    ['outworld', 'no such rule', { headCount: 1, ...nest({ outworld: undefined }) }],
    ['nest', 'pass', {}],
    ['nest', 'fail', { nest: undefined }],
    ['young-hole', 'fail', { container: box(300, 60, 30, { vents: holes(1) }) }],
  ]);

  it('fills its box where no chambers are listed, and says nothing of one nobody counted', () => {
    const open = { ...base, nest: undefined };
    const rules = fit(profileOf('ant-small-temperate'), { ...open, headCount: 2250 }).checks;
    // 300 x 60 x 30 mm hold 540 mL; 2250 workers take 270.
    expect(rules.find((each) => each.rule === 'empty-space')?.actual).toBeCloseTo(50, 9);
    const uncounted = fit(profileOf('ant-small-temperate'), { ...base, headCount: undefined });
    expect(uncounted.notChecked.map((each) => each.needs)).toContain('nest');
  });
});

describe('caterpillars and moths', () => {
  const net = box(300, 300, 300, {
    walls: 'mesh',
    lid: 'mesh',
    vents: (['front', 'back', 'left', 'right'] as const).map((side) => mesh(side, 280, 280, 0.5)),
  });
  const base: FitQuestion = {
    stage: 'larva',
    bodyLengthMm: 40,
    headCount: 10,
    container: net,
    substrateDepthMm: 0,
    furniture: [{ kind: 'branch' }, { kind: 'bottle', stopped: true }],
  };
  check('moth-tropical', base, [
    ['bottle', 'fail', { furniture: [{ kind: 'bottle' }] }],
    ['crowd', 'watch', { headCount: 50 }],
    ['air', 'fail', { container: box(300, 300, 300, { vents: [] }) }],
    ['wings', 'fail', { stage: 'pupa', bodyLengthMm: 60, container: box(300, 300, 149) }],
    ['small-first', 'watch', { stage: 'egg', bodyLengthMm: 2 }],
  ]);
});

describe('soil that is not flat', () => {
  const kind = profileOf('ground-tarantula');
  const base: FitQuestion = { stage: 'adult', legSpanMm: 100, container: box(300, 220, 220), substrateDepthMm: 80 };
  it('is judged at its worst place: the fall from its lowest, headroom over its highest', () => {
    const gap = (frontMm: number, backMm: number) =>
      fit(kind, { ...base, soil: { shape: 'slope', frontMm, backMm }, substrateDepthMm: (frontMm + backMm) / 2 });
    expect(gap(80, 80).verdict).toBe('pass');
    const sloped = gap(100, 60);
    expect(sloped.checks.find((each) => each.rule === 'gap')).toMatchObject({ status: 'fail', actual: 160 });
    // Raised by 10 mm as a whole, the lowest place leaves 150 mm.
    expect(sloped.substrateDepthMm).toMatchObject({ min: 90, recommended: 90 });
    expect(gap(110, 70).verdict).toBe('pass');
  });
});

describe('every profile that ships', () => {
  const plain = box(400, 300, 300, { lid: 'vented' });
  it.each(shippedProfiles.map((profile) => [profile.id, profile] as const))(
    '%s answers a plain question',
    (_id, profile) => {
      const answer = fit(profile, {
        stage: profile.stages.at(-1) ?? 'adult',
        [profile.measure.takes]: profile.growth.grownMm.value,
        headCount: profile.company.sameKind === 'alone' ? 1 : 20,
        container: plain,
        substrateDepthMm: 60,
        furniture: [],
        litterDepthMm: 10,
      });
      expect(answer.checks.length).toBeGreaterThan(2);
      for (const each of answer.checks) {
        expect(Number.isFinite(each.actual)).toBe(true);
        expect(each.grounds.why.length).toBeGreaterThan(20);
      }
    },
  );

  it('has a species', () => {
    const named = new Set(shippedSpecies.map((species) => species.profile));
    expect(shippedProfiles.map((profile) => profile.id).filter((id) => !named.has(id))).toEqual([]);
  });

  it('gives way to the numbers of a species', () => {
    expect(profileOf('tree-tarantula').growth.grownMm.value).toBe(150);
    expect(profileOf('tree-tarantula', 'Caribena versicolor').growth.grownMm.value).toBe(130);
    expect(profileOf('isopod-dwarf-tropical', 'Cubaris murina').young?.widthMm.value).toBe(0.6);
  });
});
