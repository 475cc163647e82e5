import { DAY_MS, HOUR_MS, MINUTE_MS, type Reading } from './reading';

export const PROBE_FAULTS = ['none', 'drop-outs', 'stuck', 'silent'] as const;
export type ProbeFault = (typeof PROBE_FAULTS)[number];

/** A stand-in for a probe: it reports the air that the moisture engine computes, as a cheap sensor would. */
export interface SimulatedProbe {
  seed: number;
  fault: ProbeFault;
  /** From when the fault shows. ms since 1970 */
  faultFrom: number;
}

/** The true air at an instant. */
export type TrueAir = (at: number) => { temperatureC: number; relativeHumidityPct: number };

export const PROBE_STEP_MS = 30 * MINUTE_MS;
/** A capacitive sensor in a plastic case follows the air with this lag; from memory. */
const LAG_MS = 20 * MINUTE_MS;
const NOISE = { temperatureC: 0.15, relativeHumidityPct: 0.8 };
const DROP_OUT_SHARE = 0.3;

/** A number from 0 to 1 that depends on seed, instant and purpose alone (a hash, so that history never changes). */
function chance(seed: number, at: number, purpose: number): number {
  let x = (seed ^ Math.floor(at / MINUTE_MS) ^ (purpose * 0x9e3779b1)) | 0;
  x = Math.imul(x ^ (x >>> 16), 0x85ebca6b);
  x = Math.imul(x ^ (x >>> 13), 0xc2b2ae35);
  return ((x ^ (x >>> 16)) >>> 0) / 2 ** 32;
}

/** Of two even chances a bell that ends at three sigma. */
const bell = (seed: number, at: number, purpose: number) =>
  (chance(seed, at, purpose) + chance(seed, at, purpose + 50) + chance(seed, at, purpose + 90) - 1.5) * 2;

const tenth = (value: number) => Math.round(value * 10) / 10;

/** Weighed once a day, in the evening. */
const WEIGHING_HOUR = 20;
const SCALE_NOISE_G = 0.6;

/** A stand-in for a kitchen scale: what a box weighs every evening after `from` and up to `to`, to the gram. */
export function simulatedWeighings(seed: number, massG: (at: number) => number, from: number, to: number): Reading[] {
  const readings: Reading[] = [];
  for (let at = Math.floor(from / DAY_MS) * DAY_MS + WEIGHING_HOUR * HOUR_MS; at <= to; at += DAY_MS) {
    if (at > from) readings.push({ at, massG: Math.round(massG(at) + SCALE_NOISE_G * bell(seed, at, 3)) });
  }
  return readings;
}

/** What the probe reports after `from` and up to `to`, every half hour: lagging, noisy, and with its fault. */
export function simulatedReadings(probe: SimulatedProbe, air: TrueAir, from: number, to: number): Reading[] {
  const readings: Reading[] = [];
  const first = Math.floor(from / PROBE_STEP_MS) + 1;
  for (let at = first * PROBE_STEP_MS; at <= to; at += PROBE_STEP_MS) {
    const isFaulty = at >= probe.faultFrom;
    if (isFaulty && probe.fault === 'silent') break;
    if (isFaulty && probe.fault === 'drop-outs' && chance(probe.seed, at - (at % (2 * HOUR_MS)), 7) < DROP_OUT_SHARE) {
      continue;
    }
    const asked = isFaulty && probe.fault === 'stuck' ? probe.faultFrom : at;
    const past = air(asked - LAG_MS);
    const noiseAt = asked;
    readings.push({
      at,
      temperatureC: tenth(past.temperatureC + NOISE.temperatureC * bell(probe.seed, noiseAt, 1)),
      relativeHumidityPct: tenth(
        Math.min(100, Math.max(0, past.relativeHumidityPct + NOISE.relativeHumidityPct * bell(probe.seed, noiseAt, 2))),
      ),
    });
  }
  return readings;
}
