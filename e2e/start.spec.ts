import { spawn } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { expect, test } from '@playwright/test';

test('bin/start opens an empty house, kept in the data directory of the user (on a phone)', async ({ page }) => {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-start-'));
  const { VB_DATA: _data, VB_DEMO: _demo, ...rest } = process.env;
  const started = spawn('bin/start', { env: { ...rest, XDG_DATA_HOME: folder, PORT: '0' } });
  try {
    const address = await new Promise<string>((resolve, reject) => {
      let said = '';
      const hear = (text: unknown) => {
        said += String(text);
        const ready = /is ready at (http:\/\/\S+)/.exec(said)?.[1];
        if (ready) resolve(ready);
      };
      started.stdout.on('data', hear);
      started.stderr.on('data', hear);
      started.on('exit', () => reject(new Error(`It ended before it was ready: ${said}`)));
    });
    await page.goto(address);
    await expect(page.getByRole('heading', { name: 'First steps' })).toBeVisible();
    expect(fs.readdirSync(path.join(folder, 'verdant-burrow'))).toContain('cluster');
  } finally {
    started.kill('SIGKILL');
    fs.rmSync(folder, { recursive: true, force: true, maxRetries: 5 });
  }
});
