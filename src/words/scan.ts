import type { Job } from '@/core/plan/work';
import { countWords } from './count';
import type { NoCamera } from '@/client/camera';

/** Why there is no picture, and what can be done about it. */
export const NO_CAMERA_WORDS: Record<NoCamera, string> = {
  none: 'This device shows no camera to the page. Type the code of the box instead.',
  refused:
    'The camera was not allowed. Allow it for this page in the settings of the browser, or type the code of the box.',
  unsafe:
    'Browsers give the camera only to pages that begin with https, or on the computer itself. Scan with the camera of the phone, or type the code of the box.',
  busy: 'Another program holds the camera. Close it and try again, or type the code of the box.',
};

/** What is said to a code that leads to no box here. */
export const foreignWords = (text: string): string =>
  `This code is not of a box: “${text.length > 60 ? `${text.slice(0, 60)}…` : text}”.`;

export const LOST_WORDS = 'This label is of a box that is not here: taken away, or of another house.';

/** What is left to do at a box: "2 things to do", "done for today". */
export function jobCountWords(jobs: readonly Pick<Job, 'doneBy' | 'skipped'>[]): string {
  const open = jobs.filter(({ doneBy, skipped }) => doneBy === undefined && !skipped).length;
  if (open > 0) return `${countWords(open, 'thing')} to do`;
  return jobs.length > 0 ? 'done for today' : 'nothing to do today';
}
