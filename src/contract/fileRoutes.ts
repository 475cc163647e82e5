import type { Needed } from './roles';

interface FileRoute {
  method: 'get' | 'post';
  path: string;
  role: Needed;
  /** What leaves the house by it is told in the log of access. */
  isExport?: true;
}

/** What is answered with a file, a stream or a document of another format, and what takes one. */
export const fileRoutes = {
  openApi: { method: 'get', path: '/api/openapi.json', role: 'anyone' },
  events: { method: 'get', path: '/api/events', role: 'reader' },
  homePhoto: { method: 'get', path: '/api/homes/:id/photo', role: 'reader' },
  entryPhoto: { method: 'get', path: '/api/entries/:id/photo', role: 'reader' },
  calendarBySecret: { method: 'get', path: '/api/calendar/:file', role: 'secret' },
  calendarOfKeeper: { method: 'get', path: '/api/keepers/:id/calendar.ics', role: 'helper' },
  sheetPdf: { method: 'get', path: '/api/absences/:id/sheet.pdf', role: 'reader' },
  labelPdf: { method: 'get', path: '/api/label-prints/:file', role: 'helper' },
  paper: { method: 'get', path: '/api/paper/:file', role: 'reader' },
  backup: { method: 'get', path: '/api/backup', role: 'keeper', isExport: true },
  keptBackup: { method: 'get', path: '/api/backups/:name', role: 'keeper', isExport: true },
  restore: { method: 'post', path: '/api/restore', role: 'keeper' },
  tables: { method: 'get', path: '/api/tables', role: 'keeper', isExport: true },
  tablesIn: { method: 'post', path: '/api/tables', role: 'keeper' },
  table: { method: 'get', path: '/api/tables/:file', role: 'reader', isExport: true },
  darwinCore: { method: 'get', path: '/api/darwin-core', role: 'keeper', isExport: true },
} as const satisfies Record<string, FileRoute>;
