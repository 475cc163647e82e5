import { Refusal } from '@/core/refusal';
import type { MaterialId, RecipePart } from './material';

/** The parts as shares of one, equal materials added together. @throws Refusal where all parts are nothing */
export function shares(recipe: RecipePart[]): { material: MaterialId; share: number }[] {
  const total = recipe.reduce((sum, { parts }) => sum + parts, 0);
  if (!(total > 0)) {
    throw new Refusal([{ path: 'recipe', message: 'All parts are 0: at least one must be more.' }]);
  }
  const byMaterial = new Map<MaterialId, number>();
  for (const { material, parts } of recipe) byMaterial.set(material, (byMaterial.get(material) ?? 0) + parts / total);
  return [...byMaterial].filter(([, share]) => share > 0).map(([material, share]) => ({ material, share }));
}
