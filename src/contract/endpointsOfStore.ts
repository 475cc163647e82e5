import { z } from 'zod';
import type { Endpoint } from './endpoint';
import { feedingHistoryReply } from './feedingHistory';
import { food, itemId, newPlant } from './feeding';
import { id } from './primitives';
import { routes } from './routes';
import {
  culture,
  cultureChange,
  larderReply,
  newCulture,
  newSchoolChoice,
  newStockEntry,
  schoolChoice,
  stockEntry,
  storeReply,
  supplierChange,
  supplierReply,
  supplyPlan,
} from './store';

const byId = z.strictObject({ id });
const choices = z.object({ choices: z.array(schoolChoice) });

/** What is fed, what the store holds and needs, and which schools are followed. */
export const storeEndpoints = {
  larder: {
    ...routes.larder,
    summary: 'Every kind of feeder with its sizes, and every other food, the plants of the house among them.',
    reply: larderReply,
  },
  addPlant: {
    ...routes.addPlant,
    summary: 'Adds a food plant of the house; the same name is the same plant.',
    body: newPlant,
    reply: z.object({ plant: food }),
    status: 201,
  },
  removePlant: {
    ...routes.removePlant,
    summary: 'Takes a plant of the house out; those that were given it go on with their others.',
    params: z.strictObject({ plantId: itemId }),
    reply: z.object({ removed: z.string() }),
  },
  store: {
    ...routes.store,
    summary: 'What is in the house: feeders by size as they must stand today, foods with their use-by days, materials.',
    reply: storeReply,
  },
  stockEntries: {
    ...routes.stockEntries,
    summary: 'What came into the store and went out of it, newest first; of one item or of all.',
    query: z.strictObject({ item: itemId.optional() }),
    reply: z.object({ entries: z.array(stockEntry) }),
  },
  addStockEntry: {
    ...routes.addStockEntry,
    signed: ['keeper'],
    summary: 'Bought, harvested, counted, died or thrown away. More cannot go out than is there.',
    body: newStockEntry,
    reply: z.object({ entry: stockEntry }),
    status: 201,
  },
  undoStockEntry: {
    ...routes.undoStockEntry,
    summary: 'Takes an entry of the store back.',
    params: byId,
    reply: z.object({ entry: stockEntry }),
  },
  supplyPlan: {
    ...routes.supplyPlan,
    summary: 'What the house will eat in 12 weeks, what is short of it, and what to order when.',
    reply: supplyPlan,
  },
  addCulture: {
    ...routes.addCulture,
    summary: 'A culture of feeders of your own.',
    body: newCulture,
    reply: z.object({ culture }),
    status: 201,
  },
  changeCulture: {
    ...routes.changeCulture,
    summary: 'Corrects a culture: its breeders, the size that is taken, its name.',
    params: byId,
    body: cultureChange,
    reply: z.object({ culture }),
  },
  removeCulture: {
    ...routes.removeCulture,
    summary: 'Gives a culture up.',
    params: byId,
    reply: z.object({ removed: id }),
  },
  supplier: {
    ...routes.supplier,
    summary: 'The price list that orders are planned by; `csv` is the same list as a file.',
    reply: supplierReply,
  },
  setSupplier: {
    ...routes.setSupplier,
    summary: 'Puts a price list of your own in force: CSV with item, pack_size, pack_price, lead_days, handling.',
    body: supplierChange,
    reply: supplierReply,
  },
  resetSupplier: {
    ...routes.resetSupplier,
    summary: 'Goes back to the price list that ships.',
    reply: supplierReply,
  },
  schoolChoices: {
    ...routes.schoolChoices,
    summary: 'The schools that were chosen for rooms, kinds and residents.',
    reply: choices,
  },
  chooseSchool: {
    ...routes.chooseSchool,
    summary: 'Chooses a school on a topic for a room, a kind or one resident; null goes back to the usual.',
    body: newSchoolChoice,
    reply: choices,
  },
  feedingHistory: {
    ...routes.feedingHistory,
    summary: 'Week by week what a resident was offered, took and refused; its weight, condition and what it gained.',
    params: byId,
    reply: feedingHistoryReply,
  },
} as const satisfies Record<string, Endpoint>;
