import { profileOf } from '@/contract/profiles';
import type { Home, Resident } from '@/contract/records';
import { fit, type FitAnswer } from '@/core/housing/fit';
import { rankHomes, type RankedHome } from '@/core/housing/rank';
import { sectionPlan, type SectionPlan } from '@/core/housing/section';
import { bodyOf } from '@/core/profiles/animal';

type Measured = Pick<Resident, 'profile' | 'stage' | 'legSpanMm' | 'bodyLengthMm' | 'carapaceWidthMm'> & {
  school?: string | null;
};

const asked = (animal: Measured) => ({ ...animal, school: animal.school ?? undefined });

/** How a home suits an animal with its soil at a depth (its present one if not given), worked out on this device. */
export function fitOf(home: Home, animal: Measured, substrateDepthMm = home.substrateDepthMm): FitAnswer {
  return fit(profileOf(animal.profile), { ...asked(animal), container: home.container, substrateDepthMm });
}

/** The homes from best to worst for an animal. */
export function rankFor(animal: Measured, homes: Home[]): RankedHome[] {
  return rankHomes(profileOf(animal.profile), asked(animal), homes);
}

/** The cut through a home, with its animal where it has one. */
export function sectionOf(
  home: Home,
  animal: Measured | undefined,
  substrateDepthMm = home.substrateDepthMm,
): SectionPlan {
  if (!animal) return sectionPlan(home.container, substrateDepthMm, null);
  const profile = profileOf(animal.profile);
  const legSpanMm = bodyOf(profile, animal).legSpan.mm;
  return sectionPlan(home.container, substrateDepthMm, { stage: animal.stage, legSpanMm, lives: profile.lives });
}
