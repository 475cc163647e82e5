import { usualCourse, type ColonyQuestion } from './project';

/** How far a harvest is tried. */
const TRIED_WEEKS = 104;
const HALVINGS = 30;
/** A culture that loses more than this from one year to the next does not bear its harvest. Chosen here */
const LOST_IN_A_YEAR = 0.02;

/**
 * The largest weekly harvest of grown ones that a culture bears for ever, from where it stands: after two years it still
 * has what it had after one. In a culture that grows by a logistic law that is where its growth is fastest.
 * @returns 0 where it bears none
 */
export function lastingHarvest(
  question: Omit<ColonyQuestion, 'weeks' | 'harvestPerWeek' | 'temperatureC'> & { temperatureC: number },
): number {
  const bears = (harvestPerWeek: number) => {
    const { grown } = usualCourse({ ...question, weeks: TRIED_WEEKS, harvestPerWeek });
    const [middle, end] = [grown[TRIED_WEEKS / 2] ?? 0, grown[TRIED_WEEKS] ?? 0];
    return end >= 1 && end > harvestPerWeek && end >= (1 - LOST_IN_A_YEAR) * middle;
  };
  let [low, high] = [0, 1];
  while (bears(high) && high < 1e7) [low, high] = [high, high * 2];
  if (low === 0 && !bears(1e-6)) return 0;
  for (let halving = 0; halving < HALVINGS; halving += 1) {
    const middle = (low + high) / 2;
    if (bears(middle)) low = middle;
    else high = middle;
  }
  return low;
}
