import { useLayoutEffect, useRef, type RefObject } from 'react';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { holdTouched } from './holdTouched';
import { keepPlace } from './places';
import { pullToRefresh } from './pullToRefresh';

/** What scrolls: a scroll view or a list. */
interface Scrolls {
  getScrollableNode: () => unknown;
}

/** The house as it stands now, and word of it. */
function fetchAnew(): void {
  const { load } = useHouse.getState();
  void load().then(() => {
    const { problem } = useHouse.getState();
    useLog.getState().show(problem === null ? { text: 'Up to date.' } : { text: problem, isProblem: true });
  });
}

/**
 * How every pane scrolls: what is under the hand stays there, drawn down at its top it is fetched anew, and a pane with a
 * place is found as it was left.
 * @param place the name of the place, as `/residents`
 */
export function useScroller<Pane extends Scrolls>(place: string | undefined): RefObject<Pane | null> {
  const pane = useRef<Pane>(null);
  useLayoutEffect(() => {
    const scroller = pane.current?.getScrollableNode();
    const content = scroller instanceof HTMLElement ? scroller.firstElementChild : null;
    if (!(scroller instanceof HTMLElement && content instanceof HTMLElement)) return undefined;
    const ends = [holdTouched(scroller, content), pullToRefresh(scroller, content, fetchAnew)];
    if (place !== undefined) ends.push(keepPlace(place, scroller, content));
    return () => ends.forEach((end) => end());
  }, [place]);
  return pane;
}
