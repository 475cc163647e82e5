const PLACES_IN_BOX = ['air', 'cool', 'warm'] as const;
const PLACES_IN_NEST = ['nest', 'outworld'] as const;

/** Where air and warmth are read in a home: in its open air, at the cool or the warm side; of a nest of chambers in one of them or in the outworld. */
export const PLACES_IN_HOME = [...PLACES_IN_BOX, ...PLACES_IN_NEST] as const;
export type PlaceInHome = (typeof PLACES_IN_HOME)[number];

/** The places that a home has. */
export const placesIn = ({ nest }: { nest?: unknown }): readonly PlaceInHome[] =>
  nest ? PLACES_IN_NEST : PLACES_IN_BOX;

/** Whether a place is one of nests alone. */
export const isInNest = (place: string): boolean => PLACES_IN_NEST.some((each) => each === place);
