import type { Entry } from '@/contract/storedEntries';
import type { Home, Resident } from '@/contract/records';
import { dampedFor } from '@/core/climate/homeAir';
import type { WateringOutlook } from '@/core/climate/watering';
import { addDays, type Day } from '@/core/measure/day';
import type { ProbeAlarm } from '@/core/plan/work';
import { guarded } from '../guarded';
import { alarmsOfHome, weighingsOf } from '../homeReadings';
import { airFor, wateringFor, type AirOfHome } from './air';
import type { Shared } from './shared';
import { lastDamping, waterFacts } from './waterFacts';

/** The water and the air of a home, by who it is damped for. */
export interface WaterOfHome {
  tenantId: string;
  /** When it is to be damped, as it stood this morning: what is damped today is shown as done. */
  morning: WateringOutlook | null | undefined;
  /** As it stands now. */
  now: WateringOutlook | null | undefined;
  alarms: ProbeAlarm[];
  air: AirOfHome | null | undefined;
}

/**
 * When a home is to be damped, what its air does, and what its probes say is wrong; undefined where nobody lives in it.
 * @param log of all who live in it
 * @param isResting whether one is in its winter rest
 */
export function waterOfHome(
  { care, materials, on, now, probes, readings, roomOf, warmth, spread }: Shared,
  home: Home,
  tenants: readonly Resident[],
  log: Entry[],
  isResting: (resident: Resident) => boolean,
): WaterOfHome | undefined {
  const tenant = dampedFor(care, tenants);
  const room = roomOf(home);
  if (!tenant || !room) return undefined;
  const profile = care.of(tenant);
  const inHome = probes.get(home.id) ?? [];
  const roomWarmth =
    room.from === 'usual'
      ? null
      : {
          roomId: room.id,
          name: room.name,
          temperatureC: warmth(home).temperatureC,
          since: Date.parse(`${on}T00:00:00`),
        };
  const at = Date.parse(now);
  const alarms = alarmsOfHome(inHome, readings, profile.climate, at, roomWarmth, isResting(tenant));
  const weighings = weighingsOf(inHome, readings);
  const wateringBy = (until: Day) => {
    const facts = waterFacts(log, weighings, on, until);
    return guarded(() => wateringFor(profile, tenant, home, room, materials, facts, on, alarms, spread.drying));
  };
  const morning = wateringBy(addDays(on, -1));
  const isDampedToday = lastDamping(log, on)?.on === on;
  return {
    ...{ tenantId: tenant.id, morning, now: isDampedToday ? wateringBy(on) : morning, alarms },
    air: guarded(() => airFor(profile, tenant, home, room, materials)),
  };
}
