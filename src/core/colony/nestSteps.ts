import { rangeAbout, spreadOf, type Range } from '@/core/numerics/spreads';
import { addDays, type Day } from '@/core/measure/day';
import type { CareProfile, FitRule } from '@/core/profiles/profile';
import { Refusal } from '@/core/refusal';

export interface NestQuestion {
  profile: Pick<CareProfile, 'name' | 'nest' | 'diet' | 'fit'>;
  workers: number;
  /** Workers that are likely in half a year. */
  ahead: number;
  volumeMl: number;
  /** What a worker takes, by her length; left out: a usual one. mL */
  perHeadMl?: number | undefined;
}

export interface NestAdvice {
  fullPct: number;
  /** Between which that lies in eight of ten colonies, by the room that a head takes. % */
  fullBetween: Range;
  verdict: 'far-too-large' | 'too-large' | 'right' | 'full';
  /** What to close off, where it is too large; null where it is not. */
  closeMl: number | null;
  /** How large the next module may be: enough for half a year, and no more than they keep clean. */
  nextModuleMl: number | null;
}

/** A step that is on record as working for a leafcutter that is fed hard: its chamber times so much. Common practice, no source */
const FUNGUS_STEP_TIMES = 12;
/** A nest is comfortable about here. Share of full, chosen here */
const COMFORTABLE = 0.7;

/** Leafcutters fill a nest with their garden, and their move is its move. */
export const growsFungus = ({ diet }: Pick<CareProfile, 'diet'>): boolean =>
  diet?.eats === 'colony-food' && diet.leafMgPerFungusMlPerDay !== undefined;

/** From when on a nest is too large, far too large and full for so many, by the rules that the home is held to. % */
function limitsOf(rules: readonly FitRule[], workers: number) {
  const fullness = rules.filter(
    ({ quantity, fromHeadCount = 0 }) => quantity === 'nestFullnessPct' && workers >= fromHeadCount,
  );
  const plus = (side: 'min' | 'watchMin' | 'max') => fullness.flatMap((rule) => rule[side]?.plus ?? []);
  const tooLarge = Math.max(0, ...plus('min'));
  return {
    tooLarge,
    farTooLarge: Math.min(tooLarge, ...plus('watchMin')),
    full: Math.min(100, ...plus('max')),
  };
}

/**
 * How full a nest is, what of it to close, and how large the next module may be.
 * @throws Refusal at `profile` for kinds that live in no nest
 */
export function nestAdvice({ profile, workers, ahead, volumeMl, perHeadMl: each }: NestQuestion): NestAdvice {
  if (!profile.nest) {
    throw new Refusal([{ path: 'profile', message: `Must be a kind that lives in a nest; got ${profile.name}.` }]);
  }
  const perHeadMl = each ?? profile.nest.perHeadMl.value;
  const limits = limitsOf(profile.fit, workers);
  const taken = workers * perHeadMl;
  const fullPct = volumeMl > 0 ? (100 * taken) / volumeMl : 100;
  const verdict =
    fullPct < limits.farTooLarge
      ? 'far-too-large'
      : fullPct < limits.tooLarge
        ? 'too-large'
        : fullPct < limits.full
          ? 'right'
          : 'full';
  // What they keep clean: all but what would leave it too large.
  const most =
    growsFungus(profile) || limits.tooLarge === 0 ? volumeMl * FUNGUS_STEP_TIMES : (100 * taken) / limits.tooLarge;
  const wanted = (ahead * perHeadMl) / COMFORTABLE;
  const closeMl = verdict === 'right' || verdict === 'full' ? null : Math.max(0, volumeMl - taken / COMFORTABLE);
  const next = Math.min(wanted, most) - volumeMl;
  const fullBetween = rangeAbout(fullPct, spreadOf(profile.nest.perHeadMl));
  return { fullPct, fullBetween, verdict, closeMl, nextModuleMl: closeMl === null && next > 0 ? next : null };
}

export const MOVE_ACTS = [
  'prepare',
  'link',
  'dark',
  'queen',
  'garden',
  'heap',
  'look',
  'feed-hard',
  'leave-on',
  'take-off',
] as const;
export type MoveAct = (typeof MOVE_ACTS)[number];

/** A moving plan: days after it is begun, and what is done then. Common practice, no source */
const LINKED: readonly [number, MoveAct][] = [
  [-1, 'prepare'],
  [0, 'link'],
  [0, 'dark'],
  [1, 'look'],
  [1, 'leave-on'],
  [14, 'take-off'],
];
const CARRIED: readonly [number, MoveAct][] = [
  [-1, 'prepare'],
  [0, 'queen'],
  [0, 'garden'],
  [0, 'heap'],
  [1, 'look'],
  [1, 'feed-hard'],
];

/**
 * How a colony comes into a new nest: it moves by itself from the bright old one into the dark, damp new one. Of a
 * leafcutter the queen is carried, and the whole garden after her.
 * @param on the day on which the nests are linked
 */
export function movingPlan(on: Day, profile: Pick<CareProfile, 'diet'>): { on: Day; what: MoveAct }[] {
  return (growsFungus(profile) ? CARRIED : LINKED).map(([days, what]) => ({ on: addDays(on, days), what }));
}
