import { startTransition, useEffect, useState } from 'react';

/**
 * How many of a long list are in the page: the first few at once, then a few more whenever the page has nothing else to
 * do, until all are. What is above the fold shows at once, and in the end a key, a search and a screen reader find everything.
 * @param first as many as fill a screen
 * @param step  as many as can be drawn without a tap having to wait
 */
export function useGrowing(total: number, first: number, step: number): number {
  const [drawn, setDrawn] = useState(first);
  useEffect(() => {
    if (drawn >= total) return;
    const timer = setTimeout(() => startTransition(() => setDrawn(drawn + step)));
    return () => clearTimeout(timer);
  }, [drawn, total, step]);
  return Math.min(drawn, total);
}
