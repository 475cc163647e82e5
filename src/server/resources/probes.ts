import type { Home } from '@/contract/records';
import { isInNest, placesIn } from '@/core/readings/places';
import { randomUUID } from 'node:crypto';
import { HOUR_MS } from '@/core/readings/reading';
import { takeReadings } from '../devices/takeReadings';
import { simulateProbes } from '../devices/simulate';
import type { Handlers } from '../http/mount';
import { invalid, notFound, Problem } from '../http/problem';
import { digestOf, newSecret } from '../secrets';
import type { Queries } from '../storage/database';
import { findHome } from '../storage/homes';
import { deleteProbe, findProbe, insertProbe, listProbes, setToken, updateProbe } from '../storage/probes';
import { doubtedOf, seriesOf, spanOf } from '../storage/readings';
import { findRoom } from '../storage/rooms';
import type { Deps } from './deps';

type Names = 'probes' | 'addProbe' | 'changeProbe' | 'removeProbe' | 'renewToken' | 'probeSeries' | 'sendReadings';

/** A chart is at most as many points wide as a phone has pixels. */
const MOST_POINTS = 400;
const MOST_DOUBTED = 200;
const STEPS_MINUTES = [1, 5, 10, 15, 30, 60, 120, 180, 360, 720, 1440, 2880];

export function probeHandlers(deps: Deps): Pick<Handlers, Names> {
  const { database, clock } = deps;
  return {
    probes: async () => ({ probes: await listProbes(database) }),

    addProbe: async ({ body }) => {
      const id = body.id ?? randomUUID();
      const token = body.kind === 'device' ? newSecret() : null;
      await database.transaction(async (queries) => {
        await requirePlace(queries, body);
        if (await findProbe(queries, id)) throw new Problem('conflict', 'There is a probe with that id already.');
        await insertProbe(queries, {
          id,
          name: body.name,
          kind: body.kind,
          place: body.place,
          homeId: body.homeId ?? null,
          roomId: body.roomId ?? null,
          tokenSha256: token === null ? null : digestOf(token),
          addedAt: clock.now(),
        });
      });
      if (body.kind === 'simulated') await simulateProbes(deps);
      return { probe: await requireProbe(database, id), token };
    },

    changeProbe: ({ params, body }) =>
      database.transaction(async (queries) => {
        const probe = await requireProbe(queries, params.id);
        if (body.fault !== undefined && body.fault !== 'none' && probe.kind !== 'simulated') {
          throw invalid('fault', 'Only a simulated probe can be given a fault.');
        }
        await updateProbe(queries, params.id, body, clock.now());
        return { probe: await requireProbe(queries, params.id) };
      }),

    removeProbe: async ({ params }) => {
      if (!(await deleteProbe(database, params.id))) throw notFound('probe with that id');
      return { removed: params.id };
    },

    renewToken: async ({ params }) => {
      const probe = await requireProbe(database, params.id);
      if (probe.kind !== 'device') throw new Problem('conflict', 'Only a device has a token.');
      const token = newSecret();
      await setToken(database, params.id, digestOf(token));
      return { token };
    },

    sendReadings: ({ body, token }) => takeReadings(deps, token, body),

    probeSeries: async ({ params, query }) => {
      await requireProbe(database, params.id);
      const span = await spanOf(database, params.id);
      const to = query.to ?? clock.now();
      const from = query.from ?? span?.first ?? to;
      if (from > to) throw invalid('from', `Must be before ${to}; got ${from}.`);
      const minutes = (Date.parse(to) - Date.parse(from)) / (HOUR_MS / 60);
      const stepMinutes =
        STEPS_MINUTES.find((step) => minutes / step <= MOST_POINTS) ?? Math.ceil(minutes / MOST_POINTS);
      const rows = await seriesOf(database, params.id, from, to, stepMinutes);
      return {
        stepMinutes,
        readings: rows.reduce((sum, row) => sum + row.readings, 0),
        points: rows.map(({ readings: _, ...point }) => point),
        doubted: await doubtedOf(database, params.id, from, to, MOST_DOUBTED),
      };
    },
  };
}

export async function requireProbe(queries: Queries, id: string) {
  const probe = await findProbe(queries, id);
  if (!probe) throw notFound('probe with that id');
  return probe;
}

/** @throws Problem for a chamber or an outworld in a home that has none */
export function requirePlaceIn(home: Pick<Home, 'code' | 'nest'>, place: string): void {
  if (home.nest || !isInNest(place)) return;
  throw invalid('place', `${home.code} is no nest of chambers: write ${placesIn(home).join(', ')} or scale.`);
}

/** @throws Problem where there is no such home or room. */
export async function requirePlace(
  queries: Queries,
  { homeId, roomId, place }: { homeId?: string | undefined; roomId?: string | undefined; place: string },
): Promise<void> {
  if (homeId !== undefined) {
    const home = await findHome(queries, homeId);
    if (!home) throw invalid('homeId', 'There is no home with that id. See /api/homes.');
    requirePlaceIn(home, place);
  }
  if (roomId !== undefined && !(await findRoom(queries, roomId))) {
    throw invalid('roomId', 'There is no room with that id. See /api/rooms.');
  }
}
