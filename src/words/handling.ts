import type { Handling } from '@/contract/handling';
import type { HandlingPart } from '@/core/plan/handling';
import { dayWords } from './days';
import type { LengthWords } from './lengths';

export const PART_TITLES: Record<HandlingPart, string> = { before: 'Before', move: 'The move', after: 'After' };

type Move = NonNullable<Handling['move']>;

/** What its new home is filled to, and when it is fed again. */
export const moveSoilWords = (
  { depthMm, soilToAddL, feedFrom }: Move,
  to: string,
  length: LengthWords,
  today: string,
) => `Soil in ${to}: ${length.long(depthMm)}${soilWords(soilToAddL)}. First food ${dayWords(feedFrom, today)}.`;

function soilWords(litres: number): string {
  const shown = Math.round(10 * litres) / 10;
  if (shown === 0) return '';
  return shown > 0 ? `, ${shown} L to add` : `, ${-shown} L to take out`;
}

/** Said wherever somebody may be hurt; the program gives no treatment. */
export const CALL_FIRST =
  'Bites, stings, hairs in an eye, trouble breathing: the emergency services or a poison centre at once.';
