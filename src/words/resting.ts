import type { Entry } from '@/contract/storedEntries';
import { countWords, listWords } from './count';

const NOUNS: Partial<Record<Entry['kind'], string>> = {
  offered: 'meal',
  moulted: 'moult',
  moved: 'move',
  measured: 'measurement',
  noted: 'note',
  photo: 'photo',
  sign: 'sign',
  damped: 'watering',
  watered: 'watering',
};

/** What goes with an entry that is taken back: "2 moults, 1 move and 3 other entries". */
export function restingWords(kinds: ReadonlyMap<Entry['kind'], number>): string {
  const named = new Map<string, number>();
  for (const [kind, times] of kinds) {
    const noun = NOUNS[kind] ?? 'other entry';
    named.set(noun, (named.get(noun) ?? 0) + times);
  }
  const parts = [...named].sort(([a], [b]) => Number(a === 'other entry') - Number(b === 'other entry'));
  return listWords(parts.map(([noun, times]) => countWords(times, noun, noun.replace(/y$/, 'ie') + 's')));
}
