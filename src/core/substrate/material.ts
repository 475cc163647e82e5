import type { Fact } from '@/core/profiles/profile';

export const MATERIALS = [
  'coir',
  'topsoil',
  'peat',
  'vermiculite',
  'compost',
  'leaf-litter',
  'rotten-wood',
  'sphagnum',
  'sand',
  'clay',
  'lime',
  'charcoal',
  'plaster',
] as const;
export type MaterialId = (typeof MATERIALS)[number];

/** Pressed into bricks: what one weighs, drinks and gives. */
export interface Brick {
  massG: Fact;
  soakWaterL: Fact;
  looseVolumeL: Fact;
}

/** What a keeper fills a home with, loose as it is poured. */
export interface Material {
  id: MaterialId;
  name: string;
  /** Mass of a litre, loose and dry. g */
  looseDensityGPerL: Fact;
  /** Water in a litre at wetness 1: all it holds without dripping. mL */
  waterHeldMlPerL: Fact;
  /** How fast water creeps through it, wet through: its capillary diffusivity at wetness 1. mm2/h */
  creepMm2PerH: Fact;
  /** Over this height water standing in it thins out to 1/e of what it holds: small where it is coarse. mm */
  suctionMm: Fact;
  brick?: Brick;
  /** Dust, heat or other harm in handling it. */
  cautions: MaterialCaution[];
  /** What is done to it before it goes in. */
  preparation?: 'bake-or-boil' | 'rinse' | 'soak';
}

export const MATERIAL_CAUTIONS = ['dust', 'caustic-dust', 'sets-hot', 'mould-spores'] as const;
export type MaterialCaution = (typeof MATERIAL_CAUTIONS)[number];

export interface RecipePart {
  material: MaterialId;
  /** By loose volume, in any unit: 1 : 1, or 3 : 2 : 1. */
  parts: number;
}

/** A mix by volume that keepers use. */
export interface Mix {
  id: string;
  name: string;
  recipe: RecipePart[];
  basis: Fact['basis'];
  source?: string;
}

/** The materials by id. */
export type MaterialTable = Readonly<Record<MaterialId, Material>>;

/** Puts a list that holds every material once into a table. @throws RangeError naming one that is missing. */
export function materialTableOf(materials: readonly Material[]): MaterialTable {
  const table = new Map(materials.map((material) => [material.id, material]));
  const missing = MATERIALS.find((id) => !table.has(id));
  if (missing) throw new RangeError(`The material ${missing} is missing from the table.`);
  return Object.fromEntries(table) as unknown as MaterialTable;
}
