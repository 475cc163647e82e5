import { isGlass, wallWidthMm, WALL_SIDES, type Container, type Vent, type WallSide } from '@/core/housing/container';
import { meanDepthMm } from '@/core/housing/soil';
import { CUT_OUT_SCHOOL } from '@/core/housing/drilling';
import { meshMm, openAreaMm2, USUAL_MESH_OPEN } from '@/core/housing/openings';
import type { MaterialTable } from '@/core/substrate/material';
import type { OpeningSettings } from './airOpenings';
import { forecastMoisture, type Band, type Stale } from './forecast';
import { moistBox, type Filling } from './moistBox';
import type { BoxFactors, MoistureQuestion, RoomAir } from './moisture';
import type { SoilLayers } from './soilLayers';

export interface VentWishes {
  humidityPct: Band;
  /** The damp end should stay over its limit for at least so many days. */
  redampDays: number;
  airChangesPerHour: number;
  dampWetnessMin?: number | undefined;
  /** No opening wider than this. mm */
  maxHoleMm: number;
  /** The school on openings that is followed: the way that is preferred where both grant the wishes. */
  openings?: string | undefined;
}

export interface VentPlanQuestion {
  container: Container;
  filling: Filling;
  wetness: { damp: number; dry: number };
  /** How the water lies in it when freshly damped, and what of it has to stay damp; see `MoistureQuestion`. */
  layers?: SoilLayers | undefined;
  judged?: MoistureQuestion['judged'];
  room: RoomAir;
  warmingK: number;
  wishes: VentWishes;
  factors?: BoxFactors | undefined;
  settings?: OpeningSettings | undefined;
}

/** One way of drilling a box, and how it would do. */
export interface VentOption {
  sides: WallSide[];
  holesPerSide: number;
  diameterMm: number;
  /** Meshes of what covers the holes; null for open ones. */
  meshApertureMm: number | null;
  vents: Vent[];
  openAreaMm2: number;
  airChangesPerHour: number;
  relativeHumidityPct: number;
  /** At most as far as the plan looks ahead. */
  redampDays: number;
  staleAir: Stale;
  /** Which wishes it grants. */
  grants: Record<Wish, boolean>;
}

export const WISHES = ['humidityLow', 'humidityHigh', 'redampDays', 'airChanges'] as const;
export type Wish = (typeof WISHES)[number];

/** A wish that, eased to a value, would make the others possible. */
export interface Relaxation {
  wish: Wish;
  to: number;
}

export interface VentPlan {
  /** Of the options that grant every wish the one of the school's way with the fewest holes; null where none does. */
  best: VentOption | null;
  /** Where none does: what could be eased, the smallest step first. */
  relax: Relaxation[];
  /** From closed to open: what cannot be bettered in interval without losing air, and the other way round. */
  tradeOff: VentOption[];
  /** Its walls are glass, which is not drilled: the one option is the box as it is. */
  isGlass: boolean;
  horizonDays: number;
}

const LOOKS_AHEAD_DAYS = 90;
const DIAMETERS_MM = [2, 3, 4, 5, 6, 8, 10, 12, 16, 20];
/** Cut-outs covered with mesh: the other way, and the only one where young must not leave. */
const MESHED_MM = [10, 20, 30, 50];
const PER_SIDE = [1, 2, 3, 4, 6, 8, 12, 16, 24, 32];
const SIDES: WallSide[][] = [['left', 'right'], [...WALL_SIDES], ['front', 'back']];
/** Two holes at least this many diameters apart, so that the wall between them holds. */
const CLOSEST = 2;

/**
 * Solves for holes: tries round holes on facing sides, well over the soil, open or under mesh, in every number and size
 * that the walls take and that holds the animal, follows each for 90 days, and keeps what cannot be bettered. What is on the
 * box already is left out of the account. Glass is not drilled: such a box is followed as it is.
 */
export function ventPlan(question: VentPlanQuestion, materials: MaterialTable): VentPlan {
  const options = candidates(question).map((option) => tried(question, option, materials));
  const granted = options.filter((option) => WISHES.every((wish) => option.grants[wish]));
  const odd = question.wishes.openings === CUT_OUT_SCHOOL ? oddCutOut : oddHoles;
  const holes = (option: VentOption) => option.holesPerSide * option.sides.length;
  const best =
    [...granted].sort((a, b) => odd(a) - odd(b) || holes(a) - holes(b) || a.openAreaMm2 - b.openAreaMm2)[0] ?? null;
  return {
    best,
    relax: best ? [] : relaxations(options, question.wishes),
    tradeOff: frontier(options),
    isGlass: isGlass(question.container),
    horizonDays: LOOKS_AHEAD_DAYS,
  };
}

/** Holes under 3 mm clog, over 6 mm let flies in and prey out; common practice drills about 3 mm. */
const oddHoles = ({ diameterMm, meshApertureMm }: VentOption) =>
  diameterMm === 0 || (meshApertureMm === null && diameterMm >= 3 && diameterMm <= 6) ? 0 : 1;

/** Who cuts out takes one opening a side, and rather none than holes. */
const oddCutOut = ({ diameterMm, meshApertureMm, holesPerSide }: VentOption) =>
  diameterMm === 0 || (meshApertureMm !== null && holesPerSide === 1) ? 0 : meshApertureMm === null ? 2 : 1;

type Candidate = Pick<VentOption, 'sides' | 'holesPerSide' | 'diameterMm' | 'meshApertureMm' | 'vents' | 'openAreaMm2'>;

/** No holes at all; open holes no wider than is safe; and wider ones under mesh. */
function candidates({ container, filling, wishes }: VentPlanQuestion): Candidate[] {
  const soilMm = meanDepthMm(filling.soil);
  const mesh = meshMm(wishes.maxHoleMm);
  const sizes = [
    ...DIAMETERS_MM.filter((each) => each <= wishes.maxHoleMm).map((diameterMm) => ({
      diameterMm,
      meshApertureMm: null,
    })),
    ...MESHED_MM.map((diameterMm) => ({ diameterMm, meshApertureMm: mesh })),
  ];
  const none = { sides: [], holesPerSide: 0, diameterMm: 0, meshApertureMm: null, vents: [], openAreaMm2: 0 };
  if (isGlass(container)) {
    const openArea = container.vents.reduce((sum, vent) => sum + openAreaMm2(vent), 0);
    return [{ ...none, vents: container.vents, openAreaMm2: openArea }];
  }
  const found: Candidate[] = [none];
  for (const wanted of SIDES) {
    const sides = wanted.filter((side) => !container.coveredSides?.includes(side));
    if (sides.length === 0) continue;
    for (const { diameterMm, meshApertureMm } of sizes) {
      const centreHeightMm = soilMm + (container.heightMm - soilMm) * 0.6;
      if (centreHeightMm + diameterMm / 2 > container.heightMm || centreHeightMm - diameterMm / 2 < soilMm) continue;
      for (const holesPerSide of PER_SIDE) {
        const takesMm = holesPerSide * diameterMm * (holesPerSide === 1 ? 1 : CLOSEST);
        if (sides.some((side) => takesMm > wallWidthMm(container, side))) continue;
        const covered = meshApertureMm === null ? {} : { meshApertureMm, meshOpenFraction: USUAL_MESH_OPEN };
        const vents: Vent[] = sides.map((side) => ({
          side,
          shape: 'hole',
          count: holesPerSide,
          diameterMm,
          centreHeightMm,
          ...covered,
        }));
        const openArea = vents.reduce((sum, vent) => sum + openAreaMm2(vent), 0);
        found.push({ sides, holesPerSide, diameterMm, meshApertureMm, vents, openAreaMm2: openArea });
      }
    }
  }
  return found;
}

function tried(question: VentPlanQuestion, option: Candidate, materials: MaterialTable): VentOption {
  const { container, filling, wetness, layers, judged, room, warmingK, wishes, factors, settings } = question;
  const drilled: Container = isGlass(container) ? container : { ...container, lid: 'solid', vents: option.vents };
  const box = moistBox(drilled, filling, materials, settings);
  const forecast = forecastMoisture(
    { box, wetness, layers, judged, room, warmingK, days: LOOKS_AHEAD_DAYS, stepMinutes: 60, factors },
    { humidityPct: wishes.humidityPct, dampWetnessMin: wishes.dampWetnessMin },
  );
  const { airChangesPerHour, steadyRelativeHumidityPct: humidity, staleAir } = forecast;
  const redampDays = forecast.daysToRedamp ?? LOOKS_AHEAD_DAYS;
  return {
    ...option,
    airChangesPerHour,
    relativeHumidityPct: humidity,
    redampDays,
    staleAir,
    grants: {
      humidityLow: humidity >= wishes.humidityPct.min,
      humidityHigh: humidity <= wishes.humidityPct.max,
      redampDays: redampDays >= wishes.redampDays,
      airChanges: airChangesPerHour >= wishes.airChangesPerHour,
    },
  };
}

/** For each wish: if it alone were eased, how far; the step is judged as a share of the wish. */
function relaxations(options: VentOption[], wishes: VentWishes): Relaxation[] {
  const wanted: Record<Wish, number> = {
    humidityLow: wishes.humidityPct.min,
    humidityHigh: wishes.humidityPct.max,
    redampDays: wishes.redampDays,
    airChanges: wishes.airChangesPerHour,
  };
  const valueOf: Record<Wish, (option: VentOption) => number> = {
    humidityLow: (option) => option.relativeHumidityPct,
    humidityHigh: (option) => option.relativeHumidityPct,
    redampDays: (option) => option.redampDays,
    airChanges: (option) => option.airChangesPerHour,
  };
  return WISHES.flatMap((wish) => {
    const others = options.filter((option) => WISHES.every((each) => each === wish || option.grants[each]));
    if (others.length === 0) return [];
    const values = others.map(valueOf[wish]);
    return [{ wish, to: wish === 'humidityHigh' ? Math.min(...values) : Math.max(...values) }];
  }).sort((a, b) => step(a, wanted) - step(b, wanted));
}

const step = ({ wish, to }: Relaxation, wanted: Record<Wish, number>) =>
  Math.abs(to - wanted[wish]) / Math.max(1e-9, wanted[wish]);

/** The options that no other betters in both interval and air, from the stillest to the airiest. */
function frontier(options: VentOption[]): VentOption[] {
  const sorted = [...options].sort((a, b) => b.airChangesPerHour - a.airChangesPerHour || b.redampDays - a.redampDays);
  const kept: VentOption[] = [];
  for (const option of sorted) {
    const before = kept.at(-1);
    if (before && option.redampDays <= before.redampDays) continue;
    // Points closer together than anybody can drill say the same.
    if (before && before.airChangesPerHour / Math.max(option.airChangesPerHour, 1e-9) < 1.08) continue;
    kept.push(option);
  }
  return kept.reverse();
}
