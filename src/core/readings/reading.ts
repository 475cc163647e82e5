/** One thing a probe said, at one instant. What it did not measure is left out. */
export interface Reading {
  /** Instant, ms since 1970. */
  at: number;
  temperatureC?: number | undefined;
  relativeHumidityPct?: number | undefined;
  /** Of the whole box on a scale. g */
  massG?: number | undefined;
}

/** Why a reading is doubted. Doubted ones are kept and shown, and reckoned with by nobody. */
export const MARKS = ['spike', 'clock'] as const;
export type Mark = (typeof MARKS)[number];

export interface MarkedReading extends Reading {
  mark: Mark | null;
}

export const MINUTE_MS = 60_000;
export const HOUR_MS = 3_600_000;
export const DAY_MS = 86_400_000;

/** The usual time between two readings: the median. ms; 0 for fewer than two */
export function usualStepMs(readings: readonly { at: number }[]): number {
  const steps = readings.slice(1).map((each, index) => each.at - (readings[index]?.at ?? 0));
  return median(steps) ?? 0;
}

export function median(values: number[]): number | undefined {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)];
}
