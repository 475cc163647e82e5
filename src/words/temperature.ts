import { usePreferences, type TemperatureUnit } from '@/client/preferences';
import { numberIn } from '@/core/measure/typedNumber';

/** Temperatures in the keeper's unit. */
export interface TemperatureWords {
  unit: TemperatureUnit;
  /** "21.5 C", "70.7 F". */
  long: (celsius: number) => string;
  /** The number alone, in the keeper's unit. */
  value: (celsius: number) => number;
  /** What was typed, in C; undefined where it is no number. */
  parse: (text: string) => number | undefined;
}

export function temperatureWords(unit: TemperatureUnit): TemperatureWords {
  const value = (celsius: number) => (unit === 'F' ? (celsius * 9) / 5 + 32 : celsius);
  return {
    unit,
    value,
    long: (celsius) => `${value(celsius).toFixed(1).replace(/\.0$/, '')} ${unit}`,
    parse: (text) => {
      const typed = numberIn(text);
      if (typed === undefined) return undefined;
      return unit === 'F' ? ((typed - 32) * 5) / 9 : typed;
    },
  };
}

export function useTemperature(): TemperatureWords {
  return temperatureWords(usePreferences((preferences) => preferences.temperatureUnit));
}
