import type { BroodToFeed } from '@/core/feeding/colonyFood';
import type { WateringDue } from '@/core/climate/watering';
import type { Dish, Larder, Meal, PastMeal } from '@/core/feeding/food';
import type { Condition } from '@/core/feeding/prey';
import type { HomeState } from '@/core/housing/quantities';
import type { Together } from '@/core/housing/together';
import type { Day } from '@/core/measure/day';
import type { AnimalMeasures } from '@/core/profiles/animal';
import type { CareProfile, Form, MoultSign, RegularWork, Stage } from '@/core/profiles/profile';
import type { Schools } from '@/core/profiles/schools';
import type { Alarm } from '@/core/readings/alarms';
import type { Place } from '@/core/season/places';
import type { RestAct } from '@/core/season/restActs';
import type { RestCourse } from '@/core/season/restCourse';
import type { Hemisphere } from '@/core/season/year';
import type { JobKind } from './jobs';

/** What keepers write down about a resident that the round depends on. */
export type LogKind =
  | 'taken-in'
  | 'moved'
  | 'offered'
  | 'eaten'
  | 'refused'
  | 'searched'
  | 'calcium'
  | 'clutch'
  | 'barrier'
  | 'rubbish'
  | 'rest-step'
  | 'cleaned'
  | 'turned'
  | 'refreshed'
  | 'weighed'
  | 'counted'
  | 'battery'
  | 'labelled'
  | 'skipped'
  | 'paper'
  | 'watered'
  | 'damped'
  | 'misted'
  | 'felt'
  | 'moulted'
  | 'sign'
  | 'measured'
  | 'hatched'
  | 'paired'
  | 'looked';

export interface LogEntry {
  id: string;
  kind: LogKind;
  on: Day;
  /** UTC instant, for the order within a day. */
  at: string;
  sign?: MoultSign | undefined;
  /** Another keeper who logged the same. */
  alsoBy?: string | undefined;
  /** Of a winter rest: which step was done. */
  step?: string | undefined;
  /** A length was taken with it. */
  hasSize?: boolean | undefined;
  /** Of a job put off: which, until when, and why. */
  skip?: { job: JobKind; until: Day; why: SkipReason } | undefined;
  /** Of papers: what they are, and their last day; null where they do not end. */
  paper?: { title: string; expiresOn: Day | null } | undefined;
  /** What was given, of an offer. */
  dishes?: readonly Dish[] | undefined;
}

/** What one probe in a home says is wrong. */
export interface ProbeAlarm extends Alarm {
  probeId: string;
  probe: string;
}

export interface ResidentToday extends AnimalMeasures, Partial<Together> {
  profile: CareProfile;
  stage: Stage;
  instar?: number | undefined;
  massG?: number | undefined;
  schools?: Schools | undefined;
  condition?: Condition | undefined;
  /** Rules that are settled in its home, with the reason. */
  settled?: Readonly<Record<string, string>> | undefined;
  /** What it is never given, with the reason. */
  forbidden?: Readonly<Record<string, string>> | undefined;
  /** What can be fed in this house, and what it was given lately, oldest first. */
  larder?: Larder | undefined;
  meals?: readonly PastMeal[] | undefined;
  hemisphere?: Hemisphere | undefined;
  home: HomeState;
  /** How warm it is there; as usual for its kind if left out. C */
  temperatureC?: number | undefined;
  /** How warm it was, on the mean, in the days in which a moult of it would have been written down; as now if left out. C */
  watchedTemperatureC?: number | undefined;
  form?: Form | undefined;
  /** The move that is planned for it. */
  move?: PlannedMove | undefined;
  /** A probe with a battery hangs in its home since that day. */
  batterySince?: Day | undefined;
  /** At least the latest entry of each kind (and of each kind of sign) before today, and all of today's. */
  log: LogEntry[];
  /** When its soil is to be damped, as it stood this morning; null for kinds whose soil is not kept damp. */
  watering?: WateringDue | null | undefined;
  /** What the probes in its home say is wrong. */
  alarms?: ProbeAlarm[] | undefined;
  /** The winter rest that it is in, or that is planned for it. */
  rest?: RestUnderWay | undefined;
  /** Of ants: a founding queen; null for every other colony. */
  founding?: Founding | null | undefined;
  /** Of ants: what is to be fed beside the workers. */
  brood?: Pick<BroodToFeed, 'larvae' | 'fungusMl'> | undefined;
  /** Of eggs, cocoons and moths: what comes out, and what is to be done so that it meets. */
  coming?: Coming | undefined;
  /** How likely its moult was, and when, as it stood on each day on which something was noticed, and today; oldest first. */
  outlooks?: readonly MoultOutlook[] | undefined;
}

/** A move that its keepers have settled: on a day, within the days on which it can be made. */
export interface PlannedMove {
  /** The entry that planned it. */
  id: string;
  toHomeId: string;
  /** What that home is called on its shelf. */
  toCode: string;
  on: Day;
  from: Day;
  until: Day;
}

export interface RestUnderWay {
  /** The entry that planned it. */
  id: string;
  course: RestCourse;
  /** Where it could be kept. */
  places: readonly Place[];
  /** The place is outside the band of the rest, or its probe says nothing. */
  alarms: ProbeAlarm[];
}

/** A queen with her first brood, and the day by which nine of ten have workers; null where it is too cold. */
export interface Founding {
  since: Day;
  endsOn: Day | null;
  /** She has sealed herself in and lives off herself; else she goes out to feed. */
  isSealed: boolean;
}

/** What comes out of eggs or cocoons, and what moths want. */
export interface Coming {
  /** It is looked for from this day on, and is likely within these. */
  window?: { what: 'hatch' | 'emerge'; lookFrom: Day; from: Day; median: Day; until: Day } | undefined;
  /** Cocoons that are early are held back in the cool, and brought out again. */
  carry?: { to: 'cool' | 'warm'; on: Day; targetC: number; until: Day | null } | undefined;
  /** The night on which both sexes are likeliest out. */
  pair?: { on: Day; targetC: number } | undefined;
}

export interface MoultOutlook {
  asOf: Day;
  premoultPct: number;
  /** The same for the day on which food would be offered again, if it has not moulted by then. */
  byNextOfferPct: number;
  medianOn: Day;
  /** Signs show for so many days before a moult. */
  closeDays: number;
  signs: MoultSign[];
}

/** The entry that does each regular work. */
export const DONE_WITH = {
  water: 'watered',
  mist: 'misted',
  calcium: 'calcium',
  clutch: 'clutch',
  barrier: 'barrier',
  rubbish: 'rubbish',
  clean: 'cleaned',
  turn: 'turned',
  refresh: 'refreshed',
  weigh: 'weighed',
  census: 'counted',
} as const satisfies Record<RegularWork['work'], LogKind>;

/** Why a job is put off. */
export const SKIP_REASONS = ['asleep', 'on-prey', 'no-food', 'no-time', 'looks-fine', 'other'] as const;
export type SkipReason = (typeof SKIP_REASONS)[number];

export type Reason =
  | { code: 'never'; since: Day }
  | { code: 'since-last'; days: number; on: Day }
  | { code: 'after-refusal'; days: number; on: Day }
  | { code: 'offered'; on: Day; at: string; entryId: string }
  | { code: 'dries'; by: 'damped' | 'felt' | 'weighed'; since: Day; dampWetness: number; dampWetnessMin: number }
  | { code: 'dry-air'; humidityPct: number; minPct: number; hours: number }
  | { code: 'alarms'; alarms: ProbeAlarm[] }
  | { code: 'rest'; plannedOn: Day; lateDays: number }
  | { code: 'home-fails'; rules: string[] }
  | { code: 'buried'; sign: MoultSign; days: number; since: Day }
  | { code: 'quiet-over'; since: Day; on: Day; mayMoult: boolean }
  | { code: 'founding'; since: Day }
  | { code: 'founding-water'; since: Day }
  | { code: 'coming'; from: Day; until: Day }
  | { code: 'hold'; to: 'cool' | 'warm'; targetC: number; until: Day | null }
  | { code: 'pair'; on: Day; targetC: number }
  | { code: 'moved'; on: Day }
  | { code: 'moulted'; on: Day }
  | { code: 'no-moult'; since: Day; usualDays: number }
  | { code: 'move-planned'; on: Day; until: Day }
  | { code: 'papers'; title: string; expiresOn: Day };

export interface Job {
  kind: JobKind;
  dueOn: Day;
  /** The last day that is borne; after it, it cannot wait. */
  until: Day;
  cannotWait: boolean;
  minutes: number;
  reason: Reason;
  /** What to give, or what was given that is to be looked after. */
  meal?: JobMeal;
  soil?: { fromMm: number; toMm: number };
  /** What to pour, and where. */
  water?: { ml: number; way: WateringDue['way'] };
  /** Of leafcutters' rubbish: a small heap stays, they carry to it what is foul. */
  leavesHeap?: boolean;
  /** The step of its winter rest, and what the place is to have from then on. */
  rest?: { restId: string; key: string; what: RestAct; targetC: number; place: string | null };
  /** The move that is planned. */
  move?: PlannedMove;
  /** On a lighter day of this week, so many days from now, it would do as well. */
  lighterIn?: number;
  /** Put off today: by which entry, until when, and why. */
  skipped?: { entryId: string; until: Day; why: SkipReason };
  /** The entry with which it was done today, and who else had logged it. */
  doneBy?: string;
  alsoBy?: string;
}

export type JobMeal = Pick<Meal, 'eats' | 'dishes' | 'maxLengthMm' | 'prepared' | 'cautions'>;

/**
 * `endsOn` is the day on which it is fed again: after the moult that is expected, or when its signs have stood so long that
 * they were something else, or when it would starve. It stays where it was when the quiet began.
 */
export type LeaveAlone =
  | { code: 'premoult'; signs: MoultSign[]; since: Day; premoultPct: number | null; endsOn: Day }
  | { code: 'hardening'; feedFrom: Day }
  | { code: 'resting'; since: Day; endsOn: Day }
  | ({ code: 'founding' } & Pick<Founding, 'since' | 'endsOn'>);

export interface DueWork {
  jobs: Job[];
  leaveAlone: LeaveAlone | null;
  /** What is due too, and waits until it is left alone no longer. */
  waiting: JobKind[];
}
