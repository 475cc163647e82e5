import type { AbsenceFacts } from '@/contract/plan';
import type { Keeper } from '@/contract/keepers';
import type { Probe } from '@/contract/readings';
import type { Home, Resident, Shelf } from '@/contract/records';
import type { SchoolChoice, StockEntry } from '@/contract/store';
import type { TableName } from '@/contract/tables';
import { meanDepthMm } from '@/core/housing/soil';
import type { Day } from '@/core/measure/day';
import type { RoomRow } from '../storage/rooms';
import { column, json, text, type Cell, type ColumnOut } from './columns';
import { entryColumns, type EntryOut } from './entries';

/** One that is here, or was. */
export type Living = Resident & { leftOn?: string; leftBy?: string };

export interface PlanRow {
  on: Day;
  dueOn: Day;
  until: Day;
  job: string;
  minutes: number;
  resident: Resident;
  box: string;
}

export interface ReadingOut {
  probe_id: string;
  at: string;
  probe: string;
  place: string;
  box: string | null;
  room: string | null;
  temperature_c: number | null;
  relative_humidity_pct: number | null;
  mass_g: number | null;
  /** Why it is doubted. */
  mark: string | null;
}

/** What a row of each table is made of. */
export interface TableRows {
  residents: { resident: Living; box: string | undefined };
  homes: { home: Home; shelf: Shelf | undefined };
  shelves: Shelf;
  rooms: RoomRow;
  entries: EntryOut;
  probes: Probe;
  readings: ReadingOut;
  store: StockEntry;
  keepers: Keeper;
  absences: AbsenceFacts;
  schools: SchoolChoice;
  plans: PlanRow;
}

const number = <Row>(id: string, of: (row: Row) => Cell) => column<Row>(id, 'number', of);

const RESIDENTS: ColumnOut<TableRows['residents']>[] = [
  text('id', ({ resident: { id } }) => id),
  text('called', ({ resident: { called } }) => called),
  text('scientificName', ({ resident: { scientificName } }) => scientificName),
  text('commonName', ({ resident: { commonName } }) => commonName),
  text('box', ({ box }) => box),
  text('form', ({ resident: { form } }) => form),
  text('stage', ({ resident: { stage } }) => stage),
  text('sex', ({ resident: { sex } }) => sex),
  column('count', 'integer', ({ resident: { headCount } }) => headCount),
  number('legSpanMm', ({ resident: { legSpanMm } }) => legSpanMm),
  number('bodyLengthMm', ({ resident: { bodyLengthMm } }) => bodyLengthMm),
  number('carapaceWidthMm', ({ resident: { carapaceWidthMm } }) => carapaceWidthMm),
  number('massG', ({ resident: { massG } }) => massG),
  column('instar', 'integer', ({ resident: { instar } }) => instar),
  text('since', ({ resident: { takenInOn } }) => takenInOn),
  text('bornOn', ({ resident: { bornOn } }) => bornOn),
  text('source', ({ resident: { source } }) => source),
  text('permit', ({ resident: { permit } }) => permit),
  text('batch', ({ resident: { batch } }) => batch),
  text('motherId', ({ resident: { motherId } }) => motherId),
  text('fatherId', ({ resident: { fatherId } }) => fatherId),
  text('outOfId', ({ resident: { outOfId } }) => outOfId),
  text('profile', ({ resident: { profile } }) => profile),
  number('grownMm', ({ resident: { grownMm } }) => grownMm),
  json('plants', ({ resident: { plants } }) => plants),
  json('forbidden', ({ resident: { forbidden } }) => (Object.keys(forbidden).length === 0 ? undefined : forbidden)),
  text('leftOn', ({ resident: { leftOn } }) => leftOn),
  text('leftBy', ({ resident: { leftBy } }) => leftBy),
];

/** What of a box has no column of its own: its shape, its openings, its walls. */
function makeOf(container: Home['container']): object {
  const told = ['lengthMm', 'widthMm', 'diameterMm', 'heightMm', 'walls', 'lid', 'opens'];
  return Object.fromEntries(Object.entries(container).filter(([name]) => !told.includes(name)));
}

const side = (id: string, of: (container: Home['container']) => number | undefined) =>
  number<TableRows['homes']>(id, ({ home }) => of(home.container));

const HOMES: ColumnOut<TableRows['homes']>[] = [
  text('id', ({ home: { id } }) => id),
  text('code', ({ home: { code } }) => code),
  text('room', ({ shelf }) => shelf?.room),
  text('shelf', ({ shelf }) => shelf?.name),
  side('lengthMm', (container) => (container.shape === 'box' ? container.lengthMm : undefined)),
  side('widthMm', (container) => (container.shape === 'box' ? container.widthMm : undefined)),
  side('diameterMm', (container) => (container.shape === 'cylinder' ? container.diameterMm : undefined)),
  side('heightMm', ({ heightMm }) => heightMm),
  number('soilMm', ({ home: { soil, substrateDepthMm } }) => (soil ? meanDepthMm(soil) : substrateDepthMm)),
  number('litterDepthMm', ({ home: { litterDepthMm } }) => litterDepthMm),
  text('walls', ({ home: { container } }) => container.walls),
  text('lid', ({ home: { container } }) => container.lid),
  text('opens', ({ home: { container } }) => container.opens),
  text('mix', ({ home: { mixId } }) => mixId),
  text('quarantineSince', ({ home: { quarantineSince } }) => quarantineSince),
  text('shelfId', ({ home: { shelfId } }) => shelfId),
  column('place', 'integer', ({ home: { place } }) => place),
  number('dishAreaCm2', ({ home: { dishAreaCm2 } }) => dishAreaCm2),
  number('weightLimitKg', ({ home: { weightLimitKg } }) => weightLimitKg),
  json('make', ({ home: { container } }) => makeOf(container)),
  json('furniture', ({ home: { furniture } }) => furniture),
  json('nest', ({ home: { nest } }) => nest),
  json('heat', ({ home: { heat } }) => heat),
  json('factors', ({ home: { factors } }) => factors),
];

const SHELVES: ColumnOut<Shelf>[] = [
  text('id', ({ id }) => id),
  text('name', ({ name }) => name),
  text('room', ({ room }) => room),
  text('roomId', ({ roomId }) => roomId),
  column('place', 'integer', ({ position }) => position),
  number('loadLimitKg', ({ loadLimitKg }) => loadLimitKg),
];

const ROOMS: ColumnOut<RoomRow>[] = [
  text('id', ({ id }) => id),
  text('name', ({ name }) => name),
  json('air', ({ air }) => air),
];

const PLANS: ColumnOut<PlanRow>[] = [
  text('on', ({ on }) => on),
  text('job', ({ job }) => job),
  text('who', ({ resident }) => resident.called ?? resident.scientificName),
  text('residentId', ({ resident }) => resident.id),
  text('box', ({ box }) => box),
  text('dueOn', ({ dueOn }) => dueOn),
  text('until', ({ until }) => until),
  number('minutes', ({ minutes }) => minutes),
];

const SCHOOLS: ColumnOut<SchoolChoice>[] = [
  text('scope', ({ scope }) => scope),
  text('about', ({ about }) => about),
  text('topic', ({ topic }) => topic),
  text('school', ({ school }) => school),
];

const STORE: ColumnOut<StockEntry>[] = [
  text('id', ({ id }) => id),
  text('on', ({ on }) => on),
  text('at', ({ at }) => at),
  text('item', ({ item }) => item),
  text('kind', ({ kind }) => kind),
  number('amount', ({ amount }) => amount),
  text('keeper', ({ keeper }) => keeper),
  text('note', ({ note }) => note),
];

const KEEPERS: ColumnOut<Keeper>[] = [
  text('id', ({ id }) => id),
  text('name', ({ name }) => name),
  text('walkAt', ({ walkAt }) => walkAt),
  text('zone', ({ zone }) => zone),
  text('busyDays', ({ busyDays }) => busyDays.join(' ')),
  json('roomIds', ({ roomIds }) => roomIds),
];

const ABSENCES: ColumnOut<AbsenceFacts>[] = [
  text('id', ({ id }) => id),
  text('from', ({ from }) => from),
  text('until', ({ until }) => until),
  text('sitter', ({ sitter }) => sitter),
  text('call', ({ call }) => call),
  text('keeperId', ({ keeperId }) => keeperId),
];

const PROBES: ColumnOut<Probe>[] = [
  text('id', ({ id }) => id),
  text('name', ({ name }) => name),
  text('kind', ({ kind }) => kind),
  text('place', ({ place }) => place),
  text('homeId', ({ homeId }) => homeId),
  text('roomId', ({ roomId }) => roomId),
  text('addedAt', ({ addedAt }) => addedAt),
];

const READINGS: ColumnOut<ReadingOut>[] = [
  text('at', ({ at }) => at),
  text('probeId', ({ probe_id }) => probe_id),
  text('probe', ({ probe }) => probe),
  text('place', ({ place }) => place),
  text('box', ({ box }) => box),
  text('room', ({ room }) => room),
  number('temperatureC', (row) => row.temperature_c),
  number('relativeHumidityPct', (row) => row.relative_humidity_pct),
  number('massG', (row) => row.mass_g),
  text('doubt', ({ mark }) => mark),
];

/** The columns of each table, as CSV and JSON have them. */
export const COLUMNS_OUT: { [Name in TableName]: ColumnOut<TableRows[Name]>[] } = {
  residents: RESIDENTS,
  homes: HOMES,
  shelves: SHELVES,
  rooms: ROOMS,
  entries: entryColumns(),
  probes: PROBES,
  readings: READINGS,
  store: STORE,
  keepers: KEEPERS,
  absences: ABSENCES,
  schools: SCHOOLS,
  plans: PLANS,
};
