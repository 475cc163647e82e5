import type { AnimalMeasures } from '@/core/profiles/animal';
import type { CareProfile, Stage } from '@/core/profiles/profile';
import { floorAreaMm2, innerVolumeL, type Container } from './container';
import { compareStatus, fit, type FitAnswer } from './fit';

export interface Animal extends AnimalMeasures {
  stage: Stage;
  school?: string | undefined;
}

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
  const ranked = homes.map((home) => ({ home, ranking: rankHome(profile, animal, home) }));
  const count = (each: (typeof ranked)[number], status: string) =>
    each.ranking.fit.checks.filter((check) => check.status === status).length;
  return ranked
    .sort(
      (a, b) =>
        compareStatus(a.ranking.fit.verdict, b.ranking.fit.verdict) ||
        count(a, 'fail') - count(b, 'fail') ||
        count(a, 'watch') - count(b, 'watch') ||
        innerVolumeL(a.home.container) - innerVolumeL(b.home.container) ||
        a.home.code.localeCompare(b.home.code, 'en', { numeric: true }) ||
        a.home.id.localeCompare(b.home.id),
    )
    .map((each) => each.ranking);
}

function rankHome(profile: CareProfile, animal: Animal, home: CandidateHome): RankedHome {
  const { container, substrateDepthMm } = home;
  const present = fit(profile, { ...animal, container, substrateDepthMm });
  const depthMm = present.substrateDepthMm.recommended ?? substrateDepthMm;
  const best =
    depthMm === substrateDepthMm ? present : fit(profile, { ...animal, container, substrateDepthMm: depthMm });
  return {
    homeId: home.id,
    code: home.code,
    depthMm,
    soilToAddL: (floorAreaMm2(container) * (depthMm - substrateDepthMm)) / 1e6,
    fit: best,
  };
}
