import { z } from 'zod';
import { CARD_PARTS } from '@/core/handbook/card';
import { CAUTIONS, PERMITS } from '@/core/profiles/hazards';
import { BASES } from '@/core/profiles/profile';
import { scientificName } from './primitives';
import { speciesOverrides } from './profile';

const line = z.string().min(1);

/** A species as it stands in `data/species`: what it is called, what it can do, where it comes from, and what it does otherwise. */
export const species = z.strictObject({
  name: scientificName,
  commonName: z.string(),
  profile: z.string(),
  /** Names it bore before, or that others use for it. */
  synonyms: z.array(scientificName).optional(),
  cautions: z.array(z.enum(CAUTIONS)),
  permit: z.enum(PERMITS).optional(),
  /** Where it comes from. */
  range: line,
  /** How old it becomes: males often less, females often more. */
  lifeYears: z.strictObject({ min: z.number().positive(), max: z.number().positive(), basis: z.enum(BASES) }),
  /** What keepers say of this species, by the part of its card. */
  notes: z.partialRecord(z.enum(CARD_PARTS), line).optional(),
  overrides: speciesOverrides.optional(),
  basis: z.enum(BASES),
});
export type Species = z.infer<typeof species>;
