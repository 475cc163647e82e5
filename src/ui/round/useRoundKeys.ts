import { useEffect, useState } from 'react';
import { useLog } from '@/client/log';

/** The rows of the walk, in their order on the page: what a key can tap in each. */
const ROW = '[data-testid="job-row"]';

const rows = (): HTMLElement[] => Array.from(document.querySelectorAll<HTMLElement>(ROW));
const circleOf = (row: HTMLElement | undefined) =>
  row?.querySelector<HTMLElement>('[role=checkbox], [role=group] [role=button]');

/** What the keys do on the walk. */
export const ROUND_KEYS = [
  ['Down, Up', 'next job, job before'],
  ['Space', 'done, and on to the next'],
  ['S', 'put off'],
  ['U', 'take back'],
  ['?', 'these keys'],
] as const;

/** Looked for so often until a job that was tapped is drawn as ticked, and so many times at most. ms */
const LOOK_MS = 40;
const LOOKS = 50;

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
          if (here >= 0 && event.target === circleOf(list[here])) goOn(here, LOOKS);
          return undefined;
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
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, []);
  return isHelp;
}

/** To the job after one that has just been ticked; where it was only opened, the focus stays. */
function goOn(ticked: number, looks: number): void {
  const list = rows();
  const circle = circleOf(list[ticked]);
  // Whoever has gone on himself is not called back.
  if (looks === 0 || document.activeElement !== circle) return;
  if (circle?.getAttribute('aria-checked') !== 'true') return void setTimeout(() => goOn(ticked, looks - 1), LOOK_MS);
  const next = list.slice(ticked + 1).find((each) => circleOf(each)?.getAttribute('aria-checked') !== 'true');
  circleOf(next)?.focus();
  next?.scrollIntoView({ block: 'center' });
}

function go(event: KeyboardEvent, list: HTMLElement[], here: number, step: number): void {
  // Arrow keys within a choice go from one answer to the next.
  if (event.target instanceof HTMLElement && event.target.closest('[role=radiogroup]')) return;
  const next = Math.max(0, Math.min(list.length - 1, here === -1 ? (step > 0 ? 0 : list.length - 1) : here + step));
  const row = list[next];
  const circle = circleOf(row) ?? row?.querySelector<HTMLElement>('[role=button]');
  if (!row || !circle) return;
  event.preventDefault();
  circle.focus();
  row.scrollIntoView({ block: 'center' });
}
