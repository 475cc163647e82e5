import type { PopulationKind } from './kind';

/** A queen lays no faster than so many times what she lays at the warmth of reference, however warm. From memory */
const FASTEST = 1.3;

/**
 * Eggs laid in a week, with room for all. A queen lays more with more workers to feed them.
 * @param pace how fast the kind lives, 1 at the warmth of reference
 */
export function eggsLaid(laying: PopulationKind['laying'], adults: number, queens: number, pace: number): number {
  const warm = Math.min(FASTEST, pace);
  if (laying.by === 'female') return adults * laying.femaleShare.value * laying.perWeek.value * warm;
  const most = laying.perWeek.value;
  const fed = adults / (adults + laying.halfAtWorkers.value);
  return queens * (laying.founding.value + (most - laying.founding.value) * fed) * warm;
}
