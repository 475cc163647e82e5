import type { StillnessReply } from '@/contract/growth';
import { moultsNoMore } from '@/core/growth/moulting';
import type { Status } from '@/core/housing/fit';
import type { CareProfile, Stage } from '@/core/profiles/profile';
import { daysWords } from './days';

/** What is asked of one that does not move: those that moult no more can only rest. */
export const stillTitle = (profile: CareProfile, stage: Stage): string =>
  moultsNoMore(profile, stage) ? 'Dead or at rest?' : 'Dead or moulting?';

/**
 * The answer in one line, and the shape that stands beside it.
 * @param mayMoult it may be a moult that keeps it still
 */
export function stillVerdict(
  { verdict, deadPct, lookAgainInDays }: StillnessReply,
  mayMoult: boolean,
): { status: Status; title: string } {
  switch (verdict) {
    case 'leave':
      return {
        status: 'pass',
        title: `Leave it: most likely it rests${mayMoult ? ' or moults' : ''}. Look again in ${daysWords(lookAgainInDays)}.`,
      };
    case 'look':
      return { status: 'watch', title: `Look from outside: ${Math.round(deadPct)} % of such are dead.` };
    case 'worry':
      return {
        status: 'fail',
        title: `Worry: ${Math.round(deadPct)} % of such are dead. Do as below, and throw nothing out yet.`,
      };
    case 'dead':
      return { status: 'fail', title: 'By what you see it is dead.' };
  }
}

/** What the answer was made from. */
export function stillGrounds({ byDaysPct, used, findings, usualDays, longestDays, basis }: StillnessReply): string[] {
  const titleOf = (id: string) => findings.find((each) => each.id === id)?.title ?? id;
  return [
    `Half of the living of this kind lie still for ${daysWords(usualDays)} or less, 99 of 100 for ${daysWords(longestDays)} or less (${basis}).`,
    `By the days alone ${byDaysPct < 1 ? 'under 1' : Math.round(byDaysPct)} % are dead.`,
    ...used.map(({ id, times }) =>
      times >= 1
        ? `${titleOf(id)}: seen ${times} times as often on dead ones (from memory).`
        : `${titleOf(id)}: seen ${Math.round(1 / times)} times as often on living ones (from memory).`,
    ),
  ];
}
