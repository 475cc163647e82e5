/**
 * The cheapest assignment of rows to columns, each column at most once (Kuhn 1955, in the form with potentials and
 * shortest augmenting paths, O(rows^2 columns)).
 * @param costs one list a row, all of the same length, at least as long as there are rows; Infinity where a pair cannot be
 * @returns for each row its column; and the cost, Infinity where not all rows can have one
 */
export function cheapestAssignment(costs: readonly (readonly number[])[]): { columns: number[]; cost: number } {
  const rows = costs.length;
  const width = costs[0]?.length ?? 0;
  // A pair that cannot be is made so dear that it is taken only where there is no other.
  const BIG = 1e7;
  const at = (row: number, column: number) => Math.min(BIG, costs[row]?.[column] ?? BIG);
  const rowPotential = new Float64Array(rows + 1);
  const columnPotential = new Float64Array(width + 1);
  // Rows and columns are counted from 1; column 0 stands for the row that is being placed.
  const rowOf = new Int32Array(width + 1);
  const way = new Int32Array(width + 1);
  for (let row = 1; row <= rows; row += 1) {
    rowOf[0] = row;
    let column = 0;
    const least = new Float64Array(width + 1).fill(Infinity);
    const isUsed = new Uint8Array(width + 1);
    do {
      isUsed[column] = 1;
      const placed = rowOf[column] ?? 0;
      let step = Infinity;
      let next = 0;
      for (let other = 1; other <= width; other += 1) {
        if (isUsed[other]) continue;
        const reduced = at(placed - 1, other - 1) - (rowPotential[placed] ?? 0) - (columnPotential[other] ?? 0);
        if (reduced < (least[other] ?? 0)) {
          least[other] = reduced;
          way[other] = column;
        }
        if ((least[other] ?? 0) < step) {
          step = least[other] ?? 0;
          next = other;
        }
      }
      for (let other = 0; other <= width; other += 1) {
        if (isUsed[other]) {
          const owner = rowOf[other] ?? 0;
          rowPotential[owner] = (rowPotential[owner] ?? 0) + step;
          columnPotential[other] = (columnPotential[other] ?? 0) - step;
        } else least[other] = (least[other] ?? 0) - step;
      }
      column = next;
    } while (rowOf[column] !== 0);
    do {
      const before = way[column] ?? 0;
      rowOf[column] = rowOf[before] ?? 0;
      column = before;
    } while (column !== 0);
  }
  const columns = new Array<number>(rows).fill(-1);
  for (let column = 1; column <= width; column += 1) {
    const row = rowOf[column] ?? 0;
    if (row > 0) columns[row - 1] = column - 1;
  }
  const cost = columns.reduce((sum, column, row) => sum + (costs[row]?.[column] ?? Infinity), 0);
  return { columns, cost };
}
