import type { CareProfile, FitRule } from './profile';

/** Width of an egg whose young nobody has measured, mm; from memory. */
const USUAL_EGG_MM = 2;

/**
 * How eggs of a kind are kept apart from their parents: damped or misted like them, never fed or moved for their size;
 * of the rules of the home those hold that keep hatchlings in. Kinds that have a stage of eggs keep their own profile, but that
 * nobody measures an egg; those of ants lie in the nest and belong to a colony.
 */
export function asEggs(profile: CareProfile): CareProfile {
  if (profile.silhouette === 'ant') return profile;
  const measure = {
    ...profile.measure,
    usualMm: profile.young?.widthMm ?? { value: USUAL_EGG_MM, basis: 'from memory' },
  };
  if (profile.stages.includes('egg')) return { ...profile, measure };
  const { feeding: _fed, diet: _eaten, ...rest } = profile;
  const [first] = profile.stages;
  return {
    ...rest,
    stages: ['egg', ...profile.stages],
    lives: 'ground',
    schools: [],
    measure,
    growth: { ...profile.growth, grownStages: [...profile.growth.grownStages, 'egg'] },
    company: { ...profile.company, sameKind: 'group', role: 'cleaner' },
    fit: hatchHole(profile),
    work: profile.work
      .filter((work) => work.work === 'mist' && first !== undefined && work.stages.includes(first))
      .map((work) => ({ ...work, stages: ['egg'] })),
    quietAfterMoult: [],
    leaveAloneSigns: [],
  };
}

/** The rule on holes, held against those that will hatch. */
function hatchHole({ fit, young }: CareProfile): FitRule[] {
  const holes = fit.filter((rule) => rule.quantity === 'widestOpeningMm');
  const rule = holes.find((each) => each.max?.of === 'youngWidthMm') ?? holes[0];
  if (!rule || !young) return [];
  const { stages: _ofTheGrown, ...always } = rule;
  return [{ ...always, max: { of: 'youngWidthMm', times: 1 } }];
}

/**
 * The usual size of a hatchling in the measure that is taken of its kind, from the width of its young; null where that
 * is not known. mm
 */
export function hatchlingMm({ young, measure, proportions }: CareProfile): number | null {
  if (measure.usualMm) return null;
  const widthPerTaken = measure.takes === 'carapaceWidthMm' ? 1 : proportions.carapaceWidthMm?.value;
  return young && widthPerTaken ? young.widthMm.value / widthPerTaken : null;
}
