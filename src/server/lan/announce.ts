import { Bonjour } from 'bonjour-service';
import type { HouseNames } from './names';

/** Tells the home network where the house is, by multicast DNS, until it is stopped. A network that forbids it changes nothing. */
export function announce({ name }: HouseNames, port: number, complain: (error: unknown) => void): () => void {
  const bonjour = new Bonjour(undefined, complain);
  const service = bonjour.publish({
    name: `Verdant Burrow on ${name.replace(/\.local$/, '')}`,
    type: 'https',
    port,
    host: name,
  });
  service.on('error', complain);
  return () => bonjour.unpublishAll(() => bonjour.destroy());
}
