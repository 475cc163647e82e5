import { X509Certificate } from 'node:crypto';
import fs from 'node:fs';
import http, { type RequestListener } from 'node:http';
import https from 'node:https';
import type { AddressInfo } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import tls from 'node:tls';
import { listen } from '../listening';
import { bringsOthers, settings } from '../settings';
import { certificateFor } from './authority';
import { speakBoth } from './listen';
import { houseNames } from './names';
import { theWay } from './way';

/** Of this machine, by which OpenSSL goes: all else here runs on one day. */
const NOW = new Date(performance.timeOrigin + performance.now());
const DAY_MS = 864e5;
const NAMES = ['shed.local', 'localhost', '192.168.1.20', '127.0.0.1'];

describe('the house on the home network', () => {
  let folder: string;
  beforeEach(() => (folder = path.join(fs.mkdtempSync(path.join(os.tmpdir(), 'vb-lan-')), 'tls')));
  afterEach(() => fs.rmSync(path.dirname(folder), { recursive: true, force: true }));
  const keysIn = () => fs.readdirSync(folder).filter((name) => name.endsWith('.key'));

  describe('its certificate', () => {
    it('is signed by an authority of its own, for all its names, as OpenSSL reads it', async () => {
      const { cert, authority, fingerprint } = await certificateFor(folder, NAMES, NOW);
      const [server, signer] = [new X509Certificate(cert), new X509Certificate(authority)];
      expect(server.verify(signer.publicKey)).toBe(true);
      expect(server.checkIssued(signer)).toBe(true);
      expect([signer.ca, server.ca]).toEqual([true, false]);
      expect(server.checkHost('shed.local')).toBe('shed.local');
      expect(server.checkIP('192.168.1.20')).toBe('192.168.1.20');
      expect(server.checkHost('evil.example')).toBeUndefined();
      expect(signer.fingerprint256).toBe(fingerprint);
      // Apple believes none that holds longer.
      expect(Date.parse(server.validTo) - Date.parse(server.validFrom)).toBeLessThan(398 * DAY_MS);
    });

    it('keeps its keys from everybody but its owner', async () => {
      await certificateFor(folder, NAMES, NOW);
      expect(keysIn()).toHaveLength(2);
      for (const name of keysIn()) expect(fs.statSync(path.join(folder, name)).mode & 0o777).toBe(0o600);
      expect(fs.statSync(folder).mode & 0o777).toBe(0o700);
    });

    it('stays the same until it ends soon, its names change or it is broken; the authority stays', async () => {
      const first = await certificateFor(folder, NAMES, NOW);
      expect(await certificateFor(folder, NAMES, NOW)).toEqual(first);
      const later = await certificateFor(folder, NAMES, new Date(NOW.getTime() + 180 * DAY_MS));
      expect(later.cert).not.toBe(first.cert);
      const moved = await certificateFor(folder, [...NAMES, '192.168.1.77'], NOW);
      expect(new X509Certificate(moved.cert).checkIP('192.168.1.77')).toBeDefined();
      fs.writeFileSync(path.join(folder, 'server.crt'), 'torn');
      const mended = await certificateFor(folder, NAMES, NOW);
      expect(new Set([first, later, moved, mended].map(({ authority }) => authority)).size).toBe(1);
    });
  });

  describe('its one port', () => {
    const app: RequestListener = (request, response) =>
      response.end(`the house, ${'encrypted' in request.socket ? 'secure' : 'plain'}`);
    const listening = async (certificate: { cert: string; key: string }) => {
      const both = speakBoth(app, (_request, response) => response.end('the way'), certificate);
      both.server.listen(0, '127.0.0.1');
      await new Promise((resolve) => both.server.once('listening', resolve));
      return { ...both, port: (both.server.address() as AddressInfo).port };
    };
    const secured = (port: number, ca: string) =>
      new Promise<string>((resolve, reject) => {
        const request = https.get({ host: '127.0.0.1', port, ca, agent: false }, (response) => {
          let text = '';
          response.on('data', (part: Buffer) => (text += part.toString()));
          response.on('end', () => resolve(text));
        });
        request.on('error', reject);
      });

    it('speaks TLS to those who begin so, and plain HTTP to this machine', async () => {
      const certificate = await certificateFor(folder, NAMES, NOW);
      const { port, server } = await listening(certificate);
      expect(await secured(port, certificate.authority)).toBe('the house, secure');
      expect(await (await fetch(`http://127.0.0.1:${port}/`)).text()).toBe('the house, plain');
      await expect(secured(port, tls.rootCertificates[0] ?? '')).rejects.toThrow(/certificate/);
      server.close();
    });

    it('shows another certificate to those who come after it was made anew', async () => {
      const old = await certificateFor(folder, NAMES, NOW);
      const { port, server, show } = await listening(old);
      const serial = () =>
        new Promise<string>((resolve) => {
          const socket = tls.connect({ port, host: '127.0.0.1', ca: old.authority }, () => {
            resolve(socket.getPeerCertificate().serialNumber);
            socket.destroy();
          });
        });
      const before = await serial();
      show(await certificateFor(folder, [...NAMES, 'other.local'], NOW));
      expect(await serial()).not.toBe(before);
      server.close();
    });
  });

  describe('the way to it, in plain HTTP', () => {
    it('is the authority and how to trust it; everything else is the same address over TLS', async () => {
      const certificate = await certificateFor(folder, NAMES, NOW);
      const names = { name: 'shed.local', addresses: ['192.168.1.20'], all: [...NAMES] };
      const server = http
        .createServer(theWay({ names, port: 4870, certificate: () => certificate }))
        .listen(0, '127.0.0.1');
      await new Promise((resolve) => server.once('listening', resolve));
      const { port } = server.address() as AddressInfo;
      const get = (place: string) => fetch(`http://127.0.0.1:${port}${place}`, { redirect: 'manual' });
      const there = await get('/round?x=1');
      expect([there.status, there.headers.get('location')]).toEqual([308, 'https://127.0.0.1:4870/round?x=1']);
      expect(await (await get('/burrow-authority.crt')).text()).toBe(certificate.authority);
      const page = await (await get('/trust')).text();
      expect(page).toContain(certificate.fingerprint.slice(0, 23));
      expect(page).toContain('href="https://192.168.1.20:4870/"');
      expect((await get('/api/residents')).status).toBe(308);
      // Whoever came under another name is sent nowhere.
      const strange = await new Promise<number | undefined>((resolve) =>
        http.get({ port, host: '127.0.0.1', headers: { Host: 'evil.example' } }, ({ statusCode }) =>
          resolve(statusCode),
        ),
      );
      expect(strange).toBe(421);
      server.close();
    });
  });

  it('is found by its name and by its addresses, those of containers last', () => {
    const at = (address: string, internal = false) => [
      { address, internal, family: 'IPv4' } as os.NetworkInterfaceInfo,
    ];
    const { name, addresses, all } = houseNames(
      { docker0: at('172.17.0.1'), lo: at('127.0.0.1', true), wlan0: at('192.168.1.20') },
      'Ada’s Shed.fritz.box',
    );
    expect(name).toBe('ada-s-shed.local');
    expect(addresses).toEqual(['192.168.1.20', '172.17.0.1']);
    expect(all).toContain('localhost');
  });

  it.each([
    [{}, false],
    [{ bind: '127.0.0.1' }, false],
    [{ bind: '0.0.0.0' }, true],
    [{ bind: '::' }, true],
    [{ hosts: ['shed.example'] }, true],
    [{ proxies: ['loopback'] }, true],
  ])('%j brings others in: %s', (asked, brings) => {
    expect(bringsOthers({ proxies: [], hosts: [], bind: undefined, ...asked })).toBe(brings);
  });

  it('is not opened beyond this machine while nobody can sign in', async () => {
    const wanted = { ...settings({ NODE_ENV: 'test', VB_DATA: 'memory', PORT: '0' }), bind: '0.0.0.0' };
    const opening = listen(() => undefined, wanted, 'A house', 'nothing', 'a-code', undefined);
    await expect(opening).rejects.toThrow(/beyond this machine, and nobody can sign in yet/);
  });
});
