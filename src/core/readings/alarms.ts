import type { BandFact, Climate } from '@/core/profiles/profile';
import { warmthVerdict } from '@/core/profiles/warmth';
import { HOUR_MS, usualStepMs, type MarkedReading } from './reading';

export const ALARM_KINDS = ['too-dry', 'too-damp', 'too-cold', 'too-warm', 'silent', 'stuck'] as const;
export type AlarmKind = (typeof ALARM_KINDS)[number];

/** Something a probe says that somebody should look at. */
export interface Alarm {
  kind: AlarmKind;
  /** Since when, ms since 1970. */
  since: number;
  hours: number;
  /** The last value, and the limit it is outside of. */
  value?: number;
  limit?: number;
  /** It is outside by so little that the kind bears it for a while: watched, and nobody is called. */
  isBorne?: boolean;
}

/** A probe is missed after so many of its usual steps, and not before this long. */
const SILENT_STEPS = 4;
const SILENT_AFTER_MS = 3 * HOUR_MS;
/** Nothing living stays to the tenth of a degree and of a percent for so long; from memory. */
const STUCK_AFTER_MS = 18 * HOUR_MS;
const STUCK_READINGS = 12;

/**
 * What is wrong by one probe of a home: outside a band for longer than the animal bears it, silent, or stuck on one
 * value. A stuck or silent probe says nothing about the air: then that is the only alarm.
 * @param readings of the last days, in the order of time; doubted ones are left out of the account
 */
export function alarmsOf(
  readings: MarkedReading[],
  climate: Pick<Climate, 'humidityPct' | 'temperatureC' | 'bearsHours'>,
  now: number,
): Alarm[] {
  const good = readings.filter((each) => each.mark === null);
  const last = good.at(-1);
  if (!last) return [];
  const silentAfter = Math.max(SILENT_AFTER_MS, SILENT_STEPS * usualStepMs(good));
  if (now - last.at > silentAfter) return [{ kind: 'silent', since: last.at, hours: hoursOf(now - last.at) }];
  const stuck = stuckSince(good);
  if (stuck !== null) return [{ kind: 'stuck', since: stuck, hours: hoursOf(last.at - stuck) }];
  const bears = climate.bearsHours.value;
  return [
    ...outside(good, 'relativeHumidityPct', climate.humidityPct, bears, 'too-dry', 'too-damp'),
    ...outside(good, 'temperatureC', climate.temperatureC, bears, 'too-cold', 'too-warm'),
  ];
}

/**
 * What is wrong with the warmth of a place by what somebody read or set, where no probe hangs that would tell for how long.
 * @param at when it was read, ms since 1970
 */
export function warmthAlarm(band: BandFact, temperatureC: number, at: number): Alarm | null {
  const { status, outsideK } = warmthVerdict(band, temperatureC);
  if (status === 'pass') return null;
  return {
    ...{ kind: outsideK < 0 ? 'too-cold' : 'too-warm', since: at, hours: 0, value: temperatureC },
    ...{ limit: outsideK < 0 ? band.min : band.max, ...(status === 'watch' && { isBorne: true }) },
  };
}

const hoursOf = (ms: number) => ms / HOUR_MS;

/** Since when every value has been exactly the same, if that is for too long; null otherwise. */
function stuckSince(readings: MarkedReading[]): number | null {
  const last = readings.at(-1);
  if (!last || (last.temperatureC === undefined && last.relativeHumidityPct === undefined)) return null;
  let first = readings.length - 1;
  while (first > 0 && sameValues(readings[first - 1], last)) first -= 1;
  const since = readings[first]?.at ?? last.at;
  return readings.length - first >= STUCK_READINGS && last.at - since >= STUCK_AFTER_MS ? since : null;
}

const sameValues = (a: MarkedReading | undefined, b: MarkedReading) =>
  a?.temperatureC === b.temperatureC && a?.relativeHumidityPct === b.relativeHumidityPct;

function outside(
  readings: MarkedReading[],
  field: 'temperatureC' | 'relativeHumidityPct',
  band: BandFact,
  bearsHours: number,
  low: AlarmKind,
  high: AlarmKind,
): Alarm[] {
  const seen = readings.filter((each) => each[field] !== undefined);
  const last = seen.at(-1);
  const value = last?.[field];
  if (!last || value === undefined) return [];
  const isLow = value < band.min;
  if (!isLow && value <= band.max) return [];
  const same = (each: MarkedReading) => {
    const other = each[field] ?? NaN;
    return isLow ? other < band.min : other > band.max;
  };
  let first = seen.length - 1;
  while (first > 0 && same(seen[first - 1] as MarkedReading)) first -= 1;
  const since = seen[first]?.at ?? last.at;
  const hours = hoursOf(last.at - since);
  if (hours < bearsHours) return [];
  return [{ kind: isLow ? low : high, since, hours, value, limit: isLow ? band.min : band.max }];
}
