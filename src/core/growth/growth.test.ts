import fc from 'fast-check';
import { profileOf } from '@/contract/testing/profileOf';
import { addDays, daysBetween } from '@/core/measure/day';
import { degreeDays, degreeDaysOf } from './degreeDays';
import { forgivingForecast, moultForecast, type MoultQuestion } from './forecast';
import { normalBelow, normalQuantile } from '@/core/numerics/normal';
import { areSiblings } from './kin';
import { learnPace, SPREAD, usualIntervalDays } from './pace';
import { usualMassG } from '@/core/profiles/weight';
import { premoultChance } from './premoult';
import { requireGrowth } from './historyChecks';
import { dyarRatio, learnGrowth } from './sizes';
import { logRank } from './logRank';
import { kaplanMeier } from './survival';

const TODAY = '2026-03-14';
const ago = (days: number) => addDays(TODAY, -days);
const profile = profileOf('ground-tarantula');
const forecast = (change: Partial<MoultQuestion> = {}) =>
  moultForecast({ profile, stage: 'juvenile', moults: [{ on: ago(60) }], asOf: TODAY, ...change });
const widthOf = (answer: ReturnType<typeof forecast>) =>
  answer.next ? daysBetween(answer.next.p10, answer.next.p90) : NaN;

/** Even chances from a seed (mulberry32). */
function chances(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

describe('the next moult', () => {
  it('has windows that hold the truth as often as they say', () => {
    const chance = chances(7);
    const normal = () => normalQuantile(Math.min(0.9999, Math.max(0.0001, chance())));
    const usual = usualIntervalDays(profile, 'juvenile') ?? NaN;
    let held = 0;
    const HISTORIES = 800;
    for (let history = 0; history < HISTORIES; history += 1) {
      const pace = SPREAD.kind * normal() + SPREAD.batch * normal() + SPREAD.animal * normal();
      const interval = () => Math.max(3, Math.round(usual * Math.exp(pace + SPREAD.moult * normal())));
      const seen = Math.floor(chance() * 7);
      const intervals = Array.from({ length: seen }, interval);
      const next = interval();
      const elapsed = Math.floor(chance() * next);
      let day = ago(elapsed);
      const moults = [{ on: day }];
      for (const each of intervals) moults.push({ on: (day = addDays(day, -each)) });
      const window = forecast({ moults, ahead: 1 }).next;
      const truth = addDays(TODAY, next - elapsed);
      if (window && truth >= window.p10 && truth <= window.p90) held += 1;
    }
    expect(held / HISTORIES).toBeGreaterThan(0.75);
    expect(held / HISTORIES).toBeLessThan(0.85);
  });

  it('never lies before today, however long overdue, and is the same whenever it is asked', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 3000 }), (days) => {
        const answer = forecast({ moults: [{ on: ago(days) }, { on: ago(days + 100) }] });
        expect((answer.next?.p10 ?? '') >= TODAY).toBe(true);
        expect((answer.next?.median ?? '') >= (answer.next?.p10 ?? '')).toBe(true);
        expect(forecast({ moults: [{ on: ago(days + 100) }, { on: ago(days) }] })).toEqual(answer);
      }),
      { numRuns: 25 },
    );
  });

  it('comes no later with more warmth', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 12, max: 30, noNaN: true }),
        fc.double({ min: 0.5, max: 6, noNaN: true }),
        (t, more) => {
          const median = (temperatureC: number) => forecast({ temperatureC, moults: [] }).next?.median ?? '';
          expect(median(t + more) <= median(t)).toBe(true);
          expect(usualIntervalDays(profile, 'juvenile', t + more)).toBeLessThanOrEqual(
            usualIntervalDays(profile, 'juvenile', t) ?? NaN,
          );
        },
      ),
      { numRuns: 25 },
    );
  });

  it('counts each day with the warmth it was lived in', () => {
    // Four intervals at 18 C and then 25: by degree-days over 10 C the animal's own pace is that of one that lived at 25 C throughout.
    const factor = 15 / 8;
    const at = (days: number, temperatureC: number) =>
      [400, 300, 200, 100].map((n) => ({ on: ago(10 + n * days), temperatureC }));
    const warm = forecast({ moults: at(1, 25), temperatureC: 25 });
    const cold = forecast({ moults: at(factor, 18), temperatureC: 25 });
    expect(cold.grounds.paceTimes).toBeCloseTo(warm.grounds.paceTimes, 1);
    // Sixty days at 18 C are as thirty-two at 25 C.
    const since = (days: number, sinceTemperatureC: number) =>
      forecast({ moults: [{ on: ago(days) }], temperatureC: 25, sinceTemperatureC }).next;
    expect(since(60, 18)?.median).toBe(since(32, 25)?.median);
    // And the cooler it is from now on, the later.
    const ahead = (temperatureC: number) =>
      daysBetween(TODAY, forecast({ temperatureC, sinceTemperatureC: 25 }).next?.median ?? TODAY);
    expect(ahead(18)).toBeGreaterThan(1.6 * ahead(25));
  });

  it('has a window that more data narrow on the average, and that shifts to the animal’s own pace', () => {
    const steady = (count: number, days: number) =>
      Array.from({ length: count }, (_, index) => ({ on: ago(20 + index * days) }));
    const widths = [1, 3, 6].map((count) => widthOf(forecast({ moults: steady(count, 110) })));
    expect(widths[1]).toBeLessThan(widths[0] ?? 0);
    expect(widths[2]).toBeLessThan(widths[1] ?? 0);
    const slow = forecast({ moults: steady(6, 220) });
    expect(slow.grounds.paceTimes).toBeGreaterThan(1.7);
    expect(slow.grounds.ownIntervals).toBe(5);
    const others = Array.from({ length: 5 }, () => steady(5, 220));
    expect(forecast({ moults: steady(1, 1), others }).grounds.paceTimes).toBeGreaterThan(1.4);
  });

  it('learns more from a sibling than from another of its kind, and nothing from itself twice', () => {
    const slow = Array.from({ length: 5 }, (_, index) => ({ on: ago(20 + index * 220) }));
    const paceWith = (change: Partial<MoultQuestion>) => forecast({ moults: [], ...change }).grounds.paceTimes;
    const [usual, ofKind, ofBatch] = [paceWith({}), paceWith({ others: [slow] }), paceWith({ siblings: [slow] })];
    expect(ofKind).toBeGreaterThan(usual);
    expect(ofBatch).toBeGreaterThan(ofKind);
    expect(forecast({ siblings: [slow] }).grounds).toMatchObject({ siblings: 1, otherAnimals: 0 });
    expect(
      areSiblings({ motherId: null, outOfId: 'x', batch: null }, { motherId: 'x', outOfId: 'x', batch: null }),
    ).toBe(true);
    const unknown = { motherId: null, outOfId: null, batch: null };
    expect(areSiblings(unknown, unknown)).toBe(false);
  });

  it('comes sooner when signs say so, as often as Bayes says, and later when its days are counted again', () => {
    const plain = forecast();
    const signed = forecast({ signs: ['bald-patch-dark', 'contractions'] });
    expect((signed.next?.median ?? '') < (plain.next?.median ?? '')).toBe(true);
    expect(signed.next?.p10 ?? '').toBe(plain.next?.p10 === TODAY ? TODAY : (signed.next?.p10 ?? ''));
    const close = forecast({ signs: ['dark'] });
    const days = daysBetween(TODAY, close.next?.median ?? '');
    if (close.premoultPct > 50) expect(days).toBeLessThanOrEqual(close.grounds.closeDays);
    // Within 7 days is part of the close window: it grows by the same factor.
    const factor = close.premoultPct / close.grounds.priorPct;
    expect(close.next?.within7DaysPct ?? NaN).toBeCloseTo((plain.next?.within7DaysPct ?? NaN) * factor, 0);
  });

  it('is not forecast for those that moult no more', () => {
    expect(moultForecast({ profile: profileOf('mantis'), stage: 'adult', moults: [], asOf: TODAY }).next).toBeNull();
    expect(
      moultForecast({ profile: profileOf('land-snail'), stage: 'adult', moults: [], asOf: TODAY }).next,
    ).toBeNull();
  });

  it.each([
    ['after today', { moults: [{ on: addDays(TODAY, 1) }] }, 'moults.0.on'],
    ['before its birth', { bornOn: ago(30), moults: [{ on: ago(40) }] }, 'moults.0.on'],
    ['twice on a day', { moults: [{ on: ago(5) }, { on: ago(5) }] }, 'moults.1.on'],
    [
      'to a smaller size',
      {
        moults: [
          { on: ago(90), sizeMm: 60 },
          { on: ago(5), sizeMm: 40 },
        ],
      },
      'moults.1.sizeMm',
    ],
  ] as const)('cannot have been %s', (_, change, path) => {
    expect(() => forecast(change as never)).toThrow(path);
    const forgiven = forgivingForecast({
      profile,
      stage: 'juvenile',
      asOf: TODAY,
      ...(change as object),
    } as MoultQuestion);
    expect(forgiven.next).toEqual(forecast({ moults: [] }).next);
  });
});

describe('sizes', () => {
  it('grow by the ratio of the kind, drawn towards the animal’s own', () => {
    const moults = [
      { on: ago(200), sizeMm: 40 },
      { on: ago(90), sizeMm: 50 },
    ];
    const answer = forecast({ moults });
    const [first, second] = answer.sizeMm;
    expect(first?.median ?? NaN).toBeGreaterThan(55);
    expect(first?.median ?? NaN).toBeLessThan(70);
    expect(second?.median).toBeGreaterThan(first?.median ?? Infinity);
    expect((first?.p90 ?? 0) - (first?.p10 ?? 0)).toBeGreaterThan(2);
    expect(answer.moultsToAdult?.median).toBeGreaterThan(2);
    // Nobody grows for ever: about the size that is usual for a grown one.
    const grown = forecast({ sizeMm: 140 }).sizeMm.at(-1);
    expect(grown?.median ?? NaN).toBeGreaterThan(140);
    expect(grown?.p90 ?? NaN).toBeLessThan(1.15 * profile.growth.grownMm.value);
    const limited = forecast({ moults, outgrownMm: 52 });
    expect(limited.outgrown?.median ?? '').toBe(limited.next?.median);
    expect(forecast({ moults, outgrownMm: 4000 }).outgrown).toBeNull();
  });

  // Przibram and Megusar (1912): 1.26 = the cube root of 2, mass doubling at each moult.
  it('learn a planted ratio; Przibram’s number is the cube root of two', () => {
    expect(Math.cbrt(2)).toBeCloseTo(1.26, 2);
    const { mean } = learnGrowth(
      profile,
      Array.from({ length: 30 }, () => 1.35),
    );
    expect(Math.exp(mean)).toBeCloseTo(1.35, 1);
    expect(Math.exp(learnGrowth(profile, []).mean)).toBeCloseTo(profile.growth.ratioPerMoult.value, 9);
  });

  // Dyar (1890), Psyche 5, 420-422: head widths of a caterpillar 0.21, 0.31, 0.47, 0.68, 1.0 mm run by about 1.48. From memory.
  it('give Dyar’s ratio of successive head widths', () => {
    expect(dyarRatio([0.21, 0.31, 0.47, 0.68, 1.0])).toBeCloseTo(1.48, 1);
  });
});

describe('a size written down', () => {
  const sizes = [
    { on: ago(100), sizeMm: 50 },
    { on: ago(20), sizeMm: 62 },
  ];
  it('may not shrink, whether it is written late or early', () => {
    expect(() => requireGrowth(profile, sizes, ago(10), 60)).not.toThrow();
    expect(() => requireGrowth(profile, sizes, ago(10), 40)).toThrow(/62 mm was written down/);
    expect(() => requireGrowth(profile, sizes, ago(50), 90)).toThrow(/It would shrink/);
    expect(() => requireGrowth(profile, sizes, ago(150), 40)).not.toThrow();
  });
  it('has a usual weight by its cube', () => {
    const mass = usualMassG(profile, 120) ?? NaN;
    // From memory: a ground tarantula of 120 mm span weighs about 18 g.
    expect(mass).toBeCloseTo(18.1, 1);
    // Przibram and Megusar (1912): the mass doubles while the length grows by the cube root of 2.
    expect((usualMassG(profile, 120 * Math.cbrt(2)) ?? NaN) / mass).toBeCloseTo(2, 9);
    expect(usualMassG({ ...profile, massGPerCm3: undefined } as never, 10)).toBeNull();
  });
});

describe('signs', () => {
  it('raise the chance by their weight, the strongest whole', () => {
    expect(premoultChance(20, []).pct).toBeCloseTo(20, 9);
    // Odds 1 : 4, times 5 is 5 : 4.
    expect(premoultChance(20, ['dark']).pct).toBeCloseTo((100 * 5) / 9, 9);
    const both = premoultChance(20, ['dull', 'dark', 'dark']);
    expect(both.used).toHaveLength(2);
    expect(both.pct).toBeGreaterThan(premoultChance(20, ['dark']).pct);
    expect(both.pct).toBeLessThan(100);
    expect(forecast({ signs: ['contractions'] }).premoultPct).toBeGreaterThan(forecast().premoultPct);
  });
});

describe('degree-days', () => {
  const temperature = fc.double({ min: -5, max: 40, noNaN: true });
  it('of a sine are those of a fine numeric integration', () => {
    fc.assert(
      fc.property(temperature, fc.double({ min: 0, max: 25, noNaN: true }), temperature, (min, span, base) => {
        const steps = 20_000;
        const mean = min + span / 2;
        let sum = 0;
        for (let step = 0; step < steps; step += 1) {
          const t = mean + (span / 2) * Math.sin((2 * Math.PI * (step + 0.5)) / steps);
          sum += Math.min(Math.max(0, t - base), 8);
        }
        expect(degreeDays(min, min + span, base, base + 8)).toBeCloseTo(sum / steps, 3);
      }),
      { numRuns: 40 },
    );
  });
  it('grow with warmth, and are nothing under the base', () => {
    expect(degreeDays(2, 8, 10)).toBe(0);
    expect(degreeDays(15, 25, 10)).toBeCloseTo(10, 9);
    expect(() => degreeDays(20, 10, 5)).toThrow(/maxC/);
    expect(() => degreeDays(10, 20, 10, 8)).toThrow(/upperC/);
  });
  it('of a series add up its straight pieces', () => {
    const series = [
      { hour: 0, temperatureC: 5 },
      { hour: 12, temperatureC: 15 },
      { hour: 24, temperatureC: 15 },
    ];
    // Over 10 C: a triangle of 5 K through 6 h, then 5 K through 12 h: 0.625 + 2.5.
    expect(degreeDaysOf(series, 10)).toBeCloseTo(3.125, 9);
    expect(degreeDaysOf(series, 10, 12)).toBeLessThan(3.125);
  });
});

describe('survival', () => {
  // Freireich et al. (1963), 6-MP arm: 21 patients, weeks of remission, + still in remission; survival as in every textbook.
  const weeks = [6, 6, 6, 7, 10, 13, 16, 22, 23, 6, 9, 10, 11, 17, 19, 20, 25, 32, 32, 34, 35];
  const died = weeks.map((_, index) => index < 9);
  it('of the 6-MP arm is the published curve with Greenwood’s bounds', () => {
    const { steps, median } = kaplanMeier(weeks, died);
    expect(steps.map((step) => Number(step.survival.toFixed(3)))).toEqual([
      0.857, 0.807, 0.753, 0.69, 0.627, 0.538, 0.448,
    ]);
    expect(median).toBe(23);
    const [first] = steps;
    // 0.857 with standard error 0.0764.
    expect(first?.low).toBeCloseTo(0.857 - 1.96 * 0.0764, 2);
    expect(first?.high).toBe(1);
  });
  // R, survival::aml, maintained group: survfit(Surv(time, status) ~ 1) gives 0.909, 0.818, 0.716, 0.614, 0.491, 0.368, 0.184.
  it('of R’s aml is survfit’s', () => {
    const time = [9, 13, 13, 18, 23, 28, 31, 34, 45, 48, 161];
    const status = [1, 1, 0, 1, 1, 0, 1, 1, 0, 1, 0].map(Boolean);
    const { steps } = kaplanMeier(time, status);
    expect(steps.map((step) => Number(step.survival.toFixed(3)))).toEqual([
      0.909, 0.818, 0.716, 0.614, 0.491, 0.368, 0.184,
    ]);
  });
  it('of both groups of R’s aml differs as survdiff says: 3.4 on 1 degree of freedom, p = 0.0653', () => {
    const maintained = {
      durations: [9, 13, 13, 18, 23, 28, 31, 34, 45, 48, 161],
      died: [1, 1, 0, 1, 1, 0, 1, 1, 0, 1, 0].map(Boolean),
    };
    const other = {
      durations: [5, 5, 8, 8, 12, 16, 23, 27, 30, 33, 43, 45],
      died: [1, 1, 1, 1, 1, 0, 1, 1, 1, 1, 1, 1].map(Boolean),
    };
    const found = logRank(maintained, other);
    expect(found?.chiSquare).toBeCloseTo(3.396, 3);
    expect(found?.chancePct).toBeCloseTo(6.53, 2);
    // survdiff: observed 7, expected 10.69.
    expect(found).toMatchObject({ deaths: 7, expected: expect.closeTo(10.69, 2) as number });
    expect(logRank(other, maintained)?.chiSquare).toBeCloseTo(3.396, 3);
    const alive = { durations: [3, 4], died: [false, false] };
    expect(logRank(alive, alive)).toBeNull();
  });
  it('refuses lists that do not match and times before arrival', () => {
    expect(() => kaplanMeier([1, 2], [true])).toThrow(/died/);
    expect(() => kaplanMeier([1, -2], [true, false])).toThrow('durations.1');
  });
});

describe('the normal curve', () => {
  it('and its quantile undo one another', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.0002, max: 0.9998, noNaN: true }), (chance) => {
        expect(normalBelow(normalQuantile(chance))).toBeCloseTo(chance, 7);
      }),
    );
    expect(normalBelow(1.959963985)).toBeCloseTo(0.975, 9);
  });
  it('draws the pace of an unknown animal from what is usual', () => {
    expect(learnPace([], [], []).mean).toBeCloseTo(0, 12);
    expect(learnPace([0.5, 0.5, 0.5], [], []).mean).toBeGreaterThan(0.3);
  });
});
