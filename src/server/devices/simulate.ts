import type { Room } from '@/contract/readings';
import { dampedFor } from '@/core/climate/homeAir';
import { followMoisture, type MoistureCourse } from '@/core/climate/moisture';
import { saturationVapourPressurePa } from '@/core/climate/psychrometrics';
import type { CareBook } from '@/core/profiles/careBook';
import { DAY_MS, HOUR_MS, type Reading } from '@/core/readings/reading';
import { PROBE_STEP_MS, simulatedReadings, simulatedWeighings, type TrueAir } from '@/core/readings/simulatedProbe';
import type { MaterialTable } from '@/core/substrate/material';
import { careOf, materialTable } from '../care';
import type { Clock } from '../clock';
import { questionFor, roomsOf } from '../house/air';
import type { Database, Queries } from '../storage/database';
import { waterEntriesOf } from '../storage/entries';
import { findHome } from '../storage/homes';
import { listSimulated } from '../storage/probes';
import { residentsIn } from '../storage/residents';
import { roomOfShelf } from '../storage/rooms';
import { momentOf } from '../house/waterFacts';
import { letOthersIn } from '../house/inTurn';
import { log } from '../log';
import { addReadings } from './takeReadings';

/** A probe that was just hung up has this much to tell, so that charts are not empty. */
const HISTORY_DAYS = 10;
/** A probe that was away for long tells of so much at once, and lets others in. */
const STEP_MS = 5 * DAY_MS;
/** It is told that one has more than this to tell. */
const TOLD_MS = 2 * HISTORY_DAYS * DAY_MS;
/** A damping before this is as good as forgotten. */
const LONGEST_DAYS = 120;

/**
 * Lets the simulated probes say what they would have said up to now: the air of their home by the moisture engine, from
 * damping to damping, or that of their room.
 */
export async function simulateProbes({ database, clock }: { database: Database; clock: Clock }): Promise<void> {
  const probes = await listSimulated(database);
  const now = Date.parse(clock.now());
  const due = probes.filter(({ lastAt }) => lastAt === null || now - Date.parse(lastAt) >= PROBE_STEP_MS);
  if (due.length === 0) return;
  const world = await worldOf(database, clock);
  for (const probe of due) {
    const from = probe.lastAt === null ? now - HISTORY_DAYS * DAY_MS : Date.parse(probe.lastAt);
    if (now - from > TOLD_MS) log.info(`A simulated probe tells of ${Math.round((now - from) / DAY_MS)} days.`);
    for (let at = from; at < now; at += STEP_MS) {
      const readings = await readingsOf(database, world, probe, at, Math.min(now, at + STEP_MS));
      if (readings.length === 0) continue;
      await database.transaction((queries) =>
        addReadings(
          queries,
          probe.id,
          readings.map((each) => ({ ...each, mark: null })),
        ),
      );
      await letOthersIn();
    }
  }
}

type Simulated = Awaited<ReturnType<typeof listSimulated>>[number];

async function readingsOf(
  queries: Queries,
  world: World,
  probe: Simulated,
  from: number,
  now: number,
): Promise<Reading[]> {
  const seed = Number.parseInt(probe.id.slice(0, 8), 16);
  const home = probe.homeId === null ? undefined : await courseOfHome(queries, world, probe.homeId, from);
  if (probe.place === 'scale') return home ? simulatedWeighings(seed, home.massG, from, now) : [];
  const air = probe.homeId === null ? airOfRoom(world, probe.roomId) : home?.air;
  if (!air) return [];
  const faultFrom = probe.faultFrom === null ? Infinity : Date.parse(probe.faultFrom);
  const placed = probe.place === 'warm' ? warmer(air) : air;
  return simulatedReadings({ seed, fault: probe.fault, faultFrom }, placed, from, now);
}

interface World {
  care: CareBook;
  materials: MaterialTable;
  rooms: Room[];
  roomByShelf: Map<string, string>;
}

async function worldOf(queries: Queries, clock: Clock): Promise<World> {
  const [care, materials] = [await careOf(queries), await materialTable(queries)];
  return {
    care,
    materials,
    rooms: await roomsOf(queries, clock.now()),
    roomByShelf: await roomOfShelf(queries),
  };
}

/** The warm side of a home, where a mat or a lamp is: three degrees over the rest, its vapour the same. From memory. */
const WARM_SIDE_K = 3;
const warmer =
  (air: TrueAir): TrueAir =>
  (at) => {
    const { temperatureC, relativeHumidityPct } = air(at);
    const ratio = saturationVapourPressurePa(temperatureC) / saturationVapourPressurePa(temperatureC + WARM_SIDE_K);
    return { temperatureC: temperatureC + WARM_SIDE_K, relativeHumidityPct: relativeHumidityPct * ratio };
  };

function airOfRoom({ rooms }: World, roomId: string | null): TrueAir | undefined {
  const room = rooms.find((each) => each.id === roomId);
  if (!room) return undefined;
  const { temperatureC, relativeHumidityPct, dailySwingK = 1 } = room.air;
  const pressure = (saturationVapourPressurePa(temperatureC) * relativeHumidityPct) / 100;
  return (at) => {
    const hour = (at / HOUR_MS) % 24;
    const warm = temperatureC + dailySwingK * Math.cos((2 * Math.PI * (hour - 15)) / 24);
    return { temperatureC: warm, relativeHumidityPct: (100 * pressure) / saturationVapourPressurePa(warm) };
  };
}

/** The air of a home, and what it weighs, from damping to damping. */
async function courseOfHome(
  queries: Queries,
  world: World,
  homeId: string,
  from: number,
): Promise<{ air: TrueAir; massG: (at: number) => number } | undefined> {
  const home = await findHome(queries, homeId);
  const tenant = dampedFor(world.care, await residentsIn(queries, homeId));
  const room = world.rooms.find((each) => each.id === world.roomByShelf.get(home?.shelfId ?? ''));
  if (!home || !tenant || !room) return undefined;
  const profile = world.care.of(tenant);
  const dampings = (await waterEntriesOf(queries, homeId)).filter((entry) => entry.kind !== 'felt').reverse();
  const starts = dampings.map(momentOf).filter((at) => at > from - LONGEST_DAYS * DAY_MS);
  if (starts.length === 0) starts.push(from - DAY_MS);
  const courses = new Map<number, MoistureCourse>();
  const question = questionFor(profile, tenant, home, room, world.materials, LONGEST_DAYS);
  const at = (moment: number) => {
    const start = starts.findLast((each) => each <= moment) ?? starts[0] ?? moment;
    const startHour = Math.round((start / HOUR_MS) % 24);
    let course = courses.get(start);
    if (!course) courses.set(start, (course = followMoisture({ ...question, startHour })));
    const hour = Math.min(course.relativeHumidityPct.length - 1, Math.max(0, (moment - start) / HOUR_MS));
    return { course, hour };
  };
  const { box, wetness } = question;
  const waterG = 1000 * (box.dampHeldKg * wetness.damp + box.dryHeldKg * wetness.dry);
  return {
    air: (moment) => {
      const { course, hour } = at(moment);
      return {
        temperatureC: between(course.temperatureC, hour),
        relativeHumidityPct: between(course.relativeHumidityPct, hour),
      };
    },
    massG: (moment) => {
      const { course, hour } = at(moment);
      return TUB_G + waterG - between(course.lostMl, hour);
    },
  };
}

/** A tub with its lid and dry filling: only differences are read off a scale. From memory. */
const TUB_G = 1500;

function between(values: Float64Array, hour: number): number {
  const index = Math.floor(hour);
  const a = values[index] ?? 0;
  return a + ((values[index + 1] ?? a) - a) * (hour - index);
}
