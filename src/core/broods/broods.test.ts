import fc from 'fast-check';
import { shippedEggs, shippedMoths, shippedPopulations } from '@/contract/shipped';
import type { PopulationKind } from '@/core/colony/kind';
import { spinsOn } from './caterpillars';
import { layersForecast } from './layers';
import { profileOf } from '@/contract/testing/profileOf';
import { addDays, daysBetween } from '@/core/measure/day';
import { refusalOf } from '@/core/testing/refusalOf';
import type { EggKind } from './eggs';
import { meeting, type Cocoon, type MothKind } from './emergence';
import { hatchForecast, type HatchQuestion } from './hatch';
import { rearedAfter } from './reared';
import { surplusPlan } from './surplus';

const TODAY = '2026-03-14';
const eggsOf = (profile: string) => shippedEggs.find((each) => each.profiles.includes(profile)) as EggKind;
const STICK = eggsOf('stick-insect');
const laid = (daysAgo: number, change: Partial<HatchQuestion> = {}): HatchQuestion => ({
  kind: STICK,
  eggs: 100,
  laidFrom: addDays(TODAY, -daysAgo),
  mating: 'mated',
  temperatureC: STICK.warmth.referenceC.value,
  asOf: TODAY,
  ...change,
});
const sum = (values: readonly number[]) => values.reduce((all, each) => all + each, 0);
const months = (from: string, to: string) => daysBetween(from, to) / 30.4;

describe('eggs', () => {
  // Common practice, no source: mated 4 to 6 months, unmated 6 to 12, the small ground kind 3 to 4.
  it.each([
    ['stick-insect', 'mated', 4, 6],
    ['stick-insect', 'unmated', 6, 12],
    ['ground-stick-insect', 'mated', 3, 4.2],
  ] as const)('of a %s, %s, hatch after %d to %d months', (profile, mating, from, to) => {
    const kind = eggsOf(profile);
    const forecast = hatchForecast(laid(0, { kind, mating, temperatureC: kind.warmth.referenceC.value }));
    expect(months(TODAY, forecast.from)).toBeGreaterThan(from * 0.9);
    expect(months(TODAY, forecast.median)).toBeGreaterThan(from);
    expect(months(TODAY, forecast.median)).toBeLessThan(to);
    expect(months(TODAY, forecast.to)).toBeLessThan(to * 1.1);
  });

  it('of a mother without a male take about twice as long', () => {
    const days = (mating: 'mated' | 'unmated') => daysBetween(TODAY, hatchForecast(laid(0, { mating })).median);
    expect(days('unmated') / days('mated')).toBeGreaterThan(1.5);
    expect(days('unmated') / days('mated')).toBeLessThan(2.2);
  });

  it('hatch sooner where it is warmer, up to the best warmth of the kind, and not where nothing grows', () => {
    const at = (temperatureC: number) => hatchForecast(laid(0, { temperatureC }));
    fc.assert(
      fc.property(fc.double({ min: 12, max: 26, noNaN: true }), (temperatureC) => {
        expect(at(temperatureC + 1).median <= at(temperatureC).median).toBe(true);
      }),
      { numRuns: 20 },
    );
    expect(at(30)).toEqual(at(STICK.warmth.optimumC.value));
    expect(at(6).isStanding).toBe(true);
  });

  it('are no more than there were, week by week and in all, whatever their age', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), fc.integer({ min: 0, max: 300 }), (eggs, daysAgo) => {
        const { weeks, expected, from, median, to } = hatchForecast(laid(daysAgo, { eggs }));
        const sum = weeks.reduce((total, week) => total + week.median, 0);
        expect(sum).toBeLessThanOrEqual(eggs + 1e-6);
        expect(expected.p90).toBeLessThanOrEqual(eggs + 1e-6);
        expect(expected.p10).toBeLessThanOrEqual(expected.median);
        // The weeks go on until all but a trace of a batch of middle pace is out.
        const shares = weeks.reduce((total, week) => total + week.share, 0);
        if (weeks.length > 0) expect(shares).toBeGreaterThan(0.95);
        expect(shares).toBeLessThanOrEqual(1 + 1e-9);
        expect(from <= median && median <= to && from >= TODAY).toBe(true);
      }),
      { numRuns: 40 },
    );
  });

  it('laid over weeks hatch over weeks', () => {
    const once = hatchForecast(laid(90, { laidTo: addDays(TODAY, -90) }));
    const long = hatchForecast(laid(90, { laidTo: addDays(TODAY, -10) }));
    expect(daysBetween(long.from, long.to)).toBeGreaterThan(daysBetween(once.from, once.to) + 20);
  });

  it('that are older than nearly all become are overdue, and fewer of them are still expected', () => {
    expect(hatchForecast(laid(60)).isOverdue).toBe(false);
    const old = hatchForecast(laid(210));
    expect(old.isOverdue).toBe(true);
    expect(old.expected.median).toBeLessThan(hatchForecast(laid(60)).expected.median / 2);
  });

  it('of which none can hatch any more have no week, and no young', () => {
    const { weeks, expected, to } = hatchForecast(laid(20_000));
    expect(weeks).toEqual([]);
    expect(expected.p90).toBeLessThan(1);
    expect(to).toBe(TODAY);
  });

  it('that want cold first count their days from when they are warm again', () => {
    const cold = eggsOf('moth-cold-egg');
    const asked = laid(150, { kind: cold, temperatureC: 20 });
    expect(refusalOf(() => hatchForecast(asked)).fields[0]?.path).toBe('warmSince');
    expect(refusalOf(() => hatchForecast({ ...asked, warmSince: addDays(TODAY, -151) })).fields[0]?.path).toBe(
      'warmSince',
    );
    // Cold until a day that is planned, they hatch by so much later.
    const later = hatchForecast({ ...asked, warmSince: addDays(TODAY, 40) });
    expect(Math.abs(daysBetween(hatchForecast({ ...asked, warmSince: TODAY }).median, later.median) - 40)).toBeLessThan(
      4,
    );
    const warm = hatchForecast({ ...asked, warmSince: TODAY });
    expect(daysBetween(TODAY, warm.median)).toBeGreaterThanOrEqual(cold.matedDays.min);
    expect(daysBetween(TODAY, warm.median)).toBeLessThanOrEqual(cold.matedDays.max);
    // However long they lay in the cold.
    expect(hatchForecast({ ...asked, laidFrom: addDays(TODAY, -300), warmSince: TODAY })).toEqual(warm);
  });

  it('that do not hatch without a male, and days that cannot be, are refused by name', () => {
    const ground = eggsOf('ground-stick-insect');
    expect(refusalOf(() => hatchForecast(laid(10, { kind: ground, mating: 'unmated' }))).fields[0]?.path).toBe(
      'mating',
    );
    expect(refusalOf(() => hatchForecast(laid(-1))).fields[0]?.path).toBe('laidFrom');
    expect(refusalOf(() => hatchForecast(laid(5, { laidTo: addDays(TODAY, -9) }))).fields[0]?.path).toBe('laidTo');
  });
});

describe('the surplus of a brood', () => {
  const expected = { median: 80, p90: 95 };
  it('is frozen as eggs, so that what hatches has a place', () => {
    const plan = surplusPlan(STICK, 100, expected, { keep: 20, passOn: 20, feedOff: 0 });
    expect(plan).toMatchObject({ placed: 40, freezeEggs: 50, mayExceedBy: 8 });
    expect(surplusPlan(STICK, 100, expected, { keep: 0, passOn: 0, feedOff: 0 }).freezeEggs).toBe(100);
    expect(surplusPlan(STICK, 100, expected, { keep: 100, passOn: 0, feedOff: 0 })).toMatchObject({
      freezeEggs: 0,
      mayExceedBy: 0,
    });
  });

  it('is never fed off where it is venomous, or carries parasites', () => {
    for (const profile of ['communal-assassin-bug', 'ground-tarantula', 'land-snail', 'millipede-tropical']) {
      const refusal = refusalOf(() => surplusPlan(eggsOf(profile), 50, expected, { keep: 5, passOn: 0, feedOff: 1 }));
      expect(refusal.fields[0]?.path).toBe('feedOff');
    }
  });
});

describe('what is kept', () => {
  it('loses some each week and grows by its usual moults, up to the size of its kind', () => {
    const profile = profileOf('stick-insect');
    const hatching = [{ count: 60, daysBefore: 0 }];
    const after = (days: number) => rearedAfter(profile, [{ count: 60, daysBefore: days }], 3, 25);
    expect(rearedAfter(profile, hatching, 3, 25).heads).toBe(60);
    expect(after(7).heads).toBe(58);
    expect(after(7).cohorts[0]?.heads).toBeCloseTo(58.2, 6);
    expect(after(60).sizeMm ?? 0).toBeGreaterThan(after(5).sizeMm ?? 0);
    const old = rearedAfter(profile, [{ count: 60, daysBefore: 2000 }], 0, 25);
    expect(old.sizeMm).toBeCloseTo(profile.growth.grownMm.value, 6);
    expect(old.stage).toBe('adult');
    // Those that are not out yet are not counted.
    expect(rearedAfter(profile, [{ count: 60, daysBefore: -5 }], 3, 25).heads).toBe(0);
    // A week in which next to nothing of an egg was likely makes nobody the oldest.
    const spread = rearedAfter(
      profile,
      [
        { count: 1e-252, daysBefore: 180 },
        { count: 0.2, daysBefore: 100 },
        { count: 0.4, daysBefore: 90 },
        { count: 20, daysBefore: 10 },
      ],
      0,
      25,
    );
    expect(spread).toMatchObject({ heads: 21, sizeMm: after(90).sizeMm });
    expect(spread.cohorts.map(({ heads }) => heads)).toEqual([expect.closeTo(0.6, 9), 20]);
  });
});

describe('moths', () => {
  const LUNA = shippedMoths.find((each) => each.profiles.includes('moth-tropical')) as MothKind;
  const cocoon = (sex: Cocoon['sex'], daysAgo: number, count = 2): Cocoon => ({
    ...{ id: `${sex} ${daysAgo}`, sex, count },
    on: addDays(TODAY, -daysAgo),
  });
  const of = (cocoons: Cocoon[], temperatureC = 25) => meeting({ kind: LUNA, cocoons, temperatureC, asOf: TODAY });

  it('whose cocoons were closed together are out together, and nothing is held back', () => {
    const { meetPct, hold, female, male } = of([cocoon('female', 10, 4), cocoon('male', 8, 4)]);
    expect(meetPct).toBeGreaterThan(85);
    expect(hold?.days ?? 0).toBeLessThan(12);
    expect(daysBetween(TODAY, female?.median ?? '')).toBeGreaterThan(5);
    expect(male?.p10 !== undefined && male.p10 <= (male.p90 ?? '')).toBe(true);
  });

  it('that would miss each other by weeks meet when the earlier ones are held back', () => {
    const { meetPct, hold } = of([cocoon('female', 2), cocoon('male', 30)]);
    expect(meetPct).toBeLessThan(60);
    expect(hold?.sex).toBe('male');
    expect(hold?.meetPct).toBeGreaterThan(meetPct + 20);
    const turned = of([cocoon('female', 30), cocoon('male', 2)]);
    expect(turned.hold?.sex).toBe('female');
  });

  it('that are male come out ahead of females closed on the same day, by the days of their kind', () => {
    const { female, male } = of([cocoon('female', 3, 1), cocoon('male', 3, 1)]);
    const ahead = daysBetween(male?.median ?? '', female?.median ?? '');
    expect(Math.abs(ahead - LUNA.malesAheadDays.value)).toBeLessThanOrEqual(2);
  });

  it('of one sex alone have no night, and a cocoon of tomorrow is refused', () => {
    expect(of([cocoon('female', 10)])).toMatchObject({ male: null, meetPct: 0, hold: null, pairOn: null });
    expect(refusalOf(() => of([cocoon('female', -1)])).fields[0]?.path).toBe('cocoons.0.on');
  });
});

describe('those that lay', () => {
  const sticks = shippedPopulations.find((each) => each.profiles.includes('stick-insect')) as PopulationKind;
  const asked = { kind: sticks, females: 6, temperatureC: sticks.warmth.referenceC.value, asOf: TODAY, weeks: 30 };

  // Common practice, no source: to 1,000 eggs a female of the kinds that lay most; a kind of every day lays some hundreds.
  it('lay at the rate of their kind while they live, some hundreds each, whatever their box', () => {
    const { eggsPerWeek, eggsInAll, weeks, livesUntil } = layersForecast({ ...asked, grownSince: TODAY });
    const rate = sticks.laying.by === 'female' ? sticks.laying.perWeek.value : NaN;
    expect(eggsPerWeek.median / (6 * rate)).toBeCloseTo(1, 1);
    expect(eggsInAll.median / 6).toBeGreaterThan(100);
    expect(eggsInAll.median / 6).toBeLessThan(1000);
    const life = daysBetween(TODAY, livesUntil.median);
    expect(Math.abs(life / sticks.adultLifeDays.value - 1)).toBeLessThan(0.1);
    // What is laid in all weeks is what is laid in all.
    const long = layersForecast({ ...asked, grownSince: TODAY, weeks: 104 });
    expect(sum(long.weeks.map(({ median }) => median)) / long.eggsInAll.median).toBeCloseTo(1, 1);
    for (const [index, week] of weeks.entries())
      expect(week.median).toBeLessThanOrEqual((weeks[index - 1]?.median ?? Infinity) + 1e-9);
  });

  it('have less before them the older they are, and lay nothing in the cold', () => {
    const inAll = (daysAgo: number) =>
      layersForecast({ ...asked, grownSince: addDays(TODAY, -daysAgo) }).eggsInAll.median;
    expect(inAll(100)).toBeLessThan(inAll(0));
    expect(inAll(200)).toBeLessThan(inAll(100));
    expect(inAll(100)).toBeGreaterThan(0);
    expect(layersForecast({ ...asked, temperatureC: 2 }).eggsPerWeek.p90).toBe(0);
    const ants = shippedPopulations.find(({ laying }) => laying.by === 'queen') as PopulationKind;
    expect(refusalOf(() => layersForecast({ ...asked, kind: ants })).fields[0]?.path).toBe('profile');
  });
});

describe('caterpillars', () => {
  const luna = shippedMoths.find(({ species }) => species?.includes('Actias luna')) as MothKind;
  const at = luna.warmth.referenceC.value;
  it('spin by their age at any warmth, and by their instar where nobody knows it', () => {
    const born = spinsOn({ kind: luna, bornOn: TODAY, temperatureC: at, asOf: TODAY });
    expect(daysBetween(TODAY, born.from)).toBe(luna.larvaDays.min);
    expect(daysBetween(TODAY, born.to)).toBe(luna.larvaDays.max);
    const cool = spinsOn({ kind: luna, bornOn: TODAY, temperatureC: (at + luna.warmth.baseC.value) / 2, asOf: TODAY });
    expect(daysBetween(TODAY, cool.median) / daysBetween(TODAY, born.median)).toBeCloseTo(2, 1);
    const [first, last] = [1, 5].map((instar) => spinsOn({ kind: luna, instar, temperatureC: at, asOf: TODAY }));
    expect(daysBetween(TODAY, first?.median ?? TODAY)).toBeCloseTo(0.9 * daysBetween(TODAY, born.median), 0);
    expect(daysBetween(TODAY, last?.median ?? TODAY)).toBeCloseTo(0.1 * daysBetween(TODAY, born.median), 0);
    // What is over is today.
    expect(spinsOn({ kind: luna, bornOn: addDays(TODAY, -90), temperatureC: at, asOf: TODAY }).to).toBe(TODAY);
    expect(refusalOf(() => spinsOn({ kind: luna, instar: 6, temperatureC: at, asOf: TODAY })).fields[0]?.path).toBe(
      'instar',
    );
  });

  it('come out of cocoons that waited by so many days after they are warm, and those held back later by what they were held', () => {
    const cocoon = { id: 'c', sex: 'female' as const, on: addDays(TODAY, -200), count: 5 };
    const woken = meeting({
      kind: luna,
      cocoons: [{ ...cocoon, warmOn: addDays(TODAY, 30) }],
      temperatureC: at,
      asOf: TODAY,
    });
    const days = daysBetween(TODAY, woken.female?.median ?? TODAY);
    expect(days).toBeGreaterThan(30 + luna.wakeDays.min - 6);
    expect(days).toBeLessThan(30 + luna.wakeDays.max);
    const out = (coolDays: number) => {
      const held = { ...cocoon, on: addDays(TODAY, -30), temperatureC: luna.holdC.value, coolDays };
      return daysBetween(
        TODAY,
        meeting({ kind: luna, cocoons: [held], temperatureC: at, asOf: TODAY }).female?.median ?? TODAY,
      );
    };
    expect(out(20)).toBeGreaterThan(out(0));
  });
});
