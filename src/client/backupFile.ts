import { TABLES_ADDRESS, type TablesBroughtIn } from '@/contract/tables';
import { send } from './api';

/** Where the house of this moment is fetched as a file, and where one that was kept is. */
export const BACKUP_ADDRESS = '/api/backup';
export const keptAddress = (name: string): string => `/api/backups/${encodeURIComponent(name)}`;

/** What a file that was brought in came to. */
export interface BroughtIn {
  rows: number;
  madeAt: string;
  /** The name under which what was there before is kept. */
  keptAs: string | null;
}

/** Puts a file in the place of this house. @throws CallFailed with what the server said, or that it did not answer */
export const bringHouseIn = (file: Blob, isInstead: boolean): Promise<BroughtIn> =>
  send(`/api/restore${isInstead ? '?instead=1' : ''}`, 'post', { type: 'application/zip', body: file });

/** Brings the tables of a zip in: all of them or nothing. @throws CallFailed with what the server said, or that it did not answer */
export const bringTablesIn = async (file: Blob): Promise<TablesBroughtIn> =>
  (await send<{ written: TablesBroughtIn }>(TABLES_ADDRESS, 'post', { type: 'application/zip', body: file })).written;
