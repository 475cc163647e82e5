import fc from 'fast-check';
import { materials } from '@/contract/testing/profileOf';
import { shippedMixes, shippedProfiles } from '@/contract/shipped';
import { airFlow } from '@/core/climate/airFlow';
import { forecastMoisture, staleAir } from '@/core/climate/forecast';
import { questionOf, recipeIn, usualAirChangesPerHour, USUAL_ROOM, wishesOf } from '@/core/climate/homeAir';
import type { Container, Vent } from '@/core/housing/container';
import { fit, statusOf, worse } from '@/core/housing/fit';
import { prepareHomes, rankHomes, rankPrepared } from '@/core/housing/rank';
import { flat, withMeanDepth } from '@/core/housing/soil';

const side = fc.constantFrom('front', 'back', 'left', 'right', 'lid' as const);
const vent = fc.record({
  side: side as fc.Arbitrary<Vent['side']>,
  shape: fc.constant('hole' as const),
  count: fc.integer({ min: 1, max: 20 }),
  diameterMm: fc.double({ min: 1, max: 12, noNaN: true }),
  share: fc.double({ min: 0.3, max: 0.95, noNaN: true }),
});
const container = fc
  .record({
    lengthMm: fc.integer({ min: 60, max: 700 }),
    widthMm: fc.integer({ min: 60, max: 500 }),
    heightMm: fc.integer({ min: 60, max: 600 }),
    lid: fc.constantFrom('solid', 'vented', 'mesh' as const),
    lidFit: fc.constantFrom('gasket', 'click', 'loose' as const),
    walls: fc.constantFrom('plastic', 'glass', 'acrylic' as const),
    vents: fc.array(vent, { maxLength: 4 }),
  })
  .map(({ vents, ...rest }): Container => ({
    ...{ shape: 'box', ...rest, lid: rest.lid as Container['lid'] },
    vents: vents.map(({ share, ...each }) => ({ ...each, centreHeightMm: share * rest.heightMm })),
  }));
const profiles = shippedProfiles.filter(({ nest }) => !nest);
const question = fc.record({
  container,
  profile: fc.constantFrom(...profiles),
  soil: fc.double({ min: 0, max: 0.6, noNaN: true }),
  size: fc.double({ min: 0.2, max: 1, noNaN: true }),
});

describe('one box, asked about in every way', () => {
  it('fits the same in the fit, in the choice and in the ranking of many', () => {
    fc.assert(
      fc.property(question, ({ container: box, profile, soil, size }) => {
        const stage = profile.stages.at(-1) ?? 'adult';
        const takes = (profile.measure.usualMm?.value ?? profile.growth.grownMm.value) * size;
        const animal = { stage, [profile.measure.takes]: takes, headCount: 6 };
        const substrateDepthMm = soil * box.heightMm;
        const home = { id: 'x', code: 'X', container: box, substrateDepthMm };
        const asked = { ...home, airChangesPerHour: usualAirChangesPerHour(home) };
        const [ranked] = rankHomes(profile, animal, [asked]);
        if (!ranked) throw new Error('a box was expected');
        const { scores } = rankPrepared(profile, animal, prepareHomes([asked]));
        const score = statusOf(scores[0] ?? NaN);
        if (ranked.drill) return;
        const surface = withMeanDepth(flat(substrateDepthMm), ranked.depthMm);
        const alone = fit(profile, { ...animal, ...home, soil: surface, substrateDepthMm: ranked.depthMm });
        expect(ranked.fit.verdict).toBe(alone.verdict);
        expect(ranked.verdict).toBe(worse(alone.verdict, ranked.air?.status ?? 'pass'));
        expect(score).toBe(ranked.verdict);
      }),
      { numRuns: 1000 },
    );
  });

  it('has the same air by its openings, in the choice and by its forecast', () => {
    fc.assert(
      fc.property(question, ({ container: box, profile, soil }) => {
        const stage = profile.stages.at(-1) ?? 'adult';
        const home = { container: box, substrateDepthMm: Math.max(5, soil * box.heightMm) };
        const recipe = recipeIn({}, profile, [...shippedMixes]);
        const forecast = forecastMoisture(
          questionOf(profile, stage, home, USUAL_ROOM, recipe, materials, 1),
          wishesOf(profile),
        );
        const openings = airFlow({
          ...{ container: box, soil: flat(home.substrateDepthMm), warmingK: 0 },
          ...{ temperatureC: USUAL_ROOM.temperatureC, draughtMS: USUAL_ROOM.draughtMS },
        });
        const choice = usualAirChangesPerHour(home);
        // Damp air rises: by its openings alone a box has a little less than with what is in it.
        expect(openings.airChangesPerHour).toBeLessThanOrEqual(choice + 1e-9);
        expect(forecast.airChangesPerHour).toBeGreaterThanOrEqual(0.95 * openings.airChangesPerHour);
        expect(forecast.airChangesPerHour).toBeLessThan(1.5 * choice + 0.1);
        const { airChangesPerHour, steadyRelativeHumidityPct } = forecast;
        expect(forecast.staleAir).toBe(
          staleAir(airChangesPerHour, steadyRelativeHumidityPct, profile.climate.airChangesPerHour.value),
        );
      }),
      { numRuns: 1000 },
    );
  });
});
