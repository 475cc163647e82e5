import type { CareProfile } from './profile';

/** Width of an egg whose young nobody has measured, mm; from memory. */
const USUAL_EGG_MM = 2;

/**
 * How eggs of a kind are kept apart from their parents: damped or misted like them, never fed or moved for their size;
 * of the rules of the home those hold that keep hatchlings in. Kinds that have a stage of eggs keep their own profile.
 */
export function asEggs(profile: CareProfile): CareProfile {
  if (profile.stages.includes('egg')) return profile;
  const { feeding: _fed, ...rest } = profile;
  const [first] = profile.stages;
  return {
    ...rest,
    stages: ['egg', ...profile.stages],
    lives: 'ground',
    schools: [],
    measure: {
      ...profile.measure,
      usualMm: profile.young?.widthMm ?? { value: USUAL_EGG_MM, basis: 'from memory' },
    },
    growth: { ...profile.growth, grownStages: [...profile.growth.grownStages, 'egg'] },
    company: { ...profile.company, sameKind: 'group', role: 'cleaner' },
    fit: profile.fit.filter((rule) => [rule.min, rule.max].some((limit) => limit?.of === 'youngWidthMm')),
    work: profile.work
      .filter((work) => work.work === 'mist' && first !== undefined && work.stages.includes(first))
      .map((work) => ({ ...work, stages: ['egg'] })),
    quietAfterMoult: [],
    leaveAloneSigns: [],
  };
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
