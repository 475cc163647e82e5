import { randomUUID } from 'node:crypto';
import type { Home, Resident } from '@/contract/records';
import type { Measured } from '@/core/climate/calibrate';
import { dampedFor } from '@/core/climate/homeAir';
import { addDays } from '@/core/measure/day';
import type { CareProfile } from '@/core/profiles/profile';
import { DAY_MS, HOUR_MS, type MarkedReading } from '@/core/readings/reading';
import { waterLost } from '@/core/readings/weighing';
import { careOf, materialTable } from '../care';
import { addReadings, CLOCK_AHEAD_MS } from '../devices/takeReadings';
import { weighingsOf } from '../homeReadings';
import { houseToday } from '../house/houseToday';
import type { Handlers } from '../http/mount';
import { requirePlaceIn } from './probes';
import { invalid, notFound, Problem } from '../http/problem';
import { questionFor, roomsOf, wateringFor } from '../house/air';
import type { Queries } from '../storage/database';
import { spreadInForce } from '../scores/spread';
import { waterEntriesOf } from '../storage/entries';
import { findHome, updateFactors } from '../storage/homes';
import { findProbe, findProbeLike, insertProbe, listProbes } from '../storage/probes';
import { readingsOfHomes } from '../storage/readings';
import { residentsIn } from '../storage/residents';
import { roomOfShelf } from '../storage/rooms';
import { lastDamping, momentOf, waterFacts } from '../house/waterFacts';
import { inThread } from '../threads/pool';
import type { Deps } from './deps';

type Names = 'homeAir' | 'calibrateHome' | 'resetCalibration' | 'readHome';

/** Calibration looks back over dampings this old. */
const CALIBRATION_DAYS = 60;
/** In the first hours after damping walls and litter are wet: those readings say nothing of the box. */
const SETTLES_H = 12;

export function airHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  return {
    homeAir: async ({ params }) => {
      const { home, tenant, profile, room } = await sceneOf(database, params.id, clock.now());
      const now = Date.parse(clock.now());
      const since = new Date(now - CALIBRATION_DAYS * DAY_MS).toISOString();
      const [probes, readings] = [await listProbes(database, home.id), await readingsOfHomes(database, since, home.id)];
      const entries = await waterEntriesOf(database, home.id);
      const { homeStates } = await houseToday(database, clock.today(), clock.now());
      const grounds = homeStates.get(home.id)?.grounds ?? [];
      const alarms = grounds.flatMap((each) => (each.about === 'alarm' ? [each.alarm] : []));
      const weighings = weighingsOf(probes, readings);
      const damped = lastDamping(entries, clock.today());
      const today = clock.today();
      return {
        room,
        watering:
          tenant && profile
            ? wateringFor(
                profile,
                tenant,
                home,
                room,
                await materialTable(database),
                waterFacts(entries, weighings, today),
                today,
                alarms,
                (await spreadInForce(database)).drying,
              )
            : null,
        alarms,
        waterLost: damped ? waterLost(weighings, momentOf(damped)) : null,
        probes,
      };
    },

    calibrateHome: async ({ params }) => {
      const { question, measured } = await database.transaction(async (queries) => {
        const { home, tenant, profile, room } = await sceneOf(queries, params.id, clock.now());
        if (!tenant || !profile)
          throw new Problem('conflict', 'Nobody lives there: what it is kept like is not known.');
        const now = Date.parse(clock.now());
        const since = new Date(now - CALIBRATION_DAYS * DAY_MS).toISOString();
        const [probes, readings] = [await listProbes(queries, home.id), await readingsOfHomes(queries, since, home.id)];
        const entries = await waterEntriesOf(queries, home.id);
        // The last damping that has a day of readings behind it.
        const damped = lastDamping(entries, addDays(clock.today(), -2)) ?? lastDamping(entries, clock.today());
        const start = damped ? momentOf(damped) : now - 14 * DAY_MS;
        const end =
          nextDamping(
            entries.map((each) => ({ kind: each.kind, at: momentOf(each) })),
            start,
          ) ?? now;
        const inside = (each: MarkedReading) => each.mark === null && each.at > start && each.at < end;
        const hour = (each: MarkedReading) => (each.at - start) / HOUR_MS;
        const measured: Measured = {
          humidity: probes
            .filter(({ place }) => place === 'air' || place === 'cool')
            .flatMap((probe) => readings.get(probe.id) ?? [])
            .filter((each) => inside(each) && hour(each) > SETTLES_H && each.relativeHumidityPct !== undefined)
            .map((each) => ({ hour: hour(each), relativeHumidityPct: each.relativeHumidityPct ?? 0 })),
          masses: weighingsOf(probes, readings)
            .filter(inside)
            .map((each) => ({ hour: hour(each), massG: each.massG ?? 0 })),
        };
        const {
          days: _,
          factors: __,
          ...question
        } = questionFor(profile, tenant, home, room, await materialTable(queries), 1);
        return { question, measured };
      });
      const calibration = await inThread('calibrate', question, measured);
      if (calibration.kept === null) await updateFactors(database, params.id, calibration.factors);
      return { calibration, readings: measured.humidity.length, weighings: measured.masses.length };
    },

    resetCalibration: ({ params }) =>
      database.transaction(async (queries) => {
        await updateFactors(queries, params.id, null);
        const home = await findHome(queries, params.id);
        if (!home) throw notFound('home with that id');
        return { home };
      }),

    readHome: ({ params, body }) =>
      database.transaction(async (queries) => {
        const home = await findHome(queries, params.id);
        if (!home) throw notFound('home with that id');
        const { place, at: written, ...values } = body;
        if ((place === 'scale') !== (values.massG !== undefined)) {
          throw invalid('place', 'A weight belongs to the place "scale", and nothing else does.');
        }
        requirePlaceIn(home, place);
        const now = Date.parse(clock.now());
        const at = written === undefined ? now : Date.parse(written);
        if (at > now + CLOCK_AHEAD_MS) throw invalid('at', `Must not be in the future; got ${written}.`);
        const like = { kind: 'hand' as const, name: HAND_NAMES[place], place, homeId: home.id, roomId: null };
        const known = await findProbeLike(queries, like);
        const probeId = known ?? randomUUID();
        if (!known) await insertProbe(queries, { id: probeId, ...like, tokenSha256: null, addedAt: clock.now() });
        await addReadings(queries, probeId, [{ at, ...values, mark: null }]);
        const probe = await findProbe(queries, probeId);
        if (!probe) throw new Error('The probe just written cannot be read.');
        return { probe };
      }),
  };
}

const HAND_NAMES = {
  air: 'By hand',
  cool: 'Cool side, by hand',
  warm: 'Warm side, by hand',
  nest: 'Nest, by hand',
  outworld: 'Outworld, by hand',
  scale: 'Kitchen scale',
} as const;

interface Scene {
  home: Home;
  tenant: Resident | undefined;
  profile: CareProfile | undefined;
  room: Awaited<ReturnType<typeof roomsOf>>[number];
}

async function sceneOf(queries: Queries, homeId: string, now: string): Promise<Scene> {
  const home = await findHome(queries, homeId);
  if (!home) throw notFound('home with that id');
  const care = await careOf(queries);
  const tenant = dampedFor(care, await residentsIn(queries, homeId));
  const roomId = (await roomOfShelf(queries)).get(home.shelfId);
  const room = (await roomsOf(queries, now)).find((each) => each.id === roomId);
  if (!room) throw notFound('room of that home');
  return { home, tenant, profile: tenant && care.of(tenant), room };
}

const nextDamping = (entries: { kind: string; at: number }[], start: number) =>
  entries
    .filter((each) => each.kind !== 'felt' && each.at > start)
    .map((each) => each.at)
    .sort((a, b) => a - b)[0];
