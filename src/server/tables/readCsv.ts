import Papa from 'papaparse';
import { cellAsItWas } from './columns';
import type { Cells } from './rowsIn';

/** A table as text, and the names of its columns by what stands over them. */
export interface TableText {
  text: string;
  form: 'csv' | 'json';
  names: Readonly<Record<string, string>>;
}

/**
 * The rows of a table by the names of their columns. A column of another name is not read.
 * @returns a sentence where the text is no table
 */
export function tableRows({ text, form, names }: TableText): Cells[] | string {
  return form === 'json' ? jsonRows(text) : csvRows(text, names);
}

function csvRows(text: string, names: Readonly<Record<string, string>>): Cells[] | string {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: true });
  const [wrong] = errors.filter(({ type }) => type !== 'Delimiter');
  if (wrong) return `Line ${(wrong.row ?? 0) + 1} is no line of CSV: ${wrong.message}.`;
  const [head = [], ...body] = data;
  const columns = head.map((title) => names[title.trim().toLowerCase()]);
  return body.map((row) =>
    Object.fromEntries(columns.flatMap((name, at) => (name === undefined ? [] : [[name, cellAsItWas(row[at] ?? '')]]))),
  );
}

function jsonRows(text: string): Cells[] | string {
  let rows: unknown;
  try {
    rows = JSON.parse(text);
  } catch (error) {
    return `It is no JSON: ${(error as Error).message}.`;
  }
  if (!Array.isArray(rows) || rows.some((row) => typeof row !== 'object' || row === null))
    return 'It is no list of rows.';
  return (rows as Record<string, unknown>[]).map((row) =>
    Object.fromEntries(Object.entries(row).map(([name, value]) => [name, asText(value)])),
  );
}

const asText = (value: unknown): string =>
  typeof value === 'string' ? value : value === null || value === undefined ? '' : JSON.stringify(value);
