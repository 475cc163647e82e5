/**
 * Keeps what was touched or focused last where it stands on the screen while what is above it is still being fetched
 * and drawn: nothing runs away from under a thumb. (The browser's own anchor may stand above what arrives.)
 * @param scroller what scrolls
 * @param content what is in it, whose height changes
 * @returns ends it
 */
export function holdTouched(scroller: HTMLElement, content: HTMLElement): () => void {
  let held: Element | null = null;
  let top = 0;
  let scrolled = 0;
  const letGo = () => {
    held = null;
    scroller.style.overflowAnchor = '';
  };
  const note = () => {
    if (!held) return;
    const { top: now, bottom } = held.getBoundingClientRect();
    const pane = scroller.getBoundingClientRect();
    // Once scrolled out of sight it is no longer what the hand is at.
    if (bottom < pane.top || now > pane.bottom) letGo();
    top = now;
    scrolled = scroller.scrollTop;
  };
  const hold = ({ target }: Event) => {
    held = target instanceof Element ? target : null;
    // One anchor at a time.
    scroller.style.overflowAnchor = 'none';
    note();
  };
  const keep = () => {
    if (!held) return;
    if (!held.isConnected) return letGo();
    // What has been scrolled since, by a key or a focus, was meant.
    const movedPx = scroller.scrollTop === scrolled ? held.getBoundingClientRect().top - top : 0;
    if (movedPx !== 0) scroller.scrollTop += movedPx;
    note();
  };
  // At once when something is put in, before another tap is dealt with; and when an image or a font changes a height.
  const changes = new MutationObserver(keep);
  changes.observe(content, { childList: true, subtree: true });
  const sizes = new ResizeObserver(keep);
  sizes.observe(content);
  content.addEventListener('pointerdown', hold);
  content.addEventListener('focusin', hold);
  scroller.addEventListener('scroll', note);
  return () => {
    changes.disconnect();
    sizes.disconnect();
    content.removeEventListener('pointerdown', hold);
    content.removeEventListener('focusin', hold);
    scroller.removeEventListener('scroll', note);
  };
}
