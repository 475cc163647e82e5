import { useLayoutEffect, useRef, type RefObject } from 'react';
import { holdTouched } from './holdTouched';
import { keepPlace } from './places';

/** What scrolls: a scroll view or a list. */
interface Scrolls {
  getScrollableNode: () => unknown;
}

/**
 * How every pane scrolls: what is under the hand stays there, and a pane with a place is found as it was left.
 * @param place the name of the place, as `/residents`
 */
export function useScroller<Pane extends Scrolls>(place: string | undefined): RefObject<Pane | null> {
  const pane = useRef<Pane>(null);
  useLayoutEffect(() => {
    const scroller = pane.current?.getScrollableNode();
    const content = scroller instanceof HTMLElement ? scroller.firstElementChild : null;
    if (!(scroller instanceof HTMLElement && content instanceof HTMLElement)) return undefined;
    const ends = [holdTouched(scroller, content)];
    if (place !== undefined) ends.push(keepPlace(place, scroller, content));
    return () => ends.forEach((end) => end());
  }, [place]);
  return pane;
}
