import type { Day } from '@/core/measure/day';
import type { LengthUnit } from '@/core/measure/length';
import type { BodyMeasure } from '@/core/profiles/profile';
import { withoutUndefined } from '@/core/withoutUndefined';
import { cellsOf, lengthInCell, type Column, type Mapping } from './columns';
import type { ReadRow } from './readRow';
import { typedDay, type DateOrder } from './typedDay';

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

export const EVENT_COLUMNS: readonly Column[] = [
  { name: 'who', words: ['who', 'box', 'code', 'home', 'name', 'called', 'animal', 'resident'], isNeeded: true },
  { name: 'on', words: ['on', 'day', 'date', 'when'] },
  { name: 'what', words: ['what', 'kind', 'event', 'did', 'done', 'action', 'type'], isNeeded: true },
  { name: 'size', words: ['size', 'length', 'span', 'leg span', 'body length', 'carapace', 'mm'] },
  { name: 'mass', words: ['weight', 'mass', 'g', 'grams'] },
  { name: 'count', words: ['count', 'heads', 'how many', 'number'] },
  { name: 'instar', words: ['instar', 'l', 'stage'] },
  { name: 'note', words: ['note', 'notes', 'remark', 'comment'] },
];

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

export interface EventTableOptions {
  header: readonly string[];
  mapping: Mapping;
  unit: LengthUnit;
  order: DateOrder;
  /** For rows without a day. */
  today: Day;
}

/**
 * Reads rows of a table of what was done, one a row. Nothing is guessed: a row that cannot be read says why, the others stand.
 * @param known everybody who may be named
 */
export function eventReader(
  known: readonly Nameable[],
  options: EventTableOptions,
): (row: readonly string[]) => ReadRow<PastedEntry> {
  const byName = new Map<string, Nameable[]>();
  for (const each of known) {
    for (const name of new Set(each.names.map((word) => word.trim().toLowerCase()))) {
      byName.set(name, [...(byName.get(name) ?? []), each]);
    }
  }
  return (row) => {
    const read = readLine(cellsOf(row, options.mapping), byName, options);
    return typeof read === 'string' ? { problems: [{ column: '', message: read }] } : { row: read, notes: [] };
  };
}

function readLine(
  cell: (column: string) => string,
  byName: Map<string, Nameable[]>,
  { header, mapping, unit, order, today }: EventTableOptions,
): PastedEntry | string {
  const who = byName.get(cell('who').toLowerCase()) ?? [];
  const [resident] = who;
  if (cell('who') === '') return 'Nobody is named.';
  if (!resident) return `Nobody here is called “${cell('who')}”, and no box is.`;
  if (who.length > 1) return `“${cell('who')}” are ${who.length}: write the name and not the box.`;
  const what = cell('what').toLowerCase();
  const kind = (Object.keys(KINDS) as PastedEntry['kind'][]).find((each) => KINDS[each].includes(what));
  if (!kind)
    return `“${cell('what')}” is not known: write fed, ate, refused, watered, damped, misted, moulted, measured, died or note.`;
  const day = typedDay(cell('on') === '' ? today : cell('on'), order, today);
  if (!day || day.isAbout) return `“${cell('on')}” is no day: write 2026-03-14 or 14.3.2026.`;
  const { on } = day;
  if (on > today) return `${on} has not come yet.`;
  const numbers: Partial<Record<'size' | 'mass' | 'count' | 'instar', number>> = {};
  if (cell('size') !== '') {
    const size = lengthInCell(cell('size'), header[mapping['size'] ?? -1] ?? '', unit);
    if (typeof size === 'string') return `“${cell('size')}” is no size: ${size}`;
    numbers.size = size;
  }
  for (const column of ['mass', 'count', 'instar'] as const) {
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
  const match = /^(\d+(?:[.,]\d+)?)\s*g?$/i.exec(text);
  return match?.[1] === undefined ? null : Number(match[1].replace(',', '.'));
}
