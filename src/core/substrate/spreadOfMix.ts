import { spreadOf, together } from '@/core/numerics/spreads';
import type { MaterialTable, RecipePart } from './material';
import { shares } from './shares';

/** How far what the parts of a mix add up to may be off, by their ranges: the parts that add more count for more. In logarithms */
export function spreadOfMix(
  recipe: RecipePart[],
  materials: MaterialTable,
  name: 'waterHeldMlPerL' | 'creepMm2PerH' | 'looseDensityGPerL',
): number {
  const parts = shares(recipe).map(({ material, share }) => ({
    adds: share * materials[material][name].value,
    spread: spreadOf(materials[material][name]),
  }));
  const all = parts.reduce((sum, { adds }) => sum + adds, 0);
  return all > 0 ? together(...parts.map(({ adds, spread }) => (adds / all) * spread)) : 0;
}
