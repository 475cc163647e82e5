import { useEffect } from 'react';
import { useLog } from '@/client/log';

/** The rows of the walk, in their order on the page: what a key can tap in each. */
const ROW = '[data-testid="job-row"]';

const rows = (): HTMLElement[] => Array.from(document.querySelectorAll<HTMLElement>(ROW));
const circleOf = (row: HTMLElement | undefined) =>
  row?.querySelector<HTMLElement>('[role=checkbox], [role=group] [role=button]');

/** Down and up go from job to job, the space bar ticks the one that has the focus, S opens putting off, U takes back. */
export function useRoundKeys(): void {
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
