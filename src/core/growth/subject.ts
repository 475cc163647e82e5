import type { Day } from '@/core/measure/day';
import type { CareProfile, MoultSign, Stage } from '@/core/profiles/profile';
import type { MoultQuestion, SeenMoult } from './forecast';
import { kinOf, type Kin } from './kin';

/** One whose moults are known, and may tell of the pace of others. */
export interface Peer extends Kin {
  moults: SeenMoult[];
}

/** A resident as its forecast is asked for. */
export interface Subject extends Peer {
  /** Guessed from its size or its pace if left out. */
  stage?: Stage | undefined;
  /** Of the measure that is taken of its kind. mm */
  sizeMm?: number | undefined;
  /** The day on which it was taken. */
  sizedOn?: Day | undefined;
  bornOn?: Day | undefined;
  /** Since when a moult of it would have been written down. */
  watchedSince?: Day | undefined;
  instar?: number | undefined;
  signs: MoultSign[];
  temperatureC: number;
  /** How warm it has been since its last moult. C */
  sinceTemperatureC?: number | undefined;
  /** By how much the windows of this house are widened. */
  spreadTimes?: number | undefined;
}

/** The question of one resident's next moult, with whom its pace is learned from. */
export function moultQuestion(
  profile: CareProfile,
  subject: Subject,
  peers: readonly Peer[],
  asOf: Day,
): MoultQuestion {
  const { stage, sizeMm, sizedOn, bornOn, watchedSince, instar, moults, signs } = subject;
  const { temperatureC, sinceTemperatureC, spreadTimes } = subject;
  const { siblings, others } = kinOf(subject, peers);
  return {
    ...{ profile, stage, sizeMm, sizedOn, bornOn, watchedSince, instar, moults, signs, asOf },
    ...{ temperatureC, sinceTemperatureC, spreadTimes },
    siblings: siblings.map((each) => each.moults),
    others: others.map((each) => each.moults),
  };
}
