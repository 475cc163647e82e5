import http, { type RequestListener } from 'node:http';
import https from 'node:https';
import net, { type Socket } from 'node:net';

/** The first byte of every handshake of TLS. @source RFC 8446, 5.1: the content type handshake is 22 */
const HANDSHAKE = 22;
/** Who says nothing for so long is cut. ms */
const FIRST_BYTE_MS = 10_000;
const LOOPBACK = /^(::1|127\.|::ffff:127\.)/;

export interface Speaking {
  server: net.Server;
  /** Shows another certificate to those who come from now on. */
  show: (cert: { cert: string; key: string }) => void;
  close: (done: () => void) => void;
}

/**
 * One port for all: over TLS the house itself; in plain HTTP the house to programs on this machine, and to others the way to it.
 * @param plain answers others in plain HTTP: with the way
 */
export function speakBoth(app: RequestListener, plain: RequestListener, cert: { cert: string; key: string }): Speaking {
  const secure = https.createServer({ ...cert, minVersion: 'TLSv1.2' }, app);
  const open = http.createServer((request, response) =>
    (LOOPBACK.test(request.socket.remoteAddress ?? '') ? app : plain)(request, response),
  );
  for (const each of [secure, open]) tuned(each);
  const sockets = new Set<Socket>();
  const server = net.createServer((socket) => {
    sockets.add(socket);
    socket.on('close', () => sockets.delete(socket));
    socket.on('error', () => socket.destroy());
    const silent = setTimeout(() => socket.destroy(), FIRST_BYTE_MS);
    socket.once('data', (first: Buffer) => {
      clearTimeout(silent);
      socket.pause();
      socket.unshift(first);
      (first[0] === HANDSHAKE ? secure : open).emit('connection', socket);
      process.nextTick(() => socket.resume());
    });
    socket.once('close', () => clearTimeout(silent));
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

/** Times after which whoever dawdles is cut. */
export function tuned(server: http.Server | https.Server): void {
  server.keepAliveTimeout = KEEP_ALIVE_MS;
  // Headers that drip in, a byte at a time.
  server.headersTimeout = 20_000;
  // A backup of 2 GB over slow air takes its time.
  server.requestTimeout = 30 * 60_000;
  server.maxHeadersCount = 100;
  server.maxConnections = 4000;
}
