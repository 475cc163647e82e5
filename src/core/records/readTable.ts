import { kindOfName, type KindKnown } from '@/core/profiles/kindOfName';
import type { Day } from '@/core/measure/day';
import type { LengthUnit } from '@/core/measure/length';
import type { CareBook } from '@/core/profiles/careBook';
import { BOX_COLUMNS, readBox } from './boxTable';
import { cellsOf, mappingOf, type Column, type Mapping } from './columns';
import { EVENT_COLUMNS, eventReader, type Nameable } from './eventTable';
import type { ReadRow } from './readRow';
import { readResident, RESIDENT_COLUMNS } from './residentTable';
import { isAmbiguous, orderOf, type DateOrder } from './typedDay';

export const TABLE_KINDS = ['boxes', 'residents', 'events'] as const;
export type TableKind = (typeof TABLE_KINDS)[number];

/** The columns that each kind of table may have. */
export const COLUMNS_OF: Record<TableKind, readonly Column[]> = {
  boxes: BOX_COLUMNS,
  residents: RESIDENT_COLUMNS,
  events: EVENT_COLUMNS,
};

/** A table: its first line, and the others. */
export interface Table {
  header: readonly string[];
  body: readonly (readonly string[])[];
}

/** Which kind a table most likely is: the one whose needed columns it has, and most of the others. */
export function tableKindOf(header: readonly string[]): TableKind {
  const fit = (kind: TableKind) => {
    const mapping = mappingOf(header, COLUMNS_OF[kind]);
    const isWhole = COLUMNS_OF[kind].every(({ name, isNeeded }) => !isNeeded || mapping[name] !== undefined);
    return (isWhole ? 100 : 0) + Object.keys(mapping).length;
  };
  return (['residents', 'events', 'boxes'] as const).reduce((best, kind) => (fit(kind) > fit(best) ? kind : best));
}

const DAY_COLUMNS = ['on', 'lastMoultOn', 'lastMealOn', 'bornOn'];

/** The order in which the days of a table are written; null where that has to be asked. */
export function orderIn({ body }: Table, mapping: Mapping): DateOrder | null {
  const texts = DAY_COLUMNS.flatMap((name) => body.map((row) => cellsOf(row, mapping)(name)));
  return orderOf(texts) ?? (isAmbiguous(texts) ? null : 'dmy');
}

/** What the rows are read against. */
export interface TableReading {
  care: CareBook;
  /** Names of species and the kinds they are. */
  names: readonly KindKnown[];
  /** Who events may be about. */
  residents: readonly Nameable[];
  unit: LengthUnit;
  order: DateOrder;
  today: Day;
  /** Where boxes stand of which no room or shelf is told. */
  room: string;
  shelf: string;
}

/** Reads every row of a table of a kind; a row that cannot be read says why, the others stand. */
export function readTable(
  kind: TableKind,
  { header, body }: Table,
  mapping: Mapping,
  reading: TableReading,
): ReadRow<object>[] {
  const options = { ...reading, header, mapping };
  switch (kind) {
    case 'boxes':
      return body.map((row) => readBox(row, options));
    case 'residents':
      return body.map((row) => readResident(row, { ...options, kindOf: (name) => kindFacts(reading, name) }));
    case 'events':
      return body.map(eventReader(reading.residents, options));
  }
}

function kindFacts({ care, names }: TableReading, scientificName: string) {
  const kind = kindOfName(names, scientificName);
  if (!kind) return null;
  const { stages, measure } = care.of({ profile: kind.profile, scientificName });
  return { stages, takes: measure.takes };
}
