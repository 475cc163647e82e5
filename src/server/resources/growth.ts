import { shippedStillness } from '@/contract/shipped';
import { degreeDays, degreeDaysOf } from '@/core/growth/degreeDays';
import { forgivingForecast, moultForecast, type MoultForecast, type MoultQuestion } from '@/core/growth/forecast';
import { outgrownAtMm } from '@/core/growth/outgrown';
import { stillness } from '@/core/growth/stillness';
import { moultQuestion } from '@/core/growth/subject';
import { logRank } from '@/core/growth/logRank';
import { kaplanMeier, type Lives } from '@/core/growth/survival';
import { addDays } from '@/core/measure/day';
import type { LeaveAlone } from '@/core/plan/work';
import { requireStage } from '@/core/profiles/animal';
import { quietDaysAfterMoult } from '@/core/growth/quietDays';
import { Refusal } from '@/core/refusal';
import { airSchool } from '@/core/profiles/schools';
import { guarded } from '../guarded';
import { careOf } from '../care';
import { isUntold, subjectOf } from '../house/growthFacts';
import { houseToday } from '../house/houseToday';
import type { Handlers } from '../http/mount';
import { notFound } from '../http/problem';
import { inTime } from '../threads/pool';
import type { Deps } from './deps';

type Names = 'moult' | 'survival' | 'degreeDays' | 'stillness' | 'census' | 'residentMoult' | 'moultFacts';

/** The other batch's own curve; what is wrong with it is named as its. */
function againstOf({ durations, died }: Lives) {
  try {
    return kaplanMeier(durations, died);
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    throw new Refusal(error.fields.map((each) => ({ ...each, path: `against.${each.path}` })));
  }
}

/** Engine 5 over HTTP, and the forecast of each resident. */
export function growthHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  return {
    moult: async ({ body }) => {
      const profile = (await careOf(database)).of(body);
      if (body.stage) requireStage(profile, body.stage);
      const question = { ...body, profile };
      return withQuiet(question, moultForecast(question));
    },

    survival: ({ body: { against, ...own } }) => ({
      ...kaplanMeier(own.durations, own.died),
      ...(against && { against: againstOf(against), logRank: logRank(own, against) }),
    }),

    degreeDays: ({ body }) => ({
      degreeDays:
        'series' in body
          ? degreeDaysOf(body.series, body.baseC, body.upperC)
          : degreeDays(body.minC, body.maxC, body.baseC, body.upperC),
    }),

    stillness: async ({ body }) => {
      const { silhouette } = (await careOf(database)).of(body);
      const guide = shippedStillness.find((each) => each.silhouettes.includes(silhouette));
      if (!guide) throw notFound(`guide for ${silhouette}`);
      const known = guide.findings.map(({ id }) => id);
      const strange = body.seen?.findIndex((id) => !known.includes(id)) ?? -1;
      if (strange >= 0) {
        throw new Refusal([{ path: `seen.${strange}`, message: `Must be one of ${known.join(', ')}.` }]);
      }
      const { usualDays, longestDays, findings, lookFor, howToLook, notToDo, worry, basis } = guide;
      return {
        ...stillness(guide, body.daysStill, body.seen ?? [], body.premoultPct),
        ...{ usualDays, longestDays, findings, lookFor, howToLook, notToDo, worry, basis },
      };
    },

    census: async ({ body }) => {
      const entries = body.entries.map(({ kind, on, ...data }, index) => ({
        kind,
        on,
        at: `${on}T12:00:00.${String(index).padStart(4, '0')}Z`,
        data,
      }));
      const { lives: _, ...course } = await inTime('groupCourse', entries, body.asOf);
      return course;
    },

    moultFacts: async () => {
      const asOf = clock.today();
      const { care, facts, lodgers } = await houseToday(database, asOf, clock.now());
      return {
        asOf,
        peers: [...facts.peers],
        residents: lodgers.flatMap(({ resident, home, log }) => {
          if (isUntold(facts, resident)) return [];
          const subject = guarded(() => subjectOf(facts, care, resident, home, log, asOf));
          const grownMm = care.of(resident).growth.grownMm.value;
          return subject ? [{ ...subject, stage: resident.stage, profile: resident.profile, grownMm }] : [];
        }),
      };
    },

    residentMoult: async ({ params }) => {
      const asOf = clock.today();
      const { care, facts, lodgers } = await houseToday(database, asOf, clock.now());
      const lodger = lodgers.find(({ resident }) => resident.id === params.id);
      if (!lodger) throw notFound('resident with that id');
      const { resident, home, log } = lodger;
      const profile = care.of(resident);
      const subject = subjectOf(facts, care, resident, home, log, asOf);
      const settledHome = { ...home, settled: resident.keptSo };
      const outgrownMm = outgrownAtMm(
        profile,
        { ...resident, school: airSchool(profile, resident.schools) },
        settledHome,
      );
      const question = { ...moultQuestion(profile, subject, facts.peers, asOf), outgrownMm };
      const { temperatureC, from } = facts.warmth(home);
      return {
        residentId: resident.id,
        asOf,
        moults: subject.moults,
        sizeMm: subject.sizeMm ?? null,
        temperatureC,
        temperatureFrom: from,
        isGroup: resident.form !== 'single',
        outgrownMm,
        // How long it is left alone is asked of the one that says so on the round.
        forecast: { ...forgivingForecast(question), ...quietOf(lodger.due.leaveAlone) },
      };
    },
  };
}

/** The days on which a new skin hardens; nulls where none does. */
function quietOf(leaveAlone: LeaveAlone | null): { quietUntil: string | null; firstFeedOn: string | null } {
  if (leaveAlone?.code !== 'hardening') return { quietUntil: null, firstFeedOn: null };
  return { quietUntil: addDays(leaveAlone.feedFrom, -1), firstFeedOn: leaveAlone.feedFrom };
}

/** The forecast, and the days after the last moult on which it is left alone. */
function withQuiet(
  { profile, moults, stage, asOf, sizeMm }: MoultQuestion,
  forecast: MoultForecast,
): MoultForecast & { quietUntil: string | null; firstFeedOn: string | null } {
  const last = [...moults].sort((a, b) => a.on.localeCompare(b.on)).at(-1);
  const days = quietDaysAfterMoult(profile, stage ?? profile.stages.at(-1) ?? 'adult', sizeMm ?? last?.sizeMm ?? 0);
  const firstFeedOn = last ? addDays(last.on, days) : null;
  const isQuiet = firstFeedOn !== null && firstFeedOn > asOf;
  return {
    ...forecast,
    quietUntil: isQuiet ? addDays(firstFeedOn, -1) : null,
    firstFeedOn: isQuiet ? firstFeedOn : null,
  };
}
