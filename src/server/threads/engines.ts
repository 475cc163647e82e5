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
import { tableLines } from '../tables/readCsv';
import { groundOf } from './groundOf';
import { openApiText } from './openApiText';
import { planChain } from './planChain';
import { sensitivityOf } from './sensitivityOf';
import { workOf } from './workOf';

/** Loaded when it is first asked: a new thread is ready in less time without it. */
const lazily =
  <Question extends unknown[], Answer>(load: () => Promise<(...question: Question) => Answer>) =>
  async (...question: Question) =>
    (await load())(...question);

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
    labelPdf: lazily(async () => (await import('../labels/labelPdf')).labelPdf),
    meeting,
    openApiText,
    paperPdf: lazily(async () => (await import('../paper/paperPdf')).paperPdf),
    planChain,
    projectColony,
    projectMatrix,
    rankHomes,
    ropewalk,
    safeHarvest,
    sensitivityOf,
    smallPhoto: lazily(async () => (await import('../photos/smallPhoto')).smallPhoto),
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
