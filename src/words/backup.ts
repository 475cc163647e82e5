import type { BackupBoard } from '@/contract/backup';
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

/** What came in, and where what was there is. */
export const broughtWords = (rows: number, madeAt: string, keptAs: string | null, today: string): string =>
  `The house of ${dayWords(madeAt.slice(0, 10), today)} is here, ${rows} rows.` +
  (keptAs === null ? '' : ` What was here is kept as ${keptAs}.`);
