import Papa from 'papaparse';
import { cellAsItWas } from './columns';
import type { Cells } from './rowsIn';

/** A table as text, and the names of its columns by what stands over them. */
export interface TableText {
  text: string;
  form: 'csv' | 'json';
  names: Readonly<Record<string, string>>;
}

/** The rows of a table, a line of JSON for each, of the cells that hold something; or what is wrong with the text. */
export type TableLines = { lines: string } | { problem: string };

/**
 * Reads a table, in a thread: rows go back as one text, for to hand over a hundred thousand objects would hold the server for seconds.
 * A column of another name is not read.
 */
export function tableLines({ text, form, names }: TableText): TableLines {
  return form === 'json' ? jsonRows(text) : csvRows(text, names);
}

/** The rows of what `tableLines` gave, one after the other. */
export function* rowsIn(lines: string): Generator<Cells> {
  for (let from = 0; from < lines.length;) {
    const end = lines.indexOf('\n', from);
    yield JSON.parse(lines.slice(from, end)) as Cells;
    from = end + 1;
  }
}

const asLines = (rows: readonly Cells[]): TableLines => ({
  lines: rows.map((row) => `${JSON.stringify(row)}\n`).join(''),
});

function csvRows(text: string, names: Readonly<Record<string, string>>): TableLines {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: true });
  const [wrong] = errors.filter(({ type }) => type !== 'Delimiter');
  if (wrong) return { problem: `Line ${(wrong.row ?? 0) + 1} is no line of CSV: ${wrong.message}.` };
  const [head = [], ...body] = data;
  const columns = head.map((title) => names[title.trim().toLowerCase()]);
  return asLines(
    body.map((row) =>
      Object.fromEntries(
        columns.flatMap((name, at) => {
          const cell = row[at] ?? '';
          return name === undefined || cell === '' ? [] : [[name, cellAsItWas(cell)]];
        }),
      ),
    ),
  );
}

function jsonRows(text: string): TableLines {
  let rows: unknown;
  try {
    rows = JSON.parse(text);
  } catch (error) {
    return { problem: `It is no JSON: ${(error as Error).message}.` };
  }
  if (!Array.isArray(rows) || rows.some((row) => typeof row !== 'object' || row === null))
    return { problem: 'It is no list of rows.' };
  return asLines(
    (rows as Record<string, unknown>[]).map((row) =>
      Object.fromEntries(
        Object.entries(row).flatMap(([name, value]) => {
          const cell = asText(value);
          return cell === '' ? [] : [[name, cell]];
        }),
      ),
    ),
  );
}

const asText = (value: unknown): string =>
  typeof value === 'string' ? value : value === null || value === undefined ? '' : JSON.stringify(value);
