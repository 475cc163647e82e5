import { isDay, type Day } from '@/core/measure/day';
import type { BodyMeasure } from '@/core/profiles/profile';
import { withoutUndefined } from '@/core/withoutUndefined';

/** Somebody a pasted line may be about. */
export interface Nameable {
  id: string;
  /** Box, name, scientific name: whatever keepers write. */
  names: string[];
  takes: BodyMeasure;
  isGroup: boolean;
}

export interface PastedEntry {
  kind: 'offered' | 'eaten' | 'refused' | 'watered' | 'damped' | 'misted' | 'moulted' | 'measured' | 'died' | 'noted';
  residentId: string;
  on: Day;
  legSpanMm?: number;
  bodyLengthMm?: number;
  carapaceWidthMm?: number;
  massG?: number;
  count?: number;
  headCount?: number;
  instar?: number;
  note?: string;
}

/** One line of the table: what it says, or what is wrong with it. */
export type PastedLine = { line: number; text: string } & (
  { entry: PastedEntry; problem?: undefined } | { entry?: undefined; problem: string }
);

const COLUMNS = {
  who: ['who', 'box', 'code', 'home', 'name', 'called', 'animal', 'resident'],
  on: ['on', 'day', 'date', 'when'],
  what: ['what', 'kind', 'event', 'did', 'done'],
  size: ['size', 'length', 'span', 'leg span', 'body length', 'carapace', 'mm'],
  mass: ['weight', 'mass', 'g', 'grams'],
  count: ['count', 'heads', 'how many', 'number'],
  instar: ['instar', 'l', 'stage'],
  note: ['note', 'notes', 'remark', 'comment'],
} as const;
type Column = keyof typeof COLUMNS;

const KINDS: Record<PastedEntry['kind'], string[]> = {
  offered: ['fed', 'offered', 'feed', 'food'],
  eaten: ['ate', 'eaten', 'took'],
  refused: ['refused', 'not taken', 'no'],
  watered: ['watered', 'water', 'dish'],
  damped: ['damped', 'damp', 'soil damped'],
  misted: ['misted', 'mist', 'sprayed'],
  moulted: ['moulted', 'moult', 'molted', 'molt'],
  measured: ['measured', 'size', 'weighed', 'counted'],
  died: ['died', 'dead', 'death'],
  noted: ['note', 'noted'],
};

/** Which column is what, by the words over it. @returns null when nobody or nothing is named */
function columnsOf(header: readonly string[]): Partial<Record<Column, number>> | null {
  const found: Partial<Record<Column, number>> = {};
  header.forEach((title, index) => {
    const word = title
      .trim()
      .toLowerCase()
      .replace(/,?\s*\(?(mm|g)\)?$/, (unit) => (unit === title.toLowerCase() ? unit : ''));
    for (const column of Object.keys(COLUMNS) as Column[]) {
      const words: readonly string[] = COLUMNS[column];
      if (found[column] === undefined && words.includes(word)) found[column] = index;
    }
  });
  return found.who !== undefined && found.what !== undefined ? found : null;
}

/**
 * Reads a table of what was done, as it is pasted from a sheet: one line an act, the words over the columns in any
 * order. Nothing is guessed: a line that cannot be read says why, the others stand.
 * @param rows cells of the table with its header first
 * @param today for lines without a day
 */
export function readPastedLog(
  rows: readonly (readonly string[])[],
  known: readonly Nameable[],
  today: Day,
): PastedLine[] {
  const [header, ...body] = rows;
  const columns = header && columnsOf(header);
  if (!columns) {
    const message =
      'The first line names the columns: at least who (or box) and what; day, size, weight, count, instar and note if you like.';
    return [{ line: 1, text: header?.join(', ') ?? '', problem: message }];
  }
  const byName = new Map<string, Nameable[]>();
  for (const each of known) {
    for (const name of new Set(each.names.map((word) => word.trim().toLowerCase()))) {
      byName.set(name, [...(byName.get(name) ?? []), each]);
    }
  }
  return body.flatMap((cells, index): PastedLine[] => {
    if (cells.every((cell) => cell.trim() === '')) return [];
    const cell = (column: Column) => {
      const at = columns[column];
      return at === undefined ? '' : (cells[at] ?? '').trim();
    };
    const at = {
      line: index + 2,
      text: cells
        .map((each) => each.trim())
        .filter(Boolean)
        .join(', '),
    };
    const read = readLine(cell, byName, today);
    return [typeof read === 'string' ? { ...at, problem: read } : { ...at, entry: read }];
  });
}

function readLine(cell: (column: Column) => string, byName: Map<string, Nameable[]>, today: Day): PastedEntry | string {
  const who = byName.get(cell('who').toLowerCase()) ?? [];
  const [resident] = who;
  if (cell('who') === '') return 'Nobody is named.';
  if (!resident) return `Nobody here is called “${cell('who')}”, and no box is.`;
  if (who.length > 1) return `“${cell('who')}” are ${who.length}: write the name and not the box.`;
  const what = cell('what').toLowerCase();
  const kind = (Object.keys(KINDS) as PastedEntry['kind'][]).find((each) => KINDS[each].includes(what));
  if (!kind)
    return `“${cell('what')}” is not known: write fed, ate, refused, watered, damped, misted, moulted, measured, died or note.`;
  const on = cell('on') === '' ? today : dayIn(cell('on'));
  if (on === null) return `“${cell('on')}” is no day: write 2026-03-14 or 14.3.2026.`;
  if (on > today) return `${on} has not come yet.`;
  const numbers: Partial<Record<'size' | 'mass' | 'count' | 'instar', number>> = {};
  for (const column of ['size', 'mass', 'count', 'instar'] as const) {
    const text = cell(column).replace(/^L(?=\d)/i, '');
    if (text === '') continue;
    const value = numberIn(text);
    const isWhole = column === 'count' || column === 'instar';
    if (value === null || value <= 0 || (isWhole && !Number.isInteger(value))) {
      return `“${cell(column)}” is no ${column}: a ${isWhole ? 'whole ' : ''}number over 0.`;
    }
    numbers[column] = value;
  }
  const { size, mass, count, instar } = numbers;
  const note = cell('note');
  if (kind === 'noted' && note === '') return 'A note needs something in the column note.';
  const isGrowth = kind === 'moulted' || kind === 'measured';
  if (kind === 'measured' && size === undefined && mass === undefined && count === undefined && instar === undefined) {
    return 'Nothing was measured: give a size, a weight, a count or an instar.';
  }
  const heads = kind === 'measured' ? { headCount: count } : { count };
  return withoutUndefined({
    kind,
    residentId: resident.id,
    on,
    ...(isGrowth && { [resident.takes]: size, massG: mass, instar }),
    ...((kind === 'died' || isGrowth) && resident.isGroup && heads),
    ...(note !== '' && { note }),
  }) as PastedEntry;
}

function numberIn(text: string): number | null {
  const match = /^(\d+(?:[.,]\d+)?)\s*(?:mm|g)?$/i.exec(text);
  return match?.[1] === undefined ? null : Number(match[1].replace(',', '.'));
}

/** A day as 2026-03-14 or 14.3.2026; months before days are not guessed at. */
function dayIn(text: string): Day | null {
  if (isDay(text)) return text;
  const match = /^(\d{1,2})\.(\d{1,2})\.(\d{4})$/.exec(text);
  if (!match) return null;
  const [, day = '', month = '', year = ''] = match;
  const written = `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
  return isDay(written) ? written : null;
}
