import { expose } from 'comlink';
import { lastingHarvest } from '@/core/colony/culture';
import { projectColony, type ColonyForecast, type ColonyQuestion } from '@/core/colony/project';

const work = {
  /** The course of a colony with its bands, 500 draws. */
  course: (question: ColonyQuestion): ColonyForecast => projectColony(question),
  lastingHarvest: (question: Parameters<typeof lastingHarvest>[0]): number => lastingHarvest(question),
};
export type ColonyWork = typeof work;

expose(work);
