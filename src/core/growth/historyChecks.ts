import type { Day } from '@/core/measure/day';
import type { CareProfile } from '@/core/profiles/profile';
import { Refusal } from '@/core/refusal';

/** Two measurings of one animal differ by so much and no more; from memory. */
export const SHRINKS = 0.9;

/** Why nothing can have happened to an animal on a day: it was not born; null where it was, or nobody knows. */
export const birthProblem = (on: Day, bornOn: Day | undefined): string | null =>
  bornOn !== undefined && on < bornOn ? `Must not be before it was born, on ${bornOn}; got ${on}.` : null;

/** Why an animal cannot have moulted on a day, given the days on which it did; null where it can. */
export function moultDayProblem(on: Day, others: readonly Day[], bornOn: Day | undefined): string | null {
  const unborn = birthProblem(on, bornOn);
  if (unborn !== null) return unborn;
  if (others.includes(on)) return `There is a moult on ${on} already: one a day.`;
  return null;
}

/**
 * Holds a new size of a single animal against those before and after it.
 * @param sizes sizes of the taken measure by day, in any order
 * @throws Refusal at the taken measure when it would have shrunk
 */
export function requireGrowth(
  profile: CareProfile,
  sizes: readonly { on: Day; sizeMm: number }[],
  on: Day,
  sizeMm: number,
): void {
  const { takes, name } = profile.measure;
  const before = sizes.filter((each) => each.on <= on && sizeMm < SHRINKS * each.sizeMm);
  const after = sizes.filter((each) => each.on > on && each.sizeMm < SHRINKS * sizeMm);
  const [odd] = [...before, ...after].sort((a, b) => b.on.localeCompare(a.on));
  if (!odd) return;
  const message =
    odd.on <= on
      ? `It would have shrunk: ${odd.sizeMm} mm was written down on ${odd.on}, now ${sizeMm}. Was another measure than the ${name} taken? Undo the entry that is wrong.`
      : `It would shrink: ${odd.sizeMm} mm was written down on ${odd.on}, later than ${on} with ${sizeMm}. Undo the entry that is wrong.`;
  throw new Refusal([{ path: takes, message }]);
}
