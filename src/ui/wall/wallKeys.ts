import type { KeyboardEvent } from 'react';
import { nearestTowards } from './towardsPlace';

/** Arrow keys go from box to box as they stand on the wall. */
export function wallKeys(event: KeyboardEvent<HTMLElement>): void {
  const here = event.target as HTMLElement;
  // While a box is carried the arrows carry it.
  if (event.defaultPrevented || here.getAttribute('role') !== 'link') return;
  const boxes = Array.from(event.currentTarget.querySelectorAll<HTMLElement>('[role="link"]')).filter(
    (each) => each !== here,
  );
  const places = boxes.map((box) => {
    const { left, bottom, width } = box.getBoundingClientRect();
    // Those of one shelf stand on one line.
    return { box, left, top: bottom - 40, width, height: 40 };
  });
  const { left, bottom, width } = here.getBoundingClientRect();
  const next = nearestTowards({ left, top: bottom - 40, width, height: 40 }, places, event.key);
  if (!next) return;
  event.preventDefault();
  next.box.focus();
}
