import http, { type RequestListener } from 'node:http';
import https from 'node:https';
import type { Server, Socket } from 'node:net';
import { byFirstByte, LOOPBACK, type Certificate } from './speakingTls';

export interface Speaking {
  server: Server;
  /** Shows another certificate to those who come from now on. */
  show: (certificate: Certificate) => void;
  close: (done: () => void) => void;
}

/**
 * One port for all: over TLS the house itself; in plain HTTP the house to programs on this machine, and to others the way to it.
 * @param plain answers others in plain HTTP: with the way
 */
export function speakBoth(app: RequestListener, plain: RequestListener, certificate: Certificate): Speaking {
  const secure = https.createServer({ ...certificate, minVersion: 'TLSv1.2' }, app);
  const open = http.createServer((request, response) =>
    (LOOPBACK.test(request.socket.remoteAddress ?? '') ? app : plain)(request, response),
  );
  for (const each of [secure, open]) tuned(each);
  const sockets = new Set<Socket>();
  const server = byFirstByte(
    (socket) => secure.emit('connection', socket),
    (socket) => open.emit('connection', socket),
  );
  server.on('connection', (socket) => {
    sockets.add(socket);
    socket.on('close', () => sockets.delete(socket));
  });
  return {
    server,
    show: (next) => secure.setSecureContext({ ...next, minVersion: 'TLSv1.2' }),
    close: (done) => {
      server.close(done);
      for (const each of [secure, open]) each.closeIdleConnections();
      // A browser keeps its connection open; after a moment it is cut.
      setTimeout(() => sockets.forEach((each) => each.destroy()), 2000).unref();
    },
  };
}

/** Longer than any client waits: one that sends just as its connection is shut would be told that nobody answers. */
const KEEP_ALIVE_MS = 65_000;

/** Times after which whoever dawdles is cut, and how many may come. Chosen here: Node lets them wait for longer, or for ever */
export function tuned(server: http.Server | https.Server): void {
  server.keepAliveTimeout = KEEP_ALIVE_MS;
  // Headers that drip in, a byte at a time.
  server.headersTimeout = 20_000;
  // A backup of 2 GB over slow air takes its time.
  server.requestTimeout = 30 * 60_000;
  server.maxHeadersCount = 100;
  server.maxConnections = 4000;
}
