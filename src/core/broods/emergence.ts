import type { HoldsFor } from '@/core/profiles/holdsFor';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { paceAt } from '@/core/colony/kind';
import type { Band } from '@/core/colony/project';
import { clipChance } from '@/core/numerics/evenDraws';
import { normalBelow, normalQuantile } from '@/core/numerics/normal';
import { TENTH_SD, TWENTIETH_SD } from '@/core/numerics/tails';
import { numbersOf } from '@/core/numerics/quantiles';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import type { BandFact, Fact, Ground } from '@/core/profiles/profile';
import { Refusal } from '@/core/refusal';
import { waitingTime, type BroodWarmth } from './waiting';

/** How moths of some kinds come out of their cocoons. */
export interface MothKind extends Ground, HoldsFor {
  /** In the cocoon at the warmth of reference; nine of ten lie within. */
  cocoonDays: BandFact;
  /** From the egg to the cocoon at the warmth of reference; nine of ten lie within. */
  larvaDays: BandFact;
  /** Instars of the caterpillar. */
  larvaInstars: Fact;
  /** Out of a cocoon that has waited, from the day on which it is warm and damp. */
  wakeDays: BandFact;
  /** How long a moth lives and can pair. */
  adultDays: BandFact;
  /** Males come out so many days before females. */
  malesAheadDays: Fact;
  warmth: BroodWarmth;
  /** Cocoons that wait are kept dry at this; wet and warm at `wakeC` brings them out. */
  holdC: Fact;
  wakeC: Fact;
  pairC: Fact;
}

export interface Cocoon {
  id: string;
  sex: 'female' | 'male' | 'unknown';
  /** The day its cocoon was closed; of a caterpillar the likeliest day on which it will be. */
  on: Day;
  count: number;
  /** Of a caterpillar: nine of ten spin between these days. */
  spins?: { from: Day; to: Day } | undefined;
  /** It waits: its days count from when it is, or will be, warm and damp again. */
  warmOn?: Day | undefined;
  /** Of its place, where that is another. */
  temperatureC?: number | undefined;
  /** Held back: so many of its days were spent in the cool. */
  coolDays?: number | undefined;
}

export interface MeetQuestion {
  kind: MothKind;
  cocoons: readonly Cocoon[];
  temperatureC: number;
  asOf: Day;
}

export interface Emergence {
  p10: Day;
  median: Day;
  p90: Day;
}

export interface Meeting {
  /** When the first female, and the first male, come out; null where there is none. */
  female: Emergence | null;
  male: Emergence | null;
  /** That a pair is alive on one night, if nothing is done. % */
  meetPct: number;
  /** The night on which that is likeliest. */
  pairOn: Day | null;
  /** What to hold back so that they meet; null where it would not help. */
  hold: { sex: 'female' | 'male'; days: number; until: Day; holdC: number; meetPct: number } | null;
}

const DRAWS = 300;
const SEED = 4870;
/** More cocoons of one batch tell no more of when the first and the last come out. Chosen here */
const MOST_FOLLOWED = 12;
/** A sex that is among the cocoons in fewer of the draws has no day of its own. Chosen here */
const KNOWN_SHARE = 0.25;
/** Kept cool a cocoon is held back by at least so much of the days. Chosen here: else the days had no end */
const LEAST_HELD = 0.05;
/** Held back for so long at most: cocoons dry out. days, from memory */
const MOST_HELD_DAYS = 90;
/** A longer wait is worth it only if so many more draws meet. Chosen here: one day more in the cool costs water */
const BETTER_BY = 0.005;
/** What holding back has to gain. Chosen here: percentage points */
const WORTH_PCT = 3;

type Sex = 'female' | 'male';
/** One course of all cocoons: days from today on which each is out, and until which it lives. */
type Draw = Record<Sex, { out: number; until: number }[]>;
/** Days by which each sex comes out later. */
type Later = Record<Sex, number>;
const AS_THEY_ARE: Later = { female: 0, male: 0 };

/**
 * When moths come out of their cocoons, whether both sexes are out together, and which to hold back in the cool, and how
 * long, so that they are. Times are log-normal about what is usual at this warmth; moths live a little over a week, so
 * days count. A cocoon of unknown sex counts as either, half of the draws each.
 * @throws Refusal for a cocoon that is closed after today
 */
export function meeting(question: MeetQuestion): Meeting {
  const { kind, cocoons, temperatureC, asOf } = question;
  cocoons.forEach(({ on }, index) => {
    if (on > asOf && !cocoons[index]?.spins)
      throw new Refusal([{ path: `cocoons.${index}.on`, message: `Must not be after ${asOf}; got ${on}.` }]);
  });
  const draws = drawsOf(question);
  const apart = meetShare(draws, AS_THEY_ARE);
  const [female, male] = [firstOf(draws, 'female'), firstOf(draws, 'male')];
  // Kept cool a cocoon still goes on a little: a day of it gains less than a day.
  const { pace } = waitingTime(kind.cocoonDays, kind, temperatureC);
  const gained = Math.max(LEAST_HELD, 1 - paceAt(kind, kind.holdC.value) / pace);
  const first = female && male && (female.median <= male.median ? 'female' : 'male');
  const held = first ? bestHold(draws, first, apart, gained) : null;
  const dayAfter = (days: number) => addDays(asOf, Math.round(days));
  const band = (days: Band | null) =>
    days && { p10: dayAfter(days.p10), median: dayAfter(days.median), p90: dayAfter(days.p90) };
  const night = bestNight(draws, held && first ? { ...AS_THEY_ARE, [first]: held.days * gained } : AS_THEY_ARE);
  return {
    female: band(female),
    male: band(male),
    meetPct: 100 * apart,
    pairOn: night === null ? null : addDays(asOf, night),
    hold:
      held && first
        ? {
            sex: first,
            days: held.days,
            until: addDays(asOf, held.days),
            holdC: kind.holdC.value,
            meetPct: 100 * held.share,
          }
        : null,
  };
}

function drawsOf({ kind, cocoons, temperatureC, asOf }: MeetQuestion): Draw[] {
  const { adultDays, malesAheadDays } = kind;
  const single = cocoons.flatMap((each) => Array.from({ length: Math.min(each.count, MOST_FOLLOWED) }, () => each));
  // The same seed each time: the same question has the same answer.
  const generator = xoroshiro128plus(SEED);
  return Array.from({ length: DRAWS }, () => {
    const draw: Draw = { female: [], male: [] };
    for (const cocoon of single) {
      const { sex } = cocoon;
      const [ofTime, ofLife, ofSex] = [0, 0, 0].map(() => uniformFloat64(generator)) as [number, number, number];
      const isMale = sex === 'unknown' ? ofSex < 0.5 : sex === 'male';
      // A male is ahead: that it has not come out yet says that much more of its time.
      const ahead = isMale ? malesAheadDays.value : 0;
      const out = outAfter(kind, cocoon, temperatureC, asOf, ahead, ofTime);
      const lives = adultDays.min + (adultDays.max - adultDays.min) * ofLife;
      draw[isMale ? 'male' : 'female'].push({ out, until: out + lives });
    }
    return draw;
  });
}

/** How long a cocoon takes where it lies; what is held back is reckoned as if it were brought into the warm today. */
function timeInCocoon(kind: MothKind, cocoon: Cocoon, warmC: number): ReturnType<typeof waitingTime> {
  const temperatureC = isHeld(kind, cocoon) ? warmC : (cocoon.temperatureC ?? warmC);
  return waitingTime(cocoon.warmOn ? kind.wakeDays : kind.cocoonDays, kind, temperatureC);
}

/** When a cocoon is out by one chance of its time. Days from today; none before today */
function outAfter(kind: MothKind, cocoon: Cocoon, warmC: number, asOf: Day, ahead: number, chance: number): number {
  const { on, spins, warmOn, coolDays = 0 } = cocoon;
  const { centre, spread, pace } = timeInCocoon(kind, cocoon, warmC);
  if (spins) {
    // One chance moves spinning and coming out alike: who is slow is slow.
    const half = (daysBetween(spins.from, spins.to) / 2 / TWENTIETH_SD) * normalQuantile(clipChance(chance));
    return Math.max(0, daysBetween(asOf, on) + half + Math.exp(centre) - ahead);
  }
  const gone = coolDays * Math.max(LEAST_HELD, 1 - paceAt(kind, kind.holdC.value) / pace);
  const age = daysBetween(warmOn ?? on, asOf) - gone + ahead;
  return Math.max(0, laterThan(age, centre, spread, chance) - age);
}

/** The day from which one of ten cocoons like it is open, whatever is known since. */
export function opensFrom(kind: MothKind, cocoon: Cocoon, warmC: number): Day {
  const { on, spins, warmOn, sex, coolDays = 0 } = cocoon;
  const { centre, spread } = timeInCocoon(kind, cocoon, warmC);
  const ahead = sex === 'female' ? 0 : kind.malesAheadDays.value;
  const days = Math.exp(centre - TENTH_SD * spread) - ahead + coolDays;
  return addDays(warmOn ?? spins?.from ?? on, Math.max(0, Math.round(days)));
}

/** A place that is this much warmer than what holds them back holds them still. K, chosen here */
const HOLDS_WITHIN_K = 4;

/** Whether a cocoon lies in the cool that holds it back. */
export const isHeld = ({ holdC }: MothKind, { temperatureC }: Pick<Cocoon, 'temperatureC'>): boolean =>
  temperatureC !== undefined && temperatureC <= holdC.value + HOLDS_WITHIN_K;

/** A log-normal time of which it is known that it is longer than an age. */
function laterThan(age: number, centre: number, spread: number, chance: number): number {
  const done = age > 0 ? normalBelow((Math.log(age) - centre) / spread) : 0;
  return Math.max(age, Math.exp(centre + spread * normalQuantile(clipChance(done + (1 - done) * chance))));
}

/** When the first of a sex is out; null where too few draws have one. Days from today */
function firstOf(draws: readonly Draw[], sex: Sex): Band | null {
  const outs = draws.filter((draw) => draw[sex].length > 0).map((draw) => Math.min(...draw[sex].map(({ out }) => out)));
  return outs.length < KNOWN_SHARE * draws.length ? null : numbersOf(Float64Array.from(outs));
}

/** Share of draws in which a female and a male are alive on one night. */
function meetShare(draws: readonly Draw[], later: Later): number {
  const meet = (her: Draw['female'][number], him: Draw['male'][number]) =>
    Math.max(her.out + later.female, him.out + later.male) <=
    Math.min(her.until + later.female, him.until + later.male) - 1;
  return (
    draws.filter(({ female, male }) => female.some((her) => male.some((him) => meet(her, him)))).length / draws.length
  );
}

/** The shortest time in the cool that does as well as any, for the sex that is first; null where it is not worth it. */
function bestHold(draws: readonly Draw[], sex: Sex, apart: number, gained: number) {
  // Where nearly all meet as they are there is nothing to gain.
  if (100 * (1 - apart) < WORTH_PCT) return null;
  let best = { days: 0, share: apart };
  for (let days = 1; days <= MOST_HELD_DAYS; days += 1) {
    const share = meetShare(draws, { ...AS_THEY_ARE, [sex]: days * gained });
    if (share > best.share + BETTER_BY) best = { days, share };
  }
  return 100 * (best.share - apart) < WORTH_PCT ? null : best;
}

/** The night on which most draws have both sexes alive; null where none has. Days from today */
function bestNight(draws: readonly Draw[], later: Later): number | null {
  const nights = new Map<number, number>();
  const nightsOf = (draw: Draw, sex: Sex) =>
    new Set(
      draw[sex].flatMap(({ out, until }) => {
        const first = Math.ceil(out + later[sex]);
        return Array.from(
          { length: Math.max(0, Math.floor(until + later[sex]) - first + 1) },
          (_, night) => first + night,
        );
      }),
    );
  for (const draw of draws) {
    const his = nightsOf(draw, 'male');
    for (const night of nightsOf(draw, 'female')) if (his.has(night)) nights.set(night, (nights.get(night) ?? 0) + 1);
  }
  return [...nights].sort(([nightA, a], [nightB, b]) => b - a || nightA - nightB)[0]?.[0] ?? null;
}
