import type { Entry, Home, Resident } from '@/contract/records';
import { censusOf, typicalMoults } from '@/core/growth/census';
import type { MoultQuestion, SeenMoult } from '@/core/growth/forecast';
import { areSiblings, OTHERS_ENOUGH } from '@/core/growth/kin';
import { USUAL_WARMTH } from '@/core/growth/pace';
import type { Day } from '@/core/measure/day';
import type { CareBook } from '@/core/profiles/careBook';
import { MOULT_SIGNS, type BodyMeasure, type MoultSign } from '@/core/profiles/profile';
import { roomsOf } from './house';
import type { Queries } from './storage/database';
import { headEntriesOf, moultsOf, type MoultRow } from './storage/entries';
import { meanWarmthOfHomes } from './storage/readings';
import { listKin, type Kin } from './storage/residents';
import { roomOfShelf } from './storage/rooms';

/** Everything in the house that a moult forecast learns from. */
export interface GrowthFacts {
  moults: Map<string, MoultRow[]>;
  kin: Map<string, Kin>;
  /** Moults of groups, by the day half of it had come to an instar. */
  groups: Map<string, { on: Day; instar: number }[]>;
  warmth: (home: Home) => { temperatureC: number; from: 'probe' | 'room' };
}

/** Warmth is read off the probe in a home over so many days. */
const WARMTH_DAYS = 60;
const DAY_MS = 86_400_000;

/** @param residents all of the house, or one with its siblings and enough others of its species */
export async function growthFactsOf(
  queries: Queries,
  residents: readonly Resident[] | Resident,
  today: Day,
  now: string,
): Promise<GrowthFacts> {
  const all = 'id' in residents ? [residents] : residents;
  const kin = await listKin(queries, 'id' in residents ? residents.scientificName : null);
  const learnedFrom = 'id' in residents ? whoTells(residents, kin) : null;
  const since = new Date(Date.parse(now) - WARMTH_DAYS * DAY_MS).toISOString();
  const probed = await meanWarmthOfHomes(queries, since, USUAL_WARMTH.baseC);
  const rooms = await roomsOf(queries, now);
  const roomByShelf = await roomOfShelf(queries);
  const grouped = all.filter((each) => each.form === 'group').map((each) => each.id);
  const heads = grouped.length > 0 ? await headEntriesOf(queries, grouped) : [];
  const groups = new Map(
    grouped.map((id) => {
      const own = heads.filter((entry) => entry.residentId === id);
      const census = censusOf(own, today);
      return [id, typicalMoults(census, census.heads)] as const;
    }),
  );
  return {
    moults: await moultsOf(queries, learnedFrom),
    kin: new Map(kin.map((each) => [each.id, each])),
    groups,
    warmth: (home) => {
      const read = probed.get(home.id);
      if (read !== undefined) return { temperatureC: read, from: 'probe' };
      const room = rooms.find((each) => each.id === roomByShelf.get(home.shelfId));
      const air = room?.air.temperatureC ?? USUAL_WARMTH.referenceC;
      return { temperatureC: air + (home.heat?.warmingK ?? 0), from: 'room' };
    },
  };
}

function whoTells(resident: Resident, kin: readonly Kin[]): string[] {
  const siblings = kin.filter((each) => areSiblings(each, resident));
  const others = kin.filter((each) => !areSiblings(each, resident)).slice(0, OTHERS_ENOUGH);
  return [resident.id, ...[...siblings, ...others].map((each) => each.id)];
}

/** Its moults with the size of the measure that is taken of its kind. */
export function ownMoultsOf(facts: GrowthFacts, resident: Resident, takes: BodyMeasure): SeenMoult[] {
  const group = facts.groups.get(resident.id);
  if (resident.form === 'group' && group) return group.slice(1).map(({ on }) => ({ on }));
  return sized(facts.moults.get(resident.id) ?? [], takes);
}

const sized = (rows: MoultRow[], takes: BodyMeasure): SeenMoult[] =>
  rows.map(({ on, stage, [takes]: sizeMm }) => ({
    on,
    ...(stage !== undefined && { stage }),
    ...(sizeMm !== undefined && { sizeMm }),
  }));

/** What the forecast of one resident is asked with. */
export function moultQuestionOf(
  facts: GrowthFacts,
  care: CareBook,
  resident: Resident,
  home: Home,
  signs: MoultSign[],
  asOf: Day,
): MoultQuestion {
  const profile = care.of(resident);
  const { takes } = profile.measure;
  const siblings: SeenMoult[][] = [];
  const others: SeenMoult[][] = [];
  for (const [id, rows] of facts.moults) {
    const kin = facts.kin.get(id);
    if (id === resident.id || kin?.scientificName !== resident.scientificName) continue;
    if (areSiblings(kin, resident)) siblings.push(sized(rows, takes));
    else if (others.length < OTHERS_ENOUGH) others.push(sized(rows, takes));
  }
  const group = facts.groups.get(resident.id);
  return {
    profile,
    stage: resident.stage,
    moults: ownMoultsOf(facts, resident, takes),
    // A group's first instar begins its first interval, as a birth does.
    bornOn: resident.form === 'group' ? group?.[0]?.on : (resident.bornOn ?? undefined),
    sizeMm: resident[takes],
    signs,
    temperatureC: facts.warmth(home).temperatureC,
    asOf,
    siblings,
    others,
    instar: resident.form === 'group' ? group?.at(-1)?.instar : resident.instar,
  };
}

/** The signs noticed since it last moulted or ate; food refused since then is one. */
export function signsOf(entries: readonly Entry[], residentId: string): MoultSign[] {
  const own = entries.filter((each) => each.residentId === residentId);
  const last = (kinds: string[]) =>
    own
      .filter((each) => kinds.includes(each.kind) && each.data.count === undefined)
      .map((each) => `${each.on} ${each.at}`)
      .sort()
      .at(-1) ?? '';
  const since = last(['moulted', 'eaten']);
  const signs = own
    .filter((each) => each.kind === 'sign' && `${each.on} ${each.at}` > since)
    .flatMap((each) => MOULT_SIGNS.find((sign) => sign === each.data.sign) ?? []);
  return last(['refused']) > since ? [...new Set([...signs, 'refused-food' as const])] : signs;
}
