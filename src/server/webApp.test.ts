import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import zlib from 'node:zlib';
import { emptyDatabase } from './testing/databases';
import { fixedClock, startServer } from './testing/server';

it('serves the app from wherever it lies, also below a folder that begins with a dot, as in the cache of npx', async () => {
  const parent = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-web-'));
  const folder = path.join(parent, '.npm/app');
  fs.mkdirSync(folder, { recursive: true });
  fs.writeFileSync(path.join(folder, 'index.html'), '<title>Burrow</title>');
  fs.writeFileSync(path.join(folder, 'walk.js'), 'walk()');
  fs.writeFileSync(path.join(folder, 'walk.js.gz'), zlib.gzipSync('walk()'));
  fs.writeFileSync(path.join(parent, 'secret.txt'), 'not for pages');
  const database = await emptyDatabase();
  const server = await startServer(database, fixedClock(), { webFolder: folder });
  const asked = async (place: string) => {
    const answer = await fetch(`${server.address}${place}`, { headers: { 'Accept-Encoding': 'gzip' } });
    return { status: answer.status, encoding: answer.headers.get('content-encoding'), text: await answer.text() };
  };
  expect(await asked('/')).toMatchObject({ status: 200, text: '<title>Burrow</title>' });
  expect(await asked('/round')).toMatchObject({ status: 200, text: '<title>Burrow</title>' });
  expect(await asked('/walk.js')).toEqual({ status: 200, encoding: 'gzip', text: 'walk()' });
  expect((await asked('/run.js')).status).toBe(404);
  expect((await asked('/..%2f..%2fsecret.txt')).text).not.toContain('not for pages');
  await server.close();
  await database.close();
  fs.rmSync(parent, { recursive: true });
}, 60_000);
