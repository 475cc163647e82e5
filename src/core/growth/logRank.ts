import { normalBelow } from '@/core/numerics/normal';
import { deathTimes, type Lives } from './survival';

export interface LogRank {
  /** Mantel and Cox's statistic, of one degree of freedom. */
  chiSquare: number;
  /** Chance of so great a difference where there is none. % */
  chancePct: number;
  /** Deaths in the first, and as many as were to be expected if both lived alike. */
  deaths: number;
  expected: number;
}

/**
 * Whether two batches live on alike (log-rank): at every death how many of it were to be expected in the first by how many were left
 * of each. Null where nobody has died, or one is empty: then nothing can be said.
 * @source Mantel, N. (1966), Cancer Chemotherapy Reports 50, 163-170; as `survdiff` of R's survival
 */
export function logRank(first: Lives, second: Lives): LogRank | null {
  let [deaths, expected, variance] = [0, 0, 0];
  for (const { atRisk, deaths: died } of deathTimes([first, second])) {
    const [a = 0, b = 0] = atRisk;
    const [ofFirst = 0, ofSecond = 0] = died;
    const [total, all] = [a + b, ofFirst + ofSecond];
    deaths += ofFirst;
    expected += (all * a) / total;
    if (total > 1) variance += (all * a * b * (total - all)) / (total ** 2 * (total - 1));
  }
  if (variance <= 0) return null;
  const chiSquare = (deaths - expected) ** 2 / variance;
  return { chiSquare, chancePct: 200 * (1 - normalBelow(Math.sqrt(chiSquare))), deaths, expected };
}
