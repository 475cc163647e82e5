import groundTarantula from '@data/profiles/ground-tarantula.json';
import treeTarantula from '@data/profiles/tree-tarantula.json';
import type { CareProfile } from '@/core/profiles/profile';

/**
 * Every care profile that ships with the program, by its id. The server holds the files against their schema before it
 * starts (`checkShippedData`), so that a phone need not load the schema to use them.
 */
const byId = {
  'ground-tarantula': groundTarantula as CareProfile,
  'tree-tarantula': treeTarantula as CareProfile,
};

export type ProfileId = keyof typeof byId;
export const PROFILE_IDS = Object.keys(byId) as [ProfileId, ...ProfileId[]];
export const profiles: readonly CareProfile[] = Object.values(byId);

/** The care profile with this id. */
export function profileOf(id: ProfileId): CareProfile {
  return byId[id];
}
