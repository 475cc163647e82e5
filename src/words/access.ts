import type { AccessEvent } from '@/contract/access';
import type { Role } from '@/contract/roles';

/** What each role may do, as it is chosen. */
export const ROLE_WORDS: Record<Role, { title: string; does: string }> = {
  keeper: { title: 'keeper', does: 'Does everything: rules, people, backups.' },
  helper: { title: 'helper', does: 'Walks and writes down. Changes no rules and sees no secrets.' },
  reader: { title: 'reader', does: 'Looks at everything, and writes nothing down.' },
};

/** What left the house, by the name of its route. */
const EXPORTED: Record<string, string> = {
  backup: 'a backup',
  keptBackup: 'a backup that was kept',
  tables: 'all tables',
  table: 'a table',
  darwinCore: 'a Darwin Core archive',
  life: 'a life as a file',
};

/** What happened at the door, as a line: "Ada signed in with a password, on Firefox on Android". */
export function accessWords({ who, what, detail }: AccessEvent): string {
  const name = who ?? 'Somebody at this machine';
  switch (what) {
    case 'set-up':
      return `${name} ${detail}`;
    case 'signed-in':
      return `${name} signed in ${detail}`;
    case 'refused':
      return `Refused: ${detail}${who === null ? '' : ` for ${who}`}`;
    case 'signed-out':
      return `${name} signed out ${detail}`;
    case 'paired':
      return `${name} paired ${detail}`;
    case 'ended':
      return `${name} ${detail}`;
    case 'changed':
      return `${name}: ${detail.charAt(0).toLowerCase()}${detail.slice(1)}`;
    case 'exported':
      return `${name} took out ${EXPORTED[detail] ?? detail}`;
  }
}
