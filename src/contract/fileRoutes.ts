import { z } from 'zod';
import { id, line, oneOf } from './primitives';
import type { Needed } from './roles';
import { ENTRY_KINDS } from './storedEntries';
import { MOST_IDS } from './tables';

interface FileRoute {
  method: 'get' | 'post';
  path: string;
  role: Needed;
  summary: string;
  /** What is answered, by its media type. */
  answers: readonly [string, ...string[]];
  /** What is sent, by its media type. */
  takes?: string;
  query?: z.ZodObject;
  /** What leaves the house by it is told in the log of access. */
  isExport?: true;
}

const ZIP = 'application/zip';
const PDF = 'application/pdf';
const JPEG = 'image/jpeg';
const ICALENDAR = 'text/calendar';
const JSON_TYPE = 'application/json';

/** Things with commas between, as far as an address holds them. */
const list = <T extends z.ZodType<string, string>>(of: T, most: number) =>
  z
    .string()
    .transform((text) => text.split(','))
    .pipe(z.array(of).max(most, { error: `At most ${most} at a time.` }))
    .optional();

/** Which rows of a table go out: all of them where nothing is asked. */
const rowsAsked = z.object({
  ids: list(id, MOST_IDS).meta({ description: 'Ids of the rows, with commas between.' }),
  resident: id.optional().meta({ description: 'Only what is about this resident.' }),
  kinds: list(oneOf(ENTRY_KINDS), MOST_IDS).meta({ description: 'Kinds of entry, with commas between.' }),
});

/** How a sheet is asked for: in whose units, on which paper, and what it is about. */
const paperAsked = z.object({
  length: z
    .enum(['mm', 'cm', 'in'], { error: 'Must be mm, cm or in.' })
    .default('mm')
    .meta({ description: 'Unit of lengths.' }),
  temperature: z
    .enum(['C', 'F'], { error: 'Must be C or F.' })
    .default('C')
    .meta({ description: 'Unit of temperatures.' }),
  paper: z
    .enum(['a4', 'letter'], { error: 'Must be a4 or letter.' })
    .default('a4')
    .meta({ description: 'Size of the paper.' }),
  shelves: list(id, 500).meta({ description: 'Ids of shelves, with commas between; left out, all of them.' }),
  resident: id.optional().meta({ description: 'Of a record and of a handling sheet: whose.' }),
  to: id.optional().meta({ description: 'Of a handling sheet: the home it moves to.' }),
  name: line('the name on the card', 90)
    .optional()
    .meta({ description: 'Of a card: a species, or the id of a care profile.' }),
});

/** What is answered with a file, a stream or a document of another format, and what takes one. */
export const fileRoutes = {
  openApi: {
    ...{ method: 'get', path: '/api/openapi.json', role: 'anyone', answers: [JSON_TYPE] },
    summary: 'This document.',
  },
  events: {
    ...{ method: 'get', path: '/api/events', role: 'reader', answers: ['text/event-stream'] },
    summary:
      'Server-sent events: `clock` every 20 s with the time of the house and, where it was set back, the moment it is behind; `written` with the page by which something was written.',
  },
  homePhoto: {
    ...{ method: 'get', path: '/api/homes/:id/photo', role: 'reader', answers: [JPEG] },
    summary: 'The photo of a home.',
  },
  entryPhoto: {
    ...{ method: 'get', path: '/api/entries/:id/photo', role: 'reader', answers: [JPEG] },
    summary: 'The photo of an entry.',
  },
  calendarBySecret: {
    ...{ method: 'get', path: '/api/calendar/:file', role: 'secret', answers: [ICALENDAR] },
    summary: 'The calendar of a keeper, for programs that subscribe to it by its secret address.',
  },
  calendarOfKeeper: {
    ...{ method: 'get', path: '/api/keepers/:id/calendar.ics', role: 'helper', answers: [ICALENDAR] },
    summary: 'The calendar of a keeper as a file.',
  },
  sheetPdf: {
    ...{ method: 'get', path: '/api/absences/:id/sheet.pdf', role: 'reader', answers: [PDF] },
    summary: 'The sheet for whoever looks after the animals during an absence.',
  },
  labelPdf: {
    ...{ method: 'get', path: '/api/label-prints/:file', role: 'helper', answers: [PDF] },
    summary: 'The labels of a print, as `ID.pdf`.',
  },
  paper: {
    ...{ method: 'get', path: '/api/paper/:file', role: 'reader', answers: [PDF], query: paperAsked },
    summary:
      'A sheet on paper: round.pdf, shelves.pdf, emergency.pdf, card.pdf, handling.pdf, record.pdf or new-keeper.pdf.',
  },
  backup: {
    ...{ method: 'get', path: '/api/backup', role: 'keeper', answers: [ZIP], isExport: true },
    summary: 'A backup of the whole house, written while the house goes on.',
  },
  keptBackup: {
    ...{ method: 'get', path: '/api/backups/:name', role: 'keeper', answers: [ZIP], isExport: true },
    summary: 'A backup that the house has made by itself, by its name.',
  },
  restore: {
    ...{ method: 'post', path: '/api/restore', role: 'keeper', answers: [JSON_TYPE], takes: ZIP },
    query: z.object({
      instead: z
        .string()
        .optional()
        .meta({ description: '1 puts the backup in the place of what is here, which is kept aside first.' }),
    }),
    summary: 'Brings a backup into this house: all of it or nothing.',
  },
  tables: {
    ...{ method: 'get', path: '/api/tables', role: 'keeper', answers: [ZIP], isExport: true },
    summary: 'All tables as CSV and JSON, with their schemas, in one zip.',
  },
  tablesIn: {
    ...{ method: 'post', path: '/api/tables', role: 'keeper', answers: [JSON_TYPE], takes: ZIP },
    summary: 'Brings tables in again, out of such a zip: all of them or nothing.',
  },
  table: {
    ...{ method: 'get', path: '/api/tables/:file', role: 'reader', isExport: true, query: rowsAsked },
    answers: ['text/csv', JSON_TYPE],
    summary: 'One table, as `NAME.csv`, as `NAME.json`, or as the JSON Schema of these, `NAME.schema.json`.',
  },
  darwinCore: {
    ...{ method: 'get', path: '/api/darwin-core', role: 'keeper', answers: [ZIP], isExport: true },
    summary: 'The collection with its births, deaths and measurements, as a Darwin Core Archive.',
  },
} as const satisfies Record<string, FileRoute>;
