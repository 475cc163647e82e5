import type { Check, FitAnswer } from '@/core/housing/fit';
import type { LengthWords } from './useLength';

const YARDSTICK_WORDS: Record<string, string> = {
  legSpanMm: 'leg span',
  bodyLengthMm: 'body length',
  carapaceWidthMm: 'carapace width',
  floorLongSideMm: 'longer side',
  floorShortSideMm: 'shorter side',
};

const number = (check: Check, value: number, length: LengthWords) =>
  check.unit === 'mm' ? length.short(value) : String(value);

/** The number and its limit, `198 / 177 mm`; nothing for a count that passes: its words say it. */
export function checkNumbers(check: Check, length: LengthWords): string {
  if (check.unit === 'count' && check.status === 'pass') return '';
  const limit = check.min !== null && check.actual < check.min ? check.min : (check.max ?? check.min ?? 0);
  const unit = check.unit === 'mm' ? ` ${length.unit}` : '';
  return `${number(check, check.actual, length)} / ${number(check, limit, length)}${unit}`;
}

/** The worst of what is wrong, in words; null when all is well. */
export function troubleWords({ verdict, checks }: FitAnswer): string | null {
  if (verdict === 'pass') return null;
  return checks
    .filter((check) => check.status === verdict)
    .map((check) => check.title)
    .join('; ');
}

/** The limits in words: "from 236 mm", "up to 177 mm". */
export function limitWords(check: Check, length: LengthWords): string {
  const unit = check.unit === 'mm' ? ` ${length.unit}` : '';
  const parts = [
    check.min === null ? null : `at least ${number(check, check.min, length)}${unit}`,
    check.max === null ? null : `at most ${number(check, check.max, length)}${unit}`,
  ];
  return parts.filter((part) => part !== null).join(', ');
}

/** The numbers that went in: "leg span 118 mm, carapace width 17.7 mm (worked out)". */
export function inputWords({ grounds }: Check, length: LengthWords): string {
  return Object.entries(grounds.inputs)
    .map(([name, mm]) => {
      const workedOut = grounds.estimated.includes(name) ? ' (worked out, not measured)' : '';
      return `${YARDSTICK_WORDS[name] ?? name} ${length.long(mm)}${workedOut}`;
    })
    .join(', ');
}
