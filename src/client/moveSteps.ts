import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface MoveSteps {
  /** By sheet, the steps that are done. */
  done: Record<string, string[]>;
  toggle: (sheetId: string, step: string) => void;
  clear: (sheetId: string) => void;
}

/** How far a move is: kept on this phone, so that a screen that goes dark in between loses nothing. */
export const useMoveSteps = create<MoveSteps>()(
  persist(
    (set, get) => ({
      done: {},
      toggle: (sheetId, step) => {
        const before = get().done[sheetId] ?? [];
        const after = before.includes(step) ? before.filter((each) => each !== step) : [...before, step];
        set({ done: { ...get().done, [sheetId]: after } });
      },
      clear: (sheetId) => {
        const { [sheetId]: _over, ...others } = get().done;
        set({ done: others });
      },
    }),
    { name: 'verdant-burrow-move-steps', partialize: ({ done }) => ({ done }) },
  ),
);
