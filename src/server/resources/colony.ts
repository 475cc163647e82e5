import { countedInPart, countSpread } from '@/core/colony/counting';
import { castesOf } from '@/core/colony/castes';
import type { Harvest } from '@/contract/colony';
import type { Resident } from '@/contract/records';
import { usableOn, type SafeHarvest } from '@/core/colony/culture';
import { holdsCourse } from '@/core/colony/expected';
import { foundingState } from '@/core/colony/founding';
import type { PopulationKind } from '@/core/colony/kind';
import { nestAdvice } from '@/core/colony/nestSteps';
import { fullnessPct } from '@/core/colony/fullness';
import { prepareHomes, rankHomes, rankPrepared } from '@/core/housing/rank';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import type { ColonyState } from '@/core/house/colonyState';
import { careOf, ofKind, type Whose } from '../care';
import { colonyFacts } from '../house/colonies';
import { keptFor } from '../house/inTurn';
import type { Handlers } from '../http/mount';
import { invalid, notFound } from '../http/problem';
import { groupBy } from '@/core/groupBy';
import { populationOf } from '../kinds';
import { openHomes } from '../house/housePlan';
import { houseToday, type HouseToday } from '../house/houseToday';
import type { Queries } from '../storage/database';
import { entriesOfKinds } from '../storage/entries';
import { findResident } from '../storage/residents';
import { inThread, inTime } from '../threads/pool';
import type { Deps } from './deps';

type Names = 'population' | 'colony' | 'founding' | 'nest' | 'tubs' | 'count' | 'residentColony' | 'colonies';

/** Colonies and cultures: the engines over HTTP, one of the house, and all side by side. */
export function colonyHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  return {
    population: ({ body }) => inTime('projectMatrix', body.matrix, body.initial, body.steps),

    colony: async ({ body }) => {
      const { asOf = clock.today(), temperatureC, temperaturesC, countedLow, countedHigh, ...question } = body;
      const kind = await requireKind(database, body);
      const spread = countSpread(countedLow, countedHigh);
      const asked = { ...question, kind, temperatureC: temperaturesC ?? temperatureC ?? 0, countSpread: spread };
      const { series, crowdedWeek } = await inTime('projectColony', asked);
      const now = Object.values(question.counts).reduce((sum, count) => sum + count, 0);
      const { roomForHeads, counts } = question;
      return {
        series,
        nestFullPct: roomForHeads === undefined ? null : fullnessPct(kind, counts[kind.adults] ?? 0, now, roomForHeads),
        splitOn: crowdedWeek === null ? null : addDays(asOf, 7 * crowdedWeek),
        firstWorkersOn: firstWorkersOf(kind, counts, temperaturesC ?? [temperatureC ?? 0], asOf),
        harvest:
          temperatureC === undefined || kind.laying.by === 'queen'
            ? null
            : asDays(await inTime('safeHarvest', { ...asked, temperatureC }), asOf),
        castes: kind.castes ? castesOf(kind.castes, Math.round(question.counts.worker ?? 0)) : [],
      };
    },

    founding: async ({ body }) => {
      const { asOf = clock.today(), ...question } = body;
      const kind = await requireKind(database, body);
      if (kind.laying.by !== 'queen') throw invalid('profile', 'Must be a kind of ant: only those have queens.');
      const stages = kind.young.map((stage) => stage.id);
      const unknown = Object.keys(question.seen).find((stage) => !stages.includes(stage));
      if (unknown !== undefined) throw invalid(`seen.${unknown}`, `Must be one of ${stages.join(', ')}.`);
      return foundingState({ ...question, kind, asOf });
    },

    nest: async ({ body: { profile, ...question } }) =>
      nestAdvice({ ...question, profile: (await careOf(database)).of({ profile }) }),

    tubs: async ({ body }) => {
      const kind = await requireKind(database, body);
      if (!kind.headsPerL) throw invalid('profile', `Nobody gave how many of ${body.profile} live in a litre.`);
      return inTime('tubsFor', { ...body, kind });
    },

    count: ({ body }) => countedInPart(body.counted, body.sharePct),

    residentColony: async ({ params }) => {
      const resident = await findResident(database, params.id);
      if (!resident) throw notFound('resident with that id');
      const today = clock.today();
      const state = (await houseToday(database, today, clock.now())).colonies.get(resident.id);
      if (!state) throw notFound('colony or culture with that id');
      return colonyFacts(resident, state, today);
    },

    colonies: async () => {
      const asOf = clock.today();
      const house = await houseToday(database, asOf, clock.now());
      const { residents, colonies: states, rests } = house;
      const parted = groupBy(
        await entriesOfKinds(database, [...states.keys()], ['parted']),
        ({ residentId }) => residentId ?? '',
      );
      // Taken out of it: written down as parted, or taken in as having come out of it.
      const lastPart = (id: string) =>
        [
          ...(parted.get(id) ?? []).map((entry) => entry.on),
          ...residents.filter((each) => each.outOfId === id).map((each) => each.takenInOn),
        ]
          .sort()
          .at(-1) ?? null;
      const colonies = [];
      for (const resident of residents) {
        const colony = states.get(resident.id);
        const kind = populationOf(resident);
        if (!colony || !kind) continue;
        const harvest = await harvestOf(kind)(colony);
        colonies.push({
          residentId: resident.id,
          heads: colony.heads,
          countedOn: colony.countedOn,
          roomForHeads: colony.roomForHeads,
          ...{ fullPct: colony.fullPct, splitOn: colony.splitOn },
          harvest: harvest && asDays(harvest, asOf),
          verdict: colony.verdict,
          splitInto: splitInto(resident, colony, house),
          outOfId: resident.outOfId,
          partedOn: lastPart(resident.id),
          isCounted: colony.isCounted,
          isFounding: colony.founding !== null,
          isResting: rests.get(resident.id)?.course.isQuiet ?? false,
        });
      }
      return { asOf, colonies };
    },
  };
}

async function requireKind(queries: Queries, asked: Whose): Promise<PopulationKind> {
  const kind = populationOf(await ofKind(queries, asked));
  if (!kind)
    throw invalid('profile', `Nobody gave the numbers of ${asked.profile}: it is not counted as a population.`);
  return kind;
}

/** What may be taken out of a culture in a week for ever; null for ants, where nobody knows its room, and after a crash. */
function harvestOf(kind: PopulationKind): (colony: ColonyState) => Promise<SafeHarvest | null> {
  const known = harvests.get(kind) ?? keptFor((colony: ColonyState) => harvestNow(kind, colony));
  harvests.set(kind, known);
  return known;
}
const harvests = new WeakMap<PopulationKind, (colony: ColonyState) => Promise<SafeHarvest | null>>();

async function harvestNow(
  kind: PopulationKind,
  { counts, queens, temperatureC, roomForHeads, countSpread, verdict }: ColonyState,
): Promise<SafeHarvest | null> {
  if (roomForHeads === null || kind.laying.by !== 'female' || !holdsCourse(verdict)) return null;
  return inThread('safeHarvest', { kind, counts, queens, temperatureC, roomForHeads, countSpread });
}

/** A harvest with its first day in the place of weeks. */
function asDays(harvest: SafeHarvest, asOf: Day): Harvest {
  const { perWeek, sharePct, keepBack } = harvest;
  return { perWeek, sharePct, keepBack, usableOn: usableOn(harvest, asOf) };
}

/** From so long before it is full it is told where half of it may go. days, chosen here */
const SPLIT_AHEAD_DAYS = 30;
const MOST_PLACES = 3;

/** The free boxes that would take half of a culture or a group, best first; of ants none: they are given a larger nest. */
function splitInto(resident: Resident, colony: ColonyState, house: HouseToday): { homeId: string; code: string }[] {
  const { splitOn } = colony;
  if (splitOn === null || daysBetween(house.on, splitOn) > SPLIT_AHEAD_DAYS || resident.form === 'colony') return [];
  const profile = house.care.of(resident);
  const half = Math.max(1, Math.round(colony.heads / 2));
  const { stage, sex } = resident;
  const animal = { stage, sex, headCount: half, [profile.measure.takes]: resident[profile.measure.takes] };
  const free = openHomes(house.homes).filter(({ residentIds }) => residentIds.length === 0);
  const prepared = prepareHomes(free.map((home) => ({ ...home, temperatureC: house.facts.warmth(home).temperatureC })));
  const { order } = rankPrepared(profile, animal, prepared);
  const best = [...order].slice(0, MOST_PLACES).flatMap((index) => prepared[index]?.home ?? []);
  return rankHomes(profile, animal, best)
    .filter(({ verdict }) => verdict !== 'fail')
    .map(({ homeId, code }) => ({ homeId, code }));
}

/** When a colony without workers has its first, from the most grown brood that there is; null for all others. */
function firstWorkersOf(
  kind: PopulationKind,
  counts: Readonly<Record<string, number>>,
  temperaturesC: readonly number[],
  asOf: Day,
) {
  if (kind.laying.by !== 'queen' || (counts[kind.adults] ?? 0) >= 1) return null;
  const there = kind.young.filter(({ id }) => (counts[id] ?? 0) > 0).map(({ id }) => [id, asOf] as const);
  const steps = temperaturesC.map((targetC, week) => ({ on: addDays(asOf, 7 * week), targetC }));
  const question = { kind, beganOn: asOf, asOf, seen: Object.fromEntries(there), steps };
  return foundingState({ ...question, temperatureC: temperaturesC.at(-1) ?? 0 }).firstWorkers;
}
