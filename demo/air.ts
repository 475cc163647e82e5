import { shippedMaterials, shippedMixes } from '@/contract/shipped';
import type { Probe } from '@/contract/readings';
import { forecastMoisture } from '@/core/climate/forecast';
import { questionOf, recipeIn, wishesOf } from '@/core/climate/homeAir';
import type { RoomAir } from '@/core/climate/moisture';
import type { CareProfile } from '@/core/profiles/profile';
import { materialTableOf } from '@/core/substrate/material';
import { HOMES, SHELVES } from './homes';
import type { DemoResident } from './residents';

/** The air of the rooms, and what hangs in them. */
export const ROOMS: Record<string, RoomAir> = {
  'Boiler Room': { temperatureC: 25, relativeHumidityPct: 48, draughtMS: 0.1, dailySwingK: 1.5 },
  'North Store': { temperatureC: 19.5, relativeHumidityPct: 55, draughtMS: 0.08, dailySwingK: 1 },
  Cellar: { temperatureC: 12, relativeHumidityPct: 78, draughtMS: 0.03, dailySwingK: 0.8 },
  Refrigerator: { temperatureC: 6, relativeHumidityPct: 60, draughtMS: 0.02, dailySwingK: 0.6 },
};

export interface DemoProbe extends Pick<Probe, 'name' | 'place'> {
  home?: string;
  room?: string;
  fault?: Probe['fault'];
  /** Since how many days the fault shows. */
  faultDaysAgo?: number;
}

export const PROBES: DemoProbe[] = [
  { name: 'Boiler Room, by the door', place: 'room', room: 'Boiler Room' },
  { name: 'North Store, window side', place: 'room', room: 'North Store' },
  { name: 'Cellar, by the steps', place: 'room', room: 'Cellar' },
  { name: 'Refrigerator, upper shelf', place: 'room', room: 'Refrigerator' },
  { name: 'B4 air', place: 'air', home: 'B4' },
  { name: 'B5 cool side', place: 'cool', home: 'B5' },
  { name: 'C1 air', place: 'air', home: 'C1' },
  { name: 'C2 cool side', place: 'cool', home: 'C2' },
  { name: 'E1 air', place: 'air', home: 'E1' },
  { name: 'Scale under E1', place: 'scale', home: 'E1' },
  { name: 'E5 air', place: 'air', home: 'E5', fault: 'stuck', faultDaysAgo: 3 },
  { name: 'E6 air', place: 'air', home: 'E6', fault: 'drop-outs', faultDaysAgo: 6 },
];

const materials = materialTableOf(shippedMaterials);
/** A home that keeps damp for longer is looked after once a season. days */
const LONGEST_DAYS = 90;

/** How long the soil of a resident's home keeps damp, and what it takes then. */
export function dampingOf(
  { home: code, stage }: Pick<DemoResident, 'home' | 'stage'>,
  profile: CareProfile,
): { days: number; waterMl: number } | null {
  const home = HOMES.find((each) => each.code === code);
  if (!home || profile.climate.damping !== 'soil' || home.substrateDepthMm === 0) return null;
  const room = ROOMS[SHELVES.find(({ key }) => key === home.shelf)?.room ?? ''];
  const recipe = recipeIn(home, profile, shippedMixes);
  if (!room) return null;
  const question = questionOf(profile, stage, home, room, recipe, materials, LONGEST_DAYS);
  const { daysToRedamp, redampMl } = forecastMoisture(question, wishesOf(profile));
  return { days: Math.max(1, Math.floor(daysToRedamp ?? LONGEST_DAYS)), waterMl: Math.round(redampMl) };
}
