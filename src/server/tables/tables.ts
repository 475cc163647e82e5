import type { AbsenceFacts } from '@/contract/plan';
import type { Keeper } from '@/contract/keepers';
import type { Probe } from '@/contract/readings';
import type { SchoolChoice, StockEntry } from '@/contract/store';
import type { Resident, Shelf } from '@/contract/records';
import type { TableName } from '@/contract/tables';
import { meanDepthMm } from '@/core/housing/soil';
import { addDays, type Day } from '@/core/measure/day';
import { JOB_WORDS } from '@/words/jobKinds';
import { busyDaysOf, planOf } from '../house/housePlan';
import { houseToday, type HouseToday } from '../house/houseToday';
import type { Deps } from '../resources/deps';
import { listKeepers } from '../storage/keepers';
import { listAbsences } from '../storage/absences';
import { listGone } from '../storage/residents';
import { listProbes } from '../storage/probes';
import { listRooms, type RoomRow } from '../storage/rooms';
import { listChoices } from '../storage/schools';
import { listShelves } from '../storage/shelves';
import { listStockEntries } from '../storage/store';
import { column, json, ROWS_AT_ONCE, text, type Cell, type ColumnOut } from './columns';
import { entryColumns, entryRows, type EntryFilter } from './entries';

/** A table that goes out: its columns, and its rows some at a time. */
export interface TableOut<Row = unknown> {
  columns: ColumnOut<Row>[];
  rows: AsyncGenerator<Row[]>;
}

const number = <Row>(id: string, of: (row: Row) => Cell) => column<Row>(id, 'number', of);

/** What a list shows of a table: some residents, or entries by whose and of which kind they are. */
export interface TableFilter extends EntryFilter {
  ids?: readonly string[] | undefined;
}

/** What the house keeps of one kind, as a table: all of it, or what a list shows. */
export async function tableOut(deps: Deps, name: TableName, { ids, ...filter }: TableFilter = {}): Promise<TableOut> {
  const { database, clock } = deps;
  const asTable = <Row>(columns: ColumnOut<Row>[], rows: Iterable<Row> | AsyncGenerator<Row[]>): TableOut =>
    ({ columns, rows: Symbol.asyncIterator in rows ? rows : once([...rows]) }) as TableOut;
  switch (name) {
    case 'residents': {
      const house = await houseToday(database, clock.today(), clock.now());
      const everybody = [...house.residents, ...(await listGone(database))];
      return asTable<Living>(residentColumns(house), ids ? everybody.filter(({ id }) => ids.includes(id)) : everybody);
    }
    case 'homes': {
      const { homes } = await houseToday(database, clock.today(), clock.now());
      const shelves = new Map((await listShelves(database)).map((shelf) => [shelf.id, shelf]));
      return asTable(homeColumns(shelves), homes);
    }
    case 'shelves':
      return asTable(SHELF_COLUMNS, await listShelves(database));
    case 'rooms':
      return asTable(ROOM_COLUMNS, await listRooms(database));
    case 'plans': {
      const house = await houseToday(database, clock.today(), clock.now());
      return asTable(PLAN_COLUMNS, await plansOf(house, await busyDaysOf(database, house.on, PLAN_DAYS)));
    }
    case 'schools':
      return asTable(SCHOOL_COLUMNS, await listChoices(database));
    case 'entries':
      return asTable(entryColumns(), entryRows(database, filter));
    case 'probes':
      return asTable(PROBE_COLUMNS, await listProbes(database));
    case 'readings':
      return asTable(READING_COLUMNS, readingRows(deps));
    case 'store':
      return asTable(
        STORE_COLUMNS,
        (await listStockEntries(database, null)).filter(({ undoneAt }) => undoneAt === null).reverse(),
      );
    case 'keepers':
      return asTable(KEEPER_COLUMNS, await listKeepers(database, '0001-01-01'));
    case 'absences':
      return asTable(ABSENCE_COLUMNS, await listAbsences(database, '0001-01-01'));
  }
}

const SHELF_COLUMNS: ColumnOut<Shelf>[] = [
  text('id', ({ id }) => id),
  text('name', ({ name }) => name),
  text('room', ({ room }) => room),
  text('roomId', ({ roomId }) => roomId),
  column('place', 'integer', ({ position }) => position),
  number('loadLimitKg', ({ loadLimitKg }) => loadLimitKg),
];

const ROOM_COLUMNS: ColumnOut<RoomRow>[] = [
  text('id', ({ id }) => id),
  text('name', ({ name }) => name),
  json('air', ({ air }) => air),
];

/** As far ahead as a table of the work goes. Chosen here: a season */
const PLAN_DAYS = 90;

interface PlanRow {
  on: Day;
  dueOn: Day;
  until: Day;
  job: string;
  minutes: number;
  resident: Resident;
  box: string;
}

const PLAN_COLUMNS: ColumnOut<PlanRow>[] = [
  text('on', ({ on }) => on),
  text('job', ({ job }) => job),
  text('who', ({ resident }) => resident.called ?? resident.scientificName),
  text('residentId', ({ resident }) => resident.id),
  text('box', ({ box }) => box),
  text('dueOn', ({ dueOn }) => dueOn),
  text('until', ({ until }) => until),
  number('minutes', ({ minutes }) => minutes),
];

/** The work ahead, day by day, each on the day on which it is best done. */
async function plansOf(house: HouseToday, busyDays: readonly Day[]): Promise<PlanRow[]> {
  const { jobs } = await planOf(house, PLAN_DAYS, busyDays);
  const rows = house.lodgers.flatMap(({ resident, home }) =>
    (jobs.get(resident.id) ?? []).flatMap(({ kind, due, until, on, minutes }): PlanRow[] => {
      if (on >= PLAN_DAYS) return [];
      const [first, last, best] = [due, until, on].map((days) => addDays(house.on, days)) as [Day, Day, Day];
      return [{ on: best, dueOn: first, until: last, job: JOB_WORDS[kind].noun, minutes, resident, box: home.code }];
    }),
  );
  return rows.sort((one, other) => one.on.localeCompare(other.on));
}

const SCHOOL_COLUMNS: ColumnOut<SchoolChoice>[] = [
  text('scope', ({ scope }) => scope),
  text('about', ({ about }) => about),
  text('topic', ({ topic }) => topic),
  text('school', ({ school }) => school),
];

const STORE_COLUMNS: ColumnOut<StockEntry>[] = [
  text('id', ({ id }) => id),
  text('on', ({ on }) => on),
  text('at', ({ at }) => at),
  text('item', ({ item }) => item),
  text('kind', ({ kind }) => kind),
  number('amount', ({ amount }) => amount),
  text('keeper', ({ keeper }) => keeper),
  text('note', ({ note }) => note),
];

const KEEPER_COLUMNS: ColumnOut<Keeper>[] = [
  text('id', ({ id }) => id),
  text('name', ({ name }) => name),
  text('walkAt', ({ walkAt }) => walkAt),
  text('zone', ({ zone }) => zone),
  text('busyDays', ({ busyDays }) => busyDays.join(' ')),
  json('roomIds', ({ roomIds }) => roomIds),
];

const ABSENCE_COLUMNS: ColumnOut<AbsenceFacts>[] = [
  text('id', ({ id }) => id),
  text('from', ({ from }) => from),
  text('until', ({ until }) => until),
  text('sitter', ({ sitter }) => sitter),
  text('call', ({ call }) => call),
  text('keeperId', ({ keeperId }) => keeperId),
];

async function* once<Row>(rows: Row[]): AsyncGenerator<Row[]> {
  yield rows;
}

type Living = Resident & { leftOn?: string; leftBy?: string };

function residentColumns({ homes }: HouseToday): ColumnOut<Living>[] {
  const codes = new Map(homes.map(({ id, code }) => [id, code]));
  return [
    text('id', ({ id }) => id),
    text('called', ({ called }) => called),
    text('scientificName', ({ scientificName }) => scientificName),
    text('commonName', ({ commonName }) => commonName),
    text('box', ({ homeId }) => codes.get(homeId)),
    text('form', ({ form }) => form),
    text('stage', ({ stage }) => stage),
    text('sex', ({ sex }) => sex),
    column('count', 'integer', ({ headCount }) => headCount),
    number('legSpanMm', ({ legSpanMm }) => legSpanMm),
    number('bodyLengthMm', ({ bodyLengthMm }) => bodyLengthMm),
    number('carapaceWidthMm', ({ carapaceWidthMm }) => carapaceWidthMm),
    number('massG', ({ massG }) => massG),
    column('instar', 'integer', ({ instar }) => instar),
    text('since', ({ takenInOn }) => takenInOn),
    text('bornOn', ({ bornOn }) => bornOn),
    text('source', ({ source }) => source),
    text('permit', ({ permit }) => permit),
    text('batch', ({ batch }) => batch),
    text('motherId', ({ motherId }) => motherId),
    text('fatherId', ({ fatherId }) => fatherId),
    text('outOfId', ({ outOfId }) => outOfId),
    text('profile', ({ profile }) => profile),
    number('grownMm', ({ grownMm }) => grownMm),
    json('plants', ({ plants }) => plants),
    json('forbidden', ({ forbidden }) => (Object.keys(forbidden).length === 0 ? undefined : forbidden)),
    text('leftOn', ({ leftOn }) => leftOn),
    text('leftBy', ({ leftBy }) => leftBy),
  ];
}

/** What of a box has no column of its own: its shape, its openings, its walls. */
function makeOf(container: HomeRow['container']): object {
  const told = ['lengthMm', 'widthMm', 'diameterMm', 'heightMm', 'walls', 'lid', 'opens'];
  return Object.fromEntries(Object.entries(container).filter(([name]) => !told.includes(name)));
}

type HomeRow = HouseToday['homes'][number];

function homeColumns(shelves: ReadonlyMap<string, Shelf>): ColumnOut<HomeRow>[] {
  const side = (id: string, of: (container: HomeRow['container']) => number | undefined) =>
    number<HomeRow>(id, ({ container }) => of(container));
  return [
    text('id', ({ id }) => id),
    text('code', ({ code }) => code),
    text('room', ({ shelfId }) => shelves.get(shelfId)?.room),
    text('shelf', ({ shelfId }) => shelves.get(shelfId)?.name),
    side('lengthMm', (container) => (container.shape === 'box' ? container.lengthMm : undefined)),
    side('widthMm', (container) => (container.shape === 'box' ? container.widthMm : undefined)),
    side('diameterMm', (container) => (container.shape === 'cylinder' ? container.diameterMm : undefined)),
    side('heightMm', ({ heightMm }) => heightMm),
    number('soilMm', ({ soil, substrateDepthMm }) => (soil ? meanDepthMm(soil) : substrateDepthMm)),
    number('litterDepthMm', ({ litterDepthMm }) => litterDepthMm),
    text('walls', ({ container }) => container.walls),
    text('lid', ({ container }) => container.lid),
    text('opens', ({ container }) => container.opens),
    text('mix', ({ mixId }) => mixId),
    text('quarantineSince', ({ quarantineSince }) => quarantineSince),
    text('shelfId', ({ shelfId }) => shelfId),
    column('place', 'integer', ({ place }) => place),
    number('dishAreaCm2', ({ dishAreaCm2 }) => dishAreaCm2),
    number('weightLimitKg', ({ weightLimitKg }) => weightLimitKg),
    json('make', ({ container }) => makeOf(container)),
    json('furniture', ({ furniture }) => furniture),
    json('nest', ({ nest }) => nest),
    json('heat', ({ heat }) => heat),
    json('factors', ({ factors }) => factors),
  ];
}

const PROBE_COLUMNS: ColumnOut<Probe>[] = [
  text('id', ({ id }) => id),
  text('name', ({ name }) => name),
  text('kind', ({ kind }) => kind),
  text('place', ({ place }) => place),
  text('homeId', ({ homeId }) => homeId),
  text('roomId', ({ roomId }) => roomId),
  text('addedAt', ({ addedAt }) => addedAt),
];

interface ReadingOut {
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

const READING_COLUMNS: ColumnOut<ReadingOut>[] = [
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

async function* readingRows({ database }: Deps): AsyncGenerator<ReadingOut[]> {
  const probes = await database.query<{ id: string }>('SELECT id FROM probe ORDER BY id');
  for (const { id } of probes) {
    let after = '0001-01-01T00:00:00.000Z';
    for (;;) {
      const rows = await database.query<ReadingOut>(
        `SELECT r.probe_id, r.at, p.name AS probe, p.place, h.code AS box, m.name AS room, r.temperature_c, r.relative_humidity_pct,
           r.mass_g, r.mark
         FROM reading r JOIN probe p ON p.id = r.probe_id
           LEFT JOIN home h ON h.id = p.home_id LEFT JOIN room m ON m.id = p.room_id
         WHERE r.probe_id = $1 AND r.at > $2 ORDER BY r.at LIMIT ${ROWS_AT_ONCE}`,
        [id, after],
      );
      if (rows.length === 0) break;
      yield rows;
      after = rows.at(-1)?.at ?? '9999-12-31T00:00:00.000Z';
      await new Promise(setImmediate);
    }
  }
}
