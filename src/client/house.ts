import { create } from 'zustand';
import type { Home, Resident, Shelf } from '@/contract/records';
import type { Round, Stop } from '@/contract/round';
import type { Species } from '@/contract/species';
import type { FeederKind, Food } from '@/core/feeding/food';
import type { JobKind } from '@/core/plan/jobs';
import type { Job } from '@/core/plan/work';
import type { Hemisphere } from '@/core/season/year';
import { careBook, type CareBook } from '@/core/profiles/careBook';
import type { HazardBook } from '@/core/profiles/hazards';
import { dayOfMoment } from '@/core/measure/day';
import { call, CallFailed } from './api';
import { houseNow } from './clock';
import { keepAnswers } from './offline';
import { useQueue, type Act } from './queue';
import { sameAs } from './sameAs';

/** A job done by an entry, put off by one, or neither. */
export type JobMark = Pick<Job, 'doneBy' | 'skipped'>;

interface House {
  shelves: Shelf[];
  homes: Home[];
  residents: Resident[];
  round: Round | null;
  /** How everybody is kept, and which profiles are the keepers' own. */
  care: CareBook;
  ownProfiles: string[];
  species: Species[];
  hazards: HazardBook;
  /** What can be fed: kinds of feeders, and every other food. */
  feeders: FeederKind[];
  foods: Food[];
  /** In which half of the world it stands. */
  hemisphere: Hemisphere;
  /** `empty` before the first answer, `ready` from then on. */
  state: 'empty' | 'ready';
  problem: string | null;
  /** It is the example house, to look into and throw away. */
  isExample: boolean;
  /** Fetches everything that stands on the shelves, and today's round. */
  load: () => Promise<void>;
  /** As `load`, with the profiles, which seldom change. */
  loadCare: () => Promise<void>;
  /** Says where the house stands, for all its keepers. */
  standIn: (hemisphere: Hemisphere) => Promise<void>;
  /** Shows a job of the round as done by an entry, or as not done, before the server has said so. */
  markJob: (residentId: string, kind: JobKind, mark: JobMark) => void;
}

/** The house as the server last described it. */
export const useHouse = create<House>()((set, get) => ({
  shelves: [],
  homes: [],
  residents: [],
  round: null,
  care: careBook([], []),
  ownProfiles: [],
  species: [],
  hazards: { hazards: [], laws: [], kinds: [] },
  feeders: [],
  foods: [],
  hemisphere: 'north',
  isExample: false,
  state: 'empty',
  problem: null,
  load: async () => {
    try {
      if (await patched(get, set)) return;
      const knowsCare = get().care.profiles.length > 0;
      const [{ shelves, isExample }, { homes }, { residents }, round, care] = await Promise.all([
        call('shelves', {}),
        call('homes', {}),
        call('residents', {}),
        call('round', { query: {} }),
        knowsCare ? undefined : fetchCare(),
      ]);
      const before = get();
      const byId = ({ id }: { id: string }) => id;
      toldStops = sameAs(toldStops, round.stops, ({ residentId }) => residentId);
      set({
        isExample,
        shelves: sameAs(before.shelves, shelves, byId),
        homes: sameAs(before.homes, homes, byId),
        residents: sameAs(before.residents, residents, byId),
        round: withKept({ ...round, stops: toldStops }),
        ...care,
        state: 'ready',
        problem: null,
      });
    } catch (error) {
      set({ problem: problemOf(error) });
    }
  },
  loadCare: async () => {
    try {
      set(await fetchCare());
      await get().load();
    } catch (error) {
      set({ problem: problemOf(error) });
    }
  },
  standIn: async (hemisphere) => {
    try {
      await call('changeHouse', { body: { hemisphere } });
      await get().loadCare();
    } catch (error) {
      set({ problem: problemOf(error) });
    }
  },
  markJob: (residentId, kind, mark) => {
    const { round } = get();
    if (round) set({ round: withJob(round, residentId, kind, mark) });
  },
}));

/** What the server called its last answer: it tells what has changed since. */
let token: string | undefined;
/** The stops as the server told them, before this phone marks what it has kept or just ticked. */
let toldStops: Stop[] = [];

/** Fetches what has changed since it was last told, and puts it in its place; false where everything is to be fetched. */
async function patched(get: () => House, set: (change: Partial<House>) => void): Promise<boolean> {
  const { round } = get();
  if (round === null || token === undefined) {
    // A page that starts while the server is away shows what the browser has kept.
    token = await call('changes', { query: {} })
      .then((first) => first.token)
      .catch(() => undefined);
    return false;
  }
  const told = await call('changes', { query: { since: token } });
  token = told.token;
  const { homes, residents, state } = get();
  if (told.isWhole || state === 'empty') return false;
  toldStops = stopsAfter(toldStops, told.stops, new Set(told.over), residents);
  set({
    homes: replaced(homes, told.homes),
    residents: replaced(residents, told.residents),
    round: withKept({ on: told.on, stops: toldStops, unworkable: told.unworkable }),
    problem: null,
  });
  const now = get();
  keepAnswers({
    ...{ '/api/homes': { homes: now.homes }, '/api/residents': { residents: now.residents } },
    '/api/round': { ...now.round, stops: toldStops },
  });
  return true;
}

/** A list with other rows in the place of those with their ids. */
function replaced<Row extends { id: string }>(rows: Row[], others: readonly Row[]): Row[] {
  if (others.length === 0) return rows;
  const byId = new Map(others.map((row) => [row.id, row]));
  return rows.map((row) => byId.get(row.id) ?? row);
}

/** The stops of a round after some have changed, come or gone: in the order of those who live there. */
function stopsAfter(
  stops: readonly Stop[],
  others: readonly Stop[],
  over: ReadonlySet<string>,
  residents: readonly Resident[],
): Stop[] {
  const byResident = new Map([...stops, ...others].map((stop) => [stop.residentId, stop]));
  return residents.flatMap(({ id }) => (over.has(id) ? [] : (byResident.get(id) ?? [])));
}

type Care = Pick<House, 'care' | 'ownProfiles' | 'species' | 'hazards' | 'feeders' | 'foods' | 'hemisphere'>;

async function fetchCare(): Promise<Care> {
  const [{ profiles, own, cards }, { species, hazards }, { feeders, foods }, { hemisphere }] = await Promise.all([
    call('profiles', {}),
    call('species', {}),
    call('larder', {}),
    call('house', {}),
  ]);
  return { care: careBook(profiles, species, cards), ownProfiles: own, species, hazards, feeders, foods, hemisphere };
}

/** What this phone has kept for the server is done already, as far as its keeper is concerned. */
const withKept = (round: Round): Round =>
  useQueue.getState().acts.reduce((now, act) => withJob(now, act.residentId, act.kind, markOf(act)), round);

/** How an act shows on its job. */
export const markOf = ({ entries, skip }: Pick<Act, 'entries' | 'skip'>): JobMark => {
  const entryId = entries[0]?.id ?? '';
  return skip ? { skipped: { entryId, ...skip } } : { doneBy: entryId };
};

/** The round with one job done, put off, or open. */
function withJob(round: Round, residentId: string, kind: JobKind, mark: JobMark): Round {
  const marked = (job: Job): Job => {
    if (job.kind !== kind) return job;
    const { doneBy: _done, skipped: _skipped, ...open } = job;
    return { ...open, ...mark };
  };
  return {
    ...round,
    stops: round.stops.map((stop) =>
      stop.residentId === residentId ? { ...stop, jobs: stop.jobs.map(marked) } : stop,
    ),
  };
}

/** What went wrong, in words that can be shown. */
export function problemOf(error: unknown): string {
  if (error instanceof CallFailed) return [error.message, ...error.fields.map((field) => field.message)].join(' ');
  return 'Something went wrong in this page. Load it again.';
}

/** The day of the house, as it was last told. */
export const useToday = (): string => useHouse((house) => house.round?.on) ?? dayOfMoment(new Date(houseNow()));
