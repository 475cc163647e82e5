import { z } from 'zod';
import { fitReply, fitRequest, rankReply, rankRequest } from './housing';
import { day, id } from './primitives';
import { careProfile } from './profile';
import { entry, home, homeChange, newEntry, newHome, newResident, newShelf, resident, shelf } from './records';
import { round } from './round';
import { routes, type EndpointName } from './routes';
import { species } from './shippedData';

/** One route: what goes in, what comes out. The server answers by it, the client calls by it, OpenAPI shows it. */
export interface Endpoint {
  method: 'get' | 'post' | 'patch';
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

export const endpoints = {
  health: {
    ...routes.health,
    summary: 'Says that the server is ready, in which version, and on what it stores.',
    reply: z.object({ ok: z.literal(true), version: z.string(), database: z.string(), today: day }),
  },
  profiles: {
    ...routes.profiles,
    summary: 'The care profiles, with every rule and its grounds.',
    reply: z.object({ profiles: z.array(careProfile) }),
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
  residents: {
    ...routes.residents,
    summary: 'All residents, as they are now.',
    reply: z.object({ residents: z.array(resident) }),
  },
  takeIn: {
    ...routes.takeIn,
    summary: 'Takes an animal in: who it is, its first size, and the free home it moves into.',
    body: newResident,
    reply: z.object({ resident, entry }),
    status: 201,
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
} as const satisfies Record<EndpointName, Endpoint>;
