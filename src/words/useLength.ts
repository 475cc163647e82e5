import { useMemo } from 'react';
import { usePreferences } from '@/client/preferences';
import { formatLength, formatLengthNumber } from '@/core/measure/length';

export interface LengthWords {
  unit: 'mm' | 'cm' | 'in';
  /** `118 mm` in the keeper's unit. */
  long: (mm: number) => string;
  /** The number alone. */
  short: (mm: number) => string;
}

/** Writes lengths in the unit the keeper chose. */
export function useLength(): LengthWords {
  const unit = usePreferences((preferences) => preferences.lengthUnit);
  return useMemo(
    () => ({ unit, long: (mm) => formatLength(mm, unit), short: (mm) => formatLengthNumber(mm, unit) }),
    [unit],
  );
}
