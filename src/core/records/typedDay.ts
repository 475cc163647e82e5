import { addDays, isDay, type Day } from '@/core/measure/day';

/** Which comes first where a day is written with strokes: 3/14/2026 or 14/3/2026. */
export type DateOrder = 'dmy' | 'mdy';

/** A day as keepers write it down; `isAbout` where only a month, a year or so many weeks were known. */
export interface TypedDay {
  on: Day;
  isAbout: boolean;
}

/** Nobody who keeps these animals writes of days before; a year like 1900 is what a sheet makes of an empty cell. */
const FIRST_YEAR = 1950;

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const monthIn = (word: string) => MONTHS.indexOf(word.slice(0, 3).toLowerCase()) + 1;

const AGO: Record<string, number> = { day: 1, week: 7, month: 30.4, year: 365.25 };

/**
 * Reads a day as keepers write it: 2026-03-14, 14.3.2026, 14/3/2026 or 14/3/26 (3/14/2026 where that is the order, or must be), 14 March
 * 2026, March 14, 2026; and about: March 2026, 2026-03, 2026, 6 weeks ago. A month is taken at its middle, a year likewise.
 * @param today for what is so long ago, and for the century of a year in two figures: the last one that is not after next year
 * @returns null for what is no day of the calendar since 1950
 */
export function typedDay(text: string, order: DateOrder, today: Day): TypedDay | null {
  const typed = text.trim().replace(/\s+/g, ' ');
  const found = exactDay(typed, order, today) ?? aboutDay(typed, today);
  return found && Number(found.on.slice(0, 4)) >= FIRST_YEAR ? found : null;
}

const dayOf = (year: string, month: number, day: string): Day | null => {
  const on = `${year}-${String(month).padStart(2, '0')}-${day.padStart(2, '0')}`;
  return isDay(on) ? on : null;
};
const exactly = (on: Day | null): TypedDay | null => (on === null ? null : { on, isAbout: false });
const about = (on: Day | null): TypedDay | null => (on === null ? null : { on, isAbout: true });

/** A year as it is written: in four figures, or in two. */
function yearOf(written: string, today: Day): string {
  if (written.length === 4) return written;
  const here = 2000 + Number(written);
  return String(here > Number(today.slice(0, 4)) + 1 ? here - 100 : here);
}

function exactDay(typed: string, order: DateOrder, today: Day): TypedDay | null {
  const iso = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?:[T ]\d.*)?$/.exec(typed);
  if (iso) return exactly(dayOf(iso[1] ?? '', Number(iso[2]), iso[3] ?? ''));
  const numbers = /^(\d{1,2})([./-])(\d{1,2})\2(\d{4}|\d{2})(?: \d.*)?$/.exec(typed);
  if (numbers) {
    const [, first = '', mark, second = '', written = ''] = numbers;
    const year = yearOf(written, today);
    // With full stops the day comes first everywhere.
    const isDayFirst = mark === '.' || Number(first) > 12 || (order === 'dmy' && Number(second) <= 12);
    return exactly(isDayFirst ? dayOf(year, Number(second), first) : dayOf(year, Number(first), second));
  }
  const dayFirst = /^(\d{1,2})(?:\.|st|nd|rd|th)?[ -]([a-z]{3,9})\.?,?[ -](\d{4})$/i.exec(typed);
  if (dayFirst) return exactly(dayOf(dayFirst[3] ?? '', monthIn(dayFirst[2] ?? ''), dayFirst[1] ?? ''));
  const monthFirst = /^([a-z]{3,9})\.? (\d{1,2})(?:st|nd|rd|th)?,? (\d{4})$/i.exec(typed);
  return monthFirst && exactly(dayOf(monthFirst[3] ?? '', monthIn(monthFirst[1] ?? ''), monthFirst[2] ?? ''));
}

function aboutDay(typed: string, today: Day): TypedDay | null {
  const bare = typed.replace(/^(?:about|around|ca\.?|c\.|~)\s*/i, '');
  if (/^today$/i.test(bare)) return exactly(today);
  if (/^yesterday$/i.test(bare)) return exactly(addDays(today, -1));
  const ago = /^(\d{1,3}|a|an|one) (day|week|month|year)s? ago$/i.exec(bare);
  if (ago) {
    const count = Number(ago[1]) || 1;
    const unit = (ago[2] ?? 'day').toLowerCase();
    return { on: addDays(today, -Math.round(count * (AGO[unit] ?? 1))), isAbout: unit !== 'day' };
  }
  const month = /^(\d{4})-(\d{1,2})$/.exec(bare) ?? /^([a-z]{3,9})\.? (\d{4})$/i.exec(bare);
  if (month) {
    const [, first = '', second = ''] = month;
    return about(/^\d/.test(first) ? dayOf(first, Number(second), '15') : dayOf(second, monthIn(first), '15'));
  }
  return /^\d{4}$/.test(bare) ? about(dayOf(bare, 7, '1')) : null;
}

/** In which order days with strokes are written, by those that can be read one way only; null where none tells, or they differ. */
export function orderOf(texts: readonly string[]): DateOrder | null {
  const orders = new Set<DateOrder>();
  for (const text of texts) {
    const match = /^\s*(\d{1,2})[/-](\d{1,2})[/-](?:\d{4}|\d{2})\b/.exec(text);
    if (!match) continue;
    if (Number(match[1]) > 12) orders.add('dmy');
    if (Number(match[2]) > 12) orders.add('mdy');
  }
  const [order] = orders;
  return orders.size === 1 && order ? order : null;
}

/** Whether days with strokes are among them that can be read both ways. */
export const isAmbiguous = (texts: readonly string[]): boolean =>
  texts.some((text) => {
    const match = /^\s*(\d{1,2})[/-](\d{1,2})[/-](?:\d{4}|\d{2})\b/.exec(text);
    return match !== null && Number(match[1]) <= 12 && Number(match[2]) <= 12 && match[1] !== match[2];
  });
