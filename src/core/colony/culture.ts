import { addDays, type Day } from '@/core/measure/day';
import { leastGrown, usualCourse, type ColonyQuestion } from './project';

/** A culture with fewer grown ones than this ends by chance: they do not meet, or one sex is missing. From memory */
const KEEP_BACK = 10;
/** Of so many courses so many may fall under that in three years. Chosen here: 5 % */
const COURSES = 100;
const MAY_FALL = 5;
const OUTLIVED_WEEKS = 156;
/** How far the usual course is tried: it does not shrink from one year to the next. */
const TRIED_WEEKS = 104;
/** A culture that loses more than this from one year to the next does not bear its harvest. Chosen here */
const LOST_IN_A_YEAR = 0.02;
const HALVINGS = 30;
/** All courses are dear to follow: the harvest is told to some hundredths of itself. */
const FEW_HALVINGS = 6;
/** A culture grows fastest about half of what it settles at (logistic law): from then on it bears. */
const HALF = 0.5;
/** And not before there are so many times those that are kept back. Chosen here */
const BEARS_FROM = 2;
const LONGEST_WEEKS = 104;

/** What a culture bears for ever. */
export interface SafeHarvest {
  /** Grown ones a week, from the first usable day on; 0 where it bears none. */
  perWeek: number;
  /** Whoever counts takes no larger share of the grown ones than this: fewer where there are fewer. % a week */
  sharePct: number;
  /** So many grown ones stay at any rate. */
  keepBack: number;
  /** Weeks until it bears; null where it does not within two years. */
  usableWeek: number | null;
}

/** The first day on which a culture bears what may be taken out; null where none comes within two years. */
export const usableOn = ({ usableWeek }: SafeHarvest, asOf: Day): Day | null =>
  usableWeek === null ? null : addDays(asOf, 7 * usableWeek);

type Standing = Omit<ColonyQuestion, 'weeks' | `harvest${string}` | 'temperatureC' | 'draws'> & {
  temperatureC: number;
};

/**
 * The largest weekly harvest of grown ones that a culture bears for ever, from where it stands: cultures differ in what they lay
 * and how they die, and at most one in twenty falls under what is to be kept back within three years of the first usable day. Never
 * more than the usual course bears, which after two years has what it had after one; in a culture that grows by a logistic law that
 * is where its growth is fastest. Each culture is left to grow until it has half of the grown ones that it would settle at.
 */
export function safeHarvest(question: Standing): SafeHarvest {
  const usable = usableFrom(question);
  if (usable === null) return { perWeek: 0, sharePct: 0, keepBack: KEEP_BACK, usableWeek: null };
  const { week: usableWeek, grown: harvestAtGrown } = usable;
  const weeks = usableWeek + OUTLIVED_WEEKS;
  const isSafe = (harvestPerWeek: number) => {
    const least = leastGrown({ ...question, harvestPerWeek, harvestAtGrown, weeks, draws: COURSES }, OUTLIVED_WEEKS);
    return least.filter((grown) => grown < KEEP_BACK).length <= MAY_FALL;
  };
  const perWeek = largest(usualHarvest({ ...question, harvestAtGrown }, usableWeek), FEW_HALVINGS, isSafe);
  return { perWeek, sharePct: (100 * perWeek) / harvestAtGrown, keepBack: KEEP_BACK, usableWeek };
}

/** When a culture is taken from first: with so many grown ones, after so many weeks of its usual course; null where that is not within two years. */
function usableFrom(question: Standing): { grown: number; week: number } | null {
  const { grown } = usualCourse({ ...question, weeks: LONGEST_WEEKS });
  const settled = grown.at(-1) ?? 0;
  // Without a limit to its room it never settles: what is there now is what is taken from.
  const wanted = Math.max(BEARS_FROM * KEEP_BACK, question.roomForHeads === undefined ? 0 : HALF * settled);
  const week = grown.findIndex((heads) => heads >= wanted);
  return week < 0 || settled < wanted ? null : { grown: wanted, week };
}

/** What the usual course bears. */
function usualHarvest(question: Standing & Pick<ColonyQuestion, 'harvestAtGrown'>, usableWeek: number): number {
  const weeks = usableWeek + TRIED_WEEKS;
  const bears = (harvestPerWeek: number) => {
    const { grown } = usualCourse({ ...question, weeks, harvestPerWeek });
    const [middle, end] = [grown[usableWeek + TRIED_WEEKS / 2] ?? 0, grown[weeks] ?? 0];
    return end >= 1 && end > harvestPerWeek && end >= (1 - LOST_IN_A_YEAR) * middle;
  };
  let high = 1;
  while (bears(high) && high < 1e7) high *= 2;
  return largest(high, HALVINGS, bears);
}

/** The largest number up to one that is borne, by halving; 0 where not even a very small one is. */
function largest(most: number, halvings: number, bears: (number: number) => boolean): number {
  if (most <= 0 || bears(most)) return Math.max(0, most);
  if (!bears(1e-6)) return 0;
  let [low, high] = [0, most];
  for (let halving = 0; halving < halvings; halving += 1) {
    const middle = (low + high) / 2;
    if (bears(middle)) low = middle;
    else high = middle;
  }
  return low;
}
