import type { TableName } from '@/contract/tables';
import { addDays, type Day } from '@/core/measure/day';
import { JOB_WORDS } from '@/words/jobKinds';
import { busyDaysOf, planOf } from '../house/housePlan';
import { houseToday, type HouseToday } from '../house/houseToday';
import { inTurn } from '../house/inTurn';
import type { Deps } from '../resources/deps';
import { listKeepers } from '../storage/keepers';
import { listAbsences } from '../storage/absences';
import { listGone } from '../storage/residents';
import { listProbes } from '../storage/probes';
import { listRooms } from '../storage/rooms';
import { listChoices } from '../storage/schools';
import { listShelves } from '../storage/shelves';
import { listStockEntries } from '../storage/store';
import { ROWS_AT_ONCE, type ColumnOut } from './columns';
import { entryRows, type EntryFilter } from './entries';
import { COLUMNS_OUT, type Living, type PlanRow, type ReadingOut, type TableRows } from './tableColumns';

/** A table that goes out: its columns, and its rows some at a time. */
export interface TableOut<Row = unknown> {
  columns: ColumnOut<Row>[];
  rows: AsyncIterable<Row[]>;
}

/** What a list shows of a table: some residents, or entries by whose and of which kind they are. */
export interface TableFilter extends EntryFilter {
  ids?: readonly string[] | undefined;
}

/** What the house keeps of one kind, as a table: all of it, or what a list shows. */
export const tableOut = (deps: Deps, name: TableName, filter: TableFilter = {}): TableOut => ({
  columns: COLUMNS_OUT[name] as ColumnOut<unknown>[],
  rows: ROWS_OUT[name](deps, filter),
});

/** Since ever. */
const FIRST_DAY = '0001-01-01';

const now = ({ database, clock }: Deps) => houseToday(database, clock.today(), clock.now());

type RowsOut = { [Name in TableName]: (deps: Deps, filter: TableFilter) => AsyncGenerator<TableRows[Name][]> };

const ROWS_OUT: RowsOut = {
  async *residents(deps, { ids }) {
    const { homes, residents } = await now(deps);
    const codes = new Map(homes.map(({ id, code }) => [id, code]));
    const everybody: Living[] = [...residents, ...(await listGone(deps.database))];
    const chosen = ids ? everybody.filter(({ id }) => ids.includes(id)) : everybody;
    yield chosen.map((resident) => ({ resident, box: codes.get(resident.homeId) }));
  },
  async *homes(deps) {
    const { homes } = await now(deps);
    const shelves = new Map((await listShelves(deps.database)).map((shelf) => [shelf.id, shelf]));
    yield homes.map((home) => ({ home, shelf: shelves.get(home.shelfId) }));
  },
  async *shelves({ database }) {
    yield await listShelves(database);
  },
  async *rooms({ database }) {
    yield await listRooms(database);
  },
  entries: ({ database }, filter) => entryRows(database, filter),
  async *probes({ database }) {
    yield await listProbes(database);
  },
  readings: readingRows,
  async *store({ database }) {
    yield (await listStockEntries(database, null)).filter(({ undoneAt }) => undoneAt === null).reverse();
  },
  async *keepers({ database }) {
    yield await listKeepers(database, FIRST_DAY);
  },
  async *absences({ database }) {
    yield await listAbsences(database, FIRST_DAY);
  },
  async *schools({ database }) {
    yield await listChoices(database);
  },
  async *plans(deps) {
    const house = await now(deps);
    yield await plansOf(house, await busyDaysOf(deps.database, house.on, PLAN_DAYS));
  },
};

/** As far ahead as a table of the work goes. Chosen here: a season */
const PLAN_DAYS = 90;

/** The work ahead, day by day, each on the day on which it is best done. */
async function plansOf(house: HouseToday, busyDays: readonly Day[]): Promise<PlanRow[]> {
  const { jobs } = await planOf(house, PLAN_DAYS, busyDays);
  const ofEach = await inTurn(house.lodgers, ({ resident, home }) =>
    (jobs.get(resident.id) ?? []).flatMap(({ kind, due, until, on, minutes }): PlanRow[] => {
      if (on >= PLAN_DAYS) return [];
      const [first, last, best] = [due, until, on].map((days) => addDays(house.on, days)) as [Day, Day, Day];
      return [{ on: best, dueOn: first, until: last, job: JOB_WORDS[kind].noun, minutes, resident, box: home.code }];
    }),
  );
  return ofEach.flat().sort((one, other) => (one.on < other.on ? -1 : one.on > other.on ? 1 : 0));
}

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
    }
  }
}
