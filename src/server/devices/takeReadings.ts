import type { z } from 'zod';
import type { deviceReadings, NewReading } from '@/contract/readings';
import { markSpikes } from '@/core/readings/marks';
import { MINUTE_MS, type MarkedReading } from '@/core/readings/reading';
import type { Clock } from '../clock';
import { invalid, Problem } from '../http/problem';
import type { Database, Queries } from '../storage/database';
import { digestOf } from '../secrets';
import { probeOfToken, setDevice } from '../storage/probes';
import { conflicting, insertReadings, lastReadings, markReadings, refreshHours } from '../storage/readings';

/** A clock may run ahead of the house's by this much. */
export const CLOCK_AHEAD_MS = 10 * MINUTE_MS;
/** Whether a reading is a spike shows only in its neighbours: so many are looked at again when new ones come. */
const LOOK_BACK = 12;

export type DeviceReadings = z.output<typeof deviceReadings>;

/**
 * Takes what a device has measured, by HTTP or MQTT.
 * @throws Problem for an unknown token, a second device on one token, or a clock that runs ahead; then nothing is kept
 */
export async function takeReadings(
  { database, clock }: { database: Database; clock: Clock },
  token: string | undefined,
  sent: DeviceReadings,
): Promise<{ added: number; duplicates: number }> {
  return database.transaction(async (queries) => {
    const probe = token === undefined ? undefined : await probeOfToken(queries, digestOf(token));
    if (!probe) {
      throw new Problem('unauthorized', 'Send the token of the probe: Authorization: Bearer <token>.');
    }
    await requireOneDevice(queries, probe, sent.device);
    const now = Date.parse(clock.now());
    const isList = 'readings' in sent;
    const list: NewReading[] = isList ? sent.readings : [sent];
    const readings = list.map((each, index) => {
      const at = each.at === undefined ? now : Date.parse(each.at);
      if (at > now + CLOCK_AHEAD_MS) {
        const path = isList ? `readings.${index}.at` : 'at';
        throw invalid(
          path,
          `The clock of the device runs ahead: it is ${new Date(now).toISOString()} here; got ${each.at}.`,
        );
      }
      return { at, ...valuesOf(each), mark: null };
    });
    const twice = await conflicting(queries, probe.id, readings);
    if (twice.length > 0) {
      throw new Problem('conflict', `Another reading of ${twice[0]} is there already. Two devices with one token?`, [
        { path: isList ? 'readings' : 'at', message: 'Give each device a probe and a token of its own.' },
      ]);
    }
    const added = await addReadings(queries, probe.id, readings);
    return { added, duplicates: readings.length - added };
  });
}

const valuesOf = ({ temperatureC, relativeHumidityPct, massG }: NewReading) => ({
  temperatureC,
  relativeHumidityPct,
  massG,
});

/** A token belongs to the first device that names itself. */
async function requireOneDevice(
  queries: Queries,
  probe: { id: string; device: string | null },
  device: string | undefined,
): Promise<void> {
  if (device === undefined || device === probe.device) return;
  if (probe.device === null) return setDevice(queries, probe.id, device);
  throw new Problem('conflict', `This token is used by the device “${probe.device}”, not “${device}”.`, [
    { path: 'device', message: 'Give each device a probe and a token of its own.' },
  ]);
}

/** Writes readings and marks spikes among them and those just before. Answers how many were new. */
export async function addReadings(queries: Queries, probeId: string, readings: MarkedReading[]): Promise<number> {
  const added = await insertReadings(queries, probeId, readings);
  if (added === 0) return 0;
  const recent = await lastReadings(queries, probeId, added + LOOK_BACK);
  const marks = new Map(
    markSpikes(recent).flatMap((each, index) =>
      each.mark === 'spike' && recent[index]?.mark === null ? [[each.at, 'spike' as const]] : [],
    ),
  );
  await markReadings(queries, probeId, marks);
  const instants = [...readings.map((each) => each.at), ...marks.keys()];
  await refreshHours(
    queries,
    probeId,
    instants.reduce((a, b) => Math.min(a, b)),
    instants.reduce((a, b) => Math.max(a, b)),
  );
  return added;
}
