import { create } from 'zustand';
import type { Access } from '@/contract/access';
import { isAllowed, type Role } from '@/contract/roles';
import { call, onRefused } from './api';
import { useHouse } from './house';
import { forgetAnswers } from './offline';
import { usePreferences } from './preferences';

interface AccessStore {
  /** How the house stands to this page; null before the first answer. */
  access: Access | null;
  load: () => Promise<void>;
  /** Takes over what the server said of it, and fetches the house where somebody else is in now. */
  heard: (access: Access) => void;
  signOut: () => Promise<void>;
  lock: () => Promise<void>;
}

let asked: Promise<void> | undefined;

/** Who is in, on this page. */
export const useAccess = create<AccessStore>()((set, get) => ({
  access: null,
  load: () => {
    // Refused at many places at one moment, a page asks once.
    asked ??= call('access', {})
      .then((access) => get().heard(access))
      // Nobody answers: the walk goes on with what the phone knows.
      .catch(() => undefined)
      .finally(() => (asked = undefined));
    return asked;
  },
  heard: (access) => {
    const before = get().access;
    set({ access });
    // What is written down here is theirs who are in.
    const preferences = usePreferences.getState();
    if (access.state === 'signed-in' && access.who) {
      preferences.set({ keeper: access.who.name, personId: access.who.id });
    }
    if (access.state === 'open') preferences.set({ personId: null });
    const isIn = access.state === 'open' || access.state === 'signed-in';
    const isAnother = before !== null && (before.state !== access.state || before.who?.id !== access.who?.id);
    if (isIn && isAnother) void useHouse.getState().load();
    if (!isIn) void forgetAnswers();
  },
  signOut: async () => get().heard(await call('signOut', {})),
  lock: async () => get().heard(await call('lockSession', {})),
}));

onRefused(() => void useAccess.getState().load());

/** As what somebody is in: a house where nobody signs in is everybody's at its machine. */
export const roleIn = (access: Access | null): Role =>
  access?.state === 'signed-in' ? (access.who?.role ?? 'reader') : 'keeper';

/** Whether whoever is in may do what a role may. */
export const useMay = (needed: Role): boolean => useAccess(({ access }) => isAllowed(roleIn(access), needed));
