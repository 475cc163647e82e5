/** A row of a table: what it says, with what was taken for what; or what is wrong with it. */
export type ReadRow<Row> = { row: Row; notes: string[]; problem?: undefined } | { row?: undefined; problem: string };
