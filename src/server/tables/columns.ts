import Papa from 'papaparse';
import { UNIT_ENDINGS } from '@/core/measure/unitEndings';

/** What a cell holds; nothing is an empty cell. */
export type Cell = string | number | boolean | null | undefined;

/** One column of a table that goes out. */
export interface ColumnOut<Row> {
  /** Its name in JSON. */
  id: string;
  /** Its heading in CSV, with the unit. */
  title: string;
  type: 'string' | 'number' | 'integer' | 'boolean';
  of: (row: Row) => Cell;
}

/** "bodyLengthMm" as a keeper reads it: "body length (mm)". */
export function titleOf(id: string): string {
  const [suffix, unit] = UNIT_ENDINGS.find(([each]) => each.test(id)) ?? [];
  const bare = suffix ? id.replace(suffix, '') : id;
  const words = bare.replace(/([a-z0-9])([A-Z])/g, '$1 $2').toLowerCase();
  return unit === undefined ? words : `${words} (${unit})`;
}

export const column = <Row>(id: string, type: ColumnOut<Row>['type'], of: ColumnOut<Row>['of']): ColumnOut<Row> => ({
  ...{ id, type, of },
  title: titleOf(id),
});

/** What has no column of its own, as JSON. */
export const json = <Row>(id: string, of: (row: Row) => unknown): ColumnOut<Row> =>
  column(id, 'string', (row) => {
    const value = of(row);
    return value === undefined || value === null ? undefined : JSON.stringify(value);
  });

export const text = <Row>(id: string, of: ColumnOut<Row>['of']): ColumnOut<Row> => column(id, 'string', of);

/** Rows that are read and written out in one go, so that others are answered in between. Chosen by measuring */
export const ROWS_AT_ONCE = 100;

/** What a spreadsheet would take for a formula, also behind the apostrophes that keep it from being one: so that one can be taken away again. */
const FORMULA = /^'*[=+\-@\t\r].*$/s;
const KEPT_FROM_IT = /^'+[=+\-@\t\r]/;

/** A cell as it was before it was kept from being a formula. */
export const cellAsItWas = (cell: string): string => (KEPT_FROM_IT.test(cell) ? cell.slice(1) : cell);

/** The heading of a table as a line of CSV. */
export const csvHead = <Row>(columns: readonly ColumnOut<Row>[]): string =>
  `${Papa.unparse([columns.map(({ title }) => title)])}\r\n`;

/**
 * Rows as lines of CSV: fields with commas, quotes or line ends are quoted, and text that a spreadsheet would take for a formula is
 * kept from being one by an apostrophe.
 * @source RFC 4180; OWASP, CSV injection
 */
export function csvLines<Row>(columns: readonly ColumnOut<Row>[], rows: readonly Row[]): string {
  if (rows.length === 0) return '';
  const cells = rows.map((row) => columns.map(({ of }) => of(row) ?? ''));
  return `${Papa.unparse(cells, { newline: '\r\n', escapeFormulae: FORMULA })}\r\n`;
}

/** A row as JSON has it: what nobody said is not there. */
export const jsonRow = <Row>(columns: readonly ColumnOut<Row>[], row: Row): string =>
  JSON.stringify(Object.fromEntries(columns.map(({ id, of }) => [id, of(row) ?? undefined])));

/** What the rows of a table are, by JSON Schema 2020-12. */
export const schemaOf = <Row>(name: string, columns: readonly ColumnOut<Row>[]): object => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: name,
  type: 'array',
  items: {
    type: 'object',
    additionalProperties: false,
    properties: Object.fromEntries(columns.map(({ id, title, type }) => [id, { type, description: title }])),
  },
});
