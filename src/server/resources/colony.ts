import { shippedRests } from '@/contract/shipped';
import { usualStages, youngPerAdult } from '@/core/colony/brood';
import { lastingHarvest } from '@/core/colony/culture';
import type { PopulationKind } from '@/core/colony/kind';
import { projectMatrix } from '@/core/colony/matrix';
import { projectColony, type Band } from '@/core/colony/project';
import { innerVolumeL } from '@/core/housing/container';
import { nestVolumeMl } from '@/core/housing/nest';
import { addDays, type Day } from '@/core/measure/day';
import type { CareProfile } from '@/core/profiles/profile';
import { restPlan } from '@/core/season/rest';
import type { Home } from '@/contract/records';
import { careOf } from '../care';
import { warmthIn } from '../house';
import type { Handlers } from '../http/mount';
import { invalid, notFound } from '../http/problem';
import { populationOf } from '../populations';
import { lastStageCount } from '../storage/entries';
import { findHome } from '../storage/homes';
import { findResident } from '../storage/residents';
import type { Deps } from './deps';

type Names = 'population' | 'colony' | 'rest' | 'residentColony';

/** Colonies, cultures and their winter rest: the engines over HTTP, and what they are asked of one resident. */
export function colonyHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  return {
    population: ({ body }) => projectMatrix(body.matrix, body.initial, body.steps),

    colony: ({ body }) => {
      const { profile, asOf = clock.today(), temperatureC, temperaturesC, ...question } = body;
      const kind = populationOf(profile);
      if (!kind) throw invalid('profile', `Nobody gave the numbers of ${profile}: it is not counted as a population.`);
      const asked = { ...question, kind, temperatureC: temperaturesC ?? temperatureC ?? 0 };
      const { series, firstWorkersWeek, crowdedWeek } = projectColony(asked);
      const now = Object.values(question.counts).reduce((sum, count) => sum + count, 0);
      const { roomForHeads } = question;
      return {
        series,
        nestFullPct: roomForHeads === undefined ? null : (100 * now) / roomForHeads,
        splitOn: crowdedWeek === null ? null : addDays(asOf, 7 * crowdedWeek),
        firstWorkersOn: firstWorkersWeek && daysOf(firstWorkersWeek, asOf),
        lastingHarvestPerWeek: temperatureC === undefined ? null : lastingHarvest({ ...asked, temperatureC }),
      };
    },

    rest: ({ body }) => {
      const { profile, asOf = clock.today(), latitudeDeg, ...question } = body;
      const kind = shippedRests.find((each) => each.profiles.includes(profile));
      if (!kind) throw invalid('profile', `Nobody gave the winter rest of ${profile}.`);
      return restPlan({ ...question, kind, asOf, hemisphere: latitudeDeg < 0 ? 'south' : 'north' });
    },

    residentColony: async ({ params }) => {
      const resident = await findResident(database, params.id);
      const home = resident && (await findHome(database, resident.homeId));
      if (!resident || !home) throw notFound('resident with that id');
      const profile = (await careOf(database)).of(resident);
      const asOf = clock.today();
      const { temperatureC } = (await warmthIn(database, clock.now()))(home);
      const kind = populationOf(resident.profile) ?? null;
      const rest = shippedRests.find((each) => each.profiles.includes(resident.profile)) ?? null;
      const counted = await lastStageCount(database, resident.id);
      // A colony nobody counted the queens of has one.
      const queens = counted.queens ?? (kind?.laying.by === 'queen' ? 1 : 0);
      const room = kind ? roomIn(kind, profile, home) : null;
      const heads = (kind && counted.stages?.[kind.adults]) ?? resident.headCount ?? 0;
      const usual = kind ? usualStages(kind, heads, queens, temperatureC, room) : {};
      const isCounted = (stage: string) => counted.stages?.[stage] !== undefined;
      return {
        residentId: resident.id,
        asOf,
        kind,
        counts: { ...usual, ...counted.stages },
        estimated: Object.keys(usual).filter((stage) => stage !== kind?.adults && !isCounted(stage)),
        queens,
        temperatureC,
        roomForHeads: room,
        rest,
      };
    },
  };
}

const daysOf = ({ p10, median, p90 }: Band, asOf: Day) => ({
  p10: addDays(asOf, Math.round(7 * p10)),
  median: addDays(asOf, Math.round(7 * median)),
  p90: Number.isFinite(p90) ? addDays(asOf, Math.round(7 * p90)) : null,
});

/** As many as there is room for: by the chambers of a nest, or by the litres of a tub. */
function roomIn(kind: PopulationKind, profile: CareProfile, home: Home): number | null {
  if (home.nest && profile.nest) {
    // A nest is measured by its workers, each with its share of brood.
    return (nestVolumeMl(home.nest) / profile.nest.perHeadMl.value) * (1 + youngPerAdult(kind));
  }
  return kind.headsPerL ? kind.headsPerL.value * innerVolumeL(home.container) : null;
}
