import type { MothFlight } from '@/contract/broods';
import type { Resident } from '@/contract/records';
import { groupBy } from '@/core/groupBy';
import type { Day } from '@/core/measure/day';
import type { Coming } from '@/core/plan/work';
import { Refusal } from '@/core/refusal';
import type { StandingRest } from '../rests';
import type { Queries } from '../storage/database';
import { entriesOfKinds } from '../storage/entries';
import { flightOf, isOfFlight, MOTH_ENTRIES, type Flight } from './flights';
import type { Records } from './records';
import type { Shared } from './shared';

interface Scene {
  on: Day;
  records: Records;
  shared: Shared;
  rests: ReadonlyMap<string, StandingRest>;
}

/** The moths of the house, kept by species: all of one are worked out together whenever one of them is touched. */
export class StandingFlights {
  private readonly flights = new Map<string, Flight>();

  /** What one asks for. */
  comingOf({ id, scientificName }: Resident): Coming | undefined {
    return this.flights.get(scientificName)?.comings.get(id);
  }

  /** By species. */
  all(): MothFlight[] {
    return [...this.flights].sort(([one], [other]) => (one < other ? -1 : 1)).map(([, { flight }]) => flight);
  }

  /** Works out the species of those that were touched; answers those to whom something else is told than before. */
  async workOut(
    queries: Queries,
    dirty: ReadonlySet<string>,
    { on, records, shared, rests }: Scene,
  ): Promise<string[]> {
    const moths = [...records.residents.values()].filter(
      (resident) => isOfFlight(resident) && resident.takenInOn <= on,
    );
    const touched = new Set(moths.filter(({ id }) => dirty.has(id)).map(({ scientificName }) => scientificName));
    for (const [name, { comings }] of this.flights)
      if ([...comings.keys()].some((id) => dirty.has(id))) touched.add(name);
    const changed: string[] = [];
    for (const name of touched) {
      const before = this.flights.get(name);
      this.flights.delete(name);
      const group = moths
        .filter(({ scientificName }) => scientificName === name)
        .sort((one, other) => (one.id < other.id ? -1 : 1));
      if (group.length === 0) continue;
      const ids = group.map(({ id }) => id);
      const logs = groupBy(await entriesOfKinds(queries, ids, MOTH_ENTRIES), ({ residentId }) => residentId ?? '');
      const flight = await flightOf({
        group,
        homeOf: ({ homeId }) => records.homes.get(homeId),
        warmth: (home) => shared.warmth(home),
        logOf: (id) => logs.get(id) ?? [],
        restOf: (id) => rests.get(id),
        today: on,
      }).catch(refusedOnly);
      if (!flight) continue;
      this.flights.set(name, flight);
      const told = (each: Flight | undefined, id: string) => JSON.stringify(each?.comings.get(id));
      changed.push(...ids.filter((id) => told(before, id) !== told(flight, id)));
    }
    return changed;
  }
}

/** What cannot be worked out for a flight leaves it untold; anything else is a fault. */
function refusedOnly(error: unknown): undefined {
  if (error instanceof Refusal) return undefined;
  throw error;
}
