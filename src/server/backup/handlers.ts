import type { Handlers } from '../http/mount';
import type { Deps } from '../resources/deps';
import type { BackupKeeper } from './keeping';
import type { Writing } from './routes';
import { holdsAnything } from './tables';

const NONE_KEPT = { folder: null, backups: [], provenOn: null, problem: null, isLate: false };

/** How the backups of the house stand; of a house whose backups nobody keeps, that. */
export function backupHandlers(
  { database }: Deps,
  keeper: BackupKeeper | undefined,
  writing: () => Writing | null,
): Pick<Handlers, 'backups'> {
  return {
    backups: async () => ({
      ...(keeper?.state() ?? NONE_KEPT),
      isEmpty: !(await holdsAnything(database)),
      writing: writing(),
    }),
  };
}
