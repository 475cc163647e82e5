import type { CareProfile } from '@/core/profiles/profile';
import type { Queries } from './database';

/** The profiles that keepers of this house have made, in the order of their ids. */
export async function listOwnProfiles(queries: Queries): Promise<CareProfile[]> {
  const rows = await queries.query<{ profile: CareProfile }>('SELECT profile FROM own_profile ORDER BY id');
  return rows.map((row) => row.profile);
}

/** Writes an own profile; false when one of that id is there already. */
export async function insertOwnProfile(queries: Queries, profile: CareProfile): Promise<boolean> {
  const rows = await queries.query(
    'INSERT INTO own_profile (id, profile) VALUES ($1, $2::jsonb) ON CONFLICT (id) DO NOTHING RETURNING id',
    [profile.id, JSON.stringify(profile)],
  );
  return rows.length > 0;
}

/** Replaces an own profile; false when there is none of that id. */
export async function updateOwnProfile(queries: Queries, profile: CareProfile): Promise<boolean> {
  const rows = await queries.query('UPDATE own_profile SET profile = $2::jsonb WHERE id = $1 RETURNING id', [
    profile.id,
    JSON.stringify(profile),
  ]);
  return rows.length > 0;
}

export async function removeOwnProfile(queries: Queries, id: string): Promise<boolean> {
  return (await queries.query('DELETE FROM own_profile WHERE id = $1 RETURNING id', [id])).length > 0;
}

/** Residents that are here and kept by a profile, with their stages: a change must leave them with one they know. */
export async function keptBy(queries: Queries, profileId: string): Promise<{ name: string; stage: string }[]> {
  return queries.query<{ name: string; stage: string }>(
    'SELECT coalesce(r.called, r.scientific_name) AS name, r.stage FROM resident_now r WHERE r.profile = $1 ORDER BY 1',
    [profileId],
  );
}
