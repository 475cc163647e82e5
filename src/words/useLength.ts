import { useMemo } from 'react';
import { usePreferences } from '@/client/preferences';
import { lengthWords, type LengthWords } from './lengths';

/** Writes lengths in the unit the keeper chose. */
export function useLength(): LengthWords {
  const unit = usePreferences((preferences) => preferences.lengthUnit);
  return useMemo(() => lengthWords(unit), [unit]);
}
