import type { MaterialTable } from './material';
import { bricksFor, type BricksToSoak, type MaterialAmount, type SubstrateAnswer } from './substrate';

export interface PooledSubstrate {
  volumeL: number;
  materials: MaterialAmount[];
  /** Whole bricks for the pooled volume: fewer than if each home had its own. */
  bricks: BricksToSoak[];
  waterMl: number;
  wetMassG: number;
}

/** What several homes take together. Volumes, water and masses add; bricks are counted anew for the sum. */
export function pool(answers: SubstrateAnswer[], materials: MaterialTable): PooledSubstrate {
  const byMaterial = new Map<MaterialAmount['material'], MaterialAmount>();
  for (const each of answers.flatMap((answer) => answer.materials)) {
    const before = byMaterial.get(each.material);
    byMaterial.set(each.material, {
      material: each.material,
      volumeL: (before?.volumeL ?? 0) + each.volumeL,
      dryMassG: (before?.dryMassG ?? 0) + each.dryMassG,
      waterMl: (before?.waterMl ?? 0) + each.waterMl,
    });
  }
  const amounts = [...byMaterial.values()];
  const sum = (of: (answer: SubstrateAnswer) => number) => answers.reduce((total, answer) => total + of(answer), 0);
  return {
    volumeL: sum((answer) => answer.volumeL),
    materials: amounts,
    bricks: amounts.flatMap((amount) => bricksFor(amount, materials[amount.material])),
    waterMl: sum((answer) => answer.waterMl),
    wetMassG: sum((answer) => answer.wetMassG),
  };
}
