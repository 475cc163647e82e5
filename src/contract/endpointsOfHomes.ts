import { z } from 'zod';
import { id } from './primitives';
import { home, homeChange, newCopies, newHome, newPhoto, newShelf, newShelves, shelf, shelfChange } from './records';
import type { Endpoint } from './endpoint';
import { routes } from './routes';

const byId = z.strictObject({ id });
const oneHome = z.object({ home });

/** Shelves, and the homes on them. */
export const homeEndpoints = {
  shelves: {
    ...routes.shelves,
    summary: 'All shelves, in the order of the round; and whether this is the example house, to be thrown away.',
    reply: z.object({ shelves: z.array(shelf), isExample: z.boolean() }),
  },
  addShelf: {
    ...routes.addShelf,
    summary: 'A new shelf, at the end of the round.',
    body: newShelf,
    reply: z.object({ shelf }),
    status: 201,
  },
  addShelves: {
    ...routes.addShelves,
    summary: 'Puts up the shelves of a room, all or none.',
    body: newShelves,
    reply: z.object({ shelves: z.array(shelf) }),
    status: 201,
  },
  changeShelf: {
    ...routes.changeShelf,
    summary: 'Corrects the name of a shelf or the load it bears.',
    params: byId,
    body: shelfChange,
    reply: z.object({ shelf }),
  },
  arrangeShelf: {
    ...routes.arrangeShelf,
    summary: 'Puts homes on a shelf, from the left in the order given; others that stand there follow in theirs.',
    params: byId,
    body: z.strictObject({
      homeIds: z
        .array(id, { error: 'Must be a list of ids of homes.' })
        .min(1, { error: 'Name at least one home.' })
        .max(1000, { error: 'At most 1,000 homes at a time.' }),
    }),
    reply: z.object({
      /** Everything that stands there now, from the left. */
      homeIds: z.array(id),
    }),
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
  copyHome: {
    ...routes.copyHome,
    summary:
      'More boxes like one: its size, openings, soil and contents, with codes that go on. All are made, or none.',
    params: byId,
    body: newCopies,
    reply: z.object({ homes: z.array(home) }),
    status: 201,
  },
  removeHome: {
    ...routes.removeHome,
    summary: 'Takes a box away in which nobody lives or ever lived.',
    params: byId,
    reply: z.object({ removed: z.literal(true) }),
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
} as const satisfies Record<string, Endpoint>;
