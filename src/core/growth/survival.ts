import { Refusal } from '@/core/refusal';

export interface SurvivalStep {
  /** Time of deaths, in the unit of the durations. */
  time: number;
  atRisk: number;
  deaths: number;
  survival: number;
  /** 95 % bounds, plain Greenwood, kept within 0 and 1. */
  low: number;
  high: number;
}

export interface SurvivalAnswer {
  steps: SurvivalStep[];
  /** First time by which half have died; null when more than half live on. */
  median: number | null;
  total: number;
  deaths: number;
  /** The longest that any was followed. */
  followed: number;
}

/** How long each of a batch was followed, and whether it died then or lived on. */
export interface Lives {
  durations: readonly number[];
  died: readonly boolean[];
}

const NORMAL_95 = 1.959963985;

export interface DeathTime {
  time: number;
  /** How many of each batch were followed up to then, and how many of them died then. */
  atRisk: number[];
  deaths: number[];
}

/** Every time at which somebody of some batches died, in order. */
export function deathTimes(batches: readonly Lives[]): DeathTime[] {
  const ends = batches
    .flatMap(({ durations, died }, batch) =>
      durations.map((time, index) => ({ time, batch, died: died[index] === true })),
    )
    .sort((a, b) => a.time - b.time);
  const left = batches.map(({ durations }) => durations.length);
  const found: DeathTime[] = [];
  for (let from = 0; from < ends.length;) {
    const { time } = ends[from] as (typeof ends)[number];
    const deaths = batches.map(() => 0);
    const gone = batches.map(() => 0);
    for (; from < ends.length && ends[from]?.time === time; from += 1) {
      const end = ends[from] as (typeof ends)[number];
      gone[end.batch] = (gone[end.batch] ?? 0) + 1;
      if (end.died) deaths[end.batch] = (deaths[end.batch] ?? 0) + 1;
    }
    if (deaths.some((each) => each > 0)) found.push({ time, atRisk: [...left], deaths });
    gone.forEach((each, batch) => (left[batch] = (left[batch] ?? 0) - each));
  }
  return found;
}

/**
 * The share that lives on, where some are still alive or were passed on (censored).
 * @param durations how long each was followed, from 0 up
 * @param died whether it died then; otherwise it was alive when last seen
 * @throws Refusal for lists of unequal length or a duration under 0
 * @source Kaplan, E. L. and Meier, P. (1958), J. Am. Stat. Assoc. 53, 457-481; Greenwood, M. (1926)
 */
export function kaplanMeier(durations: readonly number[], died: readonly boolean[]): SurvivalAnswer {
  if (durations.length !== died.length) {
    throw new Refusal([
      { path: 'died', message: `Must have one value for each duration, ${durations.length}; got ${died.length}.` },
    ]);
  }
  const negative = durations.findIndex((each) => !(each >= 0));
  if (negative >= 0) {
    throw new Refusal([
      {
        path: `durations.${negative}`,
        message: `Must be 0 or more: nobody dies before arriving; got ${durations[negative]}.`,
      },
    ]);
  }
  let survival = 1;
  let greenwood = 0;
  const steps = deathTimes([{ durations, died }]).map(({ time, atRisk: [atRisk = 0], deaths: [deaths = 0] }) => {
    survival *= 1 - deaths / atRisk;
    greenwood += deaths / (atRisk * (atRisk - deaths));
    const error = survival === 0 ? 0 : survival * Math.sqrt(greenwood);
    return {
      time,
      atRisk,
      deaths,
      survival,
      low: Math.max(0, survival - NORMAL_95 * error),
      high: Math.min(1, survival + NORMAL_95 * error),
    };
  });
  return {
    steps,
    median: steps.find((step) => step.survival <= 0.5)?.time ?? null,
    total: durations.length,
    deaths: died.filter(Boolean).length,
    followed: durations.reduce((longest, each) => Math.max(longest, each), 0),
  };
}
