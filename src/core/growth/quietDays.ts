import type { CareProfile, Stage } from '@/core/profiles/profile';

/** Days of rest after a moult: the rule for the largest size the animal has reached. */
export function quietDaysAfterMoult(profile: CareProfile, stage: Stage, sizeMm: number): number {
  const rules = profile.quietAfterMoult.filter((rule) => rule.stages.includes(stage) && sizeMm >= (rule.fromMm ?? 0));
  return Math.max(0, ...rules.map((rule) => rule.days));
}
