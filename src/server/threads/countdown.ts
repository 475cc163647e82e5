/** How many seconds are left of those that begin now. s */
export function countdown(seconds: number): () => number {
  const until = performance.now() + 1000 * seconds;
  return () => (until - performance.now()) / 1000;
}
