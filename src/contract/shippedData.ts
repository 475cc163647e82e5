import { z } from 'zod';
import type { StillnessGuide } from '@/core/growth/stillness';
import { isMadeFor } from '@/core/housing/ladder';
import type { Diet } from '@/core/profiles/diet';
import { BASES, SILHOUETTES } from '@/core/profiles/profile';
import { handlingGuide } from './handling';
import { hazardBook } from './hazards';
import { boxSize } from './housing';
import { careProfile } from './profile';
import { eggKind, mothKind } from './broods';
import { restKind } from './rest';
import { stockBook } from './labels';
import { populationKind } from './colony';
import { feederKind, food } from './feeding';
import {
  ORDER,
  shippedBoxSigns,
  shippedBoxSizes,
  shippedCauses,
  shippedEggs,
  shippedFeeders,
  shippedFoods,
  shippedHandling,
  shippedHazards,
  shippedLabelStocks,
  shippedMaterials,
  shippedMixes,
  shippedMoths,
  shippedPopulations,
  shippedProfiles,
  shippedRests,
  shippedSpecies,
  shippedStillness,
  shippedTroubles,
} from './shipped';
import { species } from './species';
import { material, mix } from './substrate';
import { cause, sign, troubleKind } from './trouble';

const line = z.string().min(1);

const lines = z.array(line).min(1);
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
  check('data/species', z.array(species), shippedSpecies);
  check('data/hazards.json', hazardBook, shippedHazards);
  check('data/trouble/causes.json', z.array(cause), shippedCauses);
  check('data/trouble/box.json', z.array(sign), shippedBoxSigns);
  check('data/trouble/kinds', z.array(troubleKind), shippedTroubles);
  check('data/materials.json', z.array(material), shippedMaterials);
  check('data/mixes.json', z.array(mix), shippedMixes);
  check('data/boxSizes.json', z.array(boxSize), shippedBoxSizes);
  check('data/labelStocks.json', stockBook.shape.stocks, shippedLabelStocks);
  check('data/stillness.json', z.array(stillnessGuide), shippedStillness);
  for (const kind of shippedFeeders) check(`data/feeders/${kind.id}.json`, feederKind, kind);
  check('data/foods.json', z.array(food), shippedFoods);
  check('data/populations.json', z.array(populationKind), shippedPopulations);
  check('data/rest.json', z.array(restKind), shippedRests);
  check('data/eggs.json', z.array(eggKind), shippedEggs);
  check('data/moths.json', z.array(mothKind), shippedMoths);
  check('data/handling.json', handlingGuide, shippedHandling);
  const foodIds = new Set(shippedFoods.map((each) => each.id));
  const profileIds = new Set(shippedProfiles.map((profile) => profile.id));
  const mixIds = new Set(shippedMixes.map((each) => each.id));
  const causeIds = new Set(shippedCauses.map((each) => each.id));
  const groups = new Set(shippedProfiles.map(({ group }) => group));
  const lost = [
    ...namesTwice(),
    ...ORDER.groups.filter((name) => !groups.has(name)).map((name) => `order, groups: ${name}`),
    ...shippedTroubles.flatMap(({ causes, signs, silhouettes }) => {
      const named = [...causes.map(({ id }) => id), ...signs.flatMap(({ given }) => Object.keys(given))];
      const own = new Set(causes.map(({ id }) => id));
      return named
        .filter((id) => !causeIds.has(id) || !own.has(id))
        .map((id) => `trouble of ${silhouettes.join(', ')}: ${id}`);
    }),
    ...shippedBoxSigns.flatMap(({ id, given }) =>
      Object.keys(given)
        .filter((each) => !causeIds.has(each))
        .map((each) => `trouble, ${id}: ${each}`),
    ),
    ...shippedProfiles
      .filter(({ silhouette }) => !shippedTroubles.some((kind) => kind.silhouettes.includes(silhouette)))
      .map(({ id, silhouette }) => `${id}: trouble of ${silhouette}`),
    ...shippedHazards.kinds.flatMap(({ profiles }) =>
      profiles.filter((name) => !profileIds.has(name)).map((name) => `hazards: ${name}`),
    ),
    ...shippedSpecies.filter((each) => !profileIds.has(each.profile)).map((each) => `${each.name}: ${each.profile}`),
    ...shippedProfiles.flatMap(({ id, making }) =>
      making.mixes.filter((name) => !mixIds.has(name)).map((name) => `${id}: ${name}`),
    ),
    ...shippedHandling.kinds.flatMap(({ profiles }) =>
      profiles.filter((name) => !profileIds.has(name)).map((name) => `handling: ${name}`),
    ),
    ...[...shippedPopulations, ...shippedRests, ...shippedEggs, ...shippedMoths].flatMap((each) =>
      each.profiles.filter((name) => !profileIds.has(name)).map((name) => `populations, rest or broods: ${name}`),
    ),
    ...shippedProfiles
      .filter(({ id }) => !shippedRests.some((rest) => rest.profiles.includes(id)))
      .map(({ id }) => `rest of ${id}`),
    ...shippedProfiles.flatMap(({ id, diet }) =>
      foodsOf(diet)
        .filter((each) => !foodIds.has(each))
        .map((each) => `${id}: ${each}`),
    ),
    ...shippedSpecies.flatMap(({ name, overrides }) =>
      (overrides?.plants ?? []).filter((each) => !foodIds.has(each)).map((each) => `${name}: ${each}`),
    ),
    ...shippedProfiles
      .filter(({ silhouette }) => !shippedStillness.some((guide) => guide.silhouettes.includes(silhouette)))
      .map(({ id, silhouette }) => `${id}: stillness of ${silhouette}`),
    ...shippedProfiles
      .filter((profile) => !shippedBoxSizes.some((size) => isMadeFor(size, profile)))
      .map(({ id }) => `${id}: a box to buy`),
  ];
  if (lost.length > 0) throw new Error(`The shipped data names what is not there: ${lost.join('; ')}.`);
}

/** A name that two species bear, or a synonym that is a name in use. */
function namesTwice(): string[] {
  const names = shippedSpecies.flatMap((each) => [each.name, ...(each.synonyms ?? [])]);
  return names.filter((name, index) => names.indexOf(name) !== index).map((name) => `species, twice: ${name}`);
}

function foodsOf(diet: Diet | undefined): string[] {
  switch (diet?.eats) {
    case 'leaves':
    case 'colony-food':
      return diet.plants;
    case 'litter':
      return diet.foods;
    case 'greens':
      return [...diet.foods, ...diet.proteins];
    default:
      return [];
  }
}

function check(what: string, schema: z.ZodType, value: unknown): void {
  const parsed = schema.safeParse(value);
  if (!parsed.success) throw new Error(`${what} does not parse:\n${z.prettifyError(parsed.error)}`);
}
