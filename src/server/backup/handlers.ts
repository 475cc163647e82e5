import type { Handlers } from '../http/mount';
import type { BackupKeeper } from './keeping';

/** How the backups of the house stand; of a house whose backups nobody keeps, that. */
export function backupHandlers(keeper: BackupKeeper | undefined): Pick<Handlers, 'backups'> {
  return {
    backups: () => keeper?.state() ?? { folder: null, backups: [], provenOn: null, problem: null, isLate: false },
  };
}
