import { addDays, type Day } from '@/core/measure/day';

export interface NestQuestion {
  workers: number;
  /** Workers that are likely in half a year. */
  ahead: number;
  volumeMl: number;
  /** Of nest for each worker with its brood. */
  perHeadMl: number;
  /** Leafcutters fill a larger step with their garden when fed hard. */
  growsFungus: boolean;
}

export interface NestAdvice {
  fullPct: number;
  verdict: 'far-too-large' | 'too-large' | 'right' | 'full';
  /** What to close off, where it is too large; null where it is not. */
  closeMl: number | null;
  /** How large the next module may be: enough for half a year, and no more than they keep clean. */
  nextModuleMl: number | null;
}

/** Under so much of its nest it is far too large, too large, and from there on full. %, as the rules of the home have it */
const FAR_TOO_LARGE = 20;
const TOO_LARGE = 40;
const FULL = 90;
/** A step that is on record as working for a leafcutter that is fed hard: its chamber times so much. Common practice, no source */
const FUNGUS_STEP_TIMES = 12;
/** A nest is comfortable about here. Share of full, chosen here */
const COMFORTABLE = 0.7;

/** How full a nest is, what of it to close, and how large the next module may be. */
export function nestAdvice({ workers, ahead, volumeMl, perHeadMl, growsFungus }: NestQuestion): NestAdvice {
  const taken = workers * perHeadMl;
  const fullPct = volumeMl > 0 ? (100 * taken) / volumeMl : 100;
  const verdict =
    fullPct < FAR_TOO_LARGE ? 'far-too-large' : fullPct < TOO_LARGE ? 'too-large' : fullPct < FULL ? 'right' : 'full';
  // What they keep clean: all but what would leave it too large.
  const most = growsFungus ? volumeMl * FUNGUS_STEP_TIMES : (100 * taken) / TOO_LARGE;
  const wanted = (ahead * perHeadMl) / COMFORTABLE;
  const closeMl = verdict === 'right' || verdict === 'full' ? null : Math.max(0, volumeMl - taken / COMFORTABLE);
  const next = Math.min(wanted, most) - volumeMl;
  return { fullPct, verdict, closeMl, nextModuleMl: closeMl === null && next > 0 ? next : null };
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
export function movingPlan(on: Day, growsFungus: boolean): { on: Day; what: MoveAct }[] {
  return (growsFungus ? CARRIED : LINKED).map(([days, what]) => ({ on: addDays(on, days), what }));
}
