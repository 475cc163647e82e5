import type { RequestHandler } from 'express';
import { Problem } from './problem';

/** The names under which this computer reaches itself. */
const OWN = ['localhost', '127.0.0.1', '[::1]'];

/** What changes nothing, whoever asks. */
const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/** The name in `Host` or `Origin`, without its port. */
const nameIn = (host: string) => host.replace(/:\d+$/, '').toLowerCase();

/**
 * Answers those who came under a name of this house, and pages of this house, alone. A page of another name that points at
 * 127.0.0.1 sends its own name in `Host`, and one of another program on this computer its own address in `Origin`: neither
 * may read or write here.
 * @param others names under which a network or a proxy brings keepers in, as they are now
 */
export function ownHosts(others: () => readonly string[]): RequestHandler {
  return (request, _response, next) => {
    const { host, origin } = request.headers;
    const known = [...OWN, ...others().map((each) => each.toLowerCase())];
    if (host === undefined || !known.includes(nameIn(host))) {
      throw new Problem('forbidden', 'This house does not answer under that name. Add it to VB_HOSTS if it is yours.', [
        { path: 'Host', message: `Must be one of ${known.join(', ')}.` },
      ]);
    }
    if (origin !== undefined && !isOf(origin, host)) {
      throw new Problem('forbidden', 'Pages of other addresses may not ask here.', [
        { path: 'Origin', message: 'Must be the address of this house.' },
      ]);
    }
    // Told by browsers alone, and by no page: which page asks.
    const from = request.headers['sec-fetch-site'];
    if (!READS.has(request.method) && from !== undefined && from !== 'same-origin' && from !== 'none') {
      throw new Problem('forbidden', 'Pages of other addresses may not write here.', [
        { path: 'Sec-Fetch-Site', message: `Must be same-origin; got ${from}.` },
      ]);
    }
    next();
  };
}

/** Whether a page was loaded from the host that it asks now, whatever a proxy makes of the scheme. */
function isOf(origin: string, host: string): boolean {
  return /^https?:\/\//.test(origin) && origin.replace(/^https?:\/\//, '').toLowerCase() === host.toLowerCase();
}
