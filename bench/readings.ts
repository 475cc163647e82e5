import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import Papa from 'papaparse';
import { readLoggerTable, tableIn } from '@/core/readings/loggerTable';
import { openDataFolder } from '@/server/storage/dataFolder';
import { migrate } from '@/server/storage/migrate';
import { openFolder } from '@/server/storage/pglite';
import { startServer } from '@/server/testing/server';
import { once, row } from './measure';

const COUNT = 200_000;
const PIECE = 8000;
/** A year of readings, a little over two and a half minutes apart. */
const STEP_MS = (365 * 86_400_000) / COUNT;

/** A logger's file of 200,000 rows: read, brought in to a database on disk, and a year of it drawn. */
export async function benchReadings(): Promise<void> {
  const text = ['Time;Temperature (C);Humidity (%)']
    .concat(
      Array.from({ length: COUNT }, (_, index) => {
        const at = new Date(Date.UTC(2025, 2, 14) + index * STEP_MS).toISOString().slice(0, 19).replace('T', ' ');
        return `${at};${(22 + 2 * Math.sin(index / 300)).toFixed(1)};${(75 + 6 * Math.sin(index / 900)).toFixed(1)}`;
      }),
    )
    .join('\n');
  const split = await once(async () => text.split('\n').map((line) => line.split(';')));
  row('baseline: 200,000 lines split into cells and no more', split.ms, '');
  const read = await once(async () => {
    const { table } = tableIn(Papa.parse<string[]>(text, { skipEmptyLines: false }).data);
    return readLoggerTable(table, {
      timeColumn: 0,
      temperatureColumn: 1,
      humidityColumn: 2,
      temperatureUnit: 'C',
      dateOrder: 'ymd',
      zone: 'Europe/Berlin',
    });
  });
  row('logger: the same file read, checked and marked', read.ms, 'within the 20 s');

  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-bench-'));
  const database = await openFolder(openDataFolder(path.join(folder, 'data')));
  await migrate(database);
  const server = await startServer(database);
  try {
    const { shelf } = (await server.post('/api/shelves', { room: 'R', name: 'S' })).body;
    const container = { shape: 'box', lengthMm: 200, widthMm: 200, heightMm: 200, lid: 'solid', vents: [] };
    const body = { code: 'X', shelfId: shelf.id, container, substrateDepthMm: 50 };
    const { home } = (await server.post('/api/homes', body)).body;
    const rows = read.answer.readings.map((each) => [each.at, each.temperatureC, each.relativeHumidityPct, each.mark]);
    const brought = await once(async () => {
      const { importId } = (await server.post('/api/imports', { name: 'L', place: 'air', homeId: home.id })).body;
      for (let from = 0; from < rows.length; from += PIECE) {
        await server.post(`/api/imports/${importId}/rows`, { rows: rows.slice(from, from + PIECE) });
      }
      return (await server.post(`/api/imports/${importId}/finish`, {})).body;
    });
    row(`import: ${brought.answer.added} readings, in pieces, to disk`, brought.ms, 'limit 20,000 ms');
    const course = `/api/probes/${brought.answer.probeId}/readings?from=2025-03-14T00:00:00.000Z&to=2026-03-14T00:00:00.000Z`;
    await server.get(course);
    const times: number[] = [];
    for (let run = 0; run < 7; run += 1) times.push((await once(() => server.get(course))).ms);
    row('chart: a year of one probe, 200,000 readings', times.sort((a, b) => a - b)[3] ?? 0, 'limit 150 ms');
  } finally {
    await server.close();
    await database.close();
    fs.rmSync(folder, { recursive: true, force: true });
  }
}
