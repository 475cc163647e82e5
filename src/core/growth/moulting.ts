import type { CareProfile, Stage } from '@/core/profiles/profile';

/** What is told of the time between two moults at a stage; undefined of stages that moult no more, and of kinds that never do. */
export const intervalAt = ({ growth }: Pick<CareProfile, 'growth'>, stage: Stage) =>
  growth.intervals?.find(({ stages }) => stages.includes(stage));

/** Whether a kind is counted and not followed: its moults are unseen, each on its own day, or it has none. */
export const isCountedKind = ({ measure }: Pick<CareProfile, 'measure'>): boolean => measure.usualMm !== undefined;

/** Whether nobody sees another moult of an animal: it is grown, rests as a pupa, or its kind is counted. */
export const moultsNoMore = (profile: CareProfile, stage: Stage): boolean =>
  isCountedKind(profile) || profile.growth.grownStages.includes(stage) || intervalAt(profile, stage) === undefined;

/** Whether it is past its last moult: of a kind that moults, grown, and no pupa, for what comes out of that sheds a last skin. */
export const hadItsLastMoult = ({ growth }: Pick<CareProfile, 'growth'>, stage: Stage): boolean =>
  growth.grownStages.includes(stage) && stage !== 'pupa' && (growth.intervals ?? []).length > 0;
