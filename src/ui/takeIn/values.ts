import type { Day } from '@/core/measure/day';
import type { MoultSign } from '@/core/profiles/profile';
import { headCountIn, instarIn } from '../forms/checks';

/** What is typed and chosen about a newcomer. */
export interface TakeInValues {
  scientificName: string;
  commonName: string;
  called: string;
  size: string;
  headCount: string;
  headsAbout: 'counted' | 'about';
  instars: string;
  source: string;
  permit: string;
  instar: string;
  bornOn: Day | '';
  on: Day | '';
  lastMoultOn: Day | '';
  lastMealOn: Day | '';
  countedOn: Day | '';
  soilChangedOn: Day | '';
  sign: MoultSign | '';
  signSince: Day | '';
  batch: string;
}

export const EMPTY: TakeInValues = {
  ...{ scientificName: '', commonName: '', called: '', size: '', headCount: '', headsAbout: 'counted', instars: '' },
  ...{ source: '', permit: '', instar: '', bornOn: '', on: '', lastMoultOn: '', lastMealOn: '', countedOn: '' },
  ...{ soilChangedOn: '', sign: '', signSince: '', batch: '' },
};

/** What of ants comes home. */
export const ANTS = [
  { value: 'founding', title: 'Queen alone' },
  { value: 'colony', title: 'Colony' },
  { value: 'queenless', title: 'Workers, no queen' },
] as const;
export type Ants = (typeof ANTS)[number]['value'];

/** How many are in which instar as typed, "1: 4, 2: 9"; null where it cannot be read, undefined where nothing is typed. */
export function instarsIn(text: string): Record<string, number> | null | undefined {
  if (text.trim() === '') return undefined;
  const parts = text.split(/[,;\n]/).map((part) => /^\s*L?(\d+)\s*[:=]\s*(\d+)\s*$/i.exec(part));
  const read = parts.map((part) => [instarIn(part?.[1] ?? ''), headCountIn(part?.[2] ?? '')] as const);
  if (read.some(([instar, heads]) => instar === undefined || heads === undefined)) return null;
  return Object.fromEntries(read.map(([instar, heads]) => [String(instar), heads ?? 0]));
}
