import { router } from 'expo-router';
import type { SeasonMark } from '@/contract/plan';
import type { Day } from '@/core/measure/day';
import type { Palette } from '../theme/tokens';
import { dayWords } from '@/words/days';

/** What a kind of mark is drawn in, in every picture of the year. */
export function markInk(
  { accent, clay, dew }: Pick<Palette, 'accent' | 'clay' | 'dew'>,
  kind: SeasonMark['kind'],
): string {
  if (kind === 'outgrown') return clay;
  return kind === 'rest' ? dew : accent;
}

/** When it is foreseen: "4 Dec to 20 Jan, likeliest 14 Dec"; of a move its day, and when it can be made. */
export function markWords({ kind, from, until, median }: SeasonMark, today: Day): string {
  const window = `${dayWords(from, today)} to ${dayWords(until, today)}`;
  if (kind === 'move') return `${dayWords(median ?? from, today)}; can be made ${window}`;
  return `${window}${median === null ? '' : `, likeliest ${dayWords(median, today)}`}`;
}

/** Opens what can be done about a mark. */
export function openMark({ kind, residentId }: SeasonMark): void {
  switch (kind) {
    case 'move':
      return router.push(`/residents/${residentId}/move`);
    case 'outgrown':
      return router.push(`/residents/${residentId}/boxes`);
    case 'rest':
      return router.push(`/residents/${residentId}/rest`);
    case 'moult':
    case 'hatch':
    case 'emerge':
    case 'pair':
    case 'workers':
      return router.push(`/residents/${residentId}?tab=growth`);
  }
}
