import type { Brood } from '@/contract/broods';
import type { EggKind } from '@/core/broods/eggs';
import { hatchForecast } from '@/core/broods/hatch';
import type { Day } from '@/core/measure/day';

type Laid = Pick<Brood, 'eggs' | 'laidFrom' | 'laidTo' | 'mating' | 'temperatureC'>;

/** Eggs of which everything is known, and nothing is planned yet, as the server tells of them. */
export const broodOf = (residentId: string, kind: EggKind, laid: Laid, asOf: Day): Brood => ({
  ...{ residentId, ...laid, isGuessed: false, forecast: hatchForecast({ kind, asOf, ...laid }), problem: null },
  ...{ feedOff: kind.feedOff, freezing: kind.freezing, surplus: null, inHalfAYear: null, bareUntil: null },
  ...{ coldWeeks: null, warmSince: null },
});
