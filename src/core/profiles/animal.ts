import { Refusal } from '@/core/refusal';
import { BODY_MEASURES, type BodyMeasure, type CareProfile, type Form, type Stage } from './profile';

/** What was measured on the animal (mm) and how many live together. */
export interface AnimalMeasures {
  legSpanMm?: number | undefined;
  bodyLengthMm?: number | undefined;
  carapaceWidthMm?: number | undefined;
  /** The lengths are carried on over moults since they were taken. */
  sizeCarriedOn?: boolean | undefined;
  headCount?: number | undefined;
}

/** A length and whether it was measured or worked out from another measure by the profile's proportions. */
export interface Length {
  mm: number;
  estimated: boolean;
}

/** The measures that mean something for the kind. */
export type Body = { [Name in BodyMeasure]?: Length };

/** How many times the taken measure another one is; undefined where it means nothing for the kind. */
function ratio(profile: CareProfile, name: BodyMeasure): number | undefined {
  return name === profile.measure.takes ? 1 : profile.proportions[name]?.value;
}

/** What a newcomer that is no eggs is where nobody says: ants a colony, those that were counted a group, else one animal. */
export const usualForm = (profile: Pick<CareProfile, 'silhouette'>, headCount: number | undefined): Form =>
  profile.silhouette === 'ant' ? 'colony' : headCount === undefined ? 'single' : 'group';

/** Whether somebody took a size of it. A group of which nobody does is followed by its counts, not head by head. */
export const isSized = (measures: AnimalMeasures): boolean =>
  BODY_MEASURES.some((name) => measures[name] !== undefined);

/** Whether its size can be told: by what was measured of it, or by what is usual for a kind that is counted. */
export function tellsSize(profile: CareProfile, measures: AnimalMeasures): boolean {
  const isTold = (name: BodyMeasure) => measures[name] !== undefined && ratio(profile, name) !== undefined;
  return profile.measure.usualMm !== undefined || BODY_MEASURES.some(isTold);
}

/**
 * The measure that keepers take of this kind, worked out from another where it was not taken itself; kinds that are
 * counted and not measured have a usual one.
 * @throws Refusal when no length was given and there is no usual one.
 */
export function takenMeasure(profile: CareProfile, measures: AnimalMeasures): Length {
  const { takes, usualMm, name } = profile.measure;
  const direct = measures[takes];
  if (direct !== undefined) return { mm: direct, estimated: measures.sizeCarriedOn === true };
  for (const other of BODY_MEASURES) {
    const given = measures[other];
    const times = ratio(profile, other);
    if (given !== undefined && times !== undefined) return { mm: given / times, estimated: true };
  }
  if (usualMm) return { mm: usualMm.value, estimated: true };
  const known = BODY_MEASURES.filter((each) => ratio(profile, each) !== undefined);
  throw new Refusal([
    { path: takes, message: `Give the ${name} as ${takes} in millimetres (or ${without(known, takes).join(', ')}).` },
  ]);
}

const without = (names: BodyMeasure[], name: BodyMeasure) => names.filter((each) => each !== name);

/**
 * All measures of an animal: those taken as they are, the others by the proportions of the profile.
 * @throws Refusal as `takenMeasure` does.
 */
export function bodyOf(profile: CareProfile, measures: AnimalMeasures): Body {
  const taken = takenMeasure(profile, measures);
  const body: Body = {};
  for (const name of BODY_MEASURES) {
    const measured = measures[name];
    const times = ratio(profile, name);
    if (measured !== undefined) body[name] = { mm: measured, estimated: measures.sizeCarriedOn === true };
    else if (times !== undefined)
      body[name] = { mm: taken.mm * times, estimated: taken.estimated || name !== profile.measure.takes };
  }
  return body;
}

/** Grown ones that moult on grow no more than this at a moult. Times, from memory */
const GROWN_RATIO = 1.05;

/** How much a kind usually grows at a moult in a stage. Times */
export const usualRatio = ({ growth: { ratioPerMoult } }: CareProfile, stage: string | undefined): number =>
  stage === 'adult' ? Math.min(GROWN_RATIO, ratioPerMoult.value) : ratioPerMoult.value;

/**
 * The measures after so many moults: every length grows by the profile's ratio, unless the stage grows no more.
 * @param moults 0 or more.
 */
export function grown<Animal extends AnimalMeasures & { stage: Stage }>(
  profile: CareProfile,
  animal: Animal,
  moults: number,
): Animal {
  if (moults === 0 || profile.growth.grownStages.includes(animal.stage)) return animal;
  const now = takenMeasure(profile, animal).mm;
  // It stops where a usual grown animal does; one that is larger already stays as it is.
  const then = Math.max(now, Math.min(now * usualRatio(profile, animal.stage) ** moults, profile.growth.grownMm.value));
  const times = then / now;
  const larger = { ...animal };
  for (const name of BODY_MEASURES) {
    const length = animal[name];
    if (length !== undefined) larger[name] = length * times;
  }
  return larger;
}

/** An animal as it likely is after so many moults in which nobody measured it; the same one where it has not grown. */
export function carriedOn<Animal extends AnimalMeasures & { stage: Stage }>(
  profile: CareProfile,
  animal: Animal,
  moults: number,
): Animal {
  const isMeasured = BODY_MEASURES.some((name) => animal[name] !== undefined) && tellsSize(profile, animal);
  if (moults === 0 || !isMeasured) return animal;
  const larger = grown(profile, animal, moults);
  const hasGrown = takenMeasure(profile, larger).mm > takenMeasure(profile, animal).mm;
  return hasGrown ? { ...larger, sizeCarriedOn: true } : animal;
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
    const message =
      known === '' ? `${profile.name} knows no schools: leave it out` : `${profile.name} knows the schools ${known}`;
    throw new Refusal([{ path: 'school', message: `${message}; got ${school}.` }]);
  }
}
