import { useCallback, useEffect, useState } from 'react';
import type { Home, Resident } from '@/contract/records';
import type { HomeAir } from '@/contract/readings';
import { dishAreaCm2Of, fillingOf, keptWetness, questionOf, type AiredHome } from '@/core/climate/homeAir';
import type { MoistureQuestion, RoomAir } from '@/core/climate/moisture';
import type { WateringWay } from '@/core/climate/soilLayers';
import type { Container, Vent, WallSide } from '@/core/housing/container';
import type { CareProfile } from '@/core/profiles/profile';
import type { MaterialTable, RecipePart } from '@/core/substrate/material';
import { call } from './api';
import { problemOf } from './house';

/** The air of a home as the server knows it, and how to ask again. */
export function useHomeAir(homeId: string): { air: HomeAir | null; problem: string | null; load: () => Promise<void> } {
  const [air, setAir] = useState<HomeAir | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const load = useCallback(
    () =>
      call('homeAir', { params: { id: homeId } }).then(
        (found) => {
          setAir(found);
          setProblem(null);
        },
        (error: unknown) => setProblem(problemOf(error)),
      ),
    [homeId],
  );
  useEffect(() => {
    void load();
  }, [load]);
  return { air, problem, load };
}

/** Round holes, the same in each of some sides. */
export interface Holes {
  sides: WallSide[];
  perSide: number;
  diameterMm: number;
  /** Meshes of what covers them; null for open ones. */
  meshApertureMm: number | null;
}

/** What a keeper tries on the air and water screen; null leaves the box as it stands. */
export interface TriedAir {
  holes: Holes | null;
  dishAreaCm2: number;
  litterMm: number;
  dampSharePct: number;
  way: WateringWay;
  room: RoomAir;
}

/** The box as it stands, as the sliders show it at first. */
export function asItStands(home: AiredHome, profile: CareProfile, stage: Resident['stage'], room: RoomAir): TriedAir {
  const { sharePct, way } = keptWetness(profile, stage);
  return {
    holes: null,
    dishAreaCm2: Math.round(dishAreaCm2Of(home)),
    litterMm: home.litterDepthMm ?? 0,
    ...{ dampSharePct: sharePct, way },
    room,
  };
}

/** The holes of a box, where all of them are round and alike; else a common pattern to begin with. */
export function holesOf(container: Container): Holes {
  const walls = container.vents.filter((vent) => vent.shape === 'hole' && vent.side !== 'lid' && vent.side !== 'floor');
  const first = walls[0];
  if (!first) return { sides: ['left', 'right'], perSide: 0, diameterMm: 3, meshApertureMm: null };
  return {
    sides: walls.map((vent) => vent.side as WallSide),
    perSide: first.count,
    diameterMm: first.diameterMm ?? 3,
    meshApertureMm: first.meshApertureMm ?? null,
  };
}

const withHoles = (container: Container, holes: Holes, soilMm: number): Container => {
  const centreHeightMm = Math.min(
    container.heightMm - holes.diameterMm / 2,
    soilMm + (container.heightMm - soilMm) * 0.6,
  );
  const vents: Vent[] =
    holes.perSide === 0
      ? []
      : holes.sides.map((side) => ({
          side,
          shape: 'hole',
          count: holes.perSide,
          diameterMm: holes.diameterMm,
          centreHeightMm,
          ...(holes.meshApertureMm !== null && { meshApertureMm: holes.meshApertureMm }),
        }));
  return { ...container, vents };
};

/** The home as it would be with what is tried. */
export function triedHome(home: Home, tried: TriedAir): AiredHome {
  return {
    ...home,
    container: tried.holes ? withHoles(home.container, tried.holes, home.substrateDepthMm) : home.container,
    dishAreaCm2: tried.dishAreaCm2,
    litterDepthMm: tried.litterMm,
  };
}

export interface Asked {
  profile: CareProfile;
  stage: Resident['stage'];
  home: Home;
  tried: TriedAir;
  recipe: RecipePart[];
  materials: MaterialTable;
}

/** The question for the engine, of the home freshly damped, as it is tried. */
export function freshQuestion(
  { profile, stage, home, tried, recipe, materials }: Asked,
  days: number,
): MoistureQuestion {
  const kept = { ...keptWetness(profile, stage), sharePct: tried.dampSharePct, way: tried.way };
  return questionOf(profile, stage, triedHome(home, tried), tried.room, recipe, materials, days, kept);
}

/** What is in the home, for the plan of holes. */
export function triedFilling({ home, tried, recipe }: Pick<Asked, 'home' | 'tried' | 'recipe'>) {
  return fillingOf({ sharePct: tried.dampSharePct }, triedHome(home, tried), recipe);
}
