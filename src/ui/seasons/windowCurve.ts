/** So many standard deviations lie between the middle and the tenth part at either end of a normal curve. */
const Z_10 = 1.2816;
/** Points of each half of a curve, and how many standard deviations it reaches. */
const STEPS = 24;
const REACH = 2.6;

/**
 * How likely something falls on each day, by its window: two halves of normal curves that meet on the likeliest day, so that
 * one of ten comes before the window and one after it. Highest 1.
 * @param from day on which one of ten has come, by the days of the picture
 * @param median the likeliest day
 * @param until day on which nine of ten have come
 * @returns days and heights, from before to after
 */
export function windowCurve(from: number, median: number, until: number): [day: number, height: number][] {
  const before = Math.max(0.5, median - from) / Z_10;
  const after = Math.max(0.5, until - median) / Z_10;
  // Each half by as many points, however much longer than the other it is.
  return Array.from({ length: 2 * STEPS + 1 }, (_, step) => {
    const away = ((step - STEPS) / STEPS) * REACH;
    return [median + away * (away < 0 ? before : after), Math.exp(-(away ** 2) / 2)];
  });
}
