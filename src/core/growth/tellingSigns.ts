import { MOULT_SIGNS, type CareProfile, type MoultSign, type Stage } from '@/core/profiles/profile';
import { moultsNoMore } from './moulting';

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
