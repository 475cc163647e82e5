import { letOthersIn } from '../house/inTurn';
import { csvHead, csvLines, jsonRow, ROWS_AT_ONCE } from './columns';
import type { TableOut } from './tables';

/** A table as lines of CSV, some at a time. */
export async function* asCsv({ columns, rows }: TableOut): AsyncGenerator<string> {
  yield csvHead(columns);
  for await (const some of inPieces(rows)) yield csvLines(columns, some);
}

/** A table as a list in JSON, some rows at a time. */
export async function* asJson({ columns, rows }: TableOut): AsyncGenerator<string> {
  yield '[';
  let between = '\n';
  for await (const some of inPieces(rows)) {
    yield between + some.map((row) => jsonRow(columns, row)).join(',\n');
    between = ',\n';
  }
  yield '\n]\n';
}

/** Rows so many at a time as are written out in one go, while others are answered in between. */
async function* inPieces<Row>(rows: AsyncIterable<Row[]>): AsyncGenerator<Row[]> {
  for await (const all of rows) {
    for (let from = 0; from < all.length; from += ROWS_AT_ONCE) {
      yield all.slice(from, from + ROWS_AT_ONCE);
      await letOthersIn();
    }
  }
}
