import { shippedProfiles } from '@/contract/shipped';
import type { CareProfile } from '@/core/profiles/profile';
import { careOf } from '../care';
import type { Handlers } from '../http/mount';
import { invalid, notFound, Problem } from '../http/problem';
import type { Queries } from '../storage/database';
import { insertOwnProfile, keptBy, listOwnProfiles, removeOwnProfile, updateOwnProfile } from '../storage/profiles';
import type { Deps } from './deps';

type Names = 'profiles' | 'profile' | 'addProfile' | 'changeProfile' | 'removeProfile';

const isShipped = (id: string) => shippedProfiles.some((profile) => profile.id === id);

/** Care profiles: those that ship can be read and copied, those of the house changed and removed. */
export function profileHandlers({ database }: Deps): Pick<Handlers, Names> {
  return {
    profiles: async () => {
      const own = await listOwnProfiles(database);
      return { profiles: [...shippedProfiles, ...own], own: own.map((profile) => profile.id) };
    },

    profile: async ({ params }) => {
      const care = await careOf(database);
      if (!care.has(params.profileId)) throw notFound('care profile with that id');
      return care.of({ profile: params.profileId });
    },

    addProfile: async ({ body }) => {
      if (isShipped(body.id)) throw taken(body.id, 'ships with the program and cannot be replaced');
      if (!(await insertOwnProfile(database, body))) throw taken(body.id, 'is there already');
      return { profile: body };
    },

    changeProfile: ({ params, body }) =>
      database.transaction(async (queries) => {
        if (isShipped(params.profileId)) throw taken(params.profileId, 'ships with the program and cannot be replaced');
        if (body.id !== params.profileId) {
          throw invalid('id', `Must stay ${params.profileId}: a copy under another id is a new profile.`);
        }
        await requireStagesOfResidents(queries, body);
        if (!(await updateOwnProfile(queries, body))) throw notFound('own profile with that id');
        return { profile: body };
      }),

    removeProfile: ({ params }) =>
      database.transaction(async (queries) => {
        const [resident] = await keptBy(queries, params.profileId);
        if (resident) {
          throw new Problem('conflict', `${resident.name} is kept by this profile. Nothing was removed.`, [
            { path: 'profileId', message: 'Still in use.' },
          ]);
        }
        if (!(await removeOwnProfile(queries, params.profileId))) throw notFound('own profile with that id');
        return { removed: params.profileId };
      }),
  };
}

const taken = (id: string, why: string) =>
  new Problem('conflict', `The profile ${id} ${why}.`, [{ path: 'id', message: 'Taken: give it an id of its own.' }]);

/** A profile in force must know the stages of those who are kept by it. */
async function requireStagesOfResidents(queries: Queries, profile: CareProfile): Promise<void> {
  const stranded = (await keptBy(queries, profile.id)).find(
    ({ stage }) => !profile.stages.some((known) => known === stage),
  );
  if (stranded) throw invalid('stages', `Must hold ${stranded.stage}: ${stranded.name} is kept by this profile.`);
}
