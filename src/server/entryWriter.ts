import { randomUUID } from 'node:crypto';
import type { NewEntry } from '@/contract/entries';
import type { MendedEntry } from '@/contract/mending';
import { isToldApart, type Entry, type EntryToKeep } from '@/contract/storedEntries';
import { HEAD_KINDS } from '@/core/growth/census';
import type { CareBook } from '@/core/profiles/careBook';
import { Refusal } from '@/core/refusal';
import { careOf } from './care';
import type { Clock } from './clock';
import { notFound, Problem } from './http/problem';
import { dayOf } from './resources/deps';
import { requireCensus, validateEntry } from './validation/entry';
import type { Find } from './validation/about';
import type { Queries } from './storage/database';
import { findAnswer, findEntry, holdResident, insertEntry, noteAlso } from './storage/entries';
import { findAllEver, findEver, type Ever } from './storage/residents';

export interface Written {
  entries: Entry[];
  /** Set when somebody had answered the same job before. */
  already?: Entry;
}

/** Writes entries, each once, after asking whether they can have happened. */
export interface EntryWriter {
  add: (
    queries: Queries,
    care: CareBook,
    body: NewEntry,
    find: Find,
    when?: When,
    known?: Seen['ids'],
  ) => Promise<Added>;
  /** Many as one act. A refusal names the entry. */
  addMany: (queries: Queries, bodies: readonly NewEntry[], when?: When, seen?: Seen) => Promise<Written>;
}

/**
 * What was looked up for the acts of one transaction, kept from act to act: to read who an animal is takes the longer the
 * more was written about it. After an act that was taken back, those it was about are to be forgotten.
 */
export interface Seen {
  care?: CareBook;
  residents: Map<string, Ever>;
  /** The ids that were written before, of all that are sent; left out, each is looked up. */
  ids?: Set<string>;
  /** Of those that are sent, the ones that were not written before. */
  fresh?: Set<string>;
}

/** When something was done, where that is not now. */
export interface When {
  on: string;
  at: string;
}

export function entryWriter(clock: Clock): EntryWriter {
  const add: EntryWriter['add'] = async (queries, care, body, find, when, ids) => {
    const id = body.id ?? randomUUID();
    // A phone that got no answer sends again: the first one counts.
    const known = ids?.has(id) === false ? undefined : await findEntry(queries, id);
    if (known) return { entry: known };
    // And of two keepers who answer the same job: the other is told, and so is the first.
    const before = await answeredBefore(queries, body);
    if (before) return { entry: before, already: before };
    const on = dayOf(clock, body.on ?? when?.on);
    const extra = await validateEntry(queries, care, body, on, clock.now(), find);
    const record = recordOf(body);
    const data = { ...record.data, ...extra };
    const entry = await insertEntry(queries, { ...record, data, id, on, at: when?.at ?? clock.now() } as EntryToKeep);
    ids?.add(id);
    if ('residentId' in body && HEADS.has(body.kind)) {
      await requireCensus(queries, { id: body.residentId }, clock.today());
    }
    return { entry: entry ?? (await requireEntry(queries, id)) };
  };

  return {
    add,
    addMany: async (queries, bodies, when, seen = { residents: new Map() }) => {
      const care = (seen.care ??= await careOf(queries));
      const known = seen.residents;
      const entries: Entry[] = [];
      let already: Entry | undefined;
      const skipped = new Set<string>();
      // All are looked up at once, and again only those that an entry has changed.
      const ids = residentsOf(bodies).filter((id) => !known.has(id));
      if (ids.length > 0) for (const each of await findAllEver(queries, ids)) known.set(each.id, each);
      for (const [index, each] of bodies.entries()) {
        // What came of a meal that another keeper had logged is for that keeper to say.
        if ('answers' in each && skipped.has(each.answers ?? '')) continue;
        const added = await naming(index, () => add(queries, care, each, async (id) => known.get(id), when, seen.ids));
        if (added.already) {
          already = added.already;
          skipped.add(`meal ${each.id}`);
        }
        entries.push(added.entry);
        if (!('residentId' in each) || !CHANGES.has(each.kind)) continue;
        const after = await findEver(queries, each.residentId);
        if (after) known.set(after.id, after);
      }
      return { entries, ...(already && { already }) };
    },
  };
}

/** Those that some entries are about. */
export const residentsOf = (bodies: readonly NewEntry[]): string[] => [
  ...new Set(bodies.flatMap((each) => ('residentId' in each ? each.residentId : []))),
];

interface Added {
  entry: Entry;
  /** Set when it had been answered before, and nothing was written. */
  already?: Entry;
}

/** The entry that answered the same job; it is noted there that somebody else logged it too. */
async function answeredBefore(queries: Queries, body: NewEntry): Promise<Entry | undefined> {
  if (!('answers' in body) || body.answers === undefined) return undefined;
  await holdResident(queries, body.residentId);
  const before = await findAnswer(queries, body.residentId, body.answers);
  if (before && body.keeper !== undefined && body.keeper !== before.keeper) {
    await noteAlso(queries, before.id, body.keeper);
    return requireEntry(queries, before.id);
  }
  return before;
}

export const HEADS = new Set<Entry['kind']>(HEAD_KINDS);

/** Entries after which a resident is another one than before. */
const CHANGES = new Set<Entry['kind']>([...HEADS, 'moved', 'sexed']);

/** Says of which entry of many a refusal speaks. */
const naming = <Result>(index: number, work: () => Promise<Result>): Promise<Result> =>
  renaming((path) => `entries.${index}.${path}`, work);

/** Has a refusal speak of its fields as they were called where it was asked. */
export async function renaming<Result>(rename: (path: string) => string, work: () => Promise<Result>): Promise<Result> {
  const under = ({ path, message }: { path: string; message: string }) => ({ path: rename(path), message });
  try {
    return await work();
  } catch (error) {
    if (error instanceof Refusal) throw new Refusal(error.fields.map(under));
    if (error instanceof Problem) throw new Problem(error.code, error.message, error.fields?.map(under));
    throw error;
  }
}

export async function requireEntry(queries: Queries, id: string): Promise<Entry> {
  const entry = await findEntry(queries, id);
  if (!entry) throw notFound('entry with that id');
  return entry;
}

/** Splits an entry into what every kind has and the data of its own kind. */
export function recordOf(body: NewEntry | MendedEntry) {
  const own = Object.entries(body).filter(([name, value]) => !isToldApart(name) && value !== undefined);
  return {
    kind: body.kind,
    residentId: 'residentId' in body ? body.residentId : null,
    homeId: 'homeId' in body ? body.homeId : null,
    keeper: body.keeper ?? null,
    note: body.note ?? null,
    data: Object.fromEntries(own),
  };
}
