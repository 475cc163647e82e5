/** What is wrong in a row, at which of its columns; empty where it is the row itself. */
export interface CellProblem {
  column: string;
  message: string;
}

/** A row of a table: what it says, with what was taken for what; or what is wrong with it. */
export type ReadRow<Row> =
  { row: Row; notes: string[]; problems?: undefined } | { row?: undefined; problems: CellProblem[] };
