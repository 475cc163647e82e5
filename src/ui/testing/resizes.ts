/** A browser's document in tests lays nothing out and watches no sizes: the tests say what has grown. */
class SaidResizes implements ResizeObserver {
  private static readonly all = new Set<SaidResizes>();
  private readonly watched = new Set<Element>();
  constructor(private readonly tell: ResizeObserverCallback) {
    SaidResizes.all.add(this);
  }
  observe(element: Element): void {
    this.watched.add(element);
  }
  unobserve(element: Element): void {
    this.watched.delete(element);
  }
  disconnect(): void {
    SaidResizes.all.delete(this);
  }
  static say(element: Element): void {
    for (const each of SaidResizes.all) if (each.watched.has(element)) each.tell([], each);
  }
}

globalThis.ResizeObserver = SaidResizes;

/** Something has another size. */
export const hasGrown = (element: Element): void => SaidResizes.say(element);
