/** Arithmetic-geometric mean of two lengths over 0. */
export function agm(a: number, b: number): number {
  while (Math.abs(a - b) > 1e-12 * a) [a, b] = [(a + b) / 2, Math.sqrt(a * b)];
  return a;
}
