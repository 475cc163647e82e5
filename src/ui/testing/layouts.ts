/** A document in tests lays nothing out: everything is as wide as a phone's column, and says so as soon as it is asked. */
const WIDTH_PX = 358;
const HEIGHT_PX = 300;

const size = (px: number) => ({ configurable: true, get: () => px });
Object.defineProperties(HTMLElement.prototype, { offsetWidth: size(WIDTH_PX), offsetHeight: size(HEIGHT_PX) });
Object.assign(window, { innerWidth: 390, innerHeight: 844 });

globalThis.ResizeObserver = class implements ResizeObserver {
  constructor(private readonly tell: ResizeObserverCallback) {}
  observe(target: Element): void {
    queueMicrotask(() => this.tell([{ target } as ResizeObserverEntry], this));
  }
  unobserve(): void {}
  disconnect(): void {}
};
