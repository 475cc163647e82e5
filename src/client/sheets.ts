import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface Sheets {
  /** Steps that are ticked on this phone, by `home id/step`. */
  ticked: Record<string, true>;
  tick: (key: string) => void;
  clear: (homeId: string) => void;
}

/** How far the building has come; kept in the browser of whoever builds. */
export const useSheets = create<Sheets>()(
  persist(
    (set) => ({
      ticked: {},
      tick: (key) =>
        set(({ ticked }) => {
          const { [key]: was, ...rest } = ticked;
          return { ticked: was ? rest : { ...rest, [key]: true } };
        }),
      clear: (homeId) =>
        set(({ ticked }) => ({
          ticked: Object.fromEntries(Object.entries(ticked).filter(([key]) => !key.startsWith(`${homeId}/`))),
        })),
    }),
    { name: 'verdant-burrow-build-sheets' },
  ),
);
