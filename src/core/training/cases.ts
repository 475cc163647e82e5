import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { Wishes } from '@/core/climate/forecast';
import type { MoistureQuestion } from '@/core/climate/moisture';
import { wateringOutlook } from '@/core/climate/watering';
import { stillness, STILLNESS_VERDICTS, type StillnessAnswer, type StillnessGuide } from '@/core/growth/stillness';
import { company, type CompanyAnswer, type Lodger } from '@/core/housing/company';
import { fit, type FitAnswer, type Status } from '@/core/housing/fit';
import type { Day } from '@/core/measure/day';
import type { ResidentToday } from '@/core/plan/work';
import type { CareProfile } from '@/core/profiles/profile';
import { airSchool } from '@/core/profiles/schools';

/** What a new helper is asked: dead or moulting, too dry or too wet, does it fit, who may go together. */
export const CASE_KINDS = ['still', 'water', 'fit', 'company'] as const;
export type CaseKind = (typeof CASE_KINDS)[number];

/** The answers of each kind; one of them is right. */
export const CASE_ANSWERS = {
  still: STILLNESS_VERDICTS,
  water: ['damp-now', 'wait', 'let-dry'],
  fit: ['pass', 'watch', 'fail'],
  company: ['pass', 'watch', 'fail'],
} as const satisfies Record<CaseKind, readonly string[]>;

/** A seeded choice: the same case for the same seed. */
export interface Dice {
  /** A whole number from 0 to `under` - 1. */
  below: (under: number) => number;
}

export function dice(seed: number): Dice {
  const generator = xoroshiro128plus(seed);
  return { below: (under) => uniformInt(generator, 0, under - 1) };
}

export interface StillCase {
  kind: 'still';
  daysStill: number;
  /** Ids of what is to be seen. */
  seen: string[];
  right: StillnessAnswer['verdict'];
  answer: StillnessAnswer;
}

/** One that has not moved: for days drawn up to the longest of its kind, with up to two things to be seen. */
export function stillCase(guide: StillnessGuide, premoultPct: number | undefined, { below }: Dice): StillCase {
  const daysStill = 1 + below(Math.round(guide.longestDays));
  const seen = Array.from({ length: below(3) }, () => guide.findings[below(guide.findings.length)]?.id ?? '');
  const looked = [...new Set(seen)];
  const answer = stillness(guide, daysStill, looked, premoultPct);
  return { kind: 'still', daysStill, seen: looked, right: answer.verdict, answer };
}

export interface WaterCase {
  kind: 'water';
  /** What a handful of the damp end feels like. */
  wetness: number;
  wetnessMin: number;
  /** As it is kept freshly damped. */
  wetnessKept: number;
  /** Water to pour, where it is to be damped today. mL */
  waterMl: number;
  dueOn: Day | null;
  right: (typeof CASE_ANSWERS.water)[number];
}

/** So much wetter than it is kept when freshly damped, it is let dry. Of 1, chosen here */
const TOO_WET_BY = 0.1;

/**
 * A handful of the damp end, squeezed: is it time? Answered by the drying of this very box.
 * @returns null for a home whose soil is not kept damp
 */
export function waterCase(question: MoistureQuestion, wishes: Wishes, today: Day, { below }: Dice): WaterCase | null {
  const kept = question.wetness.damp;
  const wetness = (1 + below(19)) / 20;
  const facts = [
    { kind: 'damped' as const, on: today, shortMl: 0 },
    { kind: 'felt' as const, on: today, wetness },
  ];
  const outlook = wateringOutlook(question, wishes, facts, today);
  if (!outlook) return null;
  const isDue = outlook.dueOn !== null && outlook.dueOn <= today;
  return {
    ...{ kind: 'water', wetness, wetnessMin: outlook.dampWetnessMin, wetnessKept: kept },
    ...{ waterMl: outlook.waterMl, dueOn: outlook.dueOn },
    right: wetness > kept + TOO_WET_BY ? 'let-dry' : isDue ? 'damp-now' : 'wait',
  };
}

export interface FitCase {
  kind: 'fit';
  right: Status;
  answer: FitAnswer;
}

/** An animal and a box: does it fit? */
export function fitCase(profile: CareProfile, resident: ResidentToday, home: ResidentToday['home']): FitCase {
  // Asked by the rules alone: what its keeper keeps so on purpose is nobody's to guess.
  const { home: _home, profile: _profile, settled: _settled, ...animal } = resident;
  const answer = fit(profile, { ...animal, ...home, school: airSchool(profile, resident.schools) });
  return { kind: 'fit', right: answer.verdict, answer };
}

export interface CompanyCase {
  kind: 'company';
  right: Status;
  answer: CompanyAnswer;
}

/** Two in one box: may they? */
export function companyCase(lodgers: [Lodger, Lodger]): CompanyCase {
  const answer = company(lodgers);
  return { kind: 'company', right: answer.verdict, answer };
}
