import type { BroodBoard } from '@/contract/broods';
import { spinsOn } from '@/core/broods/caterpillars';
import type { MothKind } from '@/core/broods/emergence';
import { hatchForecast } from '@/core/broods/hatch';
import { layersForecast } from '@/core/broods/layers';
import { surplusPlan } from '@/core/broods/surplus';
import { broodsOf, layersOf } from '../broods';
import { houseToday } from '../house/houseToday';
import { ofKind, type Whose } from '../care';
import { eggKindOf, mothKindOf, populationOf } from '../kinds';
import { inTime } from '../threads/pool';
import type { Handlers } from '../http/mount';
import { invalid } from '../http/problem';
import type { Queries } from '../storage/database';
import type { Deps } from './deps';

type Names = 'hatch' | 'layers' | 'spinning' | 'meeting' | 'broods';

/** Eggs and moths: the engines over HTTP, and those of the house. */
export function broodHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  return {
    hatch: async ({ body }) => {
      const { asOf = clock.today(), wish, ...question } = body;
      const kind = eggKindOf(await ofKind(database, body));
      if (!kind) throw invalid('profile', `Nobody gave the numbers of the eggs of ${body.profile}.`);
      const forecast = hatchForecast({ ...question, kind, asOf });
      return { ...forecast, surplus: wish ? surplusPlan(kind, question.eggs, forecast.expected, wish) : null };
    },

    meeting: async ({ body }) => {
      const { asOf = clock.today(), ...question } = body;
      const kind = await requireMoth(database, body);
      return inTime('meeting', { ...question, kind, asOf });
    },

    spinning: async ({ body }) => {
      const { asOf = clock.today(), ...question } = body;
      const kind = await requireMoth(database, body);
      if (question.bornOn !== undefined && question.bornOn > asOf)
        throw invalid('bornOn', `Must not be after ${asOf}; got ${question.bornOn}.`);
      return spinsOn({ ...question, kind, asOf });
    },

    layers: async ({ body }) => {
      const { asOf = clock.today(), ...question } = body;
      const kind = populationOf(await ofKind(database, body));
      if (!kind) throw invalid('profile', `Nobody gave what ${body.profile} lays.`);
      return layersForecast({ ...question, kind, asOf });
    },

    broods: async (): Promise<BroodBoard> => ({
      asOf: clock.today(),
      broods: await broodsOf(database, clock),
      layers: await layersOf(database, clock),
      flights: [...(await houseToday(database, clock.today(), clock.now())).flights],
    }),
  };
}

async function requireMoth(queries: Queries, asked: Whose): Promise<MothKind> {
  const kind = mothKindOf(await ofKind(queries, asked));
  if (!kind) throw invalid('profile', `Must be a kind of moth; got ${asked.profile}.`);
  return kind;
}
