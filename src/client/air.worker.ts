import { expose } from 'comlink';
import {
  dampedCourse,
  dryingAhead,
  type DampedCourse,
  type MoistureForecast,
  type RedampBand,
  type Wishes,
} from '@/core/climate/forecast';
import type { MoistureQuestion } from '@/core/climate/moisture';
import { compareRegimes, type RegimeAnswer } from '@/core/climate/regimes';
import { ventPlan, type VentPlan, type VentPlanQuestion } from '@/core/climate/ventPlan';
import type { MaterialTable } from '@/core/substrate/material';

export interface Ahead {
  /** From freshly damped: what the numbers are about. */
  forecast: MoistureForecast;
  /** When it is to be damped, in eight of ten boxes like it. */
  band: RedampBand;
  /** From as it stands now, damped whenever it wants it: what the chart shows. */
  course: DampedCourse;
}

const work = {
  /** A home freshly damped, and the same home from now on. */
  ahead(fresh: MoistureQuestion, now: MoistureQuestion, wishes: Wishes): Ahead {
    const ahead = dryingAhead(fresh, wishes);
    return { ...ahead, course: dampedCourse(now, fresh.wetness.damp, ahead.forecast.dampWetnessMin) };
  },
  schools(
    withDish: MoistureQuestion,
    withoutDish: MoistureQuestion,
    wishes: Wishes,
    numberPct: number,
    mistMl: number,
  ): RegimeAnswer[] {
    return compareRegimes(withDish, withoutDish, wishes, numberPct, mistMl);
  },
  holes(question: VentPlanQuestion, materials: MaterialTable): VentPlan {
    return ventPlan(question, materials);
  },
};
export type AirWork = typeof work;

expose(work);
