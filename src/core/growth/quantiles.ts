/** The value at a rank of a list, which is put into another order (Hoare's selection). */
function select(values: Float64Array, rank: number): number {
  let low = 0;
  let high = values.length - 1;
  while (low < high) {
    const pivot = values[(low + high) >> 1] as number;
    let i = low;
    let j = high;
    while (i <= j) {
      while ((values[i] as number) < pivot) i += 1;
      while ((values[j] as number) > pivot) j -= 1;
      if (i > j) break;
      const held = values[i] as number;
      values[i] = values[j] as number;
      values[j] = held;
      i += 1;
      j -= 1;
    }
    if (rank <= j) high = j;
    else if (rank >= i) low = i;
    else break;
  }
  return values[rank] as number;
}

/** The tenth, the middle and the ninetieth percentile. */
export function numbersOf(values: Float64Array): { p10: number; median: number; p90: number } {
  const copy = Float64Array.from(values);
  const at = (share: number) => select(copy, Math.round(share * (copy.length - 1)));
  return { p10: at(0.1), median: at(0.5), p90: at(0.9) };
}

/** The same of a list that is in order already. */
export function numbersInOrder(values: Float64Array): { p10: number; median: number; p90: number } {
  const at = (share: number) => values[Math.round(share * (values.length - 1))] as number;
  return { p10: at(0.1), median: at(0.5), p90: at(0.9) };
}
