import { z } from 'zod';
import { MATERIALS } from '@/core/substrate/material';
import {
  boxesReply,
  boxesRequest,
  boxSize,
  companyReply,
  companyRequest,
  fitReply,
  fitRequest,
  ladderReply,
  ladderRequest,
  rankReply,
  rankRequest,
} from './housing';
import { day, id, oneOf, profileId } from './primitives';
import { careProfile } from './profile';
import {
  entry,
  home,
  homeChange,
  newEntry,
  newHome,
  newPhoto,
  newResident,
  newShelf,
  resident,
  residentChange,
  shelf,
  shelfChange,
} from './records';
import { round } from './round';
import { routes, type EndpointName } from './routes';
import { species } from './shippedData';
import {
  buildSheetReply,
  buildSheetRequest,
  material,
  materialChange,
  mix,
  plasterReply,
  plasterRequest,
  refreshReply,
  refreshRequest,
  shelfLoadReply,
  shelfLoadRequest,
  substrateReply,
  substrateRequest,
} from './substrate';

/** One route: what goes in, what comes out. The server answers by it, the client calls by it, OpenAPI shows it. */
export interface Endpoint {
  method: 'get' | 'post' | 'patch' | 'put' | 'delete';
  /** With `:name` for what stands in the path. */
  path: string;
  summary: string;
  params?: z.ZodObject;
  query?: z.ZodObject;
  body?: z.ZodType;
  reply: z.ZodType;
  /** 201 where something new is made. */
  status?: 200 | 201;
}

const byId = z.strictObject({ id });
const byProfile = z.strictObject({ profileId });
const byMaterial = z.strictObject({ materialId: oneOf(MATERIALS) });
const oneProfile = z.object({ profile: careProfile });
const oneHome = z.object({ home });

/** A material as it is reckoned with, and whether a keeper has set its numbers. */
const materialInUse = z.object({ ...material.shape, isOwn: z.boolean() });

export const endpoints = {
  health: {
    ...routes.health,
    summary: 'Says that the server is ready, in which version, and on what it stores.',
    reply: z.object({ ok: z.literal(true), version: z.string(), database: z.string(), today: day }),
  },
  profiles: {
    ...routes.profiles,
    summary: 'The care profiles, with every rule and its grounds; `own` names those that keepers have made.',
    reply: z.object({ profiles: z.array(careProfile), own: z.array(z.string()) }),
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
    summary: 'The species that ship with the program.',
    reply: z.object({ species: z.array(species) }),
  },
  shelves: {
    ...routes.shelves,
    summary: 'All shelves, in the order of the round.',
    reply: z.object({ shelves: z.array(shelf) }),
  },
  addShelf: {
    ...routes.addShelf,
    summary: 'A new shelf, at the end of the round.',
    body: newShelf,
    reply: z.object({ shelf }),
    status: 201,
  },
  changeShelf: {
    ...routes.changeShelf,
    summary: 'Corrects the name of a shelf or the load it bears.',
    params: byId,
    body: shelfChange,
    reply: z.object({ shelf }),
  },
  homes: {
    ...routes.homes,
    summary: 'All homes in shelf order, with the depth of their soil and who lives in them.',
    reply: z.object({ homes: z.array(home) }),
  },
  addHome: {
    ...routes.addHome,
    summary: 'A new tub.',
    body: newHome,
    reply: z.object({ home }),
    status: 201,
  },
  changeHome: {
    ...routes.changeHome,
    summary: 'Corrects the code, the place or the container of a home. Its soil is set by an entry.',
    params: byId,
    body: homeChange,
    reply: z.object({ home }),
  },
  setHomePhoto: {
    ...routes.setHomePhoto,
    summary: 'Keeps a photo of a home; one before it is replaced. GET the same address for the picture.',
    params: byId,
    body: newPhoto,
    reply: oneHome,
  },
  removeHomePhoto: {
    ...routes.removeHomePhoto,
    summary: 'Removes the photo of a home.',
    params: byId,
    reply: oneHome,
  },
  residents: {
    ...routes.residents,
    summary: 'All residents, as they are now.',
    reply: z.object({ residents: z.array(resident) }),
  },
  takeIn: {
    ...routes.takeIn,
    summary: 'Takes an animal in: who it is, its first size, and the home it moves into.',
    body: newResident,
    reply: z.object({ resident, entry }),
    status: 201,
  },
  changeResident: {
    ...routes.changeResident,
    summary: 'Corrects who a resident is and how it is kept. Sizes, stage and home change by entries.',
    params: byId,
    body: residentChange,
    reply: z.object({ resident }),
  },
  history: {
    ...routes.history,
    summary: 'The latest 200 entries about a resident and the soil of its home, newest first.',
    params: byId,
    reply: z.object({ entries: z.array(entry) }),
  },
  addEntry: {
    ...routes.addEntry,
    summary: 'Writes down what was done, seen or measured. Sent twice with the same id it is written once.',
    body: newEntry,
    reply: z.object({ entry }),
    status: 201,
  },
  undoEntry: {
    ...routes.undoEntry,
    summary: 'Takes an entry back: everything is again as if it had not been written. The entry stays, marked.',
    params: byId,
    reply: z.object({ entry }),
  },
  round: {
    ...routes.round,
    summary: 'The walk of one day (today if not given): what is due, why, and whom to leave alone.',
    query: z.strictObject({ on: day.optional() }),
    reply: round,
  },
  fit: {
    ...routes.fit,
    summary: 'Holds a home against the rules for one animal, with grounds, and gives the depth of soil that serves.',
    body: fitRequest,
    reply: fitReply,
  },
  rankHomes: {
    ...routes.rankHomes,
    summary: 'Orders homes by how well they serve one animal, each filled to its best depth.',
    body: rankRequest,
    reply: rankReply,
  },
  sizeLadder: {
    ...routes.sizeLadder,
    summary: 'The fewest sizes of box that take an animal from now to fully grown.',
    body: ladderRequest,
    reply: ladderReply,
  },
  boxesToBuy: {
    ...routes.boxesToBuy,
    summary: 'Houses residents in free homes and gives the smallest set of sizes to buy for those that are left.',
    body: boxesRequest,
    reply: boxesReply,
  },
  company: {
    ...routes.company,
    summary: 'What speaks against keeping some residents in one home.',
    body: companyRequest,
    reply: companyReply,
  },
  substrate: {
    ...routes.substrate,
    summary: 'Litres, water, bricks and weight of a filling, flat, sloped or terraced.',
    body: substrateRequest,
    reply: substrateReply,
  },
  plaster: {
    ...routes.plaster,
    summary: 'Powder and water for a poured plaster floor.',
    body: plasterRequest,
    reply: plasterReply,
  },
  refreshPlan: {
    ...routes.refreshPlan,
    summary: 'Days on which part of the soil is changed, never more than half at a time.',
    body: refreshRequest,
    reply: refreshReply,
  },
  shelfLoad: {
    ...routes.shelfLoad,
    summary: 'What stands on a shelf against what it bears.',
    body: shelfLoadRequest,
    reply: shelfLoadReply,
  },
  buildSheet: {
    ...routes.buildSheet,
    summary: 'What to drill, mix and fill for one home or several, step by step with its cautions, and pooled.',
    body: buildSheetRequest,
    reply: buildSheetReply,
  },
} as const satisfies Record<EndpointName, Endpoint>;
