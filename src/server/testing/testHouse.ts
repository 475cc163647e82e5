import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { Router } from 'express';
import { z } from 'zod';
import type { SettableClock } from '../clock';
import { seedDemo } from '../demo';
import { simulateProbes } from '../devices/simulate';
import { invalidBy, Problem } from '../http/problem';
import { ROOT } from '../root';
import type { Database } from '../storage/database';
import { migrate } from '../storage/migrate';
import { countRows, openMemory } from '../storage/pglite';
import { hasKeptRecords, keepRecords, putBack } from './keptRecords';

/** The packed demo of one program and one instant: laid once, loaded by every server that is started for tests after it. */
function demoFile(clock: SettableClock): { folder: string; name: string; program: string } {
  const program = createHash('sha256').update(fs.readFileSync(__filename)).digest('hex').slice(0, 12);
  const hour = `${clock.now().slice(0, 13)}-${(process.env.TZ ?? 'local').replaceAll(/\W/g, '')}`;
  return { folder: path.join(ROOT, '.cache'), name: `demo-${program}-${clock.today()}-${hour}.tar.gz`, program };
}

/**
 * A packed cluster with the demo in its tables and a copy of it beside them (see `keepRecords`). What an earlier program
 * had laid is thrown away.
 */
export async function demoCluster(clock: SettableClock): Promise<Blob> {
  const { folder, name, program } = demoFile(clock);
  const file = path.join(folder, name);
  if (!fs.existsSync(file)) {
    const database = await openMemory();
    await migrate(database);
    await seedDemo(database, clock);
    await simulateProbes({ database, clock });
    await keepRecords(database);
    const packed = Buffer.from(await (await database.dump()).arrayBuffer());
    await database.close();
    // Two first starts at once each write their own draft; the rename makes either whole.
    fs.writeFileSync(`${file}.${process.pid}`, packed);
    fs.renameSync(`${file}.${process.pid}`, file);
    const stale = fs.readdirSync(folder).filter((each) => /^demo-[0-9a-f]{12}-/.test(each) && !each.includes(program));
    for (const each of stale) fs.rmSync(path.join(folder, each));
  }
  return new Blob([fs.readFileSync(file)]);
}

const moveBody = z.strictObject({
  to: z.iso.datetime({ error: 'Must be an instant in UTC, for example 2026-03-14T18:00:00Z.' }).optional(),
  days: z.int({ error: 'Must be a whole number of days.' }).min(0).max(4000).optional(),
  hours: z.number({ error: 'Must be a number of hours.' }).min(0).max(100_000).optional(),
});
const houseBody = z.strictObject({
  holds: z.enum(['nothing', 'demo'], { error: 'Must be nothing or demo.' }),
  at: moveBody.shape.to,
});

/**
 * What only tests may ask of a server, under `/api/test`: another time, and the house put back to nothing or to the demo.
 * A server that was not started for tests (`VB_TEST=1`) does not know these addresses.
 */
export function testControls(
  { database, clock }: { database: Database; clock: SettableClock },
  look: () => Promise<void>,
): (tell: () => void) => Router {
  return (tell) =>
    controls(database, clock, async () => {
      await look();
      tell();
    });
}

/** @param after the probes have reported up to the new time, and the open pages know of it */
function controls(database: Database, clock: SettableClock, after: () => Promise<void>): Router {
  const router = Router();
  const now = () => ({ now: clock.now(), today: clock.today() });
  router.get('/clock', (_request, response) => void response.json(now()));
  router.post('/clock', async (request, response) => {
    const { to, ...by } = parsed(moveBody, request.body);
    if (to !== undefined) clock.setTo(to);
    clock.moveOn(by);
    await after();
    response.json(now());
  });
  router.post('/house', async (request, response) => {
    const { holds, at } = parsed(houseBody, request.body);
    if (holds === 'demo' && !(await hasKeptRecords(database))) {
      throw new Problem('conflict', 'This server keeps no demo: start it with VB_DEMO=1.');
    }
    if (at !== undefined) clock.setTo(at);
    await putBack(database, holds === 'demo' ? 'kept' : 'nothing');
    await countRows(database);
    await after();
    response.json(now());
  });
  return router;
}

function parsed<Schema extends z.ZodType>(schema: Schema, body: unknown): z.output<Schema> {
  const result = schema.safeParse(body ?? {});
  if (result.success) return result.data;
  throw invalidBy(result.error);
}
