import { useEffect } from 'react';
import { v4 as newId } from 'uuid';
import { create } from 'zustand';
import type { z } from 'zod';
import type { cultureChange, Culture, newCulture, newStockEntry, StockLine, SupplyPlan } from '@/contract/store';
import { call } from './api';
import { problemOf, useHouse } from './house';
import { useLog } from './log';
import { keeperField } from './preferences';

interface StoreBook {
  lines: StockLine[];
  cultures: Culture[];
  plan: SupplyPlan | null;
  problem: string | null;
  load: () => Promise<void>;
  /** Writes what came in or went out. @throws CallFailed with the fields that were refused */
  write: (entry: z.input<typeof newStockEntry>, text: string) => Promise<void>;
  /** @throws CallFailed with the fields that were refused */
  keepCulture: (id: string | null, culture: z.input<typeof newCulture>) => Promise<void>;
  /** Answers false when it was refused. */
  dropCulture: (id: string) => Promise<boolean>;
}

/** What the store holds and needs, as the server last said. */
const useBook = create<StoreBook>()((set, get) => {
  const doing = async (work: () => Promise<void>): Promise<boolean> => {
    try {
      await work();
      await get().load();
      return true;
    } catch (error) {
      useLog.getState().show({ text: problemOf(error), isProblem: true });
      return false;
    }
  };
  return {
    lines: [],
    cultures: [],
    plan: null,
    problem: null,
    load: async () => {
      try {
        const [{ lines, cultures }, plan] = await Promise.all([call('store', {}), call('supplyPlan', {})]);
        set({ lines, cultures, plan, problem: null });
      } catch (error) {
        set({ problem: problemOf(error) });
      }
    },
    write: async (entry, text) => {
      const id = entry.id ?? newId();
      await call('addStockEntry', { body: { ...keeperField(), ...entry, id } });
      const takeBack = async () => {
        const isBack = await doing(async () => void (await call('undoStockEntry', { params: { id } })));
        if (isBack) useLog.getState().show({ text: 'Taken back.' });
      };
      useLog.getState().show({ text, action: { title: 'Undo', run: takeBack } });
      await get().load();
    },
    keepCulture: async (id, culture) => {
      const { called, breeders, harvested } = culture;
      const change: z.input<typeof cultureChange> = { called, breeders, harvested };
      if (id === null) await call('addCulture', { body: { ...culture, id: newId() } });
      else await call('changeCulture', { params: { id }, body: change });
      useLog.getState().show({ text: `${called}: kept.` });
      await get().load();
    },
    dropCulture: (id) => doing(async () => void (await call('removeCulture', { params: { id } }))),
  };
});

/** The store, fetched anew whenever the house was: a meal takes out of it. */
export function useStoreBook(): StoreBook {
  const book = useBook();
  const round = useHouse((house) => house.round);
  const { load } = book;
  useEffect(() => void load(), [load, round]);
  return book;
}
