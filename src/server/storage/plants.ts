import type { Food } from '@/core/feeding/food';
import type { Queries } from './database';

/** The keepers' own food plants, by their names. */
export async function listOwnPlants(queries: Queries): Promise<Food[]> {
  const rows = await queries.query<{ food: Food }>(`SELECT food FROM own_plant ORDER BY food ->> 'name', id`);
  return rows.map(({ food }) => food);
}

/** Adds one, or puts it in the place of the one of that id. */
export async function writeOwnPlant(queries: Queries, food: Food): Promise<void> {
  await queries.query(
    'INSERT INTO own_plant (id, food) VALUES ($1, $2::jsonb) ON CONFLICT (id) DO UPDATE SET food = excluded.food',
    [food.id, JSON.stringify(food)],
  );
}

/** True when there was such a plant. */
export async function deleteOwnPlant(queries: Queries, id: string): Promise<boolean> {
  return (await queries.query('DELETE FROM own_plant WHERE id = $1 RETURNING id', [id])).length > 0;
}
