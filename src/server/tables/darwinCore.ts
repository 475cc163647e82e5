import { randomUUID } from 'node:crypto';
import { pipeline } from 'node:stream/promises';
import type { RequestHandler } from 'express';
import { v5 as nameOf } from 'uuid';
import { ZipFile } from 'yazl';
import {
  archiveText,
  darwinCore,
  emlXml,
  metaXml,
  type LifeEvent,
  type Measured,
  type Specimen,
} from '@/core/records/darwinCore';
import { houseToday } from '../house/houseToday';
import { pauses } from '../house/inTurn';
import type { Deps } from '../resources/deps';
import { entriesOfKinds } from '../storage/entries';
import { listKeepers } from '../storage/keepers';
import { listGone } from '../storage/residents';

const KINDS = { 'taken-in': 'arrival', died: 'death', 'passed-on': 'departure', hatched: 'birth' } as const;
const TOLD = ['taken-in', 'died', 'passed-on', 'hatched', 'measured', 'moulted'] as const;
const MEASURES = [
  ['legSpanMm', 'leg span'],
  ['bodyLengthMm', 'body length'],
  ['carapaceWidthMm', 'carapace width'],
  ['massG', 'mass'],
  ['instar', 'instar'],
  ['headCount', 'head count'],
] as const;
/** Residents whose entries are read at once. */
const AT_ONCE = 20;

/** The collection with its births and deaths as a Darwin Core Archive. */
export function darwinCoreRoute({ database, clock }: Deps): RequestHandler {
  return async (_request, response) => {
    const on = clock.today();
    const { homes, residents } = await houseToday(database, on, clock.now());
    const codes = new Map(homes.map(({ id, code }) => [id, code]));
    const everybody = [...residents, ...(await listGone(database))];
    const specimens = everybody.map((each): Specimen => ({ ...each, box: codes.get(each.homeId) ?? null }));
    const events: LifeEvent[] = [];
    const measured: Measured[] = [];
    const pause = pauses();
    for (let from = 0; from < everybody.length; from += AT_ONCE) {
      const some = everybody.slice(from, from + AT_ONCE);
      for (const { id, bornOn } of some)
        if (bornOn !== null) events.push({ ...BORN, id: nameOf('birth', id), organismId: id, on: bornOn });
      const entries = await entriesOfKinds(
        database,
        some.map(({ id }) => id),
        TOLD,
      );
      for (const { id, kind, residentId, on: day, keeper: by, note: remarks, data } of entries) {
        if (residentId === null) continue;
        const told = { organismId: residentId, on: day };
        const count = 'count' in data ? data.count : 'headCount' in data ? data.headCount : undefined;
        if (kind in KINDS) {
          const happened = KINDS[kind as keyof typeof KINDS];
          events.push({ ...told, id, kind: happened, by, remarks, count: count as number | undefined });
        }
        for (const [name, what] of MEASURES) {
          const value = (data as Record<string, unknown>)[name];
          if (typeof value === 'number') measured.push({ ...told, what, value });
        }
      }
      await pause();
    }
    const archive = darwinCore(specimens, events, measured);
    const keepers = (await listKeepers(database, on)).map(({ name }) => name);
    const species = new Set(specimens.map(({ scientificName }) => scientificName)).size;
    const zip = new ZipFile();
    const add = (name: string, text: string) => zip.addBuffer(Buffer.from(text), name);
    add('meta.xml', metaXml(archive));
    add('eml.xml', emlXml({ id: randomUUID(), on, keepers, species }));
    for (const table of [archive.core, ...archive.extensions]) add(table.file, archiveText(table));
    zip.end();
    response.set('Content-Disposition', `attachment; filename="darwin-core-${on}.zip"`);
    response.type('application/zip');
    await pipeline(zip.outputStream, response);
  };
}

const BORN = { kind: 'birth', by: null, remarks: null } as const;
