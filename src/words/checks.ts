import type { Check, FitAnswer } from '@/core/housing/fit';
import type { LengthWords } from './lengths';
import { countWords } from './count';

const YARDSTICK_WORDS: Record<string, string> = {
  legSpanMm: 'leg span',
  bodyLengthMm: 'body length',
  carapaceWidthMm: 'carapace width',
  youngWidthMm: 'width of the young',
  floorLongSideMm: 'longer side',
  floorShortSideMm: 'shorter side',
};

const ORDER = { fail: 0, watch: 1, pass: 2 } as const;

/** The verdicts, the worst first. */
export function worstFirst(checks: Check[]): Check[] {
  return [...checks].sort((a, b) => ORDER[a.status] - ORDER[b.status]);
}

/** What does not pass, with the number by which list and drawing name it. */
export function marksOf(checks: Check[]): { check: Check; number: number }[] {
  return worstFirst(checks)
    .filter((check) => check.status !== 'pass')
    .map((check, index) => ({ check, number: index + 1 }));
}

/** A number as it is told: as fine as it matters. */
const rounded = (value: number) =>
  String(Number(value.toFixed(value === 0 || Math.abs(value) >= 100 ? 0 : Math.abs(value) >= 10 ? 1 : 2)));

/** Areas are told in square centimetres, or square inches. */
const MM2_PER = { mm: 100, cm: 100, in: 645.16 } as const;

function number(check: Check, value: number, length: LengthWords): string {
  if (check.unit === 'mm') return length.short(value);
  if (check.unit === 'mm2') return rounded(value / MM2_PER[length.unit]);
  return rounded(value);
}

function unitWords({ unit }: Check, length: LengthWords): string {
  switch (unit) {
    case 'mm':
      return ` ${length.unit}`;
    case 'mm2':
      return length.unit === 'in' ? ' sq in' : ' cm²';
    case 'L':
      return ' L';
    case '%':
      return ' %';
    case 'count':
      return '';
  }
}

/** The number and its limit, `198 / 177 mm`; nothing for a count that passes: its words say it. */
export function checkNumbers(check: Check, length: LengthWords): string {
  if (check.unit === 'count' && check.status === 'pass') return '';
  const limit = check.min !== null && check.actual < check.min ? check.min : (check.max ?? check.min ?? 0);
  return `${number(check, check.actual, length)} / ${number(check, limit, length)}${unitWords(check, length)}`;
}

/** The worst of what is wrong, in words; null when all is well. */
export function troubleWords({ verdict, checks }: FitAnswer): string | null {
  if (verdict === 'pass') return null;
  return checks
    .filter((check) => check.status === verdict)
    .map((check) => check.title)
    .join('; ');
}

/** The limits in words: "at least 236 mm", "at most 177 mm". */
export function limitWords(check: Check, length: LengthWords): string {
  const unit = unitWords(check, length);
  const parts = [
    check.min === null ? null : `at least ${number(check, check.min, length)}${unit}`,
    check.max === null ? null : `at most ${number(check, check.max, length)}${unit}`,
  ];
  return parts.filter((part) => part !== null).join(', ');
}

/** The numbers that went in: "leg span 118 mm, carapace width 17.7 mm (worked out)". */
export function inputWords({ grounds }: Check, length: LengthWords): string {
  return Object.entries(grounds.inputs)
    .map(([name, value]) => {
      if (name === 'headCount') return countWords(value, 'head');
      const workedOut = grounds.estimated.includes(name) ? ' (worked out, not measured)' : '';
      return `${YARDSTICK_WORDS[name] ?? name} ${length.long(value)}${workedOut}`;
    })
    .join(', ');
}

const NEEDS_WORDS: Record<string, string> = {
  litterDepthMm: 'how deep the litter lies',
  furniture: 'what is in the box',
  'container.walls': 'what the walls are',
  'container.opens': 'where it opens',
  'container.sillMm': 'how high its wall stands under the door',
  headCount: 'how many live in it',
  nest: 'the chambers of the nest',
  'nest.tubeBoreMm': 'the bore of the tube',
};

/** What has to be said before the rules that were passed over can be checked; empty when all were. */
export function notCheckedWords({ notChecked }: FitAnswer): string[] {
  return [...new Set(notChecked.map((each) => NEEDS_WORDS[each.needs] ?? each.needs))];
}
