import { MOULT_SIGNS, type CareProfile, type Form, type MoultSign, type Stage } from '@/core/profiles/profile';

/** What changes in the life of an animal, a group or a colony, and is written down when it does. */
export type LifeEvent = 'hatching' | 'moult' | 'pupation' | 'emergence' | 'count';

/** Whether a kind is counted and not followed: its moults are unseen, each on its own day, or it has none. */
export const isCountedKind = ({ measure }: Pick<CareProfile, 'measure'>): boolean => measure.usualMm !== undefined;

/** Whether nobody sees another moult of an animal: it is grown, rests as a pupa, or its kind is counted. */
export const moultsNoMore = (profile: CareProfile, stage: Stage): boolean =>
  isCountedKind(profile) ||
  profile.growth.grownStages.includes(stage) ||
  profile.growth.intervals?.some(({ stages }) => stages.includes(stage)) !== true;

/**
 * What may happen next in the life of whoever is kept in such a form, the most frequent first; none of those that are grown.
 * The orders of insects that rest as pupae moult as larvae before (Gullan and Cranston, The Insects; from memory).
 */
export function lifeEvents(profile: CareProfile, stage: Stage, form: Form): LifeEvent[] {
  if (form === 'eggs') return ['hatching'];
  if (form === 'colony') return ['count'];
  const counted: LifeEvent[] = form === 'group' ? ['count'] : [];
  if (stage === 'pupa') return ['emergence', ...counted];
  const turning: LifeEvent[] = stage === 'larva' && profile.stages.includes('pupa') ? ['pupation'] : [];
  return moultsNoMore(profile, stage) ? [...counted, ...turning] : ['moult', ...turning, ...counted];
}

/** What it does to rest as well, without a moult. */
const RESTS: readonly MoultSign[] = ['sealed', 'buried'];

/** Signs on which one is left alone: of a moult while its kind still moults, of a rest at any stage. */
export const leaveAloneSignsAt = (profile: CareProfile, stage: Stage): MoultSign[] =>
  profile.leaveAloneSigns.filter((sign) => !moultsNoMore(profile, stage) || RESTS.includes(sign));

/** Signs that say something at a stage: first those on which it is left alone, then others of a moult that is near. */
export function tellingSigns(profile: CareProfile, stage: Stage): MoultSign[] {
  const leaveAlone = leaveAloneSignsAt(profile, stage);
  return moultsNoMore(profile, stage)
    ? leaveAlone
    : [...leaveAlone, ...MOULT_SIGNS.filter((sign) => !leaveAlone.includes(sign))];
}
