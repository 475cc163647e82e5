import { useEffect, useState } from 'react';
import { useLog } from '@/client/log';

/** The rows of the walk, in their order on the page: what a key can tap in each. */
const ROW = '[data-testid="job-row"]';

const rows = (): HTMLElement[] => Array.from(document.querySelectorAll<HTMLElement>(ROW));
/** The circle, else the first answer, else what opens a form: never an amount beside a circle, nor the words that put off. */
const answerOf = (row: HTMLElement) =>
  ['[role=checkbox]', '[role=group] [role=button]', '[role=button]:not([aria-expanded])']
    .map((each) => row.querySelector<HTMLElement>(each))
    .find((each) => each !== null);
/** Done, or put off: its words no longer offer to put it off. */
const isSettled = (row: HTMLElement) => row.querySelector('[aria-expanded]:disabled') !== null;

/** What the keys do on the walk. */
export const ROUND_KEYS = [
  ['Down, Up', 'next job, job before'],
  ['Space', 'done, and on to the next'],
  ['S', 'put off'],
  ['U', 'take back'],
  ['?', 'these keys'],
] as const;

/** Looked for so often until a job that was answered is drawn as settled and the next is drawn too, and so many times at most. ms */
const LOOK_MS = 40;
const LOOKS = 250;

/** The walk by keys, as `ROUND_KEYS` tells. Answers whether the keys are to be shown. */
export function useRoundKeys(): boolean {
  const [isHelp, setHelp] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.altKey || event.ctrlKey || event.metaKey) return;
      const { target } = event;
      if (target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return;
      const list = rows();
      const here = list.findIndex((row) => row.contains(document.activeElement));
      switch (event.key) {
        case 'ArrowDown':
        case 'j':
          return go(event, list, here, 1);
        case 'ArrowUp':
        case 'k':
          return go(event, list, here, -1);
        case ' ':
        case 'Enter':
          return goOn(list[here], LOOKS);
        case '?':
          return setHelp((isShown) => !isShown);
        case 'Escape':
          return setHelp(false);
        case 's':
          return list[here]?.querySelector<HTMLElement>('[aria-expanded]')?.click();
        case 'u':
          return void useLog.getState().notice?.action?.run();
        default:
          return undefined;
      }
    };
    // Before what is pressed hears of it: it may be drawn no more once it has.
    document.addEventListener('keydown', onKey, true);
    return () => document.removeEventListener('keydown', onKey, true);
  }, []);
  return isHelp;
}

/** To the job after one that is being answered; where it was only opened, the focus stays. */
function goOn(answered: HTMLElement | undefined, looks: number): void {
  if (!answered || looks === 0 || (looks === LOOKS && isSettled(answered))) return;
  const focused = document.activeElement;
  // Whoever has gone on himself is not called back. What was tapped may be drawn no more, and then nobody has.
  if (focused !== document.body && !answered.contains(focused)) return;
  const list = rows();
  const after = isSettled(answered) ? list.slice(list.indexOf(answered) + 1) : [];
  const next = after.find((each) => !isSettled(each));
  // The walk is drawn a few stops at a time: the next may not be there yet.
  if (!next) return void setTimeout(() => goOn(answered, looks - 1), LOOK_MS);
  answerOf(next)?.focus();
  next.scrollIntoView({ block: 'center' });
}

function go(event: KeyboardEvent, list: HTMLElement[], here: number, step: number): void {
  // Arrow keys within a choice go from one answer to the next.
  if (event.target instanceof HTMLElement && event.target.closest('[role=radiogroup]')) return;
  const next = Math.max(0, Math.min(list.length - 1, here === -1 ? (step > 0 ? 0 : list.length - 1) : here + step));
  const row = list[next];
  const answer = row && answerOf(row);
  if (!answer) return;
  event.preventDefault();
  answer.focus();
  row.scrollIntoView({ block: 'center' });
}
