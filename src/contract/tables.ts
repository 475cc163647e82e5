/** The tables that what is kept goes out as. */
export const TABLES = [
  'residents',
  'homes',
  'shelves',
  'rooms',
  'entries',
  'readings',
  'store',
  'keepers',
  'absences',
  'schools',
] as const;
export type TableName = (typeof TABLES)[number];

/** Where a table lies, as CSV or as JSON. */
/** All tables at once, and where they are brought in again. */
export const TABLES_ADDRESS = '/api/tables';

/** The collection with its births and deaths, for archives of natural history. */
export const DARWIN_CORE_ADDRESS = '/api/darwin-core';

/** What came in of each table. */
export type TablesBroughtIn = Partial<Record<TableName, number>>;

export const tableAddress = (name: TableName, form: 'csv' | 'json'): string => `/api/tables/${name}.${form}`;
