/** Clock time as it is written, without a zone. */
export interface ClockTime {
  year: number;
  /** From 1 to 12. */
  month: number;
  day: number;
  hour: number;
  minute: number;
  second: number;
}

const clocks = new Map<string, Intl.DateTimeFormat>();

/** @throws RangeError for a zone that is not known, for example `Europe/Nowhere`. */
function clockOf(zone: string): Intl.DateTimeFormat {
  const known = clocks.get(zone);
  if (known) return known;
  const clock = new Intl.DateTimeFormat('en-US', {
    timeZone: zone,
    hourCycle: 'h23',
    year: 'numeric',
    month: 'numeric',
    day: 'numeric',
    hour: 'numeric',
    minute: 'numeric',
    second: 'numeric',
  });
  clocks.set(zone, clock);
  return clock;
}

/** True for an IANA name that this machine knows. */
export function isZone(zone: string): boolean {
  try {
    clockOf(zone);
    return true;
  } catch {
    return false;
  }
}

/** How far the clocks of a zone are ahead of UTC at an instant. ms */
function offsetMs(zone: string, at: number): number {
  const parts = Object.fromEntries(
    clockOf(zone)
      .formatToParts(at)
      .map(({ type, value }) => [type, Number(value)]),
  );
  const { year = 0, month = 1, day = 1, hour = 0, minute = 0, second = 0 } = parts;
  return Date.UTC(year, month - 1, day, hour, minute, second) - Math.floor(at / 1000) * 1000;
}

/** Offsets by zone and hour: a logger's file asks for the same hours again and again. */
const known = new Map<string, number>();

function offsetOfHour(zone: string, at: number): number {
  const key = `${zone} ${Math.floor(at / 1_800_000)}`;
  const found = known.get(key);
  if (found !== undefined) return found;
  if (known.size > 50_000) known.clear();
  const offset = offsetMs(zone, at);
  known.set(key, offset);
  return offset;
}

/**
 * The instant at which the clocks of a zone show a time. ms since 1970; NaN for a day that does not exist.
 * An hour that comes twice (clocks put back) is taken the first time; one that is left out (clocks put forward) as if
 * they had not been.
 */
export function localTimeToInstant({ year, month, day, hour, minute, second }: ClockTime, zone: string): number {
  const asUtc = Date.UTC(year, month - 1, day, hour, minute, second);
  if (new Date(asUtc).getUTCDate() !== day) return NaN;
  const guess = asUtc - offsetOfHour(zone, asUtc);
  // The zone may have changed its clocks between the guess and the answer: of the offsets about it, the earlier instant.
  const offsets = [offsetOfHour(zone, guess - 3_600_000 * 3), offsetOfHour(zone, guess + 3_600_000 * 3)];
  const fitting = offsets.map((offset) => asUtc - offset).filter((at) => at + offsetOfHour(zone, at) === asUtc);
  return fitting.length > 0 ? Math.min(...fitting) : asUtc - (offsets[0] ?? 0);
}
