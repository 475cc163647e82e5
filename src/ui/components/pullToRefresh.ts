import { wantsStillness } from '../kit/motion';

/** Drawn down so far, it fetches. px */
export const PULL_PX = 96;
/** The page follows the finger half as fast, as if on a spring. */
const GIVES = 0.5;

/**
 * A pane at its top that is drawn down further is fetched anew; it follows the finger, and goes back. The library's own
 * (`RefreshControl`) does nothing on the web.
 * @returns ends it
 */
export function pullToRefresh(scroller: HTMLElement, content: HTMLElement, refresh: () => void): () => void {
  let from: number | undefined;
  let pulledPx = 0;
  // The browser would load the whole page anew.
  scroller.style.overscrollBehaviorY = 'contain';
  const start = ({ touches }: TouchEvent) => {
    from = touches.length === 1 && scroller.scrollTop <= 0 ? touches[0]?.clientY : undefined;
    pulledPx = 0;
  };
  const move = ({ touches }: TouchEvent) => {
    if (from === undefined) return;
    pulledPx = Math.max(0, (touches[0]?.clientY ?? from) - from);
    if (scroller.scrollTop > 0) pulledPx = 0;
    content.style.transition = 'none';
    content.style.transform = pulledPx === 0 ? '' : `translateY(${GIVES * Math.min(pulledPx, 1.5 * PULL_PX)}px)`;
  };
  const end = () => {
    if (pulledPx >= PULL_PX) refresh();
    if (pulledPx > 0) {
      content.style.transition = wantsStillness() ? 'none' : 'transform 160ms ease-out';
      content.style.transform = '';
    }
    from = undefined;
    pulledPx = 0;
  };
  const hands = { touchstart: start, touchmove: move, touchend: end, touchcancel: end } as const;
  for (const [name, hand] of Object.entries(hands))
    scroller.addEventListener(name, hand as EventListener, { passive: true });
  return () => {
    for (const [name, hand] of Object.entries(hands)) scroller.removeEventListener(name, hand as EventListener);
  };
}
