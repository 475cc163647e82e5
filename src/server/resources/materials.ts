import { materialsOf } from '../care';
import type { Handlers } from '../http/mount';
import { invalid, notFound } from '../http/problem';
import type { Queries } from '../storage/database';
import { removeOwnMaterial, writeOwnMaterial } from '../storage/materials';
import type { Deps } from './deps';

/** What is pressed into bricks holds some of the water they drink. */
const LEAST_HELD_ML_PER_L = 1;

/** What homes are filled with; a keeper's own numbers go before those that ship. */
export function materialHandlers({ database }: Deps): Pick<Handlers, 'materials' | 'changeMaterial' | 'resetMaterial'> {
  const one = async (queries: Queries, id: string) => {
    const material = (await materialsOf(queries)).find((each) => each.id === id);
    if (!material) throw notFound('material with that id');
    return material;
  };
  return {
    materials: async () => ({ materials: await materialsOf(database) }),
    changeMaterial: ({ params, body }) =>
      database.transaction(async (queries) => {
        const before = await one(queries, params.materialId);
        if (body.brick && !before.brick) throw invalid('brick', `${before.name} is not sold in bricks: leave it out.`);
        if (before.brick && body.waterHeldMlPerL < LEAST_HELD_ML_PER_L)
          throw invalid('waterHeldMlPerL', 'Must be at least 1 millilitre a litre: a brick drinks.');
        await writeOwnMaterial(queries, params.materialId, body);
        return { material: await one(queries, params.materialId) };
      }),
    resetMaterial: ({ params }) =>
      database.transaction(async (queries) => {
        await removeOwnMaterial(queries, params.materialId);
        return { material: await one(queries, params.materialId) };
      }),
  };
}
