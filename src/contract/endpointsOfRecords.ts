import { backupBoard } from './backup';
import { changes } from './changes';
import { z } from 'zod';
import { broodBoard } from './broods';
import { residentRest, restBoard } from './rest';
import { colonyBoard, colonyFacts } from './colony';
import { moultFacts, residentBatch, residentMoult } from './growth';
import { day, id, line, oneOf } from './primitives';
import { newEntries, newEntry, newJoin, newPart, newResidentPhoto } from './entries';
import { broughtList, listReply, newList } from './lists';
import { entryChange, entryVersion } from './mending';
import { entry, ENTRY_KINDS } from './storedEntries';
import { goneResident, takenBack, newResident, resident, residentChange } from './records';
import { replay, replayResult } from './replay';
import { round } from './round';
import type { Endpoint } from './endpoint';
import { routes } from './routes';
import { scoreBoard } from './scores';

const byId = z.strictObject({ id });

/** The entry that had answered the same job before: then nothing was written, and both keepers are told. */
const already = entry.optional();

/** Residents, what was written down of them, and what is known of each today. */
export const recordEndpoints = {
  changes: {
    ...routes.changes,
    summary: 'What has changed in the lists of homes and residents and in the round since a page was told.',
    query: z.strictObject({ since: line('what the answer before called its token', 40).optional() }),
    reply: changes,
  },
  residents: {
    ...routes.residents,
    summary: 'All residents, as they are now.',
    reply: z.object({ residents: z.array(resident) }),
  },
  takeIn: {
    ...routes.takeIn,
    signed: ['keeper'],
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
    signed: ['keeper'],
    summary: 'Writes down what was done, seen or measured. Sent twice with the same id it is written once.',
    body: newEntry,
    reply: z.object({ entry, already }),
    status: 201,
  },
  lists: {
    ...routes.lists,
    summary: 'The lists that were brought in, the latest first, at most 50.',
    reply: z.object({ lists: z.array(broughtList) }),
  },
  bringList: {
    ...routes.bringList,
    summary:
      'Brings in a list, all of its rows or none. `boxes`: as POST /api/homes, with room and shelf by name in the place of ' +
      'shelfId. `residents`: as POST /api/residents, with the code of a box in the place of homeId. `events`: as POST ' +
      '/api/entries. The answer names each row that makes no sense; while there is one, nothing is written.',
    body: newList,
    reply: listReply,
  },
  undoList: {
    ...routes.undoList,
    summary: 'Takes a list back as one act, with the boxes of it in which nobody lived.',
    params: byId,
    query: z.object({ along: oneOf(['yes']).optional() }),
    reply: z.object({ undone: z.int() }),
  },
  layExample: {
    ...routes.layExample,
    summary: 'Lays an example house into one in which nothing is written yet, to look into and to throw away.',
    reply: z.object({ isExample: z.boolean() }),
  },
  dropExample: {
    ...routes.dropExample,
    summary: 'Throws the example house away, with all that was written in it.',
    reply: z.object({ isExample: z.boolean() }),
  },
  mendEntry: {
    ...routes.mendEntry,
    signed: ['by'],
    summary: 'Puts an entry right: its day, its numbers, whom it is about. How it stood before can still be read.',
    params: byId,
    body: entryChange,
    reply: z.object({ entry }),
  },
  entryVersions: {
    ...routes.entryVersions,
    summary: 'How an entry stood before it was put right, the latest first.',
    params: byId,
    reply: z.object({ versions: z.array(entryVersion) }),
  },
  takenBackEntries: {
    ...routes.takenBackEntries,
    summary: 'What was written about a resident and taken back, the latest first, at most 100.',
    params: byId,
    reply: z.object({ entries: z.array(entry) }),
  },
  restoreEntry: {
    ...routes.restoreEntry,
    summary: 'Brings back an entry that was taken back, and what was taken back with it, if it still makes sense.',
    params: byId,
    reply: z.object({ entry }),
  },
  undoEntry: {
    ...routes.undoEntry,
    summary:
      'Takes an entry back: everything is again as if it had not been written. The entry stays, marked. Where others rest on ' +
      'it the answer is 409 and says which: `along=yes` takes them back with it.',
    params: byId,
    query: z.object({ along: oneOf(['yes']).optional() }),
    reply: z.object({ entry }),
  },
  addEntries: {
    ...routes.addEntries,
    signed: ['entries.*.keeper'],
    summary: 'Many entries as one act: all are written, or none and a refusal that names the entry and its field.',
    body: newEntries,
    reply: z.object({ entries: z.array(entry), already }),
    status: 201,
  },
  replayEntries: {
    ...routes.replayEntries,
    signed: ['acts.*.entries.*.keeper'],
    summary:
      'What was done while the server was away, in order: each act is written whole, once, or refused by itself.',
    body: replay,
    reply: z.object({ results: z.array(replayResult) }),
  },
  undoEntries: {
    ...routes.undoEntries,
    summary: 'Takes many entries back, all or none.',
    body: z.strictObject({ ids: z.array(id).min(1).max(500), along: z.boolean().optional() }),
    reply: z.object({ undone: z.int() }),
  },
  goneResidents: {
    ...routes.goneResidents,
    summary:
      'Those that died, were passed on or joined others, the last to leave first; and those taken in by mistake.',
    reply: z.object({ residents: z.array(goneResident), takenBack: z.array(takenBack) }),
  },
  residentBatch: {
    ...routes.residentBatch,
    summary: 'The heads of a group: instars, survival with bounds, and the batches of its species beside it.',
    params: byId,
    reply: residentBatch,
  },
  partResident: {
    ...routes.partResident,
    signed: ['keeper'],
    summary: 'Takes some of a group out, as a resident of its own that remembers where it came from.',
    params: byId,
    body: newPart,
    reply: z.object({ resident, entry }),
    status: 201,
  },
  joinResident: {
    ...routes.joinResident,
    signed: ['keeper'],
    summary: 'Makes two groups of one species one. Of different kinds it is refused.',
    params: byId,
    body: newJoin,
    reply: z.object({ resident, entry }),
    status: 201,
  },
  addResidentPhoto: {
    ...routes.addResidentPhoto,
    signed: ['keeper'],
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
  moultFacts: {
    ...routes.moultFacts,
    summary: 'What the next moults of all residents are worked out from.',
    reply: moultFacts,
  },
  residentColony: {
    ...routes.residentColony,
    summary: 'What the course of a colony or culture, and its winter rest, are worked out from.',
    params: byId,
    reply: colonyFacts,
  },
  residentRest: {
    ...routes.residentRest,
    summary: 'The winter of a resident: the rest that is planned or under way, step by step, and its place.',
    params: byId,
    reply: residentRest,
  },
  rests: {
    ...routes.rests,
    summary: 'Who needs a winter rest, who may have one and who must not; and how far each is.',
    reply: restBoard,
  },
  colonies: {
    ...routes.colonies,
    summary: 'Colonies and cultures side by side: room, the day to split, what may be taken out, what counts say.',
    reply: colonyBoard,
  },
  backups: {
    ...routes.backups,
    summary: 'The backups that are kept, the last that was proven by a trial restore, and whether one is late.',
    reply: backupBoard,
  },
  broods: {
    ...routes.broods,
    summary: 'Eggs by the week in which they hatch, what keeping them would take, and moths that are to meet.',
    reply: broodBoard,
  },
  scores: {
    ...routes.scores,
    summary: 'How often the forecasts of this house came true, and by how much their windows are widened for it.',
    reply: scoreBoard,
  },
  residentMoult: {
    ...routes.residentMoult,
    summary: 'The moult forecast of a resident by its log, others of its species and the warmth of its shelf.',
    params: byId,
    reply: residentMoult,
  },
} as const satisfies Record<string, Endpoint>;
