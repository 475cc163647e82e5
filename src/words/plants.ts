import type { Food, Meal } from '@/core/feeding/food';
import { orListWords } from './count';
import { dayWords } from './days';
import { itemName, type Names } from './food';

/** When a plant bears leaves, and what is to be minded of it. */
export function plantWords({ evergreen, inLeaf, tough, thorny }: Food): string {
  const season = evergreen
    ? 'all year'
    : inLeaf
      ? `${yearDayWords(inLeaf.from)} to ${yearDayWords(inLeaf.to)}`
      : 'in summer';
  return [season, tough ? 'tough for hatchlings' : null, thorny ? 'thorns' : null]
    .filter((part) => part !== null)
    .join(', ');
}

/** "1 May" of a day of the year. */
const yearDayWords = (monthDay: string): string => dayWords(`2001-${monthDay}`, '2001-01-01');

/** From when on it has nothing in leaf, and what then. */
export function bareWords(names: Names, { bareFrom, insteadOf = [] }: Meal, today: string): string | null {
  if (bareFrom === undefined) return null;
  const others = insteadOf.map((id) => itemName(names, id));
  const other = others.length > 0 ? `, or get it used to ${orListWords(others)} while it still has its own` : '';
  return bareFrom <= today
    ? `None of its plants is in leaf: give frozen or potted ones${others.length > 0 ? `, or try ${orListWords(others)}` : ''}.`
    : `From about ${dayWords(bareFrom, today)} none of its plants is in leaf: freeze or pot some now${other}.`;
}
