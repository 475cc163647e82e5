import type { BackupBoard } from '@/contract/backup';
import type { TableName, TablesBroughtIn } from '@/contract/tables';
import { dayWords } from './days';

/** "2.4 MB", "310 kB". */
export const sizeWords = (bytes: number): string =>
  bytes >= 1e6 ? `${(bytes / 1e6).toFixed(1)} MB` : `${Math.max(1, Math.round(bytes / 1e3))} kB`;

/** How the daily backups stand, in one sentence. */
export function backupWords({ folder, provenOn, problem, isLate }: BackupBoard, today: string): string {
  if (folder === null) return 'Nobody keeps backups of this house: its server was started without a folder for them.';
  const last = provenOn === null ? 'none yet' : `the last ${dayWords(provenOn, today)}`;
  if (problem !== null) return `The last backup did not work: ${problem}`;
  if (isLate) return `No backup has worked for three days: ${last}.`;
  return `One is made every day and restored on trial: ${last}.`;
}

/** What a file that is brought in will do. */
export function bringInWords(isEmpty: boolean, hasFolder: boolean): string {
  if (isEmpty) return 'This house is empty: a backup of another, or of this one, can be brought in.';
  return hasFolder
    ? 'A backup takes the place of what is here; that is kept aside as a file first.'
    : 'This house is not empty, and its server has no folder in which it could be kept aside. Start it with VB_BACKUPS.';
}

/** What came in, and where what was there is. */
export const broughtWords = (rows: number, madeAt: string, keptAs: string | null, today: string): string =>
  `The house of ${dayWords(madeAt.slice(0, 10), today)} is here, ${rows} rows.` +
  (keptAs === null ? '' : ` What was here is kept as ${keptAs}.`);

/** What each table that goes out is called, and what it holds. */
export const tableWords: Record<TableName, { title: string; holds: string }> = {
  residents: { title: 'residents', holds: 'Living and gone: name, box, size, sex, origin' },
  homes: { title: 'boxes', holds: 'Code, place, sides, soil, lid' },
  shelves: { title: 'shelves', holds: 'Name and room' },
  rooms: { title: 'rooms', holds: 'Name and air' },
  plans: { title: 'plans', holds: 'The work of the next 90 days, day by day, levelled' },
  schools: { title: 'schools', holds: 'Which way of keeping was chosen, for what' },
  entries: { title: 'log', holds: 'Every entry, one row each, with what was measured' },
  probes: { title: 'probes', holds: 'What they are called, and where they hang' },
  readings: { title: 'readings', holds: 'Probes and scales: temperature, humidity, weight' },
  store: { title: 'store', holds: 'What was bought, used and counted' },
  keepers: { title: 'keepers', holds: 'Walk hours and busy days' },
  absences: { title: 'days away', holds: 'From, until, who looks after the house' },
};

/** "Brought in: boxes 58, residents 45." */
export const tablesBroughtWords = (written: TablesBroughtIn): string =>
  `Brought in: ${Object.entries(written)
    .map(([name, rows]) => `${tableWords[name as TableName].title} ${rows}`)
    .join(', ')}.`;
