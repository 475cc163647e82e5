import { floorAreaMm2 } from '@/core/housing/container';
import type { Furniture } from '@/core/housing/furniture';
import { flat } from '@/core/housing/soil';
import type { HomeState } from '@/core/housing/quantities';
import type { CareBook, Kept } from '@/core/profiles/careBook';
import type { CareProfile, Stage } from '@/core/profiles/profile';
import type { MaterialTable, Mix, RecipePart } from '@/core/substrate/material';
import { airFlow, USUAL_BUOYANCY_K } from './airFlow';
import type { Wishes } from './forecast';
import { moistBox, type Filling } from './moistBox';
import type { BoxFactors, MoistureQuestion, RoomAir } from './moisture';
import { freshlyPoured, type WateringWay } from './soilLayers';

export const HEAT_SOURCES = ['mat-on-side', 'mat-below', 'cable', 'lamp'] as const;
export type HeatSource = (typeof HEAT_SOURCES)[number];

/** Warmth that a keeper adds to one home. */
export interface Heat {
  source: HeatSource;
  hasThermostat: boolean;
  /** By how much it makes the home warmer than its room. K */
  warmingK: number;
}

/** A home as far as its air and water go. */
export interface AiredHome extends HomeState {
  heat?: Heat | undefined;
  /** Open water in it. cm2 */
  dishAreaCm2?: number | undefined;
  /** What its readings have said about it, against a box of its kind. */
  factors?: BoxFactors | undefined;
}

/** Draught about a shelf in a room with people in it; from memory. m/s */
export const USUAL_DRAUGHT_MS = 0.1;

/** A room nobody has measured: what suits people. */
export const USUAL_ROOM: RoomAir = {
  temperatureC: 22,
  relativeHumidityPct: 45,
  draughtMS: USUAL_DRAUGHT_MS,
  dailySwingK: 1,
};

/** A dish is about this share of the floor where nobody measured it; from memory. */
const USUAL_DISH_SHARE = 0.05;

/** Open water of a home: as measured, or as usual for its dishes. cm2 */
export function dishAreaCm2Of({ container, furniture, dishAreaCm2 }: AiredHome): number {
  if (dishAreaCm2 !== undefined) return dishAreaCm2;
  const dishes = (furniture ?? []).filter(({ kind }: Furniture) => kind === 'dish');
  const count = dishes.reduce((sum, each) => sum + (each.count ?? 1), 0);
  return (count * USUAL_DISH_SHARE * floorAreaMm2(container)) / 100;
}

/** How the soil of a home is kept for who lives in it. */
export interface KeptSoil {
  /** Wetness of the damp and the dry end when freshly damped. */
  damp: number;
  dry: number;
  /** Share of the floor that is damp. % */
  sharePct: number;
  /** How it is watered. */
  way: WateringWay;
  /** What has to stay damp. */
  judged: 'whole' | 'top';
}

/** How the soil is kept for a stage of a kind. */
export function keptWetness({ making, climate }: CareProfile, stage: Stage): KeptSoil {
  const throughout = making.dampThroughout?.includes(stage) ?? false;
  const sharePct = throughout ? 100 : making.dampSharePct;
  return {
    ...{ damp: making.dampWetness, dry: making.dryWetness, sharePct },
    way: usualWay(climate.damping, sharePct, !throughout && making.pouredDownSide === true),
    judged: throughout ? 'top' : 'whole',
  };
}

function usualWay(damping: CareProfile['climate']['damping'], sharePct: number, isDownSide: boolean): WateringWay {
  if (damping === 'mist') return 'mist-top';
  if (damping === 'none') return 'fill-dish';
  return isDownSide ? 'down-side' : sharePct < 100 ? 'at-end' : 'throughout';
}

/**
 * Of those in a home the one whose soil is kept dampest: it is damped for. The first where nobody's is. Cleaners live as the
 * others live: they count only among themselves.
 */
export function dampedFor<Tenant extends Kept>(care: CareBook, tenants: readonly Tenant[]): Tenant | undefined {
  const wants = (each: Tenant) => {
    const { climate, making } = care.of(each);
    return climate.damping === 'soil' ? making.dampWetness : 0;
  };
  const hosts = tenants.filter((each) => care.of(each).company.role !== 'cleaner');
  return (hosts.length > 0 ? hosts : tenants).reduce<Tenant | undefined>(
    (best, each) => (best && wants(best) >= wants(each) ? best : each),
    undefined,
  );
}

/** What a home is filled with: the mix written down, or the usual one of who lives there. */
export function recipeIn(
  { mixId }: { mixId?: string | null | undefined },
  { making }: CareProfile,
  mixes: readonly Mix[],
): RecipePart[] {
  const id = mixId ?? making.mixes[0];
  return (mixes.find((mix) => mix.id === id) ?? mixes[0])?.recipe ?? [];
}

/** What is in a home, for the moisture engine. */
export function fillingOf(kept: Pick<KeptSoil, 'sharePct'>, home: AiredHome, recipe: RecipePart[]): Filling {
  return {
    soil: home.soil ?? flat(home.substrateDepthMm),
    recipe,
    dampSharePct: kept.sharePct,
    litterDepthMm: home.litterDepthMm,
    dishAreaCm2: dishAreaCm2Of(home),
  };
}

/**
 * A home with who lives in it and the room about it, ready for a forecast of so many days from freshly damped.
 * @param kept how its soil is kept; as for this stage of this kind if left out
 */
export function questionOf(
  profile: CareProfile,
  stage: Stage,
  home: AiredHome,
  room: RoomAir,
  recipe: RecipePart[],
  materials: MaterialTable,
  days: number,
  kept: KeptSoil = keptWetness(profile, stage),
): MoistureQuestion {
  const { damp, dry, way, judged } = kept;
  const wetness = { damp, dry };
  return {
    box: moistBox(home.container, fillingOf(kept, home, recipe), materials),
    wetness,
    layers: freshlyPoured(wetness, way, profile.climate.dampWetnessMin.value),
    ...{ judged, way },
    room,
    warmingK: home.heat?.warmingK ?? 0,
    days,
    stepMinutes: 60,
    factors: home.factors,
  };
}

/** What the profile asks of the air and the water of a home. */
export function wishesOf({ climate, making }: CareProfile): Wishes {
  return {
    humidityPct: climate.humidityPct,
    dampWetnessMin: climate.dampWetnessMin.value,
    minAirChangesPerHour: climate.airChangesPerHour.value,
    practice: {
      dampWetness: making.dampWetnessRange,
      dampSharePct: making.dampSharePctRange,
      dampWetnessMin: climate.dampWetnessMin.range,
    },
  };
}

/**
 * Air that the openings of a home change in a usual room, damp inside: for the choice among boxes that nobody has filled and
 * followed yet. An hour
 */
export function usualAirChangesPerHour(home: HomeState): number {
  const { container, substrateDepthMm, soil = flat(substrateDepthMm) } = home;
  const { temperatureC, draughtMS } = USUAL_ROOM;
  return airFlow({ container, soil, temperatureC, draughtMS, warmingK: USUAL_BUOYANCY_K }).airChangesPerHour;
}

/** A home with its air by its openings, where its forecast has told none. */
export const withUsualAir = <Home extends HomeState & { airChangesPerHour?: number | undefined }>(
  home: Home,
): Home => ({
  ...home,
  airChangesPerHour: home.airChangesPerHour ?? usualAirChangesPerHour(home),
});
