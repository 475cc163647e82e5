import type { Home, Resident } from '@/contract/records';
import { fit, type FitAnswer } from '@/core/housing/fit';
import type { Homeless } from '@/core/housing/ladder';
import type { HomeState } from '@/core/housing/quantities';
import { sectionPlan, type SectionPlan, type SectionSubject } from '@/core/housing/section';
import { flat, meanDepthMm, withMeanDepth, type Soil } from '@/core/housing/soil';
import { takenMeasure, tellsSize } from '@/core/profiles/animal';
import type { CareBook } from '@/core/profiles/careBook';
import { airSchool, type Schools } from '@/core/profiles/schools';
import { Refusal } from '@/core/refusal';

/** What the fit has to know of an animal or a group. */
export type Measured = Pick<
  Resident,
  | 'profile'
  | 'stage'
  | 'legSpanMm'
  | 'bodyLengthMm'
  | 'carapaceWidthMm'
  | 'sizeCarriedOn'
  | 'headCount'
  | 'headsTogether'
  | 'isGuest'
> & { scientificName?: string; schools?: Schools } & Partial<Pick<Resident, 'homeId' | 'keptSo'>>;

export const asked = (care: CareBook, animal: Measured) => ({
  ...animal,
  school: airSchool(care.of(animal), animal.schools),
});

/** A home as it would stand with its soil raised or lowered to a depth, or given another surface. */
export function withSoil(home: HomeState, soil: number | Soil): HomeState {
  if (typeof soil !== 'number') return { ...home, soil, substrateDepthMm: meanDepthMm(soil) };
  if (soil === home.substrateDepthMm) return home;
  return { ...home, substrateDepthMm: soil, soil: withMeanDepth(home.soil ?? flat(soil), soil) };
}

/** The entry that writes down a home's soil as it now stands: at a mean depth, its surface kept; or another surface. */
export function soilEntry(home: Home, to: number | Soil) {
  const { substrateDepthMm, soil } = withSoil(home, to);
  const isFlat = soil === undefined || soil.shape === 'flat';
  return { kind: 'soil-set' as const, homeId: home.id, substrateDepthMm, ...(!isFlat && { soil }) };
}

/** What the engines have to know of a resident, without what only people read. */
export function askedOf(care: CareBook, resident: Resident): Homeless {
  const { id, stage, legSpanMm, bodyLengthMm, carapaceWidthMm, sizeCarriedOn, headCount, schools } = resident;
  const measures = { legSpanMm, bodyLengthMm, carapaceWidthMm, sizeCarriedOn, headCount };
  const profile = care.of(resident);
  return { id, stage, ...measures, school: airSchool(profile, schools), profile };
}

/** What is kept so on purpose is settled in the home of a resident, and in no other. */
export function settledIn(
  home: HomeState & { id?: string },
  animal: Pick<Measured, 'homeId' | 'keptSo'>,
): Record<string, string> | undefined {
  return home.id !== undefined && home.id === animal.homeId ? animal.keptSo : undefined;
}

/** How a home suits an animal, worked out on this device; where its records do not tell, that is to be watched. */
export function fitOf(care: CareBook, home: HomeState, animal: Measured): FitAnswer {
  try {
    return fit(care.of(animal), { ...asked(care, animal), ...home, settled: settledIn(home, animal) });
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return {
      ...{ verdict: 'watch', checks: [], largestSafeOpeningMm: null },
      notChecked: error.fields.map(({ path, message }) => ({ rule: 'unreadable', title: message, needs: path })),
      substrateDepthMm: { min: 0, max: home.container.heightMm, recommended: null },
    };
  }
}

/** Who is drawn in a home, at its measure. */
export function subjectOf(care: CareBook, animal: Measured): SectionSubject {
  const profile = care.of(animal);
  const { silhouette, lives, making } = profile;
  return {
    stage: animal.stage,
    silhouette,
    lives,
    sizeMm: takenMeasure(profile, animal).mm,
    headCount: animal.headCount,
    dampSharePct: making.dampThroughout?.includes(animal.stage) ? 100 : making.dampSharePct,
  };
}

/** The cut through a home, with its animal where it has one. */
export function sectionOf(care: CareBook, home: HomeState, animal: Measured | undefined): SectionPlan {
  return sectionPlan(home, animal && tellsSize(care.of(animal), animal) ? subjectOf(care, animal) : null);
}
