import { z } from 'zod';
import type { Endpoint } from './endpoint';
import { handling } from './handling';
import { busyChange, keeper, keeperChange, newKeeper } from './keepers';
import {
  absence,
  absencePlan,
  absenceRequest,
  chainReply,
  chainRequest,
  dueReply,
  dueRequest,
  movesReply,
  movesRequest,
  newAbsence,
  seasons,
  sitterSheet,
  workReply,
  workRequest,
} from './plan';
import { id } from './primitives';
import { routes } from './routes';

const byId = z.strictObject({ id });
const bySecret = z.strictObject({ secret: z.string().max(64) });
const oneKeeper = z.object({ keeper });

/** What is planned: due work, the year ahead, moves, absences; and the keepers with their calendars. */
export const planEndpoints = {
  due: {
    ...routes.due,
    summary: 'The work that one animal and its home give on a day: why each is due, and until when it may wait.',
    body: dueRequest,
    reply: dueReply,
  },
  workAhead: {
    ...routes.workAhead,
    summary: 'The work of a house for up to a year, levelled by minutes within what each job bears.',
    body: workRequest,
    reply: workReply,
  },
  chain: {
    ...routes.chain,
    summary: 'Who moves into which tub on which day, where each move frees a tub for the next: the cheapest such plan.',
    body: chainRequest,
    reply: chainReply,
  },
  absencePlan: {
    ...routes.absencePlan,
    summary: 'What boxes need while nobody is there: what to do before, which cannot wait, and the fewest visits.',
    body: absenceRequest,
    reply: absencePlan,
  },
  movesPlan: {
    ...routes.movesPlan,
    summary: 'The chain of moves for this house: its residents, its tubs, its keepers’ free days.',
    body: movesRequest,
    reply: movesReply,
  },
  handling: {
    ...routes.handling,
    summary:
      'How a resident is moved: tools, steps, cautions, what to do if it gets out; and the move that is settled.',
    params: byId,
    /** A home that is chosen, where no move is settled. */
    query: z.object({ to: id.optional() }),
    reply: handling,
  },
  seasons: {
    ...routes.seasons,
    summary:
      'The next twelve months: moults, outgrown homes, hatches, rests, moves, absences, and the work of each day.',
    reply: seasons,
  },
  absences: {
    ...routes.absences,
    summary: 'Absences that are planned or under way.',
    reply: z.object({ absences: z.array(absence) }),
  },
  addAbsence: {
    ...routes.addAbsence,
    summary: 'Plans days on which nobody is there, or one of the keepers is not.',
    body: newAbsence,
    reply: z.object({ absence }),
    status: 201,
  },
  dropAbsence: {
    ...routes.dropAbsence,
    summary: 'Gives an absence up.',
    params: byId,
    reply: z.object({ removed: id }),
  },
  absenceSheet: {
    ...routes.absenceSheet,
    summary: 'The sheet for whoever looks in: what to do when, what must never be opened, whom to call.',
    params: byId,
    reply: sitterSheet,
  },
  openSitterPage: {
    ...routes.openSitterPage,
    summary: 'Makes a new secret address of a page that shows only the sheet; one before it no longer works.',
    params: byId,
    reply: z.object({ path: z.string() }),
  },
  sitterPage: {
    ...routes.sitterPage,
    summary: 'The sheet, for whoever has its secret address.',
    params: bySecret,
    reply: sitterSheet,
  },
  keepers: {
    ...routes.keepers,
    summary: 'The keepers of the house: the rooms they walk, their time zone, their days without time.',
    reply: z.object({ keepers: z.array(keeper) }),
  },
  addKeeper: {
    ...routes.addKeeper,
    summary: 'A keeper of this house.',
    body: newKeeper,
    reply: oneKeeper,
    status: 201,
  },
  changeKeeper: {
    ...routes.changeKeeper,
    summary: 'Corrects a keeper.',
    params: byId,
    body: keeperChange,
    reply: oneKeeper,
  },
  removeKeeper: {
    ...routes.removeKeeper,
    summary: 'Removes a keeper; what was written down under the name stays.',
    params: byId,
    reply: z.object({ removed: id }),
  },
  setBusyDays: {
    ...routes.setBusyDays,
    summary: 'Days on which a keeper has no time: named, or read out of a calendar of their own.',
    params: byId,
    body: busyChange,
    reply: oneKeeper,
  },
  renewCalendar: {
    ...routes.renewCalendar,
    summary: 'Makes a new secret address of the keeper’s calendar; one before it no longer works.',
    params: byId,
    reply: z.object({ path: z.string(), keeper }),
  },
  closeCalendar: {
    ...routes.closeCalendar,
    summary: 'Shuts the address of the keeper’s calendar.',
    params: byId,
    reply: oneKeeper,
  },
} as const satisfies Record<string, Endpoint>;
