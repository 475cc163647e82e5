import type { Highs } from 'highs';
import type { Question, Solved } from '@/core/plan/chain/solve';

/** Null where it found nothing in its time. @throws Error for a programme that HiGHS cannot read or solve */
export function solveProgramme(highs: Highs, question: Question): Solved | null;
