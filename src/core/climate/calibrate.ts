import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { USUAL_SPREAD, type Spread } from './spread';
import { followMoisture, NO_FACTORS, type BoxFactors, type MoistureCourse, type MoistureQuestion } from './moisture';

/** What was measured, by the hour since the start of the question. */
export interface Measured {
  humidity: { hour: number; relativeHumidityPct: number }[];
  /** Weighings of the whole box. */
  masses: { hour: number; massG: number }[];
}

export interface Calibration {
  factors: BoxFactors;
  /** Which factors the data could tell; the others stay at 1. */
  fitted: (keyof Spread)[];
  /** Root mean square of measured less computed, before and after; null where that was not measured. */
  humidityErrorPct: { before: number; after: number } | null;
  massErrorG: { before: number; after: number } | null;
  /** Why nothing was fitted, or null. */
  kept: 'too-few' | 'too-short' | 'no-better' | null;
}

/** Fewer readings than this, or over less time, cannot tell a draught from a passing hand; from memory. */
export const FEWEST_HUMIDITIES = 8;
export const FEWEST_MASSES = 3;
export const SHORTEST_HOURS = 24;
/** Usual error of a cheap probe and of a kitchen scale; from memory. */
const PROBE_ERROR_PCT = 3;
const SCALE_ERROR_G = 1;
/** A box may be this much airier or stiller, wetter or drier than one of its kind. */
const WIDEST = 20;
/** Where the fit sets out from: as usual, and airier, stiller, drier and wetter than that. */
const STARTS: BoxFactors[] = [
  NO_FACTORS,
  { draught: 4, surface: 1 },
  { draught: 0.25, surface: 1 },
  { draught: 1, surface: 0.4 },
  { draught: 1, surface: 2.5 },
];
/** How far a factor is moved to see what the data say of it. */
const NUDGE = 0.02;
/** The fit has to take this share off the error to be worth leaving the default for. */
const WORTH = 0.95;

/**
 * Fits the draught and the surface factor of a box to its readings and weighings, with what is usual of boxes of its kind as one
 * more reading of each (Bayes: what the data do not tell stays as usual, and its spread with it). Levenberg-Marquardt on their
 * logarithms, from several starts, because the method can stop far from the best without saying so). Humidity alone
 * tells only how the two stand to one another: then the draught is fitted. Weighings alone likewise. Too few data, or a
 * fit that is no better, keep the default.
 */
export function calibrate(question: Omit<MoistureQuestion, 'factors' | 'days'>, measured: Measured): Calibration {
  const hours = [...measured.humidity, ...measured.masses].map((each) => each.hour);
  const humidity = measured.humidity.length >= FEWEST_HUMIDITIES ? measured.humidity : [];
  const masses = measured.masses.length >= FEWEST_MASSES ? measured.masses : [];
  const span = hours.length > 0 ? Math.max(...hours) - Math.min(...hours) : 0;
  const kept = (why: Calibration['kept']): Calibration => ({
    factors: NO_FACTORS,
    fitted: [],
    humidityErrorPct: null,
    massErrorG: null,
    kept: why,
  });
  if (humidity.length === 0 && masses.length === 0) return kept('too-few');
  if (span < SHORTEST_HOURS) return kept('too-short');

  const days = Math.max(...hours) / 24 + 1 / 24;
  const course = (factors: BoxFactors) => followMoisture({ ...question, days, factors });
  const both = humidity.length > 0 && masses.length > 0;
  const factorsOf = (parameters: number[]): BoxFactors => ({
    draught: Math.exp(parameters[0] ?? 0),
    surface: both ? Math.exp(parameters[1] ?? 0) : 1,
  });
  const prior = (factors: BoxFactors) => [
    Math.log(factors.draught) / USUAL_SPREAD.draught,
    ...(both ? [Math.log(factors.surface) / USUAL_SPREAD.surface] : []),
  ];
  const residuals = (factors: BoxFactors) => [...residualsOf(course(factors), humidity, masses), ...prior(factors)];
  const size = (factors: BoxFactors) => residuals(factors).reduce((sum, each) => sum + each * each, 0);
  const count = humidity.length + masses.length + (both ? 2 : 1);
  const x = Array.from({ length: count }, (_, index) => index);
  const limit = Math.log(WIDEST);

  let best = NO_FACTORS;
  let bestSize = size(NO_FACTORS);
  const before = bestSize;
  for (const start of STARTS) {
    const initial = both ? [Math.log(start.draught), Math.log(start.surface)] : [Math.log(start.draught)];
    if (!both && start.surface !== 1) continue;
    const fit = levenbergMarquardt(
      { x, y: x.map(() => 0) },
      (parameters: number[]) => {
        const all = residuals(factorsOf(parameters));
        return (index: number) => all[index] ?? 0;
      },
      {
        initialValues: initial,
        minValues: initial.map(() => -limit),
        maxValues: initial.map(() => limit),
        gradientDifference: 0.01,
        damping: 0.01,
        maxIterations: 20,
        errorTolerance: 1e-9,
      },
    );
    const factors = factorsOf(fit.parameterValues);
    const found = size(factors);
    if (Number.isFinite(found) && found < bestSize) {
      best = factors;
      bestSize = found;
    }
  }
  const errors = {
    humidityErrorPct: humidity.length > 0 ? errorsOf(course, best, humidity, 'humidity') : null,
    massErrorG: masses.length > 0 ? errorsOf(course, best, masses, 'mass') : null,
  };
  if (Math.sqrt(bestSize) > WORTH * Math.sqrt(before)) {
    const unchanged = (each: { before: number; after: number } | null) => each && { ...each, after: each.before };
    return {
      ...kept('no-better'),
      humidityErrorPct: unchanged(errors.humidityErrorPct),
      massErrorG: unchanged(errors.massErrorG),
    };
  }
  const factors = { ...best, spread: spreadAt(best, both, residuals) };
  return { factors, fitted: both ? ['draught', 'surface'] : ['draught'], ...errors, kept: null };
}

/** What is still not known of the factors: from the inverse of the sum of squares of what the residuals change by. */
function spreadAt(best: BoxFactors, both: boolean, residuals: (factors: BoxFactors) => number[]): Spread {
  const at = residuals(best);
  const slope = (name: 'draught' | 'surface') =>
    residuals({ ...best, [name]: best[name] * Math.exp(NUDGE) }).map(
      (each, index) => (each - (at[index] ?? 0)) / NUDGE,
    );
  const dot = (a: number[], b: number[]) => a.reduce((sum, each, index) => sum + each * (b[index] ?? 0), 0);
  const draught = slope('draught');
  if (!both) return { draught: 1 / Math.sqrt(dot(draught, draught)), surface: USUAL_SPREAD.surface };
  const surface = slope('surface');
  const [dd, ds, ss] = [dot(draught, draught), dot(draught, surface), dot(surface, surface)];
  const determinant = dd * ss - ds ** 2;
  return { draught: Math.sqrt(ss / determinant), surface: Math.sqrt(dd / determinant) };
}

const at = (values: Float64Array, hour: number) => {
  const index = Math.min(values.length - 1, Math.max(0, Math.floor(hour)));
  const next = Math.min(values.length - 1, index + 1);
  return (values[index] ?? 0) + ((values[next] ?? 0) - (values[index] ?? 0)) * Math.min(1, Math.max(0, hour - index));
};

/** Measured less computed, each in units of its usual error. */
function residualsOf(course: MoistureCourse, humidity: Measured['humidity'], masses: Measured['masses']): number[] {
  const first = masses[0];
  const lost = (hour: number) => at(course.lostMl, hour);
  return [
    ...humidity.map(
      ({ hour, relativeHumidityPct }) => (relativeHumidityPct - at(course.relativeHumidityPct, hour)) / PROBE_ERROR_PCT,
    ),
    // What a box weighs by itself is not known: only what it has lost since it was first weighed.
    ...masses.map(
      ({ hour, massG }) => ((first?.massG ?? 0) - massG - (lost(hour) - lost(first?.hour ?? 0))) / SCALE_ERROR_G,
    ),
  ];
}

function errorsOf(
  course: (factors: BoxFactors) => MoistureCourse,
  best: BoxFactors,
  measured: Measured['humidity'] | Measured['masses'],
  what: 'humidity' | 'mass',
): { before: number; after: number } {
  const unit = what === 'humidity' ? PROBE_ERROR_PCT : SCALE_ERROR_G;
  const error = (factors: BoxFactors) => {
    const all =
      what === 'humidity'
        ? residualsOf(course(factors), measured as Measured['humidity'], [])
        : residualsOf(course(factors), [], measured as Measured['masses']);
    return unit * Math.sqrt(all.reduce((sum, each) => sum + each * each, 0) / all.length);
  };
  return { before: error(NO_FACTORS), after: error(best) };
}
