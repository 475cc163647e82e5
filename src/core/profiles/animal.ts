import { Refusal } from '@/core/refusal';
import type { CareProfile, Stage } from './profile';

/** What was measured on the animal (mm) and how many live together. At least one length is needed. */
export interface AnimalMeasures {
  legSpanMm?: number | undefined;
  bodyLengthMm?: number | undefined;
  carapaceWidthMm?: number | undefined;
  headCount?: number | undefined;
}

/** A length and whether it was measured or worked out from another measure by the profile's proportions. */
export interface Length {
  mm: number;
  estimated: boolean;
}

export interface Body {
  legSpan: Length;
  bodyLength: Length;
  carapaceWidth: Length;
}

/**
 * Fills in the measures that were not taken from the one that was (leg span before body length before carapace
 * width), by the proportions of the profile.
 * @throws Refusal when no length was given.
 */
export function bodyOf(profile: CareProfile, measures: AnimalMeasures): Body {
  const bodyRatio = profile.proportions.bodyLengthPerLegSpan.value;
  const carapaceRatio = profile.proportions.carapaceWidthPerLegSpan.value;
  const span =
    measures.legSpanMm ??
    (measures.bodyLengthMm !== undefined ? measures.bodyLengthMm / bodyRatio : undefined) ??
    (measures.carapaceWidthMm !== undefined ? measures.carapaceWidthMm / carapaceRatio : undefined);
  if (span === undefined) {
    throw new Refusal([
      { path: 'legSpanMm', message: 'Give legSpanMm, bodyLengthMm or carapaceWidthMm, in millimetres.' },
    ]);
  }
  const length = (measured: number | undefined, estimate: number): Length =>
    measured === undefined ? { mm: estimate, estimated: true } : { mm: measured, estimated: false };
  return {
    legSpan: length(measures.legSpanMm, span),
    bodyLength: length(measures.bodyLengthMm, span * bodyRatio),
    carapaceWidth: length(measures.carapaceWidthMm, span * carapaceRatio),
  };
}

/** @throws Refusal naming the stages this kind does have, when `stage` is not one of them. */
export function requireStage(profile: CareProfile, stage: Stage): void {
  if (!profile.stages.includes(stage)) {
    throw new Refusal([
      { path: 'stage', message: `${profile.name} has the stages ${profile.stages.join(', ')}; got ${stage}.` },
    ]);
  }
}

/** @throws Refusal naming the schools of this profile, when `school` is not one of them. */
export function requireSchool(profile: CareProfile, school: string | undefined): void {
  if (school !== undefined && !profile.schools.some((known) => known.id === school)) {
    const known = profile.schools.map((each) => each.id).join(', ');
    throw new Refusal([{ path: 'school', message: `${profile.name} knows the schools ${known}; got ${school}.` }]);
  }
}
