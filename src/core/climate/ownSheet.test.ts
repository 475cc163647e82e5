import { materials } from '@/contract/testing/profileOf';
import { shippedBoxSizes, shippedMixes, shippedProfiles } from '@/contract/shipped';
import type { Container } from '@/core/housing/container';
import { drillPlan, ventsOf } from '@/core/housing/drilling';
import { fit } from '@/core/housing/fit';
import { forecastMoisture } from './forecast';
import { questionOf, recipeIn, USUAL_ROOM, wishesOf } from './homeAir';

// What a build sheet asks for, and what the air of a home is judged by, are one practice: common practice, no source.
describe('a box that was built by its own sheet', () => {
  const tubs = shippedBoxSizes.filter(({ container }) => container.opens !== 'zip');
  it.each(shippedProfiles.filter(({ nest }) => !nest).map((profile) => [profile.id, profile] as const))(
    'does not read stale: %s',
    (_, profile) => {
      const stage = profile.stages.at(-1) ?? 'adult';
      const measures = {
        [profile.measure.takes]: profile.measure.usualMm?.value ?? 0.8 * profile.growth.grownMm.value,
      };
      let built = 0;
      for (const { container: usual } of tubs) {
        const container: Container = { ...usual, vents: [], lid: 'solid', walls: 'plastic' };
        const substrateDepthMm = container.heightMm / 3;
        const answer = fit(profile, { ...measures, stage, container, substrateDepthMm });
        const depthMm = answer.substrateDepthMm.recommended ?? substrateDepthMm;
        const plan = drillPlan(profile, container, depthMm, answer.largestSafeOpeningMm);
        // Where too few holes fit, the sheet itself says so.
        if (plan.isShort) continue;
        built += 1;
        const home = { container: { ...container, vents: ventsOf(plan) }, substrateDepthMm: depthMm };
        const recipe = recipeIn({}, profile, [...shippedMixes]);
        const question = questionOf(profile, stage, home, USUAL_ROOM, recipe, materials, 3);
        expect(forecastMoisture(question, wishesOf(profile)).staleAir).not.toBe('stale');
      }
      expect(built).toBeGreaterThan(3);
    },
  );
});
