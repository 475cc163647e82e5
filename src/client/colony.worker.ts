import { expose } from 'comlink';
import { safeHarvest, type SafeHarvest } from '@/core/colony/culture';
import { tubsFor, type TubsPlan, type TubsQuestion } from '@/core/colony/tubs';
import { projectColony, type ColonyForecast, type ColonyQuestion } from '@/core/colony/project';

const work = {
  /** The course of a colony with its bands, 500 draws. */
  course: (question: ColonyQuestion): ColonyForecast => projectColony(question),
  safeHarvest: (question: Parameters<typeof safeHarvest>[0]): SafeHarvest => safeHarvest(question),
  tubs: (question: TubsQuestion): TubsPlan => tubsFor(question),
};
export type ColonyWork = typeof work;

expose(work);
