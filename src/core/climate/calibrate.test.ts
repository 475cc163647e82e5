import fc from 'fast-check';
import { materials } from '@/contract/testing/profileOf';
import { flat } from '@/core/housing/soil';
import { calibrate, type Measured } from './calibrate';
import { moistBox } from './moistBox';
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
function measuredOf(factors: BoxFactors, noise: number[], what: { probe: boolean; scale: boolean }): Measured {
  const course = followMoisture({ ...question, days: 10, factors });
  const of = (index: number) => noise[index % noise.length] ?? 0;
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

const noises = fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 40, maxLength: 60 });
const factor = fc.double({ min: -1, max: 1, noNaN: true }).map((each) => 3 ** each);

describe('setting a box right by its readings', () => {
  it('recovers planted factors from noisy readings and weighings', () => {
    fc.assert(
      fc.property(factor, factor, noises, (draught, surface, noise) => {
        const fit = calibrate(question, measuredOf({ draught, surface }, noise, { probe: true, scale: true }));
        // Where the planted box is so like its kind that the noise hides the difference, the default stays.
        const { factors } = fit;
        expect(Math.abs(Math.log(factors.draught / draught))).toBeLessThan(Math.log(1.35));
        expect(Math.abs(Math.log(factors.surface / surface))).toBeLessThan(Math.log(1.35));
        expect(fit.humidityErrorPct?.after).toBeLessThan(2);
        expect(fit.massErrorG?.after).toBeLessThan(1.5);
      }),
      { numRuns: 8 },
    );
  });

  it('fits the draught alone to humidity alone, and never makes the error larger', () => {
    fc.assert(
      fc.property(factor, noises, (draught, noise) => {
        const fit = calibrate(question, measuredOf({ draught, surface: 1 }, noise, { probe: true, scale: false }));
        expect(fit.factors.surface).toBe(1);
        expect(fit.massErrorG).toBeNull();
        const { before, after } = fit.humidityErrorPct ?? { before: NaN, after: NaN };
        expect(after).toBeLessThanOrEqual(before + 1e-9);
        if (draught > 1.6 || draught < 0.6) expect(fit.fitted).toEqual(['draught']);
      }),
      { numRuns: 8 },
    );
  });

  it('keeps the default where the data are too few, too short, or say nothing new', () => {
    const few = { humidity: [{ hour: 0, relativeHumidityPct: 60 }], masses: [] };
    expect(calibrate(question, few)).toMatchObject({ kept: 'too-few', factors: NO_FACTORS, fitted: [] });
    const short = Array.from({ length: 20 }, (_, index) => ({ hour: index / 4, relativeHumidityPct: 60 }));
    expect(calibrate(question, { humidity: short, masses: [] })).toMatchObject({ kept: 'too-short' });
    const same = measuredOf(NO_FACTORS, [0], { probe: true, scale: true });
    expect(calibrate(question, same)).toMatchObject({ kept: 'no-better', factors: NO_FACTORS });
  });
});
