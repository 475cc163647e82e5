import type { Changes } from '@/contract/changes';
import { houseToday } from '../house/houseToday';
import type { Handlers } from '../http/mount';
import { listShelves } from '../storage/shelves';
import type { Deps } from './deps';
import { homeRows } from './homes';
import { roundOf } from './round';

/** Pages that were told less long ago than so many changes are told what has changed since; others everything. */
const REMEMBERED = 60;

type Told = Pick<Changes, 'on' | 'homes' | 'residents' | 'stops' | 'unworkable'> & { shelves: string };

/**
 * What has changed in the house since a page was told: rows that are the same objects as then are not sent again. Where a list
 * has another order, or somebody came, left or moved, it is told as a whole.
 */
export function changesHandlers({ database, clock }: Deps): Pick<Handlers, 'changes'> {
  // Of this run of the server: a page that was told by another one asks for everything.
  const run = Date.now().toString(36);
  const told = new Map<string, Told>();
  let number = 0;
  let latest: string | undefined;

  const remember = (now: Told): string => {
    const before = latest === undefined ? undefined : told.get(latest);
    if (latest !== undefined && before && isSame(before, now)) return latest;
    number += 1;
    latest = `${run}-${number}`;
    told.set(latest, now);
    if (told.size > REMEMBERED) told.delete([...told.keys()][0] as string);
    return latest;
  };

  return {
    changes: async ({ query }): Promise<Changes> => {
      const house = await houseToday(database, clock.today(), clock.now());
      const shelves = await listShelves(database);
      const { on, stops, unworkable } = await roundOf(house);
      const now: Told = {
        ...{ on, stops, unworkable, shelves: JSON.stringify(shelves) },
        homes: homeRows(house),
        residents: [...house.residents],
      };
      const token = remember(now);
      const before = told.get(query.since ?? '');
      const isWhole =
        !before ||
        before.on !== on ||
        before.shelves !== now.shelves ||
        !sameOrder(before.homes, now.homes, ({ id, shelfId }) => `${id} ${shelfId}`) ||
        !sameOrder(before.residents, now.residents, ({ id, homeId }) => `${id} ${homeId}`);
      if (isWhole) return { token, isWhole, on, homes: [], residents: [], stops: [], over: [], unworkable: [] };
      const stopsNow = new Set(stops.map(({ residentId }) => residentId));
      return {
        ...{ token, isWhole, on, unworkable },
        homes: otherThan(before.homes, now.homes),
        residents: otherThan(before.residents, now.residents),
        stops: otherThan(before.stops, stops),
        over: before.stops.flatMap(({ residentId }) => (stopsNow.has(residentId) ? [] : residentId)),
      };
    },
  };
}

const isSame = (a: Told, b: Told) =>
  a.on === b.on &&
  a.shelves === b.shelves &&
  JSON.stringify(a.unworkable) === JSON.stringify(b.unworkable) &&
  sameRows(a.homes, b.homes) &&
  sameRows(a.residents, b.residents) &&
  sameRows(a.stops, b.stops);

const sameRows = (a: readonly object[], b: readonly object[]) =>
  a.length === b.length && a.every((row, index) => row === b[index]);

const sameOrder = <Row>(a: readonly Row[], b: readonly Row[], keyOf: (row: Row) => string) =>
  a.length === b.length && a.every((row, index) => keyOf(row) === keyOf(b[index] as Row));

function otherThan<Row extends object>(before: readonly Row[], now: readonly Row[]): Row[] {
  const known = new Set(before);
  return now.filter((row) => !known.has(row));
}
