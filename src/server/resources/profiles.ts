import { shippedProfiles } from '@/contract/shipped';
import type { CareProfile } from '@/core/profiles/profile';
import { careOf, ownCareOf } from '../care';
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
      const { profiles: own, cards } = await ownCareOf(database);
      return { profiles: [...shippedProfiles, ...own], own: own.map((profile) => profile.id), cards };
    },

    profile: async ({ params }) => {
      const care = await careOf(database);
      if (!care.has(params.profileId)) throw notFound('care profile with that id');
      return care.of({ profile: params.profileId });
    },

    addProfile: async ({ body: asked }) => {
      const body = await ofShippedKind(database, asked);
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
        // One that came with a kind nobody knows any more can be changed all the same.
        const before = (await listOwnProfiles(queries)).find(({ id }) => id === body.id);
        const profile = before?.kind === body.kind ? body : await ofShippedKind(queries, body);
        if (!(await updateOwnProfile(queries, profile))) throw notFound('own profile with that id');
        return { profile };
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

/** A copy of a copy is of the kind that ships. @throws Problem for a kind that nobody knows */
async function ofShippedKind(queries: Queries, profile: CareProfile): Promise<CareProfile> {
  if (profile.kind === undefined) return profile;
  const kind = (await careOf(queries)).kindOf(profile.kind);
  if (!isShipped(kind)) throw invalid('kind', `Must be a kind that ships, see /api/profiles; got ${profile.kind}.`);
  return { ...profile, kind };
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
