import { useRef, useState } from 'react';
import type { GestureResponderEvent } from 'react-native';

/** So far a row is drawn before it counts. px */
const FAR_PX = 84;
/** A finger that goes down more than sideways scrolls. */
const SIDEWAYS = 2;
const BEGINS_PX = 14;

/** A row that is swiped: to the right it is done, to the left it is put off. Answers how far it is drawn, and its handlers. */
export function useSwipe(onRight: (() => void) | undefined, onLeft: (() => void) | undefined) {
  const start = useRef({ x: 0, y: 0 });
  const wasDrawn = useRef(false);
  const [drawnPx, setDrawn] = useState(0);
  const moved = ({ nativeEvent: { pageX, pageY } }: GestureResponderEvent) => ({
    dx: pageX - start.current.x,
    dy: pageY - start.current.y,
  });
  const back = () => setDrawn(0);
  const handlers = {
    onStartShouldSetResponderCapture: ({ nativeEvent: { pageX, pageY } }: GestureResponderEvent) => {
      start.current = { x: pageX, y: pageY };
      wasDrawn.current = false;
      return false;
    },
    onMoveShouldSetResponder: (event: GestureResponderEvent) => {
      const { dx, dy } = moved(event);
      return Math.abs(dx) > BEGINS_PX && Math.abs(dx) > SIDEWAYS * Math.abs(dy);
    },
    onResponderMove: (event: GestureResponderEvent) => {
      const { dx } = moved(event);
      setDrawn((dx > 0 ? onRight : onLeft) ? dx : 0);
    },
    onResponderRelease: (event: GestureResponderEvent) => {
      const { dx } = moved(event);
      back();
      wasDrawn.current = true;
      if (dx > FAR_PX) onRight?.();
      if (dx < -FAR_PX) onLeft?.();
    },
    onResponderTerminate: back,
    // The finger that has drawn a row has not tapped what lies under it.
    onClickCapture: (event: { stopPropagation: () => void }) => {
      if (wasDrawn.current) event.stopPropagation();
      wasDrawn.current = false;
    },
  };
  return { handlers, drawnPx };
}
