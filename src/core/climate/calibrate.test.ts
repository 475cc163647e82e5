import fc from 'fast-check';
import { materials } from '@/contract/testing/profileOf';
import { flat } from '@/core/housing/soil';
import { calibrate, type Measured } from './calibrate';
import { moistBox } from './moistBox';
import { USUAL_SPREAD } from './spread';
import { followMoisture, NO_FACTORS, type BoxFactors } from './moisture';

const box = moistBox(
  {
    shape: 'box',
    lengthMm: 300,
    widthMm: 200,
    heightMm: 150,
    lid: 'solid',
    vents: (['left', 'right'] as const).map((side) => ({
      side,
      shape: 'hole',
      count: 8,
      diameterMm: 5,
      centreHeightMm: 110,
    })),
  },
  { soil: flat(50), recipe: [{ material: 'coir', parts: 1 }], dampSharePct: 50, litterDepthMm: 10 },
  materials,
);
const question = {
  box,
  wetness: { damp: 0.6, dry: 0.3 },
  room: { temperatureC: 23, relativeHumidityPct: 45, draughtMS: 0.1 },
  warmingK: 0,
  stepMinutes: 60,
};

/** What probe and scale would say of a box with these factors, with their errors, for ten days. */
function measuredOf(factors: BoxFactors, seed: number, what: { probe: boolean; scale: boolean }): Measured {
  const course = followMoisture({ ...question, days: 10, factors });
  // Even noise from -1 to 1 that depends on the seed and the place alone.
  const of = (index: number) => {
    const wave = Math.sin(seed * 12.9898 + index * 78.233) * 43_758.5453;
    return seed === 0 ? 0 : 2 * (wave - Math.floor(wave)) - 1;
  };
  return {
    humidity: what.probe
      ? Array.from({ length: 60 }, (_, index) => ({
          hour: 4 * index,
          relativeHumidityPct: (course.relativeHumidityPct[4 * index] ?? 0) + 1.5 * of(index),
        }))
      : [],
    masses: what.scale
      ? Array.from({ length: 11 }, (_, index) => ({
          hour: 24 * index,
          massG: 2400 - (course.lostMl[24 * index] ?? 0) + 0.5 * of(index * 7 + 3),
        }))
      : [],
  };
}

const seeds = fc.integer({ min: 1, max: 1_000_000 });
/** A failure is not made smaller: each try takes seconds. */
const RUNS = { numRuns: 8, endOnFailure: true };
const factor = fc.double({ min: -1, max: 1, noNaN: true }).map((each) => 3 ** each);

describe('setting a box right by its readings', () => {
  it('recovers planted factors from noisy readings and weighings', () => {
    fc.assert(
      fc.property(factor, factor, seeds, (draught, surface, seed) => {
        const fit = calibrate(question, measuredOf({ draught, surface }, seed, { probe: true, scale: true }));
        // Where the planted box is so like its kind that the noise hides the difference, the default stays.
        const { factors } = fit;
        expect(Math.abs(Math.log(factors.draught / draught))).toBeLessThan(Math.log(1.35));
        // Of a very wet surface the humidity hardly tells how wet: the air is nearly saturated either way, and what is usual pulls.
        // How unsure that leaves it is told as well.
        const unsure = factors.spread?.surface ?? USUAL_SPREAD.surface;
        expect(Math.abs(Math.log(factors.surface / surface))).toBeLessThan(Math.log(1.8) + 2 * unsure);
        // What the data told is surer than it was before.
        if (fit.kept === null) {
          expect(factors.spread?.draught).toBeLessThan(USUAL_SPREAD.draught);
          expect(factors.spread?.surface).toBeLessThanOrEqual(USUAL_SPREAD.surface);
        }
        expect(fit.humidityErrorPct?.after).toBeLessThan(2);
        expect(fit.massErrorG?.after).toBeLessThan(1.5);
      }),
      RUNS,
    );
  });

  it('fits the draught alone to humidity alone, and never makes the error larger', () => {
    fc.assert(
      fc.property(factor, seeds, (draught, seed) => {
        const fit = calibrate(question, measuredOf({ draught, surface: 1 }, seed, { probe: true, scale: false }));
        expect(fit.factors.surface).toBe(1);
        expect(fit.massErrorG).toBeNull();
        const { before, after } = fit.humidityErrorPct ?? { before: NaN, after: NaN };
        expect(after).toBeLessThanOrEqual(before + 1e-9);
        if (draught > 1.6 || draught < 0.6) expect(fit.fitted).toEqual(['draught']);
      }),
      RUNS,
    );
  });

  it('keeps the default where the data are too few, too short, or say nothing new', () => {
    const few = { humidity: [{ hour: 0, relativeHumidityPct: 60 }], masses: [] };
    expect(calibrate(question, few)).toMatchObject({ kept: 'too-few', factors: NO_FACTORS, fitted: [] });
    const short = Array.from({ length: 20 }, (_, index) => ({ hour: index / 4, relativeHumidityPct: 60 }));
    expect(calibrate(question, { humidity: short, masses: [] })).toMatchObject({ kept: 'too-short' });
    const same = measuredOf(NO_FACTORS, 0, { probe: true, scale: true });
    expect(calibrate(question, same)).toMatchObject({ kept: 'no-better', factors: NO_FACTORS });
  });
});
