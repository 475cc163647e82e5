import { shippedBoxSizes } from '@/contract/shipped';
import { soilOf } from '@/contract/substrate';
import { company } from '@/core/housing/company';
import { fit } from '@/core/housing/fit';
import { sizeLadder } from '@/core/housing/ladder';
import { withUsualAir } from '@/core/climate/homeAir';
import { buildHome } from '@/core/substrate/buildSheet';
import { plaster } from '@/core/substrate/plaster';
import { pool } from '@/core/substrate/pool';
import { refreshPlan } from '@/core/substrate/refresh';
import { shelfLoad } from '@/core/substrate/shelfLoad';
import { substrate } from '@/core/substrate/substrate';
import { careOf, materialTable } from '../care';
import type { Handlers } from '../http/mount';
import { inTime } from '../threads/pool';
import type { Deps } from './deps';

type Names =
  | 'fit'
  | 'rankHomes'
  | 'sizeLadder'
  | 'boxesToBuy'
  | 'company'
  | 'substrate'
  | 'plaster'
  | 'refreshPlan'
  | 'shelfLoad'
  | 'buildSheet';

/** The engines over HTTP. They know the profiles and materials of the house, and nothing of its records. */
export function computeHandlers({ database }: Pick<Deps, 'database'>): Pick<Handlers, Names> {
  const sizes = [...shippedBoxSizes];
  return {
    fit: async ({ body }) => fit((await careOf(database)).of(body), body),
    rankHomes: async ({ body: { homes, openings, ...animal } }) => ({
      ranking: await inTime(
        'rankHomes',
        (await careOf(database)).of(animal),
        animal,
        homes.map(withUsualAir),
        openings,
      ),
    }),
    sizeLadder: async ({ body }) => sizeLadder((await careOf(database)).of(body), body, sizes),
    boxesToBuy: async ({ body }) => {
      const care = await careOf(database);
      const homeless = body.residents.map((each) => ({ ...each, profile: care.of(each) }));
      return inTime('boxesToBuy', homeless, body.freeHomes.map(withUsualAir), sizes);
    },
    company: async ({ body }) => {
      const care = await careOf(database);
      return company(body.lodgers.map((each) => ({ ...each, profile: care.of(each) })));
    },
    substrate: async ({ body }) => substrate({ ...body, soil: soilOf(body) }, await materialTable(database)),
    plaster: ({ body }) => plaster((body.areaMm2 * body.thicknessMm) / 1000, body.waterPerPowder),
    refreshPlan: ({ body }) => ({
      steps: refreshPlan(body.volumeL, body.sharePct, body.everyDays, body.oldLeftPct, body.startOn),
    }),
    shelfLoad: ({ body }) => shelfLoad(body.massesG, body.limitKg),
    buildSheet: async ({ body }) => {
      const [care, materials] = [await careOf(database), await materialTable(database)];
      const homes = body.homes.map((home) => ({ code: home.code, ...buildHome(care.of(home), home, materials) }));
      return {
        homes,
        pooled: pool(
          homes.map((home) => home.filling),
          materials,
        ),
      };
    },
  };
}
