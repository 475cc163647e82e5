import type { JobKind } from '@/core/plan/jobs';
import type { SkipReason } from '@/core/plan/work';
import { listWords } from './count';
import { JOB_WORDS } from './jobKinds';

/** Why a job is put off. */
export const SKIP_WORDS: Record<SkipReason, string> = {
  asleep: 'Hidden or asleep',
  'on-prey': 'Still on its prey',
  'no-food': 'Nothing to give',
  'no-time': 'No time today',
  'looks-fine': 'Not needed yet',
  other: 'Another reason',
};

/** "; waiting: food, cleaning". */
export function waitingWords(kinds: readonly JobKind[]): string {
  const words = kinds.flatMap((kind) => JOB_WORDS[kind].waiting ?? []);
  return words.length === 0 ? '' : `; waiting: ${words.join(', ')}`;
}

/** Who else logged the same, as it is kept: "Ben", or "Ben, Cleo". */
export const alsoWords = (names: string): string => `${listWords(names.split(', '))} logged it too`;
