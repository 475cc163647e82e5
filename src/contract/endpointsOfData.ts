import { z } from 'zod';
import { boxSize } from './housing';
import { day, oneOf, profileId } from './primitives';
import { careProfile, ownSize } from './profile';
import { hazardBook } from './hazards';
import { species } from './species';
import { material, materialChange, mix } from './substrate';
import { MATERIALS } from '@/core/substrate/material';
import { HEMISPHERES } from '@/core/season/year';
import type { Endpoint } from './endpoint';
import { routes } from './routes';

const byProfile = z.strictObject({ profileId });
const byMaterial = z.strictObject({ materialId: oneOf(MATERIALS) });
const oneProfile = z.object({ profile: careProfile });
/** A material as it is reckoned with, and whether a keeper has set its numbers. */
const materialInUse = z.object({ ...material.shape, isOwn: z.boolean() });

const houseFacts = z.strictObject({ hemisphere: oneOf(HEMISPHERES) }).meta({ id: 'House' });

/** The program and the house it runs for; profiles, materials, boxes and species, as they ship and as keepers have set them. */
export const dataEndpoints = {
  health: {
    ...routes.health,
    summary: 'Says that the server is ready, in which version, and on what it stores.',
    reply: z.object({ ok: z.literal(true), version: z.string(), database: z.string(), today: day }),
  },
  house: {
    ...routes.house,
    summary: 'What holds for the whole house: in which half of the world it stands, and so when its winter is.',
    reply: houseFacts,
  },
  changeHouse: {
    ...routes.changeHouse,
    summary: 'Says where the house stands: leaves and winter rest follow its seasons.',
    body: houseFacts,
    reply: houseFacts,
  },
  profiles: {
    ...routes.profiles,
    summary: 'The care profiles, with every rule and its grounds; `own` names those that keepers have made.',
    reply: z.object({ profiles: z.array(careProfile), own: z.array(z.string()), cards: z.array(ownSize) }),
  },
  profile: {
    ...routes.profile,
    summary: 'One care profile, as it can be kept in a file and imported again.',
    params: byProfile,
    reply: careProfile,
  },
  addProfile: {
    ...routes.addProfile,
    summary: 'A profile of your own: a changed copy, or one imported. Those that ship cannot be replaced.',
    body: careProfile,
    reply: oneProfile,
    status: 201,
  },
  changeProfile: {
    ...routes.changeProfile,
    summary: 'Puts another version of an own profile in force. One that does not parse leaves the last in force.',
    params: byProfile,
    body: careProfile,
    reply: oneProfile,
  },
  removeProfile: {
    ...routes.removeProfile,
    summary: 'Removes an own profile that no resident is kept by.',
    params: byProfile,
    reply: z.object({ removed: z.string() }),
  },
  materials: {
    ...routes.materials,
    summary: 'What homes are filled with: density, water held, bricks. Your own numbers where you have set any.',
    reply: z.object({ materials: z.array(materialInUse) }),
  },
  changeMaterial: {
    ...routes.changeMaterial,
    summary: 'Sets your own numbers for a material, as its bag says.',
    params: byMaterial,
    body: materialChange,
    reply: z.object({ material: materialInUse }),
  },
  resetMaterial: {
    ...routes.resetMaterial,
    summary: 'Goes back to the numbers that ship.',
    params: byMaterial,
    reply: z.object({ material: materialInUse }),
  },
  mixes: {
    ...routes.mixes,
    summary: 'Mixes by volume that keepers use.',
    reply: z.object({ mixes: z.array(mix) }),
  },
  boxSizes: {
    ...routes.boxSizes,
    summary: 'Sizes of box that are usual to buy, by their inside lengths.',
    reply: z.object({ boxSizes: z.array(boxSize) }),
  },
  species: {
    ...routes.species,
    summary: 'The species that ship with the program, and what animals can do to their keepers.',
    reply: z.object({ species: z.array(species), hazards: hazardBook }),
  },
} as const satisfies Record<string, Endpoint>;
