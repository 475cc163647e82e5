import { z } from 'zod';
import type { StillnessGuide } from '@/core/growth/stillness';
import { BASES, SILHOUETTES } from '@/core/profiles/profile';
import { boxSize } from './housing';
import { scientificName } from './primitives';
import { careProfile, speciesOverrides } from './profile';
import {
  shippedBoxSizes,
  shippedMaterials,
  shippedMixes,
  shippedProfiles,
  shippedSpecies,
  shippedStillness,
} from './shipped';
import { CAUTIONS, type Species } from './species';
import { material, mix } from './substrate';

export const species = z.strictObject({
  name: scientificName,
  commonName: z.string(),
  profile: z.string(),
  cautions: z.array(z.enum(CAUTIONS)),
  permit: z.enum(['cites-2', 'plant-pest']).optional(),
  overrides: speciesOverrides.optional(),
  basis: z.enum(BASES),
}) as z.ZodType<Species>;

const lines = z.array(z.string().min(1)).min(1);
const stillnessGuide = z.strictObject({
  silhouettes: z.array(z.enum(SILHOUETTES)).min(1),
  usualDays: z.number().positive(),
  longestDays: z.number().positive(),
  deathsPerYear: z.number().positive(),
  findings: z.array(z.strictObject({ id: z.string(), title: z.string(), times: z.number().positive() })).min(2),
  lookFor: lines,
  howToLook: lines,
  notToDo: lines,
  worry: z.string().min(1),
  basis: z.enum(BASES),
}) satisfies z.ZodType<StillnessGuide>;

/**
 * Holds the data that ships with the program against its schemas, and the files against one another.
 * @throws naming the file and the field of what does not parse.
 */
export function checkShippedData(): void {
  for (const profile of shippedProfiles) check(`data/profiles/${profile.id}.json`, careProfile, profile);
  check('data/species.json', z.array(species), shippedSpecies);
  check('data/materials.json', z.array(material), shippedMaterials);
  check('data/mixes.json', z.array(mix), shippedMixes);
  check('data/boxSizes.json', z.array(boxSize), shippedBoxSizes);
  check('data/stillness.json', z.array(stillnessGuide), shippedStillness);
  const profileIds = new Set(shippedProfiles.map((profile) => profile.id));
  const mixIds = new Set(shippedMixes.map((each) => each.id));
  const lost = [
    ...shippedSpecies.filter((each) => !profileIds.has(each.profile)).map((each) => `${each.name}: ${each.profile}`),
    ...shippedProfiles.flatMap(({ id, making }) =>
      making.mixes.filter((name) => !mixIds.has(name)).map((name) => `${id}: ${name}`),
    ),
    ...shippedProfiles
      .filter(({ silhouette }) => !shippedStillness.some((guide) => guide.silhouettes.includes(silhouette)))
      .map(({ id, silhouette }) => `${id}: stillness of ${silhouette}`),
  ];
  if (lost.length > 0) throw new Error(`The shipped data names what is not there: ${lost.join('; ')}.`);
}

function check(what: string, schema: z.ZodType, value: unknown): void {
  const parsed = schema.safeParse(value);
  if (!parsed.success) throw new Error(`${what} does not parse:\n${z.prettifyError(parsed.error)}`);
}
