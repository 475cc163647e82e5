/**
 * Draws as often as their weights say, taken at even steps of the weights, so that nothing is left to luck (systematic
 * resampling): the place of the draw that stands in each place afterwards.
 * @param weightOf 0 or more; not all 0
 * @param of so many there are to take from
 */
export function resample(count: number, weightOf: (index: number) => number, of = count): Int32Array {
  let total = 0;
  for (let index = 0; index < of; index += 1) total += weightOf(index);
  const chosen = new Int32Array(count);
  let taken = 0;
  let sum = 0;
  for (let index = 0; index < of; index += 1) {
    sum += weightOf(index);
    while (taken < count && ((taken + 0.5) * total) / count <= sum) {
      chosen[taken] = index;
      taken += 1;
    }
  }
  return chosen;
}
