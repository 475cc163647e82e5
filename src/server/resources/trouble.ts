import type { ResidentTrouble } from '@/contract/handbook';
import { boxSigns } from '@/core/trouble/boxSigns';
import { diagnose } from '@/core/trouble/diagnose';
import { boxFacts } from '../boxFacts';
import { careOf } from '../care';
import { houseToday } from '../house/houseToday';
import type { Handlers } from '../http/mount';
import { invalid, notFound } from '../http/problem';
import { troublesOf } from '../kinds';
import type { Queries } from '../storage/database';
import { entriesOfKinds } from '../storage/entries';
import type { Deps } from './deps';

export function troubleHandlers({ database, clock }: Deps): Pick<Handlers, 'trouble' | 'residentTrouble'> {
  return {
    trouble: async ({ body }) => {
      const care = await careOf(database);
      if (!care.has(body.profile)) throw invalid('profile', `There is no care profile ${body.profile}.`);
      return diagnose(troublesOf(care.of({ profile: body.profile }), body.stage), body);
    },

    residentTrouble: async ({ params }) => {
      const house = await houseToday(database, clock.today(), clock.now());
      const lodger = house.lodgers.find(({ resident }) => resident.id === params.id);
      if (!lodger) throw notFound('resident with that id');
      const profile = house.care.of(lodger.resident);
      const alike = house.lodgers.filter(({ today }) => today.profile.silhouette === profile.silhouette);
      return {
        residentId: params.id,
        table: troublesOf(profile, lodger.resident.stage),
        box: boxSigns(await boxFacts(database, house, lodger, clock.now())),
        tried: await triedBefore(
          database,
          alike.map(({ resident }) => ({ id: resident.id, called: resident.called ?? resident.scientificName })),
        ),
      };
    },
  };
}

/** What was tried with animals of a kind, newest first, and what came of it. */
async function triedBefore(
  queries: Queries,
  residents: readonly { id: string; called: string }[],
): Promise<ResidentTrouble['tried']> {
  const ids = residents.map(({ id }) => id);
  const entries = await entriesOfKinds(queries, ids, ['trouble', 'trouble-after']);
  const ends = new Map(
    entries.flatMap(({ kind, data }) => (kind === 'trouble-after' ? [[data.troubleId, data.helped] as const] : [])),
  );
  const calledOf = new Map(residents.map(({ id, called }) => [id, called]));
  return entries
    .filter((entry) => entry.kind === 'trouble')
    .reverse()
    .map(({ id, residentId, on, data }) => ({
      ...{ id, residentId: residentId ?? '', called: calledOf.get(residentId ?? '') ?? '', on },
      cause: data.cause ?? null,
      tried: data.tried ?? null,
      seen: data.seen,
      helped: ends.get(id) ?? null,
    }));
}
