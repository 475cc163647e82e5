import http from 'node:http';
import type { AddressInfo } from 'node:net';
import express from 'express';
import { failures } from './failures';
import { loggedUrl } from './loggedUrl';
import { ownHosts } from './ownHosts';

describe('a request that comes under another name', () => {
  const ask = (port: number, headers: http.OutgoingHttpHeaders, method = 'GET', path = '/api/residents') =>
    new Promise<{ status: number; body: string }>((resolve, reject) => {
      const request = http.request({ host: '127.0.0.1', port, path, method, headers }, (response) => {
        let body = '';
        response.on('data', (part: Buffer) => (body += part.toString()));
        response.on('end', () => resolve({ status: response.statusCode ?? 0, body }));
      });
      request.on('error', reject);
      request.end(method === 'POST' ? '{}' : undefined);
    });
  const written: string[] = [];
  let server: http.Server;
  let port: number;
  beforeAll(async () => {
    const app = express()
      .use(ownHosts(() => ['burrow.example']))
      .get('/api/residents', (_request, response) => void response.json({}))
      .post('/api/shelves', (_request, response) => {
        written.push('a shelf');
        response.json({});
      })
      .use(failures);
    server = app.listen(0, '127.0.0.1');
    await new Promise((resolve) => server.once('listening', resolve));
    ({ port } = server.address() as AddressInfo);
  });
  afterAll(() => server.close());

  it.each([
    ['127.0.0.1', 200],
    ['localhost', 200],
    ['[::1]', 200],
    ['LOCALHOST', 200],
    ['burrow.example', 200],
    // A page of another name that points at this computer.
    ['evil.example', 403],
    ['127.0.0.1.evil.example', 403],
  ])('%s is answered with %d', async (name, status) => {
    const host = `${name}:${port}`;
    expect((await ask(port, { host })).status).toBe(status);
  });

  it('says which name would be right, and nothing of the house', async () => {
    const { body } = await ask(port, { host: 'evil.example' });
    expect(JSON.parse(body)).toMatchObject({ error: { code: 'forbidden', fields: [{ path: 'Host' }] } });
  });

  it.each([
    [(at: number) => `http://127.0.0.1:${at}`, 200],
    // Behind a proxy that ends the encryption.
    [(at: number) => `https://127.0.0.1:${at}`, 200],
    // Another program on this computer, a sandboxed frame, a file.
    [(at: number) => `http://127.0.0.1:${at + 1}`, 403],
    [() => 'http://evil.example', 403],
    [() => 'null', 403],
  ])('from a page of another address is refused', async (origin, status) => {
    expect((await ask(port, { host: `127.0.0.1:${port}`, origin: origin(port) })).status).toBe(status);
  });

  it('writes nothing from there', async () => {
    const headers = { host: 'evil.example', 'content-type': 'application/json' };
    expect((await ask(port, headers, 'POST', '/api/shelves')).status).toBe(403);
    expect(written).toEqual([]);
  });
});

describe('the log', () => {
  it.each([
    ['/api/calendar/abcDEF_-123.ics', '/api/calendar/…'],
    ['/api/sitter/abcDEF_-123?x=1', '/api/sitter/…?x=1'],
    ['/sitter/abcDEF_-123', '/sitter/…'],
    ['/api/keepers/1/calendar.ics', '/api/keepers/1/calendar.ics'],
    ['/api/absences', '/api/absences'],
  ])('holds no address that opens anything: %s', (url, logged) => {
    expect(loggedUrl(url)).toBe(logged);
  });
});
