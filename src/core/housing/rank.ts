import type { CareProfile } from '@/core/profiles/profile';
import { floorAreaMm2, innerVolumeL, type Container } from './container';
import { compareStatus, fitter, type Animal, type FitAnswer, type Status } from './fit';

/** One home of the keeper's own. `code` is what it is called on the shelf. */
export interface CandidateHome {
  id: string;
  code: string;
  container: Container;
  substrateDepthMm: number;
}

export interface RankedHome {
  homeId: string;
  code: string;
  /** The depth the verdict was reached with: the present one where it serves, else the recommended one. mm */
  depthMm: number;
  /** Soil to add (or to take out, when negative) to get there. L */
  soilToAddL: number;
  fit: FitAnswer;
}

/**
 * Orders homes by how well they serve one animal, each filled to its best depth: verdict first, then fewer failing
 * and fewer watched rules, then the smaller home (less soil, and prey that is found), then the code. The order does
 * not depend on the order of `homes`.
 * @throws Refusal as `fit` does.
 */
export function rankHomes(profile: CareProfile, animal: Animal, homes: CandidateHome[]): RankedHome[] {
  const fitIn = fitter(profile, animal);
  const candidates = homes.map((home) => candidate(home, fitIn));
  candidates.sort(
    (a, b) =>
      compareStatus(a.ranked.fit.verdict, b.ranked.fit.verdict) ||
      a.failing - b.failing ||
      a.watched - b.watched ||
      a.volumeL - b.volumeL ||
      CODES.compare(a.ranked.code, b.ranked.code) ||
      (a.ranked.homeId < b.ranked.homeId ? -1 : 1),
  );
  return candidates.map((each) => each.ranked);
}

/** B9 before B10. */
const CODES = new Intl.Collator('en', { numeric: true });

interface Candidate {
  ranked: RankedHome;
  failing: number;
  watched: number;
  volumeL: number;
}

function candidate(
  { id, code, container, substrateDepthMm }: CandidateHome,
  fitIn: ReturnType<typeof fitter>,
): Candidate {
  const present = fitIn(container, substrateDepthMm);
  const depthMm = present.substrateDepthMm.recommended ?? substrateDepthMm;
  const best = depthMm === substrateDepthMm ? present : fitIn(container, depthMm);
  const soilToAddL = (floorAreaMm2(container) * (depthMm - substrateDepthMm)) / 1e6;
  const count = (status: Status) => best.checks.reduce((sum, check) => sum + (check.status === status ? 1 : 0), 0);
  return {
    ranked: { homeId: id, code, depthMm, soilToAddL, fit: best },
    failing: count('fail'),
    watched: count('watch'),
    volumeL: innerVolumeL(container),
  };
}
