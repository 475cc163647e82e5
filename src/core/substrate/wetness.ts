/** How a squeezed handful feels, from dry to dripping. */
export const FEELS = ['crumbles', 'clumps-no-drop', 'a-drop', 'runs'] as const;
export type Feel = (typeof FEELS)[number];

/**
 * Wetness by feel, where 1 is all that the mix holds without dripping: crumbles 0.25, clumps without a drop 0.55, gives
 * a drop 0.85, runs 1.1. That "damp, not dripping" lies between the second and the third is common practice; the
 * numbers are from memory.
 */
export const WETNESS_OF_FEEL: Record<Feel, number> = {
  crumbles: 0.25,
  'clumps-no-drop': 0.55,
  'a-drop': 0.85,
  runs: 1.1,
};

/** The feel that lies nearest to a wetness. */
export function feelOf(wetness: number): Feel {
  return FEELS.reduce((best, feel) =>
    Math.abs(WETNESS_OF_FEEL[feel] - wetness) < Math.abs(WETNESS_OF_FEEL[best] - wetness) ? feel : best,
  );
}
