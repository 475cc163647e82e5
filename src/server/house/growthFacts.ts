import type { Entry } from '@/contract/storedEntries';
import type { Home, Resident } from '@/contract/records';
import { censusOf, typicalMoults } from '@/core/growth/census';
import { forgivingForecast, type MoultForecast } from '@/core/growth/forecast';
import { kinOf, type Kin } from '@/core/growth/kin';
import { outgrownAtMm } from '@/core/growth/outgrown';
import { moultQuestion, type Subject, type Peer } from '@/core/growth/subject';
import { asLived, warmthBetween, type Lived } from '@/core/growth/warmthLived';
import type { HomeState } from '@/core/housing/quantities';
import type { CareProfile } from '@/core/profiles/profile';
import { remembering } from '../remembering';
import type { Day } from '@/core/measure/day';
import type { LogEntry } from '@/core/plan/work';
import { noticedSigns } from '@/core/plan/signs';
import { watchedSince } from '@/core/plan/watched';
import type { CareBook } from '@/core/profiles/careBook';
import { groupBy } from '@/core/groupBy';
import { warmthIn } from './air';
import { spreadInForce } from '../scores/spread';
import { moultsAsLived } from './records';
import type { Shared } from './shared';
import { digestOf } from '../secrets';
import type { Queries } from '../storage/database';
import { headEntriesOf, type MoultRow } from '../storage/entries';
import { listKin } from '../storage/residents';

/** Everything in the house that a moult forecast learns from. */
export interface GrowthFacts {
  moults: ReadonlyMap<string, MoultRow[]>;
  /** Single animals, here or gone, that have moulted. */
  peers: readonly Peer[];
  /** Moults of groups, by the day half of it had come to an instar. */
  groups: ReadonlyMap<string, GroupMoult[]>;
  warmth: Shared['warmth'];
  /** Where each has lived, and how warm that was. */
  lived: ReadonlyMap<string, Lived>;
  /** By how much the windows of moults are widened in this house. */
  spreadTimes: number;
  /** Of a species: another one whenever one of it has told something else. */
  printOf: (scientificName: string) => string;
}

export interface GroupMoult {
  on: Day;
  instar: number;
  /** How warm the interval was that ended with it. C */
  temperatureC?: number;
}

/** What those tell that ever were here, in the order of their ids. */
export function peersOf(kin: Iterable<Kin>, moults: ReadonlyMap<string, MoultRow[]>): Peer[] {
  return [...kin]
    .sort((a, b) => (a.id < b.id ? -1 : 1))
    .flatMap((each) => {
      const rows = moults.get(each.id);
      return rows
        ? [{ ...each, moults: rows.map(({ on, stage, temperatureC }) => ({ on, stage, temperatureC })) }]
        : [];
    });
}

/** Those that tell of heads; brood that was seen tells of none. */
export const headsOnly = (heads: readonly Entry[]): Entry[] => heads.filter(({ kind }) => kind !== 'brood-seen');

/** The moults of a group by its census. */
export function groupMoults(heads: readonly Entry[], lived: Lived | undefined, today: Day): GroupMoult[] {
  const census = censusOf(headsOnly(heads), today);
  return asLived(typicalMoults(census, census.heads), lived);
}

/** Works out what each species tells when it is asked for, and keeps it. */
export function printsOf(peers: readonly Peer[], known = new Map<string, string>()): GrowthFacts['printOf'] {
  const bySpecies = groupBy(peers, ({ scientificName }) => scientificName);
  return (scientificName) => {
    const print = known.get(scientificName) ?? digestOf(JSON.stringify(bySpecies.get(scientificName) ?? []));
    known.set(scientificName, print);
    return print;
  };
}

/** What tells of one resident alone. */
export async function growthFactsOf(
  queries: Queries,
  resident: Resident,
  today: Day,
  now: string,
): Promise<GrowthFacts> {
  const kin = await listKin(queries, resident.scientificName);
  const { moults, lived } = await moultsAsLived(queries, [resident.id, ...idsOfKin(resident, kin)]);
  const heads = resident.form === 'group' ? await headEntriesOf(queries, [resident.id]) : [];
  const peers = peersOf(kin, moults);
  return {
    ...{ moults, lived, peers, printOf: printsOf(peers), warmth: await warmthIn(queries, now) },
    spreadTimes: (await spreadInForce(queries)).moult,
    groups: new Map(
      resident.form === 'group' ? [[resident.id, groupMoults(heads, lived.get(resident.id), today)]] : [],
    ),
  };
}

/** Of a group nobody has told of any moult; and of colonies and eggs there is none. */
export const isUntold = ({ groups }: GrowthFacts, { id, form }: Pick<Resident, 'id' | 'form'>): boolean =>
  form !== 'single' && (groups.get(id) ?? []).length === 0;

function idsOfKin(resident: Resident, kin: readonly Kin[]): string[] {
  const { siblings, others } = kinOf(resident, kin);
  return [...siblings, ...others].map((each) => each.id);
}

/** One resident as its forecast is asked for. Of a group half of it stands for one animal. */
export function subjectOf(
  facts: GrowthFacts,
  care: CareBook,
  resident: Resident,
  home: Home,
  log: readonly LogEntry[],
  today: Day,
): Subject {
  const { id, scientificName, motherId, outOfId, batch, stage } = resident;
  const { measure, feeding } = care.of(resident);
  const { takes } = measure;
  // Of those that graze what is left in the dish says nothing of a moult.
  const told = feeding ? log : log.filter((entry) => entry.kind !== 'refused');
  const group = resident.form === 'group' ? (facts.groups.get(id) ?? []) : null;
  const own = (facts.moults.get(id) ?? []).map(({ on, stage: began, temperatureC, [takes]: sizeMm }) => ({
    ...{ on, stage: began, sizeMm, temperatureC },
  }));
  const moults = group ? group.slice(1).map(({ on, temperatureC }) => ({ on, temperatureC })) : own;
  const bornOn = group ? group[0]?.on : (resident.bornOn ?? undefined);
  const last = moults.at(-1)?.on ?? bornOn;
  // Of a group nobody watches each.
  const watched = group || last !== undefined ? undefined : watchedSince(log, today);
  const since = last ?? watched;
  const lived = facts.lived.get(id);
  return {
    ...{ id, scientificName, motherId, outOfId, batch, stage },
    sizeMm: resident[takes],
    // What was carried on since is no size that somebody took.
    sizedOn: resident.sizeCarriedOn ? undefined : resident.measuredOn,
    // A group's first instar begins its first interval, as a birth does.
    ...{ moults, bornOn },
    watchedSince: watched,
    sinceTemperatureC: since !== undefined && lived ? warmthBetween(lived, since, today) : undefined,
    instar: group ? group.at(-1)?.instar : resident.instar,
    signs: noticedSigns(told, today),
    temperatureC: facts.warmth(home).temperatureC,
    ...(facts.spreadTimes !== 1 && { spreadTimes: facts.spreadTimes }),
  };
}

/** How warm it was in the days in which a moult of one would have been written down; undefined where nobody knows. C */
export function watchedWarmth({ lived }: GrowthFacts, { id }: Resident, log: readonly LogEntry[], today: Day) {
  const [since, own] = [watchedSince(log, today), lived.get(id)];
  return since !== undefined && own ? warmthBetween(own, since, today) : undefined;
}

/** A forecast takes milliseconds: what was asked before, of the same animal among the same others, is remembered. */
const forecasts = remembering<MoultForecast>(6000);
const prints = new WeakMap<CareProfile, string>();

/** A profile by what it says: one that was changed is another. */
function printOf(profile: CareProfile): string {
  const known = prints.get(profile) ?? digestOf(JSON.stringify(profile));
  prints.set(profile, known);
  return known;
}

/**
 * The next moults of one as its log and those of others tell them.
 * @param outgrowing its home and its body; left out, it is not asked when that home is outgrown
 */
export function rememberedForecast(
  facts: GrowthFacts,
  profile: CareProfile,
  subject: Subject,
  on: Day,
  ahead: number,
  outgrowing?: { home: Home & HomeState; animal: Parameters<typeof outgrownAtMm>[1] },
): MoultForecast {
  const told = outgrowing && { ...outgrowing.animal, home: { ...outgrowing.home, residentIds: [] } };
  const question = JSON.stringify([facts.printOf(subject.scientificName), printOf(profile), subject, on, ahead, told]);
  return forecasts(question, () => {
    const outgrownMm = outgrowing && outgrownAtMm(profile, outgrowing.animal, outgrowing.home);
    return forgivingForecast({ ...moultQuestion(profile, subject, facts.peers, on), ahead, outgrownMm });
  });
}
