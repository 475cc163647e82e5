import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { RequestHandler } from 'express';
import { fileRoutes } from '@/contract/fileRoutes';
import { TABLES, type TableName } from '@/contract/tables';
import { invalidBy, notFound } from '../http/problem';
import type { Deps } from '../resources/deps';
import { inFolder, received } from '../http/fileTransfer';
import { schemaOf } from './columns';
import { asCsv, asJson } from './lines';
import { tableOut } from './tables';
import { tablesFromZip, tablesZip } from './zip';

const { query: asked } = fileRoutes.table;

const FILE = /^([a-z]+)\.(csv|json|schema\.json)$/;

/** Tables of everything that is kept: as CSV, as JSON, and what the JSON is by its schema. */
export function tableRoute(deps: Deps): RequestHandler {
  return async (request, response) => {
    const [, name = '', form = ''] = FILE.exec(String(request.params.file)) ?? [];
    if (!isTable(name))
      throw notFound(`table of that name: there are ${TABLES.join(', ')}, as .csv, .json or .schema.json`);
    const filter = asked.safeParse(request.query);
    if (!filter.success) throw invalidBy(filter.error);
    const table = tableOut(deps, name, filter.data);
    if (form === 'schema.json') {
      response.json(schemaOf(name, table.columns));
      return;
    }
    response.set('Content-Disposition', `attachment; filename="${name}-${deps.clock.today()}.${form}"`);
    response.type(form === 'csv' ? 'text/csv; charset=utf-8; header=present' : 'application/json');
    await pipeline(Readable.from(form === 'csv' ? asCsv(table) : asJson(table)), response);
  };
}

/** All tables in one zip. */
export function tablesOutRoute(deps: Deps): RequestHandler {
  return async (_request, response) => {
    response.set('Content-Disposition', `attachment; filename="tables-${deps.clock.today()}.zip"`);
    response.type('application/zip');
    await pipeline(tablesZip(deps), response);
  };
}

/** Tables in, out of a zip: all of them or nothing. */
export function tablesInRoute(deps: Deps, tell: () => void): RequestHandler {
  return (request, response) =>
    inFolder(async (folder) => {
      const file = path.join(folder, 'tables.zip');
      await received(request, file);
      const written = await tablesFromZip(deps, file);
      tell();
      response.json({ written });
    });
}

const isTable = (name: string): name is TableName => TABLES.some((each) => each === name);
