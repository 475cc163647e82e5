import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { expect, test as base, type Locator, type Page } from '@playwright/test';
import { testStart } from '../src/core/testing/testStart';
import { control, startProcess, type ServerProcess } from '../src/server/testing/standingServer';

/** A house in a folder of its own, whose server can be stopped, killed and started again. */
export class OwnHouse {
  private server: ServerProcess | undefined;
  private readonly folder = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-e2e-'));
  private readonly begun = Date.now();

  get address(): string {
    if (!this.server) throw new Error('The server of this house is not running.');
    return this.server.address;
  }

  async start(): Promise<void> {
    const port = this.server ? new URL(this.server.address).port : '0';
    // Its clock goes on while it is off.
    const now = new Date(Date.parse(testStart()) + Date.now() - this.begun).toISOString();
    this.server = await startProcess({ VB_DATA: this.data, PORT: port, VB_NOW: now });
  }

  async end(signal: 'SIGTERM' | 'SIGKILL'): Promise<void> {
    await this.server?.end(signal);
  }

  /** What a second server on the same folder says before it ends. */
  async secondServer(): Promise<string> {
    return startProcess({ VB_DATA: this.data }).then(
      () => 'It started.',
      (error: Error) => error.message,
    );
  }

  remove(): void {
    fs.rmSync(this.folder, { recursive: true, force: true });
  }

  private get data(): string {
    return path.join(this.folder, 'data');
  }
}

interface Fixtures {
  /** The demo as it was laid, on the standing server of this worker. */
  house: { address: string };
}
interface WorkerFixtures {
  standing: ServerProcess;
}

export const test = base.extend<Fixtures, WorkerFixtures>({
  // Playwright reads the names of the fixtures that a fixture needs from its first argument.
  standing: [
    async ({}, use) => {
      const server = await startProcess();
      await use(server);
      await server.end('SIGKILL');
    },
    { scope: 'worker' },
  ],
  house: async ({ standing: { address } }, use) => {
    await control(address, 'house', { holds: 'demo', at: testStart() });
    await use({ address });
  },
  baseURL: async ({ house }, use) => use(house.address),
});

/** For tests that begin before the first animal: nothing is written yet. */
export const testOfNothing = test.extend({
  house: async ({ standing: { address } }, use) => {
    await control(address, 'house', { holds: 'nothing', at: testStart() });
    await use({ address });
  },
});

/** For tests that stop or kill the server: one of their own, with its data on the disk. */
export const testOfPower = base.extend<{ house: OwnHouse }>({
  house: async ({}, use) => {
    const house = new OwnHouse();
    await house.start();
    await use(house);
    await house.end('SIGKILL');
    house.remove();
  },
  baseURL: async ({ house }, use) => use(house.address),
});

export { expect, type Locator };

/** Opens the page of a resident by what it is called: the list draws those near the window. */
export async function openResident(page: Page, called: string): Promise<void> {
  await page.goto('/residents');
  await page.getByLabel('Find by name, box or batch').fill(called);
  await page.getByRole('link', { name: new RegExp(`^${called}`) }).click();
}

/** Chooses an answer to a question, few of which are seen at once and many in a list that opens. */
export async function pick(page: Page, label: string, answer: string): Promise<void> {
  const few = page.getByRole('radiogroup', { name: label, exact: true });
  const list = page.getByRole('button', { name: new RegExp(`^${label}: `) });
  await expect(few.or(list).first()).toBeVisible();
  if ((await list.count()) > 0) await list.click();
  await page.getByRole('radio', { name: answer, exact: true }).click();
}

/** Opens a box from the wall, which holds only what is near the window: in its room it is scrolled to, as a keeper does. */
export async function openBox(page: Page, code: RegExp): Promise<void> {
  await page.goto('/homes');
  // Beside the wall of a wide screen it may be named once more.
  const link = page.getByRole('link', { name: code }).first();
  const asked = <Row>(place: string, list: string): Promise<Row[]> =>
    page.evaluate(
      async ([where, of]) => ((await (await fetch(`/api/${where}`)).json()) as Record<string, Row[]>)[of] ?? [],
      [place, list] as const,
    );
  const home = (await asked<{ code: string; shelfId: string }>('homes', 'homes')).find((each) => code.test(each.code));
  const shelf = (await asked<{ id: string; room: string }>('shelves', 'shelves')).find(
    ({ id }) => id === home?.shelfId,
  );
  await page.getByRole('radio', { name: shelf?.room ?? '' }).click();
  await page.mouse.move(250, 400);
  await expect(async () => {
    if ((await link.count()) === 0) await page.mouse.wheel(0, 600);
    await expect(link).toBeVisible({ timeout: 250 });
  }).toPass();
  await link.click();
}
