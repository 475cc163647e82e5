import type { Caste } from './kind';

/**
 * How the workers of a colony are likely to be built: small colonies have small ones only, the larger castes come with
 * numbers, each towards a share of its own.
 * @param workers 0 or more
 * @returns how many of each caste, the smallest first; they add up to the workers
 */
export function castesOf(castes: readonly Caste[], workers: number): { id: string; count: number }[] {
  const counts = castes.map(({ id, mostSharePct, halfAtWorkers }, index) => {
    if (index === 0 || !mostSharePct || !halfAtWorkers) return { id, count: 0 };
    const share = (mostSharePct.value / 100) * (workers / (workers + halfAtWorkers.value || 1));
    return { id, count: Math.round(workers * share) };
  });
  const [smallest] = counts;
  if (smallest) smallest.count = workers - counts.reduce((sum, each) => sum + each.count, 0);
  return counts;
}
