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
import {
  airSchoolsReply,
  airSchoolsRequest,
  calibrateReply,
  calibrateRequest,
  moistureReply,
  moistureRequest,
  psychrometricsReply,
  psychrometricsRequest,
  roomAir,
  ventPlanReply,
  ventPlanRequest,
  ventsReply,
  ventsRequest,
} from './climate';
import {
  censusReply,
  censusRequest,
  degreeDaysReply,
  degreeDaysRequest,
  moultFacts,
  moultReply,
  moultRequest,
  residentBatch,
  residentMoult,
  stillnessReply,
  stillnessRequest,
  survivalReply,
  survivalRequest,
} from './growth';
import { feederOrdersReply, feederOrdersRequest } from './feeding';
import { day, id, instant, oneOf, profileId } from './primitives';
import {
  calibrationReply,
  deviceReadings,
  handReading,
  homeAir,
  importResult,
  importRows,
  newImport,
  newProbe,
  probe,
  probeChange,
  probeSeries,
  room,
} from './readings';
import { careProfile } from './profile';
import {
  entry,
  ENTRY_KINDS,
  goneResident,
  home,
  homeChange,
  newEntries,
  newEntry,
  newHome,
  newJoin,
  newPart,
  newPhoto,
  newResident,
  newResidentPhoto,
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
    summary: 'Entries about a resident and the soil of its home, newest first, a page at a time.',
    params: byId,
    query: z.strictObject({
      /** Kinds to show, with commas between; all if left out. */
      kinds: z
        .string()
        .refine((text) => text.split(',').every((each) => ENTRY_KINDS.some((known) => known === each)), {
          error: `Must be kinds of entries with commas between: ${ENTRY_KINDS.join(', ')}.`,
        })
        .optional(),
      /** The last entry of the page before. */
      before: id.optional(),
    }),
    reply: z.object({ entries: z.array(entry), hasMore: z.boolean() }),
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
  addEntries: {
    ...routes.addEntries,
    summary: 'Many entries as one act: all are written, or none and a refusal that names the entry and its field.',
    body: newEntries,
    reply: z.object({ entries: z.array(entry) }),
    status: 201,
  },
  undoEntries: {
    ...routes.undoEntries,
    summary: 'Takes many entries back, all or none.',
    body: z.strictObject({ ids: z.array(id).min(1).max(500) }),
    reply: z.object({ undone: z.int() }),
  },
  goneResidents: {
    ...routes.goneResidents,
    summary: 'Those that died, were passed on or joined others, the last to leave first.',
    reply: z.object({ residents: z.array(goneResident) }),
  },
  residentBatch: {
    ...routes.residentBatch,
    summary: 'The heads of a group: instars, survival with bounds, and the batches of its species beside it.',
    params: byId,
    reply: residentBatch,
  },
  partResident: {
    ...routes.partResident,
    summary: 'Takes some of a group out, as a resident of its own that remembers where it came from.',
    params: byId,
    body: newPart,
    reply: z.object({ resident, entry }),
    status: 201,
  },
  joinResident: {
    ...routes.joinResident,
    summary: 'Makes two groups of one species one. Of different kinds it is refused.',
    params: byId,
    body: newJoin,
    reply: z.object({ resident, entry }),
    status: 201,
  },
  addResidentPhoto: {
    ...routes.addResidentPhoto,
    summary: 'Keeps a photo with the record; GET /api/entries/{id}/photo for the picture.',
    params: byId,
    body: newResidentPhoto,
    reply: z.object({ entry }),
    status: 201,
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
  psychrometrics: {
    ...routes.psychrometrics,
    summary: 'Saturation, vapour pressure, dew point and absolute humidity of air.',
    body: psychrometricsRequest,
    reply: psychrometricsReply,
  },
  vents: {
    ...routes.vents,
    summary: 'What goes through the openings of a home by diffusion, warmth and draught, opening by opening.',
    body: ventsRequest,
    reply: ventsReply,
  },
  moisture: {
    ...routes.moisture,
    summary: 'Humidity and wetness of a home over time, when to damp it again and with how much.',
    body: moistureRequest,
    reply: moistureReply,
  },
  ventPlan: {
    ...routes.ventPlan,
    summary: 'Solves for holes that hold a band; where none do, says which wish to ease and how far.',
    body: ventPlanRequest,
    reply: ventPlanReply,
  },
  calibrate: {
    ...routes.calibrate,
    summary: 'Fits draught and surface of a box to its readings and weighings.',
    body: calibrateRequest,
    reply: calibrateReply,
  },
  airSchools: {
    ...routes.airSchools,
    summary: 'The same box kept both ways: misted to a number, and with a dish and cross flow.',
    body: airSchoolsRequest,
    reply: airSchoolsReply,
  },
  moult: {
    ...routes.moult,
    summary: 'When an animal moults next, how large it will be, and how likely a moult is close by its signs.',
    body: moultRequest,
    reply: moultReply,
  },
  survival: {
    ...routes.survival,
    summary: 'The share that lives on, by Kaplan and Meier with Greenwood bounds.',
    body: survivalRequest,
    reply: survivalReply,
  },
  degreeDays: {
    ...routes.degreeDays,
    summary: 'Degree-days of one day by the single sine, or of a logged series.',
    body: degreeDaysRequest,
    reply: degreeDaysReply,
  },
  stillness: {
    ...routes.stillness,
    summary: 'Dead or moulting: odds from the days and from what is seen, what to look for, and what not to do.',
    body: stillnessRequest,
    reply: stillnessReply,
  },
  census: {
    ...routes.census,
    summary: 'The heads of a group from its log: instars now, and survival by Kaplan and Meier.',
    body: censusRequest,
    reply: censusReply,
  },
  moultFacts: {
    ...routes.moultFacts,
    summary: 'What the next moults of all residents are worked out from.',
    reply: moultFacts,
  },
  residentMoult: {
    ...routes.residentMoult,
    summary: 'The moult forecast of a resident by its log, others of its species and the warmth of its shelf.',
    params: byId,
    reply: residentMoult,
  },
  rooms: {
    ...routes.rooms,
    summary: 'The rooms with their air: by their probes of the last week, as set, or as usual.',
    reply: z.object({ rooms: z.array(room) }),
  },
  changeRoom: {
    ...routes.changeRoom,
    summary: 'Sets the air of a room; null goes back to what is usual.',
    params: byId,
    body: z.strictObject({ air: roomAir.nullable() }),
    reply: z.object({ room }),
  },
  homeAir: {
    ...routes.homeAir,
    summary: 'The air of a home now: its room, its probes, their alarms, and when to damp it.',
    params: byId,
    reply: homeAir,
  },
  calibrateHome: {
    ...routes.calibrateHome,
    summary: 'Sets a home right by its readings and weighings since it was last damped, and keeps what was found.',
    params: byId,
    reply: calibrationReply,
  },
  resetCalibration: {
    ...routes.resetCalibration,
    summary: 'Forgets what the readings of a home have taught.',
    params: byId,
    reply: oneHome,
  },
  readHome: {
    ...routes.readHome,
    summary: 'Writes down a temperature, a humidity or a weight that was read by hand.',
    params: byId,
    body: handReading,
    reply: z.object({ probe }),
    status: 201,
  },
  sendReadings: {
    ...routes.sendReadings,
    summary: 'What a device measured. Its token goes in the header: Authorization: Bearer <token>.',
    body: deviceReadings,
    reply: z.object({ added: z.int(), duplicates: z.int() }),
    status: 201,
  },
  probes: {
    ...routes.probes,
    summary: 'All probes with what each said last.',
    reply: z.object({ probes: z.array(probe) }),
  },
  addProbe: {
    ...routes.addProbe,
    summary: 'A probe in a home or a room. The token of a device is shown this once.',
    body: newProbe,
    reply: z.object({ probe, token: z.string().nullable() }),
    status: 201,
  },
  changeProbe: {
    ...routes.changeProbe,
    summary: 'Names a probe, or gives a simulated one a fault to try the alarms with.',
    params: byId,
    body: probeChange,
    reply: z.object({ probe }),
  },
  removeProbe: {
    ...routes.removeProbe,
    summary: 'Removes a probe and all it has said.',
    params: byId,
    reply: z.object({ removed: id }),
  },
  renewToken: {
    ...routes.renewToken,
    summary: 'Another token for a device; the one before is refused from now on.',
    params: byId,
    reply: z.object({ token: z.string() }),
  },
  probeSeries: {
    ...routes.probeSeries,
    summary: 'The course of a probe in at most 400 steps, with its doubted readings.',
    params: byId,
    query: z.strictObject({ from: instant.optional(), to: instant.optional() }),
    reply: probeSeries,
  },
  beginImport: {
    ...routes.beginImport,
    summary: 'Begins to take in the file of a logger. Nothing of it shows before it is finished.',
    body: newImport,
    reply: z.object({ importId: id }),
    status: 201,
  },
  importRows: {
    ...routes.importRows,
    summary: 'Some rows of the file, at most 10,000 at a time.',
    params: byId,
    body: importRows,
    reply: z.object({ received: z.int() }),
  },
  finishImport: {
    ...routes.finishImport,
    summary: 'Lets the rows in, all at once; instants that are there already are left.',
    params: byId,
    reply: importResult,
  },
  dropImport: {
    ...routes.dropImport,
    summary: 'Gives a file up: nothing of it stays.',
    params: byId,
    reply: z.object({ dropped: id }),
  },
  feederOrders: {
    ...routes.feederOrders,
    summary: 'When to order feeders, and how many: the cheapest plan that is never short, with shelf life and losses.',
    body: feederOrdersRequest,
    reply: feederOrdersReply,
  },
  buildSheet: {
    ...routes.buildSheet,
    summary: 'What to drill, mix and fill for one home or several, step by step with its cautions, and pooled.',
    body: buildSheetRequest,
    reply: buildSheetReply,
  },
} as const satisfies Record<EndpointName, Endpoint>;
