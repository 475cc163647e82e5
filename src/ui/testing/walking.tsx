import { act, cleanup, render } from '@testing-library/react';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { usePreferences } from '@/client/preferences';
import { useQueue } from '@/client/queue';
import { Shell } from '../Shell';
import { WorkerHere } from './comlink';
import { beginAt, Routes } from './memoryRouter';
import { expectOn, Locator } from './page';

export { page } from './page';

/** Every store as it was when the page was loaded. */
const STORES = [useHouse, useLog, usePreferences, useQueue] as const;
const fresh = STORES.map((store) => store.getInitialState());

/** The smallest JPEG there is to speak of: what a browser would draw. */
const JPEG = 'data:image/jpeg;base64,/9j/4AAQSkZJRgABAQAAAQABAAD/2wBDAAEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEB/9k=';

/** What a document without a browser lacks. */
function furnish(): void {
  Object.assign(globalThis, { Worker: WorkerHere });
  Element.prototype.scrollIntoView = () => undefined;
  Object.assign(window, {
    scrollTo: () => undefined,
    createImageBitmap: async ({ type }: Blob) => {
      if (!type.startsWith('image/')) throw new Error('no picture');
      return { width: 1, height: 1 };
    },
  });
  Object.assign(HTMLCanvasElement.prototype, { getContext: () => null, toDataURL: () => JPEG });
}

const asked = async (what: 'clock' | 'house', body: object) => {
  const headers = { 'Content-Type': 'application/json' };
  const answer = await fetch(`/api/test/${what}`, { method: 'POST', headers, body: JSON.stringify(body) });
  if (!answer.ok) throw new Error(`/api/test/${what} answered ${answer.status}: ${await answer.text()}`);
};

/** Before each walk: the demo as it was laid, at the hour when the day of the tests begins, and a page that knows nothing yet. */
export function onTheDemo(): void {
  beforeEach(async () => {
    furnish();
    localStorage.clear();
    STORES.forEach((store, index) => act(() => store.setState(fresh[index] as never, true)));
    const at = process.env.VB_TEST_NOW ?? '2026-03-14T18:00:00Z';
    await asked('house', { holds: 'demo', at });
  });
  afterEach(cleanup);
}

/** Opens the app at an address, as typing it into the browser does: what is not kept on the device is forgotten. */
export async function open(address: string): Promise<void> {
  cleanup();
  const kept = usePreferences.getState();
  STORES.forEach((store, index) => act(() => store.setState(fresh[index] as never, true)));
  act(() => usePreferences.setState(kept));
  beginAt(address);
  await act(async () => {
    render(
      <Shell>
        <Routes />
      </Shell>,
    );
  });
}

type Page = ReturnType<typeof expectOn>;

/** `expect` that also knows what is on the page. */
export function see(locator: Locator): Page & { not: Page } {
  return { ...expectOn(locator), not: expectOn(locator, true) };
}
