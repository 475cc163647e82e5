import net, { type Server, type Socket } from 'node:net';
import tls from 'node:tls';

/** The first byte of every handshake of TLS. @source RFC 8446, 5.1: the content type handshake is 22 */
const HANDSHAKE = 22;
/** Who says nothing for so long is cut. ms */
const FIRST_BYTE_MS = 10_000;
export const LOOPBACK = /^(::1|127\.|::ffff:127\.)/;

/** What a server shows, and the key that it shows to have. PEM */
export interface Certificate {
  cert: string;
  key: string;
}

/** Looks at the first byte of each connection: over TLS, or in plain. */
export function byFirstByte(secure: (socket: Socket) => void, plain: (socket: Socket) => void): Server {
  return net.createServer((socket) => {
    socket.on('error', () => socket.destroy());
    const silent = setTimeout(() => socket.destroy(), FIRST_BYTE_MS);
    socket.once('close', () => clearTimeout(silent));
    socket.once('data', (first: Buffer) => {
      clearTimeout(silent);
      socket.pause();
      socket.unshift(first);
      (first[0] === HANDSHAKE ? secure : plain)(socket);
      process.nextTick(() => socket.resume());
    });
  });
}

/** From this machine in plain, from elsewhere over TLS alone. */
export function speakingTls(certificate: () => Certificate, open: (socket: Socket) => void): Server {
  return byFirstByte(
    (socket) => {
      // Asked at each: it is made anew while devices come and go.
      const secureContext = tls.createSecureContext({ ...certificate(), minVersion: 'TLSv1.2' });
      const secured = new tls.TLSSocket(socket, { isServer: true, secureContext });
      secured.on('error', () => secured.destroy());
      open(secured);
    },
    (socket) => (LOOPBACK.test(socket.remoteAddress ?? '') ? open(socket) : socket.destroy()),
  );
}
