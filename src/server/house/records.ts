import type { Entry, EntryOf } from '@/contract/storedEntries';
import type { Home, Resident } from '@/contract/records';
import type { PastMeal } from '@/core/feeding/food';
import { HEAD_KINDS } from '@/core/growth/census';
import { asLived, type Lived } from '@/core/growth/warmthLived';
import type { Kin } from '@/core/growth/kin';
import type { Day } from '@/core/measure/day';
import { groupBy } from '@/core/groupBy';
import { mealsBefore } from '../meals';
import { REST_KINDS, type RestKind } from '../rests';
import { inParts } from './inTurn';
import type { Queries } from '../storage/database';
import { entriesForRound, entriesOfKinds, moultsOf, type MoultRow } from '../storage/entries';
import { homesAsTheyWere, homesOf, type HomeWas } from '../storage/homes';
import { livedOf } from '../storage/livedWarmth';
import { kinOfIds, residentsNow } from '../storage/residents';

/** What tells of the heads of some who are counted. */
export const HEADS_AND_BROOD = [...HEAD_KINDS, 'brood-seen'] as const;
export type HeadKind = (typeof HEADS_AND_BROOD)[number];

/** What was written down about residents and homes, as far as a day is worked out from it; by id. */
export interface Records {
  residents: Map<string, Resident>;
  homes: Map<string, Home>;
  /** How those that were changed were before, oldest first. */
  homesBefore: Map<string, HomeWas[]>;
  /** What the round goes by: the latest entry of each kind, and all of the day. */
  entries: Map<string, Entry[]>;
  /** The last meals before the day. */
  meals: Map<string, PastMeal[]>;
  /** Heads that were counted, came and went; brood that was seen. */
  heads: Map<string, EntryOf<HeadKind>[]>;
  /** Winter rests. */
  rests: Map<string, EntryOf<RestKind>[]>;
  /** Of everybody that ever was here. */
  kin: Map<string, Kin>;
  /** Each with the warmth of the interval that ended with it. */
  moults: Map<string, MoultRow[]>;
  /** Where those lived whose moults count, and how warm that was. */
  lived: Map<string, Lived>;
}

export const noRecords = (): Records => ({
  ...{
    residents: new Map(),
    homes: new Map(),
    homesBefore: new Map(),
    entries: new Map(),
    meals: new Map(),
    heads: new Map(),
  },
  ...{ rests: new Map(), kin: new Map(), moults: new Map(), lived: new Map() },
});

/** Reads what was written about some residents and puts it in the place of what was known; of those that are gone nothing stays but their kin. */
export const readResidents = (queries: Queries, records: Records, ids: readonly string[], on: Day): Promise<void> =>
  inParts(ids, async (some) => {
    const [residents, entries, meals] = [
      await residentsNow(queries, some),
      await entriesForRound(queries, on, some),
      await mealsBefore(queries, some, on),
    ];
    const heads = await entriesOfKinds(queries, some, HEADS_AND_BROOD);
    const rests = await entriesOfKinds(queries, some, REST_KINDS);
    put(records.residents, some, byId(residents));
    put(
      records.entries,
      some,
      groupBy(entries, ({ residentId }) => residentId ?? ''),
    );
    put(records.meals, some, meals);
    put(
      records.heads,
      some,
      groupBy(heads, ({ residentId }) => residentId ?? ''),
    );
    put(
      records.rests,
      some,
      groupBy(
        rests.filter((entry) => entry.on <= on),
        ({ residentId }) => residentId ?? '',
      ),
    );
    put(records.kin, some, byId(await kinOfIds(queries, some)));
    const { moults, lived } = await moultsAsLived(queries, some);
    put(records.moults, some, moults);
    put(records.lived, some, lived);
  });

/** The moults of some, each with the warmth of the interval that ended with it. */
export async function moultsAsLived(
  queries: Queries,
  ids: readonly string[],
): Promise<Pick<Records, 'moults' | 'lived'>> {
  const [rows, lived] = [await moultsOf(queries, ids), await livedOf(queries, ids)];
  return { lived, moults: new Map([...rows].map(([id, moults]) => [id, asLived(moults, lived.get(id))])) };
}

/** Reads some homes and puts them in the place of what was known. */
export const readHomes = (queries: Queries, records: Records, ids: readonly string[]): Promise<void> =>
  inParts(ids, async (some) => {
    put(records.homes, some, byId(await homesOf(queries, some)));
    put(
      records.homesBefore,
      some,
      groupBy(await homesAsTheyWere(queries, some), ({ homeId }) => homeId),
    );
  });

const byId = <Row extends { id: string }>(rows: readonly Row[]) => new Map(rows.map((row) => [row.id, row]));

/** Puts what was read about some ids in the place of what was known; nothing was read about those that are no more. */
export function put<Value>(into: Map<string, Value>, ids: readonly string[], values: ReadonlyMap<string, Value>): void {
  for (const id of ids) {
    const value = values.get(id);
    if (value === undefined) into.delete(id);
    else into.set(id, value);
  }
}
