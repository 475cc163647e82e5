import type { PopulationKind } from './kind';

/** A queen lays no faster than so many times what she lays at the warmth of reference, however warm. From memory */
const FASTEST = 1.3;

/** How eggs laid in a week follow from the grown ones, in numbers that stand still. */
export interface Laying {
  /** For each grown one. */
  perAdult: number;
  /** Of queens alone, and what workers that feed them add at most; half of that with `half` workers. */
  alone: number;
  fed: number;
  half: number;
}

export function layingOf(laying: PopulationKind['laying'], queens: number): Laying {
  if (laying.by === 'female') {
    return { perAdult: laying.femaleShare.value * laying.perWeek.value, alone: 0, fed: 0, half: 1 };
  }
  const [most, alone] = [laying.perWeek.value, laying.founding.value];
  return { perAdult: 0, alone: queens * alone, fed: queens * (most - alone), half: laying.halfAtWorkers.value };
}

/**
 * Eggs laid in a week, with room for all. A queen lays more with more workers to feed them.
 * @param pace how fast the kind lives, 1 at the warmth of reference
 */
export function eggsLaid({ perAdult, alone, fed, half }: Laying, adults: number, pace: number): number {
  return (perAdult * adults + alone + (fed * adults) / (adults + half)) * (pace < FASTEST ? pace : FASTEST);
}
