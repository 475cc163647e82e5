import { useEffect } from 'react';
import { create } from 'zustand';
import type { z } from 'zod';
import type { endpoints } from '@/contract/endpoints';
import type { BoxSize } from '@/core/housing/ladder';
import { materialTableOf, type MaterialTable, type Mix } from '@/core/substrate/material';
import { call } from './api';
import { problemOf } from './house';

type MaterialInUse = z.infer<(typeof endpoints)['materials']['reply']>['materials'][number];

interface Stock {
  materials: MaterialInUse[];
  table: MaterialTable | null;
  mixes: Mix[];
  boxSizes: BoxSize[];
  problem: string | null;
  load: () => Promise<void>;
}

/** What homes are filled with and made of; fetched when a screen needs it first. */
const useStockStore = create<Stock>()((set) => ({
  materials: [],
  table: null,
  mixes: [],
  boxSizes: [],
  problem: null,
  load: async () => {
    try {
      const [{ materials }, { mixes }, { boxSizes }] = await Promise.all([
        call('materials', {}),
        call('mixes', {}),
        call('boxSizes', {}),
      ]);
      set({ materials, table: materialTableOf(materials), mixes, boxSizes, problem: null });
    } catch (error) {
      set({ problem: problemOf(error) });
    }
  },
}));

/** The stock, fetched once; `table` is null until it has come. */
export function useStock(): Stock {
  const stock = useStockStore();
  const { table, load } = stock;
  useEffect(() => {
    if (table === null) void load();
  }, [table, load]);
  return stock;
}
