import { csvHead, csvLines, jsonRow } from './columns';
import type { TableOut } from './tables';

/** A table as lines of CSV, some at a time. */
export async function* asCsv({ columns, rows }: TableOut): AsyncGenerator<string> {
  yield csvHead(columns);
  for await (const some of rows) yield csvLines(columns, some);
}

/** A table as a list in JSON, some rows at a time. */
export async function* asJson({ columns, rows }: TableOut): AsyncGenerator<string> {
  yield '[';
  let between = '\n';
  for await (const some of rows) {
    if (some.length === 0) continue;
    yield between + some.map((row) => jsonRow(columns, row)).join(',\n');
    between = ',\n';
  }
  yield '\n]\n';
}
