import type { Probe } from '@/contract/readings';
import type { Climate } from '@/core/profiles/profile';
import type { ProbeAlarm } from '@/core/plan/work';
import { alarmsOf, warmthAlarm } from '@/core/readings/alarms';
import { isInNest } from '@/core/readings/places';
import { DAY_MS, type MarkedReading } from '@/core/readings/reading';

/** Alarms look this far back: longer than any animal bears. */
export const ALARM_DAYS = 10;

type AlarmingClimate = Pick<
  Climate,
  'humidityPct' | 'nestHumidityPct' | 'outworldHumidityPct' | 'temperatureC' | 'bearsHours'
>;

/** What a kind is kept in at one place of its home: the nest of ants is damper than the outworld. */
function climateAt(climate: AlarmingClimate, place: Probe['place']): AlarmingClimate {
  const own = { nest: climate.nestHumidityPct, outworld: climate.outworldHumidityPct }[place as 'nest' | 'outworld'];
  return own ? { ...climate, humidityPct: own } : climate;
}

/** What the probes in a home say is wrong. */
export function homeAlarms(
  probes: Pick<Probe, 'id' | 'name' | 'kind' | 'place'>[],
  readings: Map<string, MarkedReading[]>,
  climate: AlarmingClimate,
  now: number,
): ProbeAlarm[] {
  return probes
    .filter(({ kind }) => isLiveKind(kind))
    .flatMap((probe) => {
      const recent = (readings.get(probe.id) ?? []).filter((each) => each.at > now - ALARM_DAYS * DAY_MS);
      return alarmsOf(recent, climateAt(climate, probe.place), now).map((alarm) => ({
        ...alarm,
        probeId: probe.id,
        probe: probe.name,
      }));
    });
}

/** What was read by hand or from a file cannot fall silent. */
const isLiveKind = (kind: Probe['kind']) => kind === 'device' || kind === 'simulated';

/** What was read by hand speaks for a place so long. Chosen here */
const HAND_SPEAKS_DAYS = 3;

/** How warm a home is by its room, and what that room is called; null where nobody has measured or set it. */
export interface RoomWarmth {
  roomId: string;
  name: string;
  temperatureC: number;
  /** From when on it is told, ms since 1970. */
  since: number;
}

/**
 * What is wrong in a home: by its probes; by what was read by hand in it; and where nobody measures its warmth, by its room.
 * At rest it is meant to be cold: then its warmth is judged by the rest.
 */
export function alarmsOfHome(
  probes: Pick<Probe, 'id' | 'name' | 'kind' | 'place'>[],
  readings: Map<string, MarkedReading[]>,
  climate: AlarmingClimate,
  now: number,
  room: RoomWarmth | null,
  isResting: boolean,
): ProbeAlarm[] {
  const heard = homeAlarms(probes, readings, climate, now);
  if (isResting) return heard.filter(({ kind }) => kind !== 'too-cold' && kind !== 'too-warm');
  const latest = ({ id }: Pick<Probe, 'id'>) =>
    readings.get(id)?.findLast((each) => each.mark === null && each.temperatureC !== undefined);
  const warm = probes.flatMap((probe) => {
    const reading = latest(probe);
    return reading && reading.at > now - HAND_SPEAKS_DAYS * DAY_MS ? [{ probe, reading }] : [];
  });
  const byHand = warm
    .filter(({ probe }) => !isLiveKind(probe.kind))
    .flatMap(({ probe, reading }) => {
      const alarm = warmthAlarm(climate.temperatureC, reading.temperatureC ?? NaN, reading.at);
      return alarm ? [{ ...alarm, probeId: probe.id, probe: probe.name }] : [];
    });
  const dampByHand = probes
    .filter(({ kind, place }) => !isLiveKind(kind) && isInNest(place))
    .flatMap((probe) => {
      const spoken = (readings.get(probe.id) ?? []).filter((each) => each.at > now - HAND_SPEAKS_DAYS * DAY_MS);
      const atOnce = { ...climateAt(climate, probe.place), bearsHours: { value: 0, basis: 'from memory' as const } };
      // One reading of a hygrometer speaks for the place in which it hung.
      const last = spoken.filter((each) => each.relativeHumidityPct !== undefined).slice(-1);
      return alarmsOf(last, atOnce, last[0]?.at ?? now)
        .filter(({ kind }) => kind === 'too-dry' || kind === 'too-damp')
        .map((alarm) => ({ ...alarm, probeId: probe.id, probe: probe.name }));
    });
  const byRoom = warm.length === 0 && room ? warmthAlarm(climate.temperatureC, room.temperatureC, room.since) : null;
  return [
    ...heard,
    ...byHand,
    ...dampByHand,
    ...(byRoom && room ? [{ ...byRoom, probeId: room.roomId, probe: room.name }] : []),
  ];
}

/** All weighings of a home, in the order of time. */
export function weighingsOf(
  probes: Pick<Probe, 'id' | 'place'>[],
  readings: Map<string, MarkedReading[]>,
): MarkedReading[] {
  return probes
    .filter(({ place }) => place === 'scale')
    .flatMap((probe) => readings.get(probe.id) ?? [])
    .filter((each) => each.mark === null)
    .sort((a, b) => a.at - b.at);
}
