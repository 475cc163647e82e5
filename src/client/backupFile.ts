import { CallFailed, PAGE } from './api';

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
export async function bringHouseIn(file: Blob, isInstead: boolean): Promise<BroughtIn> {
  const asked = fetch(`/api/restore${isInstead ? '?instead=1' : ''}`, {
    method: 'POST',
    body: file,
    headers: { 'Content-Type': 'application/zip', 'X-Page': PAGE },
  });
  const response = await asked.catch(() => {
    throw new CallFailed('The server does not answer. Nothing was changed.', [], true);
  });
  const answer: unknown = await response.json().catch(() => undefined);
  if (response.ok) return answer as BroughtIn;
  const refusal = (answer as { error?: { message: string; fields?: { path: string; message: string }[] } } | undefined)
    ?.error;
  throw new CallFailed(
    refusal?.fields?.[0]?.message ?? refusal?.message ?? `The server answered ${response.status}.`,
    refusal?.fields,
  );
}
