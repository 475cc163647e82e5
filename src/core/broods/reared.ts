import { usualIntervalDays } from '@/core/growth/pace';
import type { CareProfile, Stage } from '@/core/profiles/profile';
import { hatchlingMm } from '@/core/profiles/eggs';

export interface Reared {
  /** Heads that are alive then. */
  heads: number;
  /** The taken measure of the oldest; null for kinds that are not measured. mm */
  sizeMm: number | null;
  stage: Stage;
}

/**
 * What becomes of hatchlings that are all kept: how many are alive, and how large the oldest are, after so many days.
 * @param hatching how many hatch, and how many days before
 * @param weeklyDeathPct while they are small
 */
export function rearedAfter(
  profile: CareProfile,
  hatching: readonly { count: number; daysBefore: number }[],
  weeklyDeathPct: number,
  temperatureC: number,
): Reared {
  const young = hatching.filter((each) => each.daysBefore >= 0 && each.count > 0);
  const heads = young.reduce(
    (sum, { count, daysBefore }) => sum + count * (1 - weeklyDeathPct / 100) ** (daysBefore / 7),
    0,
  );
  const oldest = Math.max(0, ...young.map((each) => each.daysBefore));
  return { heads, ...grownBy(profile, oldest, temperatureC) };
}

/** Size and stage of a hatchling after so many days, by its usual moults. */
function grownBy(profile: CareProfile, days: number, temperatureC: number): Omit<Reared, 'heads'> {
  const stages = profile.stages.filter((each) => each !== 'egg');
  const first = stages[0] ?? 'nymph';
  const hatchling = hatchlingMm(profile);
  if (hatchling === null) return { sizeMm: null, stage: first };
  const { ratioPerMoult, grownMm } = profile.growth;
  let [sizeMm, left, stage] = [hatchling, days, first];
  for (let moult = 0; moult < MOST_MOULTS && sizeMm < grownMm.value; moult += 1) {
    const interval = usualIntervalDays(profile, stage, temperatureC);
    if (interval === null || left < interval) break;
    left -= interval;
    sizeMm = Math.min(grownMm.value, sizeMm * ratioPerMoult.value);
    // Stages follow one another as the size does: the last is reached with the grown size.
    const grown = Math.log(sizeMm / hatchling) / Math.log(grownMm.value / hatchling);
    stage = stages[Math.min(stages.length - 1, Math.floor(grown * (stages.length - 1) + 1e-9))] ?? stage;
  }
  return { sizeMm, stage };
}

const MOST_MOULTS = 40;
