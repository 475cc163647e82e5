/** The tables of what is kept: brought in again, each rests on those before it. */
export const TABLES_IN = [
  'rooms',
  'shelves',
  'homes',
  'residents',
  'entries',
  'probes',
  'readings',
  'store',
  'keepers',
  'absences',
  'schools',
] as const;
export type TableIn = (typeof TABLES_IN)[number];

/** The tables that go out: what is kept, and what is worked out of it. */
export const TABLES = [...TABLES_IN, 'plans'] as const;
export type TableName = (typeof TABLES)[number];

/** All tables at once, and where they are brought in again. */
export const TABLES_ADDRESS = '/api/tables';

/** The collection with its births and deaths, for archives of natural history. */
export const DARWIN_CORE_ADDRESS = '/api/darwin-core';

/** What came in of each table. */
export type TablesBroughtIn = Partial<Record<TableIn, number>>;

/** An address holds so many ids. */
export const MOST_IDS = 300;

/** Where a table lies, as CSV or as JSON: all of it, or what a list shows. */
export const tableAddress = (
  name: TableName,
  form: 'csv' | 'json',
  filter: Partial<Record<'ids' | 'resident' | 'kinds', string | undefined>> = {},
): string => {
  const given = Object.entries(filter).flatMap(([key, value]) => (value === undefined ? [] : [[key, value]]));
  const query = new URLSearchParams(given).toString();
  return `/api/tables/${name}.${form}${query && `?${query}`}`;
};
