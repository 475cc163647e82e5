import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { RequestHandler } from 'express';
import { TABLES, type TableName } from '@/contract/tables';
import { notFound } from '../http/problem';
import type { Deps } from '../resources/deps';
import { csvHead, csvLines, jsonRow, schemaOf } from './columns';
import { tableOut, type TableOut } from './tables';

const FILE = /^([a-z]+)\.(csv|json|schema\.json)$/;

/** Tables of everything that is kept: as CSV, as JSON, and what the JSON is by its schema. */
export function tableRoute(deps: Deps): RequestHandler {
  return async (request, response) => {
    const [, name = '', form = ''] = FILE.exec(String(request.params.file)) ?? [];
    if (!isTable(name))
      throw notFound(`table of that name: there are ${TABLES.join(', ')}, as .csv, .json or .schema.json`);
    const table = await tableOut(deps, name);
    if (form === 'schema.json') {
      response.json(schemaOf(name, table.columns));
      return;
    }
    response.set('Content-Disposition', `attachment; filename="${name}-${deps.clock.today()}.${form}"`);
    response.type(form === 'csv' ? 'text/csv; charset=utf-8; header=present' : 'application/json');
    await pipeline(Readable.from(form === 'csv' ? asCsv(table) : asJson(table)), response);
  };
}

async function* asCsv({ columns, rows }: TableOut): AsyncGenerator<string> {
  yield csvHead(columns);
  for await (const some of rows) yield csvLines(columns, some);
}

async function* asJson({ columns, rows }: TableOut): AsyncGenerator<string> {
  yield '[';
  let between = '\n';
  for await (const some of rows) {
    if (some.length === 0) continue;
    yield between + some.map((row) => jsonRow(columns, row)).join(',\n');
    between = ',\n';
  }
  yield '\n]\n';
}

const isTable = (name: string): name is TableName => TABLES.some((each) => each === name);
