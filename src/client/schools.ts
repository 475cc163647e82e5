import { create } from 'zustand';
import type { z } from 'zod';
import type { newSchoolChoice, SchoolChoice } from '@/contract/store';
import { call } from './api';
import { problemOf, useHouse } from './house';
import { useLog } from './log';

interface SchoolStore {
  choices: SchoolChoice[] | null;
  load: () => Promise<void>;
  choose: (choice: z.input<typeof newSchoolChoice>, text: string) => Promise<void>;
}

/** Which schools were chosen, for whom; fetched when a screen asks. */
export const useSchools = create<SchoolStore>()((set) => ({
  choices: null,
  load: async () => {
    try {
      set(await call('schoolChoices', {}));
    } catch (error) {
      useLog.getState().show({ text: problemOf(error), isProblem: true });
    }
  },
  choose: async (choice, text) => {
    try {
      set(await call('chooseSchool', { body: choice }));
      await useHouse.getState().load();
      useLog.getState().show({ text });
    } catch (error) {
      useLog.getState().show({ text: problemOf(error), isProblem: true });
    }
  },
}));
