/** The tables that what is kept goes out as. */
export const TABLES = ['residents', 'homes', 'shelves', 'entries', 'readings', 'store', 'keepers', 'absences'] as const;
export type TableName = (typeof TABLES)[number];

/** Where a table lies, as CSV or as JSON. */
export const tableAddress = (name: TableName, form: 'csv' | 'json'): string => `/api/tables/${name}.${form}`;
