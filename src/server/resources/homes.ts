import { signatureHere } from '../asking';
import { randomUUID } from 'node:crypto';
import { shippedMixes } from '@/contract/shipped';
import type { Home } from '@/contract/records';
import { soilLimitMm } from '@/core/housing/container';
import { codesAfter } from '@/core/housing/codes';
import { deepestMm } from '@/core/housing/soil';
import { withoutUndefined } from '@/core/withoutUndefined';
import type { Clock } from '../clock';
import { houseToday, type HouseToday } from '../house/houseToday';
import type { Handlers } from '../http/mount';
import { invalid, notFound, Problem } from '../http/problem';
import { FOREIGN_KEY_VIOLATION, sqlState, UNIQUE_VIOLATION, type Queries } from '../storage/database';
import { insertEntries } from '../storage/entries';
import {
  arrange,
  deleteHome,
  everyCode,
  findHome,
  holdHome,
  homesOf,
  insertHomes,
  nextPlace,
  removePhoto,
  updateHome,
  writePhoto,
  type HomeFacts,
} from '../storage/homes';
import { findShelf } from '../storage/shelves';
import { bareJpeg } from './photos';
import { dayOf, type Deps } from './deps';

type Names =
  'arrangeShelf' | 'homes' | 'addHome' | 'copyHome' | 'removeHome' | 'changeHome' | 'setHomePhoto' | 'removeHomePhoto';

export function homeHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  return {
    homes: async () => {
      const house = await houseToday(database, clock.today(), clock.now());
      return { homes: homeRows(house) };
    },

    arrangeShelf: ({ params, body }) =>
      database.transaction(async (queries) => {
        if (!(await findShelf(queries, params.id))) throw notFound('shelf with that id');
        const ids = body.homeIds;
        ids.forEach((id, index) => {
          if (ids.indexOf(id) < index) throw invalid(`homeIds.${index}`, 'Named twice: a home stands in one place.');
        });
        const known = new Set((await homesOf(queries, ids)).map(({ id }) => id));
        const unknown = ids.findIndex((id) => !known.has(id));
        if (unknown >= 0) throw invalid(`homeIds.${unknown}`, 'There is no home with that id. See /api/homes.');
        return { homeIds: await arrange(queries, params.id, ids) };
      }),

    addHome: ({ body }) =>
      refusingTwins(body.code, async () =>
        database.transaction(async (queries) => {
          await requireShelf(queries, body.shelfId);
          requireMix(body.mixId);
          if (body.quarantineSince) dayOf(clock, body.quarantineSince, 'quarantineSince');
          const id = body.id ?? randomUUID();
          const place = body.place ?? (await nextPlace(queries, body.shelfId));
          await writeNewHomes(queries, clock, [{ ...body, id, place }]);
          return { home: await requireHome(queries, id) };
        }),
      ),

    copyHome: ({ params, body }) =>
      database.transaction(async (queries) => {
        const like = await requireHome(queries, params.id);
        const taken = await everyCode(queries);
        const codes = codesFor(like.code, taken, body.count, body.firstCode);
        const { quarantineSince: _, factors: _own, ...facts } = like;
        const from = await nextPlace(queries, like.shelfId);
        const copies = codes.map((code, index) => ({ ...facts, id: randomUUID(), code, place: from + index }));
        await writeNewHomes(queries, clock, copies);
        const ids = copies.map(({ id }) => id);
        const made = new Map((await homesOf(queries, ids)).map((home) => [home.id, home]));
        return { homes: ids.flatMap((id) => made.get(id) ?? []) };
      }),

    removeHome: async ({ params }) => {
      try {
        await database.transaction(async (queries) => {
          if (!(await holdHome(queries, params.id))) throw notFound('home with that id');
          await deleteHome(queries, params.id);
        });
      } catch (error) {
        if (sqlState(error) !== FOREIGN_KEY_VIOLATION) throw error;
        throw new Problem(
          'conflict',
          'Something is written about this box, or a probe is in it: it stays in the records.',
        );
      }
      return { removed: true };
    },

    changeHome: ({ params, body }) =>
      refusingTwins(body.code, async () =>
        database.transaction(async (queries) => {
          if (!(await holdHome(queries, params.id))) throw notFound('home with that id');
          const before = await requireHome(queries, params.id);
          if (body.shelfId !== undefined) await requireShelf(queries, body.shelfId);
          requireMix(body.mixId);
          if (body.quarantineSince) dayOf(clock, body.quarantineSince, 'quarantineSince');
          const after = { ...before, ...withoutUndefined(body) } as HomeFacts;
          requireContentsFit(after, before);
          await updateHome(queries, after, clock.today());
          return { home: await requireHome(queries, params.id) };
        }),
      ),

    setHomePhoto: ({ params, body }) =>
      database.transaction(async (queries) => {
        if (!(await holdHome(queries, params.id))) throw notFound('home with that id');
        await writePhoto(queries, params.id, bareJpeg(body.jpegBase64));
        return { home: await requireHome(queries, params.id) };
      }),

    removeHomePhoto: ({ params }) =>
      database.transaction(async (queries) => {
        if (!(await holdHome(queries, params.id))) throw notFound('home with that id');
        await removePhoto(queries, params.id);
        return { home: await requireHome(queries, params.id) };
      }),
  };
}

/** A box of which nothing is written yet, with the depth that it is filled to. */
export type NewBox = HomeFacts & Pick<Home, 'substrateDepthMm' | 'soil'>;

/** Writes new boxes, each with its first depth of soil. */
export async function writeNewHomes(queries: Queries, clock: Clock, boxes: readonly NewBox[]): Promise<void> {
  await insertHomes(queries, boxes);
  const depths = boxes.map(({ id, substrateDepthMm, soil }) => ({
    ...{ id: randomUUID(), kind: 'soil-set' as const, residentId: null, homeId: id },
    ...{ on: clock.today(), at: clock.now(), keeper: signatureHere(), note: null },
    data: { substrateDepthMm, ...(soil && { soil }) },
  }));
  await insertEntries(queries, depths);
}

/** @throws Problem where the first is taken, or so many do not go on from it */
function codesFor(like: string, taken: readonly string[], count: number, firstCode: string | undefined): string[] {
  if (firstCode !== undefined && taken.some((code) => code.toLowerCase() === firstCode.toLowerCase())) {
    throw invalid('firstCode', `There is a box ${firstCode} already.`);
  }
  try {
    if (firstCode === undefined) return codesAfter(like, taken, count);
    return [firstCode, ...codesAfter(firstCode, taken, count - 1)];
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    throw invalid('firstCode', `${error.message} Begin with a shorter one.`);
  }
}

/** The row of a home as it was answered last: as long as nothing about it changes it is the very same. */
const rows = new WeakMap<Home, Home>();

/** All homes as they are listed, in the order of the round. */
export const homeRows = ({ homes, facts, homeStates }: HouseToday): Home[] =>
  homes.map((home) => rowOf(home, facts.warmth(home).temperatureC, homeStates.get(home.id)));

function rowOf(home: Home, temperatureC: number, state: Home['state']): Home {
  const known = rows.get(home);
  if (known?.state === state && known?.temperatureC === temperatureC) return known;
  const row = { ...home, temperatureC, state };
  rows.set(home, row);
  return row;
}

/** A container may change round what is in it, but must still hold it. */
function requireContentsFit({ container, furniture }: HomeFacts, { soil, substrateDepthMm }: Home): void {
  const soilMm = soil ? deepestMm(soil) : substrateDepthMm;
  if (container.heightMm < soilMm) {
    throw invalid('container.heightMm', `The soil in it stands ${soilMm} mm high; the box must be higher than that.`);
  }
  if (soilLimitMm(container) < soilMm) {
    throw invalid('container.sillMm', `The soil in it stands ${soilMm} mm high; the sill must be higher than that.`);
  }
  const index = furniture?.findIndex((piece) => (piece.heightMm ?? 0) > container.heightMm) ?? -1;
  if (index >= 0) {
    throw invalid(`furniture.${index}.heightMm`, `Must be at most the inside height, ${container.heightMm} mm.`);
  }
}

function requireMix(mixId: string | null | undefined): void {
  if (mixId && !shippedMixes.some((mix) => mix.id === mixId)) {
    throw invalid('mixId', `Must be one of ${shippedMixes.map((mix) => mix.id).join(', ')}; got ${mixId}.`);
  }
}

async function requireShelf(queries: Queries, id: string): Promise<void> {
  if (!(await findShelf(queries, id))) throw invalid('shelfId', 'There is no shelf with that id. See /api/shelves.');
}

async function requireHome(queries: Queries, id: string): Promise<Home> {
  const home = await findHome(queries, id);
  if (!home) throw notFound('home with that id');
  return home;
}

async function refusingTwins<T>(code: string | undefined, write: () => Promise<T>): Promise<T> {
  try {
    return await write();
  } catch (error) {
    if (sqlState(error) !== UNIQUE_VIOLATION) throw error;
    throw new Problem('conflict', `There is a home ${code ?? 'with that id'} already.`, [
      { path: 'code', message: 'Taken: every box has a code of its own.' },
    ]);
  }
}
