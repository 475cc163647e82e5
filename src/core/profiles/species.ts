import type { CareProfile, FitRule, Fact } from './profile';

/** What a species does otherwise than the profile it names. Rules replace those of the same id; others are added. */
export interface SpeciesOverrides {
  grownMm?: Fact;
  usualMm?: Fact;
  youngWidthMm?: Fact;
  proportions?: CareProfile['proportions'];
  fit?: FitRule[];
  making?: Partial<CareProfile['making']>;
  climate?: Partial<CareProfile['climate']>;
  /** Ids of the plants that it eats, the usual one first. */
  plants?: string[];
}

/** The profile as it holds for a species: its own numbers where it has any. */
export function withOverrides(profile: CareProfile, overrides: SpeciesOverrides | undefined): CareProfile {
  if (!overrides) return profile;
  const { grownMm, usualMm, youngWidthMm, proportions, fit, making, climate, plants } = overrides;
  const own = fit ?? [];
  return {
    ...profile,
    growth: grownMm ? { ...profile.growth, grownMm } : profile.growth,
    measure: usualMm ? { ...profile.measure, usualMm } : profile.measure,
    proportions: { ...profile.proportions, ...proportions },
    making: { ...profile.making, ...making },
    climate: { ...profile.climate, ...climate },
    ...(plants && profile.diet && 'plants' in profile.diet && { diet: { ...profile.diet, plants } }),
    ...(youngWidthMm && { young: { widthMm: youngWidthMm } }),
    fit: [
      ...profile.fit.map((rule) => own.find((each) => each.id === rule.id && each.school === rule.school) ?? rule),
      ...own.filter((rule) => !profile.fit.some((each) => each.id === rule.id && each.school === rule.school)),
    ],
  };
}
