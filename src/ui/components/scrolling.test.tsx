import { act, fireEvent, renderHook } from '@testing-library/react';
import { hasGrown } from '../testing/resizes';
import { holdTouched } from './holdTouched';
import { PULL_PX, pullToRefresh } from './pullToRefresh';
import { beginAnew, keepPlace, rowId, rowsLeft, rowsToPlace, useKept } from './places';

const PANE_PX = 800;

/** A pane of 800 px over content of some height, laid out as a browser would: children at tops of their own. */
function pane(heightPx: number, tops: number[]) {
  const scroller = document.createElement('div');
  const content = scroller.appendChild(document.createElement('div'));
  document.body.append(scroller);
  let height = heightPx;
  let scrolled = 0;
  Object.defineProperty(scroller, 'scrollTop', {
    get: () => scrolled,
    set: (to: number) => {
      const now = Math.max(0, Math.min(to, height - PANE_PX));
      if (now === scrolled) return;
      scrolled = now;
      fireEvent.scroll(scroller);
    },
  });
  const box = (top: number, px: number) => ({ top, bottom: top + px, height: px }) as DOMRect;
  scroller.getBoundingClientRect = () => box(0, PANE_PX);
  const parts = tops.map((_, index) => {
    const part = content.appendChild(document.createElement('button'));
    part.getBoundingClientRect = () => box((tops[index] ?? 0) - scrolled, 44);
    return part;
  });
  const part = (index: number) => {
    const found = parts[index];
    if (!found) throw new Error(`No part ${index}.`);
    return found;
  };
  const seenAt = (index: number) => (tops[index] ?? 0) - scrolled;
  /** So much arrives above the parts from one of them on. */
  const arrive = (px: number, from: number) => {
    tops.forEach((top, index) => index >= from && (tops[index] = top + px));
    height += px;
    hasGrown(content);
  };
  const scrollUntold = (to: number) => {
    scrolled = to;
  };
  return { scroller, content, part, seenAt, arrive, scrollUntold };
}

describe('what is under the hand', () => {
  it('stays there while more arrives above it, after it was scrolled too', () => {
    const { scroller, content, part, seenAt, arrive } = pane(2000, [100, 900]);
    const end = holdTouched(scroller, content);
    scroller.scrollTop = 500;
    arrive(50, 1);
    expect(seenAt(1)).toBe(450);
    fireEvent.pointerDown(part(1));
    arrive(300, 1);
    expect(seenAt(1)).toBe(450);
    scroller.scrollTop += 20;
    arrive(300, 1);
    expect(seenAt(1)).toBe(430);
    end();
    arrive(100, 1);
    expect(seenAt(1)).toBe(530);
  });

  it('is let go once it is out of sight, or gone', () => {
    const { scroller, content, part, seenAt, arrive } = pane(4000, [100, 900]);
    holdTouched(scroller, content);
    fireEvent.focusIn(part(0));
    scroller.scrollTop = 600;
    arrive(70, 0);
    expect(scroller.scrollTop).toBe(600);
    fireEvent.focusIn(part(1));
    part(1).remove();
    arrive(70, 1);
    expect(scroller.scrollTop).toBe(600);
    expect(seenAt(0)).toBe(-430);
  });

  it('does not undo what was scrolled a moment ago and has not been told yet', () => {
    const { scroller, content, part, seenAt, arrive, scrollUntold } = pane(4000, [100, 900]);
    holdTouched(scroller, content);
    scroller.scrollTop = 500;
    fireEvent.focusIn(part(1));
    scrollUntold(700);
    arrive(70, 1);
    expect(scroller.scrollTop).toBe(700);
    arrive(70, 1);
    expect(seenAt(1)).toBe(270);
  });
});

describe('a list that is come back to', () => {
  afterEach(() => beginAnew('/'));

  it('is found as it was left, however slowly it is drawn, and is noted from then on', () => {
    const first = pane(6000, []);
    const leave = keepPlace('/shelves', first.scroller, first.content);
    first.scroller.scrollTop = 3000;
    leave();
    first.scroller.scrollTop = 10;
    expect(rowsToPlace('/shelves', 8)).toBe(Math.ceil((3000 + window.innerHeight) / 60));

    const again = pane(1000, []);
    keepPlace('/shelves', again.scroller, again.content);
    again.arrive(1500, 0);
    again.arrive(4000, 0);
    expect(again.scroller.scrollTop).toBe(3000);
    again.scroller.scrollTop = 2900;
    again.arrive(100, 0);
    expect(again.scroller.scrollTop).toBe(2900);
  });

  it('is not dragged on once a hand is at it, nor when the rest does not come', () => {
    jest.useFakeTimers();
    const first = pane(6000, []);
    keepPlace('/shelves', first.scroller, first.content)();
    const leave = keepPlace('/shelves', first.scroller, first.content);
    first.scroller.scrollTop = 3000;
    leave();
    const touched = pane(1000, []);
    keepPlace('/shelves', touched.scroller, touched.content)();
    keepPlace('/shelves', touched.scroller, touched.content);
    fireEvent.wheel(touched.scroller);
    touched.arrive(5000, 0);
    expect(touched.scroller.scrollTop).toBe(200);

    const short = pane(1000, []);
    keepPlace('/shelves', short.scroller, short.content);
    jest.advanceTimersByTime(1000);
    short.arrive(5000, 0);
    expect(short.scroller.scrollTop).toBe(200);
    jest.useRealTimers();
  });

  it('remembers which row was first in sight, and how high each was', () => {
    const { scroller, content, part } = pane(4000, [100, 900, 1700]);
    [0, 1].forEach((index) => (part(index).id = rowId(`shelf ${index}`)));
    const leave = keepPlace('/walk', scroller, content);
    expect(rowsLeft('/walk')).toBeUndefined();
    scroller.scrollTop = 600;
    leave();
    expect(rowsLeft('/walk')).toEqual({
      firstSeen: 'row shelf 1',
      heightPx: new Map([
        ['row shelf 0', 44],
        ['row shelf 1', 44],
      ]),
    });
  });

  it('begins at its top where it never was, and where it is begun anew', () => {
    const { scroller, content } = pane(6000, []);
    scroller.scrollTop = 700;
    keepPlace('/a day', scroller, content);
    expect(scroller.scrollTop).toBe(0);
    scroller.scrollTop = 700;
    expect(rowsToPlace('/a day', 8)).toBeGreaterThan(8);
    beginAnew('/a');
    expect(rowsToPlace('/a day', 8)).toBe(8);
  });
});

describe('what was typed over a list', () => {
  it('is kept while the list is away, gives way to an address, and goes when the part is begun anew', () => {
    const typed = (asked?: string) => renderHook(() => useKept('/residents search', '', asked));
    const { result, unmount } = typed();
    act(() => result.current[1]('hedge'));
    expect(result.current[0]).toBe('hedge');
    unmount();
    expect(typed().result.current[0]).toBe('hedge');
    expect(typed('moss').result.current[0]).toBe('moss');
    beginAnew('/homes');
    expect(typed().result.current[0]).toBe('hedge');
    beginAnew('/residents');
    expect(typed().result.current[0]).toBe('');
  });
});

describe('a pane drawn down at its top', () => {
  const draw = (at: { scroller: HTMLElement }, px: number) => {
    const touches = (clientY: number) => ({ touches: [{ clientY }] });
    fireEvent.touchStart(at.scroller, touches(100));
    fireEvent.touchMove(at.scroller, touches(100 + px));
    fireEvent.touchEnd(at.scroller, { touches: [] });
  };

  it('is fetched anew where it was drawn far enough, from its very top', () => {
    const it = pane(3000, [0]);
    const refresh = jest.fn();
    const end = pullToRefresh(it.scroller, it.content, refresh);
    draw(it, PULL_PX - 1);
    expect(refresh).not.toHaveBeenCalled();
    draw(it, PULL_PX);
    expect(refresh).toHaveBeenCalledTimes(1);
    expect(it.content.style.transform).toBe('');
    it.scroller.scrollTop = 10;
    draw(it, 300);
    expect(refresh).toHaveBeenCalledTimes(1);
    it.scroller.scrollTop = 0;
    end();
    draw(it, 300);
    expect(refresh).toHaveBeenCalledTimes(1);
  });
});
