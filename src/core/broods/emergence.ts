import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { paceAt } from '@/core/colony/kind';
import { normalBelow, normalQuantile } from '@/core/growth/normal';
import { numbersOf } from '@/core/growth/quantiles';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import type { BandFact, Fact, Ground } from '@/core/profiles/profile';
import { Refusal } from '@/core/refusal';

/** How moths of some kinds come out of their cocoons. */
export interface MothKind extends Ground {
  profiles: string[];
  /** In the cocoon at the warmth of reference; nine of ten lie within. */
  cocoonDays: BandFact;
  /** How long a moth lives and can pair. */
  adultDays: BandFact;
  /** Males come out so many days before females. */
  malesAheadDays: Fact;
  warmth: { referenceC: Fact; baseC: Fact; optimumC: Fact };
  /** Cocoons that wait are kept dry at this; wet and warm at `wakeC` brings them out. */
  holdC: Fact;
  wakeC: Fact;
  pairC: Fact;
}

export interface Cocoon {
  id: string;
  sex: 'female' | 'male' | 'unknown';
  /** The day its cocoon was closed. */
  on: Day;
  count: number;
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
const NINE_OF_TEN = 1.6449;
/** Held back for so long at most: cocoons dry out. days, from memory */
const MOST_HELD_DAYS = 90;
/** What holding back has to gain. Chosen here: percentage points */
const WORTH_PCT = 3;

interface Draw {
  female: { out: number; until: number }[];
  male: { out: number; until: number }[];
}

/**
 * When moths come out of their cocoons, whether both sexes are out together, and which to hold back in the cool, and how
 * long, so that they are. Times are log-normal about what is usual at this warmth; moths live a little over a week, so
 * days count. A cocoon of unknown sex counts as either, half of the draws each.
 * @throws Refusal for a cocoon that is closed after today
 */
export function meeting({ kind, cocoons, temperatureC, asOf }: MeetQuestion): Meeting {
  cocoons.forEach(({ on }, index) => {
    if (on > asOf)
      throw new Refusal([{ path: `cocoons.${index}.on`, message: `Must not be after ${asOf}; got ${on}.` }]);
  });
  const pace = Math.max(0.02, paceAt(kind, temperatureC));
  const draws = drawsOf(kind, cocoons, pace, asOf);
  const apart = meetShare(draws, 0, 0);
  const firstOf = (sex: 'female' | 'male') => {
    const outs = draws.map((draw) => Math.min(...draw[sex].map((each) => each.out)));
    const known = Float64Array.from(outs.filter(Number.isFinite));
    return known.length < DRAWS / 4 ? null : known;
  };
  const [female, male] = [firstOf('female'), firstOf('male')];
  // Kept cool a cocoon still goes on a little: a day of it gains less than a day.
  const gained = Math.max(0.05, 1 - paceAt(kind, kind.holdC.value) / pace);
  const hold = female && male ? bestHold(draws, apart, gained, asOf, kind, female, male) : null;
  return {
    female: female && bandOf(female, asOf),
    male: male && bandOf(male, asOf),
    meetPct: 100 * apart,
    pairOn: bestNight(draws, hold, gained, asOf),
    hold,
  };
}

function drawsOf(kind: MothKind, cocoons: readonly Cocoon[], pace: number, asOf: Day): Draw[] {
  const { cocoonDays, adultDays, malesAheadDays } = kind;
  const centre = Math.log(Math.sqrt(cocoonDays.min * cocoonDays.max) / pace);
  const spread = Math.log(cocoonDays.max / cocoonDays.min) / (2 * NINE_OF_TEN);
  const single = cocoons.flatMap((each) => Array.from({ length: Math.min(each.count, 12) }, () => each));
  // The same seed each time: the same question has the same answer.
  const generator = xoroshiro128plus(SEED);
  return Array.from({ length: DRAWS }, () => {
    const draw: Draw = { female: [], male: [] };
    single.forEach(({ sex, on }) => {
      const [ofTime, ofLife, ofSex] = [0, 0, 0].map(() => uniformFloat64(generator)) as [number, number, number];
      const isMale = sex === 'unknown' ? ofSex < 0.5 : sex === 'male';
      const age = daysBetween(on, asOf);
      // It has not come out up to today: of its times those are left that lie beyond.
      const out = Math.max(0, laterThan(age, centre, spread, ofTime) - age - (isMale ? malesAheadDays.value : 0));
      const lives = adultDays.min + (adultDays.max - adultDays.min) * ofLife;
      draw[isMale ? 'male' : 'female'].push({ out, until: out + lives });
    });
    return draw;
  });
}

/** A log-normal time of which it is known that it is longer than an age. */
function laterThan(age: number, centre: number, spread: number, chance: number): number {
  const done = age > 0 ? normalBelow((Math.log(age) - centre) / spread) : 0;
  const left = Math.min(0.9999, done + (1 - done) * chance);
  return Math.max(age, Math.exp(centre + spread * normalQuantile(Math.max(0.0001, left))));
}

/** Share of draws in which a female and a male are alive on one night, each sex held back by so many days. */
function meetShare(draws: readonly Draw[], femaleDays: number, maleDays: number): number {
  const met = draws.filter(({ female, male }) =>
    female.some((her) =>
      male.some(
        (him) =>
          Math.max(her.out + femaleDays, him.out + maleDays) <=
          Math.min(her.until + femaleDays, him.until + maleDays) - 1,
      ),
    ),
  );
  return met.length / draws.length;
}

function bestHold(
  draws: readonly Draw[],
  apart: number,
  gained: number,
  asOf: Day,
  kind: MothKind,
  female: Float64Array,
  male: Float64Array,
): Meeting['hold'] {
  const sex = numbersOf(female).median <= numbersOf(male).median ? 'female' : 'male';
  let best = { days: 0, share: apart };
  for (let days = 1; days <= MOST_HELD_DAYS; days += 1) {
    const later = days * gained;
    const share = sex === 'female' ? meetShare(draws, later, 0) : meetShare(draws, 0, later);
    // The shortest that does as well: every day in the cool costs water.
    if (share > best.share + 0.005) best = { days, share };
  }
  if (100 * (best.share - apart) < WORTH_PCT) return null;
  return { sex, days: best.days, until: addDays(asOf, best.days), holdC: kind.holdC.value, meetPct: 100 * best.share };
}

/** The night on which most draws have both sexes alive. */
function bestNight(draws: readonly Draw[], hold: Meeting['hold'], gained: number, asOf: Day): Day | null {
  const later = (sex: 'female' | 'male') => (hold?.sex === sex ? hold.days * gained : 0);
  const nights = new Map<number, number>();
  for (const draw of draws) {
    const [her, him] = [bounds(draw.female, later('female')), bounds(draw.male, later('male'))];
    if (!her || !him) continue;
    for (let night = Math.ceil(Math.max(her.out, him.out)); night <= Math.min(her.until, him.until); night += 1) {
      nights.set(night, (nights.get(night) ?? 0) + 1);
    }
  }
  const best = [...nights].sort(([nightA, a], [nightB, b]) => b - a || nightA - nightB)[0];
  return best ? addDays(asOf, best[0]) : null;
}

/** From the first that is out to the last that lives. */
function bounds(moths: Draw['female'], later: number): { out: number; until: number } | null {
  if (moths.length === 0) return null;
  return {
    out: Math.min(...moths.map((each) => each.out)) + later,
    until: Math.max(...moths.map((each) => each.until)) + later,
  };
}

const bandOf = (days: Float64Array, asOf: Day): Emergence => {
  const { p10, median, p90 } = numbersOf(days);
  const dayAfter = (count: number) => addDays(asOf, Math.round(count));
  return { p10: dayAfter(p10), median: dayAfter(median), p90: dayAfter(p90) };
};
