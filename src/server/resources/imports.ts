import { randomUUID } from 'node:crypto';
import type { Handlers } from '../http/mount';
import { notFound } from '../http/problem';
import { findProbeLike, insertProbe } from '../storage/probes';
import {
  beginImport,
  dropImport,
  dropUnfinishedImports,
  finishImport,
  importProbe,
  stageReadings,
} from '../storage/readings';
import { DAY_MS } from '@/core/readings/reading';
import type { Queries } from '../storage/database';
import type { Deps } from './deps';
import { requirePlace } from './probes';

type Names = 'beginImport' | 'importRows' | 'finishImport' | 'dropImport';

/** The file of a logger comes in pieces, aside; the last call lets all of it in. */
export function importHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  return {
    beginImport: ({ body }) =>
      database.transaction(async (queries) => {
        await requirePlace(queries, body);
        const place = { homeId: body.homeId ?? null, roomId: body.roomId ?? null, place: body.place };
        const like = { kind: 'logger' as const, name: body.name, ...place };
        const known = await findProbeLike(queries, like);
        const probeId = known ?? randomUUID();
        if (!known) await insertProbe(queries, { id: probeId, ...like, tokenSha256: null, addedAt: clock.now() });
        await dropUnfinishedImports(queries, new Date(Date.parse(clock.now()) - DAY_MS).toISOString());
        const importId = randomUUID();
        await beginImport(queries, importId, probeId, clock.now());
        return { importId };
      }),

    importRows: ({ params, body }) =>
      database.transaction(async (queries) => {
        await requireImport(queries, params.id);
        const readings = body.rows.map(([at, temperatureC, relativeHumidityPct, mark]) => ({
          at,
          temperatureC: temperatureC ?? undefined,
          relativeHumidityPct: relativeHumidityPct ?? undefined,
          mark,
        }));
        await stageReadings(queries, params.id, readings);
        return { received: readings.length };
      }),

    finishImport: ({ params }) =>
      database.transaction(async (queries) => {
        const probeId = await requireImport(queries, params.id);
        const { staged, added } = await finishImport(queries, params.id);
        return { probeId, added, duplicates: staged - added };
      }),

    dropImport: async ({ params }) => {
      await requireImport(database, params.id);
      await dropImport(database, params.id);
      return { dropped: params.id };
    },
  };
}

async function requireImport(queries: Queries, id: string): Promise<string> {
  const probeId = await importProbe(queries, id);
  if (probeId === undefined) throw notFound('import with that id; it may have been finished or given up');
  return probeId;
}
