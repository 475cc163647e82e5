import { houseToday } from '../house/houseToday';
import type { ResidentRest, RestBoard } from '@/contract/rest';
import type { EntryOf } from '@/contract/storedEntries';
import type { Resident } from '@/contract/records';
import { addDays, type Day } from '@/core/measure/day';
import { degreeHoursOutside, TELLING_DEGREE_HOURS } from '@/core/season/degreeHours';
import { requireResting, restPlan, restSeason } from '@/core/season/rest';
import { placeHolding } from '@/core/season/places';
import { restCourse } from '@/core/season/restCourse';
import type { Hemisphere } from '@/core/season/year';
import { guarded } from '../guarded';
import { ofKind, type Whose } from '../care';
import { roomsOf, warmthIn } from '../house/air';
import type { Handlers } from '../http/mount';
import { invalid, notFound } from '../http/problem';
import { restKindFor, restKindOf } from '../kinds';
import { measuredRest, restAlarms, restsOf, type StandingRest } from '../rests';
import type { Queries } from '../storage/database';
import { entriesOfKinds } from '../storage/entries';
import { findHome } from '../storage/homes';
import { findResident } from '../storage/residents';
import type { Deps } from './deps';

type Names = 'rest' | 'restCourse' | 'residentRest' | 'rests';

/** Winter rest: the engine over HTTP, that of one resident step by step, and who of the house rests. */
export function restHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  return {
    rest: async ({ body }) => {
      const { asOf = clock.today(), latitudeDeg, ...question } = body;
      const kind = await requireRestKind(database, body);
      return restPlan({ ...question, kind, asOf, hemisphere: halfOf(latitudeDeg) });
    },

    restCourse: async ({ body }) => {
      const { asOf = clock.today(), latitudeDeg, done, on, readings, ...question } = body;
      const kind = await requireRestKind(database, body);
      const plan = restPlan({ ...question, kind, asOf, hemisphere: halfOf(latitudeDeg) });
      const moments = readings?.map(({ at, temperatureC }) => ({ at: Date.parse(at), temperatureC }));
      return {
        course: restCourse(plan, kind, new Map(Object.entries(done)), on),
        degreeHours: moments ? degreeHoursOutside(moments, kind.bandC) : null,
      };
    },

    residentRest: async ({ params }): Promise<ResidentRest> => {
      const resident = await findResident(database, params.id);
      const home = resident && (await findHome(database, resident.homeId));
      if (!resident || !home) throw notFound('resident with that id');
      const [asOf, now] = [clock.today(), clock.now()];
      const rooms = await roomsOf(database, now);
      const rests = await restsOf(database, [resident], asOf);
      const alarms = await restAlarms(database, rests, now);
      const standing = rests.get(resident.id);
      const counts = await entriesOfKinds(database, [resident.id], ['taken-in', 'measured']);
      const places = rooms.map(({ name, air }) => ({ name, temperatureC: air.temperatureC }));
      const placeOf = ({ targetC }: { targetC: number }) => placeHolding(targetC, places);
      const measuredNow = async (rest: StandingRest) => {
        const crying = alarms.get(resident.id) ?? [];
        const told = await measuredRest(database, rest);
        const { above = 0, below = 0 } = told.degreeHours ?? {};
        return {
          ...told,
          alarms: crying,
          isAsWanted: crying.length === 0 && Math.max(above, below) < TELLING_DEGREE_HOURS,
        };
      };
      return {
        residentId: resident.id,
        asOf,
        kind: restKindFor(resident) ?? null,
        roomC: (await warmthIn(database, now))(home).temperatureC,
        places: rooms.map(({ id, name, air, from }) => ({ roomId: id, name, temperatureC: air.temperatureC, from })),
        rest: standing
          ? {
              id: standing.id,
              plannedOn: standing.plannedOn,
              roomId: standing.roomId,
              place: rooms.find((each) => each.id === standing.roomId)?.name ?? 'a place that is gone',
              placeC: standing.placeC,
              roomC: standing.roomC,
              warnings: standing.plan.warnings,
              course: {
                ...standing.course,
                steps: standing.course.steps.map((step) => ({ ...step, place: placeOf(step) })),
              },
              ...(await measuredNow(standing)),
              ...headsAround(standing, counts),
            }
          : null,
      };
    },

    rests: async (): Promise<RestBoard> => {
      const [asOf, now] = [clock.today(), clock.now()];
      const { residents, hemisphere, rests: standing } = await houseToday(database, asOf, now);
      const alarms = await restAlarms(database, standing, now);
      const row = (resident: Resident): RestBoard['rests'] => {
        const kind = restKindFor(resident);
        if (!kind) return [];
        const rest = standing.get(resident.id);
        const season = kind.need === 'never' ? null : restSeason(kind, hemisphere, asOf);
        const next = rest?.course.steps.find((step) => step.doneOn === null && !step.isPassed && step.what !== 'hold');
        return [
          {
            residentId: resident.id,
            need: kind.need,
            why: kind.why,
            beginsOn: rest?.plan.beginsOn ?? season?.begins ?? null,
            endsOn: rest?.course.endsOn ?? season?.ends ?? null,
            phase: rest?.course.phase ?? null,
            targetC: rest?.course.targetC ?? null,
            next: next ? { on: next.on, what: next.what } : null,
            alarms: alarms.get(resident.id)?.length ?? 0,
          },
        ];
      };
      return { asOf, rests: residents.flatMap((resident) => guarded(() => row(resident)) ?? []) };
    },
  };
}

const halfOf = (latitudeDeg: number): Hemisphere => (latitudeDeg < 0 ? 'south' : 'north');

async function requireRestKind(queries: Queries, asked: Whose) {
  const kind = restKindOf(await ofKind(queries, asked));
  if (!kind) throw invalid('profile', `Nobody gave the winter rest of ${asked.profile}.`);
  return requireResting(kind);
}

/** A count up to so long before the cooling still says how many went in. days, chosen here */
const BEFORE_DAYS = 60;

/** The last count and weight before it was cooled, and the first after it was warm again. */
function headsAround({ course }: StandingRest, entries: readonly EntryOf<'taken-in' | 'measured'>[]) {
  const cooled = course.steps.find((step) => step.what === 'cool');
  const warm = course.steps.findLast((step) => step.what === 'warm' && step.doneOn !== null);
  const around = <Told extends { on: Day }>(told: readonly Told[]) => ({
    before: (cooled && told.findLast(({ on }) => on <= cooled.on && on >= addDays(cooled.on, -BEFORE_DAYS))) ?? null,
    after: (warm && told.find(({ on }) => on >= warm.on)) ?? null,
  });
  const counts = entries.flatMap(({ on, data: { headCount } }) =>
    headCount === undefined ? [] : [{ on, heads: headCount }],
  );
  const weights = entries.flatMap(({ on, data: { massG } }) => (massG === undefined ? [] : [{ on, massG }]));
  return { ...around(counts), weights: around(weights) };
}
