import { youngPerAdult } from './brood';
import type { PopulationKind } from './kind';

/**
 * How much of its room a colony or a culture takes: of ants its workers, each with its share of brood, of others all heads. One
 * answer for its page, its nest, its box and the list of colonies.
 * @param grown its grown ones, 0 or more
 * @param total heads of all stages
 * @param roomForHeads heads of all stages that there is room for, more than 0
 * @returns 0 or more; over 100 it is more than full. %
 */
export function fullnessPct(kind: PopulationKind, grown: number, total: number, roomForHeads: number): number {
  if (kind.laying.by === 'female') return (100 * total) / roomForHeads;
  return (100 * grown * (1 + youngPerAdult(kind))) / roomForHeads;
}

/** From so much of its room on a colony is crowded. %, common practice, no source: before it is full */
export const CROWDED_PCT = 80;
