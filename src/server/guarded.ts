import { Refusal } from '@/core/refusal';
import { complain } from './log';

/**
 * One part of an answer about many, worked out by itself: where one strange record keeps it from being worked out, that is
 * written in the server's output, and the rest of the answer goes on.
 * @param told is given why, in words for the keeper
 */
export function guarded<Part>(work: () => Part, told?: (why: string) => void): Part | undefined {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof Refusal)) complain('One record could not be worked out.', error);
    told?.(
      error instanceof Refusal
        ? error.fields.map(({ message }) => message).join(' ')
        : 'Its records contradict each other.',
    );
    return undefined;
  }
}
