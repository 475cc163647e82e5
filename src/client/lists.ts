import Papa from 'papaparse';
import { create } from 'zustand';
import type { BroughtList, RowProblem } from '@/contract/lists';
import type { Home, Resident } from '@/contract/records';
import type { CareBook } from '@/core/profiles/careBook';
import type { Nameable } from '@/core/records/eventTable';
import type { Table, TableKind } from '@/core/records/readTable';
import { call } from './api';

/** Cells between tabs, commas or semicolons; lines without anything in them are left out. */
export function tableOf(text: string): Table {
  const { data } = Papa.parse<string[]>(text.trim(), { delimitersToGuess: ['\t', ';', ','] });
  const [header = [], ...body] = data;
  return { header, body: body.filter((cells) => cells.some((cell) => cell.trim() !== '')) };
}

/** What those who live here may be called in a table: by their box, their name, their species. */
export function nameables(residents: readonly Resident[], homes: readonly Home[], care: CareBook): Nameable[] {
  const codes = new Map(homes.map((home) => [home.id, home.code]));
  return residents.map((resident) => ({
    id: resident.id,
    names: [codes.get(resident.homeId), resident.called, resident.scientificName].flatMap((name) => name ?? []),
    takes: care.of(resident).measure.takes,
    isGroup: resident.form !== 'single',
  }));
}

/** Long lists of events are checked so many at a time first, so that it is seen how far it has come. */
const AT_ONCE = 500;

/**
 * Holds rows against the house, and writes them all if each makes sense.
 * @param onProgress the share that is done, 0 to 1
 * @returns the list, or the rows that make no sense
 */
export async function bringIn(
  kind: TableKind,
  name: string | undefined,
  rows: readonly object[],
  onProgress: (share: number) => void,
): Promise<{ listId: string } | { problems: RowProblem[] }> {
  const problems: RowProblem[] = [];
  const asked = rows as Record<string, unknown>[];
  const isLong = kind === 'events' && rows.length > AT_ONCE;
  for (let from = 0; isLong && from < rows.length; from += AT_ONCE) {
    const some = asked.slice(from, from + AT_ONCE);
    const reply = await call('bringList', { body: { kind, rows: some, check: true } });
    problems.push(...reply.problems.map(({ row, fields }) => ({ row: row + from, fields })));
    onProgress((0.6 * Math.min(rows.length, from + AT_ONCE)) / rows.length);
  }
  if (problems.length > 0) return { problems };
  const reply = await call('bringList', { body: { kind, rows: asked, ...(name !== undefined && { name }) } });
  onProgress(1);
  return reply.listId === null ? { problems: reply.problems } : { listId: reply.listId };
}

interface Lists {
  /** Those that were brought in, once they were asked for. */
  lists: BroughtList[];
  load: () => Promise<void>;
}

export const useLists = create<Lists>()((set) => ({
  lists: [],
  load: async () => set({ lists: (await call('lists', {})).lists }),
}));
