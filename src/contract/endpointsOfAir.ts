import { z } from 'zod';
import { roomAir } from './climate';
import { day, id, instant } from './primitives';
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
import { home } from './records';
import type { Endpoint } from './endpoint';
import { routes } from './routes';

const byId = z.strictObject({ id });
const oneHome = z.object({ home });

/** Rooms, the air of homes, probes and what they read. */
export const airEndpoints = {
  rooms: {
    ...routes.rooms,
    summary: 'The rooms with their air: by their probes of the last week, as set, or as usual.',
    reply: z.object({ rooms: z.array(room) }),
  },
  changeRoom: {
    ...routes.changeRoom,
    summary: 'Sets the air of a room, from today or from a day gone by on; null goes back to what is usual.',
    params: byId,
    body: z.strictObject({ air: roomAir.nullable(), since: day.optional() }),
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
} as const satisfies Record<string, Endpoint>;
