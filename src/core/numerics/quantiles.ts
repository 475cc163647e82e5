/**
 * The value at a rank of a list, which is put into another order (Hoare's selection): smaller ones come before it,
 * larger ones behind.
 * @param from, to where the rank is to be looked for, where that is known from selections before
 */
function select(values: Float64Array, rank: number, from: number, to: number): number {
  let low = from;
  let high = to;
  while (low < high) {
    const pivot = values[(low + high) >> 1] as number;
    let i = low;
    let j = high;
    while (i <= j) {
      while (pivot > (values[i] as number)) i += 1;
      while (pivot < (values[j] as number)) j -= 1;
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
  const copy = values.slice();
  const last = copy.length - 1;
  const middle = Math.round(0.5 * last);
  const median = select(copy, middle, 0, last);
  return {
    p10: select(copy, Math.round(0.1 * last), 0, middle),
    median,
    p90: select(copy, Math.round(0.9 * last), middle, last),
  };
}
