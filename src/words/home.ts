import type { LidFit, Opens, Vent, VentSide, WallKind } from '@/core/housing/container';
import type { FurnitureKind } from '@/core/housing/furniture';
import type { MaterialId } from '@/core/substrate/material';
import type { Feel } from '@/core/substrate/wetness';

/** Titles in the order in which they are offered. */
const list = <Value extends string>(titles: Record<Value, string>) =>
  (Object.entries(titles) as [Value, string][]).map(([value, title]) => ({ value, title }));

export const SIDE_WORDS: Record<VentSide, string> = {
  front: 'front',
  back: 'back',
  left: 'left',
  right: 'right',
  lid: 'lid',
  floor: 'floor',
};
export const SIDES = list(SIDE_WORDS);

export const WALLS = list<WallKind>({
  plastic: 'plastic',
  acrylic: 'acrylic',
  glass: 'glass',
  'glass-silicone': 'glass, silicone corners',
  wood: 'wood',
  plaster: 'plaster',
  mesh: 'mesh',
});

export const OPENS = list<Opens>({ top: 'at the top', front: 'at the front', zip: 'by a zip' });

/** A lid by how it sits on its rim. */
export const LID_FIT_WORDS = list<LidFit>({ gasket: 'on a seal', click: 'pressed shut', loose: 'laid on' });

export const SHAPES = list<Vent['shape']>({ hole: 'round holes', slot: 'slots', panel: 'cut-outs' });

export const FURNITURE_WORDS: Record<FurnitureKind, string> = {
  bark: 'bark',
  'bark-round': 'upright bark round',
  hide: 'hide',
  branch: 'branch',
  'stone-stack': 'stack of flat stones',
  slab: 'stone or wood slab',
  perch: 'perch',
  'roof-net': 'net under the roof',
  'rough-strip': 'rough strip on the wall',
  dish: 'water dish',
  bottle: 'bottle of cuttings',
};
export const FURNITURE = list(FURNITURE_WORDS);

export const MATERIAL_WORDS: Record<MaterialId, string> = {
  coir: 'coir',
  topsoil: 'topsoil',
  peat: 'peat',
  vermiculite: 'vermiculite',
  compost: 'compost',
  'leaf-litter': 'leaf litter',
  'rotten-wood': 'rotten wood',
  sphagnum: 'sphagnum',
  sand: 'sand',
  clay: 'clay powder',
  lime: 'ground lime',
  charcoal: 'charcoal',
  plaster: 'plaster',
};

export const FEEL_WORDS: Record<Feel, string> = {
  crumbles: 'crumbles',
  'clumps-no-drop': 'clumps, no drop',
  'a-drop': 'gives a drop',
  runs: 'runs',
};
export const FEEL_CHOICES = list(FEEL_WORDS);

/** Litres as they are measured out: millilitres under one litre. */
export function litres(value: number): string {
  return value < 1 ? `${Math.round(value * 1000)} mL` : `${value.toFixed(value < 10 ? 1 : 0)} L`;
}

/** Grams under a kilogram. */
export function kilograms(grams: number): string {
  return grams < 1000 ? `${Math.round(grams)} g` : `${(grams / 1000).toFixed(1)} kg`;
}
