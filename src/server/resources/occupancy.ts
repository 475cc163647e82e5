import type { Home } from '@/contract/records';
import { invalid, Problem } from '../http/problem';
import type { Queries } from '../storage/database';
import { findHome, holdHome } from '../storage/homes';
import { residentsIn } from '../storage/residents';

/**
 * The home, held for this transaction and free of anybody but `besides`: these kinds live alone.
 * @throws Problem when there is no such home, or somebody lives in it.
 */
export async function requireFreeHome(
  queries: Queries,
  homeId: string,
  field: string,
  besides?: string,
): Promise<Home> {
  const held = await holdHome(queries, homeId);
  const home = held ? await findHome(queries, homeId) : undefined;
  if (!home) throw invalid(field, 'There is no home with that id. See /api/homes.');
  const [tenant] = await residentsIn(queries, homeId, besides);
  if (tenant) {
    const name = tenant.called ?? tenant.scientificName;
    throw new Problem('conflict', `${home.code} is taken: ${name} lives in it.`, [
      { path: field, message: 'Choose a free home.' },
    ]);
  }
  return home;
}

/** @throws Problem when soil of that depth would stand higher than the box. */
export function requireDepthFits(home: Home, substrateDepthMm: number): void {
  if (substrateDepthMm > home.container.heightMm) {
    const message = `${home.code} is ${home.container.heightMm} mm high inside; got ${substrateDepthMm} mm of soil.`;
    throw invalid('substrateDepthMm', message);
  }
}
