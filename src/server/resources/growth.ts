import { degreeDays, degreeDaysOf } from '@/core/growth/degreeDays';
import { moultForecast, type MoultForecast, type MoultQuestion } from '@/core/growth/forecast';
import { outgrownAtMm } from '@/core/growth/outgrown';
import { kaplanMeier } from '@/core/growth/survival';
import { addDays } from '@/core/measure/day';
import { requireStage } from '@/core/profiles/animal';
import { quietDaysAfterMoult } from '@/core/plan/due';
import { MOULT_SIGNS } from '@/core/profiles/profile';
import { careOf } from '../care';
import type { Handlers } from '../http/mount';
import { notFound } from '../http/problem';
import { roomsOf } from '../house';
import { entriesForRound, moultsOfAll } from '../storage/entries';
import { findHome } from '../storage/homes';
import { listResidents } from '../storage/residents';
import { roomOfShelf } from '../storage/rooms';
import type { Deps } from './deps';

type Names = 'moult' | 'survival' | 'degreeDays' | 'residentMoult';

/** Engine 5 over HTTP, and the forecast of each resident. */
export function growthHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  return {
    moult: async ({ body }) => {
      const profile = (await careOf(database)).of(body);
      if (body.stage) requireStage(profile, body.stage);
      return withQuiet({ ...body, profile });
    },

    survival: ({ body }) => kaplanMeier(body.durations, body.died),

    degreeDays: ({ body }) => ({
      degreeDays:
        'series' in body
          ? degreeDaysOf(body.series, body.baseC, body.upperC)
          : degreeDays(body.minC, body.maxC, body.baseC, body.upperC),
    }),

    residentMoult: async ({ params }) => {
      const [care, residents] = [await careOf(database), await listResidents(database)];
      const resident = residents.find((each) => each.id === params.id);
      const home = resident && (await findHome(database, resident.homeId));
      if (!resident || !home) throw notFound('resident with that id');
      const profile = care.of(resident);
      const asOf = clock.today();
      const moults = await moultsOfAll(database, profile.measure.takes);
      const others = residents
        .filter((each) => each.id !== resident.id && each.scientificName === resident.scientificName)
        .map((each) => moults.get(each.id) ?? []);
      const roomId = (await roomOfShelf(database)).get(home.shelfId);
      const room = (await roomsOf(database, clock.now())).find((each) => each.id === roomId);
      const temperatureC = (room?.air.temperatureC ?? profile.climate.temperatureC.min) + (home.heat?.warmingK ?? 0);
      const own = moults.get(resident.id) ?? [];
      const sizeMm = resident[profile.measure.takes] ?? null;
      const school = resident.school ?? undefined;
      const outgrownMm = outgrownAtMm(profile, { ...resident, school }, home);
      return {
        residentId: resident.id,
        asOf,
        moults: own,
        sizeMm,
        temperatureC,
        outgrownMm,
        forecast: withQuiet({
          profile,
          stage: resident.stage,
          moults: own,
          sizeMm: sizeMm ?? undefined,
          signs: await signsOf(database, resident.id, asOf, own.at(-1)?.on),
          temperatureC,
          asOf,
          others,
          outgrownMm,
        }),
      };
    },
  };
}

/** The forecast, and the days after the last moult on which it is left alone. */
function withQuiet(question: MoultQuestion): MoultForecast & { quietUntil: string | null; firstFeedOn: string | null } {
  const forecast = moultForecast(question);
  const { profile, moults, stage, asOf } = question;
  const last = [...moults].sort((a, b) => a.on.localeCompare(b.on)).at(-1);
  const days = quietDaysAfterMoult(
    profile,
    stage ?? profile.stages.at(-1) ?? 'adult',
    question.sizeMm ?? last?.sizeMm ?? 0,
  );
  const firstFeedOn = last ? addDays(last.on, days) : null;
  const isQuiet = firstFeedOn !== null && firstFeedOn > asOf;
  return {
    ...forecast,
    quietUntil: isQuiet ? addDays(firstFeedOn, -1) : null,
    firstFeedOn: isQuiet ? firstFeedOn : null,
  };
}

/** The signs noticed since it last moulted or ate. */
async function signsOf(database: Deps['database'], residentId: string, asOf: string, lastMoult: string | undefined) {
  const entries = (await entriesForRound(database, asOf)).filter((each) => each.residentId === residentId);
  const ate = entries.filter((each) => each.kind === 'eaten').map((each) => each.on);
  const since = [lastMoult ?? '', ...ate].sort().at(-1) ?? '';
  return entries
    .filter((each) => each.kind === 'sign' && each.on >= since)
    .flatMap((each) => MOULT_SIGNS.find((sign) => sign === each.data.sign) ?? []);
}
