/** A place that stands this near to a step holds it. K, chosen here */
const HOLDS_WITHIN_K = 2.5;

/** Somewhere an animal can be kept, and how warm it is there. */
export interface Place {
  name: string;
  temperatureC: number;
}

/**
 * The place that holds a step of a rest: the nearest to it, where one is near enough.
 * @returns its name; null where none of them holds it
 */
export function placeHolding(targetC: number, places: readonly Place[]): string | null {
  const away = ({ temperatureC }: Place) => Math.abs(temperatureC - targetC);
  const [nearest] = [...places].sort((one, other) => away(one) - away(other));
  return nearest && away(nearest) <= HOLDS_WITHIN_K ? nearest.name : null;
}
