import { TINY_JPEG } from '@/core/testing/tinyJpeg';
import { waitFor } from '@testing-library/dom';
import { createRoot, type Root } from 'react-dom/client';
import { flushSync } from 'react-dom';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { usePreferences } from '@/client/preferences';
import { useQueue } from '@/client/queue';
import { testStart } from '@/core/testing/testStart';
import { beginAnew } from '../components/places';
import { Shell } from '../Shell';
import { WorkerHere } from './comlink';
import { address, beginAt, Routes } from './memoryRouter';
import { expectOn, page, type Locator } from './page';

export { address } from './memoryRouter';
export { page } from './page';

/** Every store as it was when the page was loaded. */
const STORES = [useHouse, useLog, usePreferences, useQueue] as {
  getInitialState: () => unknown;
  setState: (state: never, isWhole: true) => unknown;
}[];
const forgetAll = () => STORES.forEach((store) => store.setState(store.getInitialState() as never, true));

let root: Root | undefined;

/** The page that is open is closed. */
function leave(): void {
  flushSync(() => root?.unmount());
  root = undefined;
  document.body.replaceChildren();
}

/** What a browser would draw. */
const JPEG = `data:image/jpeg;base64,${TINY_JPEG}`;

/** What was saved as a file, the last first. */
const saved: { name: string; blob: Blob }[] = [];
/** What the next choice of a file will choose. */
let chosen: File | undefined;

const textOf = (blob: Blob) =>
  new Promise<string>((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(new Error('The file could not be read.'));
    reader.readAsText(blob);
  });

/** What a document without a browser lacks. */
function furnish(): void {
  Blob.prototype.text = function text(this: Blob) {
    return textOf(this);
  };
  URL.createObjectURL = (blob: Blob) => {
    saved.unshift({ name: '', blob });
    return 'blob:here';
  };
  URL.revokeObjectURL = () => undefined;
  HTMLAnchorElement.prototype.click = function click(this: HTMLAnchorElement) {
    const [last] = saved;
    if (last) last.name = this.download;
  };
  HTMLInputElement.prototype.click = function click(this: HTMLInputElement) {
    if (this.type !== 'file' || !chosen) return;
    Object.defineProperty(this, 'files', { configurable: true, value: [chosen] });
    this.dispatchEvent(new Event('change', { bubbles: true }));
  };
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

/** How many pages were opened. */
let opened = 0;
const reach = globalThis.fetch;
/** What a page asked for that was left is not heard of any more. */
globalThis.fetch = async (...given) => {
  const mine = opened;
  const answer = await reach(...given);
  const body = await answer.text();
  return mine === opened ? new Response(body, answer) : new Promise(() => undefined);
};

/** Has the server hold the demo as it was laid, at the hour when the day of the tests begins. */
async function startAnew(): Promise<void> {
  const headers = { 'Content-Type': 'application/json' };
  const body = JSON.stringify({ holds: 'demo', at: testStart() });
  const answer = await fetch('/api/test/house', { method: 'POST', headers, body });
  if (!answer.ok) throw new Error(`The house was not put back: ${answer.status}, ${await answer.text()}`);
}

/** Before each walk: the demo, and a page that knows nothing yet. */
export function onTheDemo(): void {
  beforeEach(async () => {
    opened += 1;
    furnish();
    localStorage.clear();
    forgetAll();
    await startAnew();
  });
  afterEach(leave);
}

/** Opens the app at an address, as typing it into the browser does: what is not kept on the device is forgotten. */
export async function open(address: string): Promise<void> {
  leave();
  opened += 1;
  const kept = usePreferences.getState();
  forgetAll();
  beginAnew('');
  usePreferences.setState(kept);
  beginAt(address);
  const { body } = document;
  root = createRoot(body.appendChild(document.createElement('div')));
  root.render(
    <Shell>
      <Routes />
    </Shell>,
  );
}

/** Opens the same address anew. */
export const reload = (): Promise<void> => open(address());

/** The next time the page asks for a file it is given this one. */
export function choose(name: string, type: string, text: string): void {
  chosen = new File([text], name, { type });
}

/** The file that was saved last, with its name. */
export async function savedFile(): Promise<{ name: string; text: string }> {
  const last = await waitFor(() => {
    const [file] = saved;
    if (!file?.name) throw new Error('Nothing was saved.');
    return file;
  });
  return { name: last.name, text: await textOf(last.blob) };
}

/** Chooses an answer to a question, few of which are seen at once and many in a list that opens. */
export async function pick(label: string, answer: string): Promise<void> {
  const few = page.getByRole('radiogroup', { name: label, exact: true });
  const list = page.getByRole('button', { name: new RegExp(`^${label}: `) });
  await page.settled(() => {
    if (few.find().length + list.find().length === 0) throw new Error(`Nothing is asked by “${label}”.`);
  });
  if ((await list.count()) > 0) await list.click();
  await page.getByRole('radio', { name: answer, exact: true }).click();
}

/** What the server says, asked past the page. */
export const asks = async (path: string): Promise<{ status: number; text: string }> => {
  const { pathname, search } = new URL(path, location.href);
  const answer = await fetch(pathname + search);
  return { status: answer.status, text: await answer.text() };
};

/** Who is called so, and where it lives. */
export async function idOf(called: string): Promise<{ id: string; homeId: string }> {
  const { residents } = JSON.parse((await asks('/api/residents')).text);
  return residents.find((each: { called: string }) => each.called === called);
}

type Page = ReturnType<typeof expectOn>;

/** `expect` that also knows what is on the page. */
export function see(locator: Locator): Page & { not: Page } {
  return { ...expectOn(locator), not: expectOn(locator, true) };
}
