import type { HomeQuestion } from '@/core/house/homeState';
import { forecastMoisture, STALE_AIR_CHANGES } from '@/core/climate/forecast';
import { shippedMixes } from '@/contract/shipped';
import type { Home, Resident } from '@/contract/records';
import type { Room } from '@/contract/readings';
import { questionOf, recipeIn, USUAL_ROOM, wishesOf } from '@/core/climate/homeAir';
import type { MoistureQuestion } from '@/core/climate/moisture';
import { wateringOutlook, type WaterFact, type WateringOutlook } from '@/core/climate/watering';
import { USUAL_WARMTH } from '@/core/growth/pace';
import type { Day } from '@/core/measure/day';
import type { CareProfile } from '@/core/profiles/profile';
import type { Alarm } from '@/core/readings/alarms';
import { DAY_MS } from '@/core/readings/reading';
import type { Hemisphere } from '@/core/season/year';
import type { MaterialTable } from '@/core/substrate/material';
import { remembering } from '../remembering';
import type { Queries } from '../storage/database';
import { readMeta, writeMeta } from '../storage/meta';
import { meanWarmthOfHomes } from '../storage/readings';
import { listRooms, measuredRooms, roomOfShelf, type RoomRow } from '../storage/rooms';

/** A room's probes speak for it over the last week. */
const ROOM_DAYS = 7;

/** The rooms with their air: by their probes, else as set, else as usual. */
export async function roomsOf(queries: Queries, now: string): Promise<Room[]> {
  const since = new Date(Date.parse(now) - ROOM_DAYS * DAY_MS).toISOString();
  const measured = await measuredRooms(queries, since);
  return (await listRooms(queries)).map((row) => roomOf(row, measured.get(row.id)));
}

function roomOf(
  { id, name, air }: RoomRow,
  measured: { temperatureC: number; relativeHumidityPct: number; swingK: number } | undefined,
): Room {
  const set = { ...USUAL_ROOM, ...air };
  if (!measured) return { id, name, air: set, from: air ? 'set' : 'usual' };
  const { temperatureC, relativeHumidityPct, swingK } = measured;
  return { id, name, air: { ...set, temperatureC, relativeHumidityPct, dailySwingK: swingK }, from: 'readings' };
}

/** A home with who lives in it, ready to be forecast. */
export function questionFor(
  profile: CareProfile,
  resident: Pick<Resident, 'stage'>,
  home: Home,
  room: Room,
  materials: MaterialTable,
  days: number,
): MoistureQuestion {
  return questionOf(profile, resident.stage, home, room.air, recipeIn(home, profile, shippedMixes), materials, days);
}

/** To follow the drying of a box takes milliseconds: what was asked before, in the same words, is remembered. */
const outlooks = remembering<WateringOutlook | null>(4000);

/** The air of a room as a forecast of weeks feels it: not every reading of a probe makes it another. */
const steady = (air: Room['air']): Room['air'] => ({
  ...air,
  temperatureC: Math.round(10 * air.temperatureC) / 10,
  relativeHumidityPct: Math.round(air.relativeHumidityPct),
  dailySwingK: Math.round(10 * (air.dailySwingK ?? 0)) / 10,
});

/** When a home is to be damped; null for kinds whose soil is not kept damp. */
export function wateringFor(
  profile: CareProfile,
  resident: Pick<Resident, 'stage'>,
  home: Home,
  room: Room,
  materials: MaterialTable,
  facts: WaterFact[],
  today: Day,
  alarms: Alarm[],
  spreadTimes: number,
): WateringOutlook | null {
  if (profile.climate.damping !== 'soil' || home.nest !== undefined || home.substrateDepthMm === 0) return null;
  const dry = alarms.find((each) => each.kind === 'too-dry');
  const dryAir = dry && { humidityPct: dry.value ?? 0, hours: dry.hours, minPct: dry.limit ?? 0 };
  const question = questionFor(profile, resident, home, { ...room, air: steady(room.air) }, materials, 1);
  const wishes = wishesOf(profile);
  return outlooks(JSON.stringify([question, wishes, facts, today, dryAir, spreadTimes]), () =>
    wateringOutlook(question, wishes, facts, today, dryAir, spreadTimes),
  );
}

/** The air of a box settles within hours of its damping. days */
const AIR_SETTLES_DAYS = 2;
const airs = remembering<AirOfHome>(4000);

/** What the air of a home does by the forecast, and how much exchange its kind wants. */
export type AirOfHome = NonNullable<HomeQuestion['air']>;

/** The air of a home as it is kept; null for nests of chambers, whose air is not reckoned. */
export function airFor(
  profile: CareProfile,
  resident: Pick<Resident, 'stage'>,
  home: Home,
  room: Room,
  materials: MaterialTable,
): AirOfHome | null {
  if (home.nest !== undefined) return null;
  const calm = { ...room, air: steady(room.air) };
  const question = questionFor(profile, resident, home, calm, materials, AIR_SETTLES_DAYS);
  const wishes = wishesOf(profile);
  return airs(JSON.stringify([question, wishes]), () => {
    const { airChangesPerHour, steadyRelativeHumidityPct } = forecastMoisture(question, wishes);
    const wantedPerHour = wishes.minAirChangesPerHour ?? STALE_AIR_CHANGES;
    return { airChangesPerHour, humidityPct: steadyRelativeHumidityPct, wantedPerHour };
  });
}

/** Warmth is read off the probe in a home over so many days: about as long as an interval of the quick ones. */
const WARMTH_DAYS = 60;

/** How warm each home is: by a probe in it, else by its room and its heater. */
export async function warmthIn(queries: Queries, now: string) {
  return (await roomsAndWarmth(queries, now)).warmth;
}

/** The rooms with their air, which of them a home stands in, and how warm it is there. */
export async function roomsAndWarmth(queries: Queries, now: string) {
  const since = new Date(Date.parse(now) - WARMTH_DAYS * DAY_MS).toISOString();
  const probed = await meanWarmthOfHomes(queries, since, USUAL_WARMTH.baseC);
  const rooms = new Map((await roomsOf(queries, now)).map((room) => [room.id, room]));
  const roomByShelf = await roomOfShelf(queries);
  const roomOf = (home: Home) => rooms.get(roomByShelf.get(home.shelfId) ?? '');
  const warmth = (home: Home): { temperatureC: number; from: 'probe' | 'room' } => {
    const read = probed.get(home.id);
    if (read !== undefined) return { temperatureC: read, from: 'probe' };
    const air = roomOf(home)?.air.temperatureC ?? USUAL_WARMTH.referenceC;
    return { temperatureC: air + (home.heat?.warmingK ?? 0), from: 'room' };
  };
  return { rooms, roomOf, warmth };
}

const HEMISPHERE_KEY = 'hemisphere';

/** In which half of the world the house stands; in the north while nobody has said. */
export async function hemisphereOf(queries: Queries): Promise<Hemisphere> {
  return (await readMeta(queries, HEMISPHERE_KEY)) === 'south' ? 'south' : 'north';
}

export const writeHemisphere = (queries: Queries, hemisphere: Hemisphere) =>
  writeMeta(queries, HEMISPHERE_KEY, hemisphere);
