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

/** The same of a list that is in order already. */
export function numbersInOrder(values: Float64Array): { p10: number; median: number; p90: number } {
  const at = (share: number) => values[Math.round(share * (values.length - 1))] as number;
  return { p10: at(0.1), median: at(0.5), p90: at(0.9) };
}

/** Values are sorted roughly into so many bins first; the outermost take all beyond them. */
const BINS = 128;

/**
 * The same for lists of one length that come one after the other and change little, twice as fast: the values are sorted
 * into bins about the numbers of the list before, and only those in the bin of a rank are put into order. Exact, however
 * the lists change; the values must be finite.
 */
export function numbersFinder(count: number): (values: Float64Array) => { p10: number; median: number; p90: number } {
  const bins = new Uint8Array(count);
  const sizes = new Int32Array(BINS);
  const inBin = [0, 1, 2].map(() => new Float64Array(count));
  const ranks = [0.1, 0.5, 0.9].map((share) => Math.round(share * (count - 1)));
  const chosen = [0, 0, 0];
  const filled = [0, 0, 0];
  const ahead = [0, 0, 0];
  let last = { p10: 0, median: 0, p90: 0 };
  return (values) => {
    const reach = last.p90 - last.p10;
    const low = last.p10 - reach / 2;
    const scale = reach > 0 ? (BINS - 2) / (2 * reach) : 1;
    sizes.fill(0);
    for (let index = 0; index < count; index += 1) {
      const place = ((values[index] as number) - low) * scale;
      const bin = place < 0 ? 0 : place > BINS - 2 ? BINS - 1 : (place | 0) + 1;
      bins[index] = bin;
      sizes[bin] = (sizes[bin] as number) + 1;
    }
    let [bin, before] = [0, 0];
    for (let which = 0; which < 3; which += 1) {
      while (before + (sizes[bin] as number) <= (ranks[which] as number)) {
        before += sizes[bin] as number;
        bin += 1;
      }
      chosen[which] = bin;
      ahead[which] = before;
      filled[which] = 0;
    }
    const [first, second, third] = chosen as [number, number, number];
    for (let index = 0; index < count; index += 1) {
      const here = bins[index];
      if (here !== first && here !== second && here !== third) continue;
      for (let which = 0; which < 3; which += 1) {
        if (here !== chosen[which]) continue;
        (inBin[which] as Float64Array)[filled[which] as number] = values[index] as number;
        filled[which] = (filled[which] as number) + 1;
      }
    }
    const at = (which: number) =>
      select(
        inBin[which] as Float64Array,
        (ranks[which] as number) - (ahead[which] as number),
        0,
        (filled[which] as number) - 1,
      );
    last = { p10: at(0), median: at(1), p90: at(2) };
    return last;
  };
}
