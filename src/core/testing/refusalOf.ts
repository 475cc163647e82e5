import { Refusal } from '@/core/refusal';

/** The refusal that some work ends in. @throws when it is not refused */
export function refusalOf(work: () => unknown): Refusal {
  try {
    work();
  } catch (error) {
    if (error instanceof Refusal) return error;
    throw error;
  }
  throw new Error('Nothing was refused.');
}
