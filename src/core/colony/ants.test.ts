import fc from 'fast-check';
import type { FeederKind } from '@/core/feeding/food';
import { shippedFeeders, shippedPopulations, shippedRests } from '@/contract/shipped';
import { knownOf } from '@/core/profiles/holdsFor';
import type { BandFact } from '@/core/profiles/profile';
import { feederPopulation } from '@/core/feeding/feederPopulation';
import { profileOf } from '@/contract/testing/profileOf';
import { addDays, daysBetween } from '@/core/measure/day';
import { refusalOf } from '@/core/testing/refusalOf';
import { castesOf } from './castes';
import { countedInBand, countedInPart, countSpread } from './counting';
import { safeHarvest } from './culture';
import { countVerdict } from './expected';
import { foundingState, type FoundingQuestion } from './founding';
import type { PopulationKind } from './kind';
import { movingPlan, nestAdvice } from './nestSteps';
import { projectColony, usualCourse } from './project';
import { tubsFor } from './tubs';

const TODAY = '2026-05-01';
const kindOf = (profile: string) =>
  shippedPopulations.find((each) => each.profiles.includes(profile)) as PopulationKind;

describe('a founding queen', () => {
  const asked = (change: Partial<FoundingQuestion>) =>
    foundingState({
      ...{ kind: kindOf('ant-small-temperate'), beganOn: addDays(TODAY, -30), seen: {}, temperatureC: 24, asOf: TODAY },
      ...change,
    });

  // Common practice, no source: egg to worker 40 to 60 days at 23 to 25 C.
  it('has her first workers 40 to 60 days after her first eggs, sooner once larger brood was seen', () => {
    const eggs = asked({ seen: { egg: TODAY } });
    const days = daysBetween(TODAY, eggs.firstWorkers?.median ?? '');
    expect(days).toBeGreaterThanOrEqual(40);
    expect(days).toBeLessThanOrEqual(60);
    const pupae = asked({ seen: { egg: addDays(TODAY, -30), pupa: TODAY } });
    expect(pupae.furthest).toBe('pupa');
    expect((pupae.firstWorkers?.median ?? '') < (eggs.firstWorkers?.median ?? '')).toBe(true);
  });

  it('is late when nine of ten would have workers, and what should have been is due today', () => {
    expect(asked({}).isLate).toBe(false);
    const late = asked({ beganOn: addDays(TODAY, -150) });
    expect(refusalOf(() => asked({ beganOn: addDays(TODAY, 3) })).fields[0]?.path).toBe('beganOn');
    expect(late).toMatchObject({ isLate: true, firstWorkers: { p90: TODAY } });
  });

  it('gets nothing if she seals herself in, a little if she does not, and nothing grows in the cold', () => {
    expect(asked({}).food).toBe('none');
    expect(asked({ kind: kindOf('ant-leafcutter') }).food).toBe('a-little');
    expect(asked({ temperatureC: 8 }).firstWorkers).toBeNull();
  });
});

describe('a nest', () => {
  const LEAFCUTTER = profileOf('ant-leafcutter');
  it('is told what to close where it is far too large, and grows no faster than it is kept clean', () => {
    const nest = { profile: profileOf('ant-large-mediterranean'), workers: 50, ahead: 120, volumeMl: 432 };
    const advice = nestAdvice(nest);
    expect(advice).toMatchObject({ verdict: 'far-too-large', nextModuleMl: null });
    expect(432 - (advice.closeMl ?? 0)).toBeCloseTo((50 * 1.5) / 0.7, 6);
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 5000 }), fc.integer({ min: 20, max: 20000 }), (workers, ahead) => {
        const full = nestAdvice({ ...nest, workers, ahead, volumeMl: workers * 1.5 });
        // With the next module it is at least two fifths full at once.
        const after = workers * 1.5 + (full.nextModuleMl ?? 0);
        expect((workers * 1.5) / after).toBeGreaterThanOrEqual(0.4 - 1e-9);
        expect(full.verdict).toBe('full');
      }),
    );
  });

  // Common practice, no source: a step of about 12 times the old chamber is on record as working for leafcutters.
  it('of leafcutters may take a step of twelve times, and they are carried: queen first, then the garden', () => {
    const step = nestAdvice({ profile: LEAFCUTTER, workers: 600, ahead: 9000, volumeMl: 1200 });
    expect(1200 + (step.nextModuleMl ?? 0)).toBeCloseTo(12 * 1200, 6);
    const acts = movingPlan(TODAY, LEAFCUTTER).map(({ what }) => what);
    expect(acts.indexOf('queen')).toBeLessThan(acts.indexOf('garden'));
    expect(acts).toContain('feed-hard');
    const others = movingPlan(TODAY, profileOf('ant-small-temperate'));
    expect(others.find(({ what }) => what === 'look')?.on).toBe(addDays(TODAY, 1));
    expect(others.at(-1)?.what).toBe('take-off');
  });

  it('is judged by the rules that its home is held to, whatever their limits', () => {
    for (const id of ['ant-small-temperate', 'ant-large-mediterranean', 'ant-leafcutter', 'ant-primitive-hunter']) {
      const profile = profileOf(id);
      const perHeadMl = profile.nest?.perHeadMl.value ?? 0;
      const limit = profile.fit.find((rule) => rule.quantity === 'nestFullnessPct' && rule.min)?.min?.plus ?? 0;
      const at = (pct: number) =>
        nestAdvice({ profile, workers: 100, ahead: 100, volumeMl: (100 * 100 * perHeadMl) / pct }).verdict;
      expect([at(limit - 1), at(limit + 1)]).toEqual(['too-large', 'right']);
      expect([at(limit / 2 - 1), at(91)]).toEqual(['far-too-large', 'full']);
    }
    const spider = { profile: profileOf('mantis'), workers: 1, ahead: 1, volumeMl: 1 };
    expect(refusalOf(() => nestAdvice(spider)).fields[0]?.path).toBe('profile');
  });

  it('has its castes by its numbers: they add up, and large ones come late', () => {
    const castes = kindOf('ant-large-mediterranean').castes ?? [];
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20000 }), (workers) => {
        const counts = castesOf(castes, workers);
        expect(counts.reduce((sum, each) => sum + each.count, 0)).toBe(workers);
        expect(Math.min(...counts.map((each) => each.count))).toBeGreaterThanOrEqual(0);
      }),
    );
    const majors = (workers: number) => castesOf(castes, workers).find((each) => each.id === 'major')?.count ?? 0;
    expect(majors(15)).toBe(0);
    expect(majors(5000) / 5000).toBeGreaterThan(0.1);
  });
});

describe('a count', () => {
  it('in a picture of a part is right on the mean, and holds the truth in eight of ten', () => {
    expect(countedInPart(240, 100)).toEqual({ heads: 240, low: 240, high: 240 });
    expect(countedInPart(60, 25)).toMatchObject({ heads: 240 });
    // Binomial: of N = 240 a share of 0.25 shows n = 60 with a deviation of sqrt(N p (1-p)) = 6.7, so 26.8 heads in all.
    const { low, high } = countedInPart(60, 25);
    expect((high - low) / 2).toBeCloseTo((1.2816 * Math.sqrt(240 * 0.25 * 0.75)) / 0.25, 0);
    expect(refusalOf(() => countedInPart(5, 0)).fields[0]?.path).toBe('sharePct');
    expect(refusalOf(() => countedInPart(0, 50)).fields[0]?.path).toBe('counted');
  });

  it('by eye lies in the middle of its band by ratio, and widens the bands of what comes', () => {
    expect(countedInBand(100, 250)).toEqual({ heads: 158, low: 100, high: 250 });
    expect(countSpread(240, 240)).toBe(0);
    const question = { kind: kindOf('springtail'), counts: { adult: 158 }, temperatureC: 20, weeks: 1, draws: 200 };
    const width = (spread: number) => {
      const { p10, p90 } = projectColony({ ...question, countSpread: spread }).series[0]?.total ?? { p10: 0, p90: 0 };
      return [p10, p90];
    };
    expect(width(0)).toEqual([158, 158]);
    const [low = 0, high = 0] = width(countSpread(100, 250));
    expect(low / 100).toBeCloseTo(1, 0);
    expect(high / 250).toBeCloseTo(1, 0);
  });

  it('is held against what was to be expected, less what was taken out', () => {
    const expected = { p10: 200, median: 260, p90: 330 };
    expect(countVerdict(250, expected, 0)).toBe('as-expected');
    expect(countVerdict(150, expected, 0)).toBe('fewer');
    expect(countVerdict(150, expected, 100)).toBe('as-expected');
    expect(countVerdict(80, expected, 0)).toBe('crash');
    expect(countVerdict(400, expected, 0)).toBe('more');
  });
});

describe('tubs', () => {
  const kind = kindOf('isopod-temperate');
  const asked = { kind, litresPerTub: 6, temperatureC: 24, founders: 10 };
  it('are as many as meet the need by what each bears, and take months until they do', () => {
    const one = tubsFor({ ...asked, needPerWeek: 1 });
    expect(one.harvestPerTub).toBeGreaterThan(1);
    const need = 5.5 * one.harvestPerTub;
    expect(tubsFor({ ...asked, needPerWeek: need }).tubs).toBe(6);
    expect(one.readyWeeks ?? 0).toBeGreaterThan(8);
    // What is taken lasts: half as much again does not.
    const room = { kind, roomForHeads: 6 * (kind.headsPerL?.value ?? 0), counts: { adult: 100, juvenile: 170 } };
    const after = (harvestPerWeek: number) =>
      usualCourse({ ...room, temperatureC: 24, weeks: 260, harvestPerWeek }).grown.at(-1) ?? 0;
    const { perWeek } = safeHarvest({ ...room, temperatureC: 24 });
    expect(after(perWeek)).toBeGreaterThan(20);
    expect(after(3 * perWeek)).toBeLessThan(1);
  });

  it('of a kind that does not grow there bear nothing', () => {
    expect(tubsFor({ ...asked, needPerWeek: 4, temperatureC: 6 })).toMatchObject({ tubs: null, readyWeeks: null });
  });
});

describe('roaches and crickets', () => {
  const newborn = ['field-cricket', 'dubia-roach', 'mealworm'];
  it.each(newborn)('%s: as many as live through every size are grown when their sizes are gone through', (id) => {
    const feeder = shippedFeeders.find((each) => each.id === id) as FeederKind;
    const kind = feederPopulation(feeder);
    const sizes = feeder.classes.slice(0, -1);
    const days = sizes.reduce((sum, each) => sum + each.daysInClass, 0);
    const lives = sizes.reduce((share, each) => share * (1 - each.weeklyLossPct / 100) ** (each.daysInClass / 7), 1);
    const immortal = { ...kind, adultLifeDays: { value: 1e9, basis: 'from memory' as const } };
    const barren = { ...immortal, laying: { ...kind.laying, perWeek: { value: 0, basis: 'from memory' as const } } };
    const asked = { kind: barren as PopulationKind, counts: { [sizes[0]?.id ?? '']: 1000 }, temperatureC: 28 };
    const { grown } = usualCourse({ ...asked, weeks: Math.ceil((3 * days) / 7) });
    expect((grown.at(-1) ?? 0) / (1000 * lives)).toBeGreaterThan(0.85);
    expect((grown.at(-1) ?? 0) / (1000 * lives)).toBeLessThan(1.18);
    // Half of them are grown about when the sizes have been gone through.
    const half = grown.findIndex((each) => each > (grown.at(-1) ?? 0) / 2);
    expect(Math.abs(7 * half - days)).toBeLessThan(Math.max(14, 0.25 * days));
  });
});

describe('the numbers of ants', () => {
  const ANTS = shippedPopulations.filter(({ laying }) => laying.by === 'queen');
  const nameOf = ({ profiles, species }: PopulationKind) => species?.[0] ?? profiles[0];
  /** So many years with the winter that each of them has. */
  const YEARS = 16;
  const yearOf = (kind: PopulationKind) => {
    const who = { kind: kind.profiles[0] ?? '', scientificName: kind.species?.[0] };
    const rest = knownOf(shippedRests, who);
    const cold = rest && rest.need !== 'never' ? Math.round(rest.weeks.value) : 0;
    return Array.from({ length: 52 }, (_, week) => (week < cold ? 6 : kind.warmth.referenceC.value));
  };

  // Common practice, no source, and from memory, as each row says: how large colonies become.
  it.each(ANTS.map((kind) => [nameOf(kind), kind] as const))(
    'of %s come in years to the size that is told of them',
    (_, kind) => {
      const temperatureC = Array.from({ length: YEARS }, () => yearOf(kind)).flat();
      const { grown } = usualCourse({ kind, counts: {}, queens: 1, temperatureC, weeks: temperatureC.length });
      const size = kind.colonySize as BandFact;
      expect(grown.at(-1)).toBeGreaterThan(size.min);
      expect(grown.at(-1)).toBeLessThan(size.max);
    },
  );

  // A queen alone lays her batch and no more: what she has raised cannot be more than she laid.
  it.each(ANTS.map((kind) => [nameOf(kind), kind] as const))('of %s begin with one batch', (_, kind) => {
    const asked = { kind, counts: {}, queens: 1, temperatureC: kind.warmth.referenceC.value, weeks: 30, draws: 200 };
    const { series } = projectColony(asked);
    const before = series.filter(({ stages }) => (stages.worker?.p90 ?? 0) < 1);
    const batch = kind.founding?.firstBatch as BandFact;
    expect(Math.max(...before.map(({ total }) => total.p90))).toBeLessThanOrEqual(batch.max);
    expect(before.length).toBeGreaterThan(2);
  });

  it('are those of the species, else of its genus, else of the kind', () => {
    const asked = (scientificName?: string) => knownOf(ANTS, { kind: 'ant-large-mediterranean', scientificName });
    expect(asked('Camponotus herculeanus (Linnaeus, 1758)')?.species).toContain('Camponotus ligniperda');
    expect(asked('Messor sp. "red"')?.species).toEqual(['Messor']);
    expect(asked('Camponotus cruentatus')?.species).toBeUndefined();
    expect(asked()).toBe(asked('Camponotus vagus'));
    expect(knownOf(ANTS, { kind: 'mantis', scientificName: 'Messor barbarus' })).toBeUndefined();
  });
});
