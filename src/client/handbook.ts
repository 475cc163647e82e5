import { useEffect } from 'react';
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
  /** @throws CallFailed with the fields that were refused */
  writeCard: (card: OwnCard) => Promise<void>;
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

/** The handbook, fetched when the page that asks for it is opened; null before it has come. */
export function useBook(): Handbook | null {
  const { book, load } = useHandbook();
  useEffect(() => void load(), [load]);
  return book;
}
