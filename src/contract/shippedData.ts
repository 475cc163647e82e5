import { z } from 'zod';
import { BASES } from '@/core/profiles/profile';
import { careProfile } from './profile';
import { PROFILE_IDS, profileOf, profiles } from './profiles';
import { scientificName } from './records';
import { knownSpecies, type Species } from './species';

export const species = z.strictObject({
  name: scientificName,
  commonName: z.string(),
  profile: z.enum(PROFILE_IDS),
  cautions: z.array(z.enum(['barbed-hairs', 'serious-venom'])),
  permit: z.enum(['cites-2']).optional(),
  basis: z.enum(BASES),
}) satisfies z.ZodType<Species>;

/**
 * Holds the data that ships with the program against its schemas.
 * @throws naming the file and the field of what does not parse.
 */
export function checkShippedData(): void {
  check('data/profiles', z.array(careProfile), profiles);
  check('data/species.json', z.array(species), knownSpecies);
  for (const id of PROFILE_IDS) {
    if (profileOf(id).id !== id) throw new Error(`data/profiles/${id}.json calls itself ${profileOf(id).id}.`);
  }
}

function check(what: string, schema: z.ZodType, value: unknown): void {
  const parsed = schema.safeParse(value);
  if (!parsed.success) throw new Error(`${what} does not parse:\n${z.prettifyError(parsed.error)}`);
}
