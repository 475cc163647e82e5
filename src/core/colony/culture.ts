import { grownAfter, usualCourse, type ColonyQuestion } from './project';

/** How far a harvest is tried: on the usual course, and on all. */
const TRIED_WEEKS = 104;
const OUTLIVED_WEEKS = 156;
/** Of so many courses so many may die of it. Chosen here: 19 of 20 survive */
const COURSES = 60;
const MAY_DIE = 3;
const HALVINGS = 30;
/** All courses are dear to follow: the harvest is told to a hundredth of itself. */
const FEW_HALVINGS = 7;
/** A culture that loses more than this from one year to the next does not bear its harvest. Chosen here */
const LOST_IN_A_YEAR = 0.02;

type Standing = Omit<ColonyQuestion, 'weeks' | 'harvestPerWeek' | 'temperatureC' | 'draws'> & { temperatureC: number };

/**
 * The largest weekly harvest of grown ones that a culture bears for ever, from where it stands: cultures differ in what they
 * lay and how they die, and 19 of 20 courses are still there after three years. Never more than the usual course bears, which
 * after two years has what it had after one; in a culture that grows by a logistic law that is where its growth is fastest.
 * @returns 0 where it bears none
 */
export function lastingHarvest(question: Standing): number {
  const usual = usualHarvest(question);
  return largest(usual, FEW_HALVINGS, (harvestPerWeek) => {
    const grown = grownAfter({ ...question, weeks: OUTLIVED_WEEKS, harvestPerWeek, draws: COURSES });
    return grown.filter((heads) => heads < Math.max(1, harvestPerWeek)).length <= MAY_DIE;
  });
}

/** What the usual course bears. */
function usualHarvest(question: Standing): number {
  const bears = (harvestPerWeek: number) => {
    const { grown } = usualCourse({ ...question, weeks: TRIED_WEEKS, harvestPerWeek });
    const [middle, end] = [grown[TRIED_WEEKS / 2] ?? 0, grown[TRIED_WEEKS] ?? 0];
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
