import type { ClientRect, KeyboardCoordinateGetter } from '@dnd-kit/core';

const WAYS: Record<string, { x: number; y: number }> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};
/** What lies straight ahead is nearer than what lies aside. Chosen here */
const ASIDE = 3;

/** Of some places the nearest one that lies in a direction from another; undefined where there is none. px */
export function nearestTowards<Place extends Pick<ClientRect, 'left' | 'top' | 'width' | 'height'>>(
  from: Pick<ClientRect, 'left' | 'top' | 'width' | 'height'>,
  places: readonly Place[],
  key: string,
): Place | undefined {
  const way = WAYS[key];
  if (!way) return undefined;
  const middle = (rect: typeof from) => ({ x: rect.left + rect.width / 2, y: rect.top + rect.height / 2 });
  const here = middle(from);
  const far = (place: Place) => {
    const { x, y } = middle(place);
    const ahead = (x - here.x) * way.x + (y - here.y) * way.y;
    const aside = Math.abs((x - here.x) * way.y) + Math.abs((y - here.y) * way.x);
    // Boxes of one shelf stand on one line, whatever their height: up and down is to another shelf.
    return ahead < 4 || (way.x !== 0 && aside > ahead * ASIDE + from.height) ? Infinity : ahead + ASIDE * aside;
  };
  const nearest = [...places].sort((a, b) => far(a) - far(b))[0];
  return nearest && far(nearest) < Infinity ? nearest : undefined;
}

/** Arrow keys carry a lifted box from place to place. */
export const towardsPlace: KeyboardCoordinateGetter = (event, { context: { collisionRect, droppableRects } }) => {
  if (!collisionRect || !WAYS[event.code]) return undefined;
  event.preventDefault();
  const place = nearestTowards(collisionRect, [...droppableRects.values()], event.code);
  // With its middle over the middle of the place.
  return (
    place && {
      x: place.left + place.width / 2 - collisionRect.width / 2,
      y: place.top + place.height / 2 - collisionRect.height / 2,
    }
  );
};
