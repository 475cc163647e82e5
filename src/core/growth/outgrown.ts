import { fit, type Animal } from '@/core/housing/fit';
import type { HomeState } from '@/core/housing/quantities';
import { withMeanDepth } from '@/core/housing/soil';
import type { CareProfile } from '@/core/profiles/profile';

/** Sizes are tried in steps of this ratio. */
const STEP = 1.03;
/** Animals larger than their kind usually becomes are looked at up to this many times its size. */
const LARGEST = 1.3;

/**
 * The size of the taken measure from which a home no longer serves, however it is filled: the first one, growing, at
 * which it fails with its best depth of soil. Null where it serves for life, and where it fails as it is. mm
 */
export function outgrownAtMm(profile: CareProfile, animal: Animal, home: HomeState): number | null {
  const now = animal[profile.measure.takes];
  if (now === undefined) return null;
  const failsAt = (mm: number) => {
    const larger = {
      stage: animal.stage,
      headCount: animal.headCount,
      headsTogether: animal.headsTogether,
      isGuest: animal.isGuest,
      school: animal.school,
      [profile.measure.takes]: mm,
    };
    const answer = fit(profile, { ...larger, ...home });
    if (answer.verdict !== 'fail') return false;
    const best = answer.substrateDepthMm.recommended;
    if (best === null) return true;
    const soil = home.soil && withMeanDepth(home.soil, best);
    return fit(profile, { ...larger, ...home, soil, substrateDepthMm: best }).verdict === 'fail';
  };
  if (failsAt(now)) return null;
  for (let mm = now * STEP; mm <= profile.growth.grownMm.value * LARGEST; mm *= STEP) {
    if (failsAt(mm)) return mm;
  }
  return null;
}
