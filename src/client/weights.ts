import type { Home, Resident } from '@/contract/records';
import { flat } from '@/core/housing/soil';
import type { CareBook } from '@/core/profiles/careBook';
import type { MaterialTable, Mix } from '@/core/substrate/material';
import { shelfLoad, type ShelfLoad } from '@/core/substrate/shelfLoad';
import { substrate } from '@/core/substrate/substrate';

/** Where nobody wrote down how damp a box is kept, it is weighed this wet. */
const USUAL_WETNESS = 0.5;

/** Mass of the filling of a home as it is kept; by its own mix, or the usual one of who lives in it. g */
export function fillingMassG(
  home: Home,
  tenant: Resident | undefined,
  care: CareBook,
  materials: MaterialTable,
  mixes: Mix[],
): number {
  const making = tenant && care.of(tenant).making;
  const mixId = home.mixId ?? making?.mixes[0] ?? 'coir-topsoil';
  const recipe = mixes.find((mix) => mix.id === mixId)?.recipe;
  if (!recipe || home.substrateDepthMm === 0) return 0;
  const wetnessTo = making
    ? (making.dampWetness * making.dampSharePct + making.dryWetness * (100 - making.dampSharePct)) / 100
    : USUAL_WETNESS;
  const soil = home.soil ?? flat(home.substrateDepthMm);
  return substrate({ container: home.container, soil, recipe, wetnessFrom: 0, wetnessTo }, materials).wetMassG;
}

/** What the fillings on a shelf weigh against what it bears. */
export function loadOf(
  limitKg: number,
  homes: readonly Home[],
  residents: readonly Resident[],
  care: CareBook,
  materials: MaterialTable,
  mixes: Mix[],
): ShelfLoad {
  const tenantOf = (home: Home) => residents.find((each) => each.homeId === home.id);
  return shelfLoad(
    homes.map((home) => fillingMassG(home, tenantOf(home), care, materials, mixes)),
    limitKg,
  );
}
