import type { CareProfile } from '@/core/profiles/profile';
import type { Heat } from './homeAir';

export const HEAT_CAUTIONS = [
  'cooks-diggers',
  'not-below',
  'no-thermostat',
  'over-band',
  'mains-and-water',
  'dries',
  'spot-thermometer',
] as const;

/** What is to be said where a heat source is added: at once what must not be, then what to mind. */
export interface HeatCaution {
  code: (typeof HEAT_CAUTIONS)[number];
  status: 'fail' | 'watch';
  /** Where it is about a temperature. C */
  temperatureC?: number;
  limitC?: number;
}

/** Those that go down when it is hot above: warmth from below meets them there. */
const DIGS = new Set(['soil', 'ground', 'nest']);

/**
 * Cautions for a heat source in the home of a kind. Common practice: on a side, on a thermostat, never under one that
 * digs. For the wiring, makers' instructions and local electrical codes hold.
 */
export function heatCautions(heat: Heat, profile: CareProfile | undefined, roomC: number): HeatCaution[] {
  const cautions: HeatCaution[] = [];
  if (heat.source === 'mat-below') {
    const digs = profile === undefined || DIGS.has(profile.lives);
    cautions.push({ code: digs ? 'cooks-diggers' : 'not-below', status: digs ? 'fail' : 'watch' });
  }
  if (!heat.hasThermostat) cautions.push({ code: 'no-thermostat', status: 'fail' });
  const warmC = roomC + heat.warmingK;
  const limitC = profile?.climate.temperatureC.max;
  if (limitC !== undefined && warmC > limitC) {
    cautions.push({ code: 'over-band', status: 'fail', temperatureC: warmC, limitC });
  }
  cautions.push({ code: 'mains-and-water', status: 'watch' });
  if (heat.warmingK >= 2) cautions.push({ code: 'dries', status: 'watch' });
  cautions.push({ code: 'spot-thermometer', status: 'watch' });
  return cautions;
}
