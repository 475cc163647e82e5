import { hadItsLastMoult } from '@/core/growth/moulting';
import type { Basis, CareProfile, Silhouette, Stage } from '@/core/profiles/profile';

/** What came of what was tried. */
export const TROUBLE_ENDS = ['helped', 'no-change', 'worse', 'died'] as const;
export type TroubleEnd = (typeof TROUBLE_ENDS)[number];

/** Something that may be behind a sign, with what is done about it; never a treatment. */
export interface Cause {
  id: string;
  title: string;
  /** How to look whether it is this. */
  check: string;
  doNow: string[];
  leaveAlone: string[];
  basis: Basis;
}

/** Something to be seen, or read off the box's own numbers, with how often it goes with each cause. */
export interface Sign {
  id: string;
  title: string;
  /** Chance to see it where the cause is there, from 0 to 1. */
  given: Record<string, number>;
  /** The same for every cause that is not named. */
  otherwise: number;
  basis: Basis;
}

/** What keepers know of the troubles of a kind: causes, how usual each is beside the others, and signs. */
export interface TroubleKind {
  silhouettes: Silhouette[];
  /** With what of a cause is looked at, done and left alone otherwise with this kind. */
  causes: ({ id: string; usual: number } & Partial<Pick<Cause, 'check' | 'doNow' | 'leaveAlone'>>)[];
  signs: Sign[];
  /** What is never done with this kind, whatever the cause. */
  never: string[];
  basis: Basis;
}

/** A kind's table together with what is read off the box: everything that the finder reckons with. */
export interface TroubleTable {
  causes: (Cause & { usual: number })[];
  /** To be seen by the keeper. */
  signs: Sign[];
  /** Read off the box's own numbers. */
  boxSigns: Sign[];
  never: string[];
}

/** @returns the table of a kind, its causes with their words */
export function troubleTable(kind: TroubleKind, causes: readonly Cause[], boxSigns: readonly Sign[]): TroubleTable {
  const byId = new Map(causes.map((cause) => [cause.id, cause]));
  return {
    causes: kind.causes.flatMap(({ id, ...own }) => {
      const cause = byId.get(id);
      return cause ? [{ ...cause, ...own }] : [];
    }),
    signs: kind.signs,
    boxSigns: [...boxSigns],
    never: kind.never,
  };
}

/** What is wrong with nobody who moults no more: signs of a moult that is near. */
const NEAR_MOULT = 'premoult';

/** The table as it holds for a stage: a grown one is not about to moult. */
export const atStage = (table: TroubleTable, profile: Pick<CareProfile, 'growth'>, stage: Stage): TroubleTable =>
  hadItsLastMoult(profile, stage) ? { ...table, causes: table.causes.filter(({ id }) => id !== NEAR_MOULT) } : table;
