import groundTarantula from '@data/profiles/ground-tarantula.json';
import treeTarantula from '@data/profiles/tree-tarantula.json';
import type { CareProfile } from '@/core/profiles/profile';
import { careProfile } from './profile';

/** Every care profile that ships with the program, by its id. A file that does not parse stops the start. */
const shipped: readonly CareProfile[] = [groundTarantula, treeTarantula].map((file) => careProfile.parse(file));

export const PROFILE_IDS = ['ground-tarantula', 'tree-tarantula'] as const;
export type ProfileId = (typeof PROFILE_IDS)[number];

export const profiles: readonly CareProfile[] = PROFILE_IDS.map((id) => {
  const found = shipped.find((profile) => profile.id === id);
  if (!found) throw new Error(`data/profiles has no profile ${id}.`);
  return found;
});

/** The care profile with this id. */
export function profileOf(id: ProfileId): CareProfile {
  const found = profiles.find((profile) => profile.id === id);
  if (!found) throw new Error(`No profile ${id}.`);
  return found;
}
