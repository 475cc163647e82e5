import { ropewalk } from '../../../demo/ropewalk';
import { meeting } from '@/core/broods/emergence';
import { calibrate } from '@/core/climate/calibrate';
import { dryingAhead } from '@/core/climate/forecast';
import { compareRegimes } from '@/core/climate/regimes';
import { ventPlan } from '@/core/climate/ventPlan';
import { safeHarvest } from '@/core/colony/culture';
import { tubsFor } from '@/core/colony/tubs';
import { groupCourse } from '@/core/growth/census';
import { boxesToBuy } from '@/core/housing/ladder';
import { projectMatrix } from '@/core/colony/matrix';
import { projectColony } from '@/core/colony/project';
import { absencePlan } from '@/core/plan/absence';
import { rankHomes } from '@/core/housing/rank';
import { windowScore } from '@/core/scores/summary';
import { smallPhoto } from '../photos/smallPhoto';
import { tableLines } from '../tables/readCsv';
import { groundOf } from './groundOf';
import { labelPdf } from '../labels/labelPdf';
import { paperPdf } from '../paper/paperPdf';
import { openApiText } from './openApiText';
import { planChain } from './planChain';
import { sensitivityOf } from './sensitivityOf';
import { workOf } from './workOf';

/** Engines, and the making of the example house and of papers, that take longer than the server may be held. What they are asked and what they answer is plain data. */
export const ENGINES = {
  ...{
    absencePlan,
    boxesToBuy,
    calibrate,
    compareRegimes,
    dryingAhead,
    groundOf,
    groupCourse,
    labelPdf,
    meeting,
    openApiText,
    paperPdf,
    planChain,
    projectColony,
    projectMatrix,
    rankHomes,
    ropewalk,
    safeHarvest,
    sensitivityOf,
    smallPhoto,
    tableLines,
    tubsFor,
    ventPlan,
    windowScore,
    workOf,
  },
};

export type EngineName = keyof typeof ENGINES;
export type QuestionOf<Name extends EngineName> = Parameters<(typeof ENGINES)[Name]>;
export type AnswerOf<Name extends EngineName> = Awaited<ReturnType<(typeof ENGINES)[Name]>>;

/** A piece of work for a thread. */
export interface Work<Name extends EngineName = EngineName> {
  name: Name;
  question: QuestionOf<Name>;
}

/** What an engine answers. */
export async function workedOut<Name extends EngineName>({ name, question }: Work<Name>): Promise<AnswerOf<Name>> {
  const engine = ENGINES[name] as unknown as (...asked: QuestionOf<Name>) => AnswerOf<Name> | Promise<AnswerOf<Name>>;
  return engine(...question);
}
