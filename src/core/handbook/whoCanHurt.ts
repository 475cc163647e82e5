import { groupBy } from '../groupBy';
import type { Dangers, Hazard } from '../profiles/hazards';

interface Someone {
  scientificName: string;
  homeId: string;
}

/** A species of the house that nobody takes in hand, with the boxes it lives in. */
export interface Hurtful<Who extends Someone> {
  one: Who;
  hazards: Hazard[];
  homeIds: string[];
}

/** Every species that can hurt, once, in the order in which they live: what is read out on the telephone. */
export function whoCanHurt<Who extends Someone>(
  residents: readonly Who[],
  dangersOf: (who: Who) => Dangers,
): Hurtful<Who>[] {
  return [...groupBy(residents, ({ scientificName }) => scientificName).values()].flatMap((all) => {
    const [one] = all;
    const hazards = one ? dangersOf(one).hazards.filter(({ doNotHandle }) => doNotHandle) : [];
    const homeIds = [...new Set(all.map(({ homeId }) => homeId))];
    return one && hazards.length > 0 ? [{ one, hazards, homeIds }] : [];
  });
}
