import { create } from 'zustand';
import type { EmergencyCard, Handbook, OwnCard } from '@/contract/handbook';
import { call } from './api';
import { problemOf } from './house';
import { useLog } from './log';

interface HandbookStore {
  /** Null before the first answer. */
  book: Handbook | null;
  emergency: EmergencyCard | null;
  load: () => Promise<void>;
  loadEmergency: () => Promise<void>;
  /** Writes an own card; answers the fields that were refused, or null when it was taken. */
  writeCard: (card: OwnCard) => Promise<unknown>;
  removeCard: (name: string) => Promise<void>;
}

/** The handbook as the server gives it, fetched when a page of it is opened. */
export const useHandbook = create<HandbookStore>()((set, get) => ({
  book: null,
  emergency: null,
  load: async () => {
    try {
      set({ book: await call('handbook', {}) });
    } catch (error) {
      useLog.getState().show({ text: problemOf(error), isProblem: true });
    }
  },
  loadEmergency: async () => {
    try {
      set({ emergency: await call('emergency', {}) });
    } catch (error) {
      useLog.getState().show({ text: problemOf(error), isProblem: true });
    }
  },
  writeCard: async (card) => {
    await call('writeOwnCard', { params: { name: card.name }, body: card });
    await get().load();
  },
  removeCard: async (name) => {
    await call('removeOwnCard', { params: { name } });
    await get().load();
  },
}));
