import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import type { z } from 'zod';
import type { newEntry } from '@/contract/entries';
import type { ReplayResult } from '@/contract/replay';
import type { JobKind } from '@/core/plan/jobs';
import type { SkipReason } from '@/core/plan/work';
import { call, CallFailed } from './api';
import { usePreferences } from './preferences';

export type NewEntry = z.input<typeof newEntry>;
export type NamedEntry = NewEntry & { id: string };

/** One answer to a job of the round that has not reached the server. */
export interface Act {
  id: string;
  residentId: string;
  kind: JobKind;
  entries: NamedEntry[];
  /** What was done, in words. */
  text: string;
  /** By the clock of this phone; and the day that the server had last told it. */
  madeAt: string;
  heardOn: string;
  /** Who was signed in; null where nobody signs in. */
  personId: string | null;
  /** It was put off, not done. */
  skip?: { until: string; why: SkipReason } | undefined;
}

/** An act of this phone that the server would not take over, or that somebody else had done before. */
export interface Conflict {
  id: string;
  text: string;
  message: string;
}

interface Queue {
  acts: Act[];
  conflicts: Conflict[];
  isSending: boolean;
  /** Why the house takes nothing over at the moment, where it answers. */
  why: string | null;
  /** The browser has no room left: what is done now would be lost with the page. */
  isFull: boolean;
  add: (act: Act) => void;
  /** Takes an act back that was not sent. False where it is not here, or no longer. */
  drop: (entryId: string) => Promise<boolean>;
  /** Sends what is kept, in order. Answers whether anything has arrived. */
  send: () => Promise<boolean>;
  forget: (id: string) => void;
  /** Gives acts up that were not sent: they are written nowhere. */
  letGo: (ids: readonly string[]) => void;
}

const MOST_AT_A_TIME = 200;

/** What the server cannot read, however often it is sent. All else passes: a disk that is full, a page that must be unlocked. */
const UNREADABLE = new Set([400, 413, 422]);

/** Whether an act is sent while somebody is in: what another did at a shared tablet waits for them, and goes under their name. */
export const isMine = ({ personId }: Act, who: string | null): boolean => who === null || (personId ?? who) === who;

/** Until what is being sent has arrived, or has not. */
let underWay: Promise<unknown> | undefined;

/** The storage of the browser, which has an end: that is said, and what was kept before stays kept. */
const roomy = {
  getItem: (name: string) => localStorage.getItem(name),
  removeItem: (name: string) => localStorage.removeItem(name),
  setItem: (name: string, value: string) => {
    let isFull = false;
    try {
      localStorage.setItem(name, value);
    } catch {
      isFull = true;
    }
    // Told after the change that is being stored.
    queueMicrotask(() => useQueue.getState().isFull !== isFull && useQueue.setState({ isFull }));
  },
};

/** What is done on the walk while the server is away: kept in the browser, sent in the order in which it was done. */
export const useQueue = create<Queue>()(
  persist(
    (set, get) => ({
      acts: [],
      conflicts: [],
      isSending: false,
      why: null,
      isFull: false,
      add: (act) => set({ acts: [...get().acts, act] }),
      drop: async (entryId) => {
        // What is on its way may be written by now: only its answer tells.
        await underWay;
        const { acts } = get();
        const left = acts.filter(({ entries }) => entries.every(({ id }) => id !== entryId));
        if (left.length < acts.length) set({ acts: left });
        return left.length < acts.length;
      },
      send: async () => {
        if (get().isSending) return false;
        const sending = sendAll(set, get);
        underWay = sending.catch(() => undefined);
        return sending;
      },
      letGo: (ids) => set({ acts: get().acts.filter(({ id }) => !ids.includes(id)), why: null }),
      forget: (id) => set({ conflicts: get().conflicts.filter((each) => each.id !== id) }),
    }),
    {
      name: 'verdant-burrow-queue',
      storage: createJSONStorage(() => roomy),
      partialize: ({ acts, conflicts }) => ({ acts, conflicts }),
    },
  ),
);

/** Sends what whoever is in has kept, as long as somebody answers. */
async function sendAll(set: (change: Partial<Queue>) => void, get: () => Queue): Promise<boolean> {
  set({ isSending: true, why: null });
  let size = MOST_AT_A_TIME;
  let hasArrived = false;
  try {
    const mine = () => get().acts.filter((act) => isMine(act, usePreferences.getState().personId));
    for (let batch = mine().slice(0, size); batch.length > 0; batch = mine().slice(0, size)) {
      const results = await sent(batch);
      // One of them cannot be read at all: half of them go at a time until it is found.
      if (results === 'unreadable') {
        size = Math.ceil(batch.length / 2);
        continue;
      }
      hasArrived = true;
      settle(set, get, results);
      if (results.some(({ outcome }) => outcome === 'refused')) size = MOST_AT_A_TIME;
    }
  } catch (error) {
    if (!(error instanceof CallFailed)) throw error;
    if (!error.isAway) set({ why: error.message });
  } finally {
    set({ isSending: false });
  }
  return hasArrived;
}

/** @throws CallFailed when nobody answers, or not now */
async function sent(acts: readonly Act[]): Promise<ReplayResult[] | 'unreadable'> {
  const body = {
    sentAt: new Date().toISOString(),
    acts: acts.map(({ id, madeAt, heardOn, entries }) => ({ id, madeAt, heardOn, entries })),
  };
  try {
    return (await call('replayEntries', { body })).results;
  } catch (error) {
    if (!(error instanceof CallFailed) || !UNREADABLE.has(error.status)) throw error;
    if (acts.length > 1) return 'unreadable';
    return acts.map(({ id }) => ({ id, outcome: 'refused', message: error.message }));
  }
}

function settle(set: (change: Partial<Queue>) => void, get: () => Queue, results: readonly ReplayResult[]): void {
  const { acts, conflicts } = get();
  const done = new Map(results.map((result) => [result.id, result]));
  set({
    acts: acts.filter(({ id }) => !done.has(id)),
    conflicts: [
      ...conflicts,
      ...acts.flatMap(({ id, text }) => {
        const message = conflictWords(done.get(id));
        return message === null ? [] : [{ id, text, message }];
      }),
    ],
  });
}

function conflictWords(result: ReplayResult | undefined): string | null {
  if (result?.outcome === 'refused') return result.message ?? 'It was not taken over.';
  if (result?.outcome === 'already')
    return `${result.keeper ?? 'Somebody'} had logged this already. It is written once.`;
  return null;
}
