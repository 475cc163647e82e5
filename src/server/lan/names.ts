import os from 'node:os';

/** Under what this machine is found. */
export interface HouseNames {
  /** Its name on the home network, found by multicast DNS. */
  name: string;
  /** Its addresses there, the likeliest first. */
  addresses: string[];
  /** All names and addresses under which it answers. */
  all: string[];
}

/** Addresses of containers and tunnels come last: phones do not reach them. */
const isLikely = (name: string) => (/^(docker|br-|veth|virbr|tun|tap|wg|zt|tailscale)/.test(name) ? 1 : 0);

export function houseNames(interfaces = os.networkInterfaces(), host = os.hostname()): HouseNames {
  const short =
    host
      .split('.')[0]
      ?.toLowerCase()
      .replace(/[^a-z0-9-]/g, '-') || 'burrow';
  const addresses = Object.entries(interfaces)
    .sort(([a], [b]) => isLikely(a) - isLikely(b))
    .flatMap(([, list]) => (list ?? []).filter(({ family, internal }) => family === 'IPv4' && !internal))
    .map(({ address }) => address);
  const name = `${short}.local`;
  return { name, addresses, all: [...new Set([name, short, 'localhost', ...addresses, '127.0.0.1'])] };
}
