import type { Probe } from '@/contract/readings';
import type { Climate } from '@/core/profiles/profile';
import type { ProbeAlarm } from '@/core/plan/work';
import { alarmsOf } from '@/core/readings/alarms';
import { DAY_MS, type MarkedReading } from '@/core/readings/reading';

/** Alarms look this far back: longer than any animal bears. */
export const ALARM_DAYS = 10;

/** What the probes in a home say is wrong. What was read by hand or from a file cannot fall silent. */
export function homeAlarms(
  probes: Pick<Probe, 'id' | 'name' | 'kind'>[],
  readings: Map<string, MarkedReading[]>,
  climate: Pick<Climate, 'humidityPct' | 'temperatureC' | 'bearsHours'>,
  now: number,
): ProbeAlarm[] {
  return probes
    .filter(({ kind }) => kind === 'device' || kind === 'simulated')
    .flatMap((probe) => {
      const recent = (readings.get(probe.id) ?? []).filter((each) => each.at > now - ALARM_DAYS * DAY_MS);
      return alarmsOf(recent, climate, now).map((alarm) => ({ ...alarm, probeId: probe.id, probe: probe.name }));
    });
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
