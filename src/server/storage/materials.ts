import type { MaterialChange } from '@/contract/substrate';
import type { MaterialId } from '@/core/substrate/material';
import type { Queries } from './database';

/** The numbers that keepers have set for materials. */
export async function listOwnMaterials(queries: Queries): Promise<Map<MaterialId, MaterialChange>> {
  const rows = await queries.query<{ id: MaterialId; numbers: MaterialChange }>('SELECT id, numbers FROM own_material');
  return new Map(rows.map((row) => [row.id, row.numbers]));
}

export async function writeOwnMaterial(queries: Queries, id: MaterialId, numbers: MaterialChange): Promise<void> {
  await queries.query(
    'INSERT INTO own_material (id, numbers) VALUES ($1, $2::jsonb) ON CONFLICT (id) DO UPDATE SET numbers = EXCLUDED.numbers',
    [id, JSON.stringify(numbers)],
  );
}

export async function removeOwnMaterial(queries: Queries, id: MaterialId): Promise<void> {
  await queries.query('DELETE FROM own_material WHERE id = $1', [id]);
}
