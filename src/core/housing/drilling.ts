import type { CareProfile } from '@/core/profiles/profile';
import { schoolOn } from '@/core/profiles/schools';
import {
  floorAreaMm2,
  isGlass,
  wallWidthMm,
  WALL_SIDES,
  type Container,
  type Vent,
  type VentSide,
  type WallSide,
} from './container';
import { meshMm, openAreaMm2, USUAL_MESH_OPEN } from './openings';

/** One size of hole in one row on each of some sides. */
export interface DrillPlan {
  kind: 'none' | 'holes' | 'mesh-holes' | 'mesh-panels';
  sides: WallSide[];
  /** Openings in each side. */
  perSide: number;
  diameterMm: number;
  /** Middle to middle along the row. mm */
  spacingMm: number;
  /** Middle of the row over the inside floor. mm */
  centreHeightMm: number;
  /** The meshes that cover the openings; null where none do. mm */
  meshApertureMm: number | null;
  /** What all of it opens, as a share of the floor. % */
  openSharePct: number;
  /** Not all the air that was wanted fits on the sides that are free. */
  isShort: boolean;
  /** Its walls are glass: nothing is drilled, however much air is missing. */
  isGlass: boolean;
  /** Sides that were left out because something stands against them. */
  covered: VentSide[];
}

/** Drills come in half millimetres; about 3 mm is what keepers drill (common practice). */
const USUAL_DRILL_MM = 3;
const DRILL_STEP_MM = 0.5;
/** Nobody drills hundreds of holes finer than this: an opening under mesh is made instead. mm; from memory */
const LEAST_DRILL_MM = 1.5;
/** The other way, and the only one where holes would let the young out: a round cut-out of about 5 cm with mesh (common practice). */
const CUT_OUT_MM = 50;
/** Hole saws go up in steps of about this, and on less than this no mesh holds. mm; from memory */
const CUT_OUT_STEP_MM = 5;
const LEAST_CUT_OUT_MM = 10;
/** The schools on openings: to drill, or to cut out and mesh. */
export const OPENING_SCHOOLS = ['small-holes', 'one-cut-out'] as const;
export const CUT_OUT_SCHOOL: (typeof OPENING_SCHOOLS)[number] = 'one-cut-out';
/** A cut-out takes at most this share of the wall over the soil; and cut-outs stand so many widths apart, middle to middle. From memory */
const CUT_OUT_OF_WALL = 0.6;
const CUT_OUT_SPACING = 1.3;
/** Plastic between two holes, as a multiple of their diameter, so that it does not crack; from memory. */
const LEAST_SPACING = 3;
/** From the corner to the first hole. mm; from memory */
const CORNER_MM = 15;

/**
 * What to drill so that a home for this kind opens the share of its floor that its profile asks for: the size that
 * holds animal and young, how many on which sides, how far apart and how high. Sides that are covered (in a stack, by
 * the wall) are left out, and so are those that open enough already. Glass is never drilled: it is said that air is missing. Those who cut out instead of drilling open two sides
 * that face each other, so that air still crosses.
 * @param depthMm soil as it will be filled, mm
 * @param largestSafeMm an opening must be narrower than this; null where nothing limits it
 * @param school the chosen school on openings; the kind's own where it is none that it knows
 */
export function drillPlan(
  profile: CareProfile,
  container: Container,
  depthMm: number,
  largestSafeMm: number | null,
  school?: string,
): DrillPlan {
  const { style: usual, openSharePct } = profile.making.vents;
  const isFine = usual !== 'none' && drillMm(largestSafeMm) < LEAST_DRILL_MM;
  const style = isFine || schoolOn(profile, 'openings', school) === CUT_OUT_SCHOOL ? 'mesh-holes' : usual;
  const free = WALL_SIDES.filter((side) => !container.coveredSides?.includes(side));
  const covered = container.coveredSides ?? [];
  const none = { kind: 'none' as const, sides: [], perSide: 0, diameterMm: 0, spacingMm: 0 };
  const nothing = {
    ...{ ...none, centreHeightMm: 0, meshApertureMm: null, openSharePct: 0, isShort: false },
    ...{ covered, isGlass: isGlass(container) },
  };
  if (style === 'none') return nothing;
  const meshed = style === 'mesh-holes' || style === 'mesh-panels';
  const wantedSides = style === 'all-round' ? free : facing(free, container);
  if (wantedSides.length === 0) return { ...nothing, isShort: true };

  const perSideMm2 = ((openSharePct / 100) * floorAreaMm2(container)) / wantedSides.length;
  const there = (side: WallSide) => openAboveMm2(container, side, depthMm);
  const sides = wantedSides.filter((side) => there(side) < ENOUGH * perSideMm2);
  if (sides.length === 0) return nothing;
  if (nothing.isGlass) return { ...nothing, isShort: true };
  // The side with least decides: all that are drilled get the same row.
  const missingMm2 = perSideMm2 - Math.min(...sides.map(there));
  const diameterMm = meshed ? cutOutMm(container, depthMm, missingMm2) : drillMm(largestSafeMm);
  const oneMm2 = (Math.PI / 4) * diameterMm ** 2 * (meshed ? USUAL_MESH_OPEN : 1);
  const narrowest = Math.min(...sides.map((side) => wallWidthMm(container, side)));
  const usable = Math.max(0, narrowest - 2 * CORNER_MM);
  const step = diameterMm * (meshed ? CUT_OUT_SPACING : LEAST_SPACING);
  const most = Math.max(1, Math.floor(usable / step) + 1);
  const wanted = Math.max(1, Math.ceil(missingMm2 / oneMm2));
  const perSide = Math.min(most, wanted);
  return {
    kind: meshed ? style : 'holes',
    sides,
    perSide,
    diameterMm,
    spacingMm: perSide > 1 ? usable / (perSide - 1) : usable,
    centreHeightMm: rowHeightMm(container, depthMm, diameterMm),
    meshApertureMm: meshed ? meshMm(largestSafeMm) : null,
    openSharePct: (100 * perSide * sides.length * oneMm2) / floorAreaMm2(container),
    isShort: wanted > most,
    isGlass: false,
    covered,
  };
}

/** So near to what is wanted nobody drills again. */
const ENOUGH = 0.7;

/** What a wall opens already above the soil. mm2 */
function openAboveMm2({ vents, walls }: Container, side: WallSide, depthMm: number): number {
  if (walls === 'mesh') return Infinity;
  return vents
    .filter((vent) => vent.side === side && (vent.centreHeightMm ?? Infinity) > depthMm)
    .reduce((sum, vent) => sum + openAreaMm2(vent), 0);
}

/** Two sides that face each other where both are free, the longer way for the air first; else what is free. */
function facing(free: WallSide[], container: Container): WallSide[] {
  const long: WallSide[][] =
    container.shape === 'box' && container.widthMm > container.lengthMm
      ? [
          ['front', 'back'],
          ['left', 'right'],
        ]
      : [
          ['left', 'right'],
          ['front', 'back'],
        ];
  return long.find((pair) => pair.every((side) => free.includes(side))) ?? free;
}

/** The usual drill, or the next smaller half millimetre that holds whoever must not leave. */
function drillMm(largestSafeMm: number | null): number {
  if (largestSafeMm === null || largestSafeMm > USUAL_DRILL_MM) return USUAL_DRILL_MM;
  const steps = Math.ceil(largestSafeMm / DRILL_STEP_MM) - 1;
  return Math.max(DRILL_STEP_MM, steps * DRILL_STEP_MM);
}

/** One opening that passes what is wanted of a side, no wider than the usual one nor than the wall over the soil takes. */
function cutOutMm(container: Container, depthMm: number, wantedMm2: number): number {
  const oneMm = Math.sqrt(wantedMm2 / USUAL_MESH_OPEN / (Math.PI / 4));
  const widestMm = Math.min(CUT_OUT_MM, (container.heightMm - depthMm) * CUT_OUT_OF_WALL);
  const inSteps = CUT_OUT_STEP_MM * Math.ceil(oneMm / CUT_OUT_STEP_MM);
  return Math.max(LEAST_CUT_OUT_MM, Math.min(widestMm, inSteps));
}

/** Two thirds up the air, and nowhere closer to soil or lid than the opening is wide. */
function rowHeightMm(container: Container, depthMm: number, diameterMm: number): number {
  const gap = container.heightMm - depthMm;
  const wanted = depthMm + (gap * 2) / 3;
  return Math.round(Math.max(depthMm + diameterMm, Math.min(container.heightMm - diameterMm, wanted)));
}

/** The plan as vents of the container, for the fit and the drawing. */
export function ventsOf(plan: DrillPlan): Vent[] {
  return plan.sides.map((side) => ({
    side,
    shape: 'hole' as const,
    count: plan.perSide,
    diameterMm: plan.diameterMm,
    centreHeightMm: plan.centreHeightMm,
    ...(plan.meshApertureMm !== null && { meshApertureMm: plan.meshApertureMm, meshOpenFraction: USUAL_MESH_OPEN }),
  }));
}
